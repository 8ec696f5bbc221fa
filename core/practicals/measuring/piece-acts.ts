import { done, handChance, handError, refuse } from '../hands';
import { counted } from '../../analysis/quantity';
import { floats } from '../../physics/immersion';
import { EMPTY, mix, type Solution, drawOff } from '../../chemistry/solution';
import { densityOf } from '../../physics/liquid';
import type { TOOLS } from '../../instruments/length';
import { PLACING_MM } from '../../instruments/length';
import type { Outcome } from '../contract';
import { find, nameOf, TAKES_S } from './act-parts';
import { atHand, bodyOf, entryOf, isSinker, piecesAt, withVessel, type Bench, type Piece, type Vessel } from './bench';
import { advance, overflow } from './flow';
import { wetPieces } from './vessel-acts';
import type { ALONG } from './edges';
import { EDGES, edgeOf } from './edges';

/** Acts on the solids: into a vessel and out of it, dried, held in a tool. */

const lotAt = (bench: Bench, number: number): readonly Piece[] | undefined =>
  number >= 1 && number <= bench.sample.lots.length ? bench.pieces[number - 1] : undefined;
const noLot = (bench: Bench) =>
  bench.sample.lots.length === 0 ? 'There are no solids at this bench.' : 'There is no such thing on the dishes.';

/** Moves so many pieces of a lot: those on the pan first, then those of the dish, the last weighed first. */
function moved(bench: Bench, lot: number, count: number, change: (piece: Piece) => Piece): Bench {
  const chosen = new Set(atHand(bench.pieces[lot] ?? []).slice(0, count));
  const pieces = bench.pieces.map((all, i) =>
    i !== lot ? all : all.map((piece) => (chosen.has(piece) ? change(piece) : piece)),
  );
  return { ...bench, pieces };
}

/** How wide a piece is as it goes through a mouth, mm. */
function widthOf(bench: Bench, lot: number): number {
  const { shape, volumesMl } = bench.sample.lots[lot] as Bench['sample']['lots'][number];
  if (shape.kind === 'block') return [shape.length, shape.width, shape.height].sort((a, b) => a - b)[1] as number;
  if (shape.kind === 'cylinder' || shape.kind === 'sphere') return shape.diameter;
  return 1.1 * Math.cbrt((6000 * Math.max(...volumesMl)) / Math.PI);
}

/** Air that pieces take down with them, as a part of their volume. */
const AIR = { lumps: 0, 'small pieces': 0.012, grains: 0.05 };
/** What splashes out when something is dropped in, mL. */
const SPLASH = { least: 0.04, more: 0.14 };

export function put(
  bench: Bench,
  act: { lot: number; count: number; into: number; how: 'lower' | 'drop' | 'tied' },
): Outcome<Bench> {
  const lot = act.lot - 1;
  const pieces = lotAt(bench, act.lot);
  if (!pieces) return refuse(noLot(bench));
  const vessel = find(bench, act.into);
  if ('refusal' in vessel) return vessel;
  if (vessel.type === 'supply' || vessel.stoppered)
    return refuse('Pieces do not go into a bottle, nor past a stopper. Choose an open vessel.');
  const name = nameOf(bench, lot);
  const there = atHand(pieces);
  if (there.length === 0) return refuse(`Nothing of ${name} is left on its dish. Take it back from where it is first.`);
  if (!(Number.isInteger(act.count) && act.count >= 1)) return refuse('Say how many pieces, in whole numbers.');
  if (act.count > there.length)
    return refuse(`On the dish of ${name} only ${counted(there.length, 'piece is', 'pieces are')} left.`);
  if (widthOf(bench, lot) > entryOf(vessel).innerDiameterMm - 1)
    return refuse(`${name} does not fit into the ${entryOf(vessel).name}. Take a wider one.`);
  const hasSinker = piecesAt(bench, act.into).some((entry) => isSinker(bench, entry.lot));
  if (act.how === 'tied' && !hasSinker)
    return refuse('There is no sinker in it. Lower the sinker first, then tie the piece to it.');
  let after = moved(bench, lot, act.count, (piece) => ({ ...piece, at: act.into, tied: act.how === 'tied' }));
  const films = there.slice(0, act.count).map((piece) => piece.film);
  after = {
    ...after,
    pieces: after.pieces.map((all) => all.map((piece) => (piece.at === act.into ? { ...piece, film: EMPTY } : piece))),
  };
  after = withFilms(after, act.into, films);
  const { source, bench: drawnBench } = handChance(after);
  const [air, splash] = [source.uniform(), source.uniform()];
  after = withAir(drawnBench, lot, act, air);
  const liquidMl = vessel.liquid.volumeMl;
  const splashes = act.how === 'drop' && liquidMl > 2 && !bench.off.includes('splash');
  if (splashes) after = splashed(after, act.into, SPLASH.least + SPLASH.more * splash);
  const full = overflow(after, act.into);
  const floating = liquidMl > 0 && act.how !== 'tied' && floatsIn(full, act.into, lot);
  const notes = [
    splashes && 'It splashed: a few drops are gone.',
    full.spiltMl > after.spiltMl && 'It ran over.',
    floating && `${name} floats: only a part of it is under water.`,
  ].filter((note) => note !== false);
  return done(advance(full, TAKES_S.put), notes.join(' ') || undefined);
}

