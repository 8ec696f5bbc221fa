import { heatVesselOf } from '@core/databook/heat-vessels';
import { outerOf } from './layout';
import { isBottle, isFresh, typeIn, type Thing } from './things';

const line = { className: 'stroke-ink', fill: 'none', strokeWidth: 1.2, 'aria-hidden': true } as const;

/** What a thing looks like on the tray. */
export function traySketchOf(thing: Thing): React.ReactNode {
  if (isFresh(thing)) {
    const { heightMm } = heatVesselOf(typeIn(thing));
    const k = 40 / heightMm;
    const w = outerOf(typeIn(thing)) * k;
    return (
      <svg viewBox={`${-w / 2 - 3} -44 ${w + 6} 46`} width={w + 6} height={46} {...line}>
        <path d={`M${-w / 2} -40 V-2 Q${-w / 2} 0 ${-w / 2 + 3} 0 H${w / 2 - 3} Q${w / 2} 0 ${w / 2} -2 V-40`} />
      </svg>
    );
  }
  if (isBottle(thing))
    return (
      <svg viewBox="0 0 36 50" width={32} height={46} {...line}>
        <path d="M13 2 H23 V10 Q33 13 33 21 V48 H3 V21 Q3 13 13 10 Z" />
        <rect x={7} y={26} width={22} height={13} />
      </svg>
    );
  if (thing === 'wire')
    return (
      <svg viewBox="0 0 40 46" width={36} height={42} {...line}>
        <ellipse cx={10} cy={26} rx={5} ry={18} />
        <path d="M10 8 H30 M10 44 H30 M14 16 H26 M15 22 H25 M15 28 H25 M14 34 H26 M26 34 q8 2 12 8" />
        <ellipse cx={30} cy={26} rx={5} ry={18} />
      </svg>
    );
  return (
    <svg viewBox="0 0 40 46" width={36} height={42} {...line}>
      <path d="M4 14 V44 H36 V14 M2 6 H38 V14 H2 Z M4 30 Q16 22 36 28" />
    </svg>
  );
}
