import type { GaugeKind } from './plan';
import { valueOf, type Row } from './rows';

/** From what a gauge shows to a pressure: its zero is read open to the room, beside the barometer. All in kPa. */

/** What the gauge shows too much; undefined where it was not read open, or the barometer not beside it. */
export function zeroOf(row: Row, gauge: GaugeKind): number | undefined {
  const open = valueOf(row, 'open');
  const bar = valueOf(row, 'bar');
  if (open === undefined) return undefined;
  if (gauge === 'over') return open;
  return bar === undefined ? undefined : open - bar;
}

/** The pressure that a reading stands for; as it was read where the zero is not known. Undefined where the barometer is needed for it. */
export function pressureOf(row: Row, slot: 'p' | 'pj', gauge: GaugeKind): number | undefined {
  const read = valueOf(row, slot);
  const bar = valueOf(row, 'bar');
  if (read === undefined) return undefined;
  const own = read - (zeroOf(row, gauge) ?? 0);
  if (gauge === 'absolute') return own;
  return bar === undefined ? undefined : own + bar;
}
