import type { CommonAct } from './common-acts';

/** One step of the method, and whether the bench shows it as done. */
export interface Step {
  key: string;
  label: string;
  done: boolean;
}

/**
 * A method is one ordered list: what a student is told, when a step is done, and the acts that do it. Numbered brief, step line,
 * ticks and rehearsed student all come from it.
 */
export interface MethodStep<Bench, Hands> {
  key: string;
  /** What is to be done, in one sentence: the step line. */
  does: string;
  /** How: a sentence each, with the numbers that are needed. */
  how?: readonly string[];
  /** By deeds at the bench and readings. */
  isDone(bench: Bench): boolean;
  /**
   * The acts that do it, for who sees views alone.
   * @param leavesOut the key of a step that this student never does: what does steps again does not do it either
   */
  work(hands: Hands, leavesOut?: string): Promise<void> | void;
}
export type Method<Bench, Hands> = readonly MethodStep<Bench, Hands>[];

/** What hands would take or look at is not there, so that an act cannot even be begun. */
export class NotThere extends Error {}

/** Hands at a bench: they do acts, and see views. */
export interface HandsOf<Act, View> {
  /** Does an act so many seconds of bench time after the last. */
  act(act: Act | CommonAct, afterS?: number): Promise<void> | void;
  view(): View;
}

/** A step as a student is told it. */
export interface ToldStep {
  key: string;
  does: string;
  how: readonly string[];
}

/** What a student reads before and beside the bench. */
export interface Brief {
  /** What is to be found out, and why it can be. */
  question: readonly string[];
  /** Empty where the method is told among the rest. */
  method: readonly ToldStep[];
  /** How a result is worked out. */
  working: readonly string[];
  /** What is good to know at this bench. */
  know: readonly string[];
}
/** What a kind says of its brief beside its method; in one piece where it has none. */
export type BriefParts = readonly string[] | Omit<Brief, 'method'>;

export const briefWith = (parts: BriefParts, method: Method<never, never> = []): Brief => ({
  ...('question' in parts ? parts : { question: parts, working: [], know: [] }),
  method: method.map(({ key, does, how = [] }) => ({ key, does, how })),
});

/** The steps of a method as a bench shows them, or as the student has ticked them. */
export const stepsByMethod = <Bench extends { ticked: readonly string[] }>(
  method: Method<Bench, never>,
  bench: Bench,
): Step[] =>
  method.map(({ key, does, isDone }) => ({
    key,
    label: does.replace(/\.$/, ''),
    done: isDone(bench) || bench.ticked.includes(key),
  }));

/** Works by a method, step by step. */
export async function workBy<Hands>(method: Method<never, Hands>, hands: Hands): Promise<void> {
  for (const { work } of method) await work(hands);
}
