/** Numbers that count atoms: behind a symbol or a bracket. Those before a substance, or before crystal water, stand on the line. */
const COUNTS = /(?<=[A-Za-z)\]])(\d+)/;

/** A chemical formula with its numbers lowered. */
export function Formula({ children }: { children: string }) {
  return <>{children.split(COUNTS).map((part, i) => (i % 2 === 1 ? <sub key={i}>{part}</sub> : part))}</>;
}
