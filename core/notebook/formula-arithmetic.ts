import { CannotCompute, digitsOf, lastOf, type Quantity } from './quantity-value';
import { BARE, isBare, sameDimensions, usualUnit, type Dimensions } from './units';

/** What a formula can do with quantities: each operation with the digits that are taught for it. */

const exact = (si: number): Quantity => ({ si, dimensions: BARE, last: 0 });
const kind = (dimensions: Dimensions) => (isBare(dimensions) ? 'a bare number' : usualUnit(dimensions));

/** The same with the other sign. */
export const negative = (a: Quantity): Quantity => ({ ...a, si: -a.si });

/** Sums: the same dimensions, and no digit beyond the coarser of the two. Two temperatures give a difference. */
export function sum(a: Quantity, b: Quantity, sign: 1 | -1): Quantity {
  if (!sameDimensions(a.dimensions, b.dimensions)) {
    const verb = sign === 1 ? 'added to' : 'subtracted from';
    const [first, second] = sign === 1 ? [a, b] : [b, a];
    throw new CannotCompute(`${capital(kind(first.dimensions))} cannot be ${verb} ${kind(second.dimensions)}.`);
  }
  const both = a.difference && b.difference;
  const difference = both || (sign === -1 && !a.difference && !b.difference);
  const celsius = !difference && (a.celsius || b.celsius);
  return {
    si: a.si + sign * b.si,
    dimensions: a.dimensions,
    last: Math.max(a.last, b.last),
    ...(difference ? { difference } : {}),
    ...(celsius ? { celsius } : {}),
  };
}

const capital = (text: string) => (/^a /.test(text) ? `A${text.slice(1)}` : text);

/** Degrees Celsius count from a zero that is not nothing: times two they are not twice as warm. */
function factor(a: Quantity): Quantity {
  if (a.celsius)
    throw new CannotCompute(
      'A temperature in °C cannot be multiplied or divided. Give it in K first, in a column or a result of its own; a difference of temperatures is in K too.',
    );
  return a;
}

/** Products: as many digits as the one with fewer. */
export function product(a: Quantity, b: Quantity, sign: 1 | -1): Quantity {
  [a, b].forEach(factor);
  if (sign === -1 && b.si === 0) throw new CannotCompute('This divides by zero.');
  const si = sign === 1 ? a.si * b.si : a.si / b.si;
  return {
    si,
    dimensions: a.dimensions.map((power, i) => power + sign * (b.dimensions[i] as number)),
    last: lastOf(si, Math.min(digitsOf(a), digitsOf(b))),
    difference: true,
  };
}

export function power(a: Quantity, b: Quantity): Quantity {
  factor(a);
  if (!isBare(b.dimensions)) throw new CannotCompute('An exponent is a bare number.');
  const si = a.si ** b.si;
  if (!Number.isFinite(si)) throw new CannotCompute('This power has no value.');
  if (b.last === 0)
    return {
      si,
      dimensions: a.dimensions.map((p) => p * b.si),
      last: lastOf(si, digitsOf(a)),
      difference: true,
    };
  if (!isBare(a.dimensions)) throw new CannotCompute('Only a bare number can be raised to a measured power.');
  // As with logarithms, the decimals of the exponent are the digits of the result.
  return { si, dimensions: BARE, last: lastOf(si, Math.max(-Math.log10(b.last), 1)) };
}

function bare(a: Quantity, name: string): number {
  if (!isBare(a.dimensions)) {
    const unit = usualUnit(a.dimensions);
    throw new CannotCompute(`${name} needs a bare number, not ${unit}. Divide by 1 ${unit} first.`);
  }
  return a.si;
}

function logarithm(a: Quantity, name: string, value: (x: number) => number): Quantity {
  const x = bare(a, name);
  if (x <= 0) throw new CannotCompute(`${name} needs a number above zero.`);
  return { si: value(x), dimensions: BARE, last: a.last === 0 ? 0 : 10 ** -digitsOf(a) };
}

