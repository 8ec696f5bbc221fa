import type { Method } from '../../method';
import type { Bench } from '../bench';
import { bringBath, readSyringe, recordShown, type Habits, type Hands } from '../by-hand';
import type { Slot } from '../plan';
import { everyRow, hasAll, ownRows, readsRoom } from './the-room';

/** The way to the molar mass of a vapour: a liquid, weighed before and after, is injected into a hot syringe. */

const OWN = ['v0', 'm1', 'm2', 'v1', 't'] as const satisfies readonly Slot[];
const TRIALS = 3;
const SETTLED_S = 240;
/** A bath that boils is as hot as that, °C: less where the air is thin. */
const BOILS_C = 96;

export function injectedMethod(habits: Habits = {}): Method<Bench, Hands> {
  const { waitS = SETTLED_S, points = TRIALS, shotMl = 0.17, stoppers = true, misread = () => 0 } = habits;
  const trialNow = (hands: Hands) => hands.view().readings.filter((r) => r.slot === 'v1' && r.struck === null).length;
  const rows = (bench: Bench) => ownRows(bench, OWN);
  const air = async (hands: Hands) => {
    await hands.act({ kind: 'turn', n: 1 });
    await readSyringe(hands, 'v0', 0, misread(2 * trialNow(hands)));
  };
  const weighs = async (hands: Hands, slot: 'm1' | 'm2', stopper: boolean) => {
    if (stopper) await hands.act({ kind: 'stopper', on: true });
    await hands.act({ kind: 'weigh', on: true });
    await recordShown(hands, slot, 3);
    await hands.act({ kind: 'weigh', on: false });
  };
  const draws = async (hands: Hands) => {
    await hands.act({ kind: 'draw', ml: 0.3 });
    await weighs(hands, 'm1', stoppers);
  };
  const injects = async (hands: Hands) => {
    if (stoppers) await hands.act({ kind: 'stopper', on: false });
    await hands.act({ kind: 'inject', ml: shotMl });
    await weighs(hands, 'm2', stoppers || (habits.stoppersLast ?? false));
  };
  const vapour = async (hands: Hands) => {
    await hands.act({ kind: 'wait' }, waitS);
    await hands.act({ kind: 'turn', n: 1 });
    await readSyringe(hands, 'v1', 0, misread(2 * trialNow(hands) + 1));
    await recordShown(hands, 't');
  };
  return [
    readsRoom,
    {
      key: 'boil',
      does: 'Bring the bath to boiling. Turn the plunger, and record the volume of the air.',
      how: [
        'A little air stands in the syringe. A cap closes it, and a needle goes through the cap.',
        `Wait ${SETTLED_S / 60} minutes in the boiling bath. Grease holds the plunger back: turn it before you read.`,
      ],
      isDone: (bench) => everyRow(rows(bench), ['v0'], ({ readings }) => (readings.v0?.about.bathC ?? 0) > BOILS_C),
      work: async (hands) => {
        await bringBath(hands, 100, waitS);
        await air(hands);
      },
    },
    {
      key: 'draw',
      does: 'Draw up 0.3 mL of the liquid. Put the stopper on the needle, weigh the injector, and record.',
      how: ['An open needle gives off vapour.'],
      isDone: (bench) => everyRow(rows(bench), ['m1'], ({ readings }) => readings.m1?.about.stopper?.on ?? false),
      work: draws,
    },
    {
      key: 'inject',
      does: 'Take the stopper off, and inject 0.15 to 0.18 mL. Stopper it, weigh and record again.',
      how: ['If the syringe gets too full, vapour leaks out past the plunger.'],
      isDone: (bench) => everyRow(rows(bench), ['m2'], ({ readings }) => readings.m2?.about.stopper?.on ?? false),
      work: injects,
    },
    {
      key: 'vapour',
      does: 'When nothing moves any more, turn the plunger. Record the volume, and the temperature of the bath.',
      how: [`That takes some ${SETTLED_S / 60} minutes.`],
      isDone: (bench) => everyRow(rows(bench), ['v1', 't']),
      work: vapour,
    },
    {
      key: 'again',
      does: `Empty the syringe and do it again, until you have ${TRIALS} trials.`,
      how: [`After you empty it, wait ${SETTLED_S / 60} minutes: the fresh air has to get hot.`],
      isDone: (bench) => rows(bench).filter((row) => hasAll(row, OWN)).length >= TRIALS,
      work: async (hands) => {
        for (let trial = 1; trial < points; trial++) {
          await hands.act({ kind: 'empty' });
          await hands.act({ kind: 'wait' }, waitS);
          await air(hands);
          await draws(hands);
          await injects(hands);
          await vapour(hands);
        }
      },
    },
  ];
}
