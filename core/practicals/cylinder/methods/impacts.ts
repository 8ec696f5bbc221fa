import type { Method } from '../../method';
import type { Bench, Fitted } from '../bench';
import { brings, flies, onCard, records, RESTS_PS, stretches, type Hands } from '../by-hand';
import { countedIn, HOTTER, SQUEEZED } from '../impacts-found';
import { RUN_PS, volumeOf } from '../plan';
import { rowsOf } from '../rows';

/** The way from single impacts on the piston to what becomes of them when it is heated, squeezed, filled with more. */

/** Single impacts and stretches that are asked for. */
const [SINGLE, STRETCHES] = [5, 4];

interface Fit {
  kelvin: number;
  nm3: number;
  count: number;
}
const near = (value: number | null, wanted: number) => Math.abs((value ?? 0) / wanted - 1) < 0.05;
const isFitted = ({ plan }: Bench, { jacketK, pinNm, count }: Fitted, wanted: Fit) =>
  near(jacketK, wanted.kelvin) && near(volumeOf(plan, pinNm ?? 0), wanted.nm3) && count === wanted.count;
const own = ({ sample: { kelvin, volumeNm3, count } }: Bench): Fit => ({ kelvin, nm3: volumeNm3, count });

const counted = (bench: Bench, change: (card: Fit) => Partial<Fit>): boolean => {
  const wanted = { ...own(bench), ...change(own(bench)) };
  const whole = countedIn(rowsOf(bench)).filter(({ row }) => (row.readings.d ?? 0) >= 0.99 * RUN_PS.most);
  return whole.filter(({ row }) => isFitted(bench, row.fitted, wanted)).length >= STRETCHES;
};
const singles = (bench: Bench) =>
  rowsOf(bench).filter(({ readings: { q, u } }) => q !== undefined && u !== undefined).length;

const cardOf = (hands: Hands): Fit => ({
  kelvin: onCard(hands, 'temperature') ?? 300,
  nm3: onCard(hands, 'volume') ?? 20_000,
  count: onCard(hands, 'number') ?? 200,
});
/** Fits what is not fitted so already, and lets them come to rest. */
async function fits(hands: Hands, { kelvin, nm3, count }: Partial<Fit>): Promise<void> {
  const { act, view } = hands;
  if (kelvin !== undefined && view().fitted.jacketK !== kelvin) await act({ kind: 'jacket', kelvin });
  if (nm3 !== undefined) await act({ kind: 'pin', nm3 });
  if (count !== undefined) await brings(hands, count);
  await flies(hands, RESTS_PS);
}

export const impactsMethod: Method<Bench, Hands> = [
  {
    key: 'fit',
    does: `Fit what your card says. Let the particles fly for ${RESTS_PS} ps.`,
    how: [
      'A pin holds the piston, and so the volume. A jacket holds the temperature.',
      'The shut valve holds the number: it is as your card says.',
    ],
    isDone: (bench) =>
      (bench.nowPs > 0 && isFitted(bench, bench.fitted, own(bench))) ||
      rowsOf(bench).some(({ fitted }) => isFitted(bench, fitted, own(bench))),
    work: async (hands) => {
      const { kelvin, nm3 } = cardOf(hands);
      await fits(hands, { kelvin, nm3 });
    },
  },
  {
    key: 'one',
    does: `Go to ${SINGLE} single impacts on the piston, and record each.`,
    how: ['The counters show the speed of the particle, and the push that the piston took.'],
    isDone: (bench) => singles(bench) >= SINGLE,
    work: async (hands) => {
      for (let i = 0; i < SINGLE; i++) {
        await hands.act({ kind: 'next' });
        await hands.act({ kind: 'wait' }, 60);
        await records(hands, 'impacts');
      }
    },
  },
  {
    key: 'first',
    does: `Record ${STRETCHES} stretches of ${RUN_PS.most} ps with everything as your card says.`,
    how: ['The counters show how many impacts there were, and their mean push.'],
    isDone: (bench) => counted(bench, () => ({})),
    work: (hands) => stretches(hands, 'impacts', STRETCHES),
  },
  {
    key: 'heat',
    does: `Record ${STRETCHES} stretches at ${HOTTER} times the temperature.`,
    how: [
      'First say what you expect: more impacts, or harder ones?',
      `After each change, let them fly for ${RESTS_PS} ps before you record.`,
    ],
    isDone: (bench) => counted(bench, ({ kelvin }) => ({ kelvin: HOTTER * kelvin })),
    work: async (hands) => {
      await fits(hands, { kelvin: Math.round(HOTTER * cardOf(hands).kelvin) });
      await stretches(hands, 'impacts', STRETCHES);
    },
  },
  {
    key: 'squeeze',
    does: `Go back to the first temperature. Record ${STRETCHES} stretches at a third of the volume.`,
    isDone: (bench) => counted(bench, ({ nm3 }) => ({ nm3: SQUEEZED * nm3 })),
    work: async (hands) => {
      const { kelvin, nm3 } = cardOf(hands);
      await fits(hands, { kelvin, nm3: Math.round(SQUEEZED * nm3) });
      await stretches(hands, 'impacts', STRETCHES);
    },
  },
  {
    key: 'add',
    does: `Go back to the first volume. Record ${STRETCHES} stretches with twice as many particles.`,
    how: ['Let as many in through the valve as are there already.'],
    isDone: (bench) => counted(bench, ({ count }) => ({ count: 2 * count })),
    work: async (hands) => {
      const { nm3, count } = cardOf(hands);
      await fits(hands, { nm3, count: 2 * count });
      await stretches(hands, 'impacts', STRETCHES);
    },
  },
];
