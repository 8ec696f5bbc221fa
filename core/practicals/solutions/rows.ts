import { onceAlone } from '../once-per-bench';
import { crossing } from '../../analysis/crossing';
import { fitLine, type Point } from '../../analysis/line-fit';
import { reactionOf } from '../../databook/bench-reactions';
import { bySlot, countingTrials, standingBoth, standingIn } from '../standing';
import type { About, Bench } from './bench';
import { DRIED_SLOTS, isMass, LEFT_SLOTS, SLOT_IDS, VOLUME_SLOTS, type Slot } from './plan';
import type { Sample } from './sample';

/** What the readings of the mixtures come to. */

export interface RowReading {
  value: number;
  index: number;
  about: About;
}
export interface Row {
  trial: number;
  readings: Readonly<Partial<Record<Slot, RowReading>>>;
}

/** @param was the bench with all its errors on, when `bench` is the same with causes switched off: what was poured stays as it was meant */
export const rowsOf: (bench: Bench, was?: Bench) => readonly Row[] = onceAlone(rowsIn);

function rowsIn(bench: Bench, was?: Bench): Row[] {
  // A temperature before holds for later mixtures, too.
  const before = (of: Bench, trial: number) =>
    of.readings.findLast((r) => r.which === 'T0' && r.struck === null && r.trial <= trial);
  return countingTrials(bench).map((trial) => {
    const live = (of: Bench, slot: Slot) =>
      standingIn(of, trial, slot) ?? (slot === 'T0' ? before(of, trial) : undefined);
    const readings = bySlot(standingBoth(bench, was, SLOT_IDS, live), ({ slot, now, index }) => ({
      value: now.value - (was && isMass(slot) ? wrongOf(bench.off, now.about) : 0),
      index,
      about: now.about,
    }));
    return { trial, readings };
  });
}

/** What of a mass is wrong by the causes that are switched off, g. */
const wrongOf = (off: readonly string[], { wrongG = {} }: About): number =>
  off.reduce((sum, key) => sum + (wrongG[key] ?? 0), 0);

/** The mass after the last drying of a mixture, with what it was then. */
export const driedIn = ({ readings }: Row): RowReading | undefined =>
  readings[DRIED_SLOTS.findLast((slot) => readings[slot]) ?? 'h1'];

/** The two bottles that react, the one with the earlier letter first, with their coefficients. */
export function pairOf({ bottles, reaction }: Sample): { at: [number, number]; counts: [number, number] } | undefined {
  const sides = (reaction === null ? undefined : reactionOf(reaction))?.sides ?? [];
  const found = bottles.flatMap(({ id }, i) => {
    const side = sides.find((one) => one.id === id);
    return side ? [{ i, count: side.count }] : [];
  });
  const [one, two] = found;
  return one && two ? { at: [one.i, two.i], counts: [one.count, two.count] } : undefined;
}

/** Amounts of both that were used up in a mixture, mmol, by the slip of a portion of it. */
function usedIn({ readings }: Row, { bottles }: Sample, [one, two]: [number, number]): [number, number] | undefined {
  const portion = readings.p?.value;
  const volumes = VOLUME_SLOTS.reduce((sum, slot) => sum + (readings[slot]?.value ?? 0), 0);
  if (!portion || volumes <= 0) return undefined;
  const used = [one, two].map((i) => {
    const volume = readings[VOLUME_SLOTS[i] as Slot]?.value;
    const left = readings[LEFT_SLOTS[i] as Slot]?.value;
    return volume === undefined || left === undefined
      ? NaN
      : (bottles[i]?.molPerL ?? NaN) * volume - (left * volumes) / portion;
  });
  return used.every(Number.isFinite) ? (used as [number, number]) : undefined;
}

/** So many mixtures make a line on each side of the bend. */
const LEAST_EACH_SIDE = 2;
const LEAST_MIXTURES = 3;

