import { recordShown } from '../../recording-acts';
import { changedLoad, displayed, isUnsettled, type Weighed } from '../../../instruments/weighing';
import type { Outcome } from '../../contract';
import { recordedEarly, showsNoMass, tared } from '../../on-balance';
import { done, refuse } from '../../hands';
import { aboutNow } from '../about';
import { NO_BEAKER } from '../act-parts';
import { withPiece, type Bench } from '../bench';
import type { OnPan } from '../bodies';
import { withLamp } from '../burning/lamp-acts';
import { piecesG, vesselG } from '../matter';
import { type MASS_SLOTS, hasBalance, SLOTS } from '../plan';
import { portionOf, trialNow } from './trials';
import { filledG, soluteGIn } from '../freezing/tube';
import { warmed } from '../mixing/warmed';

/** Acts at the balance. */

/** What the air that rises from something warm takes off its weight, g for each kelvin over the room. */
const LIFT_G_PER_K = 2.5e-4;

/** How much warmer than the room what stands on the pan is, K. */
function warmerK({ pan, vessels, pieces, sample, tube }: Bench): number {
  const tempC =
    pan.on === 'cup' || pan.on === 'beaker'
      ? vessels[pan.on].wallC
      : pan.on === 'piece'
        ? (pieces[pan.piece - 1]?.tempC ?? sample.roomC)
        : pan.on === 'tube'
          ? (tube?.tempC ?? sample.roomC)
          : sample.roomC;
  return tempC - sample.roomC;
}

/** What rests on the pan, g, as the balance feels it. */
function loadOf(bench: Bench): number {
  const { pan, off } = bench;
  if (pan.on === null) return 0;
  const lift = off.includes('warm') ? 0 : LIFT_G_PER_K * Math.max(warmerK(bench), 0);
  return gramsOn(bench, pan.on) - lift;
}

function gramsOn(bench: Bench, on: OnPan): number {
  const { pan, vessels, boat, lamps, pellet, tube } = bench;
  switch (on) {
    case 'cup':
      return vesselG(bench, vessels.cup, true);
    case 'beaker':
      return vesselG(bench, vessels.beaker, false);
    case 'boat':
      return boat.massG + boat.saltG + boat.clingsG;
    case 'piece':
      return piecesG(bench, 'pan');
    case 'pellet':
      return pellet?.g ?? 0;
    case 'tube':
      return tube ? tube.massG + filledG(tube) + soluteGIn(bench, tube) : 0;
    case 'lamp': {
      const lamp = lamps[pan.piece - 1];
      return lamp ? lamp.bodyG + lamp.fuelG : 0;
    }
  }
}

export function weighedOn(bench: Bench): Weighed {
  const { balance, pan, timeS, seed, off } = bench;
  return {
    balance,
    pan,
    loadG: loadOf(bench),
    timeS,
    seed,
    exact: off.includes('balance'),
    atOnce: off.includes('settling'),
  };
}

/** A bench whose load has changed goes on from what showed. @param placed whether something was put on or taken off */
export function weighedAnew(before: Bench, after: Bench, placed: boolean): Bench {
  const then = loadOf(before);
  if (!placed || loadOf(after) === then) return after;
  const weighings = after.pan.weighings + 1;
  return { ...after, pan: { ...after.pan, ...changedLoad(before.pan, then, after.timeS), weighings } };
}

const isUnsteady = ({ pan, timeS }: Bench) => isUnsettled(pan, timeS);

export function weigh(
  bench: Bench,
  { what, piece: number }: { what: 'cup' | 'beaker' | 'boat' | 'piece' | 'pellet' | 'lamp' | 'tube'; piece: number },
): Outcome<Bench> {
  const { pan } = bench;
  if (!hasBalance(bench.plan)) return refuse('There is no balance at this bench.');
  if (pan.on !== null)
    return pan.on === what && ((what !== 'piece' && what !== 'lamp') || pan.piece === number)
      ? refuse('It stands on the balance already.')
      : refuse('Something is on the balance. Take it off first.');
  if (what === 'beaker' && !bench.plan.beaker) return refuse(NO_BEAKER);
  if (what === 'beaker' && bench.vessels.beaker.at === 'bath')
    return refuse('The beaker stands in the bath. Take it out first.');
  if (what === 'boat' && !bench.plan.salt) return refuse('There is no weighing boat at this bench.');
  const on = { ...bench, pan: { ...pan, on: what, piece: what === 'piece' || what === 'lamp' ? number : 0 } };
  if (what === 'lamp') return lampOn(on, number - 1);
  if (what === 'tube') {
    if (!bench.tube) return refuse('There is no test tube at this bench.');
    if (bench.tube.at !== 'stand') return refuse('The tube is in a bath. Take it out first.');
    return done({ ...on, tube: { ...bench.tube, at: 'pan' as const } });
  }
  if (what === 'pellet') {
    if (!bench.pellet) return refuse('There is no pellet yet. Press one first.');
    if (bench.pellet.at === 'vessel') return refuse('It lies in the vessel. Take it out first.');
    return done({ ...on, pellet: { ...bench.pellet, at: 'pan' as const } });
  }
  if (what !== 'piece') return done(on);
  const piece = bench.pieces[number - 1];
  if (!piece) return refuse('There is no such piece at this bench.');
  if (piece.at !== 'dish') return refuse('It is taken to the balance from its dish. Lay it there first.');
  return done(withPiece(on, number - 1, { at: 'pan' }), piece.filmG > 0 ? 'It is wet.' : undefined);
}

function lampOn(bench: Bench, n: number): Outcome<Bench> {
  const lamp = bench.lamps[n];
  if (!lamp) return refuse('There is no such lamp at this bench.');
  const note =
    lamp.state === 'lit'
      ? 'It burns on the balance, and grows lighter.'
      : lamp.state === 'open'
        ? 'Its cap is off: what dries off its wick is missing.'
        : undefined;
  return done(withLamp(bench, n, { at: 'pan' }), note);
}

export function offPan(bench: Bench): Outcome<Bench> {
  const { on, piece } = bench.pan;
  if (on === null) return refuse('Nothing is on the balance.');
  const now = { ...bench, pan: { ...bench.pan, on: null } };
  if (on === 'piece') return done(withPiece(now, piece - 1, { at: 'dish' }));
  if (on === 'lamp') return done(withLamp(now, piece - 1, { at: 'mat' }));
  if (on === 'tube' && bench.tube) return done({ ...now, tube: { ...bench.tube, at: 'stand' } });
  if (on === 'pellet' && bench.pellet) return done({ ...now, pellet: { ...bench.pellet, at: 'dish' } });
  return done(warmed(now));
}

export const tare = (bench: Bench): Outcome<Bench> => tared(bench, weighedOn(bench), isUnsteady(bench));

export function recordMass(
  bench: Bench,
  { trial, which }: { trial: number; which: (typeof MASS_SLOTS)[number] },
): Outcome<Bench> {
  if (!bench.plan.slots.includes(which)) return refuse(`The ${SLOTS[which].label} is not read here.`);
  const weighed = weighedOn(bench);
  const refusal = showsNoMass(weighed);
  if (refusal) return refusal;
  const shown = loadOf(bench) - bench.pan.tareG;
  return recordShown(
    bench,
    { trial, which },
    { last: trialNow(bench, which), text: displayed(weighed), shown, note: recordedEarly(isUnsteady(bench)) },
    { instrument: 'balance', cup: portionOf(bench, which), about: aboutNow(bench) },
  );
}
