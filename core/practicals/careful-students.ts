import { expect, inject } from 'vitest';
import type { Truths } from '../report/asks';
import type { Support } from '../report/digits';

/** How what a class of careful students finds is held against what each of them says of it: no surer, and no less sure. */

declare module 'vitest' {
  interface ProvidedContext {
    /** Whether this is `npm run test:long`. */
    isLong: boolean;
  }
}

/** What one student found, what they are uncertain by, and what it is. */
export interface Found {
  value: number;
  uncertainty: number;
  truth: number;
}

/** A bench on which somebody has finished: what its readings come to. */
interface Worked {
  results(): Readonly<Record<string, number>>;
  support(): Readonly<Record<string, Support>>;
  truths(): Truths;
}

/** How many students a check takes: a part of them in every run, all of them in `npm run test:long`. */
export const students = (all: number, few = 28): number => (inject('isLong') ? all : few);

/** What a student found of one quantity. */
export const foundOf = (bench: Worked, quantity: string): Found => ({
  value: bench.results()[quantity] ?? NaN,
  uncertainty: bench.support()[quantity]?.uncertainty ?? NaN,
  truth: Number(bench.truths()[quantity]),
});

const PAPER = 'damp, and what dissolves and clings, are left open as 3 mg of each paper; these dry to constant mass';
const BENT = 'lines that are not quite straight are left open for every pair, and most pairs give straighter ones';
const FEW = 'what few particles show hangs together from look to look, and counts as fewer looks than it is';

/** Quantities that leave more open than a practised class is off by: the least mean square that is wanted of them all the same, and why. */
const LEAVES_MORE_OPEN: Readonly<Record<string, { least: number; because: string }>> = {
  absoluteZero: { least: 0.25, because: 'the neck of the bulb, which stays cool, is left open whole' },
  'perGram of a pellet': { least: 0.3, because: 'what is lost unseen is left open for each burning by itself' },
  mixture: { least: 0.4, because: 'a mixture that is not molten whole is left open; these wait until it is' },
  yield: { least: 0.35, because: PAPER },
  molar: { least: 0.2, because: PAPER },
  'ratio by the thermometer': { least: 0.3, because: BENT },
  'ratio by the colorimeter': { least: 0.4, because: BENT },
  energyRatio: { least: 0.4, because: FEW },
  rateHot: { least: 0.35, because: FEW },
  rateSmall: { least: 0.35, because: FEW },
  rateMore: { least: 0.35, because: FEW },
  above: { least: 0.3, because: FEW },
  speeds: { least: 0.2, because: FEW },
};

/**
 * Least and most of the mean of (value − truth)²/uncertainty², which is 1 where a standard uncertainty is what it says. Of
 * twenty-eight it wavers by 0.27 of itself: what says twice or half of what it should is found by them, the rest by a class.
 */
const asSure = () => (inject('isLong') ? { least: 0.6, most: 1.6 } : { least: 0.3, most: 2.2 });

/**
 * What a class found is as sure as it says: the mean square of what they are off by, in standard uncertainties, is near
 * 1 from both sides; of a whole class twice the uncertainty covers as often as it claims.
 * @param covers how often twice the uncertainty has to
 */
export function expectAsSure(found: readonly Found[], what: string, covers = 0.93): void {
  const { most, ...bound } = asSure();
  const { least, because } = { because: '', ...bound, ...(inject('isLong') && LEAVES_MORE_OPEN[what]) };
  const z = found.map(({ value, uncertainty, truth }) => (value - truth) / uncertainty);
  const meanSquare = z.reduce((sum, one) => sum + one * one, 0) / z.length;
  const told = `${what}: mean square of what they are off by, in standard uncertainties${because && ` (${because})`}`;
  expect(meanSquare, told).toBeGreaterThan(least);
  expect(meanSquare, told).toBeLessThan(most);
  expectShare(z, (one) => Math.abs(one) <= 2, covers, `${what}: covered by twice the uncertainty`);
}

/** At least this share of a class; where only a part of it was asked, but for two standard deviations of so few. */
export function expectShare<T>(all: readonly T[], holds: (one: T) => boolean, least: number, what: string): void {
  const wavers = inject('isLong') ? 0 : 2 * Math.sqrt((least * (1 - least)) / all.length);
  expect(all.filter(holds).length / all.length, what).toBeGreaterThanOrEqual(least - wavers);
}
