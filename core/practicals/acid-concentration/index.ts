import type { Solution } from '../../chemistry/solution';
import { soluteOf } from '../../databook/solutes';
import type { Accounts, Practical } from '../contract';
import { actSchema, perform, type Act } from './acts';
import { advance, running } from './advance';
import { begin, CAUSES, drawSample, sampleSchema, type Bench, type Sample } from './bench';
import { briefOf } from './brief';
import { asksOf, quantitiesOf, tablesOf, truthsOf, unready } from './report';
import { describe, recordOf } from './record';
import { threeDigitValues } from './sample-values';
import { labelsOf, setupSchema, type Labels, type Setup } from './setup';
import { stepsOf } from './steps';
import { movingOf, viewOf, type Moving, type View } from './view';

/** Everything on the bench and everything that left it: volume (water counted against its source) and each solute. */
function accounts(bench: Bench): Accounts {
  const parts: Solution[] = [
    bench.sampleBottle, bench.titrantBottle, bench.burette.liquid, bench.burette.hanging,
    bench.pipette.content, bench.flask.mixed, bench.flask.plume, bench.waste,
  ]; // prettier-ignore
  const totals: Record<string, number> = { volumeMl: -bench.waterTakenMl - bench.indicatorMl };
  for (const part of parts) {
    totals['volumeMl'] = (totals['volumeMl'] ?? 0) + part.volumeMl;
    for (const [id, amount] of Object.entries(part.amounts)) totals[id] = (totals[id] ?? 0) + amount;
  }
  return totals;
}

/** The true value, and every number from which it follows at once. */
function secrets(sample: Sample, bench: Bench): { words: string[]; numbers: number[] } {
  const solute = soluteOf(sample.soluteId);
  const pipetteMl = Number(bench.setup.pipetteMl);
  const trueTitre = (sample.molPerL * (pipetteMl + bench.pipette.errorMl)) / bench.setup.titrantMolPerL;
  return {
    words: [solute.name, sample.soluteId, solute.formula, bench.seed],
    numbers: [
      sample.molPerL,
      sample.molPerL * 1000,
      (sample.molPerL * pipetteMl) / 1000,
      (sample.molPerL * pipetteMl) / bench.setup.titrantMolPerL,
      trueTitre,
      trueTitre / (1 + bench.burette.piece.scaleError),
      bench.burette.piece.scaleError,
      bench.pipette.errorMl,
      pipetteMl + bench.pipette.errorMl,
      bench.burette.dropMl,
      bench.probe.piece.offsetMv,
      bench.probe.piece.slope,
      bench.probe.piece.responseS,
    ].filter((number) => number !== 0 && !Number.isInteger(number)),
  };
}

export const acidConcentration: Practical<Setup, Sample, Bench, Act, View, Moving, Labels> = {
  id: 'acid-concentration',
  title: 'Concentration of an unlabelled acid',
  summary:
    'Titrate a bottle from the cleaning cupboard with a base of known concentration, by indicator and burette, until two titres agree.',
  setup: setupSchema,
  sampleSchema,
  act: actSchema,
  labels: labelsOf,
  brief: briefOf,
  sampleRoom: (setup) => threeDigitValues(setup.fromMolPerL, setup.toMolPerL).length,
  sample: drawSample,
  begin,
  perform,
  advance,
  clock: (bench) => bench.timeS,
  running,
  view: viewOf,
  frame: movingOf,
  describe,
  record: recordOf,
  steps: stepsOf,
  tables: tablesOf,
  asks: asksOf,
  quantities: quantitiesOf,
  truths: truthsOf,
  unready,
  causes: CAUSES,
  accounts,
  secrets,
};
