import { parseTyped } from '../analysis/quantity';
import { isUnit } from './unit-spellings';

/** An analogue scale that an eye reads to one digit beyond its divisions. */
export interface Scale {
  instrument: string;
  min: number;
  max: number;
  division: number;
  /** Decimals of a reading taken to a tenth of a division. */
  decimals: number;
  /** Finest that an eye can tell; a tenth of a division unless it is said otherwise. */
  finest?: number;
  unit: string;
}

type ScaleReading =
  { ok: true; value: number; text: string; digitsNote: string | null } | { ok: false; sentence: string };

/**
 * A reading as typed, held against the scale: its unit, its range and its digits, never whether it is right. Digits
 * that do not fit are kept and said; a number that the scale cannot show is refused.
 */
export function readScale(typed: string, scale: Scale): ScaleReading {
  const { instrument, unit, decimals } = scale;
  if (typed.trim() === '') return { ok: false, sentence: `Type what you read on the ${instrument} first.` };
  const number = parseTyped(typed.slice(0, 40));
  if (!number) return { ok: false, sentence: `“${typed.slice(0, 40)}” is not a number. Nothing was recorded.` };
  if (number.unit !== '' && !isUnit(number.unit, unit)) {
    return {
      ok: false,
      sentence: `The ${instrument} is divided in ${unit}, not “${number.unit}”. Nothing was recorded.`,
    };
  }
  if (number.value < scale.min || number.value > scale.max) {
    const range = `${scale.min} to ${scale.max} ${unit}`;
    return {
      ok: false,
      sentence: `The scale of the ${instrument} goes from ${range}. Nothing was recorded.`,
    };
  }
  const finest = (scale.finest ?? scale.division / 10).toFixed(decimals);
  let digitsNote: string | null = null;
  if (number.decimals < decimals) {
    digitsNote =
      scale.finest === undefined
        ? `Divisions are ${scale.division} ${unit} apart, so a reading goes one digit further, to ${finest} ${unit}.`
        : `The ${instrument} tells ${finest} ${unit}, so a reading has ${decimals} decimals.`;
  } else if (number.decimals > decimals) {
    digitsNote = `Divisions are ${scale.division} ${unit} apart: nothing finer than ${finest} ${unit} can be told by eye.`;
  }
  const text = number.value.toFixed(Math.min(number.decimals, 6));
  return { ok: true, value: number.value, text, digitsNote };
}
