import type { ComponentId, Of } from './precipitates';

/** Solutions that stand at the bench: what is dissolved in them, and which of it reacts. */
export interface BenchSolution {
  id: string;
  name: string;
  formula: string;
  /** Of one formula unit, components; what keeps it clear comes on top, mol for each of it. */
  of: Of;
  /** The species that reacts: what an analysis tells the amount of. */
  free: ComponentId | 'OH';
}
const made = (id: string, name: string, formula: string, of: Of, free: BenchSolution['free']): BenchSolution => ({
  id,
  name,
  formula,
  of,
  free,
});

export const BENCH_SOLUTIONS = [
  made('silver-nitrate', 'silver nitrate', 'AgNO3', { Ag: 1, NO3: 1 }, 'Ag'), made('lead-nitrate', 'lead nitrate', 'Pb(NO3)2', { Pb: 1, NO3: 2 }, 'Pb'),
  made('barium-chloride', 'barium chloride', 'BaCl2', { Ba: 1, Cl: 2 }, 'Ba'), made('barium-nitrate', 'barium nitrate', 'Ba(NO3)2', { Ba: 1, NO3: 2 }, 'Ba'),
  made('strontium-nitrate', 'strontium nitrate', 'Sr(NO3)2', { Sr: 1, NO3: 2 }, 'Sr'), made('calcium-chloride', 'calcium chloride', 'CaCl2', { Ca: 1, Cl: 2 }, 'Ca'),
  made('calcium-nitrate', 'calcium nitrate', 'Ca(NO3)2', { Ca: 1, NO3: 2 }, 'Ca'), made('magnesium-sulfate', 'magnesium sulfate', 'MgSO4', { Mg: 1, SO4: 1 }, 'Mg'),
  made('magnesium-nitrate', 'magnesium nitrate', 'Mg(NO3)2', { Mg: 1, NO3: 2 }, 'Mg'), made('zinc-sulfate', 'zinc sulfate', 'ZnSO4', { Zn: 1, SO4: 1 }, 'Zn'),
  made('zinc-nitrate', 'zinc nitrate', 'Zn(NO3)2', { Zn: 1, NO3: 2 }, 'Zn'), made('copper-sulfate', 'copper(II) sulfate', 'CuSO4', { Cu: 1, SO4: 1 }, 'Cu'),
  made('copper-nitrate', 'copper(II) nitrate', 'Cu(NO3)2', { Cu: 1, NO3: 2 }, 'Cu'), made('aluminium-chloride', 'aluminium chloride', 'AlCl3', { Al: 1, Cl: 3 }, 'Al'),
  made('aluminium-nitrate', 'aluminium nitrate', 'Al(NO3)3', { Al: 1, NO3: 3 }, 'Al'), made('iron-chloride', 'iron(III) chloride in hydrochloric acid', 'FeCl3', { Fe: 1, Cl: 4, H: 1 }, 'Fe'),
  made('iron-nitrate', 'iron(III) nitrate in nitric acid', 'Fe(NO3)3', { Fe: 1, NO3: 4, H: 1 }, 'Fe'), made('iron2-sulfate', 'iron(II) sulfate in sulfuric acid', 'FeSO4', { Fe2: 1, SO4: 3, H: 4 }, 'Fe2'),
  made('sodium-chloride', 'sodium chloride', 'NaCl', { Na: 1, Cl: 1 }, 'Cl'), made('potassium-bromide', 'potassium bromide', 'KBr', { K: 1, Br: 1 }, 'Br'),
  made('potassium-iodide', 'potassium iodide', 'KI', { K: 1, I: 1 }, 'I'), made('potassium-thiocyanate', 'potassium thiocyanate', 'KSCN', { K: 1, SCN: 1 }, 'SCN'),
  made('potassium-chromate', 'potassium chromate', 'K2CrO4', { K: 2, CrO4: 1 }, 'CrO4'), made('sodium-sulfate', 'sodium sulfate', 'Na2SO4', { Na: 2, SO4: 1 }, 'SO4'),
  made('sodium-carbonate', 'sodium carbonate', 'Na2CO3', { Na: 2, CO3: 1 }, 'CO3'), made('potassium-oxalate', 'potassium oxalate', 'K2C2O4', { K: 2, C2O4: 1 }, 'C2O4'),
  made('sodium-nitrate', 'sodium nitrate', 'NaNO3', { Na: 1, NO3: 1 }, 'Na'), made('potassium-nitrate', 'potassium nitrate', 'KNO3', { K: 1, NO3: 1 }, 'K'),
  made('sodium-hydroxide', 'sodium hydroxide', 'NaOH', { Na: 1, H: -1 }, 'OH'), made('hydrochloric-acid', 'hydrochloric acid', 'HCl', { H: 1, Cl: 1 }, 'H'),
  made('nitric-acid', 'nitric acid', 'HNO3', { H: 1, NO3: 1 }, 'H'), made('sulfuric-acid', 'sulfuric acid', 'H2SO4', { H: 2, SO4: 1 }, 'H'),
  made('ammonia', 'ammonia', 'NH3', { NH3: 1 }, 'NH3'), made('sodium-thiosulfate', 'sodium thiosulfate', 'Na2S2O3', { Na: 2, S2O3: 1 }, 'S2O3'),
  made('iodine', 'iodine in potassium iodide', 'I2', { I2: 1, K: 4, I: 4 }, 'I2'), made('permanganate', 'potassium permanganate in sulfuric acid', 'KMnO4', { K: 1, MnO4: 1, SO4: 10, H: 20 }, 'MnO4'),
] as const satisfies readonly BenchSolution[]; // prettier-ignore
export type BenchSolutionId = (typeof BENCH_SOLUTIONS)[number]['id'];
export const BENCH_SOLUTION_IDS = BENCH_SOLUTIONS.map(({ id }) => id) as [BenchSolutionId, ...BenchSolutionId[]];

