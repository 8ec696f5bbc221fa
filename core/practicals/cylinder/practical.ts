import { fixed } from '../../analysis/quantity';
import { gasOf } from '../../databook/gases';
import type { Practical } from '../contract';
import { partsOfKind } from '../of-kind';
import { recordedReadings } from '../recordings';
import { actSchema, describe, NAMES, perform, type OwnAct } from './acts';
import { advance, begin, kept, keptBench, running, type Bench } from './bench';
import { filmOf, isFilmed } from './film';
import type { Kind } from './kind';
import { SLOTS, type Plan } from './plan';
import { rowsOf } from './rows';
import { sampleSchema, type Sample } from './sample';
import { movingOf, viewOf, type Moving, type View } from './view';

/** Raised when the same acts give another bench than before. */
const MODEL = 1;

/** One practical with particles under a piston, on the bench that all of them share. */
export function cylinder<Setup>(kind: Kind<Setup>): Practical<Setup, Sample, Bench, OwnAct, View, Moving, Plan> {
  const { resultTexts, ...parts } = partsOfKind(kind, { rowsOf });
  const stepsOf = (bench: Bench) => kind.steps(bench, rowsOf(bench));
  return {
    ...parts,
    subject: 'particles',
    book: 'gases',
    model: MODEL,
    movesInBrowser: true,
    sampleSchema,
    act: actSchema,
    begin: (setup, sample, seed) => begin(kind.plan(setup), sample, seed),
    perform,
    advance,
    running,
    view: (bench) => viewOf(bench, kind.task(bench.plan, bench.sample), stepsOf(bench)),
    frame: movingOf,
    describe,
    names: NAMES,
    record: (setup, sample, bench) => ({
      readings: recordedReadings(bench.readings, (r) => ({
        label: `${SLOTS[r.which].short}, trial ${r.trial}`.replace(/^./, (c) => c.toUpperCase()),
        unit: SLOTS[r.which].unit,
        shown: fixed(r.shown, 4),
      })),
      results: resultTexts(setup, sample, bench),
      truth: kind.truth(setup, sample),
    }),
    steps: stepsOf,
    causes: () => [],
    accounts: (bench) => ({ zJ: bench.energyZJ - bench.suppliedZJ - bench.beganZJ }),
    keep: kept,
    keptBench,
    film: filmOf,
    secrets: (_, sample, bench) => ({
      words: isFilmed(bench.plan) ? [bench.seed, 'gPerMol', 'radiusNm'] : [bench.seed],
      numbers: isFilmed(bench.plan) ? [gasOf(sample.gasId).molarMassGPerMol] : [],
    }),
  };
}
