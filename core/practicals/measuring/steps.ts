import type { Step } from '../contract';
import type { Bench } from './bench';
import { EDGE_SLOTS, slotName, type Slot } from './plan';

/** Steps of the method: one for each reading of a row, then again. */
export const STEP_KEYS = ['V', 'F', 'V1', 'V2', 'l', 'w', 'h', 'd', 'T', 'm', 'm1', 'm2', 'again'] as const;

const VERBS: Record<Slot, string> = {
  V: 'Read', F: 'Bring it to the mark and read', V1: 'Read', V2: 'Put the pieces in; read', T: 'Read', m: 'Weigh; record', m1: 'Weigh; record', m2: 'Weigh again; record',
  l: 'Measure', w: 'Measure', h: 'Measure', d: 'Measure',
}; // prettier-ignore

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
      label: 'Do it again in another trial: other amounts, or the same once more',
      done: bench.trial >= 2 || bench.ticked.includes('again'),
    });
  return steps;
}
