import type { Step } from '../contract';
import type { Bench } from './bench';
import { EDGE_SLOTS, slotName, type Slot } from './plan';
import { pairOf } from './pairs';
import { rowsOf } from './rows';

/** Steps of the method: one for each reading of a row, then again. */
export const STEP_KEYS = [
  'Z',
  'V',
  'F',
  'V1',
  'V2',
  'l',
  'w',
  'h',
  'd',
  'T',
  'm',
  'm1',
  'm2',
  'again',
] as const;

const VERBS: Record<Slot, string> = {
  Z: 'Close the jaws on nothing; read', V: 'Read', F: 'Bring it to the mark and read', V1: 'Read', V2: 'Put the pieces in; read', T: 'Read', m: 'Weigh; record', m1: 'Weigh; record', m2: 'Weigh again; record',
  l: 'Measure', w: 'Measure', h: 'Measure', d: 'Measure',
}; // prettier-ignore

const AMOUNTS: Record<number, string> = { 6: 'six' };

/** Whether every unknown has as many whole trials as the brief asks for; two trials of whatever where it asks for none. */
function isEnough(bench: Bench): boolean {
  const { amounts, lots } = bench.plan;
  if (amounts <= 1) return bench.trial >= 2;
  const whole = rowsOf(bench).filter((row) => pairOf(row) !== undefined);
  return lots.every((_, lot) => whole.filter((row) => row.lot === lot).length >= amounts);
}

/** The method, each step done when the bench shows it or the student has ticked it; in no forced order. */
export function stepsOf(bench: Bench): Step[] {
  const { plan } = bench;
  const live = bench.readings.filter((r) => r.struck === null);
  const edges: readonly Slot[] = Object.values(EDGE_SLOTS);
  const hasEdges = plan.slots.some((slot) => edges.includes(slot));
  const single = plan.slots.filter((slot) => !edges.includes(slot));
  const done = (keys: readonly string[]) => live.some((r) => keys.includes(r.which));
  const steps: Step[] = single.map((slot) => ({
    key: slot,
    label: `${VERBS[slot]} the ${slotName(plan, slot)}`,
    done: done([slot]) || bench.ticked.includes(slot),
  }));
  if (hasEdges)
    steps.push({
      key: 'l',
      label: 'Measure every edge or diameter that the volume needs',
      done: done(edges) || bench.ticked.includes('l'),
    });
  if (!plan.slots.includes('F'))
    steps.push({
      key: 'again',
      label:
        plan.amounts > 1
          ? `At least ${AMOUNTS[plan.amounts] ?? plan.amounts} amounts, a trial for each, mass and volumes recorded`
          : 'Do it again in another trial: other amounts, or the same once more',
      done: isEnough(bench) || bench.ticked.includes('again'),
    });
  return steps;
}
