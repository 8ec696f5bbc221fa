import fc from 'fast-check';
import { describe, expect, inject, it } from 'vitest';
import { z } from 'zod';
import type { BenchFrame, BenchView } from './contract';
import type { LiveBench, OpenPractical } from './live-bench';
import { NotThere } from './method';
import { PRACTICALS } from './registry';
import { actsOf, type JsonSchema } from './testing';

type AnyLiveBench = LiveBench<BenchView, BenchFrame>;
type Secrets = ReturnType<AnyLiveBench['secrets']>;

/** The suite that every practical passes. Acts are made from the practical's own schema, sensible and senseless. */

function numbersIn(value: unknown): number[] {
  if (typeof value === 'number') return [value];
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(numbersIn) : [];
}

/** Two hidden states, number by number, but for rounding. */
function expectSame(a: unknown, b: unknown): void {
  const [left, right] = [numbersIn(a), numbersIn(b)];
  expect(left.length).toBe(right.length);
  left.forEach((value, i) =>
    expect(Math.abs(value - (right[i] as number))).toBeLessThan(1e-9 * Math.max(1, Math.abs(value))),
  );
}

/** Sequences of acts for each setup: the bench is the same for many practicals, so that few for each are many for it. */
const ROUNDS = inject('isLong') ? 600 : 40;

/** What is told in mL, g or mol is an amount, which is never negative, but for what a balance or a pipette is off by and what has gone both ways. */
const SIGNED = new Set(['tareG', 'errorMl', 'outMol']);
/** Families that hold totals of ions: of protons there are fewer than none where a base is. */
const IONS = new Set(['solutions']);

/** Amounts that are negative, each with where it stands. */
function negativeIn(value: unknown, hasIons: boolean, path = ''): string[] {
  if (typeof value === 'number') {
    const name = path.slice(path.lastIndexOf('.') + 1);
    const isAmount = /(?:G|Ml|[mM]ol)$/.test(name) || (!hasIons && /\.(?:mol|amounts)\.\w+$/.test(path));
    return isAmount && !SIGNED.has(name) && value < -1e-9 ? [`${path}: ${value}`] : [];
  }
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, part]) =>
    negativeIn(part, hasIons, Array.isArray(value) ? path : `${path}.${key}`),
  );
}

/** No NaN, no infinity, no negative amount, in what is seen and in what is not. */
function expectPossible(view: BenchView, inside: unknown): void {
  const impossible = [...numbersIn(view), ...numbersIn(inside)].filter((number) => !Number.isFinite(number));
  expect(impossible).toEqual([]);
  expect(negativeIn(inside, IONS.has(view.family))).toEqual([]);
}

/**
 * @param shown all that is sent @param told what is told before anything is done
 * @param typed what the student typed, which may stand there again
 */
function expectHidden({ words, numbers }: Secrets, shown: unknown, told: string, typed: string): void {
  const text = told + JSON.stringify(shown);
  const leaks = words.filter((word) => word.length > 3 && !typed.includes(word) && text.includes(word));
  expect(leaks).toEqual([]);
  const near = numbersIn(shown).filter((number) => numbers.some((secret) => Math.abs(number / secret - 1) <= 1e-7));
  expect(near).toEqual([]);
}

type Tried = OpenPractical<BenchView, BenchFrame, { family: string }>;
type Played = [act: unknown, seconds: number][];

/** Time, then an act, again and again; refusals leave the bench as it was. */
function playedOn(
  start: AnyLiveBench,
  sequence: Played,
  each: (bench: AnyLiveBench, refusal?: string) => void = () => {},
): AnyLiveBench {
  let bench = start;
  for (const [act, seconds] of sequence) {
    bench = bench.advance(seconds);
    const outcome = bench.perform(act);
    if ('refusal' in outcome) each(bench, outcome.refusal);
    else each((bench = outcome.bench));
  }
  return bench;
}

// Times are multiples of 1/64 s, so that a sum of them is exact and what falls on a moment falls on it either way.
const time = (most: number) => fc.integer({ min: 0, max: 64 * most }).map((ticks) => ticks / 64);
const seeds = fc.integer({ min: 0, max: 200 }).map(String);
const stepsOf = (practical: Tried, setup: unknown, most: number) =>
  fc.array(fc.tuple(actsOf(practical, setup), time(12)), { minLength: 1, maxLength: most });

