import type { Dissolving, Freezing } from '../databook/freezing';

/**
 * What is molten, and where it freezes: pure, or with something dissolved in it. Temperatures in °C, masses in g. Ideal solution;
 * crystals are pure, of the one or of the other.
 */

const GAS_CONSTANT = 8.314462618;
const ZERO_K = 273.15;

/** Heat that a gram gives out when it freezes, J/g: by the cryoscopic constant, K_f = R T² / ΔH for a kilogram. */
export const fusionJPerG = ({ freezesC, kfKKgPerMol }: Freezing): number =>
  (GAS_CONSTANT * (freezesC + ZERO_K) ** 2) / kfKKgPerMol / 1000;

/**
 * Particles that a solute gives in a solvent, mol: ions in water, pairs where nothing else bonds them, by their constant.
 * @param mol dissolved @param solventG what is molten
 */
export function particlesMol(solute: Solute, solvent: Freezing, mol: number, solventG: number): number {
  if (mol <= 0) return 0;
  if (solvent.kind === 'water') return mol * solute.splitsInto;
  if (solute.pairsKgPerMol === null || solvent.kind !== 'apolar') return mol;
  const molality = (1000 * mol) / solventG;
  const k = solute.pairsKgPerMol;
  const single = (Math.sqrt(1 + 8 * k * molality) - 1) / (4 * k);
  return (mol * (molality + single)) / 2 / molality;
}

/**
 * Where what is molten freezes, by the equation of Schröder for an ideal solution: ln x = −(ΔH/R)(1/T − 1/T₀).
 * For little of a solute that is T₀ − K_f b.
 */
export function freezesAtC(solvent: Freezing, solventG: number, particles: number): number {
  if (particles <= 0) return solvent.freezesC;
  const solventMol = solventG / solvent.molarMassGPerMol;
  if (solventMol <= 0) return -ZERO_K;
  const perMol = fusionJPerG(solvent) * solvent.molarMassGPerMol;
  const x = solventMol / (solventMol + particles);
  return 1 / (1 / (solvent.freezesC + ZERO_K) - (GAS_CONSTANT * Math.log(x)) / perMol) - ZERO_K;
}

/** A solvent with so much in it, mol for each kilogram of it. */
const particlesFor = (solvent: Freezing, solute: Solute, molality: number): number =>
  particlesMol(solute, solvent, molality, 1000);

/** As much of a dissolved substance as its freezing needs to know. */
export type Solute = Pick<Dissolving, 'id' | 'splitsInto' | 'pairsKgPerMol' | 'alone'>;

/** Where a solvent freezes out of a solution, °C. */
export const solventFreezesC = (solvent: Freezing, solute: Solute, molality: number): number =>
  freezesAtC(solvent, 1000, particlesFor(solvent, solute, molality));

/** Where the solute freezes out of it, °C: by the same equation, turned round; of what is known by its eutectic alone, never above that. */
export function soluteFreezesC(solvent: Freezing, solute: Solute, molality: number): number {
  const { alone } = solute;
  if ('eutecticC' in alone) return alone.eutecticC;
  if (molality <= 0) return -ZERO_K;
  const particles = particlesFor(solvent, solute, molality);
  const x = particles / (particles + 1000 / solvent.molarMassGPerMol);
  const perMol = 1000 * alone.fusionKJPerMol;
  return 1 / (1 / (alone.meltsC + ZERO_K) - (GAS_CONSTANT * Math.log(x)) / perMol) - ZERO_K;
}

export interface Eutectic {
  tempC: number;
  /** Mol for each kilogram of solvent. */
  molality: number;
}

const found = new Map<string, Map<string, Eutectic>>();

/** Where the two freeze together: above it one of them freezes alone, and what is left comes to it. */
export function eutecticOf(solvent: Freezing, solute: Solute): Eutectic {
  const known = found.get(solvent.id)?.get(solute.id);
  if (known) return known;
  let [low, high] = [1e-6, 1e6];
  for (let i = 0; i < 100; i++) {
    const middle = Math.sqrt(low * high);
    const isBelow = solventFreezesC(solvent, solute, middle) > soluteFreezesC(solvent, solute, middle);
    [low, high] = isBelow ? [middle, high] : [low, middle];
  }
  const molality = Math.sqrt(low * high);
  const eutectic = { tempC: solventFreezesC(solvent, solute, molality), molality };
  found.set(solvent.id, (found.get(solvent.id) ?? new Map<string, Eutectic>()).set(solute.id, eutectic));
  return eutectic;
}

/** How soon crystals form of themselves, 1/s: a chance that grows with how far below its freezing point a melt is, and with stirring. */
export const nucleatesPerS = (belowK: number, isStirred: boolean): number =>
  belowK <= 0 ? 0 : 0.02 * (isStirred ? 4 : 1) * belowK ** 3;
