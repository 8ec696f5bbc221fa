import { acidTables } from './acids';
import { apparatusTables } from './apparatus';
import { constantTables } from './constants';
import { densityTables } from './densities';
import { gasTables } from './gases';
import { heatTables } from './heats';
import { hydrateTables } from './hydrates';
import { reactionTables } from './reactions';
import type { BookTable } from './table';

export { BOOK_SOURCES, citedIn, type BookTable } from './table';

/** The data book in parts, each of which is read by itself. */
export const BOOK_PARTS = {
  acids: { title: 'Acids, bases and indicators', tables: acidTables },
  densities: { title: 'Densities of solids and liquids', tables: densityTables },
  gases: { title: 'Gases', tables: gasTables },
  heats: { title: 'Heat, burning and freezing', tables: heatTables },
  hydrates: { title: 'Hydrates', tables: hydrateTables },
  reactions: { title: 'Solutions that react', tables: reactionTables },
  apparatus: { title: 'Glassware and tools', tables: apparatusTables },
  constants: { title: 'Constants', tables: constantTables },
} as const satisfies Record<string, { title: string; tables: () => BookTable[] }>;

export type BookPart = keyof typeof BOOK_PARTS;
export const BOOK_PART_IDS = Object.keys(BOOK_PARTS) as [BookPart, ...BookPart[]];

const LOWERED: Record<string, string> = {
  '₀': '0',
  '₁': '1',
  '₂': '2',
  '₃': '3',
  '₄': '4',
  '₅': '5',
  '₆': '6',
  '₇': '7',
  '₈': '8',
  '₉': '9',
};

/** As people type it: small letters, numbers that stand on the line, a plain minus. */
const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[₀-₉]/gu, (digit) => LOWERED[digit] ?? digit)
    .replace(/−/gu, '-')
    .trim();

/** The most words of a search that are looked for. */
const WORDS_AT_MOST = 8;

/** All rows of the book in which every word of a text stands, in their tables; nothing for an empty text. */
export function foundInBook(text: string): { part: BookPart; tables: BookTable[] }[] {
  const words = plain(text).split(/\s+/u).filter(Boolean).slice(0, WORDS_AT_MOST);
  if (words.length === 0) return [];
  return BOOK_PART_IDS.flatMap((part) => {
    const tables = BOOK_PARTS[part].tables().flatMap((table) => {
      const title = plain(table.title);
      const rows = table.rows.filter((row) => {
        const line = `${title} ${plain(row.join(' '))}`;
        return words.every((word) => line.includes(word));
      });
      return rows.length > 0 ? [{ ...table, rows }] : [];
    });
    return tables.length > 0 ? [{ part, tables }] : [];
  });
}
