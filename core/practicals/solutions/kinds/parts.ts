import type { Step } from '../../contract';
import type { Bench } from '../bench';

/** What the practicals of solutions share. */

/** A step of the method: done when the bench shows it, or ticked. */
export const stepIn =
  ({ ticked }: Bench) =>
  (key: string, label: string, isDone: boolean): Step => ({ key, label, done: isDone || ticked.includes(key) });

/** How many pairs of bottles have come together, and how many with far more of one than of the other. */
export function triedPairs({ tried }: Bench): { pairs: number; inExcess: number } {
  const inExcess = tried.filter((key) => key.endsWith('much')).length;
  return { pairs: tried.length - inExcess, inExcess };
}
