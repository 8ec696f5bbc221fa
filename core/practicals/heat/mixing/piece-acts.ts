import { mix } from '../../../chemistry/solution';
import { heatVesselOf } from '../../../databook/heat-vessels';
import type { Outcome } from '../../contract';
import { done, refuse } from '../../hands';
import { combined, nameOf, poured, TAKES_S, waterOf, wiped } from '../act-parts';
import type { PIECE_PLACES, Piece } from '../bodies';
import { withPiece, withVessel, type Bench } from '../bench';
import { advance } from '../going-on/flow';
import { areaOfPiece, enthalpyJ, filmJPerK, metalJPerK, volumeOfPiece } from '../matter';

/** What is done with pieces of metal, always with the tongs: they may be hot. */

/** Water that clings to a square centimetre of metal, g. */
const CLINGS_G_PER_CM2 = 0.009;

const WHERE: Record<Piece['at'], string> = {
  dish: 'on its dish',
  tongs: 'in the tongs',
  bath: 'in the hot bath',
  block: 'in the dry block',
  cup: 'in the cup',
  pan: 'on the balance',
};

const pieceOf = (bench: Bench, index: number) => bench.pieces[index] as Piece;

/** A piece as hot as what it lay in, whether it had the time for it or not: where nobody takes one out too soon. */
function asHotAs(bench: Bench, index: number, tempC: number): Bench {
  if (!bench.off.includes('cold')) return bench;
  const piece = pieceOf(bench, index);
  const joules = (tempC - piece.tempC) * metalJPerK(bench, index);
  return { ...withPiece(bench, index, { tempC }), goneJ: bench.goneJ - joules };
}

/** Out of the bath, with water of the bath on it. */
function outOfBath(bench: Bench, index: number): Bench {
  const now = asHotAs(bench, index, bench.bath.tempC);
  // Where nothing is lost, nothing is carried along either.
  if (bench.off.includes('carried') || !bench.plan.losses) return now;
  const { roomC } = bench.sample;
  const filmG = CLINGS_G_PER_CM2 * areaOfPiece(bench, index);
  const film = waterOf(filmG, roomC);
  const goneJ = now.goneJ - enthalpyJ(film, pieceOf(now, index).tempC, roomC);
  return { ...withPiece(now, index, { filmG }), given: mix(now.given, film), goneJ };
}

/** Out of the liquid in the cup, with some of it, where that is water and nothing else. */
function outOfCup(bench: Bench, index: number): Bench {
  const { cup } = bench.vessels;
  const filmG = CLINGS_G_PER_CM2 * areaOfPiece(bench, index);
  const { volumeMl } = waterOf(filmG, bench.sample.roomC);
  const isWater = !cup.liquid.others && Object.keys(cup.liquid.amounts).length === 0;
  if (!isWater || cup.liquid.volumeMl < 2 * volumeMl) return bench;
  const piece = pieceOf(bench, index);
  const metal = metalJPerK(bench, index);
  const film = filmJPerK({ ...piece, filmG });
  const tempC = (metal * piece.tempC + film * cup.liquidC) / (metal + film);
  const liquid = { ...cup.liquid, volumeMl: cup.liquid.volumeMl - volumeMl };
  return withPiece(withVessel(bench, 'cup', { liquid }), index, { filmG, tempC });
}

/** Out of where it is, into the tongs. */
function lifted(bench: Bench, index: number): Bench {
  const { at } = pieceOf(bench, index);
  const now =
    at === 'bath'
      ? outOfBath(bench, index)
      : at === 'block'
        ? asHotAs(bench, index, bench.block.tempC)
        : at === 'cup'
          ? outOfCup(bench, index)
          : at === 'pan'
            ? { ...bench, pan: { ...bench.pan, on: null } }
            : bench;
  return withPiece(now, index, { at: 'tongs' });
}

/** Let go of where it is to be. */
function landed(bench: Bench, index: number, to: { piece: number; to: (typeof PIECE_PLACES)[number] }['to']): Bench {
  const piece = pieceOf(bench, index);
  const now = withPiece(bench, index, { at: to });
  const { roomC } = bench.sample;
  if (to === 'bath') {
    // Its film is water of the bath again.
    const film = waterOf(piece.filmG, roomC);
    const goneJ = now.goneJ + enthalpyJ(film, piece.tempC, roomC);
    return { ...withPiece(now, index, { filmG: 0 }), waste: mix(now.waste, film), goneJ };
  }
  if (to !== 'cup') return now;
  const wet = poured(withPiece(now, index, { filmG: 0 }), 'cup', waterOf(piece.filmG, roomC), piece.tempC);
  return bench.vessels.cup.liquid.volumeMl > 0 ? combined(wet) : wet;
}

export function put(
  bench: Bench,
  { piece: number, to }: { piece: number; to: (typeof PIECE_PLACES)[number] },
): Outcome<Bench> {
  const index = number - 1;
  const piece = bench.pieces[index];
  if (!piece) return refuse('There is no such piece at this bench.');
  if (piece.at === to) return refuse(`It is ${WHERE[to]} already.`);
  if ((to === 'bath' || to === 'block') && !bench.plan[to])
    return refuse(to === 'bath' ? 'There is no hot bath at this bench.' : 'There is no dry block at this bench.');
  const { cup } = bench.vessels;
  const { brimMl } = heatVesselOf(cup.type);
  if (to === 'cup' && cup.liquid.volumeMl + volumeOfPiece(bench, index) > brimMl)
    return refuse(`The ${nameOf(bench, 'cup')} would run over. Pour some of the liquid away first.`);
  const held = piece.at === 'tongs' ? bench : lifted(bench, index);
  const there = advance(held, TAKES_S.carry);
  const note =
    to === 'cup' && cup.liquid.volumeMl === 0 ? 'There is nothing in the cup that could take up its heat.' : undefined;
  return done(to === 'tongs' ? there : landed(there, index, to), note);
}

/** Wiped dry with a cloth. */
export function dry(bench: Bench, { piece: number }: { piece: number }): Outcome<Bench> {
  const piece = bench.pieces[number - 1];
  if (!piece) return refuse('There is no such piece at this bench.');
  if (piece.at === 'cup' || piece.at === 'bath') return refuse(`It lies ${WHERE[piece.at]}. Take it out first.`);
  if (piece.filmG === 0) return refuse('The piece is dry already.');
  return done(advance(wiped(bench, number - 1), TAKES_S.fish));
}
