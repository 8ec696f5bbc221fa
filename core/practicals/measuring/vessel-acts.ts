import { done, handError, refuse } from '../hands';
import { fixed } from '../../analysis/quantity';
import type { VESSEL_IDS } from '../../databook/vessels';
import { DROPPER_DROP_ML, GRADUATED_PIPETTE } from '../../databook/vessels';
import { pipetteOf } from '../../databook/glassware';
import type { WATER_TAP } from '../../instruments/pouring';
import { MOST_TILT } from '../../instruments/pouring';
import { drawOff, EMPTY, mix, pure } from '../../chemistry/solution';
import { chance, withinTolerance } from '../../random';
import type { Outcome } from '../contract';
import { find, TAKES_S } from './act-parts';
import {
  bodyOf,
  brimOf,
  entryOf,
  filmOf,
  MOST_ALIKE,
  MOST_VESSELS,
  newVessel,
  piecesAt,
  surfaceIn,
  withVessel,
  type Bench,
  type Vessel,
} from './bench';
import { advance, pourable, pourIn, pourOut } from './flow';

/** Acts on vessels: taking, pouring, filling, emptying, drying, stoppering. */

export function take(bench: Bench, { type }: { type: (typeof VESSEL_IDS)[number] }): Outcome<Bench> {
  if (!bench.plan.vessels.includes(type)) return refuse('There is no such vessel on the tray today.');
  const standing = bench.vessels.filter((vessel) => !vessel.away);
  if (standing.filter((vessel) => vessel.type === type).length >= MOST_ALIKE)
    return refuse(`The tray holds no more than ${MOST_ALIKE} of these.`);
  if (standing.length >= MOST_VESSELS)
    return refuse(`The bench is full with ${MOST_VESSELS} vessels. Put one back first.`);
  const vessel = newVessel(type, bench.vessels.length + 1, bench.seed, bench.off.includes('glassware'));
  // A number is never used twice, so there is an end to taking.
  if (bench.vessels.length >= 60) return refuse('No more clean vessels are left today.');
  return done({ ...bench, vessels: [...bench.vessels, vessel] });
}

/** Emptied, dried and back on the tray. */
export function putAway(bench: Bench, { vessel: number }: { vessel: number }): Outcome<Bench> {
  const vessel = find(bench, number);
  if ('refusal' in vessel) return vessel;
  if (vessel.type === 'supply')
    return refuse('The bottles stay where they are. Only what came from the tray goes back to it.');
  if (bench.pan.vessel === number) return refuse('It stands on the balance. Take it off first.');
  const cleared = emptied(bench, number, true);
  const unheld = cleared.vessels.map((other, i) =>
    i === number - 1
      ? { ...other, away: true, tap: 'off' as const, tilt: null }
      : other.tilt?.to === number
        ? { ...other, tilt: null }
        : other,
  );
  return done({ ...cleared, vessels: unheld });
}

export function label(bench: Bench, { vessel: number, text }: { vessel: number; text: string }): Outcome<Bench> {
  const vessel = find(bench, number);
  if ('refusal' in vessel) return vessel;
  if (vessel.type === 'supply') return refuse('This bottle has its label already.');
  return done(withVessel(bench, number, { name: text.trim() }));
}

export function tap(
  bench: Bench,
  { into, opening }: { into: number; opening: (typeof WATER_TAP)[number] },
): Outcome<Bench> {
  if (!bench.plan.water) return refuse('There is no tap at this bench.');
  const vessel = find(bench, into);
  if ('refusal' in vessel) return vessel;
  if (vessel.type === 'supply') return refuse('Water in the bottle would spoil what is in it.');
  if (vessel.stoppered && opening !== 'off') return refuse('Its stopper is in. Take it out first.');
  // One tap: what stood under it gives way.
  const vessels = bench.vessels.map((other, i) =>
    i === into - 1 ? { ...other, tap: opening } : opening === 'off' ? other : { ...other, tap: 'off' as const },
  );
  return done({ ...bench, vessels });
}

/** Two different vessels that something can go between, or why not. */
function between(bench: Bench, from: number, to: number): { source: Vessel; target: Vessel } | { refusal: string } {
  const source = find(bench, from);
  if ('refusal' in source) return source;
  const target = find(bench, to);
  if ('refusal' in target) return target;
  if (from === to) return { refusal: 'It cannot be poured into itself. Choose another vessel.' };
  if (target.stoppered) return { refusal: 'The stopper of the other vessel is in. Take it out first.' };
  if (source.stoppered) return { refusal: 'Its stopper is in. Take it out first.' };
  return { source, target };
}

