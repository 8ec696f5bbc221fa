import { z } from 'zod';
import { CLOCK_AT_START, PACES, PASSES_AT_MOST_S, type BenchClock } from './bench-clock';
import { refuse } from './hands';
import type { Outcome } from './outcome';
import { count, move, strike, tick, type Notes } from './notes';

/** A trial by its number. */
export const trialNumber = z.number().int().min(1).max(50);

const which = z.string().max(20);
const reason = z.string().max(200);

/** Acts that every bench takes: what is done to readings and steps, and to the bench clock. */
export const commonActSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('strike'), trial: trialNumber, which, reason }),
  z.object({ kind: z.literal('count'), trial: trialNumber, counts: z.boolean(), reason }),
  z.object({ kind: z.literal('move'), trial: trialNumber, which, to: trialNumber }),
  z.object({ kind: z.literal('tick'), step: z.string().max(20), on: z.boolean() }),
  z.object({ kind: z.literal('clock'), stopped: z.boolean() }),
  z.object({ kind: z.literal('pace'), times: z.literal([...PACES]) }),
  z.object({ kind: z.literal('wait') }),
  z.object({ kind: z.literal('pass'), seconds: z.number().int().min(1).max(PASSES_AT_MOST_S) }),
]);

export type CommonAct = z.infer<typeof commonActSchema>;

const KINDS: ReadonlySet<string> = new Set(commonActSchema.options.map((option) => option.shape.kind.value));

export const isCommonAct = <Own extends { kind: string }>(act: Own | CommonAct): act is CommonAct =>
  KINDS.has(act.kind);

/** What every bench holds, whatever stands on it. */
export interface CommonBench extends BenchClock, Notes {}

/** What every bench holds before anything is done at it. */
export const COMMON_AT_START = { ...CLOCK_AT_START, trial: 1, readings: [], leftOut: {}, ticked: [] };

/** What every view tells of that. */
export const commonView = ({ paused, pace, trial, leftOut }: CommonBench) => ({ paused, pace, trial, leftOut });

/** What a bench does in its own way. */
interface CommonMeans<Bench> {
  /** The last trial that can be recorded in. */
  lastTrial: () => number;
  /** Keys of the steps of the method. */
  steps: () => string[];
  /** The bench so many seconds later; null where it goes on only as far as it is told to. */
  later: ((seconds: number) => Bench) | null;
}

/**
 * One of the acts that all benches take.
 */
export function performCommon<Bench extends CommonBench>(
  bench: Bench,
  act: CommonAct,
  { lastTrial, steps, later }: CommonMeans<Bench>,
): Outcome<Bench> {
  switch (act.kind) {
    case 'strike':
      return strike(bench, act);
    case 'count':
      return count(bench, act);
    case 'move':
      return move(bench, act, lastTrial());
    case 'tick':
      return tick(bench, act, steps());
    case 'clock':
      return { bench: { ...bench, paused: act.stopped } };
    case 'pace':
      return { bench: { ...bench, pace: act.times } };
    case 'wait':
      return { bench };
    case 'pass':
      if (!later) return refuse('Particles fly only as far as you let them: there is nothing to wait for.');
      if (bench.paused) return refuse('The bench clock is stopped. Let it run before you wait.');
      return { bench: later(act.seconds) };
  }
}

/** What a practical calls its readings and its steps in the teacher's log. */
export interface Names {
  reading(which: string): string;
  step(key: string): string;
}

/** One of them as a line of the teacher's log. */
export function describeCommon(act: CommonAct, { reading, step }: Names): string {
  switch (act.kind) {
    case 'strike':
      return `struck out trial ${act.trial}, ${reading(act.which)}: ${act.reason}`;
    case 'count':
      return act.counts ? `counts trial ${act.trial}` : `leaves trial ${act.trial} out: ${act.reason}`;
    case 'move':
      return `moved ${reading(act.which)} from trial ${act.trial} to trial ${act.to}`;
    case 'tick':
      return `${act.on ? 'ticked' : 'unticked'} the step ${step(act.step)}`;
    case 'clock':
      return act.stopped ? 'stopped the bench clock' : 'started the bench clock';
    case 'pace':
      return act.times === 1
        ? 'let the bench clock run as fast as life'
        : `let the bench clock run ${act.times} times as fast`;
    case 'wait':
      return 'watched';
    case 'pass':
      return `waited ${act.seconds} s`;
  }
}
