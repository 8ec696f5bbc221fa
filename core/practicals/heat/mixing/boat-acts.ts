import { saltOf } from '../../../databook/salts';
import { short } from '../../../analysis/quantity';
import type { Outcome } from '../../contract';
import { done, handError, isAmount, refuse } from '../../hands';
import { combined, TAKES_S } from '../act-parts';
import { withVessel, type Bench } from '../bench';
import { advance } from '../going-on/flow';
import { filledG } from '../freezing/tube';
import { tippedIn } from '../freezing/tube-acts';

/** What is done with the salt: out of its jar into the weighing boat, and from there into the cup. */

const NO_SALT = 'There is no salt at this bench.';
const LEAST_G = 0.01;
const MOST_G = 40;
/** How closely a spatula takes what is wanted, as a part of it. */
const SPATULA = 0.03;
/** Part of what was in the boat that clings to it when it is tipped. */
const CLINGS = 0.015;

export function scoop(bench: Bench, { g }: { g: number }): Outcome<Bench> {
  if (!bench.plan.salt) return refuse(NO_SALT);
  const there = bench.boat.saltG + bench.boat.clingsG;
  if (!isAmount(g, LEAST_G, MOST_G)) return refuse(`Take between ${LEAST_G} and ${MOST_G} g of the salt.`);
  if (there + g > MOST_G)
    return refuse(`The boat holds ${MOST_G} g, and has about ${short(Number(there.toFixed(0)))} g in it.`);
  const hand = handError(bench, SPATULA);
  const really = Math.max(g * (1 + hand.error), LEAST_G / 2);
  const boat = { ...hand.bench.boat, saltG: there + really, clingsG: 0 };
  return done(advance({ ...hand.bench, boat, takenG: bench.takenG + really }, TAKES_S.tip));
}

export function tip(bench: Bench): Outcome<Bench> {
  if (!bench.plan.salt) return refuse(NO_SALT);
  const { saltG } = bench.boat;
  if (saltG === 0) return refuse('The boat is empty but for what clings to it. Take some salt first.');
  const clings = handError(bench, 0.3);
  const clingsG = bench.off.includes('boat') ? 0 : saltG * CLINGS * (1 + clings.error);
  if (bench.tube) {
    if (filledG(bench.tube) === 0) return refuse('There is nothing in the tube yet that it could dissolve in.');
    const boat = { ...bench.boat, saltG: 0, clingsG: bench.boat.clingsG + clingsG };
    return done(advance(tippedIn({ ...clings.bench, boat }, saltG - clingsG), TAKES_S.tip));
  }
  if (!bench.sample.saltId) return refuse(NO_SALT);
  const { cup } = bench.vessels;
  const mol = (saltG - clingsG) / saltOf(bench.sample.saltId).molarMassGPerMol;
  const boat = { ...bench.boat, saltG: 0, clingsG: bench.boat.clingsG + clingsG };
  const now = withVessel({ ...clings.bench, boat }, 'cup', { lyingMol: cup.lyingMol + mol });
  const note = cup.liquid.volumeMl === 0 ? 'It lies in the dry cup.' : undefined;
  return done(advance(cup.liquid.volumeMl > 0 ? combined(now) : now, TAKES_S.tip), note);
}

/** What clings is knocked into the cup. */
export function knock(bench: Bench): Outcome<Bench> {
  if (!bench.plan.salt) return refuse(NO_SALT);
  if (bench.boat.clingsG === 0) return refuse('Nothing clings to the boat.');
  if (bench.tube) {
    if (filledG(bench.tube) === 0) return refuse('There is nothing in the tube yet that it could dissolve in.');
    const boat = { ...bench.boat, clingsG: 0 };
    return done(advance(tippedIn({ ...bench, boat }, bench.boat.clingsG), TAKES_S.tip));
  }
  if (!bench.sample.saltId) return refuse(NO_SALT);
  const mol = bench.boat.clingsG / saltOf(bench.sample.saltId).molarMassGPerMol;
  const now = withVessel({ ...bench, boat: { ...bench.boat, clingsG: 0 } }, 'cup', {
    lyingMol: bench.vessels.cup.lyingMol + mol,
  });
  return done(advance(now, TAKES_S.tip));
}
