import { gasOf } from '../../databook/gases';
import { familyOf } from '../family-of';
import { OWN_ACTS, type OwnAct } from './acts';
import { advance, begin, kept, keptBench, running, type Bench } from './bench';
import { filmOf, isFilmed } from './film';
import type { Kind } from './kind';
import { SLOTS, type Plan } from './plan';
import { rowsOf, type Row } from './rows';
import { sampleSchema, type Sample } from './sample';
import { movingOf, viewOf, type Moving, type View } from './view';

/** One practical with particles under a piston, on the bench that all of them share. */
export const cylinder = familyOf<
  Sample,
  Bench,
  OwnAct,
  View,
  Moving,
  Plan,
  Row,
  Pick<Kind<unknown>, 'task' | 'method'>
>({
  subject: 'particles',
  book: 'gases',
  movesInBrowser: true,
  sampleSchema,
  ...OWN_ACTS,
  begin,
  advance,
  running,
  method: (plan, kind) => kind.method(plan),
  view: (bench, steps, kind) => viewOf(bench, kind.task(bench.plan, bench.sample), steps),
  frame: movingOf,
  slots: SLOTS,
  calls: 'short',
  rowsOf,
  accounts: (bench) => ({ zJ: bench.energyZJ - bench.suppliedZJ - bench.beganZJ }),
  secrets: (sample, { plan }) => ({
    words: isFilmed(plan) ? ['gPerMol', 'radiusNm'] : [],
    numbers: isFilmed(plan) ? [gasOf(sample.gasId).molarMassGPerMol] : [],
  }),
  keep: kept,
  keptBench,
  film: filmOf,
});
