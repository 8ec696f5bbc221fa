import type { z } from 'zod';
import type { Notebook, Table } from '../notebook/document';
import type { Ask, SampleQuantity, Truths } from '../report/asks';
import { checkReport, type Answers, type Checked } from '../report/check';
import type { Support } from '../report/digits';
import type { BookPart } from '../databook/book';
import type { Pace } from './bench-clock';
import type { CommonBench } from './common-acts';
import type { Film } from './film';
import type { Accounts, BenchFrame, BenchRecord, BenchView, Practical, Step } from './contract';
import { isRefusal } from './contract';
import type { Brief, HandsOf } from './method';
import type { Subject } from './subjects';
import { influencesOn, type Handed, type Influences, type TimedAct } from './influences';

/** What a reading says, as it was typed or shown. */
interface KeptText {
  text: string;
  value: number;
}

/** What an act added to what stands in the notebook: readings, and lines of a log that came until it was done. */
export interface Added {
  readings: readonly KeptText[];
  logged: readonly unknown[];
}

/** A bench with its practical's types closed over, so that the server can hold benches of every kind alike. */
export interface LiveBench<View, Frame> {
  clockS: number;
  pace: Pace;
  /** Whether anything goes on by itself, the clock running. */
  running: boolean;
  /** Whether browsers work out for themselves what goes on. */
  movesInBrowser: boolean;
  /** @param act as {@link OpenPractical.readAct} gave it; anything else is a programmer's error and throws */
  perform(act: unknown): { bench: LiveBench<View, Frame>; note?: string } | { refusal: string };
  advance(seconds: number): LiveBench<View, Frame>;
  view(): View;
  /** The part of the view that changes while time passes. */
  frame(): Frame;
  steps(): Step[];
  /** How many readings and lines of a log there are. */
  counted(): { readings: number; logged: number };
  /** What came to them since an earlier bench of this run. */
  addedSince(before: LiveBench<View, Frame>): Added;
  /** The same bench with what came since an earlier one as it was recorded under an earlier model. */
  asRecorded(before: LiveBench<View, Frame>, added: Added): LiveBench<View, Frame>;
  /** A report held against the sample; by the practical's own questions unless others are given. */
  check(answers: Answers, asks?: readonly Ask[], notebook?: Notebook): Checked;
  truths(): Truths;
  /** What the recorded readings come to when nothing is wrong with the working, by quantity. */
  results(): Readonly<Record<string, number>>;
  /** The same by what was logged, where the brief has it drawn. */
  drawnResults(): Readonly<Record<string, number>>;
  /** How sure the recorded readings make each quantity. */
  support(): Readonly<Record<string, Support>>;
  /** Names that the recorded readings do not rule out, by quantity. */
  leftOpen(): Readonly<Record<string, readonly string[]>>;
  record(): BenchRecord;
  accounts(): Accounts;
  secrets(): { words: string[]; numbers: number[] };
  /** Pictures of what flies from a bench time on, and this bench at the last of them; undefined of benches that have none. */
  film(fromS: number): { film: Film; bench: LiveBench<View, Frame> } | undefined;
  /** The whole hidden state as plain values, to be stored: see {@link OpenPractical.resume}. */
  kept(): unknown;
  /** The whole hidden state: for the contract's own tests. */
  inside(): unknown;
}

