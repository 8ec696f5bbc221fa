import { gasOf } from '../../databook/gases';
import { BOLTZMANN_ZJ_PER_K, massZJ } from '../../physics/kinetic';
import { resultsOf, type Row } from './rows';
import type { Plan } from './plan';

/** How uncertain means over a stretch are: there are few particles, and each keeps its speed until it comes to a wall. */

/** Variances of one particle's speed and energy, as parts of the squares of their means (Maxwell): 3π/8 − 1, and 2/3. */
const OF_SPEED = (3 * Math.PI) / 8 - 1;
const OF_ENERGY = 2 / 3;

/** Mean time from wall to wall, ps: at the mean speed of a temperature 6 L² v̄ / 4 L³ of them come to a wall. */
function betweenWalls(gPerMol: number, kelvin: number, edgeNm: number): number {
  const mean = Math.sqrt((8 * BOLTZMANN_ZJ_PER_K * kelvin) / (Math.PI * massZJ(gPerMol)));
  return edgeNm / (1.5 * mean);
}

/** Standard uncertainties of the results, by quantity. */
export function uncertaintiesOf(plan: Plan, rows: readonly Row[]): Record<string, number> {
  const results = resultsOf(rows);
  const used = rows.filter(({ readings }) => readings.v1 && readings.v2);
  const ps = used.reduce((sum, { readings }) => sum + (readings.d ?? 0), 0);
  const kelvin = used.reduce((sum, { readings }) => sum + (readings.T ?? 300) / used.length, 0) || 300;
  const heavy = results['molarMass'] ?? gasOf('argon').molarMassGPerMol;
  // As many looks that are independent of one another as there are times twice from wall to wall.
  const part = (of: number, gPerMol: number) =>
    of / plan.count / (1 + ps / (2 * betweenWalls(gPerMol, kelvin, plan.edgeNm)));
  const both = (of: number) => Math.sqrt(part(of, gasOf('helium').molarMassGPerMol) + part(of, heavy));
  const [speed, energy] = [both(OF_SPEED), both(OF_ENERGY)];
  const left = [0, 1].map((i) => rows.reduce((sum, { readings }) => sum + ((i ? readings.g2 : readings.g1) ?? 0), 0));
  const leak = Math.sqrt(left.reduce((sum, count) => sum + 1 / Math.max(count, 1), 0));
  const parts: Record<string, number> = {
    energyRatio: energy,
    speedRatio: speed,
    molarMass: 2 * speed,
    leakRatio: leak,
  };
  return Object.fromEntries(Object.entries(results).map(([key, value]) => [key, value * (parts[key] ?? 0)]));
}