/** What clings to wet pieces comes into the vessel with them. */
function withFilms(bench: Bench, number: number, films: readonly Solution[]): Bench {
  const { liquid, lostMl } = bench.vessels[number - 1] as Vessel;
  const brought = films.reduce((sum, film) => sum + film.volumeMl, 0);
  return withVessel(bench, number, { liquid: films.reduce(mix, liquid), lostMl: lostMl - brought });
}

function floatsIn(bench: Bench, number: number, lot: number): boolean {
  const { liquid } = bench.vessels[number - 1] as Vessel;
  return floats(bodyOf(bench, lot, 0, false), densityOf(liquid, bench.sample.tempC));
}

/** Air goes down with what is dropped in, half as much with what is lowered. */
function withAir(
  bench: Bench,
  lot: number,
  act: { lot: number; count: number; into: number; how: 'lower' | 'drop' | 'tied' },
  chanceOfIt: number,
): Bench {
  const { shape, volumesMl } = bench.sample.lots[lot] as Bench['sample']['lots'][number];
  const part = shape.kind in AIR ? AIR[shape.kind as keyof typeof AIR] : 0;
  const vessel = bench.vessels[act.into - 1] as Vessel;
  if (part === 0 || bench.off.includes('air') || vessel.liquid.volumeMl === 0) return bench;
  const meanMl = volumesMl.reduce((a, b) => a + b, 0) / volumesMl.length;
  const caught = meanMl * act.count * part * (0.5 + chanceOfIt) * (act.how === 'drop' ? 1 : 0.5);
  return withVessel(bench, act.into, { airMl: vessel.airMl + caught });
}

function splashed(bench: Bench, number: number, ml: number): Bench {
  const vessel = bench.vessels[number - 1] as Vessel;
  const { taken, left } = drawOff(vessel.liquid, ml);
  const waste = mix(bench.waste, taken);
  return {
    ...withVessel({ ...bench, waste }, number, { liquid: left, lostMl: vessel.lostMl + taken.volumeMl }),
    spiltMl: bench.spiltMl + taken.volumeMl,
    spiltAt: number,
  };
}

/** A knock with a finger lets most of the air rise. */
export function knock(bench: Bench, { vessel: number }: { vessel: number }): Outcome<Bench> {
  const vessel = find(bench, number);
  if ('refusal' in vessel) return vessel;
  if (vessel.airMl === 0) return done(advance(bench, 1), 'No bubbles rise.');
  const airMl = vessel.airMl * 0.12;
  return done(advance(withVessel(bench, number, { airMl: airMl < 0.004 ? 0 : airMl }), 1), 'Bubbles rise.');
}

export function sinker(bench: Bench, { vessel: number, on }: { vessel: number; on: boolean }): Outcome<Bench> {
  const lot = bench.sample.lots.length;
  const piece = bench.pieces[lot]?.[0];
  if (!bench.plan.sinker || !piece) return refuse('There is no sinker on the tray today.');
  const vessel = find(bench, number);
  if ('refusal' in vessel) return vessel;
  if (vessel.type === 'supply' || vessel.stoppered)
    return refuse('The sinker does not go into a bottle, nor past a stopper. Choose an open vessel.');
  if (entryOf(vessel).innerDiameterMm < 15) return refuse('The sinker does not fit into this one. Take a wider one.');
  if (on && piece.at === number) return refuse('The sinker is in it already.');
  if (!on && piece.at !== number) return refuse('The sinker is not in it.');
  const wet = typeof piece.at === 'number' ? wetPieces(bench, piece.at) : bench;
  const from = piece.at;
  const now = wet.pieces[lot]?.[0] as Piece;
  const placed: Piece = on ? { ...now, at: number, tied: false, film: EMPTY } : { ...now, at: 'dish', tied: false };
  const pieces = wet.pieces.map((all, i) =>
    i === lot ? [placed] : all.map((other) => (other.at === from ? { ...other, tied: false } : other)),
  );
  const lowered = on ? withFilms({ ...wet, pieces }, number, [now.film]) : { ...wet, pieces };
  return done(advance(overflow(lowered, number), TAKES_S.put));
}

