import { hydrateGPerMol, hydrateOf } from '../../databook/hydrates';
import { drawBalance, type BalancePiece } from '../../instruments/balance';
import { BARE_PAN, type Pan } from '../../instruments/weighing';
import type { Gases } from '../../physics/drying';
import { chance } from '../../random';
import { COMMON_AT_START, type CommonBench } from '../common-acts';
import type { Handled } from '../hands';
import type { KeptReading as Kept } from '../recordings';
import type { Plan, Slot } from './plan';
import type { Sample } from './sample';

export const PLACES = ['mat', 'triangle', 'gauze', 'desiccator', 'pan'] as const;
export type Place = (typeof PLACES)[number];
export const LIDS = ['on', 'ajar', 'off'] as const;
export type Lid = (typeof LIDS)[number];

/** The sample lies in rings from the rim to the middle, each as warm as it is; these parts of its mass. */
export const RINGS = [7 / 16, 5 / 16, 3 / 16, 1 / 16] as const;

export interface Ring {
  tempC: number;
  /** Mol of the salt at each of its stages. */
  amounts: readonly number[];
}

export interface Crucible {
  at: Place;
  lid: Lid;
  tempC: number;
  massG: number;
  lidG: number;
  /** Water in the porcelain, and soot on it, g. */
  dampG: number;
  sootG: number;
  isCracked: boolean;
  rings: readonly Ring[];
  /** The dry salt that the hydrate is mixed with, g. */
  inertG: number;
  /** What spat out of it, as mol of each stage. */
  spat: readonly number[];
  /** How often it was heated with salt in it, and whether it was since it was weighed last. */
  heatings: number;
  isHeated: boolean;
  /** Warmed faster than this from cold it cracks, K/s. */
  cracksAtKPerS: number;
}

/** What was there beside the number of a reading, in parts. Never in a view. */
export interface About {
  crucible: number;
  lid: Lid;
  lidG: number;
  /** Sample as it is, water that is still in it, and what it would be if it were whole and dry, g. */
  sampleG: number;
  waterG: number;
  dryG: number;
  dampG: number;
  sootG: number;
}

export interface KeptReading extends Kept {
  which: Slot;
  instrument: string;
  about: About;
}

export interface Bench extends CommonBench, Handled {
  plan: Plan;
  sample: Sample;
  crucible: Crucible;
  /** How many were had. */
  crucibles: number;
  /** Up to when what goes on by itself has been brought, s. */
  steppedS: number;
  /** Water that comes off now, g/s. */
  steamGPerS: number;
  burner: {
    gas: number;
    air: number;
    isLit: boolean;
    isUnder: boolean;
    /** Since when gas flows unlit, s. */ leaksSinceS: number | null;
  };
  balance: BalancePiece;
  pan: Pan;
  /** Whether it was said that gas flows unlit. */
  isLeakTold: boolean;
  burns: number;
  /** The other side of the accounts. */
  gone: Gases;
  wasted: readonly number[];
  wastedInertG: number;
  takenMol: number;
  takenInertG: number;
  tookUpMol: number;
  readings: readonly KeptReading[];
}

const stagesOf = ({ sample }: Pick<Bench, 'sample'>) => hydrateOf(sample.hydrateId);
const noAmounts = (bench: Pick<Bench, 'sample'>): number[] => stagesOf(bench).stages.map(() => 0);

/** Water that the porcelain holds as it comes out of its box, g. */
const FIRST_DAMP_G = 0.03;

export function freshCrucible(bench: Pick<Bench, 'seed' | 'sample' | 'off'>, number: number): Crucible {
  const source = chance(bench.seed, `crucible ${number}`);
  return {
    at: 'mat',
    lid: 'on',
    tempC: bench.sample.roomC,
    massG: 17 + 3 * source.uniform(),
    lidG: 6 + 2 * source.uniform(),
    dampG: bench.off.includes('dampCrucible') ? 0 : FIRST_DAMP_G * (0.7 + 0.6 * source.uniform()),
    sootG: 0,
    isCracked: false,
    rings: RINGS.map(() => ({ tempC: bench.sample.roomC, amounts: noAmounts(bench) })),
    inertG: 0,
    spat: noAmounts(bench),
    heatings: 0,
    isHeated: false,
    cracksAtKPerS: 8.5 + 1.5 * source.uniform(),
  };
}

export function begin(plan: Plan, sample: Sample, seed: string, off: readonly string[] = []): Bench {
  const first = { seed, sample, off };
  return {
    plan,
    sample,
    seed,
    off,
    ...COMMON_AT_START,
    draws: 0,
    crucible: freshCrucible(first, 1),
    crucibles: 1,
    steppedS: 0,
    steamGPerS: 0,
    burner: { gas: 0, air: 0, isLit: false, isUnder: true, leaksSinceS: null },
    balance: drawBalance(plan.balance, seed, off.includes('balance')),
    pan: BARE_PAN,
    isLeakTold: false,
    burns: 0,
    gone: {},
    wasted: noAmounts(first),
    wastedInertG: 0,
    takenMol: 0,
    takenInertG: 0,
    tookUpMol: 0,
    readings: [],
  };
}

/** Mol of hydrate in so many grams out of the jar, and grams of what it is mixed with. */
export function outOfJar({ sample }: Pick<Bench, 'sample'>, grams: number): { mol: number; inertG: number } {
  return {
    mol: (sample.part * grams) / hydrateGPerMol(hydrateOf(sample.hydrateId)),
    inertG: (1 - sample.part) * grams,
  };
}
