import type { Practical } from '../contract';
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
import { stepsOf } from './steps';
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
  const all = [...tube, ...own, gasMol, gasC, ...inside, ...weighed];
  return all.filter((value) => value !== 0 && Math.abs(value * 1e4 - Math.round(value * 1e4)) > 1e-6);
}

/** One practical of gases, on the bench that all of them share. */
export function gases<Setup>(kind: Kind<Setup>): Practical<Setup, Sample, Bench, OwnAct, View, Moving, Plan> {
  const { resultTexts, ...parts } = partsOfKind(kind, { rowsOf, movedRows });
  return {
    ...parts,
    subject: 'particles',
    book: 'gases',
    model: MODEL,
    sampleSchema,
    act: actSchema,
    begin: (setup, sample, seed, off) => begin(kind.plan(setup), sample, seed, off),
    perform,
    advance,
    running,
    view: (bench) => viewOf(bench, stepsOf(bench)),
    frame: movingOf,
    describe,
    names: NAMES,
    record: (setup, sample, bench) => recordOf(bench, kind.truth(setup, sample), resultTexts(setup, sample, bench)),
    steps: stepsOf,
    causes: () => kind.moves,
    accounts: accountsOf,
    secrets: (_, sample, bench) => ({ words: [bench.seed], numbers: numbersHidden(sample, bench) }),
  };
}
