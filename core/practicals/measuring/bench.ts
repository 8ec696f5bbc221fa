import { materialOf } from '../../databook/materials';
import { vesselOf, type VesselEntry } from '../../databook/vessels';
import { drawBalance, type BalancePiece } from '../../instruments/balance';
import { drawThermometer } from '../../instruments/thermometer';
import { BARE_PAN, changedLoad, isUnsettled, type Pan, type Weighed } from '../../instruments/weighing';
import { CALLIPER, type Tool } from '../../instruments/length';
import type { WaterTap } from '../../instruments/pouring';
import { surfaceWith, type Body, type Surface } from '../../physics/immersion';
import { EMPTY, pure, type Solution } from '../../chemistry/solution';
import { densityOf, massOf, volumesIn } from '../../physics/liquid';
import { chance, withinTolerance } from '../../random';
import { COMMON_AT_START, type CommonBench } from '../common-acts';
import type { Handled } from '../hands';
import { NOT_TARED, type About, type Tared } from './parts';
import type { KeptReading as Kept } from '../recordings';
import type { Plan, Slot } from './plan';
import type { Along } from './edges';
import type { Sample } from './sample';

export interface Vessel {
  /** Id in the data book. */
  type: string;
  /** Put back on the tray; its number stays taken. */
  away: boolean;
  /** What its label says. */
  name: string;
  liquid: Solution;
  /** What splashed out of it or was carried away by wet pieces since it was taken, less what they brought, mL. */
  lostMl: number;
  /** Air caught under what lies in it, mL. */
  airMl: number;
  stoppered: boolean;
  /** What clings to its outside. */
  outside: Solution;
  /** Tilted over another vessel, by its number. */
  tilt: { to: number; degrees: number } | null;
  tap: WaterTap;
  /** Its scale shows the volume divided by (1 + scaleError); a bottle of one volume holds it times (1 + scaleError). */
  scaleError: number;
  /** By how much a bottle of one volume was made larger than its nominal volume: engraved on it. */
  adjusted: number;
  massG: number;
}

/** Where a piece is: on its dish, on the pan, or in the vessel of that number. */
type Place = 'dish' | 'pan' | number;

export interface Piece {
  at: Place;
  tied: boolean;
  /** What clings to it. */
  film: Solution;
  /** The number of the weighing that it was last part of; 0 before the first. */
  weighed: number;
}

/** A reading with what only this bench tells of it. */
export interface KeptReading extends Kept {
  which: Slot;
  instrument: string;
  /** How far from what was there the scale seemed to stand, by where the eye was. */
  parallax: number;
  /** Which unknown it is of; null when of none. */
  lot: number | null;
  /** What was there in parts, and what the balance was set to zero for. */
  about: About;
  tared: Tared;
}

export interface Held {
  /** Which lot a piece of it is held of; −1 for jaws that are closed on nothing. */
  lot: number;
  tool: Tool;
  along: Along | 'zero';
  /** Where its ends lie on the tool, mm. */
  fromMm: number;
  toMm: number;
}

export interface Bench extends CommonBench, Handled {
  plan: Plan;
  sample: Sample;
  vessels: readonly Vessel[];
  /** Pieces of each lot; after the last lot stands the sinker, if there is one. */
  pieces: readonly (readonly Piece[])[];
  balance: BalancePiece | null;
  pan: Pan & {
    vessel: number | null;
    wet: Solution;
    tared: Tared;
  };
  held: Held | null;
  look: { at: 'vessel' | 'tool' | 'thermometer'; n: number };
  /** Height of the eye above the surface that it looks at, mm. */
  eyeMm: number;
  calliperErrorMm: number;
  thermometerErrorC: number;
  waste: Solution;
  /** Water from the tap, mL: the other side of the volume account. */
  tapMl: number;
  /** What was had again of the bottles, for the same account. */
  given: Solution;
  /** What ran over or splashed out, mL. */
  spiltMl: number;
  /** The vessel that it ran or splashed out of last; 0 for none. */
  spiltAt: number;
  readings: readonly KeptReading[];
}

/** A cone of lead with a hook. */
export const SINKER = { volumeMl: 2.6, massG: 29.4 };
/** Largest number of vessels on the bench, and of one kind. */
export const MOST_VESSELS = 9;
export const MOST_ALIKE = 3;

