import type { AnyView } from '@core/practicals/registry';
import type { Brief } from '@core/practicals/method';
import type { Rules, ToldMethod } from './rules';
import { pool } from './db';

/** Where a run stands, as far as it decides what its student may know. */
export interface Standing {
  rules: Rules;
  /** Handed in for the last time, or ended by the student. */
  closed: boolean;
  /** Whether the assignment takes work now. A teacher's try always does. */
  isOpen: boolean;
  /** Whether the assignment's time is over. */
  isOver: boolean;
  /** Whether something was told that gives the true value away. */
  truthTold: boolean;
  handIns: number;
}

/** What a student may know of their own sample at a moment, and whether more can be handed in. */
export interface Knowledge {
  /** How close each hand-in was. */
  bands: boolean;
  /** The true value itself. */
  truth: boolean;
  /** What moved the result: the true value follows from it. */
  moved: boolean;
  /** The class's results, with what they scatter about: the true value follows from it. */
  pooled: boolean;
  handInsLeft: number;
}

const tellsSteps = (method: ToldMethod): boolean => method === 'shown' || method === 'ticked';

/** What a student sees of a bench. */
export const viewFor = (method: ToldMethod, view: AnyView): AnyView =>
  tellsSteps(method) ? view : { ...view, steps: [] };

/** What a student is told beforehand. */
export const briefFor = (method: ToldMethod, brief: Brief): Brief =>
  method === 'none' ? { ...brief, method: [] } : brief;

/**
 * The one rule for what a student may know. Who has been told what gives the true value away hands in no more, whatever
 * is opened again afterwards; and only what can no longer be handed in is told.
 */
export function mayKnow({ rules, closed, isOpen, isOver, truthTold, handIns }: Standing): Knowledge {
  const isDone = closed || truthTold;
  const nothingComes = isDone || isOver;
  return {
    bands: rules.tellBand,
    truth: rules.tellTrueValue && isDone,
    moved: rules.tellInfluences === 'when-done' ? nothingComes : rules.tellInfluences === 'when-closed' && isOver,
    pooled: nothingComes,
    handInsLeft: isDone || !isOpen ? 0 : Math.max(rules.handIns - handIns, 0),
  };
}

/**
 * Notes, before it is sent, that a student is told what gives the true value away. From then on the run takes no more
 * hand-ins: {@link mayKnow} and the hand-in itself see to that.
 */
export async function noteTruthTold(runId: string): Promise<void> {
  await pool().query('update runs set truth_told_at = now() where id = $1 and truth_told_at is null', [runId]);
}
