/** Sizes of what stands at the bench of gases, and how far its pieces may be off. */

/** The largest volume on a syringe's scale, and between two of its lines, mL. */
export const SYRINGE_ML = 100;
/** Where its barrel ends, mL: there a plunger lets gas past. */
export const BARREL_ML = 106;
export const DIVISION_ML = 1;
/** How far the scale of one may be off at its largest volume: the tolerance of one of its class, as a part. Model value. */
export const SCALE_TOLERANCE = 0.005;
/** Volume of the bulb, mL, and of the neck and the gauge over it, which stay at the room's temperature. */
export const BULB_ML = 250;
export const NECK_ML = 0.4;
/** How far a gauge may be off by its span, as a part; and a barometer, kPa. */
export const SPAN_TOLERANCE = 0.003;
export const BAROMETER_TOLERANCE_KPA = 0.1;
/** How far the thermometer of the room may be off, K. */
export const ROOM_TOLERANCE_C = 0.3;
/** What the bath holds, g. */
export const BATH_G = 900;

/** A gas tube of 50 mL: its bore, how much its scale may be off as a part, and where its open end lets gas out, mL. */
const BORE_MM = 20;
export const TUBE_ML = 50;
export const TUBE_DIVISION_ML = 0.2;
export const TUBE_TOLERANCE = 0.004;
export const LETS_OUT_ML = 56;
export const TUBE_MM_PER_ML = 4000 / (Math.PI * BORE_MM ** 2);
/** Where the closed end of the tube can be over the water outside, mm. */
export const LIFT_MM = { least: 10, most: 175 } as const;
