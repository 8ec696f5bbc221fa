import type { View } from '@core/practicals/solutions/view';

/** What would be lost with an act and cannot be had back: it is asked about before it is done. */

/** A mixture that was measured and of which nothing is recorded: what would go with it. */
function isUnrecorded(view: View, number: number): boolean {
  const vessel = view.vessels[number - 1];
  if (!vessel || vessel.poured.filter(({ amount }) => amount.endsWith('mL')).length < 2) return false;
  return !view.readings.some(({ trial, struck }) => trial === vessel.trial && struck === null);
}

/** A paper with a solid of which no mass is recorded: it would go with it. */
function isUnweighed({ papers, readings }: View, number: number): boolean {
  const paper = papers[number - 1];
  if (!paper?.solid) return false;
  return !readings.some(({ slot, trial, struck }) => slot.startsWith('h') && trial === paper.trial && struck === null);
}

/** @returns what is asked, and the word that goes on; null where nothing would be lost */
export function doubtsOf(
  view: View,
  act: { kind: string; [key: string]: unknown },
): { sentence: string; verb: string } | null {
  const { paper, vessel } = act;
  if (act.kind === 'throwPaper' && typeof paper === 'number' && isUnweighed(view, paper))
    return { sentence: 'The solid on it has not been weighed yet, and it cannot be had back then.', verb: 'Go on' };
  const empties = act.kind === 'empty' || act.kind === 'away';
  if (!empties || typeof vessel !== 'number' || !isUnrecorded(view, vessel)) return null;
  return { sentence: 'Nothing of this mixture is recorded yet, and it cannot be had back then.', verb: 'Go on' };
}
