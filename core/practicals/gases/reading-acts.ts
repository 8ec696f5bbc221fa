import { recordShown, recordTyped } from '../recording-acts';
import { outOfTurn } from '../notes';
import { z } from 'zod';
import { actsOn } from '../act-table';
import { trialNumber } from '../common-acts';
import type { Outcome } from '../contract';
import { refuse } from '../hands';
import type { Bench } from './bench';
import { aroundC } from './flow';
import { isAtRest, loadOf } from './injector';
import { aboutNow, seenOn, shownOf } from './measured';
import { CARRIED, MASSES, SLOT_IDS, SLOTS_OF, slotsOf, type Slot } from './plan';

interface Into {
  trial: number;
  which: Slot;
}

/** What is read, and which trial it belongs to. */

/** What stands in a trial of its own: not what is read once for all of them. */
const ownOf = (bench: Bench, trial: number) =>
  bench.readings.filter((r) => r.trial === trial && r.struck === null && !CARRIED.includes(r.which));

/** A reading that is taken again while the bath has changed by less corrects what was read, K. */
const SAME_K = 0.5;
/** What goes into one row is read while the bath changes by no more, K. */
const ROW_K = 3;

/**
 * The trial that the next reading of a slot belongs to; see `BenchSlot.due`. At the syringe a new one begins when the plunger was
 * moved; in a bath, where nothing stands still, when it has another temperature. The cold jar has a trial of its own.
 */
export function dueTrial(bench: Bench, which: Slot): number {
  const { trial, plan, moves } = bench;
  // What is read once belongs to the first trial that counts, so that it holds for all of them.
  if (CARRIED.includes(which)) {
    for (let first = 1; first < trial; first++) if (bench.leftOut[first] === undefined) return first;
    return trial;
  }
  const own = ownOf(bench, trial);
  if (own.length === 0) return trial;
  if (plan.gear === 'injected' || plan.gear === 'collected')
    return own.some((r) => r.about.fill === bench.fills) ? trial : trial + 1;
  if (plan.gear === 'syringe') return own.some((r) => r.moves === moves) ? trial : trial + 1;
  const isJar = own.some((r) => r.which === 'pj');
  if (which === 'pj') return isJar && own.some((r) => r.moves === moves) ? trial : trial + 1;
  const last = own.findLast((r) => r.which === which) ?? own.at(-1);
  const changedK = Math.abs(bench.bath.tempC - (last?.about.bathC ?? NaN));
  return !isJar && changedK < (last?.which === which ? SAME_K : ROW_K) ? trial : trial + 1;
}

export const trialNow = (bench: Bench): number =>
  Math.max(...SLOTS_OF[bench.plan.gear].map((slot) => dueTrial(bench, slot)));

function checked(bench: Bench, { trial, which }: { trial: number; which: Slot }): string | null {
  if (!SLOTS_OF[bench.plan.gear].includes(which)) return `No ${slotsOf(bench.plan)[which].label} is read here.`;
  return outOfTurn(trial, trialNow(bench)) ?? null;
}

function record(bench: Bench, { trial, which, text }: Into & { text: string }): Outcome<Bench> {
  const seen = seenOn(bench, which);
  const objection = checked(bench, { trial, which });
  if (objection) return refuse(objection);
  if (!seen) return refuse('That is shown by its instrument: it is recorded as it shows it.');
  return recordTyped(
    bench,
    { trial, which, text },
    { last: trial, scale: seen.scale, shown: seen.shown },
    { about: aboutNow(bench, which), moves: bench.moves },
  );
}

/** A gauge that has not come to rest yet: what is enclosed is warmer or colder than what is around it, K. */
const CREEPS_K = 0.4;

function noteFor(bench: Bench, which: Slot): string | undefined {
  const { joint, plan, at } = bench;
  if (which === 'open' && joint !== 'off') return 'The tube was on: with it off, the gauge stands open to the room.';
  if (which === 'p' && joint === 'off') return 'The tube is off: this is the pressure of the room.';
  if (which === 'p' && plan.gear === 'bulb' && at !== 'bath') return 'The bulb is not in the bath.';
  if (which === 'pj' && at !== 'jar') return 'The bulb is not in the jar.';
  if (MASSES.includes(which)) {
    if (loadOf(bench) === 0) return 'There is nothing on the balance.';
    return isAtRest(bench) ? undefined : 'The display had not come to rest when this was recorded.';
  }
  const isGauge = which === 'p' || which === 'pj';
  if (isGauge && Math.abs(bench.gasC - aroundC(bench)) > CREEPS_K)
    return 'The gauge was still creeping when this was recorded.';
  return undefined;
}

function recordAsShown(bench: Bench, { trial, which }: Into): Outcome<Bench> {
  const objection = checked(bench, { trial, which });
  if (objection) return refuse(objection);
  const there = shownOf(bench, which);
  if (!there) return refuse('It is read by eye: type what you read through the loupe.');
  return recordShown(
    bench,
    { trial, which },
    { last: trial, ...there, note: noteFor(bench, which) },
    { about: aboutNow(bench, which), moves: bench.moves },
  );
}

const NAMES = slotsOf({ unit: 'kPa', syringes: [], gear: 'syringe' });
const into = { trial: trialNumber, which: z.enum(SLOT_IDS) };

const act = actsOn<Bench>();
export const READING_ACTS = {
  record: act(
    { ...into, text: z.string().max(60) },
    record,
    ({ trial, which, text }) => `recorded the ${NAMES[which].label}, trial ${trial}, as ${text}`,
  ),
  recordShown: act(into, recordAsShown, ({ trial, which }) => `recorded the ${NAMES[which].label}, trial ${trial}`),
};
