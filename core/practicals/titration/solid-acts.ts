import type { WEIGHED } from './slots';
import { done, handError, isAmount, refuse } from '../hands';
import { untaredG } from '../../instruments/weighing';
import { chance } from '../../random';
import type { Outcome } from '../contract';
import { shownReading, withRecorded } from '../recordings';
import { TAKES_S } from './act-parts';
import { advance } from './advance';
import { addAmounts, amountsOfSolid, type Bench } from './bench';
import { balanceText, CAPACITY_G, dissolvable, dissolvePart, gasOf, weighedOn, withBoat } from './solid';

/** What is done with the solid: weighing it out, tipping it in, warming the flask. */

const NO_SOLID = 'There is no solid on this bench.';
/** A spatula comes this near to what is wanted: standard deviation, as a part. */
const SPATULA = 0.03;
/** What clings to a boat that was tipped: a hundredth of its load and at most this, g. */
const CLINGS = { part: 0.012, mostG: 0.004 };

export function weigh(bench: Bench, act: { g: number }): Outcome<Bench> {
  if (!bench.plan.jar) return refuse(NO_SOLID);
  if (!isAmount(act.g, 0.005, CAPACITY_G))
    return refuse(`Put between 0.005 and ${CAPACITY_G} g on the boat at a time.`);
  const drawn = handError(bench, SPATULA);
  const grams = act.g * (1 + drawn.error);
  if (grams > bench.jarG) return refuse('There is not that much left in the jar.');
  if (bench.boat.grams + grams > CAPACITY_G) return refuse(`The boat holds ${CAPACITY_G} g at most.`);
  const weighed = withBoat({ ...drawn.bench, jarG: bench.jarG - grams }, bench.boat.grams + grams);
  return done(advance(weighed, TAKES_S.weigh));
}

export function tip(bench: Bench): Outcome<Bench> {
  if (!bench.plan.jar) return refuse(NO_SOLID);
  const { grams } = bench.boat;
  if (grams <= 0) return refuse('The boat is empty. Weigh some solid out first.');
  const part = 0.4 + 0.6 * chance(bench.seed, `boat ${bench.pan.weighings}`).uniform();
  const clings = bench.off.includes('residue') ? 0 : part * Math.min(CLINGS.part * grams, CLINGS.mostG);
  const undissolved = addAmounts(bench.flask.undissolved, amountsOfSolid(bench, grams - clings));
  const before = bench.tips[bench.trial]?.inG ?? 0;
  const next: Bench = {
    ...withBoat(bench, clings),
    tips: { ...bench.tips, [bench.trial]: { inG: before + grams - clings, leftG: clings } },
    flask: { ...bench.flask, undissolved },
  };
  return done(advance(next, TAKES_S.tip));
}

/** The boat is wiped and the balance set to zero with it. */
export function wipeBoat(bench: Bench): Outcome<Bench> {
  if (!bench.plan.jar) return refuse(NO_SOLID);
  const wiped = advance(withBoat({ ...bench, wasteG: bench.wasteG + bench.boat.grams }, 0), TAKES_S.wipe);
  return done({ ...wiped, pan: { ...wiped.pan, tareG: untaredG(weighedOn(wiped)) } });
}

/** A digital instrument records what it shows. */
export function recordMass(bench: Bench, act: { which: (typeof WEIGHED)[number] }): Outcome<Bench> {
  if (!bench.plan.jar) return refuse(NO_SOLID);
  const text = balanceText(bench);
  if (act.which === 'boat' && bench.boat.grams === 0)
    return refuse('Nothing lies on the boat. Weigh some solid out first.');
  const { trial, flask, boat } = bench;
  const entry = {
    ...shownReading(bench, { trial, which: act.which }, text, boat.grams),
    flask,
    filledInMl: bench.burette.filledInMl,
  };
  return done(withRecorded(bench, entry, 'weighed again'));
}

/** The flask on a hot plate: what can dissolve does, carbon dioxide goes off, and it is cooled again. */
export function warm(bench: Bench): Outcome<Bench> {
  if (!bench.plan.warm) return refuse('There is nothing on this bench to warm the flask with.');
  if (bench.burette.tap !== 'closed') return refuse('The tap is open. Close it before you take the flask away.');
  if (bench.flask.mixed.volumeMl < 5)
    return refuse('There is too little liquid in the flask to warm it. It would boil dry.');
  const rested = advance(bench, TAKES_S.warm);
  const now = dissolvePart(rested, dissolvable(rested));
  const { mixed } = now.flask;
  const gas = freeGas(now);
  const next: Bench = {
    ...now,
    gone: addAmounts(now.gone, gas),
    flask: { ...now.flask, mixed: { ...mixed, amounts: addAmounts(mixed.amounts, gas, -1) } },
  };
  const left = Object.keys(next.flask.undissolved).length > 0;
  return done(next, left ? 'Some of the solid is still there: the acid in the flask did not suffice.' : undefined);
}

/** Carbon dioxide that boils out: all of it from an acid liquid, none from a basic one. */
function freeGas(bench: Bench) {
  const { amounts } = bench.flask.mixed;
  const exchanged = Object.entries(bench.stock.exchanged);
  const acidLeft = exchanged.reduce((sum, [id, [protons = 0]]) => sum + protons * (amounts[id] ?? 0), 0);
  const base = amounts[bench.stock.titrant.soluteId] ?? 0;
  return acidLeft - base > 0 ? gasOf(amounts) : {};
}
