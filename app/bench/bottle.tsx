/** A bottle with square shoulders: its fullness, and what its label says. */
export function Bottle({
  x,
  floorY,
  width,
  height,
  full,
  lines,
}: {
  x: number;
  /** Where it stands. */
  floorY: number;
  width: number;
  height: number;
  full: number;
  lines: string[];
}) {
  const neck = width * 0.2;
  const shoulder = height * 0.72;
  const [left, right, top] = [x - width / 2, x + width / 2, floorY - height];
  const depth = (shoulder - 6) * full;
  return (
    <g>
      <rect x={left + 2} y={floorY - 3 - depth} width={width - 4} height={depth} rx={3} fill="rgb(31 111 134 / 0.12)" />
      <path
        d={`M${x - neck} ${top} V${floorY - shoulder - 14} Q${left} ${floorY - shoulder - 6} ${left} ${floorY - shoulder + 10} V${floorY - 4} Q${left} ${floorY} ${left + 5} ${floorY} H${right - 5} Q${right} ${floorY} ${right} ${floorY - 4} V${floorY - shoulder + 10} Q${right} ${floorY - shoulder - 6} ${x + neck} ${floorY - shoulder - 14} V${top}`}
        className="stroke-ink"
        strokeWidth={1.5}
        fill="none"
      />
      <rect
        x={x - neck - 3}
        y={top - 10}
        width={2 * neck + 6}
        height={12}
        className="fill-paper stroke-ink"
        strokeWidth={1.5}
      />
      <rect
        x={left + 5}
        y={floorY - shoulder + 22}
        width={width - 10}
        height={15 * lines.length + 10}
        className="fill-paper stroke-ink"
        strokeWidth={0.9}
      />
      {lines.map((line, i) => (
        <text key={i} x={x} y={floorY - shoulder + 38 + 15 * i} fontSize={14} textAnchor="middle" className="fill-ink">
          {line}
        </text>
      ))}
    </g>
  );
}
