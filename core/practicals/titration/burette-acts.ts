import type { TAP_OPENINGS } from '../../instruments/tap';
import { done, handChance, handError, isAmount, refuse } from '../hands';
import { EMPTY, mix, drawOff, water, type Solution } from '../../chemistry/solution';
import { BURETTE_BELOW_ML, liquidAt } from '../../instruments/burette';
import { FLASK_250 } from '../../instruments/conical-flask';
import { type Outcome } from '../contract';
import { FILL_ERROR_ML, LET_IN_ERROR_ML, TAKES_S } from './act-parts';
import { advance, fallIntoFlask, releaseDrop, tubeCapacity } from './advance';
import { type Bench, filmMl, flaskVolume } from './bench';
import { addWater } from './flask-acts';

/** What is done with the burette: filling, letting out, emptying, rinsing. */

export function fill(bench: Bench, act: { toMl: number }): Outcome<Bench> {
  if (!isAmount(act.toMl, -2, 50))
    return refuse('The burette is marked from 0 to 50 mL, with 2 mL of room above the 0. Type a mark within that.');
  if (bench.burette.tap !== 'closed')
    return refuse('The tap is open: what you pour would run straight through. Close it first.');
  const drawn = handError(bench, FILL_ERROR_ML);
  const wanted = liquidAt(act.toMl + drawn.error, bench.burette.piece) + BURETTE_BELOW_ML;
  const missing = Math.min(wanted, tubeCapacity(bench)) - bench.burette.liquid.volumeMl;
  if (missing <= 0) return refuse('The burette stands at that mark or above it already. Let some out, or empty it.');
  if (missing > bench.titrantBottle.volumeMl) return refuse('There is not enough titrant left in the bottle for that.');
  const { taken, left } = drawOff(bench.titrantBottle, missing);
  const filled: Bench = {
    ...drawn.bench,
    titrantBottle: left,
    burette: { ...bench.burette, liquid: mix(bench.burette.liquid, taken), pouring: false },
  };
  const poured = afterPouring(filled, bench.burette.liquid.volumeMl < 1);
  return done(advance(poured, TAKES_S.fill));
}

export function pour(bench: Bench, act: { on: boolean }): Outcome<Bench> {
  if (act.on && bench.burette.tap !== 'closed')
    return refuse('The tap is open: what you pour would run straight through. Close it first.');
  if (act.on && bench.titrantBottle.volumeMl <= 0) return refuse('The titrant bottle is empty.');
  const ranOver = !act.on && bench.burette.liquid.volumeMl >= tubeCapacity(bench) - 1e-6;
  const held = { ...bench, burette: { ...bench.burette, pouring: act.on } };
  const next = act.on ? held : afterPouring(held, bench.burette.tip.volumeMl === 0 && bench.burette.bubbleMl === 0);
  return done(next, ranOver ? 'The burette ran over. The spill went to waste.' : undefined);
}

/** Titrant that clings to a funnel and drips later; how long after, s. */
const FUNNEL = { leastMl: 0.04, moreMl: 0.12, leastS: 15, moreS: 45 };
/** A bubble that a tube filled from empty leaves in the tip, half of the time. */
const BUBBLE = { part: 0.5, leastMl: 0.08, moreMl: 0.2 };

/** What pouring into a burette can leave behind, where things can go wrong: the funnel, and air in the tip. */
function afterPouring(bench: Bench, wasEmpty: boolean): Bench {
  if (!bench.plan.mishaps) return bench;
  const drawn = handChance(bench);
  const [u, v, w, b] = [drawn.source.uniform(), drawn.source.uniform(), drawn.source.uniform(), drawn.source.uniform()];
  const clings = bench.off.includes('funnel') ? 0 : FUNNEL.leastMl + FUNNEL.moreMl * u;
  const before = bench.burette.funnel?.holds ?? EMPTY;
  const { taken, left } = drawOff(bench.titrantBottle, clings);
  const hasBubble = wasEmpty && w < BUBBLE.part && !bench.off.includes('bubble');
  return {
    ...drawn.bench,
    titrantBottle: left,
    burette: {
      ...bench.burette,
      funnel: {
        holds: mix(before, taken),
        dripsAtS: bench.timeS + TAKES_S.fill + FUNNEL.leastS + FUNNEL.moreS * v,
      },
      bubbleMl: hasBubble ? BUBBLE.leastMl + BUBBLE.moreMl * b : bench.burette.bubbleMl,
    },
  };
}

