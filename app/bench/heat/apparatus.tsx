import { THERMOMETERS } from '@core/instruments/thermometer';
import { isByEye, type Plan } from '@core/practicals/heat/plan';
import type { SeenPiece, View } from '@core/practicals/heat/view';
import { LIQUID_WASH, SOLID_WASH } from '../washes';
import { BATH, BENCH_Y, BLOCK, tipOf, type Layout } from './layout';

/** What stands on the bench of heat beside its vessels, each drawn by itself. */

/** A piece of metal, standing on y = 0 around x = 0. */
export function PieceDrawing({ piece, look, isShot }: { piece: SeenPiece; look: View['look']; isShot: boolean }) {
  const [width, height] = piece.size;
  const fill = SOLID_WASH[look ?? 'grey metal'];
  if (isShot)
    return (
      <g fill={fill} className="stroke-ink" strokeWidth={0.7}>
        {Array.from({ length: 15 }, (_, i) => {
          const row = i < 6 ? 0 : i < 11 ? 1 : 2;
          const inRow = [6, 5, 4][row] as number;
          const nth = i - [0, 6, 11][row]!;
          const r = width / 10;
          return <circle key={i} cx={(nth - (inRow - 1) / 2) * 2.1 * r} cy={-r - row * 1.8 * r} r={r} />;
        })}
      </g>
    );
  return (
    <g className="stroke-ink" strokeWidth={1.2}>
      <path d={`M${-width / 2} ${-height} V-2 Q0 3 ${width / 2} -2 V${-height}`} fill={fill} />
      <ellipse cx={0} cy={-height} rx={width / 2} ry={2.4} fill={fill} />
      {piece.wet && (
        <path
          d={`M${-width / 4} ${-height / 3} v5 M${width / 5} ${-height / 2} v5`}
          className="stroke-water"
          strokeWidth={2}
        />
      )}
    </g>
  );
}

/** A bath at a temperature that is set: bubbles where it boils, ice where it is that cold. */
export function Bath({
  x,
  setC,
  boils = false,
  word,
}: {
  x: number;
  setC: number | null;
  boils?: boolean;
  word: string;
}) {
  const [w, h] = [BATH.width, BATH.height];
  const top = -BATH.baseMm - BATH.waterMm;
  const rim = -BATH.baseMm - h + 12;
  const isIcy = setC !== null && setC < 5;
  return (
    <g transform={`translate(${x} ${BENCH_Y})`}>
      <rect x={-w / 2 + 3} y={top} width={w - 6} height={BATH.waterMm} fill={LIQUID_WASH.clear} />
      <path d={`M${-w / 2 + 3} ${top} H${w / 2 - 3}`} className="stroke-water" strokeWidth={1} />
      {boils &&
        [-60, -28, 2, 30, 58].map((at, i) => (
          <circle
            key={at}
            cx={at}
            cy={-BATH.baseMm - 18 - 9 * (i % 3)}
            r={2.5}
            className="stroke-water fill-none"
            strokeWidth={1}
          />
        ))}
      {isIcy &&
        [-66, -40, 44, 66].map((at, i) => (
          <rect
            key={at}
            x={at - 8}
            y={top + 2 + 5 * (i % 2)}
            width={16}
            height={12}
            className="stroke-water fill-white"
            strokeWidth={1}
          />
        ))}
      <path
        d={`M${-w / 2} ${rim} V${-BATH.baseMm} H${w / 2} V${rim} M${-w / 2 + 3} ${rim} V${-BATH.baseMm - 3} H${w / 2 - 3} V${rim}`}
        className="stroke-ink fill-none"
        strokeWidth={1.2}
      />
      <rect
        x={-w / 2}
        y={-BATH.baseMm}
        width={w}
        height={BATH.baseMm}
        className="fill-paper stroke-ink"
        strokeWidth={1.4}
      />
      <text x={-w / 2 + 8} y={-8} fontSize={13} className="fill-ink">
        {setC === null ? (
          'off'
        ) : (
          <>
            set <tspan className="font-mono">{setC.toFixed(1).replace('-', '\u2212')}</tspan> °C
          </>
        )}
      </text>
      <text x={w / 2 - 8} y={-8} fontSize={12} textAnchor="end" className="fill-ink-soft">
        {word}
      </text>
    </g>
  );
}