/** What may stand there: what was told before anything was done, and what was typed since. */
interface Known {
  told: string;
  typed: string;
}
const toldOf = (practical: Tried, setup: unknown) =>
  JSON.stringify([practical.labels(setup), practical.brief(setup), practical.asks(setup)]);

/** What holds of any bench, whatever is done from there on. @param resumed the same bench from what was kept of one */
function expectSound(
  known: Known,
  start: AnyLiveBench,
  sequence: Played,
  [first, second]: [number, number],
  resumed: (kept: unknown) => AnyLiveBench,
): void {
  const before = start.accounts();
  const typed = known.typed + JSON.stringify(sequence);
  const bench = playedOn(start, sequence, (present, refusal) => {
    if (refusal !== undefined) expect(refusal).toMatch(/^[A-Z“].{12,}[.]$/u);
    const view = present.view();
    expectPossible(view, present.inside());
    expectHidden(present.secrets(), [view, present.advance(1).frame()], known.told, typed);
  });
  for (const [name, total] of Object.entries(bench.accounts()))
    expect(Math.abs(total - (before[name] ?? 0)), name).toBeLessThan(1e-9 * Math.max(1, Math.abs(total)));
  expect(playedOn(start, sequence).inside()).toEqual(bench.inside());
  // Nor does it matter how time is split.
  const once = bench.advance(first + second);
  const twice = bench.advance(first).advance(second);
  expectSame(twice.inside(), once.inside());
  // Kept and taken up again, it goes on as it would have gone on.
  const again = resumed(structuredClone(bench.kept()));
  expect(again.advance(first + second).view()).toEqual(once.view());
  expect(again.record()).toEqual(bench.record());
}

/** What holds of every practical, at one of its setups. @param practical of any family */
export function contractOf(name: string, practical: Tried, setup: unknown): void {
  describe(`the contract of ${name}`, { timeout: inject('isLong') ? 3_600_000 : 60_000 }, () => {
    const steps = stepsOf(practical, setup, 40);
    const open = (seed: string) => practical.open(setup, practical.sample(setup, seed, 1), seed);
    const played = (seed: string, sequence: Played) => playedOn(open(seed), sequence);

    it('keeps its accounts, holds no impossible number, shows nothing that is hidden, and is the same again', () => {
      const known = { told: toldOf(practical, setup), typed: '' };
      fc.assert(
        fc.property(seeds, steps, time(40), time(40), (seed, sequence, first, second) =>
          expectSound(known, open(seed), sequence, [first, second], (kept) =>
            practical.resume(setup, practical.sample(setup, seed, 1), seed, kept),
          ),
        ),
        { numRuns: ROUNDS },
      );
    });

    it('begins anew as it began, whatever was done before', () => {
      fc.assert(
        fc.property(seeds, steps, (seed, sequence) => {
          const bench = played(seed, sequence);
          const act = practical.readAct({ kind: 'startAnew' });
          expect(practical.describe(act)).toBe('began anew');
          const outcome = bench.perform(act);
          if ('refusal' in outcome) throw new Error(outcome.refusal);
          expect(outcome.bench.inside()).toEqual(played(seed, []).inside());
        }),
        { numRuns: 20 },
      );
    });

    it('takes or refuses a report by what it asks, never by what the sample is', () => {
      const asks = practical.asks(setup);
      const text = fc.oneof(
        fc.constantFrom('', '0', '-1', '1e9', '0.0001', 'plenty', '1 : 2', '2:4', '5 kg'),
        fc.double({ noNaN: true, noDefaultInfinity: true }).map(String),
        ...asks.flatMap((ask) => ('options' in ask ? [fc.constantFrom(...ask.options)] : [])),
      );
      const unit = fc.constantFrom(undefined, '', 'mL', 'mol/L', 'g/cm³', '%');
      const answers = fc.dictionary(fc.constantFrom(...asks.map(({ key }) => key)), fc.record({ text, unit }));
      fc.assert(
        fc.property(answers, fc.nat(20), fc.nat(20), (given, i, j) => {
          const told = [i, j].map((index) => {
            const checked = practical.open(setup, practical.sample(setup, 'class', index), 'same').check(given, asks);
            return checked.ok ? 'taken' : checked.problems;
          });
          expect(told[0]).toEqual(told[1]);
        }),
        { numRuns: 60 },
      );
    });

    it('draws no two from one pool that its tray cannot tell apart', () => {
      expect(practical.objections(setup)).toEqual([]);
    });

    it('gives different samples to a whole class', () => {
      const all = Array.from({ length: 60 }, (_, i) => JSON.stringify(practical.sample(setup, 'class', i)));
      expect(new Set(all).size).toBe(60);
      expect(practical.sampleRoom(setup)).toBeGreaterThanOrEqual(60);
    });
  });
}

