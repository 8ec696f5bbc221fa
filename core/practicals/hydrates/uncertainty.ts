import { weighingUncertaintyG } from '../../instruments/balance';
import { lastHeated, type Row } from './rows';
import type { Plan, Slot } from './plan';

/** Standard uncertainties of readings at this bench: of each weighing, and of what a careful student cannot see. */

/** Damp that came and went between weighings, and the last of the water, g. */
const UNSEEN_G = 0.0015;

/** The rows once for each source of uncertainty, moved by one standard deviation of it. */
export function movedRows(plan: Plan, rows: readonly Row[]): Row[][] {
  const weighed = weighingUncertaintyG(Number(plan.balance));
  const shifted = (which: number, slot: Slot, by: number): Row[] =>
    rows.map((row, i) => {
      const reading = row.readings[slot];
      if (i !== which || !reading) return row;
      return { ...row, readings: { ...row.readings, [slot]: { ...reading, value: reading.value + by } } };
    });
  return rows.flatMap((row, i) => {
    const last = lastHeated((slot) => row.readings[slot] !== undefined);
    const used = (['m0', 'm1', ...(last ? [last] : [])] as Slot[]).filter((slot) => row.readings[slot]);
    return [...used.map((slot) => shifted(i, slot, weighed)), ...(last ? [shifted(i, last, UNSEEN_G)] : [])];
  });
}
