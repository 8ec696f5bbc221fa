import { EMPTY, type Solution } from '../../chemistry/solution';
import { HEAT_VESSEL_TOLERANCE, heatVesselOf, type HeatVesselId } from '../../databook/heat-vessels';
import { drawBalance, type BalancePiece } from '../../instruments/balance';
import { drawThermometer, type ThermometerPiece } from '../../instruments/thermometer';
import { BARE_PAN, type Pan } from '../../instruments/weighing';
import { chance, withinTolerance } from '../../random';
import { COMMON_AT_START, type CommonBench } from '../common-acts';
import type { Handled } from '../hands';
import type { KeptReading as Kept } from '../recordings';
import type { About } from './about';
import { FIRST_GAP_MM, freshLamps, type Lamp } from './lamps';
import { tipJPerK } from './matter';
import { usesFuel, type Plan, type Slot } from './plan';
import type { Sample } from './sample';
import { freshTube, type Tube } from './tube';
import { freshSealed, type Burnt, type Pellet, type Sealed } from './sealed';

export const STIRS = ['off', 'hand', 'motor'] as const;
export type Stir = (typeof STIRS)[number];

export const VESSELS = ['cup', 'beaker'] as const;
export type VesselKey = (typeof VESSELS)[number];

/** A vessel, and what is in it beside pieces of metal. */
export interface Vessel {
  type: HeatVesselId;
  at: 'bench' | 'bath';
  lid: boolean;
  stir: Stir;
  liquid: Solution;
  liquidC: number;
  wallC: number;
  /** Heat capacity of wall and stirrer, J/K; without the tip of a thermometer, which is a body of its own. */
  wallJPerK: number;
  massG: number;
  /** Heat of what has reacted that has not come out yet, J. */
  lateJ: number;
  /** Salt that lies in it undissolved, mol. */
  lyingMol: number;
}

/** Where a piece of metal can be. */
export const PIECE_PLACES = ['dish', 'tongs', 'bath', 'block', 'cup'] as const;
export type PiecePlace = (typeof PIECE_PLACES)[number] | 'pan';

export interface Piece {
  at: PiecePlace;
  tempC: number;
  /** Water that clings to it, as warm as it is, g. */
  filmG: number;
}

export const THERMOMETER_PLACES = ['stand', 'cup', 'beaker', 'bath', 'block', 'tube', 'cold'] as const;
export type ThermometerPlace = (typeof THERMOMETER_PLACES)[number];

export interface Thermometer {
  piece: ThermometerPiece;
  at: ThermometerPlace;
  tipC: number;
}

/** What is brought to a temperature and held there. */
export interface Warmer {
  setC: number;
  tempC: number;
}

export interface Boat {
  /** Salt to be tipped, and what clung when it was, g. */
  saltG: number;
  clingsG: number;
  massG: number;
}

/** What stands on the pan. */
export type OnPan = VesselKey | 'boat' | 'piece' | 'pellet' | 'lamp' | 'tube';

/** One line of the log, as the logger wrote it. */
export type LoggedLine = Readonly<Record<'trial' | 't' | 'T' | 'U', string>>;

/** A reading with what only this bench tells of it. */
export interface KeptReading extends Kept {
  which: Slot;
  instrument: string;
  /** What stood in the cup when it was taken: see `portionNow`. */
  cup: number;
  about: About;
}

export interface Bench extends CommonBench, Handled {
  plan: Plan;
  sample: Sample;
  vessels: Readonly<Record<VesselKey, Vessel>>;
  /** When something was done last, and up to when what goes on by itself has been brought, s. */
  actedS: number;
  steppedS: number;
  /** How many cups were had. */
  cups: number;
  pieces: readonly Piece[];
  bath: Warmer;
  block: Warmer;
  thermometers: readonly Thermometer[];
  /** The thermometer that is looked at, from 0. */
  looking: number;
  balance: BalancePiece;
  pan: Pan & { on: OnPan | null; piece: number };
  boat: Boat;
  /** The vessel that is sealed, the pellet for it, what burnt in it last, and in which portion of water. */
  sealed: Sealed | null;
  pellet: Pellet | null;
  burnt: Burnt | null;
  burntIn: number | null;
  /** Pressed so far, and what of it is gone, g. */
  pressedG: number;
  pelletGoneG: number;
  /** The test tube, and what it is cooled in; what was put in and taken out of it, g. */
  tube: Tube | null;
  cold: Warmer;
  tubeInG: number;
  tubeOutG: number;
  soluteOutG: number;
  lamps: readonly Lamp[];
  /** From the wick to the can, mm; and whether a screen keeps the draught off. */
  gapMm: number;
  screen: boolean;
  /** How often a lamp was lit. */
  lightings: number;
  /** Fuel that was filled in, and that burnt or dried off, g. */
  filledG: number;
  burntFuelG: number;
  /** Salt that was taken out of the jar, g; and that went to waste, mol. */
  takenG: number;
  thrownMol: number;
  /** How far off what liquids are measured out with is, as a part of its tolerance. */
  measureError: number;
  log: { everyS: number; startS: number; due: number } | null;
  /** When the first log of the run began, s: all lines count from there, so that trials do not lie over one another. */
  logBegunS: number | null;
  logged: readonly LoggedLine[];
  /** What was measured into this cup out of each bottle, mL. */
  measuredMl: readonly number[];
  /** How often something was measured into a cup. */
  pours: number;
  /** The same as it was meant, and as a dispenser shows it. */
  nominalMl: readonly number[];
  /** When this cup had something combined in it first, s; null before that. */
  mixedS: number | null;
  /** The same of cups before, by trial. */
  mixedAtS: Readonly<Record<number, number>>;
  /** The other side of the accounts: J that left all bodies, mL and mol of what was poured in and away. */
  goneJ: number;
  given: Solution;
  waste: Solution;
  /** Water that left as vapour, g. */
  vapourG: number;
  readings: readonly KeptReading[];
}

