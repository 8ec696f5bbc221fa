import type { BenchSolutionId } from './bench-solutions';
import type { ComponentId } from './precipitates';

/** One side of a reaction that is looked for: a solution, how many formula units of it react, and its species that does. */
interface Side {
  id: BenchSolutionId;
  count: number;
  free?: ComponentId;
  /** Range of its concentration at the bench, mol/L. */
  from: number;
  to: number;
}

/** Two solutions that react in whole numbers, and solutions that stand beside them without reacting with anything. */
export interface BenchReaction {
  id: string;
  name: string;
  /** By formula units, as the question asks for it. */
  equation: string;
  sides: readonly [Side, Side];
  others: readonly BenchSolutionId[];
}

const side = (id: BenchSolutionId, count: number, more: Partial<Side> = {}): Side => ({
  id,
  count,
  from: 0.08,
  to: 0.2,
  ...more,
});
const NITRATES = ['sodium-nitrate', 'potassium-nitrate'] as const;
const QUIET = [...NITRATES, 'magnesium-nitrate', 'zinc-nitrate', 'calcium-nitrate'] as const;
const SALTS = [
  'sodium-chloride',
  'potassium-nitrate',
  'sodium-nitrate',
  'potassium-bromide',
  'sodium-sulfate',
] as const;

export const BENCH_REACTIONS: readonly BenchReaction[] = [
  { id: 'silver-chromate', name: 'silver nitrate with potassium chromate', equation: '2 AgNO3 + K2CrO4 -> Ag2CrO4 + 2 KNO3', sides: [side('silver-nitrate', 2), side('potassium-chromate', 1)], others: [...NITRATES, 'calcium-nitrate'] },
  { id: 'lead-iodide', name: 'lead nitrate with potassium iodide', equation: 'Pb(NO3)2 + 2 KI -> PbI2 + 2 KNO3', sides: [side('lead-nitrate', 1), side('potassium-iodide', 2)], others: QUIET },
  { id: 'lead-chromate', name: 'lead nitrate with potassium chromate', equation: 'Pb(NO3)2 + K2CrO4 -> PbCrO4 + 2 KNO3', sides: [side('lead-nitrate', 1), side('potassium-chromate', 1)], others: [...NITRATES, 'calcium-nitrate'] },
  { id: 'lead-sulfate', name: 'lead nitrate with magnesium sulfate', equation: 'Pb(NO3)2 + MgSO4 -> PbSO4 + Mg(NO3)2', sides: [side('lead-nitrate', 1), side('magnesium-sulfate', 1, { free: 'SO4' })], others: [...NITRATES, 'zinc-nitrate', 'magnesium-nitrate'] },
  { id: 'barium-sulfate', name: 'barium chloride with sodium sulfate', equation: 'BaCl2 + Na2SO4 -> BaSO4 + 2 NaCl', sides: [side('barium-chloride', 1), side('sodium-sulfate', 1)], others: ['sodium-chloride', 'potassium-bromide', ...NITRATES, 'magnesium-nitrate'] },
  { id: 'silver-barium-chloride', name: 'silver nitrate with barium chloride', equation: '2 AgNO3 + BaCl2 -> 2 AgCl + Ba(NO3)2', sides: [side('silver-nitrate', 2), side('barium-chloride', 1, { free: 'Cl' })], others: QUIET },
  { id: 'silver-aluminium-chloride', name: 'silver nitrate with aluminium chloride', equation: '3 AgNO3 + AlCl3 -> 3 AgCl + Al(NO3)3', sides: [side('silver-nitrate', 3), side('aluminium-chloride', 1, { free: 'Cl' })], others: QUIET },
  { id: 'silver-oxalate', name: 'silver nitrate with potassium oxalate', equation: '2 AgNO3 + K2C2O4 -> Ag2C2O4 + 2 KNO3', sides: [side('silver-nitrate', 2), side('potassium-oxalate', 1)], others: NITRATES },
  { id: 'calcium-oxalate', name: 'calcium chloride with potassium oxalate', equation: 'CaCl2 + K2C2O4 -> CaC2O4 + 2 KCl', sides: [side('calcium-chloride', 1), side('potassium-oxalate', 1)], others: ['sodium-chloride', 'potassium-bromide', ...NITRATES] },
  { id: 'magnesium-hydroxide', name: 'magnesium nitrate with sodium hydroxide', equation: 'Mg(NO3)2 + 2 NaOH -> Mg(OH)2 + 2 NaNO3', sides: [side('magnesium-nitrate', 1), side('sodium-hydroxide', 2)], others: SALTS },
  { id: 'hydrochloric-acid', name: 'hydrochloric acid with sodium hydroxide', equation: 'HCl + NaOH -> NaCl + H2O', sides: [side('hydrochloric-acid', 1, { from: 0.15, to: 0.4 }), side('sodium-hydroxide', 1, { from: 0.15, to: 0.4 })], others: ['sodium-chloride', 'potassium-bromide', ...NITRATES] },
  { id: 'sulfuric-acid', name: 'sulfuric acid with sodium hydroxide', equation: 'H2SO4 + 2 NaOH -> Na2SO4 + 2 H2O', sides: [side('sulfuric-acid', 1, { from: 0.15, to: 0.4 }), side('sodium-hydroxide', 2, { from: 0.15, to: 0.4 })], others: ['sodium-chloride', 'potassium-bromide', ...NITRATES] },
  { id: 'iodine-thiosulfate', name: 'iodine with sodium thiosulfate', equation: 'I2 + 2 Na2S2O3 -> 2 NaI + Na2S4O6', sides: [side('iodine', 1, { from: 0.03, to: 0.05 }), side('sodium-thiosulfate', 2, { from: 0.12, to: 0.2 })], others: ['sodium-chloride', 'potassium-nitrate', 'sodium-nitrate', 'potassium-iodide', 'sodium-sulfate'] },
  { id: 'iron-permanganate', name: 'iron(II) sulfate with permanganate, both in acid', equation: '10 FeSO4 + 2 KMnO4 + 8 H2SO4 -> 5 Fe2(SO4)3 + 2 MnSO4 + K2SO4 + 8 H2O', sides: [side('iron2-sulfate', 5), side('permanganate', 1, { from: 0.01, to: 0.015 })], others: ['sodium-sulfate', ...NITRATES, 'magnesium-sulfate'] },
]; // prettier-ignore

export const BENCH_REACTION_IDS = BENCH_REACTIONS.map(({ id }) => id) as [string, ...string[]];
export const reactionOf = (id: string): BenchReaction | undefined => BENCH_REACTIONS.find((one) => one.id === id);
