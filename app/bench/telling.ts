import type { BenchSlot, Reading } from '@core/notebook/readings';

/** What the benches tell in words to who does not see them: what changed, a sentence at a time. */

interface Recorded {
  readings: readonly Reading[];
  leftOut: Readonly<Record<number, string>>;
  slots: readonly BenchSlot[];
}

const number = (text: string) => text.replace('\u2212', 'minus ');

/** Readings that were recorded, struck out or moved, and trials that were left out or taken in again. */
export function toldReadings(before: Recorded, after: Recorded): string[] {
  if (before.readings === after.readings && before.leftOut === after.leftOut) return [];
  const labelOf = (slot: string) => {
    const label = after.slots.find((one) => one.slot === slot)?.label ?? slot;
    return label === 'first' || label === 'last' ? `${label} reading` : label;
  };
  const sentences = after.readings.flatMap((reading, i): string[] => {
    const was = before.readings[i];
    const named = `${labelOf(reading.slot)}, trial ${reading.trial}`;
    if (!was) return [`Recorded: ${named}, ${number(reading.text)} ${reading.unit}.`];
    if (was.struck === null && reading.struck !== null && reading.struck !== 'read again')
      return [`Struck out: ${named}.`];
    if (was.trial !== reading.trial) return [`Moved to trial ${reading.trial}: ${labelOf(reading.slot)}.`];
    return [];
  });
  for (const trial of new Set([...Object.keys(before.leftOut), ...Object.keys(after.leftOut)])) {
    const [was, is] = [before.leftOut[Number(trial)], after.leftOut[Number(trial)]];
    if ((was === undefined) === (is === undefined)) continue;
    sentences.push(is === undefined ? `Trial ${trial} counts again.` : `Trial ${trial} is left out.`);
  }
  return sentences;
}

/** Parts of a sentence with commas between; those that say nothing are left out. */
export const joined = (parts: readonly (string | false | null | undefined)[]): string =>
  parts.filter((part) => typeof part === 'string' && part !== '').join(', ');

/** To the nearest multiple of a step, as people say it. */
export const near = (value: number, step: number): string => {
  const rounded = Math.round(value / step) * step;
  return rounded.toFixed(step < 1 ? 1 : 0).replace('-', 'minus ');
};
