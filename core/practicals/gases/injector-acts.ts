import { z } from 'zod';
import { short } from '../../analysis/quantity';
import { vapourOf } from '../../databook/vapours';
import { chance } from '../../random';
import { actsOn } from '../act-table';
import type { Outcome } from '../contract';
import { done, handError, isAmount, refuse } from '../hands';
import { tared } from '../on-balance';
import type { Bench, Injector } from './bench';
import { advance } from './flow';
import { freeMl } from './free';
import { isAtRest, weighedAnew, weighedOn } from './injector';

/** What is done with the injector and the hot syringe that it goes into. */

/** Liquid that one holds, and that is injected at once, mL. */
const HOLDS_ML = 1;
const LEAST_ML = 0.05;
const MOST_SHOT_ML = 0.6;
/** How exactly a hand sets it, mL. */
const HAND_ML = 0.006;
/** Air that is drawn in when the syringe is emptied: between these, mL. */
const AIR_ML = [5, 11] as const;
const NONE_HERE = 'There is no injector at this bench.';

/** With the injector changed; the balance goes on from what it showed. */
function changed(bench: Bench, injector: Injector, takesS: number, note?: string): Outcome<Bench> {
  return done(advance(weighedAnew(bench, { ...bench, injector }), takesS), note);
}

function draw(bench: Bench, { ml }: { ml: number }): Outcome<Bench> {
  const { injector, sample } = bench;
  if (!injector || sample.vapourId === null) return refuse(NONE_HERE);
  if (injector.at === 'pan') return refuse('Take the injector off the balance first.');
  if (!isAmount(ml, LEAST_ML, HOLDS_ML)) return refuse(`Draw between ${LEAST_ML} and ${HOLDS_ML} mL.`);
  const { gPerMl } = vapourOf(sample.vapourId);
  if (injector.liquidG / gPerMl + ml > HOLDS_ML + 1e-9)
    return refuse(`The injector holds ${HOLDS_ML} mL, and there is some in it already.`);
  const hand = handError(bench, HAND_ML);
  const grams = Math.max(ml + hand.error, 0.01) * gPerMl;
  const now = { ...hand.bench, inMol: bench.inMol + grams / vapourOf(sample.vapourId).gPerMol };
  return changed(now, { ...injector, liquidG: injector.liquidG + grams, isStoppered: false }, 4);
}

function stopper(bench: Bench, { on }: { on: boolean }): Outcome<Bench> {
  const { injector } = bench;
  if (!injector) return refuse(NONE_HERE);
  if (injector.isStoppered === on)
    return refuse(on ? 'Its needle is stoppered already.' : 'The stopper is off already.');
  return changed(bench, { ...injector, isStoppered: on }, 1);
}

export function weigh(bench: Bench, { on }: { on: boolean }): Outcome<Bench> {
  const { injector } = bench;
  if (!injector) return refuse(NONE_HERE);
  if ((injector.at === 'pan') === on)
    return refuse(on ? 'The injector is on the balance already.' : 'The injector lies beside the balance already.');
  return changed(bench, { ...injector, at: on ? 'pan' : 'mat' }, 2);
}

function tare(bench: Bench): Outcome<Bench> {
  const weighed = weighedOn(bench);
  if (!weighed) return refuse('There is no balance at this bench.');
  return tared(bench, weighed, !isAtRest(bench));
}

function inject(bench: Bench, { ml }: { ml: number }): Outcome<Bench> {
  const { injector, sample } = bench;
  const [free, ...more] = bench.free;
  if (!injector || !free || sample.vapourId === null) return refuse(NONE_HERE);
  if (injector.at === 'pan') return refuse('Take the injector off the balance first.');
  if (injector.isStoppered) return refuse('Its needle is stoppered. Take the stopper off first.');
  if (injector.liquidG === 0) return refuse('The injector is empty. Draw up some of the liquid first.');
  if (!isAmount(ml, LEAST_ML, MOST_SHOT_ML)) return refuse(`Inject between ${LEAST_ML} and ${MOST_SHOT_ML} mL.`);
  const { gPerMl, gPerMol } = vapourOf(sample.vapourId);
  const hand = handError(bench, HAND_ML);
  const grams = Math.min(Math.max(ml + hand.error, 0.01) * gPerMl, injector.liquidG);
  const now = { ...free, vapourId: sample.vapourId, pendingMol: free.pendingMol + grams / gPerMol };
  const after = { ...hand.bench, free: [now, ...more] };
  return changed(after, { ...injector, liquidG: injector.liquidG - grams, hasShot: true }, 3);
}

/** Emptied through its septum, with a little air drawn in: the next portion is a trial of its own. */
export function emptied(bench: Bench): Outcome<Bench> {
  const [free, ...more] = bench.free;
  if (!bench.injector || !free) return refuse('The syringes of this bath stay capped.');
  const air = AIR_ML[0] + (AIR_ML[1] - AIR_ML[0]) * chance(bench.seed, `air ${bench.fills}`).uniform();
  const fresh = {
    ...free,
    gasMol: free.gasMol * (air / freeMl({ ...free, vapourMol: 0 }, bench.sample.roomKPa, free.gasC)),
    vapourMol: 0,
    pendingMol: 0,
  };
  const gone = free.vapourMol + free.pendingMol + free.gasMol - fresh.gasMol;
  const ml = freeMl(fresh, bench.sample.roomKPa, fresh.gasC);
  const injector = { ...bench.injector, hasShot: false };
  const outMol = bench.outMol + gone;
  return done(advance({ ...bench, injector, outMol, fills: bench.fills + 1, free: [{ ...fresh, ml }, ...more] }, 5));
}

const act = actsOn<Bench>();
export const INJECTOR_ACTS = {
  draw: act({ ml: z.number() }, draw, ({ ml }) => `drew up about ${short(ml)} mL of the liquid`),
  stopper: act({ on: z.boolean() }, stopper, ({ on }) =>
    on ? 'stoppered the needle' : 'took the stopper off the needle',
  ),
  tare: act({}, tare, 'tared the balance'),
  inject: act({ ml: z.number() }, inject, ({ ml }) => `injected about ${short(ml)} mL`),
};
