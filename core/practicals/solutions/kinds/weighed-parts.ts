import { z } from 'zod';
import { benchSolutionOf } from '../../../databook/bench-solutions';
import type { Step } from '../../contract';
import { hypothesisFirst } from '../../settings-parts';
import { slotColumn, trialsTable } from '../../tables';
import type { Table } from '../../../notebook/document';
import { isConstantMass, sameWithinG } from '../../on-balance';
import { countingTrials, standingIn } from '../../standing';
import { humidity, ripeNow, type Bench } from '../bench';
import { seenSolid } from '../look';
import { BALANCE_IDS, BEAKERS_ALONE, DRIED_SLOTS, NOTHING_WEIGHED, slotsOf, SLOTS, type Plan } from '../plan';
import { driedIn, type Row } from '../rows';
import type { Sample } from '../sample';
import { airDampG, onPaper, PAPER_WAYS } from '../solids/paper';
import { PAPER_KINDS, PAPER_NAMES, type PaperKind } from '../solids/paper-kinds';
import { stepIn } from './parts';

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

/** What every brief says of the way from the mixture to the mass. */
export const wayOf = ({ papers, desiccator, hotPlate }: Common): string[] => [
  `Each mixture is a trial, and has a paper of its own, weighed in the same order. Weigh the paper before you use it, and weigh it in the same way as later with the solid on it. ${papers.includes('cellulose') ? 'Filter paper out of its box holds damp of the air, some twentieth of its mass: dry it first, half an hour in the oven at 105 °C. ' : ''}${desiccator ? 'Let it cool in the desiccator' : 'Let it cool on its mat'}, and record it at once when the display rests: over something warm the air rises, and it reads too light.`,
  hotPlate
    ? 'A fresh solid can be so fine that a part of it runs through the paper. Keep the beaker on the hot plate for half an hour: small grains dissolve, large ones grow. What clots is helped by stirring. If what runs through is cloudy, it was too soon.'
    : 'A fresh solid can be so fine that a part of it runs through the paper. There is no hot plate: let it stand, or stir it where it clots. If what runs through is cloudy, it was too soon; it can be poured through again.',
  'Put the paper into the funnel and another beaker under it, and filter. Rinse the first beaker through the paper with two portions of water, such as 10 mL: a part of the solid clings to the glass. Then wash the solid with two or three more: what was dissolved beside it would dry to salts that weigh. Too much water dissolves the solid itself, as far as it dissolves.',
  `Dry it in the oven: an hour at 105 °C. Cool, weigh, record; dry again for half an hour, and weigh again, until the mass stays the same. What looks dry can hold water that weighs.${papers.includes('cellulose') ? ' Above 150 °C filter paper scorches.' : ''} An hour of bench time passes in a minute with the clock at sixty times its pace.`,
];

/** A paper is dry that holds less than this part of what it takes up of the air; a solid is washed that would dry with less salts than this, g. */
const DRIED_PART = 0.6;
const WASHED_G = 0.004;
/** Two masses are the same within two of the balance's last digits, or this, g. */
const SAME_G = 0.003;

const sameG = ({ plan }: Bench): number => sameWithinG(plan.balance, SAME_G);

/** Whether the last two masses of a paper that was dried again and again are the same. */
function isConstant(bench: Bench): boolean {
  return countingTrials(bench).some((trial) =>
    isConstantMass(
      DRIED_SLOTS.flatMap((slot) => standingIn(bench, trial, slot)?.value ?? []),
      sameG(bench),
    ),
  );
}

/** The method, each step done when the bench shows it or the student has ticked it; in no forced order. */
export function stepsOf(bench: Bench, volumes: string): Step[] {
  const step = stepIn(bench);
  const live = bench.readings.filter(({ struck }) => struck === null);
  const has = (which: string) => live.some((r) => r.which === which);
  const isRipe = bench.vessels.some(
    (vessel) => vessel.type === 'beaker' && seenSolid(vessel.contents) !== null && ripeNow(bench, vessel) > 3,
  );
  const filtered = bench.papers.filter(({ from }) => from !== null);
  const isFiltered = filtered.length > 0;
  // As far as it had been dried when it was weighed: less than so much of what it takes up of the air.
  const airG = airDampG({ of: 'cellulose', dryG: PAPER_WAYS.cellulose.g }, humidity(bench));
  const isDried = live.some(({ which, about }) => which === 'mP' && (about.wrongG?.['damp'] ?? 0) < DRIED_PART * airG);
  return [
    step('paper', 'Dry a paper in the oven, let it cool, weigh it and record it', isDried),
    step('series', volumes, has('vA')),
    step('digest', 'Let the solid become coarse: on the hot plate, or with time', isRipe || isFiltered),
    step('filter', 'Filter it, and rinse the beaker through the paper', isFiltered),
    step(
      'wash',
      'Wash the solid on the paper with two or three portions of water',
      filtered.some((paper) => onPaper(paper).saltsG < WASHED_G),
    ),
    step('dry', 'Dry it, let it cool, weigh it and record it', has('h1')),
    step('again', `Dry and weigh again, until two masses lie within ${sameG(bench)} g`, isConstant(bench)),
  ];
}
