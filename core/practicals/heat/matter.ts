import { SEALED_VESSEL } from '../../databook/heat-vessels';
import { settle, type Solution } from '../../chemistry/solution';
import { densityAt, liquidOf } from '../../databook/liquids';
import { materialOf } from '../../databook/materials';
import { saltOf, SALTS } from '../../databook/salts';
import { soluteOf, WATER_IONISES_KJ } from '../../databook/solutes';
import { LIQUID_HEATS, METAL_HEATS } from '../../databook/specific-heats';
import { THERMOMETERS, type ThermometerKind } from '../../instruments/thermometer';
import { massOf, volumesIn } from '../../physics/liquid';
import type { Bench } from './bench';
import type { Piece, Vessel } from './bodies';
import type { Plan } from './plan';

/**
 * What things weigh and what it takes to warm them. Volumes are those at the temperature of the room, so that masses stay.
 * A solution takes up as much heat as the water in it: apparent molar heat capacities of most salts lie near nothing.
 */

export const WATER_J_PER_G_K = LIQUID_HEATS.find(({ id }) => id === 'water')?.jPerGK as number;

const heatOf = new Map(LIQUID_HEATS.map(({ id, jPerGK }) => [id, jPerGK]));
const SALT_KEYS: ReadonlySet<string> = new Set(SALTS.map(({ id }) => id));
const isSalt = (id: string): boolean => SALT_KEYS.has(id);

/** What it takes to warm a mL of a liquid of this room, J/K. */
function perMl(id: string, roomC: number): number {
  const c = heatOf.get(id);
  if (c === undefined) throw new RangeError(`the data book has no heat capacity of "${id}"`);
  return c * densityAt(liquidOf(id), roomC);
}

/** J/K */
export function liquidJPerK(liquid: Solution, roomC: number): number {
  if (!liquid.others) return liquid.volumeMl * perMl('water', roomC);
  let sum = 0;
  for (const [id, ml] of Object.entries(volumesIn(liquid))) sum += ml * perMl(id, roomC);
  return sum;
}

/** g of a liquid with the salts in it. */
export function liquidG(liquid: Solution, roomC: number): number {
  let sum = massOf(liquid, roomC);
  for (const [id, mol] of Object.entries(liquid.amounts)) if (isSalt(id)) sum += mol * saltOf(id).molarMassGPerMol;
  return sum;
}

/** J/K of a piece of the metal, dry. */
export function metalJPerK({ sample }: Pick<Bench, 'sample'>, index: number): number {
  const { metal } = sample;
  const c = METAL_HEATS.find(({ id }) => id === metal?.id)?.jPerGK ?? 0;
  return c * (metal?.piecesG[index] ?? 0);
}

export const filmJPerK = ({ filmG }: Piece): number => filmG * WATER_J_PER_G_K;

export const volumeOfPiece = ({ sample }: Pick<Bench, 'sample'>, index: number): number =>
  sample.metal ? (sample.metal.piecesG[index] ?? 0) / materialOf(sample.metal.id).densityGPerMl : 0;

/** Surface of a piece, cm²: a cylinder twice as long as it is wide, or the same as shot. */
export const areaOfPiece = (bench: Pick<Bench, 'sample' | 'plan'>, index: number): number =>
  (bench.plan.metal?.form === 'shot' ? 22 : 5.8) * Math.cbrt(volumeOfPiece(bench, index)) ** 2;

export const tipJPerK = ({ plan, off }: { plan: Pick<Plan, 'thermometer'>; off: readonly string[] }): number =>
  off.includes('probe') ? 0 : THERMOMETERS[plan.thermometer satisfies ThermometerKind].jPerK;

/**
 * Enthalpy of what is dissolved, J, counted from each acid with all its protons, H⁺, and salts undissolved: what reacts or dissolves
 * changes it by the heat of that. Forms by the equilibrium at 25 °C, each step with its enthalpy from the data book; heats of
 * dilution are left out.
 */
export function dissolvedJ(liquid: Solution): number {
  let sum = reactingJ(liquid);
  for (const [id, mol] of Object.entries(liquid.amounts))
    if (isSalt(id)) sum += 1000 * saltOf(id).enthalpyKJPerMol * mol;
  return sum;
}

/** Of that, what acids and bases have of it, J. */
export function reactingJ(liquid: Solution): number {
  if (!Object.entries(liquid.amounts).some(([id, mol]) => mol > 0 && !isSalt(id))) return 0;
  const found = known.get(liquid) ?? protonJ(liquid);
  known.set(liquid, found);
  return found;
}

/** A liquid is asked about again and again while nothing comes to it. */
const known = new WeakMap<Solution, number>();

function protonJ(liquid: Solution): number {
  const acids: Record<string, number> = {};
  for (const [id, mol] of Object.entries(liquid.amounts)) if (!isSalt(id)) acids[id] = mol;
  const found = settle({ volumeMl: liquid.volumeMl, amounts: acids }, { tempC: 25, activities: false });
  const hydroxide = 10 ** (found.pH - 13.995);
  let kJ = (WATER_IONISES_KJ * hydroxide * liquid.volumeMl) / 1000;
  for (const [id, mol] of Object.entries(acids)) {
    const { pKas, enthalpiesKJPerMol } = soluteOf(id);
    // The part of each form, by how many protons it has lost.
    let [weight, all, lost, cumulated] = [1, 1, 0, 0];
    pKas.forEach((pKa, i) => {
      weight *= 10 ** (found.pH - pKa);
      cumulated += enthalpiesKJPerMol[i] ?? 0;
      all += weight;
      lost += weight * cumulated;
    });
    kJ += (mol * lost) / all;
  }
  return 1000 * kJ;
}

/** Enthalpy of a liquid, J: counted from 0 °C and from what {@link dissolvedJ} is counted from. */
export const enthalpyJ = (liquid: Solution, tempC: number, roomC: number): number =>
  liquidJPerK(liquid, roomC) * tempC + dissolvedJ(liquid);

/** Everything in a vessel that a balance sees, g; lid, stirrer and thermometer hang beside it. */
export function vesselG(bench: Bench, vessel: Vessel, isCup: boolean): number {
  const { roomC } = bench.sample;
  let sum = vessel.massG + liquidG(vessel.liquid, roomC);
  if (bench.sample.saltId) sum += vessel.lyingMol * saltOf(bench.sample.saltId).molarMassGPerMol;
  if (isCup) sum += piecesG(bench, 'cup') + (bench.sealed?.at === 'pail' ? SEALED_VESSEL.massG : 0);
  return sum;
}

/** Pieces of metal at a place, with the water that clings to them, g. */
export function piecesG(bench: Bench, place: Piece['at']): number {
  let sum = 0;
  bench.pieces.forEach((piece, i) => {
    if (piece.at === place) sum += (bench.sample.metal?.piecesG[i] ?? 0) + piece.filmG;
  });
  return sum;
}
