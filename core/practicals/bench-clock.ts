/** How many times as fast as real time the bench clock can be made to run. */
export const PACES = [1, 4, 10, 30, 60] as const;
export type Pace = (typeof PACES)[number];

/** The clock of a bench: what every bench holds of it. */
export interface BenchClock {
  /** Bench time, s. */
  timeS: number;
  paused: boolean;
  pace: Pace;
}

export const CLOCK_AT_START: BenchClock = { timeS: 0, paused: false, pace: 1 };

/** Real time that the frames of one answer cover, s: how far a silent client's bench runs on. */
const STRETCH_REAL_S = 2;
/** Frames of one answer. */
export const FRAMES = 10;

/** Bench time that the frames of one answer cover at a pace, s. */
export const stretchS = (pace: Pace) => STRETCH_REAL_S * pace;

/**
 * Bench time that may pass from one act to the next, s: six hours. Then the bench stands until somebody acts, so that no
 * act ever has more than this to make up for.
 */
export const UNATTENDED_S = 6 * 3600;

/** So long can be waited by one press, s: what it costs the server is bounded. */
export const PASSES_AT_MOST_S = 900;
