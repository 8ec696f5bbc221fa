import type { Plan } from '@core/practicals/measuring/plan';
import type { SeenLot, View } from '@core/practicals/measuring/view';
import { BalanceDrawing, PAN_MM } from '../balance-sketch';
import { BENCH_Y, layoutOf, levelMm, lipMm, mouthOf, sizeOf, type Layout } from './layout';
import { SceneThing, type Room, type SceneHands } from '../scene-thing';
import { heard } from './tell';
import { vesselsOnBench, type Thing } from './things';
import { Vessel } from './vessel';
import { SOLID_WASH } from '../washes';

interface SceneProps {
  view: View;
  labels: Plan;
  hands: SceneHands<Thing>;
}

/** A piece or a heap of pieces on a dish. */
function Pieces({ lot, count }: { lot: SeenLot; count: number }) {
  const [width, height] = lot.size;
  const fill = SOLID_WASH[lot.look];
  if (count === 0) return null;
  if (lot.shape === 'block')
    return (
      <g className="stroke-ink" strokeWidth={1.1}>
        <rect x={-width / 2} y={-height} width={width} height={height} fill={fill} />
        <path
          d={`M${-width / 2} ${-height} l7 -6 H${width / 2 + 7} l-7 6 M${width / 2 + 7} ${-height - 6} v${height} l-7 6`}
          fill={fill}
        />
      </g>
    );
  if (lot.shape === 'cylinder')
    return (
      <g className="stroke-ink" strokeWidth={1.1}>
        <path d={`M${-width / 2} ${-height} V-3 Q0 3 ${width / 2} -3 V${-height}`} fill={fill} />
        <ellipse cx={0} cy={-height} rx={width / 2} ry={3} fill={fill} />
      </g>
    );
  const radius = width / 2;
  if (lot.shape === 'sphere')
    return <circle cx={0} cy={-radius} r={radius} fill={fill} className="stroke-ink" strokeWidth={1.1} />;
  const across = Math.max(Math.floor(74 / (2 * radius)), 1);
  return Array.from({ length: count }, (_, i) => {
    const row = Math.floor(i / across);
    const inRow = Math.min(across, count - row * across);
    const x = ((i % across) - (inRow - 1) / 2) * 2 * radius;
    return (
      <circle
        key={i}
        cx={x}
        cy={-radius - row * 1.7 * radius}
        r={radius}
        fill={fill}
        className="stroke-ink"
        strokeWidth={0.8}
      />
    );
  });
}

function Balance({ view, x }: { view: View; x: number }) {
  const lot = view.lots.find((one) => one.onPan > 0);
  return (
    <g transform={`translate(${x} ${BENCH_Y})`}>
      {lot && (
        <g transform={`translate(0 ${-PAN_MM - 1})`}>
          <Pieces lot={lot} count={lot.onPan} />
        </g>
      )}
      <BalanceDrawing display={view.balance ?? ''} />
      {view.pan.wet && (
        <path
          d={`M-40 ${-PAN_MM - 1} q4 -3 8 0 M24 ${-PAN_MM - 1} q4 -3 8 0`}
          className="fill-water/60"
          data-testid="wet-pan"
        />
      )}
    </g>
  );
}

/** The tap, and what runs from it. */
function Tap({ view, x, layout }: { view: View; x: number; layout: Layout }) {
  const under = view.vessels.find((vessel) => vessel.tap !== 'off' && !vessel.away);
  const at = under && layout.vessels.get(under.number);
  const top = BENCH_Y - 330;
  const end = at && under ? at.y - 4 - levelMm(under.type, view.levels[under.number - 1] ?? 0) : BENCH_Y;
  return (
    <g>
      <path
        d={`M${x - 26} ${BENCH_Y} V${top - 20} Q${x - 26} ${top - 46} ${x - 4} ${top - 46} Q${x + 21} ${top - 46} ${x + 21} ${top} H${x + 11} Q${x + 11} ${top - 34} ${x - 4} ${top - 34} Q${x - 16} ${top - 34} ${x - 16} ${top - 20} V${BENCH_Y}`}
        className="stroke-ink fill-paper"
        strokeWidth={1.5}
      />
      <path
        d={`M${x - 34} ${top + 40} H${x - 8} M${x - 21} ${top + 40} V${top + 26}`}
        className="stroke-ink"
        strokeWidth={4}
      />
      {under && (
        <line
          x1={x + 16}
          x2={x + 16}
          y1={top}
          y2={end}
          className="stroke-water/60"
          strokeWidth={under.tap === 'stream' ? 6 : 2}
        />
      )}
    </g>
  );
}

/** Where a tool is held over the bench, and how long the longest is, mm. */
const HELD_MM = 130;
const TOOL_MM = 216;

