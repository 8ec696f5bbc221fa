import { withVessel, type Bench } from './bench';

/** Each mixture is a trial of its own: the next one that is free, once something of it is recorded or handed over. */

/** The trial that a vessel is, or would be. */
export function trialFor({ vessels, slips, colorimeter, readings }: Bench, number: number): number {
  const own = vessels[number - 1]?.trial;
  if (own) return own;
  const used = [
    ...vessels.map(({ trial }) => trial ?? 0),
    ...slips.map(({ trial }) => trial),
    colorimeter.trial ?? 0,
    // A temperature before waits for the mixture that it is the one before.
    ...readings.filter(({ struck, which }) => struck === null && which !== 'T0').map(({ trial }) => trial),
  ];
  return Math.max(0, ...used) + 1;
}

/** The bench with a vessel that is a trial. */
export function trialOf(bench: Bench, number: number): { trial: number; bench: Bench } {
  const trial = trialFor(bench, number);
  return { trial, bench: withVessel(bench, number, { trial }) };
}