/** A practical whose setups, samples and acts come and go as JSON. */
export interface OpenPractical<View, Frame, Labels> {
  id: string;
  title: string;
  summary: string;
  subject: Subject;
  book: BookPart;
  model: number;
  /** Whether an act can make seconds of work, so that it is done away from where others are answered. */
  worksLong: boolean;
  /** Whether what flies on some of its benches is sent as pictures. */
  films: boolean;
  setup: z.ZodType;
  act: z.ZodType;
  sampleRoom(setup: unknown): number;
  sample(setup: unknown, seed: string, index: number): unknown;
  open(setup: unknown, sample: unknown, seed: string): LiveBench<View, Frame>;
  /** The bench as it was kept, which goes on from there as the other would. */
  resume(setup: unknown, sample: unknown, seed: string, kept: unknown): LiveBench<View, Frame>;
  /** An act from outside, or undefined when it is none. */
  readAct(json: unknown): { kind: string } | undefined;
  describe(act: unknown): string;
  labels(setup: unknown): Labels;
  brief(setup: unknown): Brief;
  /** How it is done, each step with the acts that do it; empty where the family has no method yet. */
  method(
    setup: unknown,
  ): readonly { key: string; work(hands: HandsOf<{ kind: string }, View>, leavesOut?: string): Promise<void> | void }[];
  asks(setup: unknown): Ask[];
  quantities(setup: unknown): SampleQuantity[];
  /** What speaks against setting it so, by setting. */
  objections(setup: unknown): readonly { field: string; sentence: string }[];
  tables(setup: unknown): Table[];
  /** What each quantity of a sample is a value of, where others can be given the same. */
  pool(setup: unknown, sample: unknown): Readonly<Record<string, string>>;
  /**
   * What moved each number that was handed in.
   * @param acts all that were done, none that was refused, as {@link readAct} or the server's store gives them
   */
  influences(
    run: { setup: unknown; sample: unknown; seed: string },
    acts: readonly TimedAct[],
    handed: readonly Handed[],
  ): Influences[];
}

/** The act that no bench does itself: all stands as it did at the beginning, with the same sample and glassware. */
export const START_ANEW = { kind: 'startAnew' } as const;
const isStartAnew = (json: unknown): boolean =>
  typeof json === 'object' && json !== null && 'kind' in json && json.kind === START_ANEW.kind;

/** Acts of what stands on the bench now: those before a fresh start have left nothing there. */
const sinceStart = (acts: readonly TimedAct[]): readonly TimedAct[] =>
  acts.slice(acts.findLastIndex(({ act }) => isStartAnew(act)) + 1);

/** Lines that probes and thermometers have logged, in benches that log. */
const logOf = (bench: object): readonly unknown[] =>
  'logged' in bench && Array.isArray(bench.logged) ? (bench.logged as unknown[]) : [];

/** What came to a list since it was so long; all of one that has begun anew. */
const tail = <T>(list: readonly T[], since: number): readonly T[] => list.slice(list.length < since ? 0 : since);

export function openPractical<
  Setup,
  Sample,
  Bench extends CommonBench,
  Act extends { kind: string },
  View extends BenchView,
  Frame extends BenchFrame,
  Labels extends { family: string },
