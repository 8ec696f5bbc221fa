import { recordShown } from '../recording-acts';
import { done, refuse } from '../hands';
import { recordedEarly, showsNoMass, tared } from '../on-balance';
import { displayed } from '../../instruments/weighing';
import { counted } from '../../analysis/quantity';
import { EMPTY, mix, drawOff } from '../../chemistry/solution';
import type { Outcome } from '../contract';
import { find, nameOf, TAKES_S } from './act-parts';
import { aboutPan, taredNow } from './about';
import { atHand, weighedOn, isSettling, lotIn, piecesAt, loadOf, type Bench } from './bench';
import { advance } from './flow';
import type { MASS_SLOTS } from './plan';
import { SLOTS } from './plan';

/** Acts at the balance. */

const NO_BALANCE = 'There is no balance at this bench.';

const isBusy = (bench: Bench) => bench.pan.vessel !== null || piecesAt(bench, 'pan').length > 0;

export function weigh(bench: Bench, { vessel: number }: { vessel: number }): Outcome<Bench> {
  if (!bench.balance) return refuse(NO_BALANCE);
  const vessel = find(bench, number);
  if ('refusal' in vessel) return vessel;
  if (bench.pan.vessel === number) return refuse('It stands on the balance already.');
  if (isBusy(bench)) return refuse('Something is on the balance. Take it off first.');
  if (vessel.tilt || vessel.tap !== 'off') return refuse('It is being poured from or filled. Stop that first.');
  return done({ ...bench, pan: { ...bench.pan, vessel: number } });
}

export function weighPieces(bench: Bench, act: { lot: number; count: number }): Outcome<Bench> {
  if (!bench.balance) return refuse(NO_BALANCE);
  const lot = act.lot - 1;
  const all = bench.pieces[lot];
  if (!all || lot >= bench.sample.lots.length) return refuse('There is no such thing on the dishes.');
  if (bench.pan.vessel !== null) return refuse('A vessel is on the balance. Take it off first.');
  if (piecesAt(bench, 'pan').some((entry) => entry.lot !== lot))
    return refuse('Pieces of another kind are on the balance. Take them off first.');
  const there = all.filter((piece) => piece.at === 'dish').length;
  if (!(Number.isInteger(act.count) && act.count >= 1)) return refuse('Say how many pieces, in whole numbers.');
  if (there === 0)
    return refuse(`Nothing of ${nameOf(bench, lot)} is left on its dish. Take it back from where it is first.`);
  if (act.count > there)
    return refuse(`On the dish of ${nameOf(bench, lot)} only ${counted(there, 'piece is', 'pieces are')} left.`);
  const chosen = new Set(atHand(all, ['dish']).slice(0, act.count));
  const weighed = bench.pan.weighings + 1;
  let { wet } = bench.pan;
  const pieces = all.map((piece) => {
    if (piece.at === 'pan') return { ...piece, weighed };
    if (!chosen.has(piece)) return piece;
    // A third of what clings drips on the pan, and stays there when the piece is gone.
    const { taken, left: clings } = drawOff(piece.film, piece.film.volumeMl / 3);
    wet = mix(wet, taken);
    return { ...piece, at: 'pan' as const, film: clings, weighed };
  });
  const placed = {
    ...bench,
    pieces: bench.pieces.map((one, i) => (i === lot ? pieces : one)),
    pan: { ...bench.pan, wet },
  };
  const dripped = wet.volumeMl > bench.pan.wet.volumeMl + 1e-9;
  return done(placed, dripped ? 'It is wet, and drips on the pan.' : undefined);
}

export function offPan(bench: Bench): Outcome<Bench> {
  if (!bench.balance) return refuse(NO_BALANCE);
  if (!isBusy(bench)) return refuse('Nothing is on the balance.');
  const pieces = bench.pieces.map((all) =>
    all.map((piece) => (piece.at === 'pan' ? { ...piece, at: 'dish' as const } : piece)),
  );
  return done({ ...bench, pieces, pan: { ...bench.pan, vessel: null } });
}

export function tare(bench: Bench): Outcome<Bench> {
  if (!bench.balance) return refuse(NO_BALANCE);
  const outcome = tared(bench, weighedOn(bench), isSettling(bench));
  if ('refusal' in outcome) return outcome;
  const { pan } = outcome.bench;
  return { ...outcome, bench: { ...outcome.bench, pan: { ...pan, tared: taredNow(bench, loadOf(bench)) } } };
}

export function wipePan(bench: Bench): Outcome<Bench> {
  if (!bench.balance) return refuse(NO_BALANCE);
  const waste = mix(bench.waste, bench.pan.wet);
  return done(advance({ ...bench, waste, pan: { ...bench.pan, wet: EMPTY } }, TAKES_S.weigh));
}

/** The unknown that is being weighed. */
function lotOnPan(bench: Bench): number | null {
  const lying = piecesAt(bench, 'pan')[0];
  if (lying) return lying.lot;
  return bench.pan.vessel === null ? null : lotIn(bench, bench.pan.vessel);
}

/** What lies on the pan beyond the tare, g. */
export const shownMassG = (bench: Bench): number => loadOf(bench) - bench.pan.tareG;

export function recordMass(bench: Bench, act: { trial: number; which: (typeof MASS_SLOTS)[number] }): Outcome<Bench> {
  const { trial, which } = act;
  if (!bench.balance) return refuse(NO_BALANCE);
  if (!bench.plan.slots.includes(which)) return refuse(`A ${SLOTS[which].label} is not read here.`);
  const refusal = showsNoMass(weighedOn(bench), 'Take a lighter vessel or less.');
  if (refusal) return refusal;
  const [text, note] = [displayed(weighedOn(bench)), recordedEarly(isSettling(bench))];
  return recordShown(
    bench,
    { trial, which },
    { last: bench.trial + 1, text, shown: shownMassG(bench), note },
    {
      instrument: SLOTS[which].instrument,
      parallax: 0,
      lot: lotOnPan(bench),
      about: aboutPan(bench),
      tared: bench.pan.tared,
    },
  );
}
