import { fixed } from '../../analysis/quantity';
import { BOLTZMANN_ZJ_PER_K } from '../../physics/kinetic';
import type { Bench } from './bench';
import { shownOf } from './flying';
import { DECIMALS, SLOT_IDS, type Slot } from './plan';

/** What the counters beside the vessel show. */
export type Counters = Readonly<Partial<Record<Slot, string>>>;

type Counting = Pick<Bench, 'tally' | 'nowPs' | 'run'>;

/** What the counters have of this stretch; null before anything flew. */
export const countersOf = ({ tally, nowPs, run }: Counting) =>
  shownOf(tally, nowPs - run.fromPs, 1 / (1.5 * BOLTZMANN_ZJ_PER_K));

/** What a counter shows, as it shows it; null before anything flew, and of a gas that is not there. */
export function counterText(bench: Counting, slot: Slot): string | null {
  const value = countersOf(bench)?.[slot] ?? null;
  return value === null ? null : fixed(value, DECIMALS[slot]);
}

/** All of them as text; null before anything flew. */
export function counterTexts(bench: Counting): Counters | null {
  const texts = SLOT_IDS.map((slot) => [slot, counterText(bench, slot)] as const).filter(([, text]) => text !== null);
  return texts.length === 0 ? null : Object.fromEntries(texts);
}
