import { create, parseDependencies, unitDependencies, type MathNode, type Unit } from 'mathjs';

/** The part of mathjs that the notebook uses: its parser and its units. Loaded with the notebook's working pages only. */
const math = create({ ...parseDependencies, ...unitDependencies });

export const parseFormula = (text: string): MathNode => math.parse(text);

/** Exponents of the base quantities, in mathjs' order (mass, length, time, current, temperature, ...). */
export type Dimensions = readonly number[];
export const BARE: Dimensions = [0, 0, 0, 0, 0, 0, 0, 0, 0];

export interface KnownUnit {
  /** SI units in one of these. */
  factor: number;
  /** Added to a value in SI of degree size: 273.15 for °C, else 0. */
  offset: number;
  dimensions: Dimensions;
}

const SUPERSCRIPTS: Record<string, string> = {
  '⁻': '-', '⁰': '0', '¹': '1', '²': '2', '³': '3', '⁴': '4', '⁵': '5', '⁶': '6', '⁷': '7', '⁸': '8', '⁹': '9',
}; // prettier-ignore

/** A unit as people write it, in the spelling that mathjs reads: "J g⁻¹ K⁻¹" becomes "J g^-1 K^-1". */
function plainUnit(text: string): string {
  return text
    .trim()
    .replace(/[⁻⁰¹²³⁴⁵⁶⁷⁸⁹]+/gu, (run) => `^${[...run].map((digit) => SUPERSCRIPTS[digit]).join('')}`)
    .replace(/[µμ]/gu, 'u')
    .replace(/°\s?C/gu, 'degC')
    .replace(/°\s?F/gu, 'degF')
    .replace(/[·⋅×]/gu, ' ')
    .replace(/−/gu, '-')
    .replace(/([A-Za-z])(-?\d)/gu, '$1^$2')
    .replace(/\bl\b/gu, 'L')
    .replace(/\bml\b/gu, 'mL')
    .replace(/\bmin\b/gu, 'minute')
    .replace(/\bh\b/gu, 'hour');
}

const known = new Map<string, KnownUnit | undefined>();

/**
 * What a unit is worth in SI. "" is a bare number, "%" a hundredth.
 * @returns undefined when it is no unit
 */
export function unitOf(text: string): KnownUnit | undefined {
  const key = text.trim();
  if (!known.has(key)) known.set(key, readUnit(key));
  return known.get(key);
}

function readUnit(text: string): KnownUnit | undefined {
  if (text === '' || text === '1') return { factor: 1, offset: 0, dimensions: BARE };
  if (text === '%') return { factor: 0.01, offset: 0, dimensions: BARE };
  const plain = plainUnit(text);
  if (plain === 'degC') return { factor: 1, offset: 273.15, dimensions: [0, 0, 0, 0, 1, 0, 0, 0, 0] };
  if (/[^A-Za-z0-9^/*()\s.-]/u.test(plain) || /^(?!1\s*\/)[\d.^-]/u.test(plain)) return undefined;
  let unit: Unit & { value?: number | null; dimensions?: number[] };
  try {
    unit = math.unit(plain.startsWith('1') ? plain : `1 ${plain}`);
  } catch {
    return undefined;
  }
  const { value, dimensions } = unit;
  if (typeof value !== 'number' || !Array.isArray(dimensions)) return undefined;
  return { factor: value, offset: 0, dimensions: [...dimensions] };
}

export const sameDimensions = (a: Dimensions, b: Dimensions) =>
  a.every((power, i) => Math.abs(power - (b[i] as number)) < 1e-9);
export const isBare = (a: Dimensions) => sameDimensions(a, BARE);

const BASE_UNITS = ['kg', 'm', 's', 'A', 'K', 'cd', 'mol', 'rad', 'bit'];

const COMMON: [string, Dimensions][] = [
  'mL', 'g', 's', 'mol', 'K', 'mol/L', 'g/mL', 'g/mol', 'kPa', 'J', 'J/mol', 'J/K', 'm', 'm²', 'W', 'L/mol', '1/s', '1/K', 'J g⁻¹ K⁻¹',
  'J mol⁻¹ K⁻¹', 'J/g', 'mL/s', 'K/s', 'g/s', 'mL/g', 'mol/s', 'C', 'V', 'A', 'C/mol', 'mol/g', 'K/mL', '1/mL', '1/mol', 'mL²', 'g²', 'K/g',
].map((name) => [name, (unitOf(name) as KnownUnit).dimensions]); // prettier-ignore

/** A unit in which a quantity of these dimensions is usually given, for where none was chosen. */
export function usualUnit(dimensions: Dimensions): string {
  if (isBare(dimensions)) return '';
  const common = COMMON.find(([, of]) => sameDimensions(of, dimensions));
  if (common) return common[0];
  const raised = (power: number) => {
    if (!Number.isInteger(power)) return `^${power}`;
    return power === 1
      ? ''
      : [...String(power)].map((sign) => '⁰¹²³⁴⁵⁶⁷⁸⁹'['0123456789'.indexOf(sign)] ?? '⁻').join('');
  };
  return BASE_UNITS.flatMap((base, i) => {
    const power = dimensions[i] as number;
    return power === 0 ? [] : [`${base}${raised(power)}`];
  }).join(' ');
}