export function funnelOut(bench: Bench): Outcome<Bench> {
  const { funnel } = bench.burette;
  if (!funnel) return refuse('There is no funnel in the burette.');
  return done({
    ...bench,
    waste: mix(bench.waste, funnel.holds),
    burette: { ...bench.burette, funnel: null },
  });
}

/** Liquid takes the place of the air in the tip: the level falls, and nothing has come out. */
function fillTip(bench: Bench): Bench {
  const { bubbleMl, liquid, tip } = bench.burette;
  if (bubbleMl === 0) return bench;
  const { taken, left } = drawOff(liquid, bubbleMl);
  return { ...bench, burette: { ...bench.burette, bubbleMl: 0, liquid: left, tip: mix(tip, taken) } };
}

/** The tap opened over the waste until the tip is full and runs. */
export function runOut(bench: Bench): Outcome<Bench> {
  const problem = fromClosedTap(bench);
  if (problem) return refuse(problem);
  const full = fillTip(bench);
  const { taken, left } = drawOff(full.burette.liquid, RUN_OUT_ML);
  const waste = mix(mix(full.waste, taken), full.burette.hanging);
  return done(advance({ ...full, waste, burette: { ...full.burette, liquid: left, hanging: EMPTY } }, TAKES_S.drop));
}
const RUN_OUT_ML = 0.5;

/** Some of what falls in fast hits the wall and stays there. */
function splashed(bench: Bench, liquid: Solution): Bench {
  if (!bench.plan.mishaps || liquid.volumeMl < 0.5) return fallIntoFlask(bench, liquid);
  const drawn = handChance(bench);
  const ml = bench.off.includes('wall') ? 0 : 0.02 + 0.05 * drawn.source.uniform();
  const { taken, left } = drawOff(liquid, ml);
  const fallen = fallIntoFlask(drawn.bench, left);
  return { ...fallen, flask: { ...fallen.flask, wall: mix(fallen.flask.wall, taken) } };
}

/** Only from a closed tap, and only when something can come out. */
function fromClosedTap(bench: Bench): string | undefined {
  if (bench.burette.tap !== 'closed') return 'The tap is open. Close it before you let in a measured amount.';
  if (bench.burette.liquid.volumeMl <= 0) return 'The burette is empty. Fill it with titrant first.';
  if (flaskVolume(bench) > FLASK_250.capacityMl - 1) return 'The flask is full. Empty it first.';
  return undefined;
}

export function tap(bench: Bench, act: { opening: (typeof TAP_OPENINGS)[number] }): Outcome<Bench> {
  if (act.opening !== 'closed') {
    if (bench.burette.pouring) return refuse('You are still pouring. Put the bottle down before you open the tap.');
    const opening = fromClosedTap({ ...bench, burette: { ...bench.burette, tap: 'closed' } });
    if (opening) return refuse(opening);
  }
  const ready = act.opening === 'closed' ? bench : fillTip(bench);
  return done({ ...ready, burette: { ...ready.burette, tap: act.opening } });
}

/** Lets a volume run to the tip, where it hangs. */
function toTip(bench: Bench, volumeMl: number): Bench {
  const { taken, left } = drawOff(bench.burette.liquid, volumeMl);
  return {
    ...bench,
    burette: { ...bench.burette, liquid: left, hanging: mix(bench.burette.hanging, taken) },
  };
}

