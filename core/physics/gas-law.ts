/** Gases that are enclosed: ideal, and as they really are at pressures of a room. Pressures in kPa, volumes in mL, temperatures in K. */

/** The gas constant, kPa mL mol⁻¹ K⁻¹. Source: BIPM, The International System of Units, 9th ed., 2019: exact. */
export const GAS_CONSTANT = 8314.46261815324;

export const KELVIN_AT_ZERO = 273.15;
export const kelvin = (celsius: number): number => celsius + KELVIN_AT_ZERO;

/** A part of an enclosed space, at a temperature of its own. */
export interface Part {
  ml: number;
  tempK: number;
}

/** Σ V/T of parts that are joined, mL/K: one pressure stands in all of them. */
export const volumePerKelvin = (parts: readonly Part[]): number =>
  parts.reduce((sum, { ml, tempK }) => sum + ml / tempK, 0);

/** Pressure of an amount of an ideal gas in parts that are joined: n R / Σ V/T. */
export const pressureIn = (mol: number, parts: readonly Part[]): number =>
  (mol * GAS_CONSTANT) / volumePerKelvin(parts);

/** The amount of an ideal gas, mol, that fills parts at a pressure. */
export const molFilling = (kPa: number, parts: readonly Part[]): number =>
  (kPa * volumePerKelvin(parts)) / GAS_CONSTANT;

/** What a substance's departure from the ideal gas follows from. */
export interface Critical {
  tempK: number;
  /** MPa. */
  pressureMPa: number;
  acentric: number;
}

/**
 * Second virial coefficient, mL/mol, by corresponding states: B Pc / (R Tc) = B0 + ω B1.
 * Source: H. C. Van Ness, M. M. Abbott, Classical Thermodynamics of Nonelectrolyte Solutions, McGraw-Hill 1982, chapter 4. Not for
 * substances that associate, such as alcohols.
 */
export function secondVirial({ tempK: criticalK, pressureMPa, acentric }: Critical, tempK: number): number {
  const reduced = tempK / criticalK;
  const simple = 0.083 - 0.422 / reduced ** 1.6;
  const more = 0.139 - 0.172 / reduced ** 4.2;
  return ((GAS_CONSTANT * criticalK) / (1000 * pressureMPa)) * (simple + acentric * more);
}

/** Constants of log₁₀(p / mmHg) = A − B / (C + t / °C). */
export type Antoine = readonly [a: number, b: number, c: number];

const KPA_PER_MMHG = 101.325 / 760;

/** Vapour pressure over the liquid, kPa. */
export const saturatedKPa = ([a, b, c]: Antoine, celsius: number): number =>
  KPA_PER_MMHG * 10 ** (a - b / (c + celsius));

/** Where the vapour pressure over the liquid is this, °C: the inverse of {@link saturatedKPa}. */
export const condensesC = ([a, b, c]: Antoine, kPa: number): number => b / (a - Math.log10(kPa / KPA_PER_MMHG)) - c;
