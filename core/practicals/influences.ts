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

/** What moved one number that was handed in. The shares and the rest add up to `value − trueValue`. */
export interface Influences extends Handed {
  /** What the recorded readings come to; null when they reach no result. */
  fromReadings: number | null;
  /** Largest first. */
  shares: Share[];
  /** What the shares leave over: causes that work on one another, and what nothing accounts for. */
  rest: number;
}

/** The part of a practical that is run again. */
type Again<Setup, Sample, Bench extends CommonBench> = Pick<
  Practical<Setup, Sample, Bench, { kind: string }, never, never, never>,
  'begin' | 'perform' | 'advance' | 'results' | 'slips' | 'causes'
>;

const WORKING: Cause = { key: 'working', label: 'Working: from the readings to what was handed in' };
const ROUNDING: Cause = { key: 'rounding', label: 'Rounding to the digits that were handed in' };

/** A slip is taken for one when it leaves this part of the difference in the working at most. */
const EXPLAINS = 0.25;

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

/** How the working moved a value: by a known slip and by what is left of it, or all by itself; rounding is no slip. */
function workingShares({ value, half = 0 }: Handed, fromReadings: number, slips: readonly Slip[]): Share[] {
  const own = (share: number): Share => ({ ...(Math.abs(share) <= half * (1 + 1e-9) ? ROUNDING : WORKING), share });
  const difference = value - fromReadings;
  const left = (slip: Slip) => Math.abs(value - fromReadings * slip.factor);
  const nearest = slips.reduce<Slip | undefined>(
    (best, slip) => (best === undefined || left(slip) < left(best) ? slip : best),
    undefined,
  );
  const isWhole = own(difference).key === ROUNDING.key;
  if (isWhole || !nearest || left(nearest) > EXPLAINS * Math.abs(difference)) return [own(difference)];
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
  return handed.map((number) => {
    const fromReadings = results[number.quantity];
    const difference = number.value - number.trueValue;
    if (fromReadings === undefined) return { ...number, fromReadings: null, shares: [], rest: difference };
    const shares = without.map(({ cause, results: then }): Share => {
      const value = then[number.quantity];
      return { ...cause, share: value === undefined ? 0 : fromReadings - value };
    });
    const ofQuantity = slips.filter((slip) => slip.quantity === number.quantity);
    shares.push(...workingShares(number, fromReadings, ofQuantity));
    const rest = difference - shares.reduce((sum, { share }) => sum + share, 0);
    shares.sort((a, b) => Math.abs(b.share) - Math.abs(a.share));
    return { ...number, fromReadings, shares, rest };
  });
}