export function tilt(
  bench: Bench,
  { from, to, degrees }: { from: number; to: number; degrees: number },
): Outcome<Bench> {
  if (!(degrees >= 0 && degrees <= MOST_TILT)) return refuse(`A vessel is tilted by 0 to ${MOST_TILT} degrees.`);
  if (degrees === 0) {
    const vessel = find(bench, from);
    return 'refusal' in vessel ? vessel : done(withVessel(bench, from, { tilt: null }));
  }
  const both = between(bench, from, to);
  if ('refusal' in both) return both;
  if (bench.pan.vessel === from) return refuse('It stands on the balance. Take it off to pour from it.');
  if (both.source.liquid.volumeMl === 0) return refuse('It is empty: there is nothing to pour.');
  return done(withVessel(bench, from, { tilt: { to, degrees } }));
}

/** Half a division is as well as a hand pours by the scale, or into the neck of a bottle; else a twentieth of the amount. */
function pourError(target: Vessel, ml: number): number {
  if (target.type === 'density-bottle') return 0.15;
  return (entryOf(target).divisionMl ?? ml / 10) / 2;
}

/** The notes of what ran over. */
function spiltNote(before: Bench, after: Bench): string | undefined {
  const spilt = after.spiltMl - before.spiltMl;
  return spilt > 0.01 ? `It ran over: about ${fixed(Math.max(spilt, 0.1), 1)} mL were spilt.` : undefined;
}

export function pour(bench: Bench, { from, to, ml }: { from: number; to: number; ml: number }): Outcome<Bench> {
  if (!(ml > 0 && ml <= 300)) return refuse('Type an amount between 0 and 300 mL.');
  const both = between(bench, from, to);
  if ('refusal' in both) return both;
  if (bench.pan.vessel === from) return refuse('It stands on the balance. Take it off to pour from it.');
  if (pourable(bench, both.source) <= 0) return refuse('It is empty: there is nothing to pour.');
  const { error, bench: drawnBench } = handError(bench, pourError(both.target, ml));
  // The amount is what the scale poured into is to show more.
  const wanted = Math.max(ml + error, 0) * (1 + both.target.scaleError);
  const { taken, bench: poured } = pourOut(drawnBench, from, wanted);
  const after = advance(pourIn(poured, to, taken), TAKES_S.pour);
  const short = taken.volumeMl < wanted - 1e-9 ? 'That was all that ran out of it.' : undefined;
  return done(after, spiltNote(bench, after) ?? short);
}

export function drops(
  bench: Bench,
  { from, to, drops: number }: { from: number; to: number; drops: number },
): Outcome<Bench> {
  if (!(Number.isInteger(number) && number >= 1 && number <= 60))
    return refuse('A dropper gives 1 to 60 drops at a time, in whole numbers.');
  const both = between(bench, from, to);
  if ('refusal' in both) return both;
  if (both.source.liquid.volumeMl < 0.1) return refuse('There is too little in it for the dropper to draw up.');
  const { error, bench: drawnBench } = handError(bench, 0.08 * Math.sqrt(number));
  const { taken, left } = drawOff(both.source.liquid, Math.max((number + error) * DROPPER_DROP_ML, 0));
  const moved = pourIn(withVessel(drawnBench, from, { liquid: left }), to, taken);
  return done(advance(moved, TAKES_S.drop * number), spiltNote(bench, moved));
}

const SQUIRT_MOST_ML = 50;

/** Water from the wash bottle: for rinsing, and for the last of a volume. */
export function squirt(bench: Bench, { into, ml }: { into: number; ml: number }): Outcome<Bench> {
  if (!bench.plan.water) return refuse('There is no wash bottle on the tray today.');
  if (!(ml > 0 && ml <= SQUIRT_MOST_ML)) return refuse(`The wash bottle gives up to ${SQUIRT_MOST_ML} mL at a time.`);
  const vessel = find(bench, into);
  if ('refusal' in vessel) return vessel;
  if (vessel.type === 'supply') return refuse('Water in the bottle would spoil what is in it.');
  if (vessel.stoppered) return refuse('Its stopper is in. Take it out first.');
  const { error, bench: drawnBench } = handError(bench, Math.max(0.08 * ml, 0.03));
  const water = Math.max(ml + error, 0.01);
  const after = pourIn({ ...drawnBench, tapMl: bench.tapMl + water }, into, pure('water', water));
  return done(advance(after, TAKES_S.put), spiltNote(bench, after));
}

