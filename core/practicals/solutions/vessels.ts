import type { Form } from '../../databook/precipitates';

/** What can stand there. */
export type AnyVessel = 'bottle' | 'water' | 'well' | 'tube' | 'beaker';

/** What stands at the bench of solutions: how much each holds, how deep it is looked through, how fast it cools. */
interface Entry {
  brimMl: number;
  depthMm: number;
  /** Time in which its warmth falls to a third, s. */
  coolsS: number;
}

export const VESSELS_HERE: Record<AnyVessel, Entry> = {
  bottle: { brimMl: 420, depthMm: 40, coolsS: 3000 },
  water: { brimMl: 520, depthMm: 60, coolsS: 5000 },
  well: { brimMl: 1, depthMm: 6, coolsS: 60 },
  tube: { brimMl: 24, depthMm: 14, coolsS: 400 },
  beaker: { brimMl: 112, depthMm: 46, coolsS: 1500 },
};

/** Wells of the spot plate. */
export const WELLS = 12;
/** The most of each that can stand there: tubes in the rack, beakers on the bench. */
export const MOST = { tube: 18, beaker: 6 } as const;

/** What a vessel on the hot plate comes to, °C, and the time in which it is a third from it, s. */
export const PLATE_C = 85;
export const PLATE_S = 240;

/** What an empty one weighs, g, and how much one differs from another. */
export const WEIGHS_G: Readonly<Partial<Record<AnyVessel, { g: number; by: number }>>> = {
  beaker: { g: 51, by: 2.5 },
};

/** The part of a solid that runs through a filter paper while it is not ripe, and how much less of it through glass fibre. */
export const RUNS_THROUGH: Record<Form, number> = { fine: 0.3, curdy: 0.06, flocks: 0.01, crystals: 0.005 };
export const GLASS_LETS = 0.4;
/** By so much stirring ripens what clots. */
export const CLOTS = 0.8;

/** Time in which what is afloat falls to a third, s. */
export const SETTLES_S: Record<Form, number> = { curdy: 40, crystals: 30, flocks: 240, fine: 900 };
