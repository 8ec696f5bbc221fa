import type { Bench } from './bench';

/** How many pairs of bottles have come together, and how many with far more of one than of the other. */
export function triedPairs({ tried }: Bench): { pairs: number; inExcess: number } {
  const inExcess = tried.filter((key) => key.endsWith('much')).length;
  return { pairs: tried.length - inExcess, inExcess };
}