/** The piece between the jaws of the calliper, or along the ruler. */
function HeldTool({ view, x }: { view: View; x: number }) {
  const { held } = view;
  const lot = held && view.lots[held.lot];
  if (!held || !lot || view.look.at !== 'tool') return null;
  const fill = SOLID_WASH[lot.look];
  const length = held.toMm - held.fromMm;
  const piece =
    lot.shape === 'sphere' ? (
      <circle cx={held.fromMm + length / 2} cy={22} r={length / 2} fill={fill} />
    ) : (
      <rect x={held.fromMm} y={10} width={length} height={24} fill={fill} />
    );
  return (
    <g transform={`translate(${x} ${BENCH_Y - HELD_MM})`} className="stroke-ink" strokeWidth={1.2} aria-hidden>
      {piece}
      {held.tool === 'calliper' ? (
        <>
          <path d="M-14 -16 H172 V-4 H0 V40 L-14 34 Z" className="fill-paper/70" />
          <path
            d={`M${length} 40 V-4 H${length + 34} V-20 H${length - 2} V-4 H${length + 14} V34 Z`}
            className="fill-paper/70"
          />
        </>
      ) : (
        <path
          d={`M-4 36 H206 V58 H-4 Z ${Array.from({ length: 41 }, (_, i) => `M${5 * i} 36 v${i % 2 === 0 ? 9 : 5}`).join(' ')}`}
          className="fill-paper"
          strokeWidth={0.9}
        />
      )}
    </g>
  );
}

/** The bench of measuring, drawn to scale. */
export function Scene({ view, labels, hands }: SceneProps) {
  const layout = layoutOf(view, labels);
  const thing = (name: Thing, room: Room, drawing: React.ReactNode) => (
    <SceneThing key={name} name={name} heard={heard(name, view)} room={room} hands={hands}>
      {drawing}
    </SceneThing>
  );
  const vessels = vesselsOnBench(view);
  return (
    <svg
      viewBox={`0 ${BENCH_Y + 34 - layout.height} ${layout.width} ${layout.height}`}
      preserveAspectRatio="xMidYMax meet"
      className="size-full touch-none"
      role="group"
      aria-label="The bench"
    >
      <line x1={-2000} x2={4000} y1={BENCH_Y} y2={BENCH_Y} className="stroke-line-strong" strokeWidth={1.5} />
      {layout.tap !== null &&
        thing(
          'tap',
          { x: layout.tap - 40, y: BENCH_Y - 384, width: 76, height: 384 },
          <Tap view={view} x={layout.tap} layout={layout} />,
        )}
      {layout.balance !== null &&
        thing(
          'balance',
          { x: layout.balance - 92, y: BENCH_Y - 70, width: 184, height: 74 },
          <Balance view={view} x={layout.balance} />,
        )}
      {vessels.map((vessel) => {
        const own = layout.vessels.get(vessel.number) as { x: number; y: number };
        const target = vessel.tilt && vessels.find((other) => other.number === vessel.tilt?.to);
        const over = target && layout.vessels.get(target.number);
        const { foot, height } = sizeOf(vessel.type);
        // A tilted vessel is held with its lip over the mouth of the other.
        const mouth = target && over ? mouthOf(target, over) : null;
        const at = mouth ? { x: mouth.x + lipMm(vessel.type), y: mouth.y - 12 + height } : own;
        return thing(
          `vessel:${vessel.number}`,
          { x: own.x - foot / 2 - 4, y: own.y - height - 8, width: foot + 8, height: height + 30 },
          <>
            <text
              x={own.x}
              y={Math.max(own.y, BENCH_Y) + 18}
              fontSize={13}
              textAnchor="middle"
              className="fill-ink-soft"
            >
              {vessel.type === 'supply' ? '' : vessel.number}
              {vessel.type !== 'supply' && vessel.name ? ` ${vessel.name.slice(0, 12)}` : ''}
            </text>
            {mouth && target && over && !vessel.empty && (
              <line
                x1={mouth.x}
                x2={mouth.x}
                y1={mouth.y - 12}
                y2={over.y - 6 - levelMm(target.type, view.levels[target.number - 1] ?? 0)}
                className="stroke-water/60"
                strokeWidth={view.running && (vessel.tilt?.degrees ?? 0) > 40 ? 2.4 : 1.2}
              />
            )}
            <g transform={`translate(${at.x} ${at.y})`}>
              <Vessel vessel={vessel} view={view} appearance={labels.appearance} />
            </g>
          </>,
        );
      })}
      {view.lots.map((lot, i) => {
        const x = layout.lots[i] as number;
        return thing(
          `lot:${i + 1}`,
          { x: x - 47, y: BENCH_Y - 74, width: 94, height: 98 },
          <g transform={`translate(${x} ${BENCH_Y - 8})`}>
            <Pieces lot={lot} count={lot.onDish} />
            <path d="M-45 -7 Q-42 8 -28 8 H28 Q42 8 45 -7" className="stroke-ink" strokeWidth={1.3} fill="none" />
            {lot.wet && <path d="M-20 -4 q2 4 0 6 q-2 -2 0 -6 M16 -4 q2 4 0 6 q-2 -2 0 -6" className="fill-water/70" />}
            <text x={0} y={26} fontSize={14} textAnchor="middle" className="fill-ink">
              {lot.letter}
              {lot.pieces > 1 ? `, ${lot.onDish} left` : ''}
            </text>
          </g>,
        );
      })}
      <HeldTool view={view} x={Math.min((layout.lots[view.held?.lot ?? 0] ?? 200) - 40, layout.width - TOOL_MM)} />
      {view.spiltMl > 0.05 && (
        <ellipse
          cx={layout.vessels.get(view.spiltAt)?.x ?? layout.width * 0.46}
          cy={BENCH_Y + 4}
          rx={20 + 2 * Math.min(view.spiltMl, 30)}
          ry={4}
          className="fill-water/30"
          data-testid="spilt"
        />
      )}
    </svg>
  );
}
