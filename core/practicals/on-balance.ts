import { isOverloaded, isUnsettled, untaredG, type Pan, type Weighed } from '../instruments/weighing';
import type { Outcome, Refusal } from './outcome';
import { done, refuse } from './hands';

/** A balance at any bench: setting it to zero, and what is said of a mass that is recorded. */

interface OnBalance {
  pan: Pan;
  timeS: number;
}

/** Sets to zero what the balance shows. @param isUnsteady whether its display is seen to move */
export function tared<Bench extends OnBalance>(
  bench: Bench,
  weighed: Weighed,
  isUnsteady = isUnsettled(bench.pan, bench.timeS),
): Outcome<Bench> {
  if (isOverloaded(weighed)) return refuse('The balance is overloaded and cannot be set to zero. Take something off.');
  const note = isUnsteady ? 'The display had not come to rest.' : undefined;
  return done({ ...bench, pan: { ...bench.pan, tareG: untaredG(weighed) } }, note);
}

/** Why no mass can be recorded, as far as the balance is the reason. @param instead what could be weighed */
export const showsNoMass = (weighed: Weighed, instead = 'Take less.'): Refusal | null =>
  isOverloaded(weighed) ? refuse(`The balance is overloaded: it shows no mass. ${instead}`) : null;

/** What is said of a mass that was recorded too early. */
export const recordedEarly = (isUnsteady: boolean): string | undefined =>
  isUnsteady ? 'The display had not come to rest when this was recorded.' : undefined;

/** Whether a thing that is dried again and again has come to constant mass: its last two masses are the same within so much, g. */
export function isConstantMass(masses: readonly number[], withinG: number): boolean {
  const [before, last] = masses.slice(-2);
  return before !== undefined && last !== undefined && Math.abs(last - before) <= withinG + 1e-9;
}

/** Two masses that are told apart by chance alone: two of the balance's last digits, and no less than what the way itself leaves, g. */
export const sameWithinG = (readability: string | null, leastG: number): number =>
  Math.max(2 * Number(readability ?? 0), leastG);
