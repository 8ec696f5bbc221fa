import { memo } from 'react';
import { GAS_TUBE } from './layout';
import { TUBE_MM_PER_ML, TUBE_ML } from '@core/practicals/gases/pieces';

const LINES = Array.from({ length: TUBE_ML + 1 }, (_, i) => i);

const half = GAS_TUBE.bore / 2;

/** Its lines and numbers: drawn once, whatever moves behind them. */
const Scale = memo(function Scale() {
  return (
    <>
      {LINES.map((line) => (
        <path
          key={line}
          d={`M${-half} ${line * TUBE_MM_PER_ML} h${line % 10 === 0 ? 11 : line % 5 === 0 ? 8 : 5}`}
          strokeWidth={line % 10 === 0 ? 0.8 : 0.45}
        />
      ))}
      {[10, 20, 30, 40, 50].map((line) => (
        <text
          key={line}
          x={half + 12}
          y={line * TUBE_MM_PER_ML + 3}
          fontSize={8.5}
          textAnchor="end"
          stroke="none"
          className="fill-ink font-mono"
        >
          {line}
        </text>
      ))}
    </>
  );
});

/** A gas tube upside down: its closed end is y = 0, its axis x = 0; volumes go downwards. */
export function GasTubeDrawing({
  gasMm,
  hangs,
  fizzes,
  length,
}: {
  gasMm: number;
  hangs: boolean;
  fizzes: boolean;
  length: number;
}) {
  const level = Math.min(Math.max(gasMm, 1), length);
  return (
    <g className="stroke-ink fill-none" strokeWidth={1.2}>
      <rect
        x={-half}
        y={level}
        width={2 * half}
        height={Math.max(length - level, 0)}
        fill="rgb(31 111 134 / 0.2)"
        stroke="none"
      />
      <path
        d={`M${-half} ${level - 1} Q0 ${level + 2} ${half} ${level - 1}`}
        className="stroke-water"
        strokeWidth={1.4}
      />
      <path
        d={`M${-half} ${length} V4 Q${-half} 0 0 0 Q${half} 0 ${half} 4 V${length} M${-half - 2} ${length} V3 Q${-half - 2} -2 0 -2 Q${half + 2} -2 ${half + 2} 3 V${length}`}
      />
      <Scale />
      {hangs && (
        <g>
          <path d={`M0 ${length + 3} V${length - 18}`} strokeWidth={0.8} />
          {fizzes && (
            <g data-testid="fizz">
              <path d={`M-4 ${length - 20} q2 -4 4 0 t4 0`} className="stroke-ink-soft" strokeWidth={2.6} />
              {[0, 1, 2, 3, 4].map((i) => (
                <circle
                  key={i}
                  cx={((i * 37) % 11) - 5}
                  cy={length - 28 - i * ((length - 34 - level) / 5)}
                  r={1.3}
                  className="stroke-water"
                />
              ))}
            </g>
          )}
        </g>
      )}
    </g>
  );
}

/** A ruler held to the water, its nought at the level outside. */
export function RulerDrawing({ x, zeroY }: { x: number; zeroY: number }) {
  return (
    <g className="stroke-ink" strokeWidth={0.6}>
      <rect
        x={x - 8}
        y={zeroY - 168}
        width={18}
        height={318}
        className="stroke-ink fill-paper"
        strokeWidth={1}
        opacity={0.9}
      />
      {Array.from({ length: 32 }, (_, i) => 10 * (i - 15)).map((mm) => (
        <path key={mm} d={`M${x - 8} ${zeroY - mm} h${mm % 50 === 0 ? 9 : 5}`} />
      ))}
      {[-100, -50, 0, 50, 100, 150].map((mm) => (
        <text
          key={mm}
          x={x + 9}
          y={zeroY - mm - 1.5}
          fontSize={6.5}
          textAnchor="end"
          stroke="none"
          className="fill-ink font-mono"
        >
          {String(Math.abs(mm))}
        </text>
      ))}
    </g>
  );
}
