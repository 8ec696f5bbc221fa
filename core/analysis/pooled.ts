import { fixed, significant } from './quantity';
import { repeats, type Repeats } from './repeats';

/** Values of many hands on one thing: mean and deviation, the middle half, and where outliers begin. */
export interface Pooled extends Repeats {
  /** First and third quartile. */
  quartiles: readonly [number, number];
  /** Beyond these a value is marked; null where there are too few to tell. */
  fences: readonly [number, number] | null;
}

/** The rule in words, as it stands beside every plot. */
export const OUTLIER_RULE =
  'Marked as an outlier: more than one and a half times the width of the middle half away from it (Tukey’s rule; five values at least). It stays in the mean until the teacher leaves it out.';

const LEAST_FOR_FENCES = 5;

/** Quantile by linear interpolation between the sorted values (definition 7 of Hyndman and Fan). */
function quantile(sorted: readonly number[], part: number): number {
  const at = (sorted.length - 1) * part;
  const below = sorted[Math.floor(at)] as number;
  return below + (at - Math.floor(at)) * ((sorted[Math.ceil(at)] as number) - below);
}

/** @returns undefined for no values at all */
export function pooled(values: readonly number[]): Pooled | undefined {
  const all = repeats(values);
  if (!all) return undefined;
  const sorted = [...values].sort((a, b) => a - b);
  const quartiles = [quantile(sorted, 0.25), quantile(sorted, 0.75)] as const;
  const width = quartiles[1] - quartiles[0];
  const fences =
    values.length < LEAST_FOR_FENCES ? null : ([quartiles[0] - 1.5 * width, quartiles[1] + 1.5 * width] as const);
  return { ...all, quartiles, fences };
}

/** The mean to the place of the second digit of the deviation; to four digits where there is none. */
export function meanText({ mean, deviation }: Pick<Pooled, 'mean' | 'deviation'>): string {
  if (!deviation) return significant(mean, 4);
  return fixed(mean, Math.max(1 - Math.floor(Math.log10(deviation)), 0));
}

export const isOutlier = (value: number, { fences }: Pooled): boolean =>
  fences !== null && (value < fences[0] || value > fences[1]);