/** Functions of one value, with the digits that are taught for them. */
export const FUNCTIONS: Record<string, (a: Quantity) => Quantity> = {
  sqrt: (a) => {
    if (a.si < 0) throw new CannotCompute('There is no square root of a negative number.');
    return power(a, exact(0.5));
  },
  abs: (a) => ({ ...a, si: Math.abs(a.si) }),
  ln: (a) => logarithm(a, 'ln', Math.log),
  log10: (a) => logarithm(a, 'log10', Math.log10),
  lg: (a) => logarithm(a, 'lg', Math.log10),
  exp: (a) => {
    const si = Math.exp(bare(a, 'exp'));
    return { si, dimensions: BARE, last: a.last === 0 ? 0 : lastOf(si, Math.max(-Math.log10(a.last), 1)) };
  },
};

/** Functions of all values of a column that count. */
const OF_COLUMN: Record<string, (values: readonly Quantity[]) => Quantity> = {
  mean: (values) => {
    const si = values.reduce((total, value) => total + value.si, 0) / values.length;
    // Each value's own uncertainty, taken as independent; what the repeats tell of it is se.
    const squares = values.reduce((total, value) => total + (value.error ?? 0) ** 2, 0);
    const error = squares > 0 ? Math.sqrt(squares) / values.length : undefined;
    return { ...like(values), si, last: coarsest(values), ...(error === undefined ? {} : { error }) };
  },
  sum: (values) => ({
    ...like(values),
    si: values.reduce((total, value) => total + value.si, 0),
    last: coarsest(values),
  }),
  sd: (values) => {
    if (values.length < 2) throw new CannotCompute('A standard deviation needs at least two values.');
    const si = deviation(values);
    return { ...like(values), si, last: lastOf(si, 2), difference: true };
  },
  se: (values) => {
    const sd = (OF_COLUMN['sd'] as (values: readonly Quantity[]) => Quantity)(values);
    const si = sd.si / Math.sqrt(values.length);
    return { ...sd, si, last: lastOf(si, 2) };
  },
  spread: (values) => {
    const most = values.reduce((end, value) => Math.max(end, value.si), -Infinity);
    const least = values.reduce((end, value) => Math.min(end, value.si), Infinity);
    return { ...like(values), si: most - least, last: coarsest(values), difference: true };
  },
  min: (values) => values.reduce((least, value) => (value.si < least.si ? value : least)),
  max: (values) => values.reduce((most, value) => (value.si > most.si ? value : most)),
  count: (values) => exact(values.length),
};

const like = (values: readonly Quantity[]) => values[0] as Quantity;
const coarsest = (values: readonly Quantity[]) => values.reduce((last, value) => Math.max(last, value.last), 0);

function deviation(values: readonly Quantity[]): number {
  const mean = values.reduce((total, value) => total + value.si, 0) / values.length;
  // Equal values do not scatter, whatever the last bits of their mean are.
  if (values.every((value) => Math.abs(value.si - mean) <= 1e-13 * Math.abs(mean))) return 0;
  return Math.sqrt(values.reduce((total, value) => total + (value.si - mean) ** 2, 0) / (values.length - 1));
}

export const COLUMN_FUNCTIONS: readonly string[] = Object.keys(OF_COLUMN);

/** What was worked out of a column's values: a formula in ten thousand rows asks for the same mean ten thousand times. */
const known = new WeakMap<readonly Quantity[], Map<string, Quantity>>();

/** A function of all values of a column that count; there is at least one. @throws CannotCompute */
export function ofColumn(name: string, values: readonly Quantity[]): Quantity {
  const kept = known.get(values) ?? new Map<string, Quantity>();
  known.set(values, kept);
  let result = kept.get(name);
  if (!result) {
    result = (OF_COLUMN[name] as (values: readonly Quantity[]) => Quantity)(values);
    kept.set(name, result);
  }
  return result;
}
