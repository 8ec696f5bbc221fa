import { parseTyped, type TypedNumber } from '../analysis/quantity';

/** A number as it was handed in, with what was said of its uncertainty. */
export interface NumberAnswer {
  number: TypedNumber;
  /** As typed behind ±; null where none was. */
  uncertainty: TypedNumber | null;
  /** Whether the uncertainty is a percentage of the value. */
  isRelative: boolean;
}

/** The uncertainty that was stated, in the unit of the number; null where none was that says anything. */
export const statedOf = ({ number, uncertainty, isRelative }: NumberAnswer): number | null => {
  const stated = uncertainty && (isRelative ? (Math.abs(number.value) * uncertainty.value) / 100 : uncertainty.value);
  return stated !== null && stated > 0 && Number.isFinite(stated) ? stated : null;
};

const PLUS_MINUS = /±|\+\s?\/\s?[-−]|\+[-−]/u;
/** "(22.94 ± 0.04) g" is "22.94 ± 0.04 g". */
const unwrapped = (text: string) => text.replace(/^\s*\(([^()]*(?:±|\+\/?[-−])[^()]*)\)/u, '$1');

/**
 * Reads "22.94", "22.94 g", "22.94 ± 0.04 g", "(22.94 ± 0.04) g", "22.94 g +/- 0.04 g" or "22.94 g ± 0.2 %".
 * @param wanted the unit that is asked for: in percent, "81 ± 1 %" is no relative uncertainty
 * @returns undefined when the value, or what stands behind ±, is no number
 */
export function readNumberAnswer(text: string, wanted: string): NumberAnswer | undefined {
  const [before = '', behind, ...more] = unwrapped(text).split(PLUS_MINUS);
  const number = parseTyped(before);
  if (!number || more.length > 0) return undefined;
  if (behind === undefined) return { number, uncertainty: null, isRelative: false };
  const uncertainty = parseTyped(behind);
  if (!uncertainty || uncertainty.value < 0) return undefined;
  const isRelative = uncertainty.unit === '%' && wanted !== '%';
  const unit = number.unit || (isRelative ? '' : uncertainty.unit);
  return { number: { ...number, unit }, uncertainty, isRelative };
}
