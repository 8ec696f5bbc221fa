import type { Outcome } from '../contract';
import type { Act } from './acts';
import { handChance, vesselAt, type Bench, type Vessel } from './bench';

export type Of<K extends Act['kind']> = Extract<Act, { kind: K }>;

/** How long the hands take, s of the bench clock. */
export const TAKES_S = { pour: 4, drop: 0.5, pipette: 8, weigh: 2, put: 2, fish: 4, dry: 6, measure: 3 };

export const refuse = (refusal: string): Outcome<Bench> => ({ refusal });
export const done = (bench: Bench, note?: string): Outcome<Bench> => (note ? { bench, note } : { bench });

/** A normal error of the hand with this standard deviation, cut at three; none when hands are switched off. */
export function handError(bench: Bench, deviation: number): { error: number; bench: Bench } {
  const drawn = handChance(bench);
  const error = Math.max(-3, Math.min(3, drawn.source.normal())) * deviation;
  return { error: bench.off.includes('hands') ? 0 : error, bench: drawn.bench };
}

/** The vessel of a number, or the sentence that it is not there. */
export function find(bench: Bench, number: number): Vessel | { refusal: string } {
  return (
    vesselAt(bench, number) ?? {
      refusal: `Vessel ${number} is not on the bench. Take one from the tray first.`,
    }
  );
}

export const nameOf = (bench: Bench, lot: number): string =>
  lot === bench.sample.lots.length ? 'sinker' : (bench.plan.lots[lot] ?? '');
