import { useImperativeHandle, useRef, type Ref } from 'react';
import type { Vector } from '@core/physics/flight';
import { roomOf, SLOT_KEYS, SLOTS, type Plan } from '@core/practicals/particles/plan';
import type { View } from '@core/practicals/particles/view';
import type { Shown } from './motion.worker';
import { seenFrom, VESSEL, wallsFrom, type Sight } from './projection';
import { thingProps, type SceneHands } from '../scene-thing';
import { heard, type Thing } from './things';

export interface Flying {
  show: (shown: Shown) => void;
}

interface SceneProps {
  view: View;
  labels: Plan;
  sight: Sight;
  /** Where the particle is to begin with, or on a bench that stands still. */
  shown: Shown | null;
  hands: SceneHands<Thing>;
  /** Moves the particle without drawing anything anew. */
  flying?: Ref<Flying>;
  onVesselDown?: (event: React.PointerEvent) => void;
}

/** How many places back its way is drawn. */
const TRAIL = 48;
/** The ball is drawn larger than it is, or it could hardly be seen. */
const SHOWN_LARGER = 2;

const hundredths = (x: number) => Math.round(100 * x) / 100;

const THING = 'cursor-pointer touch-none outline-none';

/** Where things are drawn for a place of the particle. */
function drawn({ place, flight }: Shown, { edgeNm, radiusNm }: ReturnType<typeof roomOf>, sight: Sight) {
  const seen = seenFrom(sight);
  const inEdges = ([x, y, z]: Vector): Vector => [x / edgeNm, y / edgeNm, z / edgeNm];
  const [x, y, z] = inEdges(place);
  // Rounded here, once: what is moved and what is drawn anew say the same place.
  const at = (spot: Vector) => {
    const { x, y, scale } = seen(spot);
    return { x: hundredths(x), y: hundredths(y), scale };
  };
  return {
    ball: at([x, y, z]),
    foot: at([x, 0, z]),
    hit: flight.hits > 0 ? at(inEdges(flight.at)) : null,
    radius: (SHOWN_LARGER * radiusNm * VESSEL.edge) / edgeNm,
  };
}

