import type { Method } from '../../method';
import type { Bench } from '../bench';
import { readSyringe, recordShown, type Habits, type Hands } from '../by-hand';
import { valueOf } from '../rows';
import { encloses, pointsOfOneFill, readsOpenGauge } from './the-room';

/** The way to what a coil holds: one amount of air at ten volumes, five large and five small. */

const POINTS = 10;
/** Largest and smallest volume, and between which two of the ten the halves meet, mL. */
const [FROM_ML, TO_ML, MIDDLE_ML] = [100, 30, 46];
/** How long the gauge takes to come to rest, s. */
const SETTLED_S = 15;

export function syringeMethod(habits: Habits = {}): Method<Bench, Hands> {
  const { points = POINTS, startMl = 70, fromMl = FROM_ML, toMl = TO_ML, waitS = SETTLED_S } = habits;
  const { misread = () => 0 } = habits;
  // Evenly in 1/V, so that they lie evenly along the line.
  const volumes = Array.from(
    { length: points },
    (_, i) => 1 / (1 / fromMl + (i / Math.max(points - 1, 1)) * (1 / toMl - 1 / fromMl)),
  );
  const takes = async (hands: Hands, from: number, to: number) => {
    for (let i = from; i < to; i++) {
      await hands.act({ kind: 'plunger', ml: volumes[i] ?? toMl });
      await hands.act({ kind: 'wait' }, waitS);
      await readSyringe(hands, 'vol', 0, misread(i));
      await recordShown(hands, 'p');
    }
  };
  const taken = (bench: Bench): number[] =>
    pointsOfOneFill(bench, ['vol', 'p'], () => bench.sample.roomC).map((row) => valueOf(row, 'vol') ?? 0);
  const half = Math.ceil(points / 2);
  return [
    readsOpenGauge(habits),
    {
      key: 'home',
      does: 'Set the plunger near the middle. Push the tube on, and then home.',
      how: ['A tube that sits lightly leaks. Leave it on from now: pulled off, it is another amount of gas.'],
      isDone: (bench) => bench.joint === 'home' || taken(bench).length > 0,
      work: async (hands) => {
        await hands.act({ kind: 'plunger', ml: startMl });
        await encloses(hands, habits);
      },
    },
    {
      key: 'large',
      does: `Record volume and pressure at ${POINTS / 2} places of the plunger, from ${FROM_ML} to 50 mL.`,
      how: [
        `Air that is pressed together gets warm. Wait ${SETTLED_S} seconds, until the gauge has come to rest.`,
        'Read the syringe by eye, at the front of the plunger, to a tenth of a division.',
      ],
      isDone: (bench) => taken(bench).filter((ml) => ml > MIDDLE_ML).length >= POINTS / 2,
      work: (hands) => takes(hands, 0, half),
    },
    {
      key: 'small',
      does: `Record volume and pressure at ${POINTS / 2} more places, from 44 to ${TO_ML} mL.`,
      how: ['Small volumes lie close together, because the line goes by one over the pressure.'],
      isDone: (bench) => {
        const small = taken(bench).filter((ml) => ml <= MIDDLE_ML);
        return small.length >= POINTS / 2 && Math.min(...small) <= FROM_ML / 2.5;
      },
      work: (hands) => takes(hands, half, points),
    },
  ];
}
