import { familyOf } from '../family-of';
import { accountsOf } from './account';
import { OWN_ACTS, type OwnAct } from './acts';
import type { Bench } from './bench';
import { begin } from './begin';
import { advance, running } from './flow';
import type { Kind } from './kind';
import { methodOf } from './method';
import type { Plan } from './plan';
import { besides, SLOTS, toldReading } from './record';
import { rowsOf, type Row } from './rows';
import { sampleSchema, type Sample } from './sample';
import { movedRows } from './uncertainty';
import { movingOf, viewOf, type Moving, type View } from './view';

/** Raised when the same acts give another bench than before. */
const MODEL = 1;

/** Numbers that would give the sample away, or what instruments are off by. */
function numbersHidden({ innerMl, jarC, zeroKPa }: Sample, bench: Bench): number[] {
  const { plan, gasMol, gasC, plungerMl, free, injector, collected } = bench;
  const own = {
    syringe: [innerMl, zeroKPa, plungerMl],
    bulb: [jarC, zeroKPa],
    syringes: [],
    injected: [],
    collected: [],
  }[plan.gear];
  const inside = free.flatMap((one) => [one.gasMol, one.vapourMol, one.pendingMol, one.ml]);
  const weighed = injector ? [injector.emptyG, injector.liquidG, injector.evaporatedG] : [];
  const tube = collected
    ? [collected.airMol, collected.hydrogenMol, collected.pendingMol, collected.strip?.g ?? 0, collected.tube.topMm]
    : [];
  return [...tube, ...own, gasMol, gasC, ...inside, ...weighed];
}

/** One practical of gases, on the bench that all of them share. */
export const gases = familyOf<Sample, Bench, OwnAct, View, Moving, Plan, Row, Pick<Kind<unknown>, 'moves'>>({
  subject: 'particles',
  book: 'gases',
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
  rowsOf,
  movedRows,
  toldReading,
  besides,
  causes: (_, { moves }) => moves,
  accounts: accountsOf,
  hidden: numbersHidden,
});
