import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { BenchFrame, BenchView } from './contract';
import type { LiveBench, OpenPractical } from './live-bench';
import { actsOf } from './testing';

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

/** Rounds of each property: the bench is the same for many practicals, so that few for each are many for it. */
fc.configureGlobal({ numRuns: 60 });

type Tried = OpenPractical<BenchView, BenchFrame, { family: string }>;
type AnyLiveBench = LiveBench<BenchView, BenchFrame>;

/** What holds of every practical, at one of its setups. @param practical of any family */
export function contractOf(name: string, practical: Tried, setup: unknown): void {
  describe(`the contract of ${name}`, { timeout: 60_000 }, () => {
    const acts = actsOf(practical, setup);
    // Times are multiples of 1/64 s, so that a sum of them is exact and what falls on a moment falls on it either way.
    const time = (most: number) => fc.integer({ min: 0, max: 64 * most }).map((ticks) => ticks / 64);
    const steps = fc.array(fc.tuple(acts, time(12)), {
      minLength: 1,
      maxLength: 40,
    });
    const seeds = fc.integer({ min: 0, max: 200 }).map(String);
    const open = (seed: string) => practical.open(setup, practical.sample(setup, seed, 1), seed);

    /** Time, then an act, again and again; refusals leave the bench as it was. */
    function played(
      seed: string,
      sequence: [unknown, number][],
      each: (bench: AnyLiveBench, refusal?: string) => void = () => {},
    ): AnyLiveBench {
      let bench = open(seed);
      for (const [act, seconds] of sequence) {
        bench = bench.advance(seconds);
        const outcome = bench.perform(act);
        if ('refusal' in outcome) each(bench, outcome.refusal);
        else each((bench = outcome.bench));
      }
      return bench;
    }

    it('keeps its accounts, whatever is done', () => {
      fc.assert(
        fc.property(seeds, steps, (seed, sequence) => {
          const before = open(seed).accounts();
          const after = played(seed, sequence).accounts();
          for (const [name, total] of Object.entries(after)) {
            expect(Math.abs(total - (before[name] ?? 0))).toBeLessThan(1e-9 * Math.max(1, Math.abs(total)));
          }
        }),
      );
    });

    it('never holds NaN, infinity or a negative amount', () => {
      fc.assert(
        fc.property(seeds, steps, (seed, sequence) => {
          played(seed, sequence, (bench) => {
            for (const number of [...numbersIn(bench.view()), ...numbersIn(bench.inside())])
              expect(Number.isFinite(number)).toBe(true);
            const inside = JSON.stringify(bench.inside());
            for (const [, amount] of inside.matchAll(/"volumeMl":(-[^,}]+)/g))
              expect(Number(amount)).toBeGreaterThan(-1e-9);
          });
        }),
      );
    });

    it('is the same again from the same acts, and each refusal is a sentence', () => {
      fc.assert(
        fc.property(seeds, steps, (seed, sequence) => {
          const refusals: string[] = [];
          const bench = played(seed, sequence, (_, refusal) => refusal && refusals.push(refusal));
          expect(played(seed, sequence).inside()).toEqual(bench.inside());
          for (const refusal of refusals) expect(refusal).toMatch(/^[A-Z“].{12,}[.]$/u);
        }),
      );
    });

    it('does not care how time is split', () => {
      fc.assert(
        fc.property(seeds, steps, time(40), time(40), (seed, sequence, first, second) => {
          const bench = played(seed, sequence);
          const once = bench.advance(first + second);
          const twice = bench.advance(first).advance(second);
          expectSame(twice.inside(), once.inside());
        }),
      );
    });

    it('shows nothing that is hidden', () => {
      fc.assert(
        fc.property(seeds, steps, (seed, sequence) => {
          const known = JSON.stringify([practical.labels(setup), practical.brief(setup), practical.asks(setup)]);
          const typed = JSON.stringify(sequence);
          played(seed, sequence, (bench) => {
            const shown = [bench.view(), bench.advance(1).frame()];
            const text = known + JSON.stringify(shown);
            const { words, numbers } = bench.secrets();
            // A word that the student typed is not told by the bench when it stands there again.
            const hidden = words.filter((word) => word.length > 3 && !typed.includes(word));
            for (const word of hidden) expect(text).not.toContain(word);
            for (const number of numbersIn(shown)) {
              for (const secret of numbers) expect(Math.abs(number / secret - 1)).toBeGreaterThan(1e-7);
            }
          });
        }),
        { numRuns: 30 },
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
