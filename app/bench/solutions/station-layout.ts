import type { Plan } from '@core/practicals/solutions/plan';

/** Where what a solid is weighed with stands, mm: oven and desiccator on the shelf, balance, funnel and hot plate behind, papers in front. */
export interface StationLayout {
  width: number;
  balance: number;
  funnel: number;
  hotPlate: number;
  oven: number;
  desiccator: number;
  jar: number;
  boat: number;
  /** The first paper, and how far they lie from one another. */
  mats: number;
  matPitch: number;
}

/** How high the hot plate is, and where the paper in the funnel ends, over a beaker. */
export const PLATE_MM = 26;
export const FUNNEL_MM = 84;

/** @param shelfX where bottles end @param frontX where beakers end */
export const stationLayout = (labels: Plan, shelfX: number, frontX: number): StationLayout => ({
  width: labels.papers.length > 0 ? Math.max(shelfX + 348, frontX + 5 * 38 + 52) : 440,
  balance: 100,
  funnel: 254,
  hotPlate: 420,
  oven: shelfX + 150,
  desiccator: shelfX + 280,
  jar: shelfX + 40,
  boat: 244,
  mats: frontX + 22,
  matPitch: 38,
});
