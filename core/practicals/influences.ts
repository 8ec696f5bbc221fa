import type { CommonBench } from './common-acts';
import type { Cause, Practical, Slip } from './contract';
import { isRefusal } from './contract';

/** An act that was done, and the bench time at which it was, s. */
export interface TimedAct {
  atS: number;
  act: unknown;
}

/** A number that was handed in, by the quantity it stands for. */
export interface Handed {
  quantity: string;
  value: number;
  trueValue: number;
  /** So much of it is rounding at most, to the digits that the readings allow. */
  half?: number;
}

/** What one cause did to a number that was handed in: in the unit of the quantity, with its sign. */
interface Share extends Cause {
  share: number;
}

/** What two causes did together beyond what each did by itself. */
interface Together {
  of: readonly [Cause, Cause];
  share: number;
}

/** What moved one number that was handed in. The shares, what acted together and the rest add up to `value − trueValue`. */
export interface Influences extends Handed {
  /** What the recorded readings come to; null when they reach no result. */
  fromReadings: number | null;
  /** Largest first. */
  shares: Share[];
  /** Largest first; null where so little is left over that it is not looked for. */
  together: Together[] | null;
  /** What is left over: where it was looked for what causes did together, what no known cause accounts for. */
  rest: number;
}

/** The part of a practical that is run again. */
type Again<Setup, Sample, Bench extends CommonBench> = Pick<
  Practical<Setup, Sample, Bench, { kind: string }, never, never, never>,
  'begin' | 'perform' | 'advance' | 'results' | 'slips' | 'causes' | 'support'
>;

const WORKING: Cause = { key: 'working', label: 'Working: from the readings to what was handed in' };
const ROUNDING: Cause = { key: 'rounding', label: 'Rounding to the digits that were handed in' };

/** A slip is taken for one when it leaves this part of the difference in the working at most. */
const EXPLAINS = 0.25;

/** More than this part of the uncertainty of a result has to be left over, before it is asked which causes act on one another. */
const LEFT_OVER = 0.5;
/** So many of the largest causes are tried in pairs. */
const IN_PAIRS = 5;

/**
 * The acts once more, from the first on. With a cause switched off an act may be impossible that was done; it is left
 * out then, as hands would have.
 */
function replay<Setup, Sample, Bench extends CommonBench>(
  practical: Again<Setup, Sample, Bench>,
  start: { setup: Setup; sample: Sample; seed: string },
  acts: readonly TimedAct[],
  off: readonly string[],
): Bench {
  let bench = practical.begin(start.setup, start.sample, start.seed, off);
  for (const { act, atS } of acts) {
    bench = practical.advance(bench, atS - bench.timeS);
    const outcome = practical.perform(bench, act as { kind: string });
    if (!isRefusal(outcome)) bench = outcome.bench;
  }
  return bench;
}

/**
 * Who works with the same readings by another line or mean, or with constants and steps that are rounded, comes to a
 * value that is off by so many uncertainties and by such a part of it at most.
 */
const BY_ANOTHER_WAY = 2;
const BY_ROUNDED_STEPS = 0.005;

/**
 * How the working moved a value: by a known slip and by what is left of it, or all by itself; rounding is no slip, and
 * a slip is one only where what it comes to is what was handed in, to within the uncertainty of that.
 */
function workingShares(
  { value, half = 0 }: Handed,
  fromReadings: number,
  slips: readonly Slip[],
  uncertainty: number | undefined,
): Share[] {
  const own = (share: number): Share => ({ ...(Math.abs(share) <= half * (1 + 1e-9) ? ROUNDING : WORKING), share });
  const difference = value - fromReadings;
  const left = (slip: Slip) => Math.abs(value - fromReadings * slip.factor);
  const nearest = slips.reduce<Slip | undefined>(
    (best, slip) => (best === undefined || left(slip) < left(best) ? slip : best),
    undefined,
  );
  const isWhole = own(difference).key === ROUNDING.key;
  if (isWhole || !nearest) return [own(difference)];
  const within =
    uncertainty === undefined
      ? Infinity
      : BY_ANOTHER_WAY * uncertainty * Math.abs(nearest.factor) + BY_ROUNDED_STEPS * Math.abs(value) + half;
  if (left(nearest) > Math.min(EXPLAINS * Math.abs(difference), within)) return [own(difference)];
  const { key, label, factor } = nearest;
  const slipped = fromReadings * factor;
  return [{ key, label, share: slipped - fromReadings }, own(value - slipped)];
}

