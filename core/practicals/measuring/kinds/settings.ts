import { z } from 'zod';
import { MATERIAL_IDS } from '../../../databook/materials';
import { VESSEL_IDS } from '../../../databook/vessels';
import type { Column, Table } from '../../../notebook/document';
import { hypothesisFirst } from '../../settings-parts';
import { slotColumn, trialsTable } from '../../tables';
import { SLOTS, type Plan, type Slot } from '../plan';

/** Settings and pieces that the practicals of measuring share. */

export const unknowns = z
  .enum(['1', '2', '3'])
  .default('1')
  .meta({ label: 'Unknowns for each student', help: 'Called A, B, C on their dishes or bottles.' });

export const drawn = z.boolean().default(true).meta({
  label: 'Each student is given materials of their own',
  help: 'On, they are drawn at random from the pool. Off, everyone has the same, in pieces of their own.',
});

export const readability = z.enum(['0.01', '0.001']).default('0.01').meta({ label: 'Balance reads to', unit: 'g' });

export { bands, hypothesisFirst } from '../../settings-parts';

export const solidPool = (ids: string[]) =>
  z
    .array(z.enum(MATERIAL_IDS))
    .min(1, 'Choose at least one material.')
    .default(ids)
    .meta({ label: 'Materials that may be drawn' });

export const vessels = (ids: string[], choices: readonly string[] = VESSEL_IDS) =>
  z
    .array(z.enum(choices as [string, ...string[]]))
    .min(1, 'Put at least one vessel on the tray.')
    .max(6, 'The bench has room for six kinds of vessel.')
    .refine((list) => new Set(list).size === list.length, 'A vessel is on the tray twice.')
    .default(ids)
    .meta({ label: 'Vessels on the tray' });

export const hypothesis = hypothesisFirst(true);

export const NO_PLAN: Plan = {
  family: 'measuring',
  vessels: [],
  bottles: [],
  tools: [],
  balance: null,
  water: false,
  pipettes: false,
  thermometer: false,
  sinker: false,
  appearance: 'clear',
  lots: [],
  slots: [],
  carries: [],
  amounts: 1,
  means: {},
};

/** A table for each of several unknowns, so that they can be laid over one another in a graph; one for a single one. */
export const tablesFor = (
  letters: readonly string[],
  slots: readonly Slot[],
  computed: Partial<Column>[] = [],
  axes?: Table['axes'],
): Table[] =>
  letters.length > 1
    ? letters.map((part) => ({
        ...rowsTable(slots, computed, axes),
        id: `rows${part}`,
        name: `Measurements of ${part}`,
        part,
      }))
    : [rowsTable(slots, computed, axes)];

/** A table with a row for each set of readings, and what follows from them at once. */
export const rowsTable = (slots: readonly Slot[], computed: Partial<Column>[] = [], axes?: Table['axes']): Table =>
  trialsTable(
    'rows',
    'Measurements',
    slots.map((slot) => slotColumn(slot, SLOTS)),
    computed,
    axes,
  );
