import { EMPTY, type Solution } from '../../chemistry/solution';
import type { Accounts, Cause } from '../contract';
import { familyOf } from '../family-of';
import { OWN_ACTS, type OwnAct } from './acts';
import { advance, running } from './advance';
import { addAmounts, amountsOfSolid, type Bench } from './bench';
import { begin } from './begin';
import type { Kind, Measured } from './kind';
import { methodOf } from './method';
import type { CommonSetup, Plan } from './plan';
import { NAMES, recordOf } from './record';
import { measuredIn } from './results';
import { uncertaintiesOf } from './uncertainty';
import { tablesOf } from './tables';
import { movingOf, viewOf, type Moving, type View } from './view';

/** Raised when the same acts give another bench than before, for kinds that do not say of their own. */
const MODEL = 2;

/** What can be switched off by itself, in the order in which it is told. */
function causesOf(plan: Plan, carbonate: boolean): Cause[] {
  const causes: (Cause | false)[] = [
    { key: 'first', label: 'Reading the burette before' },
    { key: 'last', label: 'Reading the burette after' },
    { key: 'overshoot', label: 'Stopping past the end point, or before it' },
    { key: 'swirl', label: 'The flask not swirled' },
    { key: 'blind', label: 'Titrated with nothing in the flask that shows the end' },
    { key: 'indicator', label: 'Choice of indicator' },
    {
      key: 'glassware',
      label: plan.jar ? 'Glassware and balance, within their tolerance' : 'Glassware, within its tolerance',
    },
    { key: 'hands', label: 'Filling to a mark' },
    { key: 'refilled', label: 'The burette filled, or run out, between its two readings' },
    plan.bottle !== null && !plan.warm && { key: 'portions', label: 'More than one portion' },
    plan.bottle !== null && plan.jar === null && { key: 'noSample', label: 'No sample in the flask' },
    plan.diluteToMl !== null && { key: 'undiluted', label: 'The sample not diluted' },
    plan.mishaps && { key: 'bubble', label: 'A bubble in the tip' },
    plan.mishaps && { key: 'funnel', label: 'The funnel left in the burette' },
    plan.mishaps && { key: 'wall', label: 'Drops left on the wall of the flask' },
    { key: 'rinsing', label: 'What was left in the burette' },
    plan.jar !== null && { key: 'tipped', label: 'The mass of something else than what was tipped in' },
    plan.jar !== null && { key: 'undissolved', label: 'Solid that had not dissolved' },
    plan.jar !== null && { key: 'residue', label: 'Solid that stayed on the boat' },
    plan.probe !== 'none' && { key: 'probe', label: 'The probe and its calibration' },
    (carbonate || plan.warm) && { key: 'co2', label: 'Carbon dioxide' },
  ];
  return causes.filter((cause) => cause !== false);
}

/** Everything on the bench and everything that left it: volume (water counted against its source) and each solute. */
function accounts(bench: Bench): Accounts {
  const liquids: Solution[] = [
    bench.bottle,
    bench.titrantBottle,
    bench.burette.liquid,
    bench.burette.hanging,
    bench.pipette.content,
    bench.volumetric.content,
    bench.flask.mixed,
    bench.flask.plume,
    bench.flask.wall,
    bench.waste,
    bench.burette.tip,
    bench.burette.funnel?.holds ?? EMPTY,
  ];
  const solidG = bench.jarG + bench.boat.grams + bench.wasteG;
  let amounts = addAmounts(addAmounts(bench.gone, bench.flask.undissolved), amountsOfSolid(bench, solidG));
  let volumeMl = -bench.waterTakenMl - bench.indicatorMl;
  for (const liquid of liquids) {
    volumeMl += liquid.volumeMl;
    amounts = addAmounts(amounts, liquid.amounts);
  }
  return { volumeMl, ...amounts };
}

/** The numbers of the bench's own that would give the sample away, or what the glassware is off by. */
const ownSecrets = (bench: Bench): number[] => [
  bench.burette.piece.scaleError,
  bench.pipette.errorMl,
  bench.plan.pipetteMl + bench.pipette.errorMl,
  bench.volumetric.errorMl,
  bench.burette.bubbleMl,
  bench.burette.dropMl,
  bench.probe.piece.offsetMv,
  bench.probe.piece.slope,
  bench.probe.piece.responseS,
  bench.probe.cell.factor,
];

/** What a result of this bench stands on, for who has none of it. */
function nothingYet(plan: Plan): string {
  const curve = plan.probe !== 'none' ? ', or a logged curve' : '';
  const mass = plan.jar ? ' With a solid, its mass must be recorded too.' : '';
  return `There is no titre in your Readings yet: a first and a last reading of one trial${curve}. A result needs a reading to stand on.${mass}`;
}

/** One kind of titration as a practical of its own, on the bench that all kinds share. */
export const titration = <Setup extends CommonSetup, Sample>(kind: Kind<Setup, Sample>) =>
  familyOf<Sample, Bench, OwnAct, View, Moving, Plan, Measured, object, Setup>({
    subject: 'acids',
    book: 'acids',
    model: MODEL,
    sampleSchema: kind.sampleSchema,
    ...OWN_ACTS,
    begin: (plan, sample, seed, off, setup) =>
      begin(plan, kind.stock(setup, sample), seed, { off, carbonate: setup.carbonate }),
    advance,
    running,
    method: (plan) => methodOf(plan),
    view: viewOf,
    frame: movingOf,
    names: NAMES,
    rowsOf: measuredIn,
    record: recordOf,
    causes: (plan, _, { carbonate = false }) => causesOf(plan, carbonate),
    accounts,
    secrets: (sample, bench, setup) => {
      const { words, numbers } = kind.hidden(setup, sample);
      return {
        words,
        numbers: [...numbers, ...ownSecrets(bench)].filter((number) => number !== 0 && !Number.isInteger(number)),
      };
    },
  })<Setup>({
    ...kind,
    tables: (setup) => tablesOf(kind.plan(setup)),
    uncertainties: (setup, sample, measured) =>
      uncertaintiesOf(kind.plan(setup), kind.quantities(setup), (now) => kind.results(setup, sample, now), measured),
    nothingYet: (setup) => nothingYet(kind.plan(setup)),
  });
