import { gasOf } from '../../databook/gases';
import type { Filled } from '../../physics/hard-spheres';
import { chance } from '../../random';
import type { Plan } from './plan';
import type { Sample } from './sample';

/** Radii of the particles, nm: as they keep one another away at room temperature. Source: viscosities, Kaye and Laby, section 2.2. */
const RADIUS_NM: Readonly<Record<string, number>> = {
  helium: 0.11, neon: 0.13, argon: 0.18, krypton: 0.2, xenon: 0.24, methane: 0.19, nitrogen: 0.19, oxygen: 0.18, 'carbon-dioxide': 0.2, chlorine: 0.23, 'sulfur-hexafluoride': 0.26,
}; // prettier-ignore
const USUAL_NM = 0.2;

/** A fresh filling. @param number how many were had, from 1 */
export function fillingOf({ edgeNm, count }: Plan, { gasId, startK }: Sample, seed: string, number: number): Filled {
  const kindOf = (id: string) => ({
    gPerMol: gasOf(id).molarMassGPerMol,
    radiusNm: RADIUS_NM[id] ?? USUAL_NM,
    count,
  });
  return {
    box: [edgeNm, edgeNm, edgeNm],
    kinds: [kindOf('helium'), kindOf(gasId)],
    kelvin: startK,
    seed: Math.floor(chance(seed, `filling ${number}`).uniform() * 2 ** 31),
  };
}
