import { gasOf } from '../../databook/gases';
import type { Bench } from './bench';
import { bySlot, countingTrials, standingOf } from '../standing';
import type { Slot } from './plan';

/** What the readings of the stretches come to. */

export interface Row {
  readings: Readonly<Partial<Record<Slot, number>>>;
  /** How many there were of each gas when the stretch began. */
  there: readonly [number, number];
}

/** Trials that count. */
export function rowsOf(bench: Bench): Row[] {
  return countingTrials(bench).flatMap((trial) => {
    const own = standingOf(bench, trial);
    const readings = bySlot(
      own.map((r) => ({ slot: r.which, value: r.value })),
      ({ value }) => value,
    );
    const there = own.at(-1)?.there;
    return there ? [{ readings, there }] : [];
  });
}

const HELIUM = gasOf('helium').molarMassGPerMol;

/** The mean of what rows come to, each by how long its stretch was. */
function meanOf(rows: readonly Row[], of: (row: Row['readings']) => number | undefined): number | undefined {
  let [sum, weight] = [0, 0];
  for (const { readings } of rows) {
    const value = of(readings);
    const d = readings.d ?? 1;
    if (value === undefined || !Number.isFinite(value)) continue;
    sum += d * value;
    weight += d;
  }
  return weight > 0 ? sum / weight : undefined;
}

const quotient = (a: number | undefined, b: number | undefined) => (a !== undefined && b ? a / b : undefined);

/** How much sooner helium leaves, from the parts of both that are left: each leaves in proportion to what is there. */
function leakOf(rows: readonly Row[]): number | undefined {
  const rates = [0, 0];
  for (const { readings, there } of rows)
    (['g1', 'g2'] as const).forEach((slot, i) => {
      const [left, first] = [readings[slot] ?? 0, there[i] ?? 0];
      if (left > 0 && left < first) rates[i] = (rates[i] ?? 0) - Math.log(1 - left / first);
    });
  return rates[0] && rates[1] ? rates[0] / rates[1] : undefined;
}

/** Results by quantity, from the rows that count. */
export function resultsOf(rows: readonly Row[]): Record<string, number> {
  const energy = meanOf(rows, ({ E1, E2 }) => quotient(E2, E1));
  const speed = meanOf(rows, ({ v1, v2 }) => quotient(v1, v2));
  const leak = leakOf(rows);
  return {
    ...(energy === undefined ? {} : { energyRatio: energy }),
    ...(speed === undefined ? {} : { speedRatio: speed, molarMass: HELIUM * speed ** 2 }),
    ...(leak === undefined ? {} : { leakRatio: leak }),
  };
}
