/** Pouring by hand: how fast a liquid leaves a vessel that is tilted. */

/** What flows is taken over at fixed moments, so many seconds apart, so that it does not matter how time is split. */
export const FLOW_STEP_S = 1 / 16;

export const MOST_TILT = 110;

/** The tilt at which a vessel begins to run, degrees: the fuller, the sooner. */
export function runsFrom(volumeMl: number, brimMl: number): number {
  const full = Math.min(Math.max(volumeMl / brimMl, 0), 1);
  return 25 + 60 * (1 - full);
}

/** mL/s; faster when it is tilted more, and from a wide mouth. */
export function pourRate(tiltDegrees: number, volumeMl: number, brimMl: number, innerDiameterMm: number): number {
  const beyond = tiltDegrees - runsFrom(volumeMl, brimMl);
  return beyond <= 0 || volumeMl <= 0 ? 0 : 0.06 * (innerDiameterMm / 20) * beyond ** 1.3;
}

export const WATER_TAP = ['off', 'trickle', 'stream'] as const;
export type WaterTap = (typeof WATER_TAP)[number];
export const WATER_TAP_ML_PER_S: Record<WaterTap, number> = { off: 0, trickle: 0.8, stream: 12 };
