import { gasOf } from '../../databook/gases';
import { particleRadiusNm } from '../../databook/particle-sizes';
import type { Filled } from '../../physics/hard-spheres';
import { chance } from '../../random';
import type { Plan } from './plan';
import type { Sample } from './sample';

/** A fresh filling. @param number how many were had, from 1 */
export function fillingOf({ edgeNm, count }: Plan, { gasId, startK }: Sample, seed: string, number: number): Filled {
  const kindOf = (id: string) => ({
    gPerMol: gasOf(id).molarMassGPerMol,
    radiusNm: particleRadiusNm(id),
    count,
  });
  return {
    box: [edgeNm, edgeNm, edgeNm],
    kinds: [kindOf('helium'), kindOf(gasId)],
    kelvin: startK,
    seed: Math.floor(chance(seed, `filling ${number}`).uniform() * 2 ** 31),
  };
}