/** Ties all that floats in a vessel to the sinker that lies in it. */
export function tie(bench: Bench, { vessel: number }: { vessel: number }): Outcome<Bench> {
  const vessel = find(bench, number);
  if ('refusal' in vessel) return vessel;
  const there = piecesAt(bench, number);
  if (!there.some(({ lot }) => isSinker(bench, lot)))
    return refuse('There is no sinker in it. Lower the sinker first, then tie what floats to it.');
  const density = densityOf(vessel.liquid, bench.sample.tempC);
  const isFloating = (lot: number, index: number, piece: Piece) =>
    piece.at === number && !isSinker(bench, lot) && floats(bodyOf(bench, lot, index, piece.tied), density);
  if (!there.some(({ lot, index, piece }) => isFloating(lot, index, piece)))
    return refuse('Nothing floats in it that would have to be tied.');
  const pieces = bench.pieces.map((all, lot) =>
    all.map((piece, index) => (isFloating(lot, index, piece) ? { ...piece, tied: true } : piece)),
  );
  return done(
    advance(overflow({ ...bench, pieces }, number), TAKES_S.put),
    'It is under water now, tied to the sinker.',
  );
}

/** Takes out all that lies in a vessel; it comes out wet. */
export function fish(bench: Bench, { vessel: number }: { vessel: number }): Outcome<Bench> {
  const vessel = find(bench, number);
  if ('refusal' in vessel) return vessel;
  if (piecesAt(bench, number).length === 0) return refuse('Nothing lies in it that could be taken out.');
  const wet = wetPieces(bench, number);
  const pieces = wet.pieces.map((all) =>
    all.map((piece) => (piece.at === number ? { ...piece, at: 'dish' as const, tied: false } : piece)),
  );
  const out = withVessel({ ...wet, pieces }, number, { airMl: 0 });
  return done(advance(out, TAKES_S.fish), vessel.liquid.volumeMl > 0 ? 'It is wet now, and drips.' : undefined);
}

export function dryPieces(bench: Bench, act: { lot: number }): Outcome<Bench> {
  const all = lotAt(bench, act.lot);
  if (!all) return refuse(noLot(bench));
  const gone = all.filter((piece) => piece.at === 'dish').map((piece) => piece.film);
  const pieces = bench.pieces.map((lot, i) =>
    i === act.lot - 1 ? lot.map((piece) => (piece.at === 'dish' ? { ...piece, film: EMPTY } : piece)) : lot,
  );
  return done(advance({ ...bench, pieces, waste: gone.reduce(mix, bench.waste) }, TAKES_S.dry));
}

/** A piece between the jaws, or laid along the ruler. */
export function measure(
  bench: Bench,
  act: { lot: number; tool: (typeof TOOLS)[number]; along: (typeof ALONG)[number] },
): Outcome<Bench> {
  const lot = bench.sample.lots[act.lot - 1];
  if (!lot) return refuse(noLot(bench));
  if (!bench.plan.tools.includes(act.tool)) return refuse(`There is no ${act.tool} on the tray today.`);
  const edge = edgeOf(lot.shape, act.along);
  const name = bench.plan.lots[act.lot - 1];
  if (edge === undefined) {
    const edges = EDGES[lot.shape.kind];
    return refuse(
      edges.length === 0
        ? `${name} has no regular edges. Find its volume by displacement.`
        : `${name} has no ${act.along}. Measure its ${edges.join(', its ')}.`,
    );
  }
  if (bench.pieces[act.lot - 1]?.[0]?.at !== 'dish') return refuse(`${name} is not on its dish. Bring it back first.`);
  // A ball rolls along a ruler: its end is harder to lay at the mark.
  const deviation = PLACING_MM[act.tool] * (lot.shape.kind === 'sphere' && act.tool === 'ruler' ? 2 : 1);
  const { error, bench: drawnBench } = handError(bench, deviation);
  const isCalliper = act.tool === 'calliper';
  const held = {
    lot: act.lot - 1,
    tool: act.tool,
    along: act.along,
    fromMm: isCalliper ? 0 : Math.max(error, -0.45),
    toMm: isCalliper ? edge + bench.calliperErrorMm + error : Math.max(error, -0.45) + edge,
  };
  return done(advance({ ...drawnBench, held, look: { at: 'tool', n: 0 } }, TAKES_S.measure));
}

/** The jaws of the calliper closed on nothing: what it shows then is its zero. */
export function closeJaws(bench: Bench): Outcome<Bench> {
  if (!bench.plan.tools.includes('calliper')) return refuse('There is no calliper on the tray today.');
  const { error, bench: drawnBench } = handError(bench, PLACING_MM.calliper / 3);
  const held = {
    lot: -1,
    tool: 'calliper',
    along: 'zero',
    fromMm: 0,
    toMm: bench.calliperErrorMm + error,
  } as const;
  return done(advance({ ...drawnBench, held, look: { at: 'tool', n: 0 } }, TAKES_S.measure));
}
