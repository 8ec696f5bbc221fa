import type { Bench, KeptReading } from '../bench';
import { hasSamples, usesFuel, type Slot, type TempSlot } from '../plan';

/** Which trial is which: each has a cup of its own. */

const isLive = (r: KeptReading) => r.struck === null;

/** What stands in the cup, by a number of its own: each cup, or in a series of points each addition. */
const portionNow = ({ cups, pours, plan }: Pick<Bench, 'cups' | 'pours' | 'plan'>): number =>
  plan.points ? 1000 * cups + pours : cups;

/** What is made ready for the next burning, and what is found out after one, whatever stands in the vessel by then. */
const BEFORE: readonly Slot[] = ['m', 'ms', 'L1', 'k1', 'b1'];
const LAMP_AFTER: readonly Slot[] = ['k2', 'b2'];

/** The portion of water that a reading belongs to: the one that is warmed by what is read. */
export function portionOf(bench: Bench, which?: Slot): number {
  const now = portionNow(bench);
  if (which === undefined || !usesFuel(bench.plan)) return now;
  if (BEFORE.includes(which)) return bench.mixedS === null ? now : now + 1;
  if (which === 'L2') return bench.burntIn ?? now;
  if (LAMP_AFTER.includes(which)) return bench.lamps[LAMP_AFTER.indexOf(which)]?.usedIn ?? now;
  return now;
}

/** Which lines of the log are drawn together: those of a trial, or of a whole series. */
export const seriesNow = (bench: Bench): string => seriesOf(bench, bench.tube?.melts);

/** @param melts how often what is in a test tube was molten: each freezing has lines of its own, and each tube of samples */
export const seriesOf = (bench: Bench, melts: number | undefined): string =>
  String(hasSamples(bench.plan) ? bench.cups : (melts ?? (bench.plan.points ? bench.cups : trialNow(bench))));

/** The trial that a reading belongs to: that of its portion, or the next one once another has a reading of its own in the last. */
export function trialNow(bench: Bench, which?: Slot): number {
  const { readings, trial, plan } = bench;
  const portion = portionOf(bench, which);
  const isOwn = (r: KeptReading) => isLive(r) && !plan.carries.includes(r.which);
  const known = usesFuel(plan) ? readings.findLast((r) => isOwn(r) && r.cup === portion) : undefined;
  if (known) return known.trial;
  return readings.some((r) => isOwn(r) && r.trial === trial && r.cup !== portion) ? trial + 1 : trial;
}

/** What a temperature would be recorded as, by what the thermometer that is looked at stands in. */
export function dueTemp(bench: Bench): TempSlot {
  const at = bench.thermometers[bench.looking]?.at;
  const has = (slot: TempSlot) => bench.plan.slots.includes(slot);
  if (has('Th') && (at === 'bath' || at === 'block' || at === 'beaker')) return 'Th';
  return bench.mixedS === null ? 'T1' : 'T2';
}
