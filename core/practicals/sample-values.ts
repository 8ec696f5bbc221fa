import { chance, shuffled } from '../random';

/** The last of three significant digits of a value: 0.001 for 0.123, 0.0001 for 0.0987. */
function thirdDigit(value: number): number {
  return 10 ** (Math.floor(Math.log10(value) + 1e-9) - 2);
}

/** Every value of three significant digits whose whole rounding interval lies in [from, to]. */
export function threeDigitValues(from: number, to: number): number[] {
  const values: number[] = [];
  let value = Number(from.toPrecision(3));
  while (value < to && values.length < 5000) {
    const step = thirdDigit(value);
    if (value - step / 2 >= from - 1e-12 && value + step / 2 <= to + 1e-12) values.push(value);
    value = Number((value + step).toPrecision(3));
  }
  return values;
}

/**
 * The index-th value of a seed: a place of its own among the three-digit values, and four tenths of a step to either
 * side within it, so that no two of one seed round to the same three digits (until the values are used up).
 */
export function drawnValue(from: number, to: number, seed: string, index: number): number {
  const values = threeDigitValues(from, to);
  if (values.length === 0) throw new RangeError(`no value of three digits between ${from} and ${to}`);
  const order = shuffled(values.length, chance(seed, 'values'));
  const value = values[order[index % values.length] as number] as number;
  const offset = chance(seed, `offset ${index}`).uniform() - 0.5;
  return value + 0.8 * offset * thirdDigit(value);
}
