import { EMPTY, mix, share, drawOff, type Solution } from '../../chemistry/solution';
import { BURETTE_BELOW_ML, BURETTE_HEADROOM_ML, liquidAt } from '../../instruments/burette';
import { FLASK_250 } from '../../instruments/conical-flask';
import { flow, isStream, outflow, outflowRate, timeToRunOut } from '../../instruments/tap';
import { advanceByEvents } from '../time-passes';
import { flaskVolume, isSwirling, liquidAboveMark, type Bench } from './bench';
import { look, probeBusy, timeToLook } from './probe';
import { dissolvable, dissolve, STEP_S, timeToDissolve } from './solid';

/** Time constants of mixing, s: what falls into a still flask lingers; a swirl of the wrist ends it. */
const STILL_S = 9;
const SWIRLED_S = 0.35;

/** Rate at which a burette is filled from a bottle by hand, mL/s. */
const POUR_ML_PER_S = 3;

/** Volume below which nothing unmixed can be seen. */
const VISIBLE_PLUME_ML = 0.0015;

/** Whether something goes on by itself, so that frames are worth sending. */
export function running(bench: Bench): boolean {
  if (bench.paused) return false;
  const { tap, pouring } = bench.burette;
  const flowing = tap !== 'closed' && flow(tap, liquidAboveMark(bench)) > 0 && bench.burette.liquid.volumeMl > 1e-9;
  const mixes = bench.flask.plume.volumeMl > VISIBLE_PLUME_ML || dissolvable(bench) > 1e-9;
  return flowing || pouring || mixes || probeBusy(bench);
}

/** Unmixed liquid after some seconds without more coming in. */
function mixing(bench: Bench, seconds: number, swirling: boolean): Bench {
  const { plume, mixed } = bench.flask;
  if (plume.volumeMl === 0) return bench;
  const remains = Math.exp(-seconds / (swirling ? SWIRLED_S : STILL_S));
  const blended = share(plume, 1 - remains);
  return { ...bench, flask: { ...bench.flask, plume: share(plume, remains), mixed: mix(mixed, blended) } };
}

/** A drop or more falls into the flask; it is unmixed at first. */
export function fallIntoFlask(bench: Bench, liquid: Solution): Bench {
  return { ...bench, flask: { ...bench.flask, plume: mix(bench.flask.plume, liquid) } };
}

/**
 * A stream over some seconds: it runs at q₀e^(−kt) while what has fallen blends in at 1/τ, so of what comes in,
 * q₀(e^(−kt) − e^(−t/τ))/(1/τ − k) is still unmixed at the end.
 */
function stream(bench: Bench, seconds: number, swirling: boolean): Bench {
  const { tap, liquid } = bench.burette;
  const above = liquidAboveMark(bench);
  const k = outflowRate(tap);
  const rate = 1 / (swirling ? SWIRLED_S : STILL_S);
  const runOut = outflow(tap, above, seconds);
  const unmixed = (flow(tap, above) * (Math.exp(-k * seconds) - Math.exp(-rate * seconds))) / (rate - k);
  const { taken, left } = drawOff(liquid, runOut);
  const part = taken.volumeMl > 0 ? Math.min(unmixed / taken.volumeMl, 1) : 0;
  const blended = mixing(bench, seconds, swirling);
  return {
    ...blended,
    burette: { ...bench.burette, liquid: left },
    flask: {
      ...blended.flask,
      plume: mix(blended.flask.plume, share(taken, part)),
      mixed: mix(blended.flask.mixed, share(taken, 1 - part)),
    },
  };
}

/** Pouring over some seconds; what the tube does not hold runs over into the waste. */
function pour(bench: Bench, seconds: number): Bench {
  const { taken, left } = drawOff(bench.titrantBottle, POUR_ML_PER_S * seconds);
  const space = Math.max(tubeCapacity(bench) - bench.burette.liquid.volumeMl, 0);
  const kept = drawOff(taken, space);
  return {
    ...bench,
    titrantBottle: left,
    burette: {
      ...bench.burette,
      liquid: mix(bench.burette.liquid, kept.taken),
      filledInMl: bench.burette.filledInMl + kept.taken.volumeMl,
    },
    waste: mix(bench.waste, kept.left),
  };
}

/** All that the tube of the burette holds, up to its rim, mL. */
export function tubeCapacity(bench: Bench): number {
  return liquidAt(-BURETTE_HEADROOM_ML, bench.burette.piece) + BURETTE_BELOW_ML;
}