export function drop(bench: Bench): Outcome<Bench> {
  const problem = fromClosedTap(bench);
  if (problem) return refuse(problem);
  const { dropMl, hanging } = bench.burette;
  return done(advance(releaseDrop(toTip(fillTip(bench), Math.max(dropMl - hanging.volumeMl, 0))), TAKES_S.drop));
}

export function partDrop(bench: Bench): Outcome<Bench> {
  const problem = fromClosedTap(bench);
  if (problem) return refuse(problem);
  const drawn = handError(bench, 0.12);
  const { dropMl, hanging } = bench.burette;
  const wanted = dropMl * (0.5 + drawn.error);
  const rinsed = releaseDrop(toTip(fillTip(drawn.bench), Math.max(wanted - hanging.volumeMl, 0)));
  return done(advance(addWater(rinsed, 0.3), TAKES_S.drop));
}

export function letIn(bench: Bench, act: { ml: number }): Outcome<Bench> {
  const problem = fromClosedTap(bench);
  if (problem) return refuse(problem);
  if (!isAmount(act.ml, 0.05, 50)) return refuse('Let in between 0.05 mL, about one drop, and 50 mL at a time.');
  if (flaskVolume(bench) + act.ml > FLASK_250.capacityMl)
    return refuse('The flask would run over. Let in less, or empty it first.');
  const drawn = handError(bench, LET_IN_ERROR_ML);
  const wanted = Math.max(act.ml + drawn.error, 0.02);
  const full = fillTip(drawn.bench);
  const { taken, left } = drawOff(full.burette.liquid, wanted);
  const off = wanted > full.burette.liquid.volumeMl || left.volumeMl < BURETTE_BELOW_ML;
  const fallen = splashed(releaseDrop({ ...full, burette: { ...full.burette, liquid: left } }), taken);
  const note = off ? 'The burette ran past its last mark, so this trial has no last reading.' : undefined;
  return done(advance(fallen, TAKES_S.drop + TAKES_S.letInPerMl * act.ml), note);
}

export function wipeTip(bench: Bench): Outcome<Bench> {
  if (bench.burette.tap !== 'closed') return refuse('The tap is open. Close it before you touch the tip.');
  const { hanging } = bench.burette;
  return done({ ...bench, burette: { ...bench.burette, hanging: EMPTY }, waste: mix(bench.waste, hanging) });
}

/** Empties the burette but for the film that clings to its wall. */
export function emptied(bench: Bench): Bench {
  const { liquid, hanging, tip } = bench.burette;
  const { taken: film, left } = drawOff(liquid, filmMl(bench));
  const waste = mix(bench.waste, mix(left, mix(hanging, tip)));
  return {
    ...bench,
    waste,
    burette: {
      ...bench.burette,
      liquid: film,
      hanging: EMPTY,
      tip: EMPTY,
      bubbleMl: 0,
      tap: 'closed',
      pouring: false,
    },
  };
}

export function rinseBurette(bench: Bench, act: { with: 'water' | 'titrant' }): Outcome<Bench> {
  if (bench.burette.liquid.volumeMl > 1)
    return refuse('There is still liquid in the burette. Empty it before you rinse.');
  const RINSE_ML = 10;
  let next = bench;
  let rinse = water(RINSE_ML);
  if (act.with === 'titrant') {
    if (bench.titrantBottle.volumeMl < RINSE_ML) return refuse('There is not enough titrant left to rinse with.');
    const { taken, left } = drawOff(bench.titrantBottle, RINSE_ML);
    rinse = taken;
    next = { ...next, titrantBottle: left };
  } else {
    next = { ...next, waterTakenMl: next.waterTakenMl + RINSE_ML };
  }
  next = emptied({ ...next, burette: { ...next.burette, liquid: mix(next.burette.liquid, rinse) } });
  return done(advance(next, TAKES_S.rinse));
}
