/** How long the hands take, s of the bench clock; while they are at it, what lingers goes on mixing. */
export const TAKES_S = {
  fill: 8,
  drop: 1,
  letInPerMl: 1,
  rinse: 20,
  empty: 10,
  pipette: 12,
  indicator: 2,
  water: 3,
  weigh: 15,
  wipe: 5,
  tip: 5,
  warm: 180,
  makeUp: 60,
};

/** Standard deviations of the hand, mL. */
export const FILL_ERROR_ML = 0.04;
export const PIPETTE_ERROR_ML = 0.006;
export const LET_IN_ERROR_ML = 0.02;