/** A vessel fresh from the tray, with errors and a mass of its own. */
export function newVessel(type: string, number: number, seed: string, exact: boolean): Vessel {
  const entry = vesselOf(type);
  const source = chance(seed, `vessel ${number} ${type}`);
  const error = withinTolerance(1, source) * (entry.toleranceMl / entry.capacityMl);
  return {
    type,
    away: false,
    name: '',
    liquid: EMPTY,
    lostMl: 0,
    airMl: 0,
    stoppered: false,
    outside: EMPTY,
    tilt: null,
    tap: 'off',
    scaleError: exact ? 0 : error,
    adjusted: type === 'density-bottle' ? 0.016 * (source.uniform() - 0.5) : 0,
    massG: entry.massG * (1 + 0.04 * (source.uniform() - 0.5)),
  };
}

export function begin(plan: Plan, sample: Sample, seed: string, off: readonly string[] = []): Bench {
  const exact = off.includes('glassware');
  const bottles = sample.bottles.map(({ liquidId, volumeMl }, i) => ({
    ...newVessel('supply', i + 1, seed, true),
    name: plan.bottles[i] ?? '',
    liquid: pure(liquidId, volumeMl),
  }));
  const vessels = plan.vessels.map((type, i) => newVessel(type, bottles.length + i + 1, seed, exact));
  const fresh = (): Piece => ({ at: 'dish', tied: false, film: EMPTY, weighed: 0 });
  const lots = sample.lots.map((lot) => lot.volumesMl.map(fresh));
  const calliper = withinTolerance(CALLIPER.toleranceMm, chance(seed, 'calliper'));
  return {
    plan,
    sample,
    seed,
    off,
    ...COMMON_AT_START,
    draws: 0,
    vessels: [...bottles, ...vessels],
    pieces: plan.sinker ? [...lots, [fresh()]] : lots,
    balance: plan.balance && drawBalance(plan.balance, seed, off.includes('balance')),
    pan: { ...BARE_PAN, vessel: null, wet: EMPTY, tared: NOT_TARED },
    held: null,
    look: { at: 'vessel', n: Math.min(bottles.length + 1, bottles.length + vessels.length) },
    eyeMm: 0,
    calliperErrorMm: off.includes('calliper') ? 0 : calliper,
    thermometerErrorC: drawThermometer('glass 1', seed, exact).errorC,
    waste: EMPTY,
    tapMl: 0,
    given: EMPTY,
    spiltMl: 0,
    spiltAt: 0,
  };
}

export const vesselAt = (bench: Bench, number: number): Vessel | undefined => {
  const vessel = bench.vessels[number - 1];
  return vessel && !vessel.away ? vessel : undefined;
};
export const entryOf = (vessel: Vessel): VesselEntry => vesselOf(vessel.type);

/** What stays in a vessel that is poured out, mL. */
export const filmOf = (bench: Bench, vessel: Vessel): number =>
  bench.off.includes('film') && vessel.type !== 'supply' ? 0 : entryOf(vessel).filmMl;

/** What a vessel holds without running over, mL. */
export function brimOf(vessel: Vessel): number {
  const entry = entryOf(vessel);
  return vessel.stoppered ? entry.capacityMl * (1 + vessel.adjusted) * (1 + vessel.scaleError) : entry.brimMl;
}

export function withVessel(bench: Bench, number: number, change: Partial<Vessel>): Bench {
  const vessels = bench.vessels.map((vessel, i) => (i === number - 1 ? { ...vessel, ...change } : vessel));
  return { ...bench, vessels };
}

export const isSinker = (bench: Bench, lot: number) => lot === bench.sample.lots.length;

/** A piece as a body in a liquid. */
export function bodyOf(bench: Bench, lot: number, index: number, tied: boolean): Body {
  if (isSinker(bench, lot)) return bench.off.includes('sinker') ? { volumeMl: 0, massG: 0, tied } : { ...SINKER, tied };
  const { materialId, volumesMl } = bench.sample.lots[lot] as Sample['lots'][number];
  const volumeMl = volumesMl[index] as number;
  return { volumeMl, massG: volumeMl * materialOf(materialId).densityGPerMl, tied };
}

interface Placed {
  lot: number;
  index: number;
  piece: Piece;
}

/** Pieces by place, once for each arrangement of them: every vessel asks. */
const arrangements = new WeakMap<Bench['pieces'], Map<Place, Placed[]>>();

