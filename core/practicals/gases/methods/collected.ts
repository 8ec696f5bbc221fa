import { fixed } from '../../../analysis/quantity';
import type { Method } from '../../method';
import type { Bench } from '../bench';
import { fizzes } from '../collected';
import { dueTrialOf, readSyringe, recordShown, type Habits, type Hands } from '../by-hand';
import type { Plan, Slot } from '../plan';
import { rowsOf } from '../rows';
import { everyRow, hasAll, ownRows } from './the-room';

/** The way to a metal by its hydrogen: a weighed strip dissolves under a tube that stands over water. */

const OWN = ['v0', 'm', 'v1', 'h', 't'] as const satisfies readonly Slot[];
const TRIALS = 3;
/** How long it takes until a strip is dissolved and the gas as warm as the water, s. */
const SETTLED_S = 900;
/** The first strip, mg; and what most of the tube is, mL. */
const [FIRST_MG, WANTED_ML] = [25, 38];

export function collectedMethod({ balance }: Plan, habits: Habits = {}): Method<Bench, Hands> {
  const { waitS = SETTLED_S, points = TRIALS, stripMg, levels = true, readsAir = true, misread = () => 0 } = habits;
  const trialNow = ({ view }: Hands) => view().readings.filter((r) => r.slot === 'v1' && r.struck === null).length;
  const rows = (bench: Bench) => ownRows(bench, OWN);
  const air = async (hands: Hands) => {
    if (readsAir) await readSyringe(hands, 'v0', 0, misread(2 * trialNow(hands)), 2);
  };
  const strip = async (hands: Hands, mg: number) => {
    await hands.act({ kind: 'cut', mg });
    await hands.act({ kind: 'weigh', on: true });
    await recordShown(hands, 'm', 3);
    await hands.act({ kind: 'weigh', on: false });
  };
  const dissolves = async (hands: Hands) => {
    await hands.act({ kind: 'hang' });
    await hands.act({ kind: 'wait' }, waitS);
  };
  const gas = async (hands: Hands) => {
    const { act, view } = hands;
    const trial = trialNow(hands);
    for (let round = 0; levels && round < 3; round++) {
      const { topMm, heightMm } = view().tube ?? { topMm: 0, heightMm: 0 };
      if (Math.abs(heightMm) > 3) await act({ kind: 'lift', mm: Math.min(Math.max(topMm - heightMm, 10), 175) });
    }
    await readSyringe(hands, 'v1', 0, misread(2 * trial + 1), 2);
    if (levels)
      await act({
        kind: 'record',
        trial: dueTrialOf(view(), 'h'),
        which: 'h',
        text: fixed(view().tube?.heightMm ?? 0, 0),
      });
    await recordShown(hands, 't');
  };
  return [
    {
      key: 'room',
      does: 'Record the barometer.',
      isDone: (bench) => rowsOf(bench).some((row) => hasAll(row, ['bar'])),
      work: (hands) => recordShown(hands, 'bar', 1),
    },
    {
      key: 'air',
      does: 'Record the volume of the air in the tube.',
      how: ['A little air always stays when the tube is turned over. Read at the bottom of the meniscus.'],
      isDone: (bench) => everyRow(rows(bench), ['v0']),
      work: air,
    },
    {
      key: 'strip',
      does: 'Cut a strip, weigh it, and record its mass.',
      how: [`Begin with ${FIRST_MG} mg. Your first trial tells you how much metal fills most of the tube.`],
      isDone: (bench) => everyRow(rows(bench), ['m']),
      work: (hands) => strip(hands, stripMg ?? FIRST_MG),
    },
    {
      key: 'dissolve',
      does: `Hang the strip in the tube. Wait ${SETTLED_S / 60} minutes, until all of it has dissolved.`,
      how: ['The gas must also become as warm as the water.', 'The tube holds 50 mL. Of more, gas gets out.'],
      isDone: (bench) => {
        const { collected } = bench;
        const isReady = collected !== null && collected.hydrogenMol > 0 && !fizzes(collected);
        const begun = rows(bench);
        const read = begun.filter((row) => hasAll(row, ['v1']));
        const isRead = read.every(({ readings }) => readings.v1?.about.overWater?.isDissolved ?? false);
        return begun.length > 0 && isRead && (read.length === begun.length || isReady);
      },
      work: dissolves,
    },
    {
      key: 'gas',
      does: 'Make the water level inside and outside. Record volume, height and water temperature.',
      how: [
        'Lift or lower the tube until the water stands as high inside as outside.',
        'The height is how much higher the water stands inside, in mm. When it is level, that is 0.',
      ],
      isDone: (bench) => everyRow(rows(bench), ['v1', 'h', 't']),
      work: gas,
    },
    {
      key: 'again',
      does: `Take a fresh tube and do it again, until you have ${TRIALS} trials.`,
      isDone: (bench) => rows(bench).filter((row) => hasAll(row, OWN)).length >= TRIALS,
      work: async (hands) => {
        // The first one tells how much of it fills most of the tube.
        const ml = hands.view().plungers[0] ?? 40;
        const mg =
          stripMg ??
          (balance === null ? FIRST_MG : Math.min(300, Math.round((FIRST_MG * WANTED_ML) / Math.max(ml, 2))));
        for (let trial = 1; trial < points; trial++) {
          await hands.act({ kind: 'empty' });
          await air(hands);
          await strip(hands, mg);
          await dissolves(hands);
          await gas(hands);
        }
      },
    },
  ];
}
