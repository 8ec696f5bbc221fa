/** What repeats tell: their mean, spread and standard deviation. */
export interface Repeats {
  count: number;
  mean: number;
  /** Largest minus smallest. */
  spread: number;
  /** Sample standard deviation (n − 1); undefined for fewer than two. */
  deviation: number | undefined;
}

/** @returns undefined for no values at all */
export function repeats(values: readonly number[]): Repeats | undefined {
  if (values.length === 0) return undefined;
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  return {
    count: values.length,
    mean,
    spread: Math.max(...values) - Math.min(...values),
    // Values that are all the same have none, whatever their mean is rounded to.
    deviation:
      values.length < 2
        ? undefined
        : values.every((value) => value === values[0])
          ? 0
          : Math.sqrt(squares / (values.length - 1)),
  };
}

/** The middle value, or the mean of the two in the middle. @throws RangeError for no values at all */
export function median(values: readonly number[]): number {
  if (values.length === 0) throw new RangeError('the median of no values');
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  const upper = sorted[half] as number;
  return sorted.length % 2 === 1 ? upper : (upper + (sorted[half - 1] as number)) / 2;
}
