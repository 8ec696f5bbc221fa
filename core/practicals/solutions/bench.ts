import { NOTHING, solutionFrom, type Contents } from '../../chemistry/contents';
import { drawBalance, type BalancePiece } from '../../instruments/balance';
import { drawCell } from '../../instruments/conductivity-cell';
import { drawThermometer, type ThermometerPiece } from '../../instruments/thermometer';
import type { SeenLine } from '../../notebook/readings';
import { chance, withinTolerance } from '../../random';
import { COMMON_AT_START, type CommonBench } from '../common-acts';
import type { Handled } from '../hands';
import type { KeptReading as Kept } from '../recordings';
import { BARE_PAN, type Pan } from '../../instruments/weighing';
import { bottleMl, DAMPNESS, type Plan, type Slot } from './plan';
import type { Sample } from './sample';
import type { Oven } from './solids/oven';
import type { Paper } from './solids/paper';
import { PLATE_C, PLATE_S, VESSELS_HERE, WELLS, type AnyVessel } from './vessels';

/** What a student put into a vessel, as they meant it. */
export interface Poured {
  /** Number of the thing that it came from. */
  from: number;
  ml: number;
  /** What really came, mL. */
  trueMl: number;
  /** How it was measured. */
  by: 'drops' | 'pipette' | 'cylinder' | 'eye' | 'filtered' | 'rinsed';
}
/** By what a hand measures. */
export type Measured = Exclude<Poured['by'], 'drops' | 'filtered' | 'rinsed'>;

export const VESSEL_PLACES = ['bench', 'plate', 'pan', 'funnel'] as const;
export type VesselPlace = (typeof VESSEL_PLACES)[number];

/** A solid that was tipped into a vessel, and the gas that it gives off there. Masses in g. */
export interface Tipped {
  /** mol of it in all. */
  mol: number;
  /** Gas that is still on its way out, since when, and the time in which it falls to a third, s. */
  fizzG: number;
  sinceS: number;
  fizzesS: number;
  /** Gas that left it, mol, and the vapour that went with that. */
  goneMol: number;
  vapourG: number;
}

/** The boat that a solid is weighed in. Masses in g. */
interface Boat {
  g: number;
  solidG: number;
  at: 'bench' | 'pan';
  /** Whether it was emptied since something was put in. */
  isTipped: boolean;
  trial: number | null;
}

export interface Vessel {
  type: AnyVessel;
  /** What is written on it. */
  label: string;
  contents: Contents;
  /** mol of each bottle's substance that came into it, reacted or not. */
  brought: readonly number[];
  poured: readonly Poured[];
  /** How much warmer than the room it was when that changed its way last, K, and when that was, s. */
  warmerK: number;
  warmAtS: number;
  /** How ripe its solid was then: the part of it that would run through a paper falls as e to the minus of it. */
  ripe: number;
  at: VesselPlace;
  /** How long it stood on the hot plate before where it stands now, s. */
  hotS: number;
  /** When it was mixed or stirred last, s. */
  mixedAtS: number;
  /** What was tipped into it; null before. */
  tipped: Tipped | null;
  /** Gas that left when something came last, mol for a litre of it. */
  bubbledMolPerL: number;
  /** The trial that it is; null before anything of it was recorded. */
  trial: number | null;
  isAway: boolean;
}

export const DIPPED = ['thermometer', 'probe', 'cell'] as const;
export type Dipped = (typeof DIPPED)[number];

/** Where a tool is, and what it showed when it came there. */
interface Tool {
  into: number | null;
  sinceS: number;
  from: number;
  /** How often it was moved: each look wavers anew. */
  moves: number;
}

/** What is in the cuvette, and how the colorimeter is set. */
interface Colorimeter {
  contents: Contents;
  /** Solid that was afloat when it was filled, g/L. */
  cloudGPerL: number;
  /** Number of the vessel that it was filled from; null while it is empty. */
  vessel: number | null;
  /** The trial that this vessel was then; null of a bottle. */
  trial: number | null;
  nm: number;
  /** What is taken off what shows. */
  zero: number;
  /** What lamp, cell and cuvette absorb by themselves at one end and the other of the spectrum. */
  own: readonly [violet: number, red: number];
}

/** What an analysis tells of a portion, once it is there. */
interface Slip {
  vessel: number;
  /** The trial that the vessel was then; kept when the vessel is emptied. */
  trial: number;
  /** What was handed over, mL, and when the slip is there, s. */
  ml: number;
  readyAtS: number;
  /** Bottles that it was mixed of, by their numbers. */
  bottles: readonly number[];
  /** Amounts of A, B, C … that had not reacted, mmol: as found, and as they were. */
  foundMmol: readonly number[];
  trueMmol: readonly number[];
}

