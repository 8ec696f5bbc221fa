import { fixed } from '../../analysis/quantity';
import type { Counted } from './counting';
import { DECIMALS, type Slot } from './plan';

/** Counters as text, alike on the server and in a browser. */

export type Shown = Readonly<Partial<Record<Slot, string>>>;

const texts = (values: Readonly<Partial<Record<Slot, number | null>>>, slots: readonly Slot[]): Shown =>
  Object.fromEntries(
    slots.flatMap((slot) => {
      const value = values[slot];
      return value === null || value === undefined ? [] : [[slot, fixed(value, DECIMALS[slot])]];
    }),
  );

/** What the counters show; those that show nothing are left out. */
export const counterTexts = ({ values }: Counted, slots: readonly Slot[]): Shown => texts(values, slots);

/** How uncertain that is, with the decimals of what it belongs to. */
export const uncertaintyTexts = ({ uncertainties }: Counted, slots: readonly Slot[]): Shown =>
  texts(uncertainties, slots);
