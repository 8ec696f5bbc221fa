import type { CheckedItem } from './check';

type Match = Extract<CheckedItem, { kind: 'match' }>;

const listed = (names: readonly string[]) =>
  names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)}` : names.join('');

function matched({ right, isOpen, others }: Match): string | null {
  if (right === null) return null;
  if (!right) return isOpen ? 'not what it is, though your readings do not rule it out' : 'not right';
  return others.length > 0 ? `right, though your readings do not rule out ${listed(others)}` : 'right';
}

/** How an answer compares, in words that a student, a class table and a teacher's page share; null where nothing is judged. */
export function verdictOn(item: CheckedItem): string | null {
  if (item.kind === 'match') return matched(item);
  if (item.differencePercent === null) return null;
  if (item.exact) return item.bandPercent === null ? 'not right' : 'right';
  if (item.bandPercent === null) return 'outside all bands';
  return `within ${item.bandPercent} %${item.byRounding ? ', as far as its last digit goes' : ''}`;
}
