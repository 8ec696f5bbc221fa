import { SOURCES, type SourceKey } from '../sources';

/** A table of the data book as it is printed: every cell a text. */
export interface BookTable {
  title: string;
  /** What has to be said before its numbers are used. */
  note?: string;
  columns: readonly { head: string; kind: 'text' | 'formula' | 'number' }[];
  rows: readonly (readonly string[])[];
}

const SOURCE_KEYS = Object.keys(SOURCES) as SourceKey[];

/** The sources, in the order of their numbers. */
export const BOOK_SOURCES: readonly string[] = SOURCE_KEYS.map((key) => SOURCES[key]);

/** A source by its number, as tables cite it. */
export const cited = (key: SourceKey): string => `[${SOURCE_KEYS.indexOf(key) + 1}]`;

/** The numbers of the sources that tables cite, from 1. */
export function citedIn(tables: readonly BookTable[]): number[] {
  const last = tables.flatMap(({ rows }) => rows.map((row) => row.at(-1) ?? ''));
  const numbers = last.flatMap((cell) => [...cell.matchAll(/\[(\d+)\]/g)].map(([, number]) => Number(number)));
  return [...new Set(numbers)].sort((a, b) => a - b);
}

/** Heads of columns: what begins with "=" holds numbers, with "~" a formula. */
export const columns = (...heads: string[]): BookTable['columns'] =>
  heads.map((head) =>
    head.startsWith('=')
      ? { head: head.slice(1), kind: 'number' }
      : head.startsWith('~')
        ? { head: head.slice(1), kind: 'formula' }
        : { head, kind: 'text' },
  );
