import { solidGrams, solidFormula } from '../../../chemistry/weight';
import { gramsPerMol } from '../../../chemistry/molar-mass';
import { carbonateOf, protonsTaken, weighedOf } from '../../../databook/weighed-solids';
import { benchSolutionOf } from '../../../databook/bench-solutions';
import type { Contents } from '../../../chemistry/contents';
import type { Bench, Vessel } from '../bench';
import type { Sample } from '../sample';

/** What could have come out of a mixture, by its amounts alone, and what of that is not where it is weighed. Masses in g. */

export const CO2_G_PER_MOL = gramsPerMol('CO2');

/** Grams of the solid that is weighed in what a vessel or a paper holds; of all solids where none is named. */
export function weighedG(contents: Contents, { weighed }: Sample): number {
  const grams = solidGrams(contents);
  if (!weighed) return Object.values(grams).reduce((sum, one) => sum + one, 0);
  return grams[weighedOf(weighed.id).solid] ?? 0;
}

/** mol of the solid that amounts of both substances could give, and which of the two bottles runs out first, from 0. */
export function couldFall(
  { weighed, bottles }: Pick<Sample, 'weighed' | 'bottles'>,
  mol: readonly number[],
): { mol: number; first: number } | undefined {
  if (!weighed) return undefined;
  const { sides, makes } = weighedOf(weighed.id);
  const each = sides.map(({ id, count }) => {
    const at = bottles.findIndex((bottle) => bottle.id === id);
    return { at, times: (mol[at] ?? 0) / count };
  });
  const [one, two] = each as [(typeof each)[number], (typeof each)[number]];
  const least = one.times <= two.times ? one : two;
  return { mol: least.times * makes, first: least.at };
}

/** Molar mass of the solid as it falls, or in the other form that it takes in a hot oven, g/mol. */
export function weighedGPerMol({ weighed }: Pick<Sample, 'weighed'>, isTurned = false): number {
  if (!weighed) return NaN;
  const { solid, loses } = weighedOf(weighed.id);
  return gramsPerMol(isTurned && loses ? loses.formula : solidFormula(solid));
}

/** What of the solid stays dissolved in a vessel, g: what its amounts could give, less what lies there. */
export function dissolvedG({ sample }: Pick<Bench, 'sample'>, { brought, contents }: Vessel): number {
  const could = couldFall(sample, brought);
  return could ? Math.max(could.mol * weighedGPerMol(sample) - weighedG(contents, sample), 0) : 0;
}

/** Protons that one formula unit of an acid gives. */
export const protonsOf = (id: string): number => benchSolutionOf(id).of.H ?? 0;

/** mol of carbon dioxide that a vessel could give off by its amounts of acid and carbonate. */
function couldLeaveMol({ sample }: Pick<Bench, 'sample'>, { brought, tipped }: Vessel): number {
  const acid = sample.bottles[0];
  if (!sample.jar || !acid || !tipped) return 0;
  return Math.min(tipped.mol, ((brought[0] ?? 0) * protonsOf(acid.id)) / protonsTaken(carbonateOf(sample.jar)));
}

/** Gas that is dissolved and stays so, g. */
export const staysDissolvedG = (bench: Pick<Bench, 'sample'>, vessel: Vessel): number =>
  CO2_G_PER_MOL * (couldLeaveMol(bench, vessel) - (vessel.tipped?.goneMol ?? 0));
