/** Fewer values than this are no series, whatever their order. */
const AT_LEAST = 4;
/** Repeats of one thing differ by less than this part of their mean. */
const APART = 0.1;

/**
 * Whether values are a series that was made to grow or to fall, such as volumes of titrant or times, and not repeats of one thing: each
 * next one lies further on the same way, and they span more than a tenth of their mean. A mean of such values says nothing.
 */
export function isSeries(values: readonly number[]): boolean {
  if (values.length < AT_LEAST) return false;
  const steps = values.slice(1).map((value, i) => value - (values[i] ?? NaN));
  const isOneWay = steps.every((step) => step > 0) || steps.every((step) => step < 0);
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return isOneWay && Math.abs((values.at(-1) ?? 0) - (values[0] ?? 0)) > APART * Math.abs(mean);
}
