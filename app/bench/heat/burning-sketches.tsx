import { SEALED_VESSEL } from '@core/databook/heat-vessels';
import type { SeenLamps, SeenSealed } from '@core/practicals/heat/burning/seen-fire';
import { LIQUID_WASH } from '../washes';
import { DISH_MM, JACKET_MM, outerOf, WICK_MM } from './layout';

/** What burns and what it burns in, each drawn by itself with its foot on y = 0 around x = 0. */

const R = SEALED_VESSEL.diameterMm / 2;
const H = SEALED_VESSEL.heightMm;
const STEEL = '#b6bfbd';

/** The screwed head with its valve, its underside on y = 0. */
const Head = () => (
  <g className="stroke-ink" strokeWidth={1.3}>
    <path d={`M${-R - 3} 0 V-13 H${R + 3} V0 Z`} fill={STEEL} />
    <path d="M-5 -13 V-22 H5 V-13 M-10 -22 H10 V-26 H-10 Z" className="fill-paper" />
    <path d="M16 -13 V-19 M22 -13 V-19" strokeWidth={2.2} />
  </g>
);

const Body = () => (
  <path
    d={`M${-R} ${-H} V-6 Q${-R} 0 ${-R + 8} 0 H${R - 8} Q${R} 0 ${R} -6 V${-H} Z`}
    fill={STEEL}
    className="stroke-ink"
    strokeWidth={1.3}
  />
);

/** Posts, dish and wire under the head of the open vessel, which hangs on its stand. */
function Inside({ sealed }: { sealed: SeenSealed }) {
  const dish = -DISH_MM;
  const [wireY, pelletTop] = [dish - 14, dish - 7];
  return (
    <g className="stroke-ink fill-none" strokeWidth={1.3}>
      <path d={`M-13 ${dish - 44} V${wireY} M13 ${dish - 44} V${dish} H-12`} strokeWidth={1.8} />
      <path d={`M-12 ${dish - 6} Q-12 ${dish} -7 ${dish} H7 Q12 ${dish} 12 ${dish - 6}`} className="fill-paper" />
      {sealed.soot && <path d={`M-8 ${dish - 3} H8`} strokeWidth={4} data-testid="soot" />}
      {sealed.wire === 'straight' && <path d={`M-13 ${wireY} H13`} className="stroke-sedge" data-testid="wire" />}
      {sealed.wire === 'touching' && (
        <path
          d={`M-13 ${wireY} Q-3 ${wireY} 0 ${pelletTop} Q3 ${wireY} 13 ${wireY}`}
          className="stroke-sedge"
          data-testid="wire"
        />
      )}
      {sealed.wire === 'burnt' && (
        <path d={`M-13 ${wireY} l5 2 M13 ${wireY} l-5 1`} className="stroke-sedge" data-testid="wire" />
      )}
    </g>
  );
}

export function SealedDrawing({ sealed }: { sealed: SeenSealed }) {
  if (!sealed.isOpen || sealed.at === 'pail')
    return (
      <g>
        <Body />
        <g transform={`translate(0 ${-H})`}>
          <Head />
        </g>
      </g>
    );
  return (
    <g>
      <path
        d={`M${R + 8} 0 V-186 M${R - 8} 0 H${R + 14} M${R + 8} -160 H0`}
        className="stroke-ink fill-none"
        strokeWidth={1.8}
      />
      <Body />
      {sealed.isFlooded && <rect x={-R + 4} y={-H + 20} width={2 * R - 8} height={12} fill={LIQUID_WASH.clear} />}
      <Inside sealed={sealed} />
      <g transform={`translate(0 ${-DISH_MM - 44})`}>
        <Head />
      </g>
    </g>
  );
}

/** A pellet: a disc twice as wide as it is thick. */
export const PelletDrawing = () => (
  <g className="stroke-ink" strokeWidth={1}>
    <path d="M-6.5 -6 V-1 Q0 1.5 6.5 -1 V-6 Z" fill="#efece1" />
    <ellipse cx={0} cy={-6} rx={6.5} ry={1.8} fill="#f6f4ec" />
  </g>
);

/** A press with its screw and lever; the pellet comes out beside it. */
export const PressDrawing = () => (
  <g className="stroke-ink" strokeWidth={1.3}>
    <path d="M-38 0 V-8 H38 V0 Z M-30 -8 V-108 H4 V-8 M-30 -96 H4" className="fill-paper" />
    <path d="M-17 -112 V-46 H-9 V-112 M-36 -118 H10 V-112 H-36 Z" fill={STEEL} />
    <path d="M-23 -8 V-34 H-3 V-8 Z" fill={STEEL} />
    <path d="M10 -4 Q12 0 16 0 H30 Q34 0 36 -4" className="fill-none" />
  </g>
);

