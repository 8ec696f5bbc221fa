/** How fast things go at the bench of heat: model values, unless a source is named. */

/** W/(cm² K) between a piece and what it lies in. */
export const TO_PIECE = { bath: 0.2, block: 0.012, dish: 0.0012, pan: 0.0012, tongs: 0.003, wall: 0.004 };
export const TO_LIQUID = { motor: 0.16, hand: 0.12, off: 0.05 };
/** Part of the conductance to its wall that a liquid at rest has. */
export const STILL_WALL = 0.35;
export const BATH_TO_BEAKER = 7;
/** W/K between the sealed vessel and the water around it, by how that is stirred; and the air. */
export const SEALED_TO = { motor: 24, hand: 14, off: 5, air: 0.5 };
/** W/K between a test tube and what it stands in, bare in water, within its air jacket, and in air; less where it is not stirred. */
export const TUBE_TO = { water: 0.8, jacket: 0.12, air: 0.06 };
export const STILL_TUBE = 0.6;
/** How long the heat of what burns takes to the wall of the sealed vessel, s. */
export const BURNS_S = 4;
/** Watts that stirring brings in. */
export const STIRRING_W = { off: 0, hand: 0.004, motor: 0.02 };
/** How long what was poured together takes to mix and react, s. */
export const MIXES_S = { off: 7, hand: 1.5, motor: 1 };
/** How fast a salt dissolves: 1/s of a tenth of a mole, far from saturation. */
export const DISSOLVES = { off: 1 / 300, hand: 1 / 40, motor: 1 / 25 };
/** The same salt in coarse grains has so much less of a surface, as a part. */
export const GRAIN = { fine: 1, coarse: 0.3 };
/** K/s of bath and block, warming and cooling. */
export const PACE = { bath: [0.5, 0.08], block: [0.8, 0.15], cold: [0.3, 0.3] } as const;
/** Drying by no more than this in a step, K: the last of a film dries slowly, and no step is too long for it. */
export const DRIES_K = 0.3;
/** Water clings to what moves through air, and goes from it so much faster than from a surface at rest. */
export const MOVING_AIR = 1.2;

/** Length of a step, s. */
export const STEP_S = 0.5;
/** Half an hour after the last act, with no log running, nothing is so fast that longer steps would not do. */
export const QUIET_AFTER_S = 1800;
export const QUIET_STEP_S = 2;
/** Lines that a run's log holds at most. */
export const LOG_LINES = 3600;
/** A thermometer shows what it stands in from so much liquid on, mL. */
export const COVERS_ML = 8;
