import type { SourceKey } from './sources';

/** What a thing looks like before anything is measured: all that an eye can tell of a material. */
export type Look = 'grey metal' | 'red metal' | 'yellow metal' | 'clear' | 'white' | 'dark' | 'wood';

/** A solid that can be named by its density. */
export interface Material {
  id: string;
  name: string;
  /** Near 20 °C, g/cm³. */
  densityGPerMl: number;
  /** Digits that the source supports. */
  decimals: number;
  look: Look;
  source: SourceKey;
}

const solid = (
  id: string,
  name: string,
  densityGPerMl: number,
  decimals: number,
  look: Look,
  source: SourceKey,
): Material => ({ id, name, densityGPerMl, decimals, look, source });

export const MATERIALS = [
  solid('magnesium', 'magnesium', 1.738, 3, 'grey metal', 'crcInorganic'),
  solid('aluminium', 'aluminium', 2.7, 2, 'grey metal', 'crcInorganic'),
  solid('titanium', 'titanium', 4.506, 3, 'grey metal', 'crcInorganic'),
  solid('antimony', 'antimony', 6.68, 2, 'grey metal', 'crcInorganic'),
  solid('zinc', 'zinc', 7.134, 3, 'grey metal', 'crcInorganic'),
  solid('tin', 'tin', 7.287, 3, 'grey metal', 'crcInorganic'),
  solid('iron', 'iron', 7.874, 3, 'grey metal', 'crcInorganic'),
  solid('stainless-steel', 'stainless steel (18 % Cr, 8 % Ni)', 8.03, 2, 'grey metal', 'crcAlloys'),
  solid('brass', 'brass (70 % Cu, 30 % Zn)', 8.53, 2, 'yellow metal', 'crcAlloys'),
  solid('bronze', 'bronze (90 % Cu, 10 % Sn)', 8.78, 2, 'yellow metal', 'crcAlloys'),
  solid('nickel', 'nickel', 8.9, 2, 'grey metal', 'crcInorganic'),
  solid('copper', 'copper', 8.96, 2, 'red metal', 'crcInorganic'),
  solid('bismuth', 'bismuth', 9.79, 2, 'grey metal', 'crcInorganic'),
  solid('silver', 'silver', 10.5, 2, 'grey metal', 'crcInorganic'),
  solid('lead', 'lead', 11.3, 1, 'grey metal', 'crcInorganic'),
  solid('tungsten', 'tungsten', 19.3, 1, 'grey metal', 'crcInorganic'),
  solid('fused-quartz', 'fused quartz', 2.2, 2, 'clear', 'crcSolids'),
  solid('soda-lime-glass', 'window glass', 2.5, 2, 'clear', 'crcSolids'),
  solid('calcite', 'calcite', 2.71, 2, 'white', 'crcSolids'),
  solid('polypropylene', 'polypropylene', 0.905, 3, 'white', 'polymers'),
  solid('polyethylene', 'polyethylene, high density', 0.955, 3, 'white', 'polymers'),
  solid('polystyrene', 'polystyrene', 1.05, 2, 'clear', 'polymers'),
  solid('nylon', 'nylon 66', 1.14, 2, 'white', 'polymers'),
  solid('acrylic', 'acrylic glass', 1.19, 2, 'clear', 'polymers'),
  solid('pvc', 'polyvinyl chloride, rigid', 1.39, 2, 'dark', 'polymers'),
  solid('ptfe', 'polytetrafluoroethylene', 2.17, 2, 'white', 'polymers'),
  solid('oak', 'oak', 0.72, 2, 'wood', 'crcSolids'),
  solid('paraffin-wax', 'paraffin wax', 0.9, 2, 'white', 'crcSolids'),
] as const satisfies readonly Material[]; // prettier-ignore

export const MATERIAL_IDS = MATERIALS.map((material) => material.id) as [string, ...string[]];

/** @throws RangeError for a name that is not in the data book */
export function materialOf(id: string): Material {
  const found = MATERIALS.find((material) => material.id === id);
  if (!found) throw new RangeError(`no material is called "${id}"`);
  return found;
}
