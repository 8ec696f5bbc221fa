import { counted, fixed, significant } from '../analysis/quantity';
import { statedOf, type NumberAnswer } from './answer';

/**
 * What the readings allow a result. The uncertainty decides how far its digits go; which reading is the coarsest is a
 * hint beside it.
 */
export interface Support {
  /** Standard uncertainty that the readings and instruments give the result, in the unit of the quantity. */
  uncertainty: number;
  /** The reading that allows least, as a sentence; empty where none stands out. */
  hint: string;
}

/** The place of the first digit that an uncertainty leaves doubtful: 0.01 for 0.02, 0.1 for 0.097. */
export const placeOf = (uncertainty: number): number => 10 ** Math.floor(Math.log10(1.05 * uncertainty));

/** Decimals of a place: 2 for 0.01, 0 for 10. */
const decimalsOf = (place: number): number => Math.max(0, Math.round(-Math.log10(place)));

const WHOLE = ['decimal point', 'tens', 'hundreds', 'thousands', 'ten thousands', 'hundred thousands'];
const wholePlace = (place: number): string => WHOLE[Math.round(Math.log10(place))] ?? 'first digits';

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth'];

const gave = (digits: number) => `You gave ${digits === 1 ? 'one digit' : counted(digits, 'digit')}`;

interface Told extends NumberAnswer {
  /** How far the digits go where no uncertainty is stated: from the readings, in the unit that was typed. */
  support: Support | null;
  /** Significant digits that the question names, where the readings tell none. */
  digits: number | null;
  /** As typed. */
  unit: string;
}

/**
 * What is to be said of the digits of a number; null where they suit. A stated uncertainty decides; failing that the
 * one that follows from the readings; failing that the number of digits that the question names. One digit beyond
 * the first doubtful one, or one before it, is nobody's mistake.
 */
export function digitsNote(answer: Told): string | null {
  const { number, uncertainty, isRelative, support, digits, unit } = answer;
  const stated = statedOf(answer);
  if (uncertainty && stated !== null)
    return (
      (isRelative ? byUncertainty(answer, stated, 'your uncertainty', '') : byStated(number.decimals, uncertainty)) ??
      tooSmall(stated, support, unit)
    );
  if (support && support.uncertainty > 0)
    return byUncertainty(answer, support.uncertainty, 'your readings', support.hint, unit);
  if (digits === null) return null;
  if (number.significant > digits + 1)
    return `${gave(number.significant)}. Readings as they are taken here carry ${digits}; the rest mean nothing.`;
  if (number.significant < digits - 1)
    return `${gave(number.significant)}. Readings as they are taken here support up to ${digits}.`;
  return null;
}

/** Who states so many times less than the readings allow has left something out: a tolerance, most often. */
const TOO_SMALL = 4;

function tooSmall(stated: number, support: Support | null, unit: string): string | null {
  if (!support || !(support.uncertainty > TOO_SMALL * stated)) return null;
  const about = `${significant(support.uncertainty, 1)} ${unit}`.trim();
  return `Your uncertainty is small. By your readings and instruments it is about ${about}. Is the tolerance of an instrument left out?`;
}

/** Value and uncertainty end at the same place, and an uncertainty has a digit or two. */
function byStated(
  decimals: number,
  uncertainty: { decimals: number; significant: number; value: number },
): string | null {
  const text = fixed(uncertainty.value, uncertainty.decimals);
  if (uncertainty.significant > 2)
    return `An uncertainty of one or two digits says all: ${significant(uncertainty.value, 2)} rather than ${text}.`;
  if (decimals === uncertainty.decimals) return null;
  const goes = decimals > uncertainty.decimals ? 'goes on beyond' : 'stops before';
  return `Your value ${goes} your uncertainty, ${text}. Both end at the same decimal.`;
}

function byUncertainty({ number }: Told, uncertainty: number, by: string, hint: string, unit = ''): string | null {
  const place = placeOf(uncertainty);
  // What an exponent moves is in the value, not in the decimals: the last digit is found from the significant ones.
  const lastPlace = lastPlaceOf(number);
  const about = `about ${significant(uncertainty, 1)} ${unit}`.trim();
  const behind = hint === '' ? '' : ` ${hint}`;
  if (coarsestPlaceOf(number) < 0.09 * place) {
    const decimals = decimalsOf(place);
    const last = decimals === 0 ? wholePlace(place) : `${ORDINALS[decimals - 1] ?? `${decimals}th`} decimal`;
    return `${gave(number.significant)}. By ${by} the value is uncertain by ${about}, so what stands behind the ${last} says little.${behind}`;
  }
  // One digit fewer is as little a mistake as one too many.
  if (lastPlace > 11 * place)
    return `${gave(number.significant)}. That is rounded too much: by ${by} the value is uncertain by ${about} only.${behind}`;
  return null;
}

/** The place that the zeros at the end of a whole number may come from: 100 of 3200, which can be rounded to hundreds. */
function zerosPlace({ value, decimals }: NumberAnswer['number']): number {
  const zeros = decimals > 0 || value === 0 ? undefined : /0+$/.exec(String(Math.abs(value)))?.[0];
  return zeros ? 10 ** zeros.length : 0;
}

/** The coarsest place that a number can have been rounded to. */
export const coarsestPlaceOf = (number: NumberAnswer['number']): number =>
  Math.max(lastPlaceOf(number), zerosPlace(number));

/** What one in the last digit of a number as typed is worth. */
function lastPlaceOf({ value, significant: digits, decimals }: NumberAnswer['number']): number {
  if (value === 0) return 10 ** -decimals;
  return 10 ** (Math.floor(Math.log10(Math.abs(value))) - digits + 1);
}
