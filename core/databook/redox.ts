import type { ComponentId, Of } from './precipitates';

/** Reactions in water that pass electrons on and go to completion: what each takes and makes, in the order in which they go. */
interface Redox {
  id: string;
  equation: string;
  /** What is there less afterwards (negative) and more (positive), mol for one time through. */
  change: Of;
  /** What has to be there for one time through, where that is more than it takes: an ion that falls with what was made. */
  needs?: Of;
  /** It goes where the solution is at least so acid; null where that does not matter. */
  belowPH: number | null;
}

export const REDOX: readonly Redox[] = [
  { id: 'permanganate-iron', equation: 'MnO4^- + 5 Fe^2+ + 8 H^+ -> Mn^2+ + 5 Fe^3+ + 4 H2O', change: { MnO4: -1, Fe2: -5, H: -8, Mn: 1, Fe: 5 }, belowPH: 3 },
  { id: 'permanganate-oxalate', equation: '2 MnO4^- + 5 C2O4^2- + 16 H^+ -> 2 Mn^2+ + 10 CO2 + 8 H2O', change: { MnO4: -2, C2O4: -5, H: 4, Mn: 2, CO3: 10 }, needs: { H: 16 }, belowPH: 3 },
  { id: 'permanganate-iodide', equation: '2 MnO4^- + 10 I^- + 16 H^+ -> 2 Mn^2+ + 5 I2 + 8 H2O', change: { MnO4: -2, I: -10, H: -16, Mn: 2, I2: 5 }, belowPH: 4 },
  { id: 'dichromate-iron', equation: 'Cr2O7^2- + 6 Fe^2+ + 14 H^+ -> 2 Cr^3+ + 6 Fe^3+ + 7 H2O', change: { CrO4: -2, Fe2: -6, H: -16, Cr: 2, Fe: 6 }, belowPH: 3 },
  { id: 'dichromate-iodide', equation: 'Cr2O7^2- + 6 I^- + 14 H^+ -> 2 Cr^3+ + 3 I2 + 7 H2O', change: { CrO4: -2, I: -6, H: -16, Cr: 2, I2: 3 }, belowPH: 2 },
  { id: 'copper-iodide', equation: '2 Cu^2+ + 4 I^- -> 2 CuI + I2', change: { Cu: -2, I: -2, Cu1: 2, I2: 1 }, needs: { I: 4 }, belowPH: 7 },
  { id: 'iron-iodide', equation: '2 Fe^3+ + 2 I^- -> 2 Fe^2+ + I2', change: { Fe: -2, I: -2, Fe2: 2, I2: 1 }, belowPH: 4 },
  { id: 'iodine-thiosulfate', equation: 'I2 + 2 S2O3^2- -> 2 I^- + S4O6^2-', change: { I2: -1, S2O3: -2, I: 2, S4O6: 1 }, belowPH: 9 },
]; // prettier-ignore

/** What one time through takes of each component, mol: all that has to be there. */
export function takenBy({ change, needs = {} }: Redox): [ComponentId, number][] {
  const ids = new Set([...Object.keys(change), ...Object.keys(needs)] as ComponentId[]);
  return [...ids].flatMap((id): [ComponentId, number][] => {
    const least = Math.max(-(change[id] ?? 0), needs[id] ?? 0);
    return least > 0 ? [[id, least]] : [];
  });
}
