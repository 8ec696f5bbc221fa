import { compositionOf } from './formula';

/** Conventional standard atomic weights, g/mol, of the elements that Fen weighs. Source: IUPAC 2021 (`iupacWeights`). */
const WEIGHTS: Readonly<Record<string, number>> = {
  H: 1.008, C: 12.011, N: 14.007, O: 15.999, Na: 22.99, Mg: 24.305, Al: 26.982, S: 32.06, Cl: 35.45, K: 39.098, Ca: 40.078,
  Cr: 51.996, Mn: 54.938, Fe: 55.845, Co: 58.933, Ni: 58.693, Cu: 63.546, Zn: 65.38, Br: 79.904, Sr: 87.62, Ag: 107.868,
  I: 126.904, Ba: 137.327, Pb: 207.2,
}; // prettier-ignore

const known = new Map<string, number>();

/** g/mol of a formula. @throws RangeError for an element that nothing here is made of */
export function gramsPerMol(formula: string): number {
  const found = known.get(formula);
  if (found !== undefined) return found;
  let sum = 0;
  for (const [symbol, count] of Object.entries(compositionOf(formula).atoms)) {
    const weight = WEIGHTS[symbol];
    if (weight === undefined) throw new RangeError(`no atomic weight of ${symbol} is known here`);
    sum += count * weight;
  }
  known.set(formula, sum);
  return sum;
}