export const PIPETTES_HERE = ['volumetric 10', 'volumetric 25', 'graduated'] as const;

/** Standard deviation of setting the meniscus of a pipette at its mark, mL. */
const PIPETTE_SETTING_ML = { volumetric: 0.008, graduated: 0.02 };

export function pipette(
  bench: Bench,
  act: { with: (typeof PIPETTES_HERE)[number]; from: number; to: number; ml: number },
): Outcome<Bench> {
  const { from, to } = act;
  if (!bench.plan.pipettes) return refuse('There are no pipettes on the tray today.');
  const both = between(bench, from, to);
  if ('refusal' in both) return both;
  const isGraduated = act.with === 'graduated';
  const nominal = isGraduated ? act.ml : act.with === 'volumetric 10' ? 10 : 25;
  if (isGraduated && !(act.ml > 0 && act.ml <= GRADUATED_PIPETTE.capacityMl))
    return refuse(`The graduated pipette gives up to ${GRADUATED_PIPETTE.capacityMl} mL at a time.`);
  const tolerance = isGraduated ? GRADUATED_PIPETTE.toleranceMl : pipetteOf(nominal as 10 | 25).toleranceMl;
  const own = bench.off.includes('glassware')
    ? 0
    : withinTolerance(tolerance, chance(bench.seed, `pipette ${act.with}`));
  const scale = isGraduated ? nominal / GRADUATED_PIPETTE.capacityMl : 1;
  const setting = PIPETTE_SETTING_ML[isGraduated ? 'graduated' : 'volumetric'];
  const { error, bench: drawnBench } = handError(bench, setting);
  const wanted = Math.max(nominal + own * scale + error, 0);
  if (both.source.liquid.volumeMl < wanted) return refuse('There is too little in it to fill the pipette.');
  const { taken, left } = drawOff(both.source.liquid, wanted);
  const moved = pourIn(withVessel(drawnBench, from, { liquid: left }), to, taken);
  return done(advance(moved, TAKES_S.pipette), spiltNote(bench, moved));
}

/** All that can run out, and what lies in it, go; what clings stays unless it is dried. */
function emptied(bench: Bench, number: number, dried: boolean): Bench {
  const vessel = bench.vessels[number - 1] as Vessel;
  const stays = dried ? 0 : Math.min(filmOf(bench, vessel), vessel.liquid.volumeMl);
  const { taken, left } = drawOff(vessel.liquid, vessel.liquid.volumeMl - stays);
  const outside = dried ? EMPTY : vessel.outside;
  const gone = dried ? mix(taken, vessel.outside) : taken;
  const films = piecesAt(bench, number).map(({ piece }) => piece.film);
  const waste = [gone, ...(dried ? films : [])].reduce(mix, bench.waste);
  const pieces = bench.pieces.map((lot) =>
    lot.map((piece) =>
      piece.at === number ? { ...piece, at: 'dish' as const, tied: false, film: dried ? EMPTY : piece.film } : piece,
    ),
  );
  const change = { liquid: dried ? EMPTY : left, outside, airMl: 0, stoppered: false, tilt: null, tap: 'off' as const };
  return withVessel({ ...bench, waste, pieces }, number, change);
}

export function empty(bench: Bench, { vessel: number }: { vessel: number }): Outcome<Bench> {
  const vessel = find(bench, number);
  if ('refusal' in vessel) return vessel;
  if (vessel.type === 'supply') return refuse('What is in the bottle has to last. It is not poured away.');
  const lying = piecesAt(bench, number).length > 0;
  const after = advance(emptied(wetPieces(bench, number), number, false), TAKES_S.put);
  return done(after, lying ? 'What lay in it is back on its dish, wet.' : undefined);
}

