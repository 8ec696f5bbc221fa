import { gasOf } from '../../databook/gases';
import { particleRadiusNm } from '../../databook/particle-sizes';
import type { Filled } from '../../physics/hard-spheres';
import { chance } from '../../random';
import { countsOf, type Filling, type Plan } from './plan';
import type { Sample } from './sample';

/** A fresh filling. @param number how many were had, from 1 @param of which of both gases are in it */
export function fillingOf(plan: Plan, { gasId, startK }: Sample, seed: string, number: number, of: Filling): Filled {
  const { edgeNm } = plan;
  const [helium, other] = countsOf(plan, of);
  const kindOf = (id: string, count: number) => ({
    gPerMol: gasOf(id).molarMassGPerMol,
    radiusNm: particleRadiusNm(id),
    count,
  });
  return {
    box: [edgeNm, edgeNm, edgeNm],
    kinds: [kindOf('helium', helium), kindOf(gasId, other)],
    kelvin: startK,
    seed: Math.floor(chance(seed, `filling ${number}`).uniform() * 2 ** 31),
  };
}
