import type { Cause, Practical } from '../contract';
import { partsOfKind } from '../of-kind';
import { accountsOf } from './account';
import { actSchema, perform, type OwnAct } from './acts';
import { begin, type Bench } from './bench';
import { advance, running } from './flow';
import type { Kind } from './kind';
import type { Plan } from './plan';
import { describe, NAMES, recordOf } from './record';
import { rowsOf } from './rows';
import { sampleSchema, type Sample } from './sample';
import { movedRows } from './uncertainty';
import { movingOf, viewOf, type Moving, type View } from './view';

/** Raised when the same acts give another bench than before. */
const MODEL = 2;

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
export function solutions<Setup>(kind: Kind<Setup>): Practical<Setup, Sample, Bench, OwnAct, View, Moving, Plan> {
  const { resultTexts, unready, ...parts } = partsOfKind(kind, { rowsOf, movedRows });
  return {
    ...parts,
    unready: (setup, sample, bench) => kind.untried?.(bench) ?? unready(setup, sample, bench),
    subject: 'amounts',
    book: 'reactions',
    model: MODEL,
    sampleSchema,
    act: actSchema,
    begin: (setup, sample, seed, off) => begin(kind.plan(setup), sample, seed, off),
    perform,
    advance,
    running,
    view: (bench) => viewOf(bench, kind.steps(bench)),
    frame: movingOf,
    describe,
    names: NAMES,
    record: (setup, sample, bench) => recordOf(bench, kind.truth(setup, sample), resultTexts(setup, sample, bench)),
    steps: kind.steps,
    causes: (setup) => causesOf(kind.plan(setup)),
    accounts: accountsOf,
    secrets: (_, sample, bench) => ({
      words: [bench.seed],
      numbers: [
        ...bench.slips.flatMap(({ trueMmol }) => trueMmol),
        ...massesHidden(bench),
        ...(kind.hidden?.(sample) ?? []),
      ].filter((value) => value !== 0 && Math.abs(value * 1e4 - Math.round(value * 1e4)) > 1e-4),
    }),
  };
}
