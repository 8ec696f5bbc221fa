import { LEFT_SLOTS, VOLUME_SLOTS } from '@core/practicals/solutions/plan';
import type { Act } from '@core/practicals/solutions/acts';
import type { View } from '@core/practicals/solutions/view';
import { vesselName } from './things';

/** Readings that go into the notebook with one press: each is an act of its own. */

/** Volumes of all bottles that something came from, as readings of this mixture. */
export function volumeActs(view: View, number: number): Act[] {
  const seen = view.vessels[number - 1];
  if (!seen) return [];
  const names = new Set(seen.poured.map(({ from }) => from));
  return view.vessels.flatMap((one, i): Act[] => {
    const which = VOLUME_SLOTS[i];
    return one.type === 'bottle' && which && names.has(vesselName(view, i + 1))
      ? [{ kind: 'recordVolume', trial: seen.trial, vessel: number, which }]
      : [];
  });
}

/** Readings of one slip: the portion, and what is left of each bottle that went in. */
export function slipActs(view: View, index: number): Act[] {
  const slip = view.slips[index];
  if (!slip?.left) return [];
  const of = (which: 'p' | (typeof LEFT_SLOTS)[number]): Act => ({
    kind: 'recordSlip',
    trial: slip.trial,
    slip: index + 1,
    which,
  });
  // What was mixed through another vessel is of all of them, as far as anybody knows.
  const bottles = slip.bottles.length > 0 ? slip.bottles : slip.left.map((_, i) => i + 1);
  const left = bottles.flatMap((bottle) => LEFT_SLOTS[bottle - 1] ?? []);
  return [of('p'), ...left.map(of)];
}
