import { fitLine } from '../../analysis/line-fit';
import { molarMassOf } from '../../physics/kinetic';
import type { Bench } from './bench';
import { countingTrials, standingIn } from '../standing';
import { SLOT_KEYS, type Slot } from './plan';

/** What the readings come to. */

export type Row = Record<Slot, number>;

/** Trials that count with all three readings, of a particle that moved. */
export function rowsOf(bench: Bench): Row[] {
  return countingTrials(bench).flatMap((trial) => {
    const [T, E, v] = SLOT_KEYS.map((slot) => standingIn(bench, trial, slot)?.value);
    return T && E && v ? [{ T, E, v }] : [];
  });
}

/** By what power of the temperature something grows: the slope of its logarithm. */
function powerOf(rows: readonly Row[], slot: Slot): number | undefined {
  return fitLine(rows.map((row) => ({ x: Math.log(row.T), y: Math.log(row[slot]) })))?.slope;
}

/** Results by quantity, from the rows that count. */
export function resultsOf(rows: readonly Row[]): Record<string, number> {
  const [ofE, ofV] = [powerOf(rows, 'E'), powerOf(rows, 'v')];
  const perKelvin = fitLine(rows.map(({ T, E }) => ({ x: T, y: E })))?.slope;
  const masses = rows.map(({ E, v }) => molarMassOf(E, v / 1000));
  return {
    ...(ofE === undefined ? {} : { energyFactor: 2 ** ofE }),
    ...(ofV === undefined ? {} : { speedFactor: 2 ** ofV }),
    ...(perKelvin === undefined ? {} : { perKelvin }),
    ...(masses.length === 0 ? {} : { molarMass: masses.reduce((a, b) => a + b, 0) / masses.length }),
  };
}
