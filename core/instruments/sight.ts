/** How a straight graduated vessel is seen: the eye stands before it, at the height of the surface or not. */

/** From the eye to the middle of the vessel, mm. */
export const EYE_DISTANCE_MM = 250;

/**
 * Parallax: the lines are on the wall nearest to the eye, the lowest point of the meniscus in the middle. An eye that
 * stands higher sees the meniscus against a line that is too high (similar triangles).
 * @returns how far too high, mm
 */
export function parallaxMm(eyeAboveMm: number, innerDiameterMm: number): number {
  return (eyeAboveMm * innerDiameterMm) / 2 / EYE_DISTANCE_MM;
}

/** Height of 1 mL in a straight vessel, mm. */
export const mmPerMl = (innerDiameterMm: number) => 4000 / (Math.PI * innerDiameterMm ** 2);

/**
 * How far a liquid that wets glass stands higher at the wall than in the middle, mm. In wide vessels it is the capillary
 * length times √2 (about 3.8 mm for water); in narrow ones it cannot be more than the radius.
 */
export function meniscusMm(innerDiameterMm: number): number {
  const WIDE_MM = 3.4;
  const radius = innerDiameterMm / 2;
  return (WIDE_MM * radius) / (WIDE_MM + radius) + 0.6;
}
