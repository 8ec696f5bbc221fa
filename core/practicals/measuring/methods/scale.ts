import { vesselOf } from '../../../databook/vessels';
import type { Method } from '../../method';
import type { Bench } from '../bench';
import { bringsTo, looksLevel, poursAll, readLevel, type Hands } from '../by-hand';
import type { Plan } from '../plan';
import { rowsOf } from '../rows';

/** The way to read a scale: the cylinder that suits an amount, its volume, and a mark reached by drops. */

/** As near as that to its mark a surface stands there, as parts of the division. */
const AT_MARK = 0.5;

const targetOf = ({ view }: Hands): number => Number(/([\d.]+) mL/.exec(view().task ?? '')?.[1] ?? NaN);

export function scaleMethod(plan: Plan): Method<Bench, Hands> {
  /** The smallest cylinder that holds what is in the bottle; once it is poured, the one that has it. */
  const cylinderOf = ({ view }: Hands): number => {
    const { vessels, levels } = view();
    const has = vessels.findIndex(({ type, empty }, i) => i > 0 && type.startsWith('cylinder') && !empty);
    if (has > 0) return has + 1;
    const holds = plan.vessels
      .map((type, i) => ({ ...vesselOf(type), number: plan.bottles.length + i + 1 }))
      .filter(({ id, capacityMl }) => id.startsWith('cylinder') && capacityMl >= (levels[0] ?? 0));
    return holds.reduce((a, b) => (b.capacityMl < a.capacityMl ? b : a), holds[0] as (typeof holds)[number]).number;
  };
  const reads = async (hands: Hands, which: 'V' | 'F') => {
    const cylinder = cylinderOf(hands);
    await looksLevel(hands, cylinder);
    await hands.act({ kind: 'record', trial: 1, which, text: readLevel(hands.view(), cylinder) });
  };
  const has = (bench: Bench, slot: 'V' | 'F') => rowsOf(bench).some(({ readings }) => readings[slot]);
  return [
    {
      key: 'pour',
      does: 'Choose the cylinder that suits the amount. Pour all of the bottle into it.',
      how: [
        'The smallest cylinder that holds it all has the finest scale.',
        'Press and hold to pour. Tilt less as it fills.',
      ],
      isDone: (bench) => has(bench, 'V') || (bench.vessels[0]?.liquid.volumeMl ?? 1) < 0.2,
      work: (hands) => poursAll(hands, cylinderOf(hands)),
    },
    {
      key: 'V',
      does: 'Bring your eye level with the surface. Read the volume, and record it.',
      how: [
        'Look through the loupe. Your eye is level when front and back of each ring fall together.',
        plan.appearance === 'opaque'
          ? 'Your liquid is opaque: read its upper rim.'
          : 'Read the lowest point of the meniscus.',
        'Read to one digit beyond the divisions.',
      ],
      isDone: (bench) => has(bench, 'V'),
      work: (hands) => reads(hands, 'V'),
    },
    {
      key: 'F',
      does: 'Take liquid out until the surface stands at your mark. Read again, and record.',
      how: ['Your card has the mark. Do the last of it by drops.'],
      isDone: (bench) =>
        rowsOf(bench).some(({ readings: { F } }) => {
          const kept = bench.readings[F?.index ?? -1];
          const division = vesselOf(bench.vessels[(kept?.about.vessel ?? 1) - 1]?.type ?? '').divisionMl ?? 1;
          return F !== undefined && Math.abs(F.value - (bench.sample.targetMl ?? 0)) <= AT_MARK * division + 1e-9;
        }),
      work: async (hands) => {
        await bringsTo(hands, cylinderOf(hands), targetOf(hands));
        await reads(hands, 'F');
      },
    },
  ];
}
