/**
 * The place between two ends of other signs where a falling function is 0: false position, each end that stays halved (Illinois; M. Dowell,
 * P. Jarratt, BIT 11 (1971) 168), with the middle every fourth time.
 * @param close how near the ends have to come @param small what counts as 0
 */
export function zeroBetween(
  of: (x: number) => number,
  from: number,
  to: number,
  { close, small }: { close: number; small: number },
): number {
  let [a, b, fa, fb] = [from, to, of(from), of(to)];
  for (let i = 0; i < 80 && b - a > close; i++) {
    // Where it hardly bends that is soon there; where it does, the middle is surer.
    const x = i % 4 === 3 ? (a + b) / 2 : (a * fb - b * fa) / (fb - fa);
    const y = of(x);
    if (Math.abs(y) < small) return x;
    if (y > 0) [a, fa, fb] = [x, y, fb / 2];
    else [b, fb, fa] = [x, y, fa / 2];
  }
  return (a + b) / 2;
}