export function dry(bench: Bench, { vessel: number }: { vessel: number }): Outcome<Bench> {
  const vessel = find(bench, number);
  if ('refusal' in vessel) return vessel;
  const isWet = vessel.outside.volumeMl > 0;
  if (vessel.stoppered && isWet) {
    const waste = mix(bench.waste, vessel.outside);
    return done(advance(withVessel({ ...bench, waste }, number, { outside: EMPTY }), TAKES_S.dry));
  }
  if (pourable(bench, vessel) > 0) return refuse('There is still liquid in it. Empty it first, then it can be dried.');
  if (vessel.type === 'supply') return refuse('The bottles stay as they are.');
  return done(advance(emptied(bench, number, true), TAKES_S.dry));
}

/** The stopper of a density bottle: what stands too high runs out through it. */
export function stopper(bench: Bench, { vessel: number, on }: { vessel: number; on: boolean }): Outcome<Bench> {
  const vessel = find(bench, number);
  if ('refusal' in vessel) return vessel;
  if (vessel.type !== 'density-bottle') return refuse('Only the density bottle has a stopper.');
  if (vessel.stoppered === on) return refuse(on ? 'Its stopper is in already.' : 'Its stopper is out already.');
  if (!on) return done(withVessel(bench, number, { stoppered: false }));
  const closed = withVessel(bench, number, { stoppered: true, tilt: null, tap: 'off' });
  const holds = brimOf(closed.vessels[number - 1] as Vessel);
  const over = surfaceIn(closed, number).surfaceMl - holds;
  if (over <= 0) {
    const isEmpty = vessel.liquid.volumeMl <= entryOf(vessel).filmMl;
    const note = over < -0.005 && !isEmpty ? 'Air stands under the stopper: it was not full to the top.' : undefined;
    return done(advance(closed, TAKES_S.put), note);
  }
  // A part of what runs out clings to the outside.
  const { taken, left } = drawOff(vessel.liquid, over);
  const { taken: clings, left: away } = drawOff(taken, bench.off.includes('wet') ? 0 : Math.min(0.06, taken.volumeMl));
  const waste = mix(bench.waste, away);
  const wet = withVessel({ ...closed, waste }, number, { liquid: left, outside: mix(vessel.outside, clings) });
  return done(advance(wet, TAKES_S.put), 'What was too much ran out through the stopper; the outside is wet.');
}

/** Pieces that have lain in a liquid take some of it with them: by their surface. */
export function wetPieces(bench: Bench, number: number): Bench {
  const FILM_ML_PER_AREA = 0.0025;
  let { liquid } = bench.vessels[number - 1] as Vessel;
  const pieces = bench.pieces.map((lot, l) =>
    lot.map((piece, i) => {
      if (piece.at !== number) return piece;
      const size = bodyOf(bench, l, i, false).volumeMl;
      const room = 4.84 * size ** (2 / 3) * FILM_ML_PER_AREA - piece.film.volumeMl;
      const off = bench.off.includes('wet');
      const { taken, left } = drawOff(liquid, off ? 0 : Math.max(room, 0));
      liquid = left;
      return { ...piece, film: mix(piece.film, taken) };
    }),
  );
  const { liquid: before, lostMl } = bench.vessels[number - 1] as Vessel;
  const carried = before.volumeMl - liquid.volumeMl;
  return withVessel({ ...bench, pieces }, number, { liquid, lostMl: lostMl + carried });
}

/** The bottles as full as they were given, however much was spilt: told to the teacher in the log. */
export function haveAgain(bench: Bench): Outcome<Bench> {
  if (bench.sample.bottles.length === 0) return refuse('There is no bottle at this bench that could be filled again.');
  const short = bench.sample.bottles.map(({ liquidId, volumeMl }, i) => ({
    liquidId,
    ml: volumeMl - (bench.vessels[i] as Vessel).liquid.volumeMl,
  }));
  if (short.every(({ ml }) => ml < 0.005)) return refuse('Every bottle is as full as it was given to you.');
  if (bench.vessels.some(({ tilt }, i) => tilt !== null && i < short.length))
    return refuse('A bottle is being poured from. Set it upright first.');
  const added = short.map(({ liquidId, ml }) => pure(liquidId, Math.max(ml, 0)));
  const vessels = bench.vessels.map((vessel, i) =>
    added[i] ? { ...vessel, liquid: mix(vessel.liquid, added[i]) } : vessel,
  );
  const given = added.reduce(mix, bench.given);
  return done(
    { ...bench, vessels, given },
    'The bottle is as full as at the beginning. Empty your vessels before you pour again.',
  );
}
