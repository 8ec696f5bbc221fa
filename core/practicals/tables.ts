import type { Column, Table } from '../notebook/document';
import type { SlotEntry } from './recordings';

/** The tables that a notebook begins with. */

/** A column of a table, with what is not said of it left empty. */
export const column = (id: string, more: Partial<Column>): Column => ({
  id,
  name: '',
  symbol: '',
  unit: '',
  kind: 'recorded',
  formula: '',
  slot: '',
  uncertainty: '',
  digits: null,
  ...more,
});

/** The column that takes up what is recorded for a slot. */
export const slotColumn = <Which extends string>(
  slot: Which,
  slots: Readonly<Record<Which, Pick<SlotEntry, 'short' | 'symbol' | 'unit'>>>,
): Column => {
  const { short, symbol, unit } = slots[slot];
  return column(slot, { name: short, symbol, unit, slot });
};

/** A table with a row for each trial: what was read, and what follows from it at once. */
export const trialsTable = (
  id: string,
  name: string,
  recorded: readonly Column[],
  computed: readonly Partial<Column>[] = [],
  axes?: Table['axes'],
): Table => ({
  id,
  name,
  origin: 'readings',
  ...(axes && { axes }),
  columns: [...recorded, ...computed.map((more, i) => column(`c${i}`, { kind: 'computed', ...more }))],
  rows: [],
});
