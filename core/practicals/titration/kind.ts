import type { z } from 'zod';
import type { Slip } from '../contract';
import type { Ask, SampleQuantity, Truths } from '../../report/asks';
import type { BriefParts } from '../method';
import type { Found } from '../uncertainty';
import type { Plan } from './plan';

/** What the bottles and the jar really hold. */
export interface Stock {
  titrant: { soluteId: string; molPerL: number; label: string };
  /** Solutes of the bottle, mol/L. */
  bottle: Readonly<Record<string, number>>;
  /** What a gram of the solid gives in solution, mol/g; insoluble ones only as far as acid reaches. */
  solid: {
    perGram: Readonly<Record<string, number>>;
    insoluble: boolean;
    /** What the jar's label says of it besides, where that is another for each student. */
    note?: string;
  } | null;
  /**
   * Protons that each solute exchanges with the titrant, at each of its equivalence points that can be seen; negative
   * for what has already used up another's. All but one have a single number.
   */
  exchanged: Readonly<Record<string, readonly number[]>>;
}

/** What the readings of one trial come to. */
export interface Measured {
  trial: number;
  /** From the burette's two readings, or from the logged curve, mL. */
  titreMl: number | null;
  /** Protons exchanged with each molecule at the equivalence point that was titrated to. */
  stage: number;
  /** Weighed into the flask, g. */
  massG: number | null;
  /** Portions of the bottle that were pipetted in. */
  portions: number;
  /** pH half-way to the last equivalence point, from the logged curve. */
  halfWayPh: number | null;
}

/**
 * One kind of titration: what the teacher chooses, what is drawn for a student, what stands on the bench, what is
 * asked, and how a result follows from readings. The bench itself is the same for all kinds.
 */
export interface Kind<Setup, Sample> {
  id: string;
  title: string;
  summary: string;
  /** Raised when the same acts give another bench of this kind than before; see `Practical.model`. */
  model?: number;
  setup: z.ZodType<Setup>;
  sampleSchema: z.ZodType<Sample>;
  /** How many samples differ in what the student can tell. */
  room(setup: Setup): number;
  draw(setup: Setup, seed: string, index: number): Sample;
  plan(setup: Setup): Plan;
  stock(setup: Setup, sample: Sample): Stock;
  brief(setup: Setup): BriefParts;
  quantities(setup: Setup): SampleQuantity[];
  truths(setup: Setup, sample: Sample): Truths;
  asks(setup: Setup): Ask[];
  /** What the readings come to when nothing is wrong with the working: by quantity; left out where they do not reach. */
  results(setup: Setup, sample: Sample, measured: readonly Measured[]): Readonly<Record<string, number>>;
  /** Names that results so uncertain leave open, by quantity. */
  leftOpen?(setup: Setup, sample: Sample, found: Found): Readonly<Record<string, readonly string[]>>;
  objections?(setup: Setup): readonly { field: string; sentence: string }[];
  slips(setup: Setup, sample: Sample, measured: readonly Measured[]): readonly Slip[];
  /** What the sample is, for the teacher: what it is first, how much second. */
  truth(setup: Setup, sample: Sample): { label: string; text: string }[];
  /** Words and numbers that must never reach a student. */
  hidden(setup: Setup, sample: Sample): { words: string[]; numbers: number[] };
}
