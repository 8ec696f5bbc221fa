import { z } from 'zod';
import { short } from '../../analysis/quantity';
import { staysLit } from '../../physics/burner';
import { actsOn } from '../act-table';
import type { Outcome } from '../contract';
import { done, isAmount, refuse } from '../hands';
import type { Bench } from './bench';
import { advance } from './flow';

/** What is done with the burner. */

const MOST = 10;
const TAKES_S = 1;

/** The burner as its controls are now: what they leave alight, and since when gas flows without a flame. */
function turned(bench: Bench, change: Partial<Pick<Bench['burner'], 'gas' | 'air'>>): Bench {
  const burner = { ...bench.burner, ...change };
  const isLit = burner.isLit && staysLit(burner.gas, burner.air);
  const leaksSinceS = burner.gas > 0 && !isLit ? (burner.leaksSinceS ?? bench.timeS) : null;
  return { ...bench, burner: { ...burner, isLit, leaksSinceS }, isLeakTold: leaksSinceS !== null && bench.isLeakTold };
}

function gas(bench: Bench, { to }: { to: number }): Outcome<Bench> {
  if (!isAmount(to, 0, MOST)) return refuse(`The gas can be set from 0 to ${MOST}.`);
  const now = turned(bench, { gas: to });
  const wentOut = bench.burner.isLit && !now.burner.isLit;
  const note = wentOut && to > 0 ? 'The flame has gone out: too much air for so little gas.' : undefined;
  return done(advance(now, TAKES_S), note);
}

function air(bench: Bench, { to }: { to: number }): Outcome<Bench> {
  if (!isAmount(to, 0, MOST)) return refuse(`The air can be set from 0 to ${MOST}.`);
  const now = turned(bench, { air: to });
  const wentOut = bench.burner.isLit && !now.burner.isLit;
  return done(advance(now, TAKES_S), wentOut ? 'The flame has gone out: too much air for so little gas.' : undefined);
}

function light(bench: Bench): Outcome<Bench> {
  const { gas: flows, air: draws, isLit } = bench.burner;
  if (isLit) return refuse('The burner is alight already.');
  if (flows === 0) return refuse('There is no gas to be lit. Open the gas first.');
  if (!staysLit(flows, draws))
    return refuse('It flares up and goes out: too much air, or too little gas. Change one of them.');
  const burner = { ...bench.burner, isLit: true, leaksSinceS: null };
  return done(advance({ ...bench, burner, isLeakTold: false }, TAKES_S));
}

function slide(bench: Bench, { under }: { under: boolean }): Outcome<Bench> {
  if (bench.burner.isUnder === under)
    return refuse(under ? 'The burner stands under the tripod already.' : 'The burner stands aside already.');
  return done(advance({ ...bench, burner: { ...bench.burner, isUnder: under } }, TAKES_S));
}

const act = actsOn<Bench>();
export const BURNER_ACTS = {
  gas: act({ to: z.number() }, gas, ({ to }) => `set the gas to ${short(to)}`),
  air: act({ to: z.number() }, air, ({ to }) => `set the air to ${short(to)}`),
  light: act({}, light, 'lit the burner'),
  slide: act({ under: z.boolean() }, slide, ({ under }) =>
    under ? 'slid the burner under the tripod' : 'slid the burner aside',
  ),
};
