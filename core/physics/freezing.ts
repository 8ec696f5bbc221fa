import type { Dissolving, Freezing } from '../databook/freezing';

/**
 * A melt that freezes: pure, or with something dissolved in it that stays in what is still molten. Temperatures in °C, masses in g.
 * Ideal solution; the frozen part is pure solvent.
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
export function particlesMol(solute: Dissolving, solvent: Freezing, mol: number, solventG: number): number {
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

/** What is in a tube, as far as its heat goes. */
export interface Melt {
  solvent: Freezing;
  solute: Dissolving | null;
  /** All of the solvent, molten and frozen, g. */
  solventG: number;
  /** Solute that is dissolved, mol. */
  soluteMol: number;
  /** Of glass, stirrer, and solute: what is warmed beside the solvent, J/K. */
  restJPerK: number;
}

/** The part of a solvent that can freeze: the last of a solution would freeze with its solute, which is left out. */
const MOST = 0.97;
export const mostFrozenG = ({ solventG, soluteMol }: Melt): number => (soluteMol > 0 ? MOST * solventG : solventG);

/** Where a melt freezes, with so much of it frozen already, °C. */
export function meltFreezesC({ solvent, solute, solventG, soluteMol }: Melt, frozenG: number): number {
  if (!solute || soluteMol <= 0) return solvent.freezesC;
  const left = solventG - frozenG;
  return freezesAtC(solvent, left, particlesMol(solute, solvent, soluteMol, left));
}

/** J/K of all, with so much of it frozen. */
export const meltJPerK = ({ solvent, solventG, restJPerK }: Melt, frozenG: number): number =>
  (solventG - frozenG) * solvent.liquidJPerGK + frozenG * solvent.solidJPerGK + restJPerK;

/** Enthalpy of all, J: counted from what is molten at 0 °C, so that the heat of fusion is that of the data book where the pure freezes. */
export function meltJ(melt: Melt, tempC: number, frozenG: number): number {
  const { solvent } = melt;
  const latent = fusionJPerG(solvent) - (solvent.liquidJPerGK - solvent.solidJPerGK) * solvent.freezesC;
  return meltJPerK(melt, frozenG) * tempC - frozenG * latent;
}

/** How closely what is frozen is found, as a part of all; what is left over goes into the temperature, so that no heat is lost. */
const CLOSE = 1e-11;
/** How far from where it was a step looks first, as a part of all. */
const NEAR = 0.01;

/** The place between two ends of other signs where a falling function is 0: false position, each end that stays halved (Illinois). */
function zeroBetween(of: (x: number) => number, from: number, to: number, close: number): number {
  let [a, b, fa, fb] = [from, to, of(from), of(to)];
  for (let i = 0; i < 80 && b - a > close; i++) {
    // Where it hardly bends that is soon there; where it does, the middle is surer.
    const x = i % 4 === 3 ? (a + b) / 2 : (a * fb - b * fa) / (fb - fa);
    const y = of(x);
    if (Math.abs(y) < 1e-9) return x;
    if (y > 0) [a, fa, fb] = [x, y, fb / 2];
    else [b, fb, fa] = [x, y, fa / 2];
  }
  return (a + b) / 2;
}

/**
 * Temperature and frozen part of a melt that holds so much heat and has crystals in it: it is where it freezes, or all of it is molten,
 * or all that can be is frozen.
 * @param near what of it was frozen a little before, g: it is looked for there first
 */
export function settled(melt: Melt, joules: number, near = 0): { tempC: number; frozenG: number } {
  const at = (frozenG: number) => meltJ(melt, meltFreezesC(melt, frozenG), frozenG);
  if (joules >= at(0)) return { tempC: joules / meltJPerK(melt, 0), frozenG: 0 };
  const most = mostFrozenG(melt);
  if (joules <= at(most)) {
    // No more of it freezes: it cools as it is.
    const base = meltJ(melt, 0, most);
    return { tempC: (joules - base) / meltJPerK(melt, most), frozenG: most };
  }
  // Of a pure melt the heat is a straight line in what is frozen.
  if (melt.soluteMol <= 0) {
    const [none, all] = [at(0), at(most)];
    const frozenG = ((none - joules) / (none - all)) * most;
    return { tempC: melt.solvent.freezesC, frozenG };
  }
  const lacks = (frozenG: number) => at(frozenG) - joules;
  const [low, high] = [Math.max(near - NEAR * most, 0), Math.min(near + NEAR * most, most)];
  const isNear = lacks(low) > 0 && lacks(high) < 0;
  const frozenG = isNear ? zeroBetween(lacks, low, high, CLOSE * most) : zeroBetween(lacks, 0, most, CLOSE * most);
  return { tempC: (joules - meltJ(melt, 0, frozenG)) / meltJPerK(melt, frozenG), frozenG };
}

/** How soon crystals form of themselves, 1/s: a chance that grows with how far below its freezing point a melt is, and with stirring. */
export const nucleatesPerS = (belowK: number, isStirred: boolean): number =>
  belowK <= 0 ? 0 : 0.02 * (isStirred ? 4 : 1) * belowK ** 3;