/** A bench that is worked at by hands. What is refused throws its sentence. */
function worked(practical: Tried, setup: unknown, seed: string) {
  let bench: AnyLiveBench = practical.open(setup, practical.sample(setup, seed, 1), seed);
  const hands = {
    act: (json: { kind: string }, afterS = 0) => {
      bench = bench.advance(afterS);
      const outcome = bench.perform(practical.readAct(json));
      if ('refusal' in outcome) throw new Refused(`${json.kind}: ${outcome.refusal}`);
      bench = outcome.bench;
    },
    view: () => bench.view(),
  };
  return { hands, bench: () => bench };
}
class Refused extends Error {}

/** Whether all numbers that the readings come to, handed in as they are, lie within the narrowest band. */
function isJudgedBest(practical: Tried, setup: unknown, bench: AnyLiveBench): boolean {
  // What is exact is a count or what a scale says, and what is predicted stands for itself: neither is what readings come to.
  const exact = practical.quantities(setup).flatMap((one) => (one.kind === 'number' && one.exact ? [one.key] : []));
  const asks = practical
    .asks(setup)
    .filter((ask) => ask.kind === 'number')
    .filter(({ quantity }) => quantity !== null && !exact.includes(quantity));
  // What asks for names alone is judged by its own tests: then no reading is taken at all.
  if (asks.length === 0) expect(practical.quantities(setup).map(({ kind }) => kind)).not.toContain('number');
  const answers = Object.fromEntries(
    asks.map(({ key, quantity, unit }) => [key, { text: String(bench.drawnResults()[quantity ?? ''] ?? ''), unit }]),
  );
  const checked = bench.check(answers, asks);
  if (!checked.ok) return false;
  return checked.items.every((item, i) => {
    const { bandsPercent = [], bandsInUnit = [] } = asks[i] ?? {};
    if (item.kind !== 'number') return false;
    if (bandsInUnit.length > 0) return item.bandInUnit === Math.min(...bandsInUnit);
    return item.bandPercent === Math.min(...bandsPercent);
  });
}

/** Students who work by the method, and how many of them chance may put outside the narrowest band. */
const STUDENTS = inject('isLong') ? 20 : 5;
const MOST_WORSE = 1;

/** What holds of a method: who does each step as it comes has every step done and is judged best; who leaves one out has it left. */
function methodHolds(practical: Tried): void {
  const setup = practical.setup.parse({});
  const steps = practical.method(setup);
  if (steps.length === 0) return;
  const doAll = async (seed: string) => {
    const { hands, bench } = worked(practical, setup, seed);
    for (const { work } of steps) await work(hands);
    return bench();
  };
  const undone = (bench: AnyLiveBench) => bench.steps().flatMap(({ key, done }) => (done ? [] : [key]));
  describe(`the method of ${practical.id}`, { timeout: inject('isLong') ? 3_600_000 : 60_000 }, () => {
    it('is told, ticked and done in the same steps', () => {
      expect(practical.brief(setup).method.map(({ key }) => key)).toEqual(steps.map(({ key }) => key));
      expect(
        worked(practical, setup, 'told')
          .bench()
          .steps()
          .map(({ key }) => key),
      ).toEqual(steps.map(({ key }) => key));
    });
    it('leads whoever follows it to the best verdict, every step done', async () => {
      let worse = 0;
      for (let i = 0; i < STUDENTS; i++) {
        const bench = await doAll(`method ${i}`);
        expect(undone(bench)).toEqual([]);
        if (!isJudgedBest(practical, setup, bench)) worse++;
      }
      expect(worse).toBeLessThanOrEqual(MOST_WORSE);
    });
    it.each(steps.map(({ key }) => key))('leaves “%s” to be done for who leaves it out', async (key) => {
      const { hands, bench } = worked(practical, setup, 'left out');
      for (const step of steps) {
        if (step.key === key) continue;
        try {
          await step.work(hands, key);
        } catch (error) {
          // What cannot be done without it is refused in a sentence, and nothing more is done.
          if (error instanceof NotThere) break;
          if (!(error instanceof Refused)) throw error;
          expect(error.message).toMatch(/: [A-Z“].{12,}[.]$/u);
          break;
        }
      }
      expect(undone(bench())).toContain(key);
    });
  });
}

