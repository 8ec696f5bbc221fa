/** How closely liquids are measured out: a part of the amount that one piece is off by, and what a hand is off by, mL. */
export const MEASURED = {
  cylinder: { tolerance: 0.005, handMl: 0.3 },
  pipette: { tolerance: 0.0008, handMl: 0.015 },
  dispenser: { tolerance: 0.001, handMl: 0.01 },
};
