import type { CheckedItem } from './check';

/** How an answer compares, in words that a student, a class table and a teacher's page share; null where nothing is judged. */
export function verdictOn(item: CheckedItem): string | null {
  if (item.kind === 'match') return item.right === null ? null : item.right ? 'right' : 'not right';
  if (item.differencePercent === null) return null;
  if (item.exact) return item.bandPercent === null ? 'not right' : 'right';
  if (item.bandPercent === null) return 'outside all bands';
  return `within ${item.bandPercent} %${item.byRounding ? ', as far as its last digit goes' : ''}`;
}
