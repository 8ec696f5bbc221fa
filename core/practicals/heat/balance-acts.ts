import { changedLoad, displayed, isOverloaded, isUnsettled, untaredG, type Weighed } from '../../instruments/weighing';
import type { Outcome } from '../contract';
import { done, refuse } from '../hands';
import { shownReading, withRecorded } from '../recordings';
import { aboutNow } from './about';
import { NO_BEAKER, type Of } from './act-parts';
import { withPiece, type Bench } from './bench';
import { piecesG, vesselG } from './matter';
import { hasBalance, SLOTS } from './plan';
import { portionNow, trialNow } from './trials';

/** Acts at the balance. */

/** What the air that rises from something warm takes off its weight, g for each kelvin over the room. */
const LIFT_G_PER_K = 2.5e-4;

/** How much warmer than the room what stands on the pan is, K. */
function warmerK({ pan, vessels, pieces, sample }: Bench): number {
  const tempC =
    pan.on === 'cup' || pan.on === 'beaker'
      ? vessels[pan.on].wallC
      : pan.on === 'piece'
        ? (pieces[pan.piece - 1]?.tempC ?? sample.roomC)
        : sample.roomC;
  return tempC - sample.roomC;
}

/** What rests on the pan, g, as the balance feels it. */
export function loadOf(bench: Bench): number {
  const { pan, vessels, boat, off } = bench;
  if (pan.on === null) return 0;
  const lift = off.includes('warm') ? 0 : LIFT_G_PER_K * Math.max(warmerK(bench), 0);
  const grams =
    pan.on === 'cup'
      ? vesselG(bench, vessels.cup, true)
      : pan.on === 'beaker'
        ? vesselG(bench, vessels.beaker, false)
        : pan.on === 'boat'
          ? boat.massG + boat.saltG + boat.clingsG
          : piecesG(bench, 'pan');
  return grams - lift;
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

export function weigh(bench: Bench, { what, piece: number }: Of<'weigh'>): Outcome<Bench> {
  const { pan } = bench;
  if (!hasBalance(bench.plan)) return refuse('There is no balance at this bench.');
  if (pan.on !== null)
    return pan.on === what && (what !== 'piece' || pan.piece === number)
      ? refuse('It stands on the balance already.')
      : refuse('Something is on the balance. Take it off first.');
  if (what === 'beaker' && !bench.plan.beaker) return refuse(NO_BEAKER);
  if (what === 'beaker' && bench.vessels.beaker.at === 'bath')
    return refuse('The beaker stands in the bath. Take it out first.');
  if (what === 'boat' && !bench.plan.salt) return refuse('There is no weighing boat at this bench.');
  const on = { ...bench, pan: { ...pan, on: what, piece: what === 'piece' ? number : 0 } };
  if (what !== 'piece') return done(on);
  const piece = bench.pieces[number - 1];
  if (!piece) return refuse('There is no such piece at this bench.');
  if (piece.at !== 'dish') return refuse('It is taken to the balance from its dish. Lay it there first.');
  return done(withPiece(on, number - 1, { at: 'pan' }), piece.filmG > 0 ? 'It is wet.' : undefined);
}

export function offPan(bench: Bench): Outcome<Bench> {
  const { on, piece } = bench.pan;
  if (on === null) return refuse('Nothing is on the balance.');
  const now = { ...bench, pan: { ...bench.pan, on: null } };
  return done(on === 'piece' ? withPiece(now, piece - 1, { at: 'dish' }) : now);
}

export function tare(bench: Bench): Outcome<Bench> {
  const weighed = weighedOn(bench);
  if (isOverloaded(weighed)) return refuse('The balance is overloaded and cannot be set to zero. Take something off.');
  const note = isUnsteady(bench) ? 'The display had not come to rest.' : undefined;
  return done({ ...bench, pan: { ...bench.pan, tareG: untaredG(weighed) } }, note);
}

export function recordMass(bench: Bench, { trial, which }: Of<'recordMass'>): Outcome<Bench> {
  if (!bench.plan.slots.includes(which)) return refuse(`The ${SLOTS[which].label} is not read here.`);
  const last = trialNow(bench);
  if (trial > last) return refuse(`Trial ${last} comes before trial ${trial}.`);
  const weighed = weighedOn(bench);
  if (isOverloaded(weighed)) return refuse('The balance is overloaded: it shows no mass. Take less.');
  const shown = loadOf(bench) - bench.pan.tareG;
  const entry = {
    ...shownReading(bench, { trial, which }, displayed(weighed), shown),
    instrument: 'balance',
    cup: portionNow(bench),
    about: aboutNow(bench),
  };
  const note = isUnsteady(bench) ? 'The display had not come to rest when this was recorded.' : undefined;
  return done(withRecorded(bench, entry), note);
}
