import { SYRINGE_ML } from '@core/practicals/gases/pieces';
import type { Gear } from '@core/practicals/gases/plan';

/** Where things stand, mm: x from left to right, y downwards. */

/** A syringe of 100 mL: its bore, and how long 1 mL of it is. */
export const BORE_MM = 32;
export const MM_PER_ML = 4000 / (Math.PI * BORE_MM ** 2);
export const WALL_MM = 2;
export const BARREL_MM = SYRINGE_ML * MM_PER_ML + 8;
export const ROD_MM = BARREL_MM + 14;
/** Height of the rubber of a plunger. */
export const RUBBER_MM = 9;
export const NOZZLE_MM = 14;

export const PANEL = { width: 104, height: 46 };
export const BULB_RADIUS_MM = 41;
export const BULB_NECK_MM = 26;

export interface Layout {
  width: number;
  height: number;
  benchY: number;
  /** Board on the wall with barometer and thermometer of the room. */
  board: { x: number; y: number };
}

const LAYOUTS: Record<Gear, Layout> = {
  syringe: { width: 590, height: 330, benchY: 306, board: { x: 424, y: 20 } },
  bulb: { width: 590, height: 400, benchY: 376, board: { x: 452, y: 18 } },
  syringes: { width: 600, height: 420, benchY: 400, board: { x: 8, y: 14 } },
  collected: { width: 600, height: 420, benchY: 400, board: { x: 8, y: 14 } },
  injected: { width: 600, height: 420, benchY: 400, board: { x: 8, y: 14 } },
};
export const layoutOf = (gear: Gear): Layout => LAYOUTS[gear];

/** The syringe that lies, joined to a coil: the axis of all three, where the nozzle ends, where the coil's tube comes to it. */
export const LYING = { axisY: 196, nozzleX: 238, coilX: 168, gaugeX: 70 };
/** How far the tube stands off the nozzle: off, on lightly, home. */
export const GAP_MM = { off: 26, loose: 7, home: 0 } as const;

export const PLATE = { height: 44 };
/** A bath: where its middle is, how broad it is, how high its water stands over the plate. */
export const BULB_BATH = { x: 196, width: 150, waterMm: 134, rimMm: 158 };
export const WIDE_BATH = { x: 252, width: 254, waterMm: 156, rimMm: 170 };
export const NARROW_BATH = { x: 186, width: 116, waterMm: 156, rimMm: 170 };
/** Where the balance stands, and where the injector lies beside it. */
export const BALANCE_X = 386;
export const MAT_X = 536;
/** The jar of water in which a gas tube stands: its water over the bench, and how long the tube is. */
export const WATER_JAR = { x: 206, width: 128, waterMm: 178, rimMm: 196 };
export const GAS_TUBE = { bore: 20, length: 186 };
export const JAR = { x: 424, width: 128, height: 150 };
/** Where the middle of the bulb is, by its place. */
export function bulbAt(place: 'air' | 'bath' | 'jar', { benchY }: Layout): { x: number; y: number } {
  if (place === 'bath') return { x: BULB_BATH.x, y: benchY - PLATE.height - 78 };
  if (place === 'jar') return { x: JAR.x, y: benchY - 70 };
  return { x: 314, y: benchY - 196 };
}
/** Where a syringe of the bath stands: the middle of its barrel's foot. @param count of them */
export const standingAt = (place: number, count: number, { benchY }: Layout): { x: number; y: number } => ({
  x: count === 1 ? NARROW_BATH.x : WIDE_BATH.x + (place - 1.5) * 60,
  y: benchY - PLATE.height - 22,
});
