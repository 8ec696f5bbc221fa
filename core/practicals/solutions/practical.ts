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
const MODEL = 1;

const CAUSES: readonly Cause[] = [
  { key: 'hands', label: 'How much was measured by hand: pipette, cylinder, drops' },
  { key: 'eye', label: 'Poured by eye, without measuring' },
  { key: 'glassware', label: 'The scales of pipette and pH meter' },
  { key: 'analysis', label: 'What an analysis can tell' },
  { key: 'thermometer', label: 'The thermometer: how far it is off' },
  { key: 'wavering', label: 'Displays that waver' },
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
    causes: () => CAUSES,
    accounts: accountsOf,
    secrets: (_, __, bench) => ({
      words: [bench.seed],
      numbers: bench.slips.flatMap(({ trueMmol }) =>
        trueMmol.filter((mmol) => mmol !== 0 && Math.abs(mmol * 1e4 - Math.round(mmol * 1e4)) > 1e-4),
      ),
    }),
  };
}
