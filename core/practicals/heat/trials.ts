import type { Bench, KeptReading } from './bench';
import type { TempSlot } from './plan';

/** Which trial is which: each has a cup of its own. */

const isLive = (r: KeptReading) => r.struck === null;

type Counted = Pick<Bench, 'readings' | 'trial' | 'cups' | 'pours' | 'plan'>;

/** What stands in the cup, by a number of its own: each cup, or in a series of points each addition. */
export const portionNow = ({ cups, pours, plan }: Counted): number => (plan.points ? 1000 * cups + pours : cups);

/** Which lines of the log are drawn together: those of a trial, or of a whole series. */
export const seriesNow = (bench: Counted): string => String(bench.plan.points ? bench.cups : trialNow(bench));

/** The trial that this portion belongs to: the next one once an earlier portion has a reading of its own in the last. */
export function trialNow(bench: Counted): number {
  const { readings, trial, plan } = bench;
  const portion = portionNow(bench);
  const isOfOther = readings.some(
    (r) => isLive(r) && r.trial === trial && r.cup !== portion && !plan.carries.includes(r.which),
  );
  return isOfOther ? trial + 1 : trial;
}

/** What a temperature would be recorded as, by what the thermometer that is looked at stands in. */
export function dueTemp(bench: Bench): TempSlot {
  const at = bench.thermometers[bench.looking]?.at;
  const has = (slot: TempSlot) => bench.plan.slots.includes(slot);
  if (has('Th') && (at === 'bath' || at === 'block' || at === 'beaker')) return 'Th';
  return bench.mixedS === null ? 'T1' : 'T2';
}