export function benchSolutionOf(id: string): BenchSolution {
  const found = BENCH_SOLUTIONS.find((one) => one.id === id);
  if (!found) throw new RangeError(`no solution ${id}`);
  return found;
}

/** What the model does not reach: components, acids (`H`) or bases (`OH`) that are never set together, with the reason that a teacher reads. */
export const NOT_MODELLED: readonly { a: ComponentId; b: ComponentId | 'OH'; why: string }[] = [
  ...(['Ag', 'Pb', 'Cu', 'Fe', 'Al', 'MnO4'] as const).map((b) => ({ a: 'S2O3' as const, b, why: 'thiosulfate binds these metals, or breaks down with them' })),
  { a: 'S2O3', b: 'H', why: 'acids break thiosulfate down, slowly, to sulfur' },
  { a: 'S2O3', b: 'Ba', why: 'barium thiosulfate falls slowly' },
  { a: 'S2O3', b: 'Fe2', why: 'the acid in it breaks thiosulfate down' },
  { a: 'I2', b: 'OH', why: 'iodine goes on to react with bases' },
  { a: 'S2O3', b: 'CrO4', why: 'chromate attacks thiosulfate by the acid that is there' },
  { a: 'Cu', b: 'SCN', why: 'copper(II) thiocyanate is black, and breaks down' },
  { a: 'Fe', b: 'CrO4', why: 'iron(III) and chromate bind in several ways' },
  { a: 'Zn', b: 'CrO4', why: 'zinc chromate is a basic salt of changing make' },
  { a: 'Al', b: 'CrO4', why: 'aluminium and chromate bind in several ways' },
  { a: 'Mg', b: 'CrO4', why: 'a basic chromate may fall' },
  { a: 'Ag', b: 'Fe2', why: 'silver and iron(II) come to an equilibrium of their own' },
  ...(['Ag', 'Pb', 'Cu', 'Cl', 'Br', 'SCN', 'NH3', 'Zn', 'CO3'] as const).map((b) => ({ a: 'MnO4' as const, b, why: 'permanganate attacks it slowly, or falls with it' })),
  ...(['Ag', 'Cu', 'NH3', 'SCN', 'Pb', 'CO3'] as const).map((b) => ({ a: 'I2' as const, b, why: 'iodine goes on to react with it' })),
  { a: 'Mg', b: 'C2O4', why: 'magnesium oxalate stays dissolved for hours' },
  { a: 'CrO4', b: 'C2O4', why: 'chromate attacks oxalate slowly in acid' },
  { a: 'CrO4', b: 'SCN', why: 'chromate attacks thiocyanate in acid' },
  { a: 'CrO4', b: 'Br', why: 'chromate attacks bromide in acid' },
]; // prettier-ignore
