import { debyeHuckelA, pKw } from './water';

/** An acid, base or ampholyte in solution, named by its fully protonated form. */
export interface Protolyte {
  /** Total concentration of all its forms, mol/L. */
  molar: number;
  /** Charge of the form that has all its protons. */
  charge: number;
  /** Thermodynamic pKa's at the mixture's temperature, first to last; empty for an ion that takes no part. */
  pKas: readonly number[];
}

export interface Mixture {
  protolytes: readonly Protolyte[];
  /** Σ z·c of ions that neither take nor give protons, mol/L. */
  spectatorCharge: number;
  /** Σ z²·c of the same ions, mol/L: their part in the ionic strength, doubled. */
  spectatorStrength: number;
}

export interface Conditions {
  tempC: number;
  /** Davies activity coefficients (true) or ideal solution (false). */
  activities: boolean;
}

export interface Equilibrium {
  /** −log10 of the hydrogen-ion activity. */
  pH: number;
  /** mol/L */
  ionicStrength: number;
  /** Concentrations of H⁺ and OH⁻, mol/L. */
  hydrogen: number;
  hydroxide: number;
}

/** Beyond this the Davies equation has no meaning; stronger solutions keep its value here. */
export const DAVIES_LIMIT = 0.5;

/** Brackets of ln a(H⁺): pH −3 to 18 holds everything from 12 mol/L acid to 12 mol/L base. */
const LN_A_MIN = -18 * Math.LN10;
const LN_A_MAX = 3 * Math.LN10;

/** √I/(1+√I) − 0.3 I, so that log10 γ = −A z² g. Source: C. W. Davies, Ion Association (1962). */
function daviesTerm(ionicStrength: number): number {
  const strength = Math.min(ionicStrength, DAVIES_LIMIT);
  const root = Math.sqrt(strength);
  return root / (1 + root) - 0.3 * strength;
}

/** log10 of the activity coefficient of an ion. */
export function logGamma(charge: number, ionicStrength: number, tempC: number): number {
  return -debyeHuckelA(tempC) * charge * charge * daviesTerm(ionicStrength);
}

let cachedTemp = NaN;
let cachedKw = 0;
let cachedA = 0;

/** Constants of water by temperature, remembered for the last temperature asked for. */
function water(tempC: number): void {
  if (tempC === cachedTemp) return;
  cachedTemp = tempC;
  cachedKw = 10 ** -pKw(tempC);
  cachedA = debyeHuckelA(tempC);
}

/** Work space of one solve; constants per protolyte laid end to end. Grows, never shrinks. */
let constants = new Float64Array(64);
let mixed = new Float64Array(64);

function load(protolytes: readonly Protolyte[]): void {
  let count = 0;
  for (const p of protolytes) count += p.pKas.length;
  if (count > constants.length) {
    constants = new Float64Array(2 * count);
    mixed = new Float64Array(2 * count);
  }
  let at = 0;
  for (const p of protolytes) {
    for (let k = 0; k < p.pKas.length; k++) constants[at++] = Math.exp(-Math.LN10 * (p.pKas[k] as number));
  }
}

/**
 * Ka corrected to concentrations of the species but activity of H⁺: log Ka' = log Ka + A g (1 − 2z),
 * with z the charge of the acid form. `inverseGamma1` is 1/γ of a singly charged ion.
 */
function correct(protolytes: readonly Protolyte[], inverseGamma1: number): void {
  let at = 0;
  for (const p of protolytes) {
    for (let k = 0; k < p.pKas.length; k++, at++) {
      mixed[at] = (constants[at] as number) * inverseGamma1 ** (1 - 2 * (p.charge - k));
    }
  }
}

/** Sides of the proton balance at one activity, and their slopes against ln a; filled by {@link balance}. */
let gained = 0;
let lost = 0;
let gainedSlope = 0;
let lostSlope = 0;
let twiceStrength = 0;

/**
 * The proton balance at activity `a`: what has gained protons against what has lost them, counted from the
 * form of each protolyte that prevails at this activity. Written so, no large terms cancel, and the logarithm of
 * each side is all but a straight line in ln a, which is what makes Newton's step safe and short.
 */
