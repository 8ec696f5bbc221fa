import { FLOW_STEP_S, pourRate, WATER_TAP_ML_PER_S } from '../../instruments/pouring';
import { drawOff, mix, water, type Solution } from '../../chemistry/solution';
import { advanceBySteps } from '../time-passes';
import {
  brimOf,
  entryOf,
  filmOf,
  isFlowing,
  isSettling,
  surfaceIn,
  vesselAt,
  weighedAnew,
  withVessel,
  type Bench,
  type Vessel,
} from './bench';

/** What goes on by itself: pouring, running water, a display that settles. */

export const running = (bench: Bench): boolean => !bench.paused && (isFlowing(bench) || isSettling(bench));

/** What can run out of a vessel: not what clings to it, nor what is under a stopper, mL. */
export const pourable = (bench: Bench, vessel: Vessel): number =>
  vessel.stoppered ? 0 : Math.max(vessel.liquid.volumeMl - filmOf(bench, vessel), 0);

/** What a vessel gives away without what is in it falling out. */
export function pourOut(bench: Bench, number: number, ml: number): { taken: Solution; bench: Bench } {
  const vessel = bench.vessels[number - 1] as Vessel;
  const { taken, left } = drawOff(vessel.liquid, Math.min(ml, pourable(bench, vessel)));
  return { taken, bench: withVessel(bench, number, { liquid: left }) };
}

/** Solution comes into a vessel; what it cannot hold runs over, and is spilt. */
export function pourIn(bench: Bench, number: number, liquid: Solution): Bench {
  const vessel = bench.vessels[number - 1] as Vessel;
  return overflow(withVessel(bench, number, { liquid: mix(vessel.liquid, liquid) }), number);
}

export function overflow(bench: Bench, number: number): Bench {
  const vessel = bench.vessels[number - 1] as Vessel;
  const over = surfaceIn(bench, number).surfaceMl - brimOf(vessel);
  if (over <= 0) return bench;
  const { taken, left } = drawOff(vessel.liquid, over);
  const waste = mix(bench.waste, taken);
  const spiltMl = bench.spiltMl + taken.volumeMl;
  return { ...withVessel(bench, number, { liquid: left }), waste, spiltMl, spiltAt: number };
}

/** One step of all that flows. */
function flow(bench: Bench): Bench {
  let now = bench;
  bench.vessels.forEach((_, i) => {
    const number = i + 1;
    const vessel = now.vessels[i] as Vessel;
    if (vessel.tap !== 'off') {
      const ml = WATER_TAP_ML_PER_S[vessel.tap] * FLOW_STEP_S;
      now = pourIn({ ...now, tapMl: now.tapMl + ml }, number, water(ml));
    }
    if (vessel.tilt && vesselAt(now, vessel.tilt.to)) {
      const { brimMl, innerDiameterMm } = entryOf(vessel);
      const rate = pourRate(vessel.tilt.degrees, vessel.liquid.volumeMl, brimMl, innerDiameterMm);
      const { taken, bench: poured } = pourOut(now, number, rate * FLOW_STEP_S);
      now = pourIn(poured, vessel.tilt.to, taken);
      // A hand sets down what has run empty.
      if (pourable(now, now.vessels[i] as Vessel) <= 0) now = withVessel(now, number, { tilt: null });
    }
  });
  return weighedAnew(bench, now, false);
}

/** The bench so many seconds later. What flows is taken over at the multiples of the step, whatever the stretch. */
export const advance = (bench: Bench, seconds: number): Bench =>
  advanceBySteps(bench, seconds, isFlowing(bench) ? FLOW_STEP_S : Infinity, flow);
