/** What a teacher reads of a class: told by the server, drawn by the prep room. */

/** One sample of one student. */
export interface ClassLine {
  studentId: string;
  name: string;
  place: number;
  /** Which of the student's samples it is, from 1. */
  rank: number;
  /** What is to be found in it. */
  title: string;
  runId: string | null;
  sampleNumber: string | null;
  state: 'not started' | 'at it' | 'paused' | 'handed in' | 'done';
  steps: { key: string; label: string; done: boolean }[];
  handIns: number;
  /** What the sample is, in words. */
  truth: string[];
  /** Everything in the last hand-in that was held against something. */
  items: ClassItem[];
  results: string[];
}

/** One answer of a hand-in beside what is right. */
export interface ClassItem {
  key: string;
  label: string;
  answer: string;
  /** Of a grid, the cells that are not right, a line each. */
  amiss: string;
  truth: string;
  /** Of a number, in percent. */
  difference: string | null;
  verdict: string;
  isGood: boolean;
}

/** What one cause cost a class, in percent of the true values. */
export interface ClassCause {
  key: string;
  label: string;
  /** Median of the sizes of its shares: one gross slip does not speak for a class. */
  medianPercent: number;
  mostPercent: number;
  /** For how many it was the largest. */
  largestFor: number;
}
