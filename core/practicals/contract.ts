import type { z } from 'zod';
import type { Table } from '../notebook/document';
import type { BenchRecordings, BenchSlot } from '../notebook/readings';
import type { Ask, SampleQuantity, Truths } from '../report/asks';
import type { Support } from '../report/digits';
import type { BookPart } from '../databook/book';
import type { BenchClock } from './bench-clock';
import type { CommonBench, Names } from './common-acts';
import type { Film } from './film';
import type { Outcome } from './outcome';
import type { Brief, HandsOf, Method, Step } from './method';
import type { Subject } from './subjects';

export type { Step } from './method';
export type { Done, Outcome, Refusal } from './outcome';
export { isRefusal } from './outcome';

/** A source of error that can be switched off by itself. */
export interface Cause {
  key: string;
  label: string;
}

/** A mistake of working: the value that it gives is the right one times a factor. */
export interface Slip extends Cause {
  quantity: string;
  factor: number;
}

/** Totals that no act may change, by name: what is on the bench and what has left it, together. */
export type Accounts = Readonly<Record<string, number>>;

/** A reading as the teacher sees it. */
export interface RecordedReading {
  label: string;
  text: string;
  unit: string;
  /** What the scale showed when it was taken. */
  shown: string;
  digitsNote: string | null;
  struck: string | null;
  atS: number;
}

export interface BenchRecord {
  readings: RecordedReading[];
  /** The results of single trials that count, as text with unit. */
  results: string[];
  /** What the sample is and the true errors of the glassware, in words. */
  truth: { label: string; text: string }[];
}

/** What every view tells, beside what its own family's drawing needs. */
export interface BenchView extends BenchRecordings, BenchClock {
  /** Set where browsers are sent no frames: they work out from the view how it goes on, or ask for a film of it. */
  movesInBrowser?: true;
  /** When all that moves there will stand, on the bench clock, s; left out where nothing moves, or it never does. */
  standsAtS?: number;
  /** Whose drawing it is for: the key of a drawing in `app/bench/every-drawing.tsx`. */
  family: string;
  running: boolean;
  /** The last trial that can be recorded in: one that is not begun yet where recording begins it. */
  recordableTrial: number;
  /** Readings that a trial can have, in the order in which they are taken. */
  slots: readonly BenchSlot[];
  steps: readonly Step[];
}

/** The part of a view that changes while time passes. */
export interface BenchFrame {
  timeS: number;
  running: boolean;
}

/**
 * What every practical is; `withCommonActs` adds the acts that every bench takes. Pure and deterministic: the same setup, seed and acts give the same bench on every
 * machine, and `advance(a + b)` is `advance(a)` then `advance(b)`.
 */
export interface Practical<
  Setup,
  Sample,
  Bench extends CommonBench,
  Act extends { kind: string },
  View extends BenchView,
  Frame extends BenchFrame,
  Labels extends { family: string },
