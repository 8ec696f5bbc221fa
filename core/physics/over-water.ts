import { GAS_CONSTANT, kelvin } from './gas-law';
import { vapourPressureKPa } from './vapour';

/** Pressure of a column of water, kPa for each mm: its density near 20 °C times standard gravity. Source: Kell; BIPM. */
export const KPA_PER_MM = 0.998 * 9.80665e-3;

/** A tube that stands upside down in water: where its closed end is over the water outside, mm, and how long 1 mL of it is. */
export interface Tube {
  topMm: number;
  mmPerMl: number;
}

/**
 * Volume, mL, of a damp gas in such a tube. Its pressure is that of the room less the column that hangs in the tube, and water's vapour
 * has a part of it (Dalton): V (p − c (H − k V) − p_w) = n R T, a quadratic of which the positive root is the volume.
 */
export function volumeOverWater(mol: number, kPa: number, celsius: number, { topMm, mmPerMl }: Tube): number {
  const energy = mol * GAS_CONSTANT * kelvin(celsius);
  const a = KPA_PER_MM * mmPerMl;
  const b = kPa - KPA_PER_MM * topMm - vapourPressureKPa(celsius);
  return (2 * energy) / (b + Math.sqrt(b * b + 4 * a * energy));
}

/** How much higher the water stands inside than outside, mm. */
export const levelMm = (ml: number, { topMm, mmPerMl }: Tube): number => topMm - ml * mmPerMl;