function arranged(pieces: Bench['pieces']): Map<Place, Placed[]> {
  const places = new Map<Place, Placed[]>();
  pieces.forEach((all, lot) =>
    all.forEach((piece, index) => {
      const there = places.get(piece.at);
      if (there) there.push({ lot, index, piece });
      else places.set(piece.at, [{ lot, index, piece }]);
    }),
  );
  return places;
}

/** All pieces at a place, with their lot and index. */
export function piecesAt(bench: Bench, place: Place): readonly Placed[] {
  let places = arrangements.get(bench.pieces);
  if (!places) arrangements.set(bench.pieces, (places = arranged(bench.pieces)));
  return places.get(place) ?? [];
}

/** Pieces of a lot that a hand takes: what lies on the pan, then what lies on the dish, the last weighed first. */
export function atHand(pieces: readonly Piece[], places: readonly Place[] = ['pan', 'dish']): Piece[] {
  const there = pieces.filter(({ at }) => places.includes(at));
  return there.sort((a, b) => places.indexOf(a.at) - places.indexOf(b.at) || b.weighed - a.weighed);
}

/** The surface in a vessel, with all that is in it. */
export function surfaceIn(bench: Bench, number: number): Surface {
  const vessel = bench.vessels[number - 1] as Vessel;
  const bodies = piecesAt(bench, number).map(({ lot, index, piece }) =>
    bodyOf(bench, lot, index, piece.tied || bench.off.includes('floating')),
  );
  const liquidMl = vessel.liquid.volumeMl;
  const density = densityOf(vessel.liquid, bench.sample.tempC);
  return surfaceWith(liquidMl, bodies, density, vessel.airMl, !bench.off.includes('uncovered'));
}

/** Where the surface stands on the scale, mL. */
export const levelOf = (bench: Bench, number: number): number =>
  surfaceIn(bench, number).surfaceMl / (1 + (bench.vessels[number - 1] as Vessel).scaleError);

/** A vessel with all that is in it and on it, g. */
function massOfVessel(bench: Bench, number: number): number {
  const vessel = bench.vessels[number - 1] as Vessel;
  const { tempC } = bench.sample;
  let mass = vessel.massG + massOf(vessel.liquid, tempC) + massOf(vessel.outside, tempC);
  for (const { lot, index, piece } of piecesAt(bench, number)) mass += massOfPiece(bench, lot, index, piece);
  return mass;
}

const massOfPiece = (bench: Bench, lot: number, index: number, piece: Piece) =>
  bodyOf(bench, lot, index, false).massG + massOf(piece.film, bench.sample.tempC);

/** What rests on the pan, g. */
export function loadOf(bench: Bench): number {
  const { pan } = bench;
  let load = massOf(pan.wet, bench.sample.tempC);
  if (pan.vessel !== null) load += massOfVessel(bench, pan.vessel);
  for (const { lot, index, piece } of piecesAt(bench, 'pan')) load += massOfPiece(bench, lot, index, piece);
  return load;
}

/** What stands and lies on the balance, as the balance sees it. @throws TypeError at a bench without one */
export function weighedOn(bench: Bench): Weighed {
  const { balance, pan, timeS, seed, off } = bench;
  if (!balance) throw new TypeError('there is no balance at this bench');
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
  if (!after.balance) return after;
  const then = loadOf(before);
  if (loadOf(after) === then) return after;
  // What the hands' time has let settle counts: the display is followed to the new bench's time.
  const weighings = after.pan.weighings + (placed ? 1 : 0);
  return { ...after, pan: { ...after.pan, ...changedLoad(before.pan, then, after.timeS), weighings } };
}

export const isSettling = ({ balance, pan, timeS }: Bench): boolean => balance !== null && isUnsettled(pan, timeS);

export const isFlowing = (bench: Bench): boolean =>
  bench.vessels.some((vessel) => vessel.tilt !== null || vessel.tap !== 'off');

/** The unknown that a vessel holds: a liquid of the bottles that makes up most of it, or the lot that lies in it. */
export function lotIn(bench: Bench, number: number): number | null {
  const lying = piecesAt(bench, number).find(({ lot }) => !isSinker(bench, lot));
  if (lying) return lying.lot;
  const { liquid } = bench.vessels[number - 1] as Vessel;
  const volumes = volumesIn(liquid);
  const index = bench.sample.bottles.findIndex(({ liquidId }) => (volumes[liquidId] ?? 0) > 0.5 * liquid.volumeMl);
  return index < 0 ? null : index;
}
