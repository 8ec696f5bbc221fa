import type { SeenCrucible, View } from '@core/practicals/hydrates/view';
import { ringColour } from './colour';
import { BURNER_MM, CRUCIBLE, TRIPOD_MM } from './layout';

/** What stands on the bench of hydrates, each drawn by itself: its foot on y = 0, its axis x = 0. */

const line = { className: 'stroke-ink', strokeWidth: 1.3, strokeLinejoin: 'round' } as const;
const { width, foot, height } = CRUCIBLE;

export function LidDrawing({ tilt }: { tilt: boolean }) {
  return (
    <g {...line} transform={tilt ? 'rotate(-9)' : undefined}>
      <path d="M-25 0 Q-20 -6 -4 -6 Q-4 -11 0 -11 Q4 -11 4 -6 Q20 -6 25 0 Z" className="stroke-ink fill-paper" />
    </g>
  );
}

export function CrucibleDrawing({ seen }: { seen: SeenCrucible }) {
  const outline = `M${-width / 2} ${-height} Q${-width / 2 + 2} -8 ${-foot / 2} 0 H${foot / 2} Q${width / 2 - 2} -8 ${width / 2} ${-height} Z`;
  return (
    <g {...line} fill="none">
      <path d={outline} fill={seen.glows ? '#e3a07f' : '#fbfaf6'} data-testid="crucible-body" />
      {seen.soot > 0 && (
        <path
          d={`M${-foot / 2 - 2} -6 Q0 -13 ${foot / 2 + 2} -6 L${foot / 2} 0 H${-foot / 2} Z`}
          className="fill-ink"
          stroke="none"
          opacity={seen.soot > 1 ? 0.75 : 0.35}
          data-testid="soot"
        />
      )}
      {seen.isCracked && <path d={`M-3 ${-height} l5 11 l-6 9 l6 10 l-3 8`} strokeWidth={1.6} data-testid="crack" />}
      {seen.spat && <path d={`M${width / 2 + 5} -2 h2 m4 1 h1 m-${width + 16} 0 h2 m3 -1 h1`} strokeWidth={2} />}
    </g>
  );
}

/** Vapour over it, and what jumps out. */
export function Vapour({ seen }: { seen: SeenCrucible }) {
  const top = -height - (seen.lid === 'on' ? 14 : 6);
  return (
    <g className="stroke-ink-soft fill-none" strokeWidth={1.1}>
      {seen.steams && (
        <path
          d={[-10, 0, 10].map((x) => `M${x} ${top} q-5 -7 0 -13 q5 -7 0 -13`).join(' ')}
          opacity={seen.lid === 'on' ? 0.45 : 0.8}
          data-testid="vapour"
        />
      )}
      {seen.spits && (
        <path
          d={`M-14 ${top - 4} l-5 -7 M-4 ${top - 10} l-2 -9 M7 ${top - 8} l3 -9 M15 ${top - 3} l6 -6`}
          className="stroke-ink"
          strokeWidth={2}
          strokeLinecap="round"
          data-testid="spitting"
        />
      )}
    </g>
  );
}

export function TripodDrawing({ at }: { at: SeenCrucible['at'] }) {
  const top = -TRIPOD_MM;
  return (
    <g {...line} fill="none">
      <path d={`M-50 ${top + 3} H50 M-46 ${top + 3} L-56 0 M46 ${top + 3} L56 0`} strokeWidth={2.2} />
      {at === 'gauze' ? (
        <g data-testid="gauze">
          <path d={`M-44 ${top} H44`} strokeWidth={1.6} />
          <path
            d={`M-40 ${top} l4 3 m4 -3 l4 3 m4 -3 l4 3 m4 -3 l4 3 m4 -3 l4 3 m4 -3 l4 3 m4 -3 l4 3 m4 -3 l4 3 m4 -3 l4 3`}
            strokeWidth={0.8}
          />
        </g>
      ) : (
        <path
          d={`M-46 ${top + 1} H-20 M20 ${top + 1} H46`}
          strokeWidth={4}
          className="stroke-ink-soft"
          data-testid="triangle"
        />
      )}
    </g>
  );
}

const FLAMES = {
  none: null,
  yellow: {
    outer: 'M-7 0 Q-15 -20 -5 -36 Q-4 -48 2 -58 Q2 -46 9 -34 Q15 -18 7 0 Z',
    inner: '',
    fill: '#e9b949',
    core: '',
  },
  blue: {
    outer: 'M-6 0 Q-11 -20 0 -46 Q11 -20 6 0 Z',
    inner: 'M-4 0 Q-4 -11 0 -20 Q4 -11 4 0 Z',
    fill: '#a9c4e6',
    core: '#5f8fcb',
  },
  roaring: {
    outer: 'M-5 0 L-9 -18 L-4 -26 L0 -52 L4 -26 L9 -18 L5 0 Z',
    inner: 'M-3.5 0 L0 -28 L3.5 0 Z',
    fill: '#b9cfec',
    core: '#3f74b8',
  },
} as const;

