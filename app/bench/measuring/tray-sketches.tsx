import { sizeOf } from './layout';
import { isNew, type Thing, typeIn } from './things';

const LINE = 'stroke-ink';

/** A vessel waiting on the tray, lying small. */
function Waiting({ type }: { type: string }) {
  const { inner, height, foot, isCylinder } = sizeOf(type);
  const k = 44 / Math.max(height, 60);
  const [w, h, f] = [inner * k, height * k, foot * k];
  return (
    <svg
      viewBox={`${-f / 2 - 3} ${-h - 3} ${f + 6} ${h + 6}`}
      width={f + 6}
      height={h + 6}
      aria-hidden
      className={LINE}
      fill="none"
      strokeWidth={1.2}
    >
      <path
        d={
          isCylinder
            ? `M${-w / 2 - 1} ${-h} V-2 M${w / 2 + 1} ${-h} V-2 M${-f / 2} 0 H${f / 2}`
            : `M${-w / 2} ${-h} V-2 Q${-w / 2} 0 ${-w / 2 + 3} 0 H${w / 2 - 3} Q${w / 2} 0 ${w / 2} -2 V${-h}`
        }
      />
      {type === 'density-bottle' && <path d={`M${-w / 2} ${-h * 0.6} Q0 ${-h * 0.9} ${w / 2} ${-h * 0.6}`} />}
    </svg>
  );
}

/** What a thing looks like on the tray. */
export function traySketchOf(thing: Thing): React.ReactNode {
  if (isNew(thing)) return <Waiting type={typeIn(thing)} />;
  const paths: Partial<Record<Thing, { box: string; width: number; d: string }>> = {
    dropper: {
      box: '0 0 90 16',
      width: 72,
      d: 'M2 8 Q2 2 14 2 H28 V14 H14 Q2 14 2 8 Z M28 4 H70 L86 7 V9 L70 12 H28 Z',
    },
    wash: {
      box: '0 0 44 64',
      width: 30,
      d: 'M8 22 H36 V60 Q36 62 34 62 H10 Q8 62 8 60 Z M14 22 V16 H30 V22 M22 16 V6 Q22 2 18 2 H6 L2 6',
    },
    pipette: {
      box: '0 0 120 18',
      width: 96,
      d: 'M2 7 H40 Q46 2 54 2 H70 Q78 2 84 7 H118 V11 H84 Q78 16 70 16 H54 Q46 16 40 11 H2 Z M98 5 V13',
    },
    ruler: {
      box: '0 0 150 20',
      width: 130,
      d: `M1 2 H149 V18 H1 Z ${Array.from({ length: 14 }, (_, i) => `M${11 + 10 * i} 2 v${i % 5 === 4 ? 9 : 5}`).join(' ')}`,
    },
    calliper: {
      box: '0 0 150 40',
      width: 140,
      d: 'M2 6 H146 V14 H20 L20 36 L8 36 L2 14 Z M34 4 H74 V24 H46 L44 36 H34 Z M44 15 h24',
    },
    thermometer: { box: '0 0 140 12', width: 104, d: 'M8 3 H136 Q139 6 136 9 H8 Q2 9 2 6 Q2 3 8 3 Z M14 6 H60' },
    sinker: { box: '0 0 26 40', width: 24, d: 'M13 6 Q13 1 17 2 M13 6 V12 M13 12 L24 34 Q13 40 2 34 Z' },
  };
  const path = paths[thing];
  if (!path) return null;
  return (
    <svg
      viewBox={path.box}
      width={path.width}
      aria-hidden
      className={LINE}
      fill={thing === 'sinker' ? '#8b9596' : 'none'}
      strokeWidth={1.2}
    >
      <path d={path.d} />
    </svg>
  );
}