function balance(mixture: Mixture, a: number, kw: number, inverseGamma1: number): void {
  const hydrogen = a * inverseGamma1;
  const hydroxide = (kw / a) * inverseGamma1;
  let net = mixture.spectatorCharge;
  gained = gainedSlope = hydrogen;
  lost = hydroxide;
  lostSlope = -hydroxide;
  twiceStrength = mixture.spectatorStrength + hydrogen + hydroxide;
  let base = 0;
  for (const p of mixture.protolytes) {
    const steps = p.pKas.length;
    if (steps === 0) {
      net += p.charge * p.molar;
      twiceStrength += p.charge * p.charge * p.molar;
      continue;
    }
    // Forms relative to the one with all protons; `mean` is the mean number of protons lost.
    let term = 1;
    let sum = 1;
    let weighted = 0;
    let largest = 1;
    let reference = 0;
    for (let k = 1; k <= steps; k++) {
      term *= (mixed[base + k - 1] as number) / a;
      sum += term;
      weighted += k * term;
      if (term > largest) {
        largest = term;
        reference = k;
      }
    }
    const mean = weighted / sum;
    const scale = p.molar / sum;
    net += p.molar * (p.charge - reference);
    term = 1;
    for (let k = 0; k <= steps; k++) {
      if (k > 0) term *= (mixed[base + k - 1] as number) / a;
      const amount = scale * term;
      const z = p.charge - k;
      twiceStrength += z * z * amount;
      // d(amount)/d(ln a) = amount · (mean − k)
      if (k < reference) {
        gained += (reference - k) * amount;
        gainedSlope += (reference - k) * amount * (mean - k);
      } else if (k > reference) {
        lost += (k - reference) * amount;
        lostSlope += (k - reference) * amount * (mean - k);
      }
    }
    base += steps;
  }
  if (net > 0) gained += net;
  else lost -= net;
}

/** ln a(H⁺) at fixed activity coefficients, by Newton on ln(gained/lost) inside a bracket that only shrinks. */
function solveAtStrength(mixture: Mixture, start: number, kw: number, inverseGamma1: number): number {
  let low = LN_A_MIN;
  let high = LN_A_MAX;
  let x = start;
  for (let i = 0; i < 100; i++) {
    balance(mixture, Math.exp(x), kw, inverseGamma1);
    const f = Math.log(gained / lost);
    if (f === 0) return x;
    if (f > 0) high = x;
    else low = x;
    let next = x - f / (gainedSlope / gained - lostSlope / lost);
    if (!(next > low && next < high)) next = 0.5 * (low + high);
    const step = Math.abs(next - x);
    x = next;
    if (step < 1e-9) return x;
  }
  return x;
}

/**
 * Acid-base equilibrium of any mixture in water: the charge balance, written as a proton balance, solved for
 * ln a(H⁺). With activities the ionic strength is found by fixed-point rounds around the solve.
 *
 * @param near a pH to start from, if one is known (the last one of a titration); any value is safe
 * @throws RangeError when a concentration is negative or not a number
 */
export function equilibrium(mixture: Mixture, conditions: Conditions, near = 7): Equilibrium {
  for (const p of mixture.protolytes) {
    if (!(p.molar >= 0)) throw new RangeError(`a concentration must be zero or more, got ${p.molar} mol/L`);
  }
  if (!Number.isFinite(mixture.spectatorCharge)) throw new RangeError('the spectator charge must be finite');
  water(conditions.tempC);
  load(mixture.protolytes);
  const start = Math.min(Math.max(-near * Math.LN10, LN_A_MIN + 1), LN_A_MAX - 1);
  let inverseGamma1 = 1;
  correct(mixture.protolytes, inverseGamma1);
  let x = solveAtStrength(mixture, start, cachedKw, inverseGamma1);
  if (conditions.activities) {
    let term = -1;
    for (let round = 0; round < 50; round++) {
      balance(mixture, Math.exp(x), cachedKw, inverseGamma1);
      const nextTerm = daviesTerm(twiceStrength / 2);
      if (Math.abs(nextTerm - term) < 1e-11) break;
      term = nextTerm;
      inverseGamma1 = Math.exp(Math.LN10 * cachedA * term);
      correct(mixture.protolytes, inverseGamma1);
      x = solveAtStrength(mixture, x, cachedKw, inverseGamma1);
    }
  }
  const a = Math.exp(x);
  balance(mixture, a, cachedKw, inverseGamma1);
  return {
    pH: -x / Math.LN10,
    ionicStrength: twiceStrength / 2,
    hydrogen: a * inverseGamma1,
    hydroxide: (cachedKw / a) * inverseGamma1,
  };
}

/** Fractions of the forms of a protolyte at a pH, from all protons to none; ideal, for indicators. */
export function formFractions(pKas: readonly number[], pH: number): number[] {
  const terms = [1];
  let sum = 1;
  for (const pKa of pKas) {
    const term = (terms[terms.length - 1] as number) * 10 ** (pH - pKa);
    terms.push(term);
    sum += term;
  }
  return terms.map((term) => term / sum);
}
