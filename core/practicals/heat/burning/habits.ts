import type { Habits } from '../by-hand';

/** Ways of burning it otherwise; a careful student has none of them. */
export interface BurningHabits extends Habits {
  waterMl?: number;
  /** Oxygen that is let in, bar. */
  bar?: number;
  wireCm?: number;
  /** Whether the wire is bent until it touches. */
  bends?: boolean;
  /** The wire that is put in after another was measured, cm. */
  otherWireCm?: number;
  /** A pellet that is weighed and thrown away before the one that burns, g. */
  otherGrams?: number;
  /** Water that is poured in after the pail was weighed, mL. */
  laterMl?: number;
  /** How long the lamp burns, s; and at what distance, mm. */
  burnsS?: number;
  gapMm?: number;
  screen?: boolean;
  /** How long the lamp stands open before and after, s. */
  openS?: number;
}
