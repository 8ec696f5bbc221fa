import { VESSELS } from '../../databook/vessels';
import { weighingUncertaintyG } from '../../instruments/balance';
import { CALLIPER, PLACING_MM, RULER } from '../../instruments/length';
import { TOLERANCE_DEVIATION } from '../../random';
import { readByEye } from '../uncertainty';
import { SLOTS, type Plan, type Slot } from './plan';
import type { Row, RowReading } from './rows';

/** Standard uncertainties of readings at the bench of measuring: each one's own, and what all of one instrument share. */

const weighed = (plan: Plan) => weighingUncertaintyG(Number(plan.balance));

function ownOf(plan: Plan, slot: Slot, { instrument }: RowReading): number {
  if (instrument === 'balance') return weighed(plan);
  if (instrument === 'calliper')
    return Math.hypot(PLACING_MM.calliper / (slot === 'Z' ? 3 : 1), CALLIPER.vernierMm / Math.sqrt(12));
  if (instrument === 'ruler') return Math.SQRT2 * readByEye(RULER.divisionMm);
  const vessel = VESSELS.find(({ name }) => name === instrument);
  return vessel?.divisionMl ? readByEye(vessel.divisionMl) : 0;
}

/** What one instrument makes of all its readings: the change of a reading by one standard deviation of its error. */
const SHARED: readonly ((slot: Slot, reading: RowReading, row: Row) => number)[] = [
  ...VESSELS.map(
    ({ name, toleranceMl, capacityMl }) =>
      (slot: Slot, reading: RowReading) =>
        SLOTS[slot].unit === 'mL' &&
        (reading.instrument === name || (reading.instrument === 'density bottle' && name.includes('density bottle')))
          ? (TOLERANCE_DEVIATION * toleranceMl * reading.value) / capacityMl
          : 0,
  ),
  // The zero of a calliper, where it was not read.
  (slot, reading, row) =>
    reading.instrument === 'calliper' && slot !== 'Z' && !row.readings.Z
      ? TOLERANCE_DEVIATION * CALLIPER.toleranceMm
      : 0,
];

type Shift = (slot: Slot, reading: RowReading, row: Row) => number;

/** Rows with readings moved; those in which none is stay the same rows. */
const shifted = (rows: readonly Row[], by: Shift): Row[] =>
  rows.map((row) => {
    const moved = Object.entries(row.readings).map(
      ([slot, reading]) => [slot, reading, by(slot as Slot, reading, row)] as const,
    );
    if (moved.every(([, , shift]) => shift === 0)) return row;
    const readings = Object.fromEntries(
      moved.map(([slot, reading, shift]) => [slot, { ...reading, value: reading.value + shift }]),
    );
    return { ...row, readings };
  });

/**
 * The rows once for each source of uncertainty, moved by one standard deviation of it.
 * @param isShared whether what an instrument is off by counts: not where what stood on its scale is asked for
 */
export function movedRows(plan: Plan, rows: readonly Row[], isShared: boolean): Row[][] {
  const own = new Map<number, number>();
  for (const row of rows)
    for (const [slot, reading] of Object.entries(row.readings))
      own.set(reading.index, ownOf(plan, slot as Slot, reading));
  const each = [...own].map(([index, by]) => shifted(rows, (_, reading) => (reading.index === index ? by : 0)));
  const together = isShared ? SHARED.map((by) => shifted(rows, by)) : [];
  return [...each, ...together];
}
