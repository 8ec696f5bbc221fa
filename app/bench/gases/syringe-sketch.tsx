import { memo } from 'react';
import { SYRINGE_ML } from '@core/practicals/gases/pieces';
import { BARREL_MM, BORE_MM, MM_PER_ML, NOZZLE_MM, ROD_MM, RUBBER_MM, WALL_MM } from './layout';

const HALF = BORE_MM / 2;
const LINES = Array.from({ length: SYRINGE_ML / 2 + 1 }, (_, i) => 2 * i);

/** Its lines and numbers: drawn once, whatever moves behind them. */
const Scale = memo(function Scale({ lies }: { lies: boolean }) {
  return (
    <>
      {LINES.map((line) => (
        <path
          key={line}
          d={`M${-HALF} ${-line * MM_PER_ML} h${line % 10 === 0 ? 13 : 7}`}
          strokeWidth={line % 10 === 0 ? 0.9 : 0.5}
        />
      ))}
      {LINES.filter((line) => line % 20 === 0).map((line) => (
        <text
          key={line}
          {...(lies
            ? { transform: `translate(13 ${-line * MM_PER_ML}) rotate(-90)`, textAnchor: 'middle' }
            : { x: HALF - 2, y: -line * MM_PER_ML + 3.4, textAnchor: 'end' })}
          fontSize={9}
          stroke="none"
          className="fill-ink font-mono"
        >
          {line}
        </text>
      ))}
    </>
  );
});

/** A syringe that stands on its nozzle: the foot of its barrel is y = 0, its axis x = 0, and volumes go upwards. */
export function SyringeDrawing({ ml, label, lies = false }: { ml: number; label?: string; lies?: boolean }) {
  const y = -ml * MM_PER_ML;
  return (
    <g className="stroke-ink" strokeWidth={1.2} fill="none">
      <path d={`M-3 ${NOZZLE_MM} V0 M3 ${NOZZLE_MM} V0`} />
      {/* The plunger: rubber, rod, thumb plate. */}
      <path d={`M-2.5 ${y - RUBBER_MM} V${y - ROD_MM} M2.5 ${y - RUBBER_MM} V${y - ROD_MM}`} />
      <path d={`M-13 ${y - ROD_MM} H13 v-4 H-13 Z`} className="stroke-ink fill-paper" />
      <rect
        x={-HALF}
        y={y - RUBBER_MM}
        width={BORE_MM}
        height={RUBBER_MM}
        className="stroke-ink fill-ink-soft"
        data-testid="plunger-rubber"
      />
      <path d={`M${-HALF} ${y} H${HALF}`} strokeWidth={2} />
      <path
        d={`M${-HALF} ${-BARREL_MM} V0 H${HALF} V${-BARREL_MM} M${-HALF - WALL_MM} ${-BARREL_MM} V${WALL_MM} H-3 M${HALF + WALL_MM} ${-BARREL_MM} V${WALL_MM} H3 M${-HALF - 8} ${-BARREL_MM} H${-HALF} M${HALF} ${-BARREL_MM} H${HALF + 8}`}
      />
      <Scale lies={lies} />
      {label !== undefined && (
        <g>
          <rect
            x={-24}
            y={-BARREL_MM - 17}
            width={48}
            height={15}
            className="fill-paper stroke-ink"
            strokeWidth={0.8}
          />
          <text y={-BARREL_MM - 5.6} fontSize={11} textAnchor="middle" stroke="none" className="fill-ink font-serif">
            {label}
          </text>
        </g>
      )}
    </g>
  );
}
