import { gramsPerMol } from '../chemistry/molar-mass';
import type { SourceKey } from './sources';

/** Salts that hold water in their crystals, by what heating makes of them, step by step. */

/** What a substance looks like, in words and as a flat wash. */
export const HYDRATE_LOOKS = {
  blue: '#4d8fc4', 'pale blue': '#a9cbe2', 'faintly blue': '#d3e1e6', 'greyish white': '#dfe0d8', white: '#f3f1e8', black: '#3a3a3c',
  'pale green': '#a9cdb0', 'faintly green': '#cfe0cf', 'greenish white': '#dfe6d8', 'brownish white': '#dccfb4', 'red-brown': '#9a4a30',
  'blue-green': '#5fae9c', 'yellow-green': '#b9c16a', yellow: '#d9c257', 'dark grey': '#6d706c', 'raspberry red': '#b8476b', violet: '#8a5fa0',
  'deep blue': '#3a5ba8', 'yellow-brown': '#a9813f', 'greyish pink': '#d9c2bd',
} as const; // prettier-ignore
export type HydrateLook = keyof typeof HYDRATE_LOOKS;

/** One of the substances that a salt goes through. */
interface Stage {
  formula: string;
  /** Mol of it from a mole of the salt. */
  per: number;
  look: HydrateLook;
}

/** What takes a stage to the next. */
export interface Loss {
  /** Mol of each gas that a mole of the salt gives off. */
  gases: Readonly<Record<string, number>>;
  /** Where half of it goes in a minute, °C; and how steeply that grows, kJ/mol. */
  halfC: number;
  kJPerMol: number;
}

export interface Hydrate {
  id: string;
  name: string;
  /** From the crystals as they come on. */
  stages: readonly Stage[];
  losses: readonly Loss[];
  /** Which stage has no water and is whole; null where heating in the open never gives it. */
  dry: number | null;
  /** The dry salt, whether it can be had or not, and mol of water for a mole of it. */
  dryFormula: string;
  waters: number;
  /** Where it melts in its own water, °C: heated fast it spits; null where it stays solid. */
  meltsC: number | null;
  source: SourceKey;
}

const at = (formula: string, look: HydrateLook, per = 1): Stage => ({ formula, per, look });
const water = (mol: number, halfC: number, kJPerMol: number): Loss => ({ gases: { H2O: mol }, halfC, kJPerMol });
const gives = (gases: Readonly<Record<string, number>>, halfC: number, kJPerMol: number): Loss => ({
  gases,
  halfC,
  kJPerMol,
});

const hydrate = (
  id: string, name: string, dryFormula: string, waters: number, stages: readonly Stage[], losses: readonly Loss[],
  { dry = stages.findIndex(({ formula }) => formula === dryFormula) as number | null, meltsC = null as number | null } = {},
): Hydrate => ({ id, name, dryFormula, waters, stages, losses, dry, meltsC, source: 'thermogravimetry' }); // prettier-ignore

