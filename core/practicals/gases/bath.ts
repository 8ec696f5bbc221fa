import { boilingC } from '../../physics/vapour';
import type { Bath } from './bench';
import { BATH_G } from './pieces';

/** A stirred bath on a hot plate, with ice or without. */

const WATER_J_PER_G_K = 4.18;
const MELTING_J_PER_G = 334;
/** Heat of one step of the plate's setting, W; what the vessel loses, and what ice in it takes up, W/K. Model values. */
const HEAT_W = 70;
const LOSS_W_PER_K = 2.2;
const ICE_W_PER_K = 260;
/** Less ice than this takes heat up more slowly, g. */
const LITTLE_ICE_G = 60;

const J_PER_K = BATH_G * WATER_J_PER_G_K;

const BOILS = new Map<number, number>();
/** Where water boils in this room, °C. */
export function bathBoilsC(roomKPa: number): number {
  const known = BOILS.get(roomKPa);
  if (known !== undefined) return known;
  if (BOILS.size > 1000) BOILS.clear();
  const boils = boilingC(roomKPa);
  BOILS.set(roomKPa, boils);
  return boils;
}

/** The bath after a step. Its water and ice together weigh the same all the time: what ice leaves no room for was ladled out. */
export function bathAfter(bath: Bath, seconds: number, roomC: number, boilsC: number): Bath {
  const { tempC, iceG, heat } = bath;
  const fromIce = iceG > 0 && tempC > 0 ? ICE_W_PER_K * Math.min(1, iceG / LITTLE_ICE_G) * tempC : 0;
  const meltedG = Math.min(iceG, (fromIce * seconds) / MELTING_J_PER_G);
  const joule = (HEAT_W * heat - LOSS_W_PER_K * (tempC - roomC)) * seconds - meltedG * MELTING_J_PER_G;
  const next = tempC + joule / J_PER_K;
  return { ...bath, tempC: Math.min(Math.max(next, 0), boilsC), iceG: iceG - meltedG };
}

/** Whether it boils: at its boiling point, and heated. */
export const isBoiling = ({ tempC, heat }: Bath, boilsC: number): boolean => heat > 0 && tempC > boilsC - 0.05;

/** With ice put in: as much water is ladled out, and what the ice takes up shows in the steps that follow. */
export const withIce = (bath: Bath, grams: number): Bath => ({ ...bath, iceG: bath.iceG + grams });
