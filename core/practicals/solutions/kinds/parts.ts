import type { Step } from '../../contract';
import type { Bench } from '../bench';

/** What the practicals of solutions share. */

/** A step of the method: done when the bench shows it, or ticked. */
export const stepIn =
  ({ ticked }: Bench) =>
  (key: string, label: string, isDone: boolean): Step => ({ key, label, done: isDone || ticked.includes(key) });

/** Pairs of bottles that came together in one vessel, each as “1 2”. */
export function triedPairs({ vessels, sample }: Bench): Set<string> {
  const tried = new Set<string>();
  for (const { poured } of vessels) {
    const own = [...new Set(poured.map(({ from }) => from).filter((from) => from <= sample.bottles.length))].sort(
      (a, b) => a - b,
    );
    if (own.length === 2) tried.add(own.join(' '));
  }
  return tried;
}
