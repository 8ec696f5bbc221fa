import { gasOf } from '../../databook/gases';
import { particleRadiusNm } from '../../databook/particle-sizes';
import type { Filled } from '../../physics/hard-spheres';
import { chance } from '../../random';
import type { Filling, Plan } from './plan';
import type { Sample } from './sample';

/** A fresh filling. @param number how many were had, from 1 @param of which of both gases are in it */
export function fillingOf(
  { edgeNm, count }: Plan,
  { gasId, startK }: Sample,
  seed: string,
  number: number,
  of: Filling,
): Filled {
  const kindOf = (id: string, present: boolean) => ({
    gPerMol: gasOf(id).molarMassGPerMol,
    radiusNm: particleRadiusNm(id),
    count: present ? count : 0,
  });
  return {
    box: [edgeNm, edgeNm, edgeNm],
    kinds: [kindOf('helium', of !== 'other'), kindOf(gasId, of !== 'helium')],
    kelvin: startK,
    seed: Math.floor(chance(seed, `filling ${number}`).uniform() * 2 ** 31),
  };
}
