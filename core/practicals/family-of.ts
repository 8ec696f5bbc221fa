import type { z } from 'zod';
import type { BookPart } from '../databook/book';
import type { CommonBench, Names } from './common-acts';
import type {
  Accounts,
  BenchFrame,
  BenchRecord,
  BenchView,
  Cause,
  Outcome,
  Practical,
  RecordedReading,
  Step,
} from './contract';
import type { Film } from './film';
import type { KindOf } from './kind';
import { briefWith, stepsByMethod, type HandsOf, type Method } from './method';
import { partsOfKind } from './of-kind';
import { recordedReadings, toldOfSlot, type KeptReading, type SlotEntry } from './recordings';
import type { Subject } from './subjects';

/** What a family is whose practicals stand on one bench: all that does not differ from kind to kind, or follows from what it says. */
interface Family<
  Sample,
  Bench extends CommonBench & { plan: Plan; seed: string; readings: readonly KeptReading[] },
  Act extends { kind: string },
  View extends BenchView,
  Frame extends BenchFrame,
  Plan extends { family: string },
  Row,
  Own,
  Base,
> {
  subject: Subject;
  book: BookPart;
  /** Raised when the same acts give another bench than before; a kind's own holds for it alone. 1 where it is left out. */
  model?: number;
  movesInBrowser?: true;
  sampleSchema: z.ZodType<Sample>;
  act: z.ZodType<Act>;
  begin(plan: Plan, sample: Sample, seed: string, causesOff: readonly string[], setup: Base): Bench;
  perform(bench: Bench, act: Act): Outcome<Bench>;
  advance(bench: Bench, seconds: number): Bench;
  running(bench: Bench): boolean;
  /** The method that brief, steps and rehearsed students come from. */
  method?(plan: Plan, kind: Own): Method<Bench, HandsOf<Act, View>>;
  /** Steps of a family that has no method. */
  steps?(bench: Bench, kind: Own): Step[];
  view(bench: Bench, steps: Step[], kind: Own): View;
  frame(bench: Bench): Frame;
  describe(act: Act): string;
  /** Readings by what they are. Their names, and how a teacher sees them, follow where the family says nothing else. */
  slots?: Readonly<Record<string, SlotEntry>>;
  /** What of a slot is its name in the log and for the teacher. */
  calls?: 'label' | 'short';
  names?: Partial<Names>;
  rowsOf(bench: Bench, was?: Bench): readonly Row[];
  /** The rows as who draws what was logged reads them; left out where nothing is drawn. */
  drawnRows?(bench: Bench): readonly Row[];
  /** The rows once for each source of uncertainty, moved by one standard deviation of it. */
  movedRows?(bench: Bench, rows: readonly Row[], kind: Own): Row[][];
  /** A reading as the teacher sees it; by its slot where it is left out. */
  toldReading?(bench: Bench): (reading: Bench['readings'][number]) => Pick<RecordedReading, 'label' | 'unit' | 'shown'>;
  /** The whole record, where a family has one of its own. */
  record?(bench: Bench, truth: BenchRecord['truth'], results: string[]): BenchRecord;
  /** What of the bench a teacher may compare besides what the sample is. */
  besides?(bench: Bench): BenchRecord['truth'];
  /** What can be switched off by itself, in the order in which it is told; a kind may leave some out. */
  causes?(plan: Plan, kind: Own, setup: Base): readonly Cause[];
  accounts?(bench: Bench): Accounts;
  /** Numbers that would give the sample away, or what instruments are off by: those that anybody could read are left out. */
  hidden?(sample: Sample, bench: Bench, kind: Own): readonly number[];
  /** What must not be sent besides, whatever it looks like. */
  secrets?(sample: Sample, bench: Bench, setup: Base): { words: string[]; numbers: number[] };
  keep?(bench: Bench): unknown;
  keptBench?(kept: unknown): Bench;
  film?(bench: Bench, fromS: number): { film: Film; bench: Bench } | undefined;
}

/** What kinds of every family may say besides. */
interface AnyKind {
  causes?: readonly string[];
  model?: number;
  untried?(bench: never): string | undefined;
}

