/** Numbers as people type them, with their digits and their unit. */

export interface TypedNumber {
  value: number;
  /** Digits after the decimal mark as typed. */
  decimals: number;
  /** Significant digits as typed: zeros in front do not count. */
  significant: number;
  /** What stood behind the number, trimmed; empty if nothing did. */
  unit: string;
}

const PATTERN = /^([+\-\u2212]?)(\d*)(?:[.,](\d*))?(?:[eE]([+\-\u2212]?\d{1,3}))?\s*((?:[^\s\d]|1\s*\/).*)?$/u;
/** Groups of three digits with one space between them, plain, hard or thin. */
const THOUSANDS = /(^|[^\d.,\p{L}_])(\d{1,3}(?:[ \u00a0\u2009\u202f]\d{3})+)(?!\d)/gu;

/** "12 000" is "12000": a space between groups of three digits is how thousands are written, not a sign. */
export const joinThousands = (text: string): string =>
  text.replace(THOUSANDS, (_, before: string, number: string) => before + number.replace(/\s/gu, ''));

/**
 * Reads "12.35", "12,35 mL" or "1.2e-3 mol/L"; a decimal comma counts as a point, a real minus as a hyphen.
 * @returns undefined when the text is not one number
 */
export function parseTyped(text: string): TypedNumber | undefined {
  const match = PATTERN.exec(joinThousands(text.normalize('NFKC').trim()));
  if (!match) return undefined;
  const [, sign = '', whole = '', fraction = '', exponent, unit = ''] = match;
  if (whole + fraction === '' || /^[.,]/.test(unit)) return undefined;
  const minus = (part: string) => part.replace('\u2212', '-');
  const value = Number(`${minus(sign)}${whole || '0'}.${fraction || '0'}e${minus(exponent ?? '0')}`);
  if (!Number.isFinite(value)) return undefined;
  const digits = (whole + fraction).replace(/^0+/, '');
  return {
    value,
    decimals: fraction.length,
    significant: Math.max(digits.length, 1),
    unit: unit.trim(),
  };
}

const MINUS = '\u2212';

/** A number with fixed decimals and a real minus sign. */
export function fixed(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  const isZero = Number(text) === 0;
  return isZero ? text.replace('-', '') : text.replace('-', MINUS);
}

/** A number to so many significant digits, never in exponent form for what a bench gives. */
export function significant(value: number, digits: number): string {
  if (value === 0) return (0).toFixed(Math.max(digits - 1, 0));
  const magnitude = Math.floor(Math.log10(Math.abs(Number(value.toPrecision(digits)))));
  return fixed(Number(value.toPrecision(digits)), Math.max(digits - 1 - magnitude, 0));
}

/** To the nearest multiple of a step: as finely as what is drawn may tell. */
export const nearest = (value: number, step: number): number => Number((Math.round(value / step) * step).toFixed(4));

/** A number in a sentence, to a thousandth at most and without zeros at its end: 20.31, not 20.310000000000002. */
export const short = (value: number): string =>
  (Object.is(value, -0) ? '0' : String(Number(value.toFixed(3)))).replace('-', MINUS);

/** "1 drop", "2 drops". */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}