> {
  id: string;
  title: string;
  summary: string;
  subject: Subject;
  /** The part of the data book that it needs. */
  book: BookPart;
  /**
   * Which behaviour it has: raised when the same acts give another bench than before (the golden logs tell). Runs keep
   * the one that they were begun under.
   */
  model: number;
  /** Set where browsers work out for themselves what goes on by itself: nothing of that may be a secret. */
  movesInBrowser?: true;
  setup: z.ZodType<Setup>;
  sampleSchema: z.ZodType<Sample>;
  act: z.ZodType<Act>;
  /** What of the setup a student may be told. */
  labels(setup: Setup): Labels;
  /** The question and the method, in paragraphs. */
  brief(setup: Setup): Brief;
  /** How it is done; left out where the family has no method yet. */
  method?(setup: Setup): Method<Bench, HandsOf<Act, View>>;
  /** How many samples a setup can give that differ in what the student can tell. */
  sampleRoom(setup: Setup): number;
  /** The index-th sample of an assignment's seed; the samples of one seed all differ to three digits. */
  sample(setup: Setup, seed: string, index: number): Sample;
  begin(setup: Setup, sample: Sample, seed: string, causesOff?: readonly string[]): Bench;
  /** Acts that record a reading, and no others, have a kind that begins with “record”. */
  perform(bench: Bench, act: Act): Outcome<Bench>;
  /** Time passes; nothing does while the bench is paused. */
  advance(bench: Bench, seconds: number): Bench;
  /** Whether anything goes on by itself, the clock running: an open tap, a colour that lingers. Where time itself matters, always. */
  running(bench: Bench): boolean;
  view(bench: Bench): View;
  /** The part of the view that changes while time passes. */
  frame(bench: Bench): Frame;
  /** An act in words, for the teacher. */
  describe(act: Act): string;
  names: Names;
  /** What the instruments showed beside what was read, and the results of trials: for the teacher alone. */
  record(setup: Setup, sample: Sample, bench: Bench): BenchRecord;
  steps(bench: Bench): Step[];
  /** The tables that a notebook begins with: those that take up the readings. */
  tables(setup: Setup): Table[];
  /** The report asked for unless the teacher composes another. */
  asks(setup: Setup): Ask[];
  /** What can be asked about a sample and checked, and the true values of it. */
  quantities(setup: Setup): SampleQuantity[];
  /** Of what was there when it was read, where that is asked for, the bench tells. */
  truths(setup: Setup, sample: Sample, bench: Bench): Truths;
  /** How many digits the recorded readings allow a quantity, and why; left out where the report's own number holds. */
  support?(setup: Setup, sample: Sample, bench: Bench): Readonly<Record<string, Support>>;
  /** Names that the recorded readings do not rule out, by the quantity that is a name; what an eye tells apart is ruled out. */
  leftOpen?(setup: Setup, sample: Sample, bench: Bench): Readonly<Record<string, readonly string[]>>;
  /** What speaks against setting it so, by setting: such as a pool that the tray cannot tell apart. */
  objections?(setup: Setup): readonly { field: string; sentence: string }[];
  /**
   * Quantities whose values a class can lay beside one another, each with the name of what it is a value of: the same
   * for all who were given the same. Left out where every sample is another.
   */
  pool?(setup: Setup, sample: Sample): Readonly<Record<string, string>>;
  /** Why a report has nothing to stand on yet, as a sentence; undefined when it has. */
  unready(setup: Setup, sample: Sample, bench: Bench): string | undefined;
  /**
   * What the recorded readings come to when nothing is wrong with the working, by quantity; left out where they do
   * not reach. With `was`, the bench with all its errors on, the same for `bench`, which differs from it by causes
   * that are switched off: errors of the student's own are kept, and hands stop at what they stopped at.
   */
  results(setup: Setup, sample: Sample, bench: Bench, was?: Bench): Readonly<Record<string, number>>;
  /** The same as who draws what was logged works it out, as the brief has it; left out where nothing is drawn. */
  drawnResults?(setup: Setup, sample: Sample, bench: Bench): Readonly<Record<string, number>>;
  /** Mistakes of working that change a result by a factor known beforehand. */
  slips(setup: Setup, sample: Sample, bench: Bench): readonly Slip[];
  /** Sources of error that can be switched off by themselves when a run is done again. */
  causes(setup: Setup): readonly Cause[];
  accounts(bench: Bench): Accounts;
  /**
   * The bench as plain values that can be cloned and stored, and one of them again, which goes on to the last bit as the
   * other would; left out where it is that already.
   */
  keep?(bench: Bench): unknown;
  keptBench?(kept: unknown): Bench;
  /**
   * Pictures of what flies from a bench time on, for benches that browsers cannot let fly without being told what is asked
   * for; and the bench at the last of them, which goes on from there. Left out of all others, undefined where this bench is none.
   */
  film?(bench: Bench, fromS: number): { film: Film; bench: Bench } | undefined;
  /** What must never reach a student while the run is open: words, and numbers with their closeness. */
  secrets(setup: Setup, sample: Sample, bench: Bench): { words: string[]; numbers: number[] };
}
