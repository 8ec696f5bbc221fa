import { pure, type Solution } from '../../../chemistry/solution';
import type { Sample } from '../sample';

/** So many mL out of a bottle, by its place. */
export function solutionIn({ bottles }: Sample, index: number, ml: number): Solution {
  const bottle = bottles[index];
  if (!bottle) throw new RangeError(`there is no bottle ${index}`);
  const amounts: Record<string, number> = {};
  for (const [id, molPerL] of Object.entries(bottle.molPerL)) amounts[id] = (molPerL * ml) / 1000;
  return { ...pure(bottle.liquidId, ml), amounts };
}