export const HYDRATES: readonly Hydrate[] = [
  hydrate('copper-sulfate-5', 'copper(II) sulfate pentahydrate', 'CuSO4', 5,
    [at('CuSO4·5H2O', 'blue'), at('CuSO4·3H2O', 'pale blue'), at('CuSO4·H2O', 'faintly blue'), at('CuSO4', 'greyish white'), at('CuO', 'black')],
    [water(2, 85, 85), water(2, 112, 95), water(1, 235, 130), gives({ SO3: 1 }, 720, 230)]),
  hydrate('magnesium-sulfate-7', 'magnesium sulfate heptahydrate', 'MgSO4', 7,
    [at('MgSO4·7H2O', 'white'), at('MgSO4·6H2O', 'white'), at('MgSO4·H2O', 'white'), at('MgSO4', 'white')],
    [water(1, 60, 75), water(5, 130, 80), water(1, 290, 140)]),
  hydrate('zinc-sulfate-7', 'zinc sulfate heptahydrate', 'ZnSO4', 7,
    [at('ZnSO4·7H2O', 'white'), at('ZnSO4·6H2O', 'white'), at('ZnSO4·H2O', 'white'), at('ZnSO4', 'white'), at('ZnO', 'white')],
    [water(1, 50, 75), water(5, 105, 80), water(1, 255, 135), gives({ SO3: 1 }, 800, 240)]),
  hydrate('iron-sulfate-7', 'iron(II) sulfate heptahydrate', 'FeSO4', 7,
    [at('FeSO4·7H2O', 'pale green'), at('FeSO4·4H2O', 'faintly green'), at('FeSO4·H2O', 'greenish white'), at('FeSO4', 'brownish white'), at('Fe2O3', 'red-brown', 0.5)],
    [water(3, 70, 80), water(3, 110, 85), water(1, 260, 130), gives({ SO2: 0.5, SO3: 0.5 }, 610, 210)]),
  hydrate('nickel-sulfate-6', 'nickel(II) sulfate hexahydrate', 'NiSO4', 6,
    [at('NiSO4·6H2O', 'blue-green'), at('NiSO4·H2O', 'yellow-green'), at('NiSO4', 'yellow'), at('NiO', 'dark grey')],
    [water(5, 135, 85), water(1, 330, 145), gives({ SO3: 1 }, 780, 240)]),
  hydrate('calcium-sulfate-2', 'calcium sulfate dihydrate', 'CaSO4', 2,
    [at('CaSO4·2H2O', 'white'), at('2CaSO4·H2O', 'white', 0.5), at('CaSO4', 'white')],
    [water(1.5, 140, 100), water(0.5, 185, 115)]),
  hydrate('cobalt-chloride-6', 'cobalt(II) chloride hexahydrate', 'CoCl2', 6,
    [at('CoCl2·6H2O', 'raspberry red'), at('CoCl2·2H2O', 'violet'), at('CoCl2', 'deep blue')],
    [water(4, 65, 80), water(2, 140, 95)]),
  hydrate('barium-chloride-2', 'barium chloride dihydrate', 'BaCl2', 2,
    [at('BaCl2·2H2O', 'white'), at('BaCl2·H2O', 'white'), at('BaCl2', 'white')],
    [water(1, 75, 85), water(1, 120, 95)]),
  hydrate('strontium-chloride-6', 'strontium chloride hexahydrate', 'SrCl2', 6,
    [at('SrCl2·6H2O', 'white'), at('SrCl2·2H2O', 'white'), at('SrCl2·H2O', 'white'), at('SrCl2', 'white')],
    [water(4, 75, 80), water(1, 110, 90), water(1, 170, 105)]),
  hydrate('magnesium-chloride-6', 'magnesium chloride hexahydrate', 'MgCl2', 6,
    [at('MgCl2·6H2O', 'white'), at('MgCl2·4H2O', 'white'), at('MgCl2·2H2O', 'white'), at('Mg(OH)Cl', 'white'), at('MgO', 'white')],
    [water(2, 120, 85), water(2, 165, 95), gives({ HCl: 1, H2O: 1 }, 215, 115), gives({ HCl: 1 }, 480, 170)], { dry: null, meltsC: 117 }),
  hydrate('copper-chloride-2', 'copper(II) chloride dihydrate', 'CuCl2', 2,
    [at('CuCl2·2H2O', 'blue-green'), at('CuCl2', 'yellow-brown'), at('CuCl', 'greyish pink')],
    [water(2, 110, 90), gives({ Cl2: 0.5 }, 520, 230)]),
  hydrate('sodium-carbonate-10', 'sodium carbonate decahydrate', 'Na2CO3', 10,
    [at('Na2CO3·10H2O', 'white'), at('Na2CO3·H2O', 'white'), at('Na2CO3', 'white')],
    [water(9, 75, 60), water(1, 105, 90)], { meltsC: 34 }),
  hydrate('sodium-acetate-3', 'sodium acetate trihydrate', 'NaC2H3O2', 3,
    [at('NaC2H3O2·3H2O', 'white'), at('NaC2H3O2', 'white'), at('Na2CO3', 'greyish white', 0.5)],
    [water(3, 115, 80), gives({ C3H6O: 0.5 }, 480, 280)], { meltsC: 58 }),
  hydrate('alum-12', 'potassium alum', 'KAl(SO4)2', 12,
    [at('KAl(SO4)2·12H2O', 'white'), at('KAl(SO4)2·3H2O', 'white'), at('KAl(SO4)2', 'white')],
    [water(9, 100, 70), water(3, 195, 105)], { meltsC: 92 }),
]; // prettier-ignore

/** Dry salts that heating leaves as they are: what a hydrate is mixed with. */
export const DRY_SALTS = [
  { id: 'potassium-chloride', name: 'potassium chloride', formula: 'KCl' },
  { id: 'sodium-chloride', name: 'sodium chloride', formula: 'NaCl' },
  { id: 'potassium-sulfate', name: 'potassium sulfate', formula: 'K2SO4' },
] as const;

export const HYDRATE_IDS = HYDRATES.map(({ id }) => id) as [string, ...string[]];
export const DRY_SALT_IDS = DRY_SALTS.map(({ id }) => id) as unknown as ['potassium-chloride', ...string[]];

/** @throws RangeError for a name that is not in the data book */
export function hydrateOf(id: string): Hydrate {
  const found = HYDRATES.find((entry) => entry.id === id);
  if (!found) throw new RangeError(`no hydrate is called "${id}"`);
  return found;
}

/** @throws RangeError for a name that is not in the data book */
export function drySaltOf(id: string): (typeof DRY_SALTS)[number] {
  const found = DRY_SALTS.find((entry) => entry.id === id);
  if (!found) throw new RangeError(`no dry salt is called "${id}"`);
  return found;
}

export const WATER_G_PER_MOL = gramsPerMol('H2O');
export const hydrateGPerMol = ({ stages }: Hydrate): number => gramsPerMol((stages[0] as Stage).formula);

/** The part of a hydrate's mass that is water. */
export const waterPart = (one: Hydrate): number => (one.waters * WATER_G_PER_MOL) / hydrateGPerMol(one);
