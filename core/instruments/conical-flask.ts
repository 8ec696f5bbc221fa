/** A 250 mL conical flask (ISO 1773): inside it is a cone frustum up to the neck. Lengths in mm, volumes in mL. */

export const FLASK_250 = {
  capacityMl: 250,
  baseRadiusMm: 40,
  neckRadiusMm: 15,
  coneHeightMm: 105,
  heightMm: 140,
} as const;

const SLOPE = (FLASK_250.baseRadiusMm - FLASK_250.neckRadiusMm) / FLASK_250.coneHeightMm;

/** Height of the liquid over the flask's floor: V = π(R³ − (R − sy)³)/(3s) turned round. */
export function liquidHeightMm(volumeMl: number): number {
  const { baseRadiusMm: R, capacityMl } = FLASK_250;
  const volume = Math.min(Math.max(volumeMl, 0), capacityMl) * 1000;
  return (R - Math.cbrt(R ** 3 - (3 * SLOPE * volume) / Math.PI)) / SLOPE;
}

/** Mean path of sight through the liquid from the side: π/4 of its width at half height. */
export function sightDepthMm(volumeMl: number): number {
  return (Math.PI / 2) * (FLASK_250.baseRadiusMm - (SLOPE * liquidHeightMm(volumeMl)) / 2);
}