/** What was there beside the number of a reading. Never in a view. */
export interface About {
  vessel: number;
  /** What really came of this bottle, mL; or what the reading would be without the instrument's own error. */
  trueValue: number;
  by: Measured | 'drops' | null;
  /** What was wrong with a mass, g, by the cause that put it there: what has to be taken off it. */
  wrongG?: Readonly<Record<string, number>>;
  /** Whether the solid on a paper was in its other form, for the most part. */
  isTurned?: boolean;
}

export interface KeptReading extends Kept {
  which: Slot;
  about: About;
}

export interface Bench extends CommonBench, Handled {
  plan: Plan;
  sample: Sample;
  /** Bottles first, water after them, then wells, then what was taken from the tray; numbers are places from 1. */
  vessels: readonly Vessel[];
  tools: Readonly<Record<Dipped, Tool>>;
  thermometer: ThermometerPiece;
  /** What the pH meter is off by, and the pipette's scale as a part. */
  probeError: number;
  pipetteError: number;
  /** What the conductivity cell shows, as a part of what is there. */
  cellFactor: number;
  slips: readonly Slip[];
  colorimeter: Colorimeter;
  /** Indicator paper: the vessel it was dipped into last, and the colour that it took. */
  paper: { vessel: number; shade: string } | null;
  readings: readonly KeptReading[];
  /** The other side of the accounts: what was thrown away, mol of carbon dioxide that left, what was taken out of the store. */
  waste: Contents;
  goneMol: number;
  taken: Contents;
  /** mol of the solid in the jar that came into vessels. */
  tippedIn: number;
  balance: BalancePiece | null;
  pan: Pan;
  papers: readonly Paper[];
  oven: Oven;
  boat: Boat;
  /** What has come together: pairs of bottles by their numbers, as “1 2”, and “1 2 much” where there was far more of one. */
  tried: readonly string[];
  /** How often more of a bottle was had. */
  mores: number;
  /** What vessels showed, in the order in which it was seen: it grows alone. */
  seen: readonly SeenLine[];
}

/** Water, mL. */
const WATER_ML = 500;
/** pH and volume that the instruments of one run may be off by. */
const PROBE_TOLERANCE = 0.03;
const PIPETTE_TOLERANCE = 0.006;

const vessel = (type: AnyVessel, contents: Contents = NOTHING): Vessel => ({
  type,
  label: '',
  contents,
  brought: [],
  poured: [],
  warmerK: 0,
  warmAtS: 0,
  ripe: 0,
  at: 'bench',
  hotS: 0,
  mixedAtS: 0,
  tipped: null,
  bubbledMolPerL: 0,
  trial: null,
  isAway: false,
});
export const emptyVessel = (type: AnyVessel): Vessel => vessel(type);

const OUT: Tool = { into: null, sinceS: 0, from: 0, moves: 0 };

/** A boat of a mass of its own, g. */
const drawBoat = (seed: string): Boat => ({
  g: 1.8 + 0.6 * chance(seed, 'boat').uniform(),
  solidG: 0,
  at: 'bench',
  isTipped: false,
  trial: null,
});

/** It begins at green, with nothing set to zero: what it shows then is its own. */
function drawColorimeter(seed: string): Colorimeter {
  const source = chance(seed, 'colorimeter');
  const own = [0.06 + 0.08 * source.uniform(), 0.03 + 0.05 * source.uniform()] as const;
  return { contents: NOTHING, cloudGPerL: 0, vessel: null, trial: null, nm: 520, zero: 0, own };
}

