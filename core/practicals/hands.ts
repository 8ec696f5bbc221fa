import { chance, type Chance } from '../random';
import type { Outcome, Refusal } from './outcome';

/** What a bench holds of the hands that work at it. */
export interface Handled {
  seed: string;
  /** Errors that are switched off, by key. */
  off: readonly string[];
  /** Counts what chance has been asked for by errors of the hand, so that each is new and the same when done again. */
  draws: number;
}

/** A stream of chance for the next error of the hand, and the bench that remembers that it was asked for. */
export function handChance<Bench extends Handled>(bench: Bench): { source: Chance; bench: Bench } {
  const draws = bench.draws + 1;
  return { source: chance(bench.seed, `hand ${draws}`), bench: { ...bench, draws } };
}

/** A normal error of the hand with this standard deviation, cut at three; none when hands are switched off. */
export function handError<Bench extends Handled>(bench: Bench, deviation: number): { error: number; bench: Bench } {
  const drawn = handChance(bench);
  const error = Math.max(-3, Math.min(3, drawn.source.normal())) * deviation;
  return { error: bench.off.includes('hands') ? 0 : error, bench: drawn.bench };
}

export const refuse = (refusal: string): Refusal => ({ refusal });
export const done = <Bench>(bench: Bench, note?: string): Outcome<Bench> => (note ? { bench, note } : { bench });

/** Whether a hand can have meant this number: it is one, and within what the vessel or the tool allows. */
export const isAmount = (value: number, min: number, max: number) =>
  Number.isFinite(value) && value >= min && value <= max;