/** A small bottle of oxygen with the gauge of the line to the vessel. */
export function OxygenDrawing({ gaugeBar }: { gaugeBar: number }) {
  return (
    <g className="stroke-ink" strokeWidth={1.3}>
      <path d="M-46 0 V-150 Q-46 -186 -20 -190 V-200 H0 V-190 Q26 -186 26 -150 V0 Z" className="fill-paper" />
      <path d="M-16 -200 V-212 H-4 V-200 M-24 -212 H4 V-217 H-24 Z" fill={STEEL} />
      <text x={-10} y={-120} fontSize={17} textAnchor="middle" className="fill-ink stroke-none">
        O₂
      </text>
      <rect x={-38} y={-96} width={56} height={40} rx={2} className="fill-mist" />
      <text
        x={12}
        y={-77}
        fontSize={17}
        textAnchor="end"
        className="fill-ink stroke-none font-mono"
        data-testid="gauge"
      >
        {gaugeBar.toFixed(1)}
      </text>
      <text x={12} y={-62} fontSize={11} textAnchor="end" className="fill-ink-soft stroke-none">
        bar
      </text>
    </g>
  );
}

export const SwitchDrawing = () => (
  <g className="stroke-ink" strokeWidth={1.3}>
    <path d="M-28 0 V-40 H28 V0 Z" className="fill-paper" />
    <circle cx={-12} cy={-24} r={6} className="fill-mist" />
    <path d="M6 -30 h14 v12 h-14 Z" fill={STEEL} />
    <text x={0} y={-5} fontSize={10} textAnchor="middle" className="fill-ink-soft stroke-none">
      fire
    </text>
  </g>
);

/** The jacket around the pail: two walls with air between. */
export function JacketDrawing() {
  const r = outerOf('pail') / 2 + 4;
  const o = r + JACKET_MM - 6;
  return (
    <path d={`M${-o} 0 V-112 H${-r} V-2 H${r} V-112 H${o} V0 Z`} className="stroke-ink fill-mist" strokeWidth={1.2} />
  );
}

type SeenLamp = SeenLamps['lamps'][number];

export function LampDrawing({ lamp }: { lamp: SeenLamp }) {
  const fuel = Math.min(lamp.levelMl, 50) * 0.84;
  return (
    <g className="stroke-ink" strokeWidth={1.3}>
      <clipPath id={`lamp-${lamp.at}`}>
        <path d="M-30 0 Q-36 -34 -14 -52 H14 Q36 -34 30 0 Z" />
      </clipPath>
      <rect
        x={-36}
        y={-fuel}
        width={72}
        height={fuel}
        fill={LIQUID_WASH.clear}
        stroke="none"
        clipPath={`url(#lamp-${lamp.at})`}
      />
      <path d="M-30 0 Q-36 -34 -14 -52 H14 Q36 -34 30 0 Z" className="fill-none" />
      <path d="M-11 -52 H11 V-62 H-11 Z" fill={STEEL} />
      {lamp.state === 'capped' ? (
        <path d="M-9 -62 V-78 Q0 -86 9 -78 V-62 Z" className="fill-paper" data-testid="lamp-cap" />
      ) : (
        <path d={`M-3 -62 V${-WICK_MM} H3 V-62 Z`} className="fill-paper" />
      )}
      {lamp.flame && (
        <path
          d={`M0 ${-WICK_MM - 34} Q12 ${-WICK_MM - 8} 0 ${-WICK_MM + 2} Q-12 ${-WICK_MM - 8} 0 ${-WICK_MM - 34} Z`}
          fill={lamp.flame === 'yellow' ? '#e9bd4a' : '#9cc4dc'}
          strokeWidth={0.8}
          data-testid="flame"
        />
      )}
    </g>
  );
}

/** The stand that the can hangs on, its ring at the can's foot. @param footMm how high that is over the bench */
export function HangerDrawing({ footMm, radiusMm }: { footMm: number; radiusMm: number }) {
  const x = radiusMm + 26;
  return (
    <path
      d={`M${x} 0 V-318 M${x - 40} 0 H${x + 12} M${x} ${-footMm + 1} H${-radiusMm - 2}`}
      className="stroke-ink fill-none"
      strokeWidth={2}
    />
  );
}

/** A screen around the flame, cut open. */
export const ScreenDrawing = () => (
  <path
    d="M-50 0 V-104 M50 0 V-104"
    className="stroke-ink fill-none"
    strokeWidth={2.4}
    strokeDasharray="10 3"
    data-testid="screen"
  />
);
