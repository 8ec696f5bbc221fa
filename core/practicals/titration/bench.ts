import { EMPTY, type Solution } from '../../chemistry/solution';
import { BURETTE_BELOW_ML, scaleReading, type BurettePiece } from '../../instruments/burette';
import type { BalancePiece } from '../../instruments/balance';
import type { Pan } from '../../instruments/weighing';
import type { TapOpening } from '../../instruments/tap';
import type { CommonBench } from '../common-acts';
import type { Handled } from '../hands';
import type { Stock } from './kind';
import type { Plan } from './plan';
import type { KeptReading as Kept } from '../recordings';
import type { LoggedPoint, Probe } from './probe-state';
import type { Slot } from './slots';

/** A reading as the student typed it or a digital instrument showed it, beside what was there. */
export interface KeptReading extends Kept {
  which: Slot;
  /** The flask when it was taken, which tells how far from the equivalence point that was. Never in a view. */
  flask: Flask;
  /** What had been brought into the burette by then and not run to waste, mL. */
  filledInMl: number;
}

/** mol of each solute, by its id in the data book. */
export type Amounts = Readonly<Record<string, number>>;

export interface Flask {
  /** Well mixed. */
  mixed: Solution;
  /** Fallen in and not yet mixed. */
  plume: Solution;
  /** Drops that hang on the wall. */
  wall: Solution;
  /** Solid that has not dissolved, by what it gives. */
  undissolved: Amounts;
  /** Number of the next step in which solid dissolves. */
  nextStep: number;
  drops: Readonly<Record<string, number>>;
  swirlUntilS: number;
  keepSwirling: boolean;
}

export interface Bench extends CommonBench, Handled {
  plan: Plan;
  stock: Stock;
  bottle: Solution;
  titrantBottle: Solution;
  burette: {
    piece: BurettePiece;
    liquid: Solution;
    hanging: Solution;
    dropMl: number;
    tap: TapOpening;
    pouring: boolean;
    /** Brought in by filling and pouring, less what was let out over the waste, mL. */
    filledInMl: number;
    /** Air in the tip, and the liquid that has taken its place there, which cannot run out. */
    bubbleMl: number;
    tip: Solution;
    /** What clings to the funnel, and when it will drip into the tube, s, if it has not yet; null when the funnel is out. */
    funnel: { holds: Solution; dripsAtS: number | null } | null;
  };
  pipette: { errorMl: number; content: Solution; from: 'bottle' | 'volumetric' };
  /** g of the solid in its jar and on the weighing boat. */
  jarG: number;
  boat: { grams: number };
  balance: BalancePiece;
  pan: Pan;
  /** The volumetric flask, with an error of its own; made up to its mark once it is full. */
  volumetric: { errorMl: number; content: Solution; madeUp: boolean };
  flask: Flask;
  waste: Solution;
  /** Solid that was thrown away, g, and gas that has left, mol. */
  wasteG: number;
  gone: Amounts;
  /** Water taken from the tap and the wash bottle, mL: the other side of the volume account. */
  waterTakenMl: number;
  /** Liquid of indicator bottles brought in, mL. */
  indicatorMl: number;
  /** Solid tipped into the flask, and what stayed on the boat when it last was, g; by trial. */
  tips: Readonly<Record<number, { inG: number; leftG: number }>>;
  /** Portions of the bottle that went into the flask, by trial. */
  portions: Readonly<Record<number, number>>;
  readings: readonly KeptReading[];
  probe: Probe;
  logged: readonly LoggedPoint[];
  /** The flask when a line of its trial was last logged, by trial. Never in a view. */
  curveFlasks: Readonly<Record<number, Flask>>;
}

export const TITRANT_BOTTLE_ML = 1000;
export const BOTTLE_ML = 250;
export const JAR_G = 50;

/** Clings to the wall of a burette after it was emptied. */
const BURETTE_FILM_ML = 0.15;
export const filmMl = (bench: Bench) => (bench.off.includes('rinsing') ? 0 : BURETTE_FILM_ML);
/** Clings to the flask after it was rinsed. */
export const FLASK_FILM_ML = 0.4;

export const CLEAN_FLASK: Flask = {
  mixed: EMPTY,
  plume: EMPTY,
  wall: EMPTY,
  undissolved: {},
  nextStep: 0,
  drops: {},
  swirlUntilS: 0,
  keepSwirling: false,
};

/** Liquid above the lowest mark of the burette, mL; negative when it stands below. */
export const liquidAboveMark = (bench: Bench) => bench.burette.liquid.volumeMl - BURETTE_BELOW_ML;

/** Where the meniscus stands on the scale, mL. */
export const levelOf = (bench: Bench) => scaleReading(liquidAboveMark(bench), bench.burette.piece);

export const flaskVolume = (bench: Bench) => bench.flask.mixed.volumeMl + bench.flask.plume.volumeMl;

export const isSwirling = (bench: Bench) => bench.flask.keepSwirling || bench.timeS < bench.flask.swirlUntilS;

/** Whether anything of a trial was put into the flask or written down. */
export const trialBegun = (bench: Bench) =>
  (bench.portions[bench.trial] ?? 0) > 0 ||
  Object.keys(bench.flask.undissolved).length > 0 ||
  bench.readings.some((r) => r.trial === bench.trial);

/** Amounts added to one another, each times a factor. */
export function addAmounts(to: Amounts, more: Amounts, factor = 1): Amounts {
  const sum: Record<string, number> = { ...to };
  for (const [id, amount] of Object.entries(more)) sum[id] = (sum[id] ?? 0) + amount * factor;
  return sum;
}

/** What so many grams of the solid give. */
export const amountsOfSolid = (bench: Bench, grams: number): Amounts =>
  addAmounts({}, bench.stock.solid?.perGram ?? {}, grams);
