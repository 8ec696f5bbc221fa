import type { Outcome } from './outcome';

/** What is done in the notebook's Readings alike at every bench: striking out, leaving a row out, ticking a step. */

export interface Notes {
  trial: number;
  readings: readonly { trial: number; which: string; struck: string | null; text: string; value: number }[];
  leftOut: Readonly<Record<number, string>>;
  ticked: readonly string[];
}

export function strike<B extends Notes>(bench: B, act: { trial: number; which: string; reason: string }): Outcome<B> {
  const index = bench.readings.findLastIndex(
    (r) => r.trial === act.trial && r.which === act.which && r.struck === null,
  );
  if (index < 0) return { refusal: 'There is no such reading to strike out.' };
  const reason = act.reason.trim();
  if (reason === '') return { refusal: 'Say in a few words why this reading is struck out. It stays in the notebook.' };
  const readings = bench.readings.map((r, i) => (i === index ? { ...r, struck: reason } : r));
  return { bench: { ...bench, readings } };
}

export function count<B extends Notes>(bench: B, act: { trial: number; counts: boolean; reason: string }): Outcome<B> {
  if (act.trial > bench.trial) return { refusal: `Trial ${act.trial} has not begun.` };
  const { [act.trial]: _dropped, ...rest } = bench.leftOut;
  if (act.counts) return { bench: { ...bench, leftOut: rest } };
  const reason = act.reason.trim();
  if (reason === '') return { refusal: 'Say in a few words why this trial does not count. It stays in the notebook.' };
  return { bench: { ...bench, leftOut: { ...rest, [act.trial]: reason } } };
}

/** What is said of a trial before its turn. @param last the trial that readings can be of at the latest */
export const outOfTurn = (trial: number, last: number): string | undefined =>
  trial > last ? `Trial ${last} comes before trial ${trial}.` : undefined;

/** A reading that belongs to another trial: it goes there as it is, unless that trial has one in its place. */
export function move<B extends Notes>(
  bench: B,
  act: { trial: number; which: string; to: number },
  last: number,
): Outcome<B> {
  const holds = (trial: number) =>
    bench.readings.findLastIndex((r) => r.trial === trial && r.which === act.which && r.struck === null);
  const index = holds(act.trial);
  if (index < 0) return { refusal: 'There is no such reading to move.' };
  const early = outOfTurn(act.to, last);
  if (early) return { refusal: early };
  if (act.to === act.trial) return { refusal: `It stands in trial ${act.to} already.` };
  if (holds(act.to) >= 0) return { refusal: `Trial ${act.to} has this reading already. Strike that one out first.` };
  const readings = bench.readings.map((r, i) => (i === index ? { ...r, trial: act.to } : r));
  return { bench: { ...bench, readings, trial: Math.max(bench.trial, act.to) } };
}

export function tick<B extends Notes>(
  bench: B,
  act: { step: string; on: boolean },
  steps: readonly string[],
): Outcome<B> {
  if (!steps.includes(act.step)) return { refusal: 'The method has no such step.' };
  const others = bench.ticked.filter((key) => key !== act.step);
  return { bench: { ...bench, ticked: act.on ? [...others, act.step] : others } };
}