export function BurnerDrawing({ view }: { view: View }) {
  const shape = FLAMES[view.flame];
  const k = 0.55 + 0.045 * view.burner.gas;
  const open = Math.min(view.burner.air, 10) / 10;
  return (
    <g>
      {shape && (
        <g transform={`translate(0 ${-BURNER_MM}) scale(${k})`} data-testid={`flame-${view.flame}`}>
          <path d={shape.outer} fill={shape.fill} className="stroke-ink-soft" strokeWidth={0.8} />
          {shape.inner && <path d={shape.inner} fill={shape.core} stroke="none" />}
          {view.flame === 'roaring' && (
            <path
              d="M-15 -24 l-5 -6 M15 -24 l5 -6 M-13 -40 l-5 -5 M13 -40 l5 -5"
              className="stroke-ink-soft"
              strokeWidth={1.1}
            />
          )}
        </g>
      )}
      {view.leaks && (
        <path
          d={`M-4 ${-BURNER_MM - 4} q-3 -6 0 -11 M4 ${-BURNER_MM - 4} q3 -6 0 -11`}
          className="stroke-ink-soft fill-none"
          strokeDasharray="2 3"
          data-testid="leak"
        />
      )}
      <g {...line} fill="none">
        <path d={`M-6 ${-BURNER_MM} H6 L5 -22 H-5 Z`} className="stroke-ink fill-paper" />
        <path d="M-8 -38 H8 V-24 H-8 Z" className="stroke-ink fill-paper" />
        <path d="M-26 0 Q-22 -10 -6 -14 H6 Q22 -10 26 0 Z" className="stroke-ink fill-paper" />
        <path d="M8 -16 H34 M34 -16 q8 0 8 8 V0" />
        <circle cx={-3.5} cy={-31} r={1 + 2.4 * open} className="fill-ink" stroke="none" />
        <g transform={`translate(26 -16) rotate(${90 - 9 * view.burner.gas})`}>
          <path d="M0 -7 V7" strokeWidth={3} />
        </g>
      </g>
    </g>
  );
}

export function DesiccatorDrawing() {
  return (
    <g {...line} fill="none">
      <path d="M-46 -42 Q-50 -10 -26 0 H26 Q50 -10 46 -42 Z" className="stroke-ink fill-paper" />
      <path d="M-48 -42 H48 M-46 -44 Q-44 -78 -8 -84 V-92 H8 V-84 Q44 -78 46 -44" />
      <path d="M-41 -28 H41" strokeDasharray="5 3" />
      <path d="M-22 -8 h3 m4 2 h3 m5 -3 h3 m4 3 h3 m5 -2 h3" strokeWidth={2.4} className="stroke-ink-soft" />
    </g>
  );
}

/** How far its surface reaches in a crucible that widens upwards, as a part of its rim: the less lies in it the lower. */
const reach = (fill: number) => 0.58 + 0.42 * Math.sqrt(Math.min(fill, MOST) / MOST);
const MOST = 32;

/** Radii of the rings of the sample, as parts of that: each 1/4 deep. */
const OUTER = [1, 0.75, 0.5, 0.25];

/** The crucible from above: the colour of each ring, from the rim inwards. */
export function FromAbove({ seen, radius }: { seen: SeenCrucible; radius: number }) {
  return (
    <g {...line}>
      <circle r={radius * 1.12} fill="#fbfaf6" />
      <circle r={radius} fill={seen.glows ? '#e3a07f' : '#e4e1d6'} />
      {seen.isCracked && (
        <path d={`M${-radius} -8 l18 6 l12 -9 l16 12 l20 -8 l${radius} 10`} fill="none" strokeWidth={2} />
      )}
      {seen.rings.map((ring, i) => (
        <circle
          key={i}
          r={radius * reach(seen.fill) * (OUTER[i] ?? 1)}
          fill={ringColour(ring)}
          stroke="none"
          data-testid={`ring-${i + 1}`}
        />
      ))}
      {seen.lid !== 'off' && (
        <g transform={seen.lid === 'ajar' ? `translate(${radius * 0.95} 0)` : undefined} data-testid="lid-above">
          <circle r={radius * 1.16} className="stroke-ink fill-paper" />
          <circle r={radius * 0.2} className="stroke-ink fill-paper" />
          {seen.steams && seen.lid === 'on' && (
            <path
              d={`M${-radius * 0.6} ${radius * 0.4} h4 m10 6 h4 m12 -14 h4`}
              className="stroke-water"
              strokeWidth={2.4}
            />
          )}
        </g>
      )}
    </g>
  );
}
