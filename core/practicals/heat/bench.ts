import type { Solution } from '../../chemistry/solution';
import type { BalancePiece } from '../../instruments/balance';
import type { Pan } from '../../instruments/weighing';
import type { CommonBench } from '../common-acts';
import type { Handled } from '../hands';
import type { KeptReading as Kept } from '../recordings';
import type {
  About,
  Lamp,
  Tube,
  Burnt,
  Pellet,
  Sealed,
  VesselKey,
  Vessel,
  Piece,
  Thermometer,
  Warmer,
  Boat,
  OnPan,
} from './bodies';
import type { Plan, Slot } from './plan';
import type { Sample } from './sample';

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

export const withVessel = (bench: Bench, key: VesselKey, change: Partial<Vessel>): Bench => ({
  ...bench,
  vessels: { ...bench.vessels, [key]: { ...bench.vessels[key], ...change } },
});

export const withPiece = (bench: Bench, index: number, change: Partial<Piece>): Bench => ({
  ...bench,
  pieces: bench.pieces.map((piece, i) => (i === index ? { ...piece, ...change } : piece)),
});
