import { fixed } from '../../analysis/quantity';
import { repeats } from '../../analysis/repeats';
import { standingIn } from '../standing';
import type { Bench } from './bench';

/** A trial as the notebook shows it; numbers as text, with the digits that were read. */
export interface Trial {
  number: number;
  first: string | null;
  last: string | null;
  titre: string | null;
  /** Weighed into the flask, g. */
  mass: string | null;
  /** A sentence when the two readings make no titre. */
  problem: string | null;
  counts: boolean;
  /** Why it was left out; null when it was not. */
  leftOut: string | null;
}

export interface TitreMean {
  text: string;
  count: number;
  spread: string;
}

const decimalsOf = (text: string) => text.split('.')[1]?.length ?? 0;

/** Titres carry as many decimals as the coarser of their two readings. */
function trialOf(bench: Bench, number: number): { trial: Trial; value: number | null; decimals: number } {
  const first = standingIn(bench, number, 'first');
  const last = standingIn(bench, number, 'last');
  const [boat, left] = [standingIn(bench, number, 'boat'), standingIn(bench, number, 'left')];
  const mass = boat ? fixed(boat.value - (left?.value ?? 0), decimalsOf(boat.text)) : null;
  const leftOut = bench.leftOut[number] ?? null;
  const decimals = first && last ? Math.min(decimalsOf(first.text), decimalsOf(last.text), 2) : 0;
  const value = first && last && last.value > first.value ? last.value - first.value : null;
  const problem = first && last && value === null ? 'The last reading must be larger than the first.' : null;
  const titre = value === null ? null : fixed(value, decimals);
  const counts = value !== null && leftOut === null;
  return {
    trial: {
      number,
      first: first?.text ?? null,
      last: last?.text ?? null,
      titre,
      mass,
      problem,
      counts,
      leftOut,
    },
    value,
    decimals,
  };
}

/** All trials begun so far, and the mean of those that count. */
export function trialsOf(bench: Bench): { trials: Trial[]; mean: TitreMean | null } {
  const all = Array.from({ length: bench.trial }, (_, i) => trialOf(bench, i + 1));
  // Titres of portions that were weighed differ as their masses do: a mean of them says nothing.
  const counting = all.filter((entry) => entry.trial.counts && entry.trial.mass === null);
  const summary = repeats(counting.map((entry) => entry.value as number));
  const decimals = Math.min(...counting.map((entry) => entry.decimals));
  return {
    trials: all.map((entry) => entry.trial),
    mean: summary
      ? { text: fixed(summary.mean, decimals), count: summary.count, spread: fixed(summary.spread, decimals) }
      : null,
  };
}
