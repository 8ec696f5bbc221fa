import { SEALED_VESSEL, heatVesselOf } from '../../../databook/heat-vessels';
import {
  oxygenMolPerMol,
  molarMassOf,
  sealedKJPerG,
  solidFuelOf,
  type Combustible,
} from '../../../databook/combustion';
import type { Bench } from '../bench';
import type { Stuff, Sealed } from '../bodies';

/** A vessel that is sealed and filled with oxygen, and the pellet that is burnt in it. */

/** What the vessel takes up, by this run's batch, J/K. @param part of what one of its kind takes up */
const sealedJPerK = (part: number): number => SEALED_VESSEL.jPerK * part;

/** Of all that is warmed beside the water: vessel, pail with its stirrer, and the tip of the thermometer, J/K. */
export const wholeJPerK = (part: number): number => (SEALED_VESSEL.jPerK + heatVesselOf('pail').jPerK) * part;

export const freshSealed = (roomC: number, part: number): Sealed => ({
  at: 'stand',
  isOpen: true,
  gaugeBar: 0,
  wire: 'none',
  wireCm: 0,
  leftCm: 0,
  isFlooded: false,
  soot: false,
  tempC: roomC,
  jPerK: sealedJPerK(part),
  lateJ: 0,
});

export const stuffOf = ({ plan, sample }: Pick<Bench, 'plan' | 'sample'>, which: Stuff): Combustible =>
  solidFuelOf((which === 'standard' ? plan.sealed?.standardId : sample.solidFuelId) ?? '');

const GAS_CONSTANT = 8.314462618;
/** Air's part of oxygen, and the pressure of the room, bar. */
const IN_AIR_BAR = 0.21;

/** Oxygen in the sealed vessel, mol: what was let in on top of its air. */
export function oxygenMol({ gaugeBar, tempC }: Sealed): number {
  const pascal = 1e5 * (gaugeBar + IN_AIR_BAR);
  return (pascal * SEALED_VESSEL.holdsMl * 1e-6) / (GAS_CONSTANT * (tempC + 273.15));
}

/**
 * Part of a pellet's heat that comes out, by how many times the oxygen is there that it takes. Three times is enough for all of it, as
 * in life; with less some carbon stays as soot, and with less than it takes the rest does not burn at all. Model values.
 */
export function burntPart(timesOxygen: number): number {
  if (timesOxygen >= 3) return 1;
  if (timesOxygen >= 1) return 0.88 + 0.06 * (timesOxygen - 1);
  return 0.88 * timesOxygen;
}

/** Heat of a pellet that is burnt with so much oxygen, J, and the part of it that came out. */
export function pelletHeat(fuel: Combustible, grams: number, oxygen: number): { joules: number; part: number } {
  const needs = (oxygenMolPerMol(fuel) * grams) / molarMassOf(fuel);
  const part = burntPart(oxygen / needs);
  return { joules: 1000 * sealedKJPerG(fuel) * grams * part, part };
}
