import type { Cause } from '../contract';
import { familyOf } from '../family-of';
import { accountsOf } from './account';
import { OWN_ACTS, type OwnAct } from './acts';
import { begin, type Bench } from './bench';
import { advance, running } from './flow';
import type { Kind } from './kind';
import { type Plan, SLOTS } from './plan';
import { besides } from './record';
import { rowsOf, type Row } from './rows';
import { sampleSchema, type Sample } from './sample';
import { movedRows } from './uncertainty';
import { movingOf, viewOf, type Moving, type View } from './view';

/** Raised when the same acts give another bench than before. */
const MODEL = 3;

const CAUSES: readonly Cause[] = [
  { key: 'hands', label: 'How much was measured by hand: pipette, cylinder, drops' },
  { key: 'eye', label: 'Poured by eye, without measuring' },
  { key: 'glassware', label: 'The scales of pipette, pH meter and conductivity cell' },
  { key: 'analysis', label: 'What an analysis can tell' },
  { key: 'thermometer', label: 'The thermometer: how far it is off' },
  { key: 'wavering', label: 'Displays that waver' },
];

/** Of what is filtered off, dried and weighed. */
const OF_SOLIDS: readonly Cause[] = [
  { key: 'through', label: 'Solid that ran through the paper' },
  { key: 'clings', label: 'Solid left in the vessel' },
  { key: 'dissolved', label: 'Solid that stayed dissolved' },
  { key: 'washed', label: 'Solid that the washing dissolved' },
  { key: 'salts', label: 'Salts that were not washed out' },
  { key: 'wet', label: 'Water that was still in it' },
  { key: 'damp', label: 'Damp of the air in the paper' },
  { key: 'form', label: 'Solid on the way to its other form in the oven' },
  { key: 'scorched', label: 'Paper that was scorched' },
];
/** Of a gas that leaves a vessel on the balance. */
const OF_GAS: readonly Cause[] = [
  { key: 'fizz', label: 'Gas that had not left yet' },
  { key: 'stays', label: 'Gas that stayed dissolved' },
  { key: 'vapour', label: 'Damp that left with the gas' },
];
const OF_BALANCE: readonly Cause[] = [
  { key: 'hot', label: 'Weighed while it was warm' },
  { key: 'balance', label: 'The balance: its last digit, its drift' },
  { key: 'settling', label: 'Weighed before the display had come to rest' },
];

const causesOf = ({ papers, jar, balance }: Plan): readonly Cause[] => [
  ...CAUSES,
  ...(papers.length > 0 ? OF_SOLIDS : []),
  ...(jar ? OF_GAS : []),
  ...(balance ? OF_BALANCE : []),
];

/** Masses that nobody reads without weighing. */
const massesHidden = ({ papers, boat, plan }: Bench): number[] => [
  ...papers.flatMap(({ dryG, dampG, waterG, missing }) => [dryG, dampG, waterG, ...Object.values(missing)]),
  ...(plan.jar ? [boat.g, boat.solidG] : []),
];

/** One practical of solutions, on the bench that all of them share. */
export const solutions = familyOf<
  Sample,
  Bench,
  OwnAct,
  View,
  Moving,
  Plan,
  Row,
  Pick<Kind<unknown>, 'method' | 'untried' | 'hidden'>
>({
  subject: 'amounts',
  book: 'reactions',
  model: MODEL,
  sampleSchema,
  ...OWN_ACTS,
  begin,
  advance,
  running,
  method: (plan, { method }) => method(plan),
  view: viewOf,
  frame: movingOf,
  slots: SLOTS,
  rowsOf,
  movedRows,
  besides,
  causes: causesOf,
  accounts: accountsOf,
  hidden: (sample, bench, kind) => [
    ...bench.slips.flatMap(({ trueMmol }) => trueMmol),
    ...massesHidden(bench),
    ...(kind.hidden?.(sample) ?? []),
  ],
});
