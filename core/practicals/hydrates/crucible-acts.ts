import type { Outcome } from '../contract';
import { done, handError, isAmount, refuse } from '../hands';
import type { Of } from './acts';
import { freshCrucible, outOfJar, RINGS, type Bench, type Crucible } from './bench';
import { amountsIn, molIn } from './crucible';
import { advance } from './flow';
import { drifts } from './weighing';

/** What is done with the crucible. */

const CRACKED = 'The crucible has cracked, and what was in it is lost. Take a fresh one.';
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

export function put(bench: Bench, { at, by }: Of<'put'>): Outcome<Bench> {
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

export function lid(bench: Bench, { to }: Of<'lid'>): Outcome<Bench> {
  if (bench.crucible.lid === to)
    return refuse(
      { on: 'The lid is on already.', ajar: 'The lid is ajar already.', off: 'The lid is off already.' }[to],
    );
  return done(advance(withCrucible(bench, { lid: to }), 1));
}

export function fill(bench: Bench, { g }: Of<'fill'>): Outcome<Bench> {
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
export function fresh(bench: Bench): Outcome<Bench> {
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
