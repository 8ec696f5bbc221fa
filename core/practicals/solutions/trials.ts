import { withVessel, type Bench } from './bench';
import { PAPER_SLOTS, type Slot } from './plan';

/** Each mixture is a trial of its own: the next one that is free, once something of it is recorded or handed over. */

const WAITING: ReadonlySet<Slot> = new Set<Slot>(['T0', 'mB', 'mE', ...PAPER_SLOTS]);
const waits = (which: Slot) => WAITING.has(which);

/** The trial that a vessel is, or would be. */
export function trialFor({ vessels, slips, colorimeter, readings }: Bench, number: number): number {
  const own = vessels[number - 1]?.trial;
  if (own) return own;
  const used = [
    ...vessels.map(({ trial }) => trial ?? 0),
    ...slips.map(({ trial }) => trial),
    colorimeter.trial ?? 0,
    // A temperature before, a paper and a boat wait for the mixture that they are for.
    ...readings.filter(({ struck, which }) => struck === null && !waits(which)).map(({ trial }) => trial),
  ];
  return Math.max(0, ...used) + 1;
}

/** The bench with a vessel that is a trial. */
export function trialOf(bench: Bench, number: number): { trial: number; bench: Bench } {
  const trial = trialFor(bench, number);
  return { trial, bench: withVessel(bench, number, { trial }) };
}
