import type { Bench } from './bench';
import { handMl, DROP_ML } from './liquid-acts';
import { LEFT_SLOTS, VOLUME_SLOTS, type Slot } from './plan';
import type { Row, RowReading } from './rows';
import { SLIP_MMOL, SLIP_PART } from './analysis';

/** Standard uncertainties of readings at this bench. */

/** Of a thermometer that wavers, and of reading it a moment too soon, K. */
const WARMTH_K = 0.015;

function uncertaintyOf(slot: Slot, { value, about }: RowReading): number {
  if ((VOLUME_SLOTS as readonly Slot[]).includes(slot))
    return about.by === 'drops' || about.by === null ? 0.04 * Math.sqrt(value * DROP_ML) : handMl(about.by, value);
  if ((LEFT_SLOTS as readonly Slot[]).includes(slot)) return Math.hypot(SLIP_PART * value, SLIP_MMOL);
  if (slot === 'p') return 0.012 + 0.001 * value;
  return slot === 'pH' ? 0.02 : WARMTH_K;
}

/** The rows once for each source of uncertainty, moved by one standard deviation of it. */
export const movedRows = (_: Bench, rows: readonly Row[]): Row[][] =>
  rows.flatMap((row, i) =>
    (Object.entries(row.readings) as [Slot, RowReading][]).map(([slot, reading]) =>
      rows.map((other, j) =>
        j === i
          ? {
              ...other,
              readings: {
                ...other.readings,
                [slot]: { ...reading, value: reading.value + uncertaintyOf(slot, reading) },
              },
            }
          : other,
      ),
    ),
  );