/** A vessel fresh from the tray, with a mass of its own. */
export function freshVessel(
  type: HeatVesselId,
  number: number,
  bench: Pick<Bench, 'seed' | 'sample' | 'plan' | 'off'>,
): Vessel {
  const entry = heatVesselOf(type);
  const source = chance(bench.seed, `vessel ${number} ${type}`);
  const { roomC, capacity } = bench.sample;
  const part = bench.off.includes('vessel') ? 1 : capacity;
  return {
    type,
    at: 'bench',
    lid: false,
    stir: 'off',
    liquid: EMPTY,
    liquidC: roomC,
    wallC: roomC,
    // The data book counts the tip of a thermometer in, which is a body of its own here.
    wallJPerK: entry.jPerK * part - tipJPerK(bench),
    massG: entry.massG * (1 + 0.05 * (source.uniform() - 0.5)),
    lateJ: 0,
    lyingMol: 0,
  };
}

export function begin(plan: Plan, sample: Sample, seed: string, off: readonly string[] = []): Bench {
  const { roomC } = sample;
  const first = { seed, sample, plan, off };
  const lamps = freshLamps(sample.lampFuelIds.length, seed);
  const still: Warmer = { setC: roomC, tempC: roomC };
  return {
    plan,
    sample,
    seed,
    off,
    ...COMMON_AT_START,
    draws: 0,
    vessels: {
      cup: freshVessel(plan.vessels[0] as HeatVesselId, 1, first),
      beaker: freshVessel('glass-beaker', 0, first),
    },
    actedS: 0,
    steppedS: 0,
    cups: 1,
    pieces: (sample.metal?.piecesG ?? []).map(() => ({ at: 'dish', tempC: roomC, filmG: 0 })),
    bath: still,
    block: still,
    thermometers: Array.from({ length: plan.thermometers }, (_, n) => ({
      piece: drawThermometer(plan.thermometer, `${seed} ${n}`, off.includes('probe')),
      at: 'stand',
      tipC: roomC,
    })),
    looking: 0,
    // Water for a pail is heavier than what other balances bear.
    balance: drawBalance(plan.balance, seed, off.includes('balance'), usesFuel(plan)),
    pan: { ...BARE_PAN, on: null, piece: 0 },
    boat: { saltG: 0, clingsG: 0, massG: 2.4 + 0.4 * chance(seed, 'boat').uniform() },
    sealed: plan.sealed && freshSealed(roomC, off.includes('vessel') ? 1 : sample.capacity),
    pellet: null,
    burnt: null,
    burntIn: null,
    pressedG: 0,
    pelletGoneG: 0,
    tube: plan.tube && freshTube(roomC, seed, 1),
    cold: still,
    tubeInG: 0,
    tubeOutG: 0,
    soluteOutG: 0,
    lamps,
    gapMm: FIRST_GAP_MM,
    screen: false,
    lightings: 0,
    filledG: lamps.reduce((sum, { fuelG }) => sum + fuelG, 0),
    burntFuelG: 0,
    takenG: 0,
    thrownMol: 0,
    measureError: off.includes('glassware') ? 0 : withinTolerance(1, chance(seed, 'measure')),
    log: null,
    logBegunS: null,
    logged: [],
    measuredMl: sample.bottles.map(() => 0),
    pours: 0,
    nominalMl: sample.bottles.map(() => 0),
    mixedS: null,
    mixedAtS: {},
    goneJ: 0,
    given: EMPTY,
    waste: EMPTY,
    vapourG: 0,
  };
}

/** The heat capacity of a run's vessels as a part of what the data book says: one batch. */
export const drawnCapacity = (seed: string, index: number): number =>
  1 + HEAT_VESSEL_TOLERANCE * (2 * chance(seed, `capacity ${index}`).uniform() - 1);

export const withVessel = (bench: Bench, key: VesselKey, change: Partial<Vessel>): Bench => ({
  ...bench,
  vessels: { ...bench.vessels, [key]: { ...bench.vessels[key], ...change } },
});

export const withPiece = (bench: Bench, index: number, change: Partial<Piece>): Bench => ({
  ...bench,
  pieces: bench.pieces.map((piece, i) => (i === index ? { ...piece, ...change } : piece)),
});
