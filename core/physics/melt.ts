import { zeroBetween } from '../analysis/zero';
import type { Freezing } from '../databook/freezing';
import {
  eutecticOf,
  freezesAtC,
  fusionJPerG,
  particlesMol,
  soluteFreezesC,
  type Eutectic,
  type Solute,
} from './freezing';

/**
 * What is in a tube and how its heat tells what of it is frozen: the one of the two that comes first freezes alone, until what is left
 * has the composition of the eutectic; that freezes at one temperature. Energies in J, masses in g, amounts in mol, temperatures in °C.
 */
export interface Melt {
  solvent: Freezing;
  solute: Solute | null;
  /** All of the solvent, molten and frozen. */
  solventG: number;
  /** All of the solute that was ever dissolved. */
  soluteMol: number;
  /** Of glass, stirrer, and solute: what is warmed beside the solvent, J/K. A solute takes up as much frozen as molten. */
  restJPerK: number;
}

/** What of it is frozen. */
export interface Crystals {
  solventG: number;
  soluteMol: number;
}
export const NO_CRYSTALS: Crystals = { solventG: 0, soluteMol: 0 };

const isPure = ({ solute, soluteMol }: Melt): boolean => solute === null || soluteMol <= 0;
const molalityIn = ({ solventG, soluteMol }: Melt): number => (1000 * soluteMol) / solventG;
const joulesPerMol = ({ solute }: Melt): number =>
  solute && 'meltsC' in solute.alone ? 1000 * solute.alone.fusionKJPerMol : 0;

/** Where what is molten freezes, with so much of it frozen already. */
export function meltFreezesC(melt: Melt, frozen: Crystals = NO_CRYSTALS): number {
  const { solvent, solute } = melt;
  if (isPure(melt) || solute === null) return solvent.freezesC;
  const solventG = melt.solventG - frozen.solventG;
  const soluteMol = melt.soluteMol - frozen.soluteMol;
  const eutectic = eutecticOf(solvent, solute);
  if (solventG <= 0) return eutectic.tempC;
  const ofSolvent = freezesAtC(solvent, solventG, particlesMol(solute, solvent, soluteMol, solventG));
  return Math.max(ofSolvent, soluteFreezesC(solvent, solute, (1000 * soluteMol) / solventG), eutectic.tempC);
}

/** J/K of all, with so much of the solvent frozen. */
export const meltJPerK = ({ solvent, solventG, restJPerK }: Melt, frozenG: number): number =>
  (solventG - frozenG) * solvent.liquidJPerGK + frozenG * solvent.solidJPerGK + restJPerK;

/** Enthalpy of all: counted from what is molten at 0 °C, so that the heat of fusion is that of the data book where the pure freezes. */
export function meltJ(melt: Melt, tempC: number, { solventG, soluteMol }: Crystals): number {
  const { solvent } = melt;
  const latent = fusionJPerG(solvent) - (solvent.liquidJPerGK - solvent.solidJPerGK) * solvent.freezesC;
  return meltJPerK(melt, solventG) * tempC - solventG * latent - soluteMol * joulesPerMol(melt);
}

/** All that can be frozen. */
const allOf = ({ solventG, soluteMol, solute }: Melt): Crystals => ({ solventG, soluteMol: solute ? soluteMol : 0 });

/** What is frozen when what is left has come to the eutectic: of the one that comes first alone. */
function untilEutectic(melt: Melt, { molality }: Eutectic): Crystals {
  const { solventG, soluteMol } = melt;
  return molalityIn(melt) <= molality
    ? { solventG: solventG - (1000 * soluteMol) / molality, soluteMol: 0 }
    : { solventG: 0, soluteMol: soluteMol - (molality * solventG) / 1000 };
}

const partOf = ({ solventG, soluteMol }: Crystals, part: number): Crystals => ({
  solventG: part * solventG,
  soluteMol: part * soluteMol,
});

const between = (from: Crystals, to: Crystals, part: number): Crystals => ({
  solventG: from.solventG + part * (to.solventG - from.solventG),
  soluteMol: from.soluteMol + part * (to.soluteMol - from.soluteMol),
});

/** How closely the part that is frozen is found; what is left over goes into the temperature, so that no heat is lost. */
const ENOUGH = { close: 1e-11, small: 1e-8 };
/** How far from where it was a step looks first, as a part of all. */
const NEAR = 0.002;

interface Settled {
  tempC: number;
  frozen: Crystals;
}

/** Of so much frozen and so much heat, how warm it is. */
const warmed = (melt: Melt, joules: number, frozen: Crystals): Settled => ({
  tempC: (joules - meltJ(melt, 0, frozen)) / meltJPerK(melt, frozen.solventG),
  frozen,
});

/** A stretch along which heat is a straight line in what is frozen, at one temperature. */
function alongOf(melt: Melt, joules: number, tempC: number, from: Crystals, to: Crystals): Settled {
  const [none, all] = [meltJ(melt, tempC, from), meltJ(melt, tempC, to)];
  return { tempC, frozen: between(from, to, (none - joules) / (none - all)) };
}

/**
 * Temperature and frozen part of a melt that holds so much heat and has crystals in it: it is where it freezes, or all of it is molten,
 * or all is frozen.
 * @param near what of it was frozen a little before: it is looked for there first
 */
export function settled(melt: Melt, joules: number, near: Crystals = NO_CRYSTALS): Settled {
  const { solvent, solute } = melt;
  if (joules >= meltJ(melt, meltFreezesC(melt), NO_CRYSTALS)) return warmed(melt, joules, NO_CRYSTALS);
  const all = allOf(melt);
  if (isPure(melt) || solute === null) {
    const pure = { solventG: all.solventG, soluteMol: 0 };
    if (joules <= meltJ(melt, solvent.freezesC, pure)) return warmed(melt, joules, pure);
    return alongOf(melt, joules, solvent.freezesC, NO_CRYSTALS, pure);
  }
  const eutectic = eutecticOf(solvent, solute);
  if (joules <= meltJ(melt, eutectic.tempC, all)) return warmed(melt, joules, all);
  const first = untilEutectic(melt, eutectic);
  if (joules <= meltJ(melt, eutectic.tempC, first)) return alongOf(melt, joules, eutectic.tempC, first, all);
  // On the way to the eutectic the one that comes first freezes alone: its own curve says where.
  const lacks =
    first.solventG > 0
      ? (part: number) => {
          const frozen = { solventG: part * first.solventG, soluteMol: 0 };
          const left = melt.solventG - frozen.solventG;
          const tempC = freezesAtC(solvent, left, particlesMol(solute, solvent, melt.soluteMol, left));
          return meltJ(melt, tempC, frozen) - joules;
        }
      : (part: number) => {
          const frozen = { solventG: 0, soluteMol: part * first.soluteMol };
          const molality = (1000 * (melt.soluteMol - frozen.soluteMol)) / melt.solventG;
          return meltJ(melt, soluteFreezesC(solvent, solute, molality), frozen) - joules;
        };
  const was = first.solventG > 0 ? near.solventG / first.solventG : near.soluteMol / first.soluteMol;
  const [low, high] = [Math.max(was - NEAR, 0), Math.min(was + NEAR, 1)];
  const isNear = low < high && lacks(low) > 0 && lacks(high) < 0;
  return warmed(
    melt,
    joules,
    partOf(first, isNear ? zeroBetween(lacks, low, high, ENOUGH) : zeroBetween(lacks, 0, 1, ENOUGH)),
  );
}
