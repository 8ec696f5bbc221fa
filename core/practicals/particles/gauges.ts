import { fixed } from '../../analysis/quantity';
import { standingIn } from '../standing';
import { stateOf, type Bench } from './bench';
import type { Slot } from './plan';

/** Decimals that the gauges show: a tenth of a kelvin, a thousandth of a zJ, a tenth of a metre in a second. */
const DECIMALS: Record<Slot, number> = { T: 1, E: 3, v: 1 };

/** What a gauge shows. */
export const gaugeText = (bench: Bench, slot: Slot): string => fixed(stateOf(bench)[slot], DECIMALS[slot]);

/** The trial that the next reading of a slot belongs to; see `BenchSlot.due`. */
export function dueTrial(bench: Bench, slot: Slot): number {
  const last = standingIn(bench, bench.trial, slot);
  return last && last.text !== gaugeText(bench, slot) ? bench.trial + 1 : bench.trial;
}
