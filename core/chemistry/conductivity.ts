import { FORMS, IONS, ORGANIC } from '../databook/ions';
import { soluteOf } from '../databook/solutes';
import { logGamma } from './equilibrium';
import { mobilityOf, chargeOf } from '../databook/ion-mobilities';
import { settledIn, type Contents } from './contents';
import { settle, type Solution } from './solution';

/** Coefficients of Onsager's limiting law in water at 25 °C: S cm² mol⁻¹ and none, each for √(mol/L). */
const ONSAGER = { drag: 30.1, relaxation: 0.229 };

/**
 * Molar conductivity of an ion in a liquid of some ionic strength, S cm² mol⁻¹: Onsager's law for its own charge, with the
 * root of the strength damped by 1 + √I, which keeps it within some percent up to a few tenths of a mol/L.
 * Source: L. Onsager, Phys. Z. 28 (1927) 277; the damping after R. A. Robinson, R. H. Stokes, Electrolyte Solutions (1959), 7.
 */
export function molarConductivity(limiting: number, charge: number, ionicStrength: number): number {
  const root = Math.sqrt(ionicStrength) / (1 + Math.sqrt(ionicStrength));
  const z = Math.abs(charge);
  return Math.max(limiting - (ONSAGER.drag * z * z + ONSAGER.relaxation * limiting) * root, 0);
}

/** Conductivity of a liquid at 25 °C, mS/cm: each ion by its concentration. @throws RangeError when there is no liquid */
export function conductivity(liquid: Solution, activities: boolean): number {
  const { pH, hydrogen, hydroxide, ionicStrength } = settle(liquid, { tempC: 25, activities });
  const litres = liquid.volumeMl / 1000;
  // S cm² mol⁻¹ times mol/L is mS/cm.
  let sum = hydrogen * molarConductivity(IONS.H, 1, ionicStrength);
  sum += hydroxide * molarConductivity(IONS.OH, -1, ionicStrength);
  for (const [id, amount] of Object.entries(liquid.amounts)) {
    if (amount <= 0) continue;
    const { pKas, charge, spectators } = soluteOf(id);
    const molar = amount / litres;
    for (const ion of spectators)
      sum += ion.count * molar * molarConductivity(IONS[ion.ion], ion.charge, ionicStrength);
    if (pKas.length === 0) continue;
    const log = (z: number) => (activities ? logGamma(z, ionicStrength, 25) : 0);
    const logs = [0];
    pKas.forEach((pKa, k) => {
      logs.push((logs[k] as number) - pKa + pH + log(charge - k) - log(charge - k - 1));
    });
    const highest = Math.max(...logs);
    const weights = logs.map((value) => 10 ** (value - highest));
    const total = weights.reduce((a, b) => a + b);
    weights.forEach((weight, k) => {
      const z = charge - k;
      if (z === 0) return;
      const limiting = FORMS[id]?.[z] ?? ORGANIC * Math.abs(z) * (Math.abs(z) > 1 ? 1.6 : 1);
      sum += ((molar * weight) / total) * molarConductivity(limiting, z, ionicStrength);
    });
  }
  return sum;
}

/** The same of what a vessel at the bench of solutions holds, mS/cm: of all that is dissolved in it. @throws RangeError when there is no liquid */
export function conductivityIn(contents: Contents): number {
  const { made, found } = settledIn(contents);
  return made.formulas.reduce((sum, formula, i) => {
    const limiting = mobilityOf(formula);
    return limiting === 0
      ? sum
      : sum + (found.molar[i] ?? 0) * molarConductivity(limiting, chargeOf(formula), found.ionicStrength);
  }, 0);
}
