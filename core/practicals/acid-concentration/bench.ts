import { z } from 'zod';
import { EMPTY, solutionOf, type Solution } from '../../chemistry/solution';
import { drawBurette, BURETTE_BELOW_ML, scaleReading, type BurettePiece } from '../../instruments/burette';
import type { TapOpening } from '../../instruments/tap';
import { pipetteOf } from '../../databook/glassware';
import { chance, withinTolerance, type Chance } from '../../random';
import type { Setup } from './setup';
import { drawnValue } from './sample-values';
import { newProbe, type LoggedPoint, type Probe } from './probe';

/** What one run was given. Never leaves the server while the run is open. */
export const sampleSchema = z.object({ soluteId: z.string(), molPerL: z.number().positive() });
export type Sample = z.infer<typeof sampleSchema>;

export const WHICH = ['first', 'last'] as const;
export type Which = (typeof WHICH)[number];

/** A reading of the burette, as the student typed it, beside what the scale showed. */
export interface KeptReading {
  trial: number;
  /** Which of the burette's readings, or that of the pH meter. */
  which: Which | 'pH';
  text: string;
  value: number;
  digitsNote: string | null;
  atS: number;
  /** Scale position when it was taken: for the teacher, never in a view. */
  shownMl: number;
  /** Why it no longer counts; null while it does. */
  struck: string | null;
}

export interface Bench {
  setup: Setup;
  seed: string;
  /** Errors that are switched off, by key. */
  off: readonly string[];
  timeS: number;
  paused: boolean;
  /** Counts what chance has been asked for by hand errors, so that each is new and the same when replayed. */
  draws: number;
  sampleBottle: Solution;
  titrantBottle: Solution;
  burette: {
    piece: BurettePiece;
    liquid: Solution;
    hanging: Solution;
    dropMl: number;
    tap: TapOpening;
    pouring: boolean;
  };
  pipette: { errorMl: number; content: Solution };
  flask: {
    /** Well mixed. */
    mixed: Solution;
    /** Fallen in and not yet mixed. */
    plume: Solution;
    drops: Readonly<Record<string, number>>;
    swirlUntilS: number;
    keepSwirling: boolean;
  };
  waste: Solution;
  /** Water taken from the tap and the wash bottle, mL: the other side of the volume account. */
  waterTakenMl: number;
  /** Liquid of indicator bottles brought in, mL. */
  indicatorMl: number;
  trial: number;
  sampledTrials: readonly number[];
  readings: readonly KeptReading[];
  /** Trials that the student leaves out of the mean, with why. */
  leftOut: Readonly<Record<number, string>>;
  ticked: readonly string[];
  probe: Probe;
  logged: readonly LoggedPoint[];
}

export const TITRANT_BOTTLE_ML = 1000;
export const SAMPLE_BOTTLE_ML = 250;

/** Clings to the wall of a burette after it was emptied. */
export const BURETTE_FILM_ML = 0.15;
/** Clings to the flask after it was rinsed. */
export const FLASK_FILM_ML = 0.4;

export const CAUSES = [
  { key: 'glassware', label: 'Glassware within its tolerance' },
  { key: 'probe', label: 'The pH probe and its calibration' },
  { key: 'hands', label: 'Hands: filling to a mark, letting in an amount' },
] as const;

export function drawSample(setup: Setup, seed: string, index: number): Sample {
  const pick = Math.floor(chance(seed, `acid ${index}`).uniform() * setup.acids.length);
  return {
    soluteId: setup.acids[pick] as string,
    molPerL: drawnValue(setup.fromMolPerL, setup.toMolPerL, seed, index),
  };
}

export function begin(setup: Setup, sample: Sample, seed: string, off: readonly string[] = []): Bench {
  const exact = off.includes('glassware');
  const pipetteError = withinTolerance(
    pipetteOf(Number(setup.pipetteMl)).toleranceMl,
    chance(seed, 'pipette'),
  );
  return {
    setup,
    seed,
    off,
    timeS: 0,
    paused: false,
    draws: 0,
    sampleBottle: solutionOf(sample.soluteId, sample.molPerL, SAMPLE_BOTTLE_ML),
    titrantBottle: solutionOf(setup.titrant, setup.titrantMolPerL, TITRANT_BOTTLE_ML),
    burette: {
      piece: exact ? { scaleError: 0 } : drawBurette(chance(seed, 'burette')),
      liquid: EMPTY,
      hanging: EMPTY,
      dropMl: 0.045 + 0.01 * chance(seed, 'drop').uniform(),
      tap: 'closed',
      pouring: false,
    },
    pipette: { errorMl: exact ? 0 : pipetteError, content: EMPTY },
    flask: { mixed: EMPTY, plume: EMPTY, drops: {}, swirlUntilS: 0, keepSwirling: false },
    waste: EMPTY,
    waterTakenMl: 0,
    indicatorMl: 0,
    trial: 1,
    sampledTrials: [],
    readings: [],
    leftOut: {},
    ticked: [],
    probe: newProbe(seed, off.includes('probe')),
    logged: [],
  };
}

/** A stream of chance for the next error of the hand, and the bench that remembers that it was asked for. */
export function handChance(bench: Bench): { source: Chance; bench: Bench } {
  const draws = bench.draws + 1;
  return { source: chance(bench.seed, `hand ${draws}`), bench: { ...bench, draws } };
}

/** A normal error of the hand with this standard deviation, cut at three; none when hands are switched off. */
export function handError(bench: Bench, deviationMl: number): { errorMl: number; bench: Bench } {
  const drawn = handChance(bench);
  if (bench.off.includes('hands')) return { errorMl: 0, bench: drawn.bench };
  const error = Math.max(-3, Math.min(3, drawn.source.normal())) * deviationMl;
  return { errorMl: error, bench: drawn.bench };
}

/** Liquid above the lowest mark of the burette, mL; negative when it stands below. */
export const liquidAboveMark = (bench: Bench) => bench.burette.liquid.volumeMl - BURETTE_BELOW_ML;

/** Where the meniscus stands on the scale, mL. */
export const levelOf = (bench: Bench) => scaleReading(liquidAboveMark(bench), bench.burette.piece);

export const flaskVolume = (bench: Bench) => bench.flask.mixed.volumeMl + bench.flask.plume.volumeMl;

export const isSwirling = (bench: Bench) => bench.flask.keepSwirling || bench.timeS < bench.flask.swirlUntilS;
