import { readingFor } from '@core/notebook/readings';
import { EDGE_SLOTS } from '@core/practicals/measuring/plan';
import type { View } from '@core/practicals/measuring/view';
import { dueTrial } from './verb-props';

/** The reading that is due: that of what is looked at; of volumes the first that the row does not have. */
function dueSlot(view: View): string {
  if (view.look.at === 'tool' && view.held) return view.held.along === 'zero' ? 'Z' : EDGE_SLOTS[view.held.along];
  if (view.look.at === 'thermometer') return 'T';
  const volumes = view.slots.filter(({ slot, typed }) => typed && ['V', 'F', 'V1', 'V2'].includes(slot));
  const missing = volumes.find(
    ({ slot, due }) => due === view.trial && readingFor(view, view.trial, slot) === undefined,
  );
  // With all of them there, the next is one that each trial has of its own.
  const isCarried = (slot: string) => view.readings.some((r) => r.slot === slot && r.carries && r.struck === null);
  const next = volumes.find(({ slot }) => !isCarried(slot)) ?? volumes[0];
  return (missing ?? next ?? view.slots.find(({ typed }) => typed))?.slot ?? 'V';
}

/** The reading that is due, and the trial that it belongs to. */
export function dueReading(view: View): { trial: number; slot: string } {
  const slot = dueSlot(view);
  return { trial: dueTrial(view, slot), slot };
}
