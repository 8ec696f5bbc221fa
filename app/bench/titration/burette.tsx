import type { View } from '@core/practicals/titration/view';
import { BURETTE, readingY } from './geometry';

const MAJOR = Array.from({ length: 51 }, (_, i) => i);

/** The burette, to scale: every millilitre has its mark, every fifth its number. */
export function Burette({ view, tap }: { view: View; tap: View['tap'] }) {
  const { x, outer, inner, tipY, mark50Y, rimMl } = BURETTE;
  const top = readingY(rimMl);
  const level = view.empty ? mark50Y + 46 : Math.min(readingY(view.levelMl), mark50Y + 46);
  const turn = { closed: 90, 'drop by drop': 62, 'fast drops': 38, stream: 0 }[tap];
  const tapY = mark50Y + 46;
  return (
    <g>
      <rect x={x - inner / 2} y={level} width={inner} height={tapY - level} fill="rgb(31 111 134 / 0.16)" />
      {!view.empty && view.levelMl > rimMl + 0.5 && (
        <path
          d={`M${x - inner / 2} ${level - 2} Q${x} ${level + 2} ${x + inner / 2} ${level - 2}`}
          className="stroke-ink"
          strokeWidth={1}
          fill="none"
        />
      )}
      <path
        d={`M${x - outer / 2} ${top} V${tapY - 12} L${x - 4} ${tapY - 6} V${tapY + 12} L${x - 2} ${tipY} M${x + outer / 2} ${top} V${tapY - 12} L${x + 4} ${tapY - 6} V${tapY + 12} L${x + 2} ${tipY}`}
        className="stroke-ink"
        strokeWidth={1.5}
        fill="none"
      />
      {MAJOR.map((ml) => {
        const y = readingY(ml);
        const isFive = ml % 5 === 0;
        return (
          <g key={ml}>
            <line
              x1={x - outer / 2}
              x2={x - outer / 2 + (isFive ? 9 : 6)}
              y1={y}
              y2={y}
              className="stroke-ink"
              strokeWidth={0.9}
            />
            {isFive && (
              <text x={x + outer / 2 + 6} y={y + 5} fontSize={15} className="fill-ink font-mono">
                {ml}
              </text>
            )}
          </g>
        );
      })}
      <g transform={`rotate(${turn} ${x} ${tapY + 2})`}>
        <rect
          x={x - 5}
          y={tapY - 18}
          width={10}
          height={40}
          rx={4}
          className="fill-paper stroke-ink"
          strokeWidth={1.5}
        />
      </g>
      {view.bubble && (
        <ellipse
          cx={x}
          cy={tipY - 18}
          rx={2.2}
          ry={6}
          className="fill-paper stroke-ink"
          strokeWidth={1}
          data-testid="bubble"
        />
      )}
      {view.funnel && (
        <path
          d={`M${x - 26} ${top - 30} L${x - 4} ${top - 4} V${top + 26} H${x + 4} V${top - 4} L${x + 26} ${top - 30} Z`}
          className="stroke-ink fill-paper/80"
          strokeWidth={1.3}
          data-testid="funnel"
        />
      )}
      <circle cx={x} cy={tapY + 2} r={7} className="fill-paper stroke-ink" strokeWidth={1.5} />
      {view.hanging > 0 && (
        <ellipse
          cx={x}
          cy={tipY + 2 + 2 * view.hanging}
          rx={1.2 + 1.6 * view.hanging}
          ry={1 + 2.6 * view.hanging}
          className="fill-water/50 stroke-ink"
          strokeWidth={0.8}
        />
      )}
    </g>
  );
}

/** What falls from the tip while the tap is open. */
export function Falling({ view, tap }: { view: View; tap: View['tap'] }) {
  const { x, tipY } = BURETTE;
  if (tap === 'closed' || !view.running || view.empty) return null;
  if (tap === 'stream')
    return <line x1={x} x2={x} y1={tipY} y2={tipY + 138} className="stroke-water/60" strokeWidth={2.4} />;
  const seconds = tap === 'fast drops' ? 0.28 : 1.2;
  return (
    <circle
      cx={x}
      cy={tipY + 4}
      r={2.4}
      className="fill-water/70"
      style={{ animation: `fen-fall ${seconds}s cubic-bezier(0.6, 0, 1, 0.6) infinite` }}
    />
  );
}
