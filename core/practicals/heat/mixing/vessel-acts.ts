import { mix, share } from '../../../chemistry/solution';
import { type HEAT_VESSEL_IDS, heatVesselOf, SEALED_VESSEL } from '../../../databook/heat-vessels';
import { short } from '../../../analysis/quantity';
import type { Outcome } from '../../contract';
import { done, handError, isAmount, refuse } from '../../hands';
import { combined, nameOf, NO_BEAKER, poured, TAKES_S, takenFrom, wasted, wiped } from '../act-parts';
import type { STIRS, VESSELS, VesselKey } from '../bodies';
import { withPiece, withVessel, type Bench } from '../bench';
import { freshVessel } from '../begin';
import { advance } from '../going-on/flow';
import { isLossy } from '../going-on/going';
import { usesFuel } from '../plan';
import { trialNow } from '../reading/trials';
import { warmed } from './warmed';
import { solutionIn } from './bottles';
import { enthalpyJ, liquidJPerK } from '../matter';
import { MEASURED } from '../reading/measured';

/** What is done with vessels and liquids. */

const LEAST_ML = 0.05;
/** What stays in a vessel that is poured out, mL. */
const FILM_ML = 0.3;
/** Part of its warmth over the room that a liquid loses while it is poured. */
const POURED_LOSES = 0.004;

const IN_PAIL = 'The sealed vessel stands in it. Lift it out first.';

const has = (bench: Bench, key: VesselKey) => key === 'cup' || bench.plan.beaker;

/** All that was in the cup goes: liquid to waste, pieces dried and back on their dish. */
function emptied(bench: Bench, key: VesselKey): Bench {
  const vessel = bench.vessels[key];
  let now = wasted(bench, vessel.liquid, vessel.liquidC, vessel.lateJ);
  // What lay undissolved goes with it.
  now = withVessel({ ...now, thrownMol: now.thrownMol + vessel.lyingMol }, key, {
    liquid: share(vessel.liquid, 0),
    lateJ: 0,
    lyingMol: 0,
  });
  if (key === 'cup')
    bench.pieces.forEach((piece, i) => {
      if (piece.at === 'cup') now = withPiece(wiped(now, i), i, { at: 'dish' });
    });
  return now;
}

/** How many cups were had once this one is done with: what burnt nothing but its wire is tried again in its own trial. */
export const cupsAfter = ({ cups, mixedS, burnt }: Bench): number =>
  mixedS === null || burnt?.g === 0 ? cups : cups + 1;

/** A cup in which nothing has been combined yet. @param cups one more where that begins a trial of its own */
export function begunAnew(bench: Bench, cups: number): Bench {
  const { mixedS, mixedAtS } = bench;
  return {
    ...bench,
    cups,
    mixedS: null,
    burnt: null,
    mixedAtS: mixedS === null ? mixedAtS : { ...mixedAtS, [trialNow(bench)]: mixedS },
    measuredMl: bench.measuredMl.map(() => 0),
    nominalMl: bench.nominalMl.map(() => 0),
  };
}

export function fresh(bench: Bench, { type }: { type: (typeof HEAT_VESSEL_IDS)[number] }): Outcome<Bench> {
  if (!bench.plan.vessels.includes(type)) return refuse(`There is no ${heatVesselOf(type).name} on the tray.`);
  if (bench.sealed?.at === 'pail') return refuse(IN_PAIL);
  const now = emptied(bench, 'cup');
  const { cup } = bench.vessels;
  const goneJ = now.goneJ + cup.wallJPerK * cup.wallC;
  const number = bench.cups + 1;
  const next = freshVessel(type, number, bench);
  const off = bench.pan.on === 'cup' ? { ...now.pan, on: null } : now.pan;
  return done(
    {
      ...begunAnew(now, number),
      goneJ: goneJ - next.wallJPerK * next.wallC,
      vessels: { ...now.vessels, cup: next },
      pan: off,
    },
    cup.liquid.volumeMl > 0 ? 'What was in the old one is poured away.' : undefined,
  );
}

export function empty(bench: Bench, { vessel: key }: { vessel: (typeof VESSELS)[number] }): Outcome<Bench> {
  if (!has(bench, key)) return refuse(NO_BEAKER);
  if (key === 'cup' && bench.sealed?.at === 'pail') return refuse(IN_PAIL);
  const vessel = bench.vessels[key];
  const isEmpty = vessel.liquid.volumeMl === 0 && vessel.lyingMol === 0 && !bench.pieces.some(({ at }) => at === key);
  if (isEmpty) return refuse(`The ${nameOf(bench, key)} is empty already.`);
  const now = emptied(bench, key);
  return done(key === 'cup' ? begunAnew(now, cupsAfter(bench)) : now);
}

/** What was measured out of each bottle, with so much more of one. */
const added = (all: readonly number[], index: number, ml: number): number[] =>
  all.map((before, i) => (i === index ? before + ml : before));

type Poured = { to: VesselKey; ml: number } & ({ from: VesselKey } | { from: number });

