import { fixed } from '../analysis/quantity';
import { isBare, unitOf, type Dimensions } from './units';

/**
 * A number with its dimensions and its digits. Digits are kept as the worth of the last significant one, since sums go
 * by place and products by count; both follow from it.
 */
export interface Quantity {
  /** In SI units. */
  si: number;
  dimensions: Dimensions;
  /** Worth of the last significant digit, in SI units; 0 for an exact number. */
  last: number;
  /** Of a temperature: the difference of two, which has no zero to be counted from. */
  difference?: boolean;
  /** Given in °C: a point on a scale whose zero is no nothing, so that it cannot be a factor. */
  celsius?: boolean;
  /** Standard uncertainty, in SI units. */
  error?: number;
}

/** A sentence that says why something could not be worked out. */
export class CannotCompute extends Error {}

/** How many significant digits a quantity has; infinitely many when exact. */
export function digitsOf(quantity: Quantity): number {
  if (quantity.last === 0) return Infinity;
  if (quantity.si === 0) return 1;
  return Math.max(Math.floor(Math.log10(Math.abs(quantity.si) / quantity.last) + 1e-9) + 1, 1);
}

/** Worth of the last of so many significant digits of a value. */
export function lastOf(si: number, digits: number): number {
  if (!Number.isFinite(digits) || si === 0 || !Number.isFinite(si)) return 0;
  return 10 ** (Math.floor(Math.log10(Math.abs(si)) + 1e-12) - digits + 1);
}

const isTemperature = (dimensions: Dimensions) => dimensions.every((power, i) => power === (i === 4 ? 1 : 0));

/** A quantity in a unit: the number and the worth of its last digit there. @throws CannotCompute */
export function inUnit(quantity: Quantity, unit: string): { value: number; last: number; error?: number } {
  const known = unitOf(unit);
  if (!known) throw new CannotCompute(`“${unit}” is not a unit that Fen knows.`);
  if (!known.dimensions.every((power, i) => Math.abs(power - (quantity.dimensions[i] as number)) < 1e-9)) {
    const what = isBare(quantity.dimensions) ? 'a bare number' : 'of another kind';
    throw new CannotCompute(`The result is ${what}, so it cannot be given in ${unit || 'no unit'}.`);
  }
  const isShifted = isTemperature(quantity.dimensions) && !quantity.difference;
  const si = isShifted ? quantity.si - known.offset : quantity.si;
  return {
    value: si / known.factor,
    last: quantity.last / known.factor,
    error: quantity.error === undefined ? undefined : quantity.error / known.factor,
  };
}

/** A quantity as it goes on from where it was given in a unit: in kelvin, a temperature can be a factor. */
export function givenIn(quantity: Quantity, unit: string): Quantity {
  return quantity.celsius && unitOf(unit)?.offset === 0 ? { ...quantity, celsius: false } : quantity;
}

/** A number in a unit, made a quantity. @returns undefined for a unit that is none */
export function quantityIn(value: number, unit: string, last: number): Quantity | undefined {
  const known = unitOf(unit);
  if (!known) return undefined;
  return {
    si: value * known.factor + known.offset,
    dimensions: known.dimensions,
    last: last * known.factor,
    ...(known.offset === 0 ? {} : { celsius: true }),
  };
}

/** Decimals that show a number down to a last digit of this worth; negative when that digit stands before the mark. */
const decimalsFor = (last: number) => (last > 0 ? Math.ceil(-Math.log10(last) - 1e-6) : 12);

/** A value written down to its last significant digit; an exact one as short as it is. */
export function written(value: number, last: number): string {
  if (last === 0) return fixed(value, Math.min(shortestDecimals(value), 10));
  const decimals = decimalsFor(last);
  if (decimals >= 0) return fixed(halfUp(value, Math.min(decimals, 12)), Math.min(decimals, 12));
  const step = 10 ** -decimals;
  return fixed(Math.round(value / step) * step, 0);
}

/** Rounds a half away from zero where the decimal number has a half, as 298.15 has though its binary form is less. */
function halfUp(value: number, decimals: number): number {
  const scaled = Number((value * 10 ** decimals).toPrecision(13));
  return (Math.sign(scaled) * Math.round(Math.abs(scaled))) / 10 ** decimals;
}

function shortestDecimals(value: number): number {
  const text = String(Number(value.toPrecision(12)));
  return /e-(\d+)/.test(text) ? 10 : (text.split('.')[1]?.length ?? 0);
}