export function begin(plan: Plan, sample: Sample, seed: string, off: readonly string[] = []): Bench {
  const bottles = sample.bottles.map(({ id, molPerL }, i) => ({
    ...vessel('bottle', solutionFrom(id, molPerL, bottleMl(plan))),
    brought: sample.bottles.map((_, j) => (i === j ? (molPerL * bottleMl(plan)) / 1000 : 0)),
  }));
  const wells = plan.spotPlate ? Array.from({ length: WELLS }, () => vessel('well')) : [];
  const own = (tolerance: number, name: string) => {
    const error = withinTolerance(tolerance, chance(seed, name));
    return off.includes('glassware') ? 0 : error;
  };
  return {
    plan,
    sample,
    seed,
    off,
    ...COMMON_AT_START,
    draws: 0,
    vessels: [...bottles, vessel('water', { volumeMl: WATER_ML, amounts: {} }), ...wells],
    tools: { thermometer: { ...OUT, from: sample.roomC }, probe: { ...OUT, from: 7 }, cell: OUT },
    thermometer: drawThermometer('digital 0.01', seed, off.includes('thermometer')),
    probeError: own(PROBE_TOLERANCE, 'pH meter'),
    pipetteError: own(PIPETTE_TOLERANCE, 'pipette'),
    cellFactor: off.includes('glassware') ? 1 : drawCell(chance(seed, 'cell')).factor,
    slips: [],
    colorimeter: drawColorimeter(seed),
    paper: null,
    readings: [],
    balance: plan.balance ? drawBalance(plan.balance, seed, off.includes('balance')) : null,
    pan: BARE_PAN,
    papers: [],
    oven: { setC: sample.roomC, fromC: sample.roomC, sinceS: 0 },
    boat: drawBoat(seed),
    tippedIn: 0,
    waste: NOTHING,
    goneMol: 0,
    taken: NOTHING,
    tried: [],
    mores: 0,
    seen: [],
  };
}

export const isOwn = ({ type }: Vessel): boolean => type === 'well' || type === 'tube' || type === 'beaker';
export const vesselAt = (bench: Bench, number: number): Vessel | undefined => {
  const found = bench.vessels[number - 1];
  return found && !found.isAway ? found : undefined;
};
export const withVessel = (bench: Bench, number: number, change: Partial<Vessel>): Bench => ({
  ...bench,
  vessels: bench.vessels.map((one, i) => (i === number - 1 ? { ...one, ...change } : one)),
});

/** Where the warmth of a vessel goes to, K over the room, and in which time, s. */
const warmsTo = ({ sample }: Pick<Bench, 'sample'>, { at, type }: Vessel): { toK: number; takesS: number } =>
  at === 'plate' ? { toK: PLATE_C - sample.roomC, takesS: PLATE_S } : { toK: 0, takesS: VESSELS_HERE[type].coolsS };

/** How much warmer than the room a vessel is now, K: it cools, or warms on the plate, as Newton has it. */
export function warmerNow(bench: Pick<Bench, 'sample' | 'timeS'>, vessel: Vessel): number {
  const { toK, takesS } = warmsTo(bench, vessel);
  if (vessel.warmerK === toK) return toK;
  return toK + (vessel.warmerK - toK) * Math.exp(-(bench.timeS - vessel.warmAtS) / takesS);
}

/** How fast a solid ripens at the temperature of a room, 1/s, and faster by so much for each kelvin over it. */
const RIPENS_PER_S = 5e-5;
const RIPENS_PER_S_K = 5e-5;
/** Riper than this there is nothing fine left. */
const MOST_RIPE = 30;

/** How ripe its solid is now. */
export function ripeNow(bench: Pick<Bench, 'sample' | 'timeS'>, vessel: Vessel): number {
  const seconds = bench.timeS - vessel.warmAtS;
  const { toK, takesS } = warmsTo(bench, vessel);
  const kelvinSeconds = toK * seconds + (vessel.warmerK - toK) * takesS * -Math.expm1(-seconds / takesS);
  return Math.min(vessel.ripe + RIPENS_PER_S * seconds + RIPENS_PER_S_K * kelvinSeconds, MOST_RIPE);
}

/** A vessel as it is now, from which warmth and ripening go on another way. */
export const asItIs = (bench: Bench, vessel: Vessel): Vessel => ({
  ...vessel,
  warmerK: warmerNow(bench, vessel),
  ripe: ripeNow(bench, vessel),
  warmAtS: bench.timeS,
});

/** Times as damp as usual air. */
export const humidity = ({ plan }: Pick<Bench, 'plan'>): number => DAMPNESS[plan.damp] / DAMPNESS.usual;

/** What a thing is called: as the student wrote it, or by its kind and its number among those. */
export function nameOf(bench: Pick<Bench, 'vessels'>, number: number): string {
  const one = bench.vessels[number - 1];
  if (!one) return 'nothing';
  const alike = bench.vessels.slice(0, number).filter(({ type }) => type === one.type).length;
  if (one.type === 'bottle') return `bottle ${String.fromCharCode(64 + alike)}`;
  if (one.type === 'water') return 'water';
  return one.label === '' ? `${one.type} ${alike}` : `${one.type} ${alike} “${one.label}”`;
}
