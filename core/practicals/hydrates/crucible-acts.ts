import { z } from 'zod';
import { short } from '../../analysis/quantity';
import { actsOn } from '../act-table';
import type { Outcome } from '../contract';
import { done, handError, isAmount, refuse } from '../hands';
import { freshCrucible, LIDS, outOfJar, PLACES, RINGS, type Bench, type Crucible, type Place } from './bench';
import { amountsIn, molIn } from './crucible';
import { advance } from './flow';
import { drifts } from './weighing';

/** What is done with the crucible. */

const CRACKED = 'The crucible has cracked, and what was in it is lost. Take a fresh one.';
const GRIPS = ['tongs', 'hand'] as const;
const LEAST_G = 0.2;
const MOST_G = 8;
/** How closely a spatula takes what is wanted, as a part of it. */
const SPATULA = 0.04;
/** Warmer than this no hand holds it, °C. */
const BURNS_C = 55;
/** How long tongs and hands take, s. */
const TAKES_S = 3;

const withCrucible = (bench: Bench, change: Partial<Crucible>): Bench => ({
  ...bench,
  crucible: { ...bench.crucible, ...change },
});

function put(bench: Bench, { at, by }: { at: Place; by: (typeof GRIPS)[number] }): Outcome<Bench> {
  const { crucible, plan } = bench;
  if (crucible.at === at) return refuse('The crucible is there already.');
  if (at === 'desiccator' && !plan.desiccator) return refuse('There is no desiccator at this bench.');
  if (by === 'hand' && crucible.tempC > BURNS_C)
    // It stays where it was: what is told is that it burnt.
    return done(
      advance({ ...bench, burns: bench.burns + 1 }, TAKES_S),
      'It is hot: you put it down again at once, and cool your fingers. Take the tongs.',
    );
  const note = at === 'pan' && drifts(bench) ? 'The display creeps: it is still warm.' : undefined;
  return done(advance(withCrucible(bench, { at }), TAKES_S), note);
}

function lid(bench: Bench, { to }: { to: (typeof LIDS)[number] }): Outcome<Bench> {
  if (bench.crucible.lid === to)
    return refuse(
      { on: 'The lid is on already.', ajar: 'The lid is ajar already.', off: 'The lid is off already.' }[to],
    );
  return done(advance(withCrucible(bench, { lid: to }), 1));
}

function fill(bench: Bench, { g }: { g: number }): Outcome<Bench> {
  const { crucible } = bench;
  if (crucible.isCracked) return refuse(CRACKED);
  if (crucible.at === 'triangle' || crucible.at === 'gauze' || crucible.at === 'desiccator')
    return refuse('Take the crucible down first.');
  if (crucible.tempC > BURNS_C) return refuse('The crucible is too hot for that. Let it cool.');
  if (molIn(crucible) > 0) return refuse('There is some in it already. For another portion take a fresh crucible.');
  if (!isAmount(g, LEAST_G, MOST_G)) return refuse(`Take between ${LEAST_G} and ${MOST_G} g.`);
  const hand = handError(bench, SPATULA);
  const { mol, inertG } = outOfJar(bench, g * (1 + hand.error));
  const rings = crucible.rings.map((ring, i) => ({
    tempC: bench.sample.roomC,
    amounts: ring.amounts.map((_, stage) => (stage === 0 ? (RINGS[i] as number) * mol : 0)),
  }));
  const now = withCrucible(hand.bench, { rings, inertG });
  return done(advance({ ...now, takenMol: bench.takenMol + mol, takenInertG: bench.takenInertG + inertG }, TAKES_S));
}

/** What is in the old one goes to waste. */
function fresh(bench: Bench): Outcome<Bench> {
  const { crucible, wasted } = bench;
  if (crucible.tempC > BURNS_C && !crucible.isCracked) return refuse('The crucible is hot. Let it cool first.');
  const amounts = amountsIn(crucible);
  return done(
    advance(
      {
        ...bench,
        crucible: freshCrucible(bench, bench.crucibles + 1),
        crucibles: bench.crucibles + 1,
        wasted: wasted.map((mol, stage) => mol + (amounts[stage] ?? 0) + (crucible.spat[stage] ?? 0)),
        wastedInertG: bench.wastedInertG + crucible.inertG,
      },
      TAKES_S,
    ),
    molIn(crucible) > 0 ? 'What was in the old one is thrown away.' : undefined,
  );
}

const PUT: Record<Place, string> = {
  mat: 'onto the mat',
  triangle: 'onto the triangle',
  gauze: 'onto the gauze',
  desiccator: 'into the desiccator',
  pan: 'onto the balance',
};

const act = actsOn<Bench>();
export const CRUCIBLE_ACTS = {
  put: act({ at: z.enum(PLACES), by: z.enum(GRIPS) }, put, ({ at, by }) => `put the crucible ${PUT[at]}, by ${by}`),
  lid: act(
    { to: z.enum(LIDS) },
    lid,
    ({ to }) => ({ on: 'put the lid on', ajar: 'set the lid ajar', off: 'took the lid off' })[to],
  ),
  fill: act({ g: z.number() }, fill, ({ g }) => `put about ${short(g)} g into the crucible`),
  fresh: act({}, fresh, 'took a fresh crucible'),
};