/** The vessel with its particle, and the gauges beside it. */
export function Scene({ view, labels, sight, shown, hands, flying, onVesselDown }: SceneProps) {
  const ball = useRef<SVGCircleElement>(null);
  const foot = useRef<SVGEllipseElement>(null);
  const drop = useRef<SVGLineElement>(null);
  const hit = useRef<SVGCircleElement>(null);
  const trail = useRef<SVGPathElement>(null);
  const places = useRef<Vector[]>([]);
  const room = roomOf(labels);
  const walls = wallsFrom(sight);
  const still = shown && drawn(shown, room, sight);

  useImperativeHandle(flying, () => ({
    show: (next) => {
      const last = places.current.at(-1);
      if (!last || next.place.some((x, i) => x !== last[i]))
        places.current = [...places.current.slice(1 - TRAIL), next.place];
      const now = drawn(next, room, sight);
      const set = (element: Element | null, values: Record<string, number | string>) => {
        for (const [name, value] of Object.entries(values))
          element?.setAttribute(name, typeof value === 'number' ? value.toFixed(2) : value);
      };
      set(ball.current, { cx: now.ball.x, cy: now.ball.y, r: now.radius * now.ball.scale });
      set(foot.current, {
        cx: now.foot.x,
        cy: now.foot.y,
        rx: now.radius * now.foot.scale,
        ry: 0.35 * now.radius * now.foot.scale,
      });
      set(drop.current, { x1: now.ball.x, y1: now.ball.y, x2: now.foot.x, y2: now.foot.y });
      set(hit.current, now.hit ? { cx: now.hit.x, cy: now.hit.y, visibility: 'visible' } : { visibility: 'hidden' });
      const seen = seenFrom(sight);
      const way = places.current.map(([x, y, z]) => seen([x / room.edgeNm, y / room.edgeNm, z / room.edgeNm]));
      set(trail.current, {
        d: way.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join(''),
      });
    },
  }));

  const thing = (name: Thing) => ({
    ...thingProps(name, heard(name, view), hands),
    className: THING,
  });

  return (
    <svg
      viewBox="0 0 640 434"
      className="h-full w-full"
      preserveAspectRatio="xMidYMid meet"
      data-testid="particle-scene"
    >
      <g {...thing('vessel')} onPointerDown={(event) => (hands.onSelect('vessel'), onVesselDown?.(event))}>
        <rect x={20} y={20} width={390} height={410} fill="transparent" />
        {walls
          .filter(({ isBehind }) => isBehind)
          .map(({ points, isFloor }) => (
            <polygon
              key={points}
              points={points}
              className={`stroke-ink-soft ${isFloor ? 'fill-mist' : 'fill-white'}`}
              strokeWidth={0.8}
            />
          ))}
        {walls
          .filter(({ isBehind, isFloor }) => isFloor && !isBehind)
          .map(({ points }) => (
            <polygon key={points} points={points} className="fill-mist" />
          ))}
        {view.flight && (
          <g pointerEvents="none">
            <ellipse
              ref={foot}
              cx={still?.foot.x}
              cy={still?.foot.y}
              rx={still ? still.radius * still.foot.scale : 0}
              ry={still ? 0.35 * still.radius * still.foot.scale : 0}
              className="fill-line-strong"
              opacity={0.55}
            />
            <line
              ref={drop}
              x1={still?.ball.x}
              y1={still?.ball.y}
              x2={still?.foot.x}
              y2={still?.foot.y}
              className="stroke-line-strong"
              strokeWidth={0.8}
              strokeDasharray="2 3"
            />
            <path ref={trail} className="stroke-water fill-none" strokeWidth={1.2} opacity={0.6} />
            <circle
              ref={hit}
              cx={still?.hit?.x}
              cy={still?.hit?.y}
              r={7}
              className="stroke-sedge fill-none"
              strokeWidth={1.2}
              visibility={still?.hit ? 'visible' : 'hidden'}
            />
            <circle
              ref={ball}
              cx={still?.ball.x}
              cy={still?.ball.y}
              r={still ? still.radius * still.ball.scale : 0}
              className="stroke-ink fill-[#9fc7cf]"
              strokeWidth={1.5}
              data-testid="particle"
            />
          </g>
        )}
        {walls
          .filter(({ isBehind }) => !isBehind)
          .map(({ points }) => (
            <polygon
              key={points}
              points={points}
              className="stroke-ink fill-none"
              strokeWidth={1.5}
              strokeLinejoin="round"
            />
          ))}
        {hands.selected === 'vessel' && (
          <rect
            x={22}
            y={22}
            width={386}
            height={388}
            rx={4}
            className="stroke-water fill-none"
            strokeDasharray="4 4"
          />
        )}
        <text x={215} y={422} textAnchor="middle" fontSize={13} className="fill-ink-soft">
          a cube, edge {labels.edgeNm} nm
        </text>
      </g>
      {SLOT_KEYS.map((slot, i) => (
        <g key={slot} {...thing(slot)} transform={`translate(436 ${52 + 112 * i})`}>
          <rect
            width={184}
            height={92}
            rx={3}
            className={`fill-paper ${hands.selected === slot ? 'stroke-water' : 'stroke-ink'}`}
            strokeWidth={hands.selected === slot ? 2 : 1.5}
          />
          <text x={12} y={22} fontSize={13} className="fill-ink-soft">
            {slot === 'T' ? 'its energy stands for' : SLOTS[slot].label}
          </text>
          <rect x={12} y={32} width={120} height={46} rx={2} className="fill-mist stroke-ink" strokeWidth={1} />
          <text
            x={124}
            y={64}
            fontSize={26}
            textAnchor="end"
            className="fill-ink font-mono"
            data-testid={`gauge-${slot}`}
          >
            {view.gauges?.[slot] ?? '–'}
          </text>
          <text x={140} y={64} fontSize={16} className="fill-ink-soft">
            {SLOTS[slot].unit}
          </text>
        </g>
      ))}
    </svg>
  );
}
