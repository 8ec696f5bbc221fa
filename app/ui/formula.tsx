/** A chemical formula with its numbers lowered. */
export function Formula({ children }: { children: string }) {
  return <>{children.split(/(\d+)/).map((part, i) => (i % 2 === 1 ? <sub key={i}>{part}</sub> : part))}</>;
}