/** The funnel drips into the tube, if it is still in. */
function drip(bench: Bench): Bench {
  const { funnel, liquid } = bench.burette;
  if (!funnel) return bench;
  const kept = drawOff(funnel.holds, Math.max(tubeCapacity(bench) - liquid.volumeMl, 0));
  return {
    ...bench,
    waste: mix(bench.waste, kept.left),
    burette: {
      ...bench.burette,
      liquid: mix(liquid, kept.taken),
      funnel: { holds: EMPTY, dripsAtS: null },
    },
  };
}

type Event = 'drop' | 'dry' | 'full' | 'still' | 'rim' | 'look' | 'dissolve' | 'drip' | 'none';

/** Seconds until something changes its course: a drop falls, the burette is dry, the flask full, a swirl over, the meter looks. */
function nextEvent(bench: Bench): { inS: number; event: Event } {
  const { tap, liquid, hanging, dropMl, pouring } = bench.burette;
  let inS = Infinity;
  let event: Event = 'none';
  const consider = (seconds: number, name: typeof event) => {
    if (seconds < inS) {
      inS = Math.max(seconds, 0);
      event = name;
    }
  };
  if (tap !== 'closed' && liquid.volumeMl > 0) {
    const above = liquidAboveMark(bench);
    consider(timeToRunOut(tap, above, liquid.volumeMl), 'dry');
    if (isStream(tap)) consider(timeToRunOut(tap, above, FLASK_250.capacityMl - flaskVolume(bench)), 'full');
    else consider(timeToRunOut(tap, above, dropMl - hanging.volumeMl), 'drop');
  }
  if (pouring) {
    const space = tubeCapacity(bench) - liquid.volumeMl;
    if (space > 1e-9) consider(space / POUR_ML_PER_S, 'rim');
  }
  if (!bench.flask.keepSwirling && bench.timeS < bench.flask.swirlUntilS) {
    consider(bench.flask.swirlUntilS - bench.timeS, 'still');
  }
  const toLook = timeToLook(bench);
  if (toLook < inS) consider(toLook, 'look');
  consider(timeToDissolve(bench), 'dissolve');
  const funnel = bench.burette.funnel;
  if (funnel && funnel.dripsAtS !== null) consider(funnel.dripsAtS - bench.timeS, 'drip');
  return { inS, event };
}

/** All that goes on over a stretch without events. */
function flowFor(bench: Bench, seconds: number): Bench {
  const swirling = isSwirling(bench);
  const { tap, liquid, hanging, pouring } = bench.burette;
  let next = bench;
  if (tap !== 'closed' && liquid.volumeMl > 0) {
    if (isStream(tap)) {
      // Whatever hung at the tip goes with the stream.
      next = hanging.volumeMl > 0 ? releaseDrop(next) : next;
      next = stream(next, seconds, swirling);
    } else {
      const { taken, left } = drawOff(liquid, outflow(tap, liquidAboveMark(bench), seconds));
      next = mixing(next, seconds, swirling);
      next = { ...next, burette: { ...next.burette, liquid: left, hanging: mix(hanging, taken) } };
    }
  } else {
    next = mixing(next, seconds, swirling);
  }
  if (pouring) next = pour(next, seconds);
  return { ...next, timeS: bench.timeS + seconds };
}

/** What hangs at the tip falls. */
export function releaseDrop(bench: Bench): Bench {
  const fallen = fallIntoFlask(bench, bench.burette.hanging);
  return { ...fallen, burette: { ...fallen.burette, hanging: EMPTY } };
}

function happen(bench: Bench, event: Event): Bench {
  switch (event) {
    case 'drop': {
      const fallen = releaseDrop(bench);
      const isFull = flaskVolume(fallen) >= FLASK_250.capacityMl - 0.1;
      return isFull ? { ...fallen, burette: { ...fallen.burette, tap: 'closed' } } : fallen;
    }
    case 'full':
      return fallIntoFlask({ ...bench, burette: { ...bench.burette, tap: 'closed' } }, EMPTY);
    case 'dry':
      return fallIntoFlask(
        { ...bench, burette: { ...bench.burette, liquid: EMPTY, tap: 'closed' } },
        bench.burette.liquid,
      );
    case 'look':
      return look(bench);
    case 'dissolve':
      return dissolve({ ...bench, timeS: Math.max(bench.timeS, bench.flask.nextStep * STEP_S) });
    case 'drip':
      return drip(bench);
    case 'still':
      return { ...bench, timeS: bench.flask.swirlUntilS };
    case 'rim':
    case 'none':
      return bench;
  }
}

/** Time passes on the bench, s; nothing does while the clock is stopped. Exact to be split. */
export const advance = (bench: Bench, seconds: number): Bench =>
  advanceByEvents(bench, seconds, { next: nextEvent, flow: flowFor, happen });