>(practical: Practical<Setup, Sample, Bench, Act, View, Frame, Labels>): OpenPractical<View, Frame, Labels> {
  const { setup: setupSchema } = practical;
  /** Acts that {@link OpenPractical.readAct} has read are not read a second time. */
  const read = new WeakSet<object>();
  const checked = (json: unknown): Act => (isRead(json) ? json : practical.act.parse(json));
  const isRunning = (bench: Bench) => !bench.paused && practical.running(bench);
  const isRead = (json: unknown): json is Act => typeof json === 'object' && json !== null && read.has(json);
  const opened = (
    setupJson: unknown,
    sampleJson: unknown,
    seed: string,
    first: (anew: () => Bench) => Bench,
  ): LiveBench<View, Frame> => {
    const setup = setupSchema.parse(setupJson);
    const sample = practical.sampleSchema.parse(sampleJson);
    const anew = () => practical.begin(setup, sample, seed);
    const live = (bench: Bench): LiveBench<View, Frame> => ({
      clockS: bench.timeS,
      pace: bench.pace,
      running: isRunning(bench),
      movesInBrowser: practical.movesInBrowser ?? false,
      perform: (json) => {
        if (isStartAnew(json)) return { bench: live(anew()), note: 'The bench stands as it did at the beginning.' };
        const outcome = practical.perform(bench, checked(json));
        return isRefusal(outcome) ? outcome : { bench: live(outcome.bench), note: outcome.note };
      },
      advance: (seconds) => live(practical.advance(bench, seconds)),
      view: () => practical.view(bench),
      frame: () => practical.frame(bench),
      steps: () => practical.steps(bench),
      counted: () => ({ readings: bench.readings.length, logged: logOf(bench).length }),
      addedSince: (before) => {
        const since = before.counted();
        return {
          readings: tail(bench.readings, since.readings).map(({ text, value }) => ({ text, value })),
          logged: tail(logOf(bench), since.logged),
        };
      },
      asRecorded: (before, { readings, logged }) => {
        const since = before.counted();
        const made = tail(bench.readings, since.readings);
        const earlier = bench.readings.slice(0, bench.readings.length - made.length);
        const log = logOf(bench);
        const lines = log.slice(0, log.length - tail(log, since.logged).length);
        return live({
          ...bench,
          readings: [...earlier, ...made.map((reading, i) => ({ ...reading, ...readings[i] }))],
          ...('logged' in bench && { logged: [...lines, ...logged] }),
        });
      },
      check: (answers, asks = practical.asks(setup), notebook) => {
        const quantities = practical.quantities(setup);
        const truths = practical.truths(setup, sample, bench);
        const support = practical.support?.(setup, sample, bench);
        const leftOpen = practical.leftOpen?.(setup, sample, bench);
        const checked = checkReport({ asks, answers, quantities, truths, support, leftOpen, notebook });
        const unready = practical.unready(setup, sample, bench);
        if (unready === undefined) return checked;
        const problem = { field: 'readings', sentence: unready };
        return { ok: false, problems: [problem, ...(checked.ok ? [] : checked.problems)] };
      },
      truths: () => practical.truths(setup, sample, bench),
      results: () => practical.results(setup, sample, bench),
      drawnResults: () => (practical.drawnResults ?? practical.results)(setup, sample, bench),
      support: () => practical.support?.(setup, sample, bench) ?? {},
      leftOpen: () => practical.leftOpen?.(setup, sample, bench) ?? {},
      record: () => practical.record(setup, sample, bench),
      accounts: () => practical.accounts(bench),
      secrets: () => practical.secrets(setup, sample, bench),
      film: (fromS) => {
        const filmed = practical.film?.(bench, fromS);
        return filmed && { film: filmed.film, bench: live(filmed.bench) };
      },
      kept: () => practical.keep?.(bench) ?? bench,
      inside: () => bench,
    });
    return live(first(anew));
  };
  return {
    id: practical.id,
    title: practical.title,
    summary: practical.summary,
    subject: practical.subject,
    book: practical.book,
    model: practical.model,
    worksLong: practical.keptBench !== undefined,
    films: practical.film !== undefined,
    setup: setupSchema,
    act: practical.act,
    sampleRoom: (setup) => practical.sampleRoom(setupSchema.parse(setup)),
    sample: (setup, seed, index) => practical.sample(setupSchema.parse(setup), seed, index),
    open: (setup, sample, seed) => opened(setup, sample, seed, (anew) => anew()),
    resume: (setup, sample, seed, kept) =>
      opened(setup, sample, seed, () => practical.keptBench?.(kept) ?? (kept as Bench)),
    readAct: (json) => {
      if (isStartAnew(json)) return START_ANEW;
      const act = practical.act.safeParse(json).data;
      if (act) read.add(act);
      return act;
    },
    describe: (act) => (isStartAnew(act) ? 'began anew' : practical.describe(practical.act.parse(act))),
    labels: (setup) => practical.labels(setupSchema.parse(setup)),
    brief: (setup) => practical.brief(setupSchema.parse(setup)),
    method: (setup) =>
      (practical.method?.(setupSchema.parse(setup)) ?? []).map(({ key, work }) => ({
        key,
        work: (hands, leavesOut) => work(hands as HandsOf<Act, View>, leavesOut),
      })),
    asks: (setup) => practical.asks(setupSchema.parse(setup)),
    quantities: (setup) => practical.quantities(setupSchema.parse(setup)),
    objections: (setup) => practical.objections?.(setupSchema.parse(setup)) ?? [],
    tables: (setup) => practical.tables(setupSchema.parse(setup)),
    pool: (setup, sample) => practical.pool?.(setupSchema.parse(setup), practical.sampleSchema.parse(sample)) ?? {},
    influences: (run, acts, handed) =>
      influencesOn(
        { ...practical, perform: (bench, act) => practical.perform(bench, checked(act)) },
        {
          setup: setupSchema.parse(run.setup),
          sample: practical.sampleSchema.parse(run.sample),
          seed: run.seed,
        },
        sinceStart(acts),
        handed,
      ),
  };
}
