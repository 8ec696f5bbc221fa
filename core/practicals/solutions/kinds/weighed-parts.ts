import { z } from 'zod';
import { benchSolutionOf } from '../../../databook/bench-solutions';
import { hypothesisFirst } from '../../settings-parts';
import { slotColumn, trialsTable } from '../../tables';
import type { Table } from '../../../notebook/document';
import { BALANCE_IDS, BEAKERS_ALONE, NOTHING_WEIGHED, slotsOf, SLOTS, type Plan } from '../plan';
import { driedIn, type Row } from '../rows';
import type { Sample } from '../sample';
import { PAPER_KINDS, PAPER_NAMES, type PaperKind } from '../solids/paper-kinds';

/** What the practicals share that weigh what falls out of two solutions. */

export const common = {
  papers: z
    .array(z.enum(PAPER_KINDS))
    .min(1, 'Put a paper on the tray: without one nothing can be filtered.')
    .default(['cellulose'])
    .meta({
      label: 'Papers on the tray',
      help: 'Filter paper takes up damp of the air, and scorches from 150 °C on. Glass-fibre paper does neither.',
      options: PAPER_NAMES,
    }),
  balance: z.enum(BALANCE_IDS).default('0.001').meta({ label: 'Balance, reads to', unit: 'g' }),
  desiccator: z.boolean().default(true).meta({
    label: 'Desiccator on the bench',
    help: 'Without it the paper cools in the air of the room, and takes up its damp.',
  }),
  hotPlate: z.boolean().default(true).meta({
    label: 'Hot plate on the bench',
    help: 'Kept hot, a fine solid becomes coarse, so that the paper holds it. Without it a part runs through.',
  }),
  damp: z
    .enum(['dry', 'usual', 'damp'])
    .default('usual')
    .meta({ label: 'Air of the room', options: { dry: 'dry', usual: 'as usual', damp: 'damp' } }),
  hypothesis: hypothesisFirst(false),
};

interface Common {
  papers: PaperKind[];
  balance: Plan['balance'];
  desiccator: boolean;
  hotPlate: boolean;
  damp: Plan['damp'];
}

export const planFor = ({ papers, balance, desiccator, hotPlate, damp }: Common): Plan => ({
  ...NOTHING_WEIGHED,
  ...BEAKERS_ALONE,
  bottles: 2,
  papers,
  balance,
  desiccator,
  hotPlate,
  damp,
});

export const nameOfBottle = ({ bottles }: Sample, at: number): string => benchSolutionOf(bottles[at]?.id ?? '').name;

export const tablesFor = (plan: Plan): Table[] => [
  trialsTable(
    'rows',
    'Mixtures',
    slotsOf(plan).map((slot) => slotColumn(slot, SLOTS)),
    [
      { name: 'solid', symbol: 'm_S', unit: 'g', formula: 'h_1 - m_P' },
      { name: 'lost since', symbol: 'd_2', unit: 'g', formula: 'h_1 - h_2' },
    ],
  ),
];

/** Grams of the solid of one mixture; undefined where a mass is missing. */
export function solidG(row: Row): { g: number; isTurned: boolean } | undefined {
  const { mP } = row.readings;
  const dried = driedIn(row);
  return mP && dried ? { g: dried.value - mP.value, isTurned: dried.about.isTurned ?? false } : undefined;
}

export const meanOf = (rows: readonly Row[], of: (row: Row) => number | undefined): number | undefined => {
  const found = rows.map(of).filter((value): value is number => value !== undefined && Number.isFinite(value));
  return found.length > 0 ? found.reduce((a, b) => a + b, 0) / found.length : undefined;
};
