import { PLATE_C } from '@core/practicals/solutions/vessels';
import type { SeenPaper, View } from '@core/practicals/solutions/view';
import { FUNNEL_MM, PLATE_MM } from './station-layout';
import { solidWash, WATER_WASH } from './wash';

/** What a solid is filtered, dried and weighed with, each around its axis x = 0, its foot on y = 0. */

const line = { className: 'stroke-ink', strokeWidth: 1.3, strokeLinejoin: 'round' } as const;

/** A paper as it yellows and chars. */
const BROWNS = ['#fdfdfb', '#f3e7c4', '#c89d63', '#5b4a3c'] as const;
const GLASS_FIBRE = '#eef2f3';

const ground = ({ of, brown }: SeenPaper): string => (of === 'glass' ? GLASS_FIBRE : (BROWNS[brown] ?? BROWNS[0]));
const heap = ({ solid }: SeenPaper): number => (solid ? 2 + 1.6 * solid.much : 0);

/** A paper that lies flat, seen a little from above, with its heap; or folded in the funnel. */
export function PaperDrawing({ seen, number }: { seen: SeenPaper; number: number }) {
  const wash = seen.solid && solidWash(seen.solid);
  if (seen.at === 'funnel')
    return (
      <g>
        <path d="M-24 -20 L0 22 L24 -20 Z" fill={ground(seen)} className="stroke-ink-soft" strokeWidth={1} />
        {wash && (
          <path
            d={`M${-4 - heap(seen)} ${4 - heap(seen)} Q0 ${-heap(seen)} ${4 + heap(seen)} ${4 - heap(seen)} L0 21 Z`}
            fill={wash}
            className="stroke-ink-soft"
            strokeWidth={0.5}
          />
        )}
      </g>
    );
  return (
    <g>
      <ellipse rx={17} ry={5} fill={ground(seen)} className="stroke-ink" strokeWidth={1} />
      {seen.damp !== 'dry' && (
        <ellipse rx={seen.damp === 'wet' ? 14 : 9} ry={seen.damp === 'wet' ? 4 : 2.6} fill={WATER_WASH} />
      )}
      {wash && (
        <path
          d={`M-10 0 Q-6 ${-heap(seen) - 3} 0 ${-heap(seen) - 3} Q6 ${-heap(seen) - 3} 10 0 Q0 3.4 -10 0 Z`}
          fill={wash}
          className="stroke-ink-soft"
          strokeWidth={0.5}
        />
      )}
      <text y={14} textAnchor="middle" fontSize={7} className="fill-ink-soft">
        {seen.at === 'mat' ? number : ''}
      </text>
    </g>
  );
}

/** A funnel in its ring: the stem ends over the mouth of a beaker. */
export function FunnelDrawing() {
  const top = -FUNNEL_MM - 46;
  return (
    <g {...line} fill="none">
      <path d={`M38 0 V${top + 4} M26 0 H50 M38 ${top + 20} H15`} strokeWidth={2} />
      <path
        d={`M-29 ${top} L-3 ${-FUNNEL_MM + 4} V${-FUNNEL_MM + 18} L3 ${-FUNNEL_MM + 14} V${-FUNNEL_MM + 4} L29 ${top}`}
      />
    </g>
  );
}

export function HotPlateDrawing() {
  return (
    <g {...line}>
      <path d={`M-88 ${-PLATE_MM} H88 V${-PLATE_MM + 6} H-88 Z`} className="stroke-ink fill-mist" />
      <path d={`M-84 ${-PLATE_MM + 6} H84 L88 0 H-88 Z`} className="stroke-ink fill-paper" />
      <text y={-6} textAnchor="middle" fontSize={8} className="fill-ink-soft stroke-none">
        hot plate, {PLATE_C} °C
      </text>
    </g>
  );
}

/** The oven: what lies in it is seen through its window. */
export function OvenDrawing({ view }: { view: Pick<View, 'ovenC' | 'ovenSetC'> }) {
  return (
    <g {...line}>
      <path d="M-48 -76 H48 V0 H-48 Z" className="stroke-ink fill-paper" />
      <path d="M-42 -54 H42 V-6 H-42 Z" className="stroke-ink fill-mist" strokeWidth={1} />
      <path d="M-40 -11 H40 M-40 -26 H40 M-40 -41 H40" className="stroke-line-strong" strokeWidth={0.8} />
      <text x={-44} y={-62} fontSize={7} className="fill-ink-soft stroke-none">
        {view.ovenSetC === null ? '' : `set ${Math.round(view.ovenSetC)} °C`}
      </text>
      <text
        x={42}
        y={-61}
        textAnchor="end"
        fontSize={11}
        className="fill-ink stroke-none font-mono"
        data-testid="oven-display"
      >
        {view.ovenC} °C
      </text>
    </g>
  );
}

export function DesiccatorDrawing() {
  return (
    <g {...line} fill="none">
      <path d="M-44 -44 Q-44 -66 -10 -70 V-76 H10 V-70 Q44 -66 44 -44 Z" className="stroke-ink fill-paper" />
      <path
        d="M-47 -44 H47 V-39 H-47 Z M-44 -39 V-4 Q-44 0 -38 0 H38 Q44 0 44 -4 V-39"
        className="stroke-ink fill-mist"
      />
      <path d="M-42 -16 H42" className="stroke-ink-soft" strokeWidth={1.6} />
      <path
        d="M-36 -5 q4 -4 8 0 q4 -4 8 0 q4 -4 8 0 q4 -4 8 0 q4 -4 8 0 q4 -4 8 0 q4 -4 8 0 q4 -4 8 0 q4 -4 8 0"
        className="stroke-ink-soft"
        strokeWidth={0.9}
      />
    </g>
  );
}

export function JarDrawing() {
  return (
    <g {...line} fill="none">
      <path d="M-20 -48 H20 V-6 Q20 0 14 0 H-14 Q-20 0 -20 -6 Z" className="stroke-ink fill-paper" />
      <path
        d="M-19 -30 Q-8 -34 2 -31 Q12 -28 19 -32 V-6 Q19 -1 14 -1 H-14 Q-19 -1 -19 -6 Z"
        fill="#f4f3ee"
        strokeWidth={0.6}
      />
      <path d="M-22 -56 H22 V-48 H-22 Z" className="stroke-ink fill-mist" />
    </g>
  );
}

export function BoatDrawing({ holds }: { holds: string }) {
  return (
    <g {...line}>
      {holds !== 'empty' && (
        <path d="M-12 -8 Q0 -16 12 -8 Z" fill="#f4f3ee" className="stroke-ink-soft" strokeWidth={0.7} />
      )}
      <path d="M-22 -9 L-15 0 H15 L22 -9 Q0 -5 -22 -9 Z" className="stroke-ink fill-paper" />
    </g>
  );
}
