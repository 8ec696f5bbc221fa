/**
 * Energy, speed and temperature of one particle that flies alone. Energies in zJ (10⁻²¹ J), speeds in nm/ps (km/s).
 * Constants are exact: BIPM, The International System of Units, 9th ed., 2019.
 */

/** Boltzmann's constant, zJ/K. */
export const BOLTZMANN_ZJ_PER_K = 0.01380649;

/** Avogadro's constant in 10²⁴ per mol: grams per mole over it are zJ over the square of a speed in nm/ps. */
const AVOGADRO_E24 = 0.602214076;

/** A molar mass, g/mol, as the mass of one particle, of which ½ m v² is zJ where v is nm/ps. */
export const massZJ = (gPerMol: number): number => gPerMol / AVOGADRO_E24;

/** Energy of flight, zJ, whose mean a gas of this temperature has: 3/2 kT. */
export const energyAt = (kelvin: number): number => 1.5 * BOLTZMANN_ZJ_PER_K * kelvin;

/** The temperature, K, that an energy of flight stands for. */
export const kelvinOf = (zJ: number): number => zJ / (1.5 * BOLTZMANN_ZJ_PER_K);

/** The speed, nm/ps, of a particle with an energy in zJ: ½ m v². */
export const speedOf = (zJ: number, gPerMol: number): number => Math.sqrt((2 * zJ * AVOGADRO_E24) / gPerMol);

/** The energy, zJ, of a particle with a speed in nm/ps. */
export const energyOf = (speed: number, gPerMol: number): number => (0.5 * gPerMol * speed * speed) / AVOGADRO_E24;

/** The molar mass, g/mol, of particles with an energy in zJ at a speed in nm/ps. */
export const molarMassOf = (zJ: number, speed: number): number => (2 * zJ * AVOGADRO_E24) / (speed * speed);
