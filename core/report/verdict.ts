import { fixed, significant } from '../analysis/quantity';
import type { CheckedItem } from './checked-item';

type NumberItem = Extract<CheckedItem, { kind: 'number' }>;
type Match = Extract<CheckedItem, { kind: 'match' }>;

const listed = (names: readonly string[]) =>
  names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)}` : names.join('');

/** Who reads a verdict: the one whose readings they are, or the teacher. */
type Reader = 'student' | 'teacher';

function matched({ right, isOpen, others }: Match, reader: Reader): string | null {
  if (right === null) return null;
  const readings = reader === 'student' ? 'your readings' : 'the readings';
  if (!right) return isOpen ? `not what it is, though ${readings} do not rule it out` : 'not right';
  return others.length > 0 ? `right, though ${readings} do not rule out ${listed(others)}` : 'right';
}

/** Of a grid, the share of its cells. */
const filled = ({ right, of }: Extract<CheckedItem, { kind: 'grid' }>): string | null =>
  right === null ? null : right === of ? 'right' : `${right} of ${of} right`;

/** What is wrong in itself with an answer, as a sentence: digits that say too much, an equation that is not balanced. */
export const noteOn = (item: CheckedItem): string | null =>
  item.kind === 'number' ? item.digitsNote : item.kind === 'match' ? item.note : null;

/** How an answer compares, in words that a student, a class table and a teacher's page share; null where nothing is judged. */
export function verdictOn(item: CheckedItem, reader: Reader = 'student'): string | null {
  if (item.kind === 'match') return matched(item, reader);
  if (item.kind === 'grid') return filled(item);
  if (differenceOf(item) === null) return null;
  if (item.exact) return isGood(item) ? 'right' : 'not right';
  if (!isGood(item)) return 'outside all bands';
  const band = item.bandInUnit === null ? `${item.bandPercent} %` : `${item.bandInUnit} ${item.unit}`.trim();
  return `within ${band}${item.byRounding ? ', as far as its last digit goes' : ''}`;
}

/** Whether a number is in one of its bands, or right. */
export const isGood = ({ bandPercent, bandInUnit }: NumberItem): boolean => bandPercent !== null || bandInUnit !== null;

/** By so many times of what was stated a value may be off. */
const REACH = 2;

/** What is to be said of a stated uncertainty that does not reach to the true value; null where it does, or none was stated. */
export function missedBy({ value, trueValue, stated, unit, exact }: NumberItem): string | null {
  if (exact || stated === undefined || trueValue === null) return null;
  if (Math.abs(value - trueValue) <= REACH * stated * (1 + 1e-9)) return null;
  return `more than twice the stated ± ${Number(stated.toPrecision(2))} ${unit}`.trim();
}

/** How far a number is from the true one: in its unit where its bands are, in percent otherwise; null where it cannot be said. */
export function differenceOf({
  difference,
  differencePercent,
  unit,
}: NumberItem): { value: number; unit: string; text: string } | null {
  if (difference !== null) return { value: difference, unit, text: `${significant(difference, 2)} ${unit}`.trim() };
  if (differencePercent === null) return null;
  return { value: differencePercent, unit: '%', text: `${fixed(differencePercent, 2)} %` };
}
