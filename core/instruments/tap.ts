/** Outflow of a burette's tap: laminar, so in proportion to the head above the tip, which the outflow lowers. */

export const TAP_OPENINGS = ['closed', 'drop by drop', 'fast drops', 'stream'] as const;
export type TapOpening = (typeof TAP_OPENINGS)[number];

/** Flow at a full burette (scale at 0), mL/s. */
const FULL_FLOW: Readonly<Record<TapOpening, number>> = {
  closed: 0,
  'drop by drop': 0.04,
  'fast drops': 0.18,
  stream: 1.1,
};

/** The head is the liquid in the tube plus the length of tube below the scale, as mL of tube. */
const HEAD_BELOW_SCALE_ML = 14;
const FULL_HEAD_ML = 50 + HEAD_BELOW_SCALE_ML;

/** A stream is unbroken: nothing gathers at the tip. */
export const isStream = (opening: TapOpening) => opening === 'stream';

/** Share of the head that runs out per second, 1/s. */
export const outflowRate = (opening: TapOpening) => FULL_FLOW[opening] / FULL_HEAD_ML;

/** Flow now, mL/s, with so much liquid above the lowest mark (negative below it). */
export function flow(opening: TapOpening, liquidMl: number): number {
  return outflowRate(opening) * Math.max(liquidMl + HEAD_BELOW_SCALE_ML, 0);
}

/** Volume that has run out after some seconds: (h₀)(1 − e^(−kt)), which makes splitting the time exact. */
export function outflow(opening: TapOpening, liquidMl: number, seconds: number): number {
  const head = Math.max(liquidMl + HEAD_BELOW_SCALE_ML, 0);
  return head * -Math.expm1(-outflowRate(opening) * seconds);
}

/** Seconds until so many mL have run out; Infinity when the tap is closed or the head does not hold it. */
export function timeToRunOut(opening: TapOpening, liquidMl: number, volumeMl: number): number {
  const head = liquidMl + HEAD_BELOW_SCALE_ML;
  const rate = outflowRate(opening);
  if (rate === 0 || volumeMl >= head) return Infinity;
  return -Math.log1p(-volumeMl / head) / rate;
}
