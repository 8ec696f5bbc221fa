import { parseTyped } from '../analysis/quantity';

/**
 * The range of an axis: the ends as typed where they are numbers, and else round numbers a little beyond the data. It does
 * not start at zero unless the data do.
 */
export function axisRange(
  values: readonly number[],
  typed: { min: string; max: string } = { min: '', max: '' },
): [number, number] {
  let low = Infinity;
  let high = -Infinity;
  for (const value of values) {
    if (value < low) low = value;
    if (value > high) high = value;
  }
  if (low > high) [low, high] = [0, 1];
  const size = Math.max(Math.abs(low), Math.abs(high));
  // Values that hardly differ, or hardly differ from zero, still need an axis of some length.
  const span = Math.max(high - low > 1e-9 * size ? high - low : size, 1e-12);
  const step = niceStep(span / 6);
  const round = (value: number, by: (x: number) => number) => Number((by(value / step) * step).toPrecision(12));
  const auto = [round(low - 0.03 * span, Math.floor), round(high + 0.03 * span, Math.ceil)] as const;
  // Data that begin at zero or above do not need a stretch below it.
  const least = low >= 0 && auto[0] < 0 ? 0 : auto[0];
  const min = parseTyped(typed.min)?.value ?? least;
  const max = parseTyped(typed.max)?.value ?? auto[1];
  return min < max ? [min, max] : [least, auto[1]];
}

/** Why the ends of an axis as typed are not taken; undefined when they are. */
export function rangeProblem({ min, max }: { min: string; max: string }): string | undefined {
  const ends = [min, max].map((text) => (text.trim() === '' ? undefined : parseTyped(text)?.value));
  const wrong = [min, max].find((text, i) => text.trim() !== '' && ends[i] === undefined);
  if (wrong !== undefined) return `“${wrong.slice(0, 20)}” is not a number, so the axis ends where the data do.`;
  const [low, high] = ends;
  if (low !== undefined && high !== undefined && low >= high)
    return 'The lower end of the axis has to be below its upper end, so both are as the data are.';
  return undefined;
}

/** 1, 2 or 5 times a power of ten, at least so large. */
function niceStep(least: number): number {
  const power = 10 ** Math.floor(Math.log10(least));
  return ([1, 2, 5, 10].find((factor) => factor * power >= least * (1 - 1e-9)) ?? 10) * power;
}

/** Round numbers within a range, about so many apart. */
export function ticksIn([min, max]: readonly [number, number], about = 6): number[] {
  const step = niceStep((max - min) / about);
  const ticks: number[] = [];
  for (let n = Math.ceil(min / step - 1e-9); n * step <= max + step * 1e-9; n++)
    ticks.push(Number((n * step).toPrecision(12)));
  return ticks;
}