/** Pours from a bottle, measured out, or from one vessel into the other. */
export function pour(bench: Bench, { from, to, ml }: Poured): Outcome<Bench> {
  if (!has(bench, to) || (from === 'beaker' && !bench.plan.beaker)) return refuse(NO_BEAKER);
  if (from === to) return refuse('It cannot be poured into itself. Choose the other vessel.');
  if (typeof from === 'number' && bench.plan.bottles[from - 1] === undefined)
    return refuse('There is no such bottle at this bench.');
  const { brimMl } = heatVesselOf(bench.vessels[to].type);
  if (!isAmount(ml, LEAST_ML, 1000)) return refuse(`Pour between ${LEAST_ML} and ${brimMl} mL.`);
  const there = bench.vessels[to].liquid.volumeMl;
  const name = nameOf(bench, to);
  const comes = typeof from === 'number' ? ml : Math.min(ml, bench.vessels[from].liquid.volumeMl - FILM_ML);
  if (!(comes > 0)) return refuse('Nothing is in it that could be poured.');
  const displaced = to === 'cup' && bench.sealed?.at === 'pail' ? SEALED_VESSEL.displacesMl : 0;
  if (there + displaced + comes * 1.02 > brimMl)
    return refuse(
      `The ${name} holds ${brimMl} mL${there > 0 ? `, and has ${short(Number(there.toFixed(0)))} mL in it` : ''}: that would run over.`,
    );
  const hand = handError(bench, 1);
  let now = hand.bench;
  let liquid;
  let tempC: number;
  if (typeof from === 'number') {
    const { tolerance, handMl } = MEASURED[bench.plan.measure];
    const off = tolerance * now.measureError;
    const really = Math.max(ml * (1 + off) + handMl * hand.error * Math.min(1, ml / 10), LEAST_ML / 2);
    liquid = solutionIn(bench.sample, from - 1, really);
    tempC = bench.sample.roomC;
    now = { ...now, given: mix(now.given, liquid), goneJ: now.goneJ - enthalpyJ(liquid, tempC, tempC) };
  } else {
    const held = bench.vessels[from].liquid.volumeMl;
    const taken = takenFrom(now, from, comes / held);
    ({ liquid, tempC } = taken);
    now = taken.bench;
    const { roomC } = bench.sample;
    const lostK = isLossy(bench, 'pouring') ? POURED_LOSES * (tempC - roomC) : 0;
    now = { ...now, goneJ: now.goneJ + lostK * liquidJPerK(liquid, roomC) };
    tempC -= lostK;
  }
  if (typeof from === 'number' && to === 'cup')
    now = {
      ...now,
      pours: now.pours + 1,
      measuredMl: added(now.measuredMl, from - 1, liquid.volumeMl),
      nominalMl: added(now.nominalMl, from - 1, ml),
    };
  now = advance(now, TAKES_S.pour / 2);
  if (there > 0 && to === 'cup' && !usesFuel(bench.plan)) now = combined(now);
  return done(advance(warmed(poured(now, to, liquid, tempC)), TAKES_S.pour / 2));
}

export function lid(
  bench: Bench,
  { vessel: key, on }: { vessel: (typeof VESSELS)[number]; on: boolean },
): Outcome<Bench> {
  if (!has(bench, key)) return refuse(NO_BEAKER);
  const { lid: word } = heatVesselOf(bench.vessels[key].type);
  if (bench.vessels[key].lid === on)
    return refuse(on ? `Its ${word} is on already.` : `It stands there without its ${word}.`);
  return done(withVessel(bench, key, { lid: on }));
}

export function stir(
  bench: Bench,
  { vessel: key, how }: { vessel: (typeof VESSELS)[number]; how: (typeof STIRS)[number] },
): Outcome<Bench> {
  if (!has(bench, key)) return refuse(NO_BEAKER);
  const nothing = bench.vessels[key].liquid.volumeMl === 0 && how !== 'off';
  return done(withVessel(bench, key, { stir: how }), nothing ? 'There is nothing in it to be stirred yet.' : undefined);
}

/** The beaker in the hot bath, or beside it. */
export function seat(bench: Bench, { at }: { at: 'bench' | 'bath' }): Outcome<Bench> {
  if (!bench.plan.beaker) return refuse(NO_BEAKER);
  if (!bench.plan.bath) return refuse('There is no hot bath at this bench.');
  if (bench.vessels.beaker.at === at) return refuse('The beaker stands there already.');
  const off = bench.pan.on === 'beaker' ? { ...bench.pan, on: null } : bench.pan;
  return done(advance({ ...withVessel(bench, 'beaker', { at }), pan: off }, TAKES_S.carry));
}

const COLD_C = [-30, 60] as const;

export function warm(
  bench: Bench,
  { what, tempC }: { what: 'bath' | 'block' | 'cold'; tempC: number },
): Outcome<Bench> {
  if (what === 'cold') {
    if (!bench.tube) return refuse('There is no cold bath at this bench.');
    if (!isAmount(tempC, ...COLD_C))
      return refuse(`The cold bath can be set from \u2212${-COLD_C[0]} to ${COLD_C[1]} °C.`);
    return done({ ...bench, cold: { ...bench.cold, setC: tempC } });
  }
  if (!bench.plan[what])
    return refuse(what === 'bath' ? 'There is no hot bath at this bench.' : 'There is no dry block at this bench.');
  const most = what === 'bath' ? 100 : 150;
  if (!isAmount(tempC, 15, most))
    return refuse(`The ${what === 'bath' ? 'hot bath' : 'dry block'} can be set from 15 to ${most} °C.`);
  const { boilsC } = bench.sample;
  const boils = what === 'bath' && tempC >= boilsC;
  return done(
    { ...bench, [what]: { ...bench[what], setC: tempC } },
    boils ? 'It can get no hotter than water boils today.' : undefined,
  );
}
