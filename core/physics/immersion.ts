/** A body in a liquid: its volume in mL and its mass in g. */
export interface Body {
  volumeMl: number;
  massG: number;
  /** Held under by what it is tied to. */
  tied: boolean;
}

/** Part of a heap that is solid: spheres and small pieces lie so, within some percent. */
export const PACKING = 0.6;

/**
 * The part of a floating body that is under water: that of which the water weighs as much as the body (Archimedes).
 * @returns 1 for a body that sinks
 */
export function immersedPart(densityGPerMl: number, liquidGPerMl: number): number {
  return liquidGPerMl > 0 ? Math.min(densityGPerMl / liquidGPerMl, 1) : 0;
}

export const floats = (body: Body, liquidGPerMl: number): boolean =>
  !body.tied && liquidGPerMl > 0 && body.massG / body.volumeMl < liquidGPerMl;

/** Volume of a straight vessel up to the surface, and what of the bodies is under it, mL. */
export interface Surface {
  surfaceMl: number;
  immersedMl: number;
}

/**
 * Where the surface stands with bodies in the liquid. Only what is under water displaces: floating bodies by their
 * weight; a heap that is not covered by the part of it that the liquid reaches.
 * @param airMl air that is caught under the bodies, which takes room like them
 * @param heaps whether bodies that the liquid does not cover are left out; all count as covered otherwise
 */
export function surfaceWith(
  liquidMl: number,
  bodies: readonly Body[],
  liquidGPerMl: number,
  airMl = 0,
  heaps = true,
): Surface {
  let sunk = airMl;
  let floating = 0;
  for (const body of bodies) {
    if (floats(body, liquidGPerMl)) floating += body.massG / liquidGPerMl;
    else sunk += body.volumeMl;
  }
  const heap = sunk / PACKING;
  if (!heaps || liquidMl + floating >= heap - sunk)
    return { surfaceMl: liquidMl + floating + sunk, immersedMl: floating + sunk };
  const surfaceMl = (liquidMl + floating) / (1 - PACKING);
  return { surfaceMl, immersedMl: surfaceMl - liquidMl };
}
