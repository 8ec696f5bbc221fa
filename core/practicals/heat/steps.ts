import type { Step } from '../contract';
import type { Bench } from './bench';
import { hasSamples, isWholeTrial, slotName, usesFuel, type FrozenSlot, type Slot } from './plan';
import { freezingOfRun } from './freezing/rows';
import { rowsOf } from './reading/rows';

const VERBS: Record<Slot, string> = {
  m: 'Weigh; record',
  mb: 'Weigh again; record',
  m1: 'Weigh; record',
  m2: 'Weigh; record',
  m3: 'Weigh at the end; record',
  VA: 'Measure into the cup; record',
  VB: 'Measure into the cup at once; record',
  ms: 'Press it; weigh; record',
  L1: 'Cut; measure; record',
  L2: 'Let the gas out, open the vessel; measure; record',
  k1: 'Weigh; record',
  k2: 'Put the cap on; weigh; record',
  b1: 'Weigh; record',
  b2: 'Put the cap on; weigh; record',
  T0: 'Melt it, log it while it cools and freezes; find where two lines through it cross:',
  Tf: 'Melt it, log it while it cools and freezes; find where two lines through it cross:',
  TA: 'Log it while it melts, or cools and freezes; find where two lines through it cross:',
  TB: 'Log it while it melts, or cools and freezes; find where two lines through it cross:',
  TM: 'Put both into one tube, and do the same; find where two lines through it cross:',
  T1: 'Follow until it is steady; record',
  Th: 'Follow until it is steady; record',
  T2: 'Combine and stir; follow until all is as warm; record',
};

const FUEL_VERBS: Partial<Record<Slot, string>> = {
  m: 'Press it; weigh; record',
  T2: 'Burn it, and stir; follow until it goes on no more; record',
};

/** The method, each step done when the bench shows it or the student has ticked it; in no forced order. */
export function stepsOf(bench: Bench, trials: number): Step[] {
  const { plan, ticked } = bench;
  const rows = rowsOf(bench);
  const isWhole = (row: (typeof rows)[number]) => isWholeTrial(plan, (slot) => row.readings[slot] !== undefined);
  const steps: Step[] = plan.slots.map((slot) => ({
    key: slot,
    label: `${(usesFuel(plan) && FUEL_VERBS[slot]) || VERBS[slot]} the ${slotName(plan, slot)}`,
    done:
      rows.some((row) => row.readings[slot]) || (plan.tube !== null && isRead(bench, slot)) || ticked.includes(slot),
  }));
  const frozen = (slot: FrozenSlot): Step => ({
    key: slot,
    label: `${VERBS[slot]} the ${slotName(plan, slot)}`,
    done: hasFrozen(bench, slot) || ticked.includes(slot),
  });
  // Of each kind of trial one at least.
  const isOfEach = plan.either.every((group) =>
    rows.some((row) => isWhole(row) && group.every((slot) => row.readings[slot])),
  );
  if (hasSamples(plan))
    return (['TA', 'TB', 'TM'] as const).map((slot) => ({
      key: slot,
      label: `${VERBS[slot]} the ${slotName(plan, slot)}`,
      done: rows.some((row) => row.readings[slot]) || ticked.includes(slot),
    }));
  if (plan.tube) {
    const pure = plan.tube.isSolution ? [frozen('T0')] : [];
    return [...steps.slice(0, 2), ...pure, ...steps.slice(2), frozen('Tf')];
  }
  const isEnough =
    isOfEach && rows.filter(isWhole).length >= trials && rows.every((row) => isWhole(row) || isBare(row));
  if (trials > 1)
    steps.push({
      key: 'again',
      label: usesFuel(plan)
        ? 'The known and the unknown, a whole trial of each at least'
        : plan.points
          ? `At least ${trials} points, some of them well beyond the bend`
          : `At least ${trials === 2 ? 'two' : trials} whole trials, each with a fresh cup`,
      done: isEnough || ticked.includes('again'),
    });
  return steps;
}

/** Whether a reading of it counts, whatever it comes to: what is weighed for a tube stands before its row does. */
const isRead = ({ readings, leftOut }: Bench, slot: Slot): boolean =>
  readings.some((r) => r.which === slot && r.struck === null && leftOut[r.trial] === undefined);

/** Whether the log of a freezing shows where it froze: of the pure, or of the solution. */
const hasFrozen = (bench: Bench, slot: FrozenSlot): boolean =>
  (bench.tube?.runs ?? []).some(
    (run) => (slot === 'T0' || !bench.plan.tube?.isSolution) === (run.soluteG === 0) && freezingOfRun(bench, run),
  );

const isBare = (row: { readings: object }) => Object.keys(row.readings).length === 0;