/**
 * What moved each number that was handed in: the run is done again once for each cause with that cause switched off,
 * and what the readings come to then is held against what they came to. The share of a cause is the difference.
 */
export function influencesOn<Setup, Sample, Bench extends CommonBench>(
  practical: Again<Setup, Sample, Bench>,
  start: { setup: Setup; sample: Sample; seed: string },
  acts: readonly TimedAct[],
  handed: readonly Handed[],
): Influences[] {
  const { setup, sample } = start;
  const was = replay(practical, start, acts, []);
  const results = practical.results(setup, sample, was);
  const slips = practical.slips(setup, sample, was);
  const without = practical.causes(setup).map((cause) => ({
    cause,
    results: practical.results(setup, sample, replay(practical, start, acts, [cause.key]), was),
  }));
  const uncertainties = practical.support?.(setup, sample, was) ?? {};
  /** Results with two causes off, worked out once for all numbers. */
  const pairs = new Map<string, Readonly<Record<string, number>>>();
  const withoutBoth = (a: Cause, b: Cause) => {
    const key = [a.key, b.key].sort().join(' ');
    const known = pairs.get(key);
    if (known) return known;
    const found = practical.results(setup, sample, replay(practical, start, acts, [a.key, b.key]), was);
    pairs.set(key, found);
    return found;
  };
  return handed.map((number) => {
    const { quantity } = number;
    const fromReadings = results[quantity];
    const difference = number.value - number.trueValue;
    if (fromReadings === undefined)
      return { ...number, fromReadings: null, shares: [], together: null, rest: difference };
    const causes = without.map(({ cause, results: then }): Share => {
      const value = then[quantity];
      return { ...cause, share: value === undefined ? 0 : fromReadings - value };
    });
    const ofQuantity = slips.filter((slip) => slip.quantity === quantity);
    const shares = bySize([
      ...causes,
      ...workingShares(number, fromReadings, ofQuantity, uncertainties[quantity]?.uncertainty),
    ]);
    const left = difference - sumOf(shares);
    const allowed = uncertainties[quantity]?.uncertainty ?? 2 * (number.half ?? 0);
    const together =
      Math.abs(left) > LEFT_OVER * allowed
        ? togetherOf(bySize(causes).slice(0, IN_PAIRS), fromReadings, (a, b) => withoutBoth(a, b)[quantity])
        : null;
    return { ...number, fromReadings, shares, together, rest: left - sumOf(together ?? []) };
  });
}

const sumOf = (shares: readonly { share: number }[]): number => shares.reduce((sum, { share }) => sum + share, 0);
const bySize = <T extends { share: number }>(shares: readonly T[]): T[] =>
  [...shares].sort((a, b) => Math.abs(b.share) - Math.abs(a.share));

/**
 * What causes did two by two beyond what each did by itself.
 * @param without the value with both off; undefined where the readings reach no result then
 */
function togetherOf(
  causes: readonly Share[],
  fromReadings: number,
  without: (a: Cause, b: Cause) => number | undefined,
): Together[] {
  const moving = causes.filter(({ share }) => share !== 0);
  const found = moving.flatMap((a, i) =>
    moving.slice(i + 1).flatMap((b): Together[] => {
      const value = without(a, b);
      const share = value === undefined ? 0 : fromReadings - value - a.share - b.share;
      const of = [a, b].map(({ key, label }) => ({ key, label })) as [Cause, Cause];
      return Math.abs(share) > 1e-9 * Math.abs(fromReadings) ? [{ of, share }] : [];
    }),
  );
  return bySize(found);
}