/** A practical as it comes, with every switch of its settings turned, and with the last choice of each; as far as they differ. */
function setupsOf(practical: Tried): Map<string, unknown> {
  const asItComes = practical.setup.parse({}) as object;
  const switches = Object.entries(asItComes).filter(([, value]) => typeof value === 'boolean');
  const turned = practical.setup.parse(Object.fromEntries(switches.map(([key, value]) => [key, !value])));
  const { properties = {} } = z.toJSONSchema(practical.setup, { io: 'input' }) as JsonSchema;
  const chosen = Object.entries(properties).reduce<object>((setup, [key, { enum: options }]) => {
    const next = practical.setup.safeParse({ ...setup, [key]: options?.at(-1) });
    return options && next.success ? (next.data as object) : setup;
  }, asItComes);
  const named = [
    [asItComes, 'as it comes'],
    [chosen, 'with other choices'],
    [turned, 'with its switches turned'],
  ] as const;
  const seen = new Set<string>();
  const differs = (setup: unknown) => seen.size < seen.add(JSON.stringify(setup)).size;
  return new Map(named.flatMap(([setup, name]) => (differs(setup) ? [[name, setup] as const] : [])));
}

/** Runs that were recorded once; wild hands go on from where those had come: a fired vessel, a hot crucible, a filter that runs. */
interface Log {
  practical: string;
  setup: unknown;
  seed: string;
  index: number;
  acts: [afterS: number, act: unknown][];
}
const LOGS = Object.values(
  import.meta.glob<Log>('../../scripts/golden/logs/*.json', { eager: true, import: 'default' }),
);
/** Places on the way of a run that wild hands begin at, and how many begin. */
const PLACES = 8;
const WILD = inject('isLong') ? 100 : 8;

function wildAfter(practical: Tried, { setup, seed, index, acts }: Log): void {
  describe(`${practical.id}, on the way of a run`, { timeout: inject('isLong') ? 3_600_000 : 60_000 }, () => {
    it('holds all that, whatever is done from there on', () => {
      const sample = practical.sample(setup, seed, index);
      const each = Math.ceil(acts.length / PLACES);
      const places: AnyLiveBench[] = [];
      let last = practical.open(setup, sample, seed);
      acts.forEach(([afterS, sent], i) => {
        const act = practical.readAct(sent);
        if (act) last = playedOn(last, [[act, afterS]]);
        if ((i + 1) % each === 0) places.push(last);
      });
      const known = { told: toldOf(practical, setup), typed: JSON.stringify(acts) };
      fc.assert(
        fc.property(
          fc.constantFrom(...places),
          stepsOf(practical, setup, 12),
          time(40),
          time(40),
          (start, sequence, first, second) =>
            expectSound(known, start, sequence, [first, second], (kept) => practical.resume(setup, sample, seed, kept)),
        ),
        { numRuns: WILD },
      );
    });
  });
}

/** The suite for every practical of one family. */
export function contractsOf(family: string): void {
  for (const practical of Object.values(PRACTICALS) as unknown as Tried[]) {
    if (practical.labels(practical.setup.parse({})).family !== family) continue;
    methodHolds(practical);
    for (const [name, setup] of setupsOf(practical)) contractOf(`${practical.id} ${name}`, practical, setup);
    for (const log of LOGS.filter((one) => one.practical === practical.id)) wildAfter(practical, log);
  }
}