/** Where the two lines of a series cross, between 0 and the most that it can be. */
export function bendOf(points: readonly Point[], most = 1): number | undefined {
  const sorted = [...points].sort((a, b) => a.x - b.x);
  let best: { misses: number; x: number } | undefined;
  for (let cut = LEAST_EACH_SIDE; cut <= sorted.length - LEAST_EACH_SIDE; cut++) {
    const [left, right] = [fitLine(sorted.slice(0, cut)), fitLine(sorted.slice(cut))];
    const met = left && right && crossing(left, right);
    if (!left || !right || !met || !(met.x > 0 && met.x < most)) continue;
    const misses = sorted.reduce((sum, { x, y }, i) => {
      const line = i < cut ? left : right;
      return sum + (y - line.intercept - line.slope * x) ** 2;
    }, 0);
    if (!best || misses < best.misses) best = { misses, x: met.x };
  }
  return best?.x;
}

/** The ratio of the amounts that react, first to second, by what the slips leave over; where there are none by the bend of warmth, or of what light the series absorbs. */
export function ratioOf(rows: readonly Row[], sample: Sample): number | undefined {
  const pair = pairOf(sample);
  if (!pair) return undefined;
  const used = rows.flatMap((row) => {
    const one = usedIn(row, sample, pair.at);
    return one ? [one] : [];
  });
  if (used.length > 0) {
    const [first, second] = [0, 1].map((side) => used.reduce((sum, one) => sum + (one[side] as number), 0)) as [
      number,
      number,
    ];
    return first > 0 && second > 0 ? first / second : undefined;
  }
  const x = bendAt(rows, pair.at) ?? solidBendAt(rows, pair.at) ?? darkBendAt(rows, pair.at);
  const [one, two] = pair.at.map((i) => sample.bottles[i]?.molPerL ?? NaN) as [number, number];
  return x === undefined ? undefined : (one * x) / (two * (1 - x));
}

/** The part of the first by volume at which both run out, by the warmth of a series. */
function bendAt(rows: readonly Row[], [one, two]: [number, number]): number | undefined {
  const points = rows.flatMap(({ readings }) => {
    const [a, b] = [readings[VOLUME_SLOTS[one] as Slot]?.value ?? 0, readings[VOLUME_SLOTS[two] as Slot]?.value ?? 0];
    const [before, after] = [readings.T0?.value, readings.T?.value];
    return a + b > 0 && before !== undefined && after !== undefined ? [{ x: a / (a + b), y: after - before }] : [];
  });
  // Of one alone nothing reacts: both lines end at no warming.
  return points.length < LEAST_MIXTURES ? undefined : bendOf([{ x: 0, y: 0 }, ...points, { x: 1, y: 0 }]);
}

/** The same by what the series absorbs: a line as long as some of the coloured one is left, and a level where it has run out. */
function darkBendAt(rows: readonly Row[], [one, two]: [number, number]): number | undefined {
  const points = rows.flatMap(({ readings }) => {
    const [a, b] = [readings[VOLUME_SLOTS[one] as Slot]?.value ?? 0, readings[VOLUME_SLOTS[two] as Slot]?.value ?? 0];
    return a + b > 0 && readings.A ? [{ x: a / (a + b), y: readings.A.value }] : [];
  });
  return points.length < LEAST_MIXTURES + 1 ? undefined : bendOf(points);
}

/** The same by the mass of what fell: none of one alone. */
function solidBendAt(rows: readonly Row[], [one, two]: [number, number]): number | undefined {
  const points = rows.flatMap((row) => {
    const { readings } = row;
    const [a, b] = [readings[VOLUME_SLOTS[one] as Slot]?.value ?? 0, readings[VOLUME_SLOTS[two] as Slot]?.value ?? 0];
    const dried = driedIn(row);
    // As a part of the whole, so that mixtures need not be alike to the drop.
    return a + b > 0 && readings.mP && dried
      ? [{ x: a / (a + b), y: (dried.value - readings.mP.value) / (a + b) }]
      : [];
  });
  return points.length < LEAST_MIXTURES ? undefined : bendOf([{ x: 0, y: 0 }, ...points, { x: 1, y: 0 }]);
}
