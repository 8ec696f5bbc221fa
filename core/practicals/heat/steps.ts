import type { Step } from '../contract';
import type { Bench } from './bench';
import { slotName, type Slot } from './plan';
import { rowsOf } from './rows';

const VERBS: Record<Slot, string> = {
  m: 'Weigh; record',
  mb: 'Weigh again; record',
  m1: 'Weigh; record',
  m2: 'Weigh; record',
  m3: 'Weigh at the end; record',
  VA: 'Measure into the cup; record',
  VB: 'Measure into the cup at once; record',
  T1: 'Follow until it is steady; record',
  Th: 'Follow until it is steady; record',
  T2: 'Combine and stir; follow until all is as warm; record',
};

/** The method, each step done when the bench shows it or the student has ticked it; in no forced order. */
export function stepsOf(bench: Bench, trials: number): Step[] {
  const { plan, ticked } = bench;
  const rows = rowsOf(bench);
  const isWhole = (row: (typeof rows)[number]) => plan.slots.every((slot) => row.readings[slot]);
  const steps: Step[] = plan.slots.map((slot) => ({
    key: slot,
    label: `${VERBS[slot]} the ${slotName(plan, slot)}`,
    done: rows.some((row) => row.readings[slot]) || ticked.includes(slot),
  }));
  const isEnough = rows.filter(isWhole).length >= trials && rows.every((row) => isWhole(row) || isBare(row));
  if (trials > 1)
    steps.push({
      key: 'again',
      label: plan.points
        ? `At least ${trials} points, some of them well beyond the bend`
        : `At least ${trials === 2 ? 'two' : trials} whole trials, each with a fresh cup`,
      done: isEnough || ticked.includes('again'),
    });
  return steps;
}

const isBare = (row: { readings: object }) => Object.keys(row.readings).length === 0;