export function Block({ view, x }: { view: View; x: number }) {
  const [w, h] = [BLOCK.width, BLOCK.height];
  return (
    <g transform={`translate(${x} ${BENCH_Y})`}>
      <path
        d={`M${-w / 2} ${-h} H${-w / 2 + 12} V${-h + BLOCK.wellMm} H${w / 2 - 24} V${-h} H${w / 2 - 18} V${-h + 42} H${w / 2 - 9} V${-h} H${w / 2} V0 H${-w / 2} Z`}
        fill="#c9cfcb"
        className="stroke-ink"
        strokeWidth={1.3}
      />
      <text x={0} y={-8} fontSize={12} textAnchor="middle" className="fill-ink">
        {view.block.setC === null ? (
          'off'
        ) : (
          <>
            set <tspan className="font-mono">{view.block.setC.toFixed(0)}</tspan> °C{view.block.warms ? ' …' : ''}
          </>
        )}
      </text>
    </g>
  );
}

/** A thermometer from its tip upwards: a column in glass, or a probe whose cable goes to its display. */
export function ThermometerDrawing({ n, view, labels, at }: { n: number; view: View; labels: Plan; at: Layout }) {
  const tip = tipOf(n, view, at);
  const seen = view.thermometers[n];
  if (!isByEye(labels))
    return (
      <path d={`M${tip.x} ${tip.y} V${tip.y - 128}`} className="stroke-ink" strokeWidth={3.2} strokeLinecap="round" />
    );
  const { minC, maxC } = THERMOMETERS[labels.thermometer];
  const top = ((Math.max(seen?.columnC ?? minC, minC) - minC) / (maxC - minC)) * 170;
  return (
    <g transform={`translate(${tip.x} ${tip.y})`}>
      <path d="M-3 -198 Q0 -202 3 -198 V-4 Q0 2 -3 -4 Z" className="stroke-ink fill-paper" strokeWidth={1} />
      <path d={`M0 -4 V${-12 - top}`} className="stroke-rust" strokeWidth={2} />
      <circle cx={0} cy={-3} r={3} className="fill-rust stroke-ink" strokeWidth={0.8} />
    </g>
  );
}

/** The displays of digital thermometers, one under another. */
export function Display({ n, view, x, y }: { n: number; view: View; x: number; y: number }) {
  const seen = view.thermometers[n];
  return (
    <g transform={`translate(${x} ${y})`}>
      <rect width={146} height={48} rx={3} className="fill-paper stroke-ink" strokeWidth={1.4} />
      <circle cx={13} cy={24} r={5} className={n === 0 ? 'fill-water' : 'fill-sedge'} />
      <rect x={24} y={8} width={84} height={32} rx={2} className="fill-mist stroke-ink" strokeWidth={0.9} />
      <text
        x={102}
        y={31}
        fontSize={seen?.text === 'out of range' ? 11 : 21}
        textAnchor="end"
        className="fill-ink font-mono"
        data-testid={`thermometer-${n + 1}`}
      >
        {seen?.text}
      </text>
      <text x={114} y={31} fontSize={14} className="fill-ink-soft">
        °C
      </text>
    </g>
  );
}

/** A thin cable, hanging between a probe and its display. */
export function Cable({ from, to, n }: { from: { x: number; y: number }; to: { x: number; y: number }; n: number }) {
  return (
    <path
      d={`M${from.x} ${from.y} C${from.x} ${from.y - 40} ${to.x} ${to.y + 50} ${to.x} ${to.y}`}
      className={`fill-none ${n === 0 ? 'stroke-water' : 'stroke-sedge'}`}
      strokeWidth={1}
      opacity={0.55}
      pointerEvents="none"
    />
  );
}
