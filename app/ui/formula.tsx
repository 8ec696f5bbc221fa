/** A symbol or a closing bracket, and behind it the number that counts atoms. Other numbers stand on the line. */
const COUNTED = /([A-Za-z)\]])(\d+)/;

/** A chemical formula with the numbers lowered that count atoms: not those before a substance, or before crystal water. */
export function Formula({ children }: { children: string }) {
  const parts = children.split(COUNTED);
  return <>{parts.map((part, i) => (i % 3 === 2 ? <sub key={i}>{part}</sub> : part))}</>;
}
