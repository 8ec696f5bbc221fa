import { NOTHING, solutionFrom, type Contents } from '../../chemistry/contents';
import { drawThermometer, type ThermometerPiece } from '../../instruments/thermometer';
import { chance, withinTolerance } from '../../random';
import { COMMON_AT_START, type CommonBench } from '../common-acts';
import type { Handled } from '../hands';
import type { KeptReading as Kept } from '../recordings';
import type { Plan, Slot, VesselType } from './plan';
import type { Sample } from './sample';
import { VESSELS_HERE, WELLS } from './vessels';

/** What a student put into a vessel, as they meant it. */
export interface Poured {
  /** Number of the thing that it came from. */
  from: number;
  ml: number;
  /** What really came, mL. */
  trueMl: number;
  /** How it was measured. */
  by: 'drops' | 'pipette' | 'cylinder' | 'eye';
}

export interface Vessel {
  type: 'bottle' | 'water' | 'well' | VesselType;
  /** What is written on it. */
  label: string;
  contents: Contents;
  /** mol of each bottle's substance that came into it, reacted or not. */
  brought: readonly number[];
  poured: readonly Poured[];
  /** How much warmer than the room it was when something came last, K, and when that was, s. */
  warmerK: number;
  mixedAtS: number;
  /** Gas that left when something came last, mol for a litre of it. */
  bubbledMolPerL: number;
  /** The trial that it is; null before anything of it was recorded. */
  trial: number | null;
  isAway: boolean;
}

export const DIPPED = ['thermometer', 'probe'] as const;
export type Dipped = (typeof DIPPED)[number];

/** Where a tool is, and what it showed when it came there. */
export interface Tool {
  into: number | null;
  sinceS: number;
  from: number;
  /** How often it was moved: each look wavers anew. */
  moves: number;
}

/** What is in the cuvette, and how the colorimeter is set. */
export interface Colorimeter {
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
export interface Slip {
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
  by: Poured['by'] | null;
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
  slips: readonly Slip[];
  colorimeter: Colorimeter;
  /** Indicator paper: the vessel it was dipped into last, and the colour that it took. */
  paper: { vessel: number; shade: string } | null;
  readings: readonly KeptReading[];
  /** The other side of the accounts: what was thrown away, mol of carbon dioxide that left, what was taken out of the store. */
  waste: Contents;
  goneMol: number;
  taken: Contents;
  /** What has come together: pairs of bottles by their numbers, as “1 2”, and “1 2 much” where there was far more of one. */
  tried: readonly string[];
  /** How often more of a bottle was had. */
  mores: number;
}

/** Bottles of so much, mL; of water. */
export const BOTTLE_ML = { plate: 20, measured: 150 } as const;
const WATER_ML = 500;
/** pH and volume that the instruments of one run may be off by. */
const PROBE_TOLERANCE = 0.03;
const PIPETTE_TOLERANCE = 0.006;

const vessel = (type: Vessel['type'], contents: Contents = NOTHING): Vessel => ({
  type,
  label: '',
  contents,
  brought: [],
  poured: [],
  warmerK: 0,
  mixedAtS: 0,
  bubbledMolPerL: 0,
  trial: null,
  isAway: false,
});
export const emptyVessel = (type: Vessel['type']): Vessel => vessel(type);

export const bottleMl = ({ measures }: Plan): number => (measures ? BOTTLE_ML.measured : BOTTLE_ML.plate);

const OUT: Tool = { into: null, sinceS: 0, from: 0, moves: 0 };

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
    tools: { thermometer: { ...OUT, from: sample.roomC }, probe: { ...OUT, from: 7 } },
    thermometer: drawThermometer('digital 0.01', seed, off.includes('thermometer')),
    probeError: own(PROBE_TOLERANCE, 'pH meter'),
    pipetteError: own(PIPETTE_TOLERANCE, 'pipette'),
    slips: [],
    colorimeter: drawColorimeter(seed),
    paper: null,
    readings: [],
    waste: NOTHING,
    goneMol: 0,
    taken: NOTHING,
    tried: [],
    mores: 0,
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

/** How much warmer than the room a vessel is now, K: it cools as Newton has it. */
export const warmerNow = ({ timeS }: Bench, { type, warmerK, mixedAtS }: Vessel): number =>
  warmerK === 0 ? 0 : warmerK * Math.exp(-(timeS - mixedAtS) / VESSELS_HERE[type].coolsS);

/** What a thing is called: as the student wrote it, or by its kind and its number among those. */
export function nameOf(bench: Pick<Bench, 'vessels'>, number: number): string {
  const one = bench.vessels[number - 1];
  if (!one) return 'nothing';
  const alike = bench.vessels.slice(0, number).filter(({ type }) => type === one.type).length;
  if (one.type === 'bottle') return `bottle ${String.fromCharCode(64 + alike)}`;
  if (one.type === 'water') return 'water';
  return one.label === '' ? `${one.type} ${alike}` : `${one.type} ${alike} “${one.label}”`;
}
