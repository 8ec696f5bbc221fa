/** A reading as every practical's view tells it: what was read, when, and which place of which trial it belongs to. */
export interface Reading {
  /** Its place in the order in which readings were taken, from 0. */
  index: number;
  instrument: string;
  /** As the student typed it, or as a digital instrument showed it. */
  text: string;
  unit: string;
  digitsNote: string | null;
  /** Bench time, s. */
  atS: number;
  /** Why it no longer counts; null while it does. */
  struck: string | null;
  trial: number;
  /** Which of a trial's readings it is, such as "first". */
  slot: string;
  /** Which of several things its row is about, such as "B"; left out where there is but one. */
  part?: string;
  /** Set when it holds for later trials of the same thing too, until it is taken again. */
  carries?: true;
}

/** A reading that a row can have. */
export interface BenchSlot {
  slot: string;
  label: string;
  instrument: string;
  unit: string;
  /** Whether the student types what they read; otherwise it is recorded as the instrument shows it. */
  typed: boolean;
  /**
   * The trial that the next reading of it belongs to: the same again while nothing was moved since it was last read,
   * which corrects it, and the next one otherwise.
   */
  due: number;
}

/** What something at the bench showed when it changed, in words. */
export interface SeenLine {
  atS: number;
  /** In what, and what had been put in. */
  where: string;
  put: string;
  showed: string;
}

/** All that a notebook takes from the bench. */
export interface BenchRecordings {
  readings: readonly Reading[];
  /** How many trials have begun. */
  trial: number;
  /** Trials that do not count, with why. */
  leftOut: Readonly<Record<number, string>>;
  /** Lines that a probe has logged by itself, by slot: growing, never changed. */
  logged: readonly Readonly<Record<string, string>>[];
  /** What was seen, where the bench remembers it: growing, never changed. */
  seen?: readonly SeenLine[];
}

/** What of a bench its notebook needs. */
export const recordingsOf = ({ readings, trial, leftOut, logged, seen }: BenchRecordings): BenchRecordings => ({
  readings,
  trial,
  leftOut,
  logged,
  ...(seen ? { seen } : {}),
});

/** The reading that was taken for a place of a trial: the last that was not struck out. */
export function ownReading(bench: BenchRecordings, trial: number, slot: string): Reading | undefined {
  return bench.readings.findLast((r) => r.trial === trial && r.slot === slot && r.struck === null);
}

/** The reading that holds for a place of a trial: its own, or one of an earlier trial of the same thing that carries on. */
export function readingFor(bench: BenchRecordings, trial: number, slot: string): Reading | undefined {
  const own = ownReading(bench, trial, slot);
  if (own) return own;
  const live = bench.readings.filter((r) => r.struck === null);
  const parts = new Set(live.filter((r) => r.trial === trial).map((r) => r.part));
  return live
    .filter(
      (r) =>
        r.carries && r.slot === slot && r.trial < trial && parts.has(r.part) && bench.leftOut[r.trial] === undefined,
    )
    .reduce<Reading | undefined>((latest, r) => (latest && latest.trial > r.trial ? latest : r), undefined);
}

/** Rows of the readings table are named for their trial. */
export const trialRowId = (trial: number) => `trial-${trial}`;
export const trialOfRow = (row: string): number | undefined => {
  const match = /^trial-(\d+)$/.exec(row);
  return match ? Number(match[1]) : undefined;
};

/** Rows of a logged table are named for their line. */
export const loggedRowId = (line: number) => `log-${line}`;
export const lineOfRow = (row: string): number | undefined => {
  const match = /^log-(\d+)$/.exec(row);
  return match ? Number(match[1]) : undefined;
};
