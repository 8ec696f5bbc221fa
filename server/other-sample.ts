import { PRACTICALS, type PracticalId } from '@core/practicals/registry';
import type { Truths } from '@core/report/asks';

/** Samples beside the one that counts: to practise on, and to show a step with. */

const truthsOf = (practical: PracticalId, setup: unknown, sample: unknown): Truths =>
  PRACTICALS[practical].open(setup, sample, 'practice').truths();

/** Samples that are drawn to see whether a pool holds more than one name. */
const DRAWS = 24;

/** What of a sample is a name. */
const namesIn = (truths: Truths): string =>
  JSON.stringify(Object.entries(truths).filter(([, value]) => typeof value === 'string'));

/** Whether all samples of a setup bear the same names, so that one to practise on would tell what the others are. */
function hasOneName(practical: PracticalId, setup: unknown): boolean {
  const drawn = (index: number) =>
    namesIn(truthsOf(practical, setup, PRACTICALS[practical].sample(setup, `names ${index}`, index)));
  const first = drawn(0);
  if (first === '[]') return false;
  // Most pools tell by the second: to open a bench can be work.
  for (let index = 1; index < DRAWS; index++) if (drawn(index) !== first) return false;
  return true;
}

/**
 * A sample that says nothing of the one that counts: drawn as if there were no other, from the whole pool and over the whole
 * range of each number. Nothing is kept clear of, since that would tell what it is. Where the pool holds one name alone it
 * is drawn from the pool that the practical comes with.
 */
export function otherSample(practical: PracticalId, setup: unknown, seed: string): { setup: unknown; sample: unknown } {
  const open = PRACTICALS[practical];
  const chosen = hasOneName(practical, setup) ? open.setup.parse({}) : setup;
  return { setup: chosen, sample: open.sample(chosen, seed, 0) };
}