/** Whether a number is one that nobody writes down by chance: with more decimals than anything that is read or chosen. */
const isTelling = (value: number): boolean => value !== 0 && Math.abs(value * 1e4 - Math.round(value * 1e4)) > 1e-6;

/** A family of practicals on one bench. @typeParam Base what the setup of every kind has @returns what makes a practical of a kind */
export function familyOf<
  Sample,
  Bench extends CommonBench & { plan: Plan; seed: string; readings: readonly KeptReading[] },
  Act extends { kind: string },
  View extends BenchView,
  Frame extends BenchFrame,
  Plan extends { family: string },
  Row,
  Own = object,
  Base = unknown,
>(family: Family<Sample, Bench, Act, View, Frame, Plan, Row, Own & AnyKind, Base>) {
  const {
    method,
    rowsOf,
    movedRows,
    drawnRows,
    steps,
    view,
    causes,
    hidden,
    secrets,
    toldReading,
    besides,
    slots = {},
    calls = 'label',
    ...same
  } = family;
  const recordOf: NonNullable<typeof family.record> =
    family.record ??
    ((bench, truth, results) => ({
      readings: recordedReadings<Bench['readings'][number]>(
        bench.readings,
        toldReading?.(bench) ??
          toldOfSlot<string>(
            slots,
            () => 4,
            ({ which }) => slots[which]?.[calls] ?? which,
          ),
      ),
      results,
      truth: [...truth, ...(besides?.(bench) ?? [])],
    }));
  return <Setup extends Base>(
    kind: KindOf<Setup, Sample, Plan, Row, Bench> &
      Own &
      Pick<AnyKind, 'model'> & { untried?(bench: Bench): string | undefined },
  ): Practical<Setup, Sample, Bench, Act, View, Frame, Plan> => {
    const { resultTexts, unready, ...parts } = partsOfKind<Setup, Sample, Plan, Row, Bench>(kind, {
      rowsOf,
      ...(movedRows && { movedRows: (bench, rows) => movedRows(bench, rows, kind) }),
    });
    const stepsOf = (bench: Bench) =>
      method ? stepsByMethod(method(bench.plan, kind), bench) : (steps?.(bench, kind) ?? []);
    /** As the method is told with settings as they come. */
    const toldStep = (key: string) => method?.(kind.plan(kind.setup.parse({})), kind).find((step) => step.key === key);
    return {
      ...same,
      ...parts,
      model: kind.model ?? family.model ?? 1,
      accounts: family.accounts ?? (() => ({})),
      names: {
        reading: (which) => `the ${slots[which]?.[calls] ?? 'reading'}`,
        step: (key) => (toldStep(key) ? `“${toldStep(key)?.does}”` : 'of the method'),
        ...family.names,
      },
      begin: (setup, sample, seed, off = []) => family.begin(kind.plan(setup), sample, seed, off, setup),
      method: method && ((setup) => method(kind.plan(setup), kind)),
      brief: (setup) => briefWith(kind.brief(setup), method?.(kind.plan(setup), kind)),
      ...(drawnRows && { drawnResults: (setup, sample, bench) => kind.results(setup, sample, drawnRows(bench)) }),
      view: (bench) => view(bench, stepsOf(bench), kind),
      steps: stepsOf,
      record: (setup, sample, bench) => recordOf(bench, kind.truth(setup, sample), resultTexts(setup, sample, bench)),
      causes: (setup) =>
        (causes?.(kind.plan(setup), kind, setup) ?? []).filter(
          ({ key }) => kind.causes === undefined || kind.causes.includes(key),
        ),
      unready: (setup, sample, bench) => kind.untried?.(bench) ?? unready(setup, sample, bench),
      secrets: (setup, sample, bench) => {
        const besides = secrets?.(sample, bench, setup) ?? { words: [], numbers: [] };
        return {
          words: [bench.seed, ...besides.words],
          numbers: [...(hidden?.(sample, bench, kind) ?? []).filter(isTelling), ...besides.numbers],
        };
      },
    };
  };
}
