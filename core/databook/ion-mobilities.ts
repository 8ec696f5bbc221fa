import { IONS, type Ion } from './ions';

/**
 * Limiting molar conductivities of ions at the bench of solutions, at 25 °C, S cm² mol⁻¹ of the whole ion, by formula; what stands in `ions.ts`
 * is taken from there. Source: `IONS_SOURCE` in `ions.ts`.
 */
const OWN: Readonly<Record<string, number>> = {
  'Ag^+': 61.9, 'Pb^2+': 142, 'Ba^2+': 127.2, 'Sr^2+': 118.8, 'Zn^2+': 105.6, 'Cu^2+': 107.2, 'Al^3+': 183, 'Fe^3+': 204, 'Fe^2+': 108,
  'Mn^2+': 107, 'Cr^3+': 201, 'I^-': 76.8, 'SCN^-': 66, 'CrO4^2-': 170, 'SO4^2-': 160, 'HSO4^-': 52, 'CO3^2-': 138.6, 'HCO3^-': 44.5,
  'C2O4^2-': 148.2, 'HC2O4^-': 40.2, 'NH4^+': 73.5, 'MnO4^-': 61.3, 'S2O3^2-': 170, 'S4O6^2-': 133, 'I3^-': 41,
}; // prettier-ignore

/** Charge of a formula: +2 of Ba^2+; 0 where none is written. */
export function chargeOf(formula: string): number {
  const [, digits = '', sign] = /\^(\d*)([+-])$/u.exec(formula) ?? [];
  return sign ? Number(digits || 1) * (sign === '+' ? 1 : -1) : 0;
}

/** A complex without a value of its own, for each unit of its charge. Model value. */
const COMPLEX = 50;

/** S cm² mol⁻¹; 0 of what has no charge. */
export function mobilityOf(formula: string): number {
  const charge = chargeOf(formula);
  if (charge === 0) return 0;
  const plain = formula.replace(/\^.*$/u, '');
  return OWN[formula] ?? (plain in IONS ? IONS[plain as Ion] : COMPLEX * Math.abs(charge));
}
