import type { z } from 'zod';
import type { Table } from '../notebook/document';
import type { Ask, SampleQuantity, Truths } from '../report/asks';
import type { Slip } from './contract';
import type { BriefParts } from './method';
import type { Found } from './uncertainty';

/**
 * One practical of a family whose bench is the same for all: what the teacher chooses, what is drawn for a student, what stands
 * on the bench, what is asked, and how a result follows from the rows of readings.
 */
export interface KindOf<Setup, Sample, Plan, Row, Bench> {
  id: string;
  title: string;
  summary: string;
  setup: z.ZodType<Setup>;
  /** How many samples differ in what the student can tell. */
  room(setup: Setup): number;
  draw(setup: Setup, seed: string, index: number): Sample;
  plan(setup: Setup): Plan;
  /** What the student reads beside the method; all of it in one piece where the family has no method. */
  brief(setup: Setup): BriefParts;
  tables(setup: Setup): Table[];
  quantities(setup: Setup): SampleQuantity[];
  truths(setup: Setup, sample: Sample, bench: Bench): Truths;
  asks(setup: Setup): Ask[];
  results(setup: Setup, sample: Sample, rows: readonly Row[]): Readonly<Record<string, number>>;
  /** Standard uncertainties of the results, where they do not follow from those of single readings. */
  uncertainties?(setup: Setup, sample: Sample, rows: readonly Row[]): Readonly<Record<string, number>>;
  /** Which reading limits a result most, as a sentence, by quantity. */
  hints?(setup: Setup, rows: readonly Row[]): Readonly<Record<string, string>>;
  /** Names that results so uncertain leave open, by quantity. */
  leftOpen?(
    setup: Setup,
    sample: Sample,
    found: Found,
    rows: readonly Row[],
  ): Readonly<Record<string, readonly string[]>>;
  objections?(setup: Setup): readonly { field: string; sentence: string }[];
  slips?(setup: Setup, sample: Sample, rows: readonly Row[]): readonly Slip[];
  /** What the sample is, for the teacher. */
  truth(setup: Setup, sample: Sample): { label: string; text: string }[];
  /** What of it others in the class may have been given, too. */
  pool?(setup: Setup, sample: Sample): Readonly<Record<string, string>>;
  /** Results that have to be there before a report can be handed in; any one where it is left out. */
  needs?: readonly string[];
  /** Causes that can have moved what is asked for; all that the bench has where it is left out. */
  causes?: readonly string[];
  /** What a result is called where there is little room, by quantity; by its label where it is left out. */
  symbols?: Readonly<Record<string, string>>;
  /** What a result stands on, for who has none of it yet. */
  nothingYet: string | ((setup: Setup) => string);
}
