import type { Cause } from '../contract';
import { familyOf } from '../family-of';
import { methodOf } from './method';
import { accountsOf } from './account';
import { OWN_ACTS, type OwnAct } from './acts';
import { begin, type Bench } from './bench';
import { advance } from './flow';
import { type Plan, SLOTS } from './plan';
import { besides } from './record';
import { stepOnReading } from '../recordings';
import { rowsOf, type Row } from './rows';
import { sampleSchema, type Sample } from './sample';
import { movedRows } from './uncertainty';
import { movingOf, running, viewOf, type Moving, type View } from './view';

/** Raised when the same acts give another bench than before. */
const MODEL = 1;

const CAUSES: readonly Cause[] = [
  { key: 'water', label: 'Water that was still in it' },
  { key: 'broken', label: 'Broken down beyond the dry salt, or acid given off with the water' },
  { key: 'spits', label: 'Salt that spat out of the crucible' },
  { key: 'soot', label: 'Soot on the crucible' },
  { key: 'hot', label: 'Weighed while it was hot' },
  { key: 'air', label: 'Damp that came out of the air' },
  { key: 'dampCrucible', label: 'A crucible that was not dry when it was weighed empty' },
  { key: 'lid', label: 'Weighed with the lid once, and once without' },
  { key: 'balance', label: 'The balance: its last digit, its drift' },
  { key: 'settling', label: 'Weighed before the display had come to rest' },
  { key: 'hands', label: 'How much was taken by hand' },
];

/** Numbers that would give the sample away, or what the apparatus weighs. */
function numbersHidden(sample: Sample, { crucible }: Bench): number[] {
  const all = [crucible.massG, crucible.lidG, crucible.tempC, ...crucible.rings.flatMap(({ amounts }) => amounts)];
  return sample.withId ? [...all, sample.part] : all;
}

/** One practical of hydrates, on the bench that all of them share. */
export const hydrates = familyOf<Sample, Bench, OwnAct, View, Moving, Plan, Row>({
  subject: 'amounts',
  book: 'hydrates',
  model: MODEL,
  sampleSchema,
  ...OWN_ACTS,
  begin,
  advance,
  running,
  method: (plan) => methodOf(plan),
  view: viewOf,
  frame: movingOf,
  slots: SLOTS,
  names: { step: stepOnReading(SLOTS, 'heating') },
  rowsOf,
  movedRows: ({ plan }, rows) => movedRows(plan, rows),
  besides,
  causes: () => CAUSES,
  accounts: accountsOf,
  hidden: numbersHidden,
});
