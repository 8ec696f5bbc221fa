declare module 'newton-raphson-method' {
  export default function newton(
    f: (x: number) => number,
    start: number,
    options?: { tolerance?: number; maxIterations?: number; h?: number },
  ): number | false;
}
