import { saltOf, solubleMolPerG } from '../../../databook/salts';
import type { Solution } from '../../../chemistry/solution';
import { evaporatingGPerS, vaporisationJPerG } from '../../../physics/vapour';
import type { Piece, Vessel, Warmer, Lamp, Sealed } from '../bodies';
import { jPerKOf, waterMlIn, type Going, type Ground, type Loose, type Which } from './going';
import { filmJPerK, WATER_J_PER_G_K } from '../matter';
import { BURNS_S, DISSOLVES, DRIES_K, GRAIN, MIXES_S, MOVING_AIR, STIRRING_W } from './rates';

/** What goes on in each thing by itself, beside the heat that comes and goes: changed in place, a step at a time. */

/** The part of a heat that comes out late which comes in a step, J: the last of it at once. */
function comingOut(lateJ: number, stepS: number, overS: number): number {
  return Math.abs(lateJ) < 1e-6 ? lateJ : -lateJ * Math.expm1(-stepS / overS);
}

export function inVessel(ground: Ground, going: Going, index: Which, stepS: number): void {
  const vessel = going.vessels[index];
  const jPerK = jPerKOf(ground, vessel.liquid);
  if (!(jPerK > 0)) return;
  if (vessel.lateJ !== 0) {
    const joules = comingOut(vessel.lateJ, stepS, MIXES_S[vessel.stir]);
    vessel.lateJ = joules === vessel.lateJ ? 0 : vessel.lateJ - joules;
    vessel.liquidC += joules / jPerK;
  }
  if (ground.isStirringWarm && vessel.stir !== 'off') {
    const joules = STIRRING_W[vessel.stir] * stepS;
    vessel.liquidC += joules / jPerK;
    going.goneJ -= joules;
  }
  if (index === 0 && vessel.lyingMol > 0) dissolves(ground, vessel, jPerK, stepS);
  if (ground.isLossy) {
    const { innerDiameterMm } = ground.entries[index];
    const areaCm2 = (Math.PI / 4) * (innerDiameterMm / 10) ** 2 * (vessel.lid ? 0.06 : 1);
    evaporates(ground, going, vessel, evaporatingGPerS(areaCm2, vessel.liquidC, ground.airKPa) * stepS, DRIES_K);
  }
  const { boilsC } = ground.bench.sample;
  if (vessel.liquidC > boilsC) evaporates(ground, going, vessel, Infinity, vessel.liquidC - boilsC);
}

function dissolves({ bench, gPerMl }: Ground, vessel: Loose<Vessel>, jPerK: number, stepS: number): void {
  const id = bench.sample.saltId;
  if (!id) return;
  const salt = saltOf(id);
  const waterG = waterMlIn(vessel.liquid) * gPerMl;
  const most = solubleMolPerG(salt, vessel.liquidC) * waterG;
  const there = vessel.liquid.amounts[id] ?? 0;
  const far = most > 0 ? Math.max(1 - there / most, 0) : 0;
  const rate =
    GRAIN[bench.plan.grain] * DISSOLVES[vessel.stir] * Math.cbrt(0.1) * Math.cbrt(vessel.lyingMol) ** 2 * far;
  const mol = Math.min(rate * stepS, vessel.lyingMol, Math.max(most - there, 0));
  if (mol <= 0) return;
  vessel.lyingMol -= mol;
  if (vessel.lyingMol < 1e-12) vessel.lyingMol = 0;
  vessel.liquid = { ...vessel.liquid, amounts: { ...vessel.liquid.amounts, [id]: there + mol } };
  vessel.liquidC -= (1000 * salt.enthalpyKJPerMol * mol) / jPerK;
}

/** Water that leaves a liquid as vapour, with what it takes along; no more than cools it by so much. */
function evaporates(ground: Ground, going: Going, vessel: Loose<Vessel>, grams: number, mostK: number): void {
  const tempC = vessel.liquidC;
  const latentJPerG = vaporisationJPerG(tempC);
  const all = jPerKOf(ground, vessel.liquid);
  // What is left cools by the heat that the rest took along.
  const most = (all * mostK) / (latentJPerG + WATER_J_PER_G_K * mostK);
  const ml = Math.min(Math.min(grams, most) / ground.gPerMl, waterMlIn(vessel.liquid));
  if (!(ml > 0)) return;
  const gone = ml * ground.gPerMl;
  const left: Solution = { ...vessel.liquid, volumeMl: vessel.liquid.volumeMl - ml };
  vessel.liquidC -= (gone * latentJPerG) / jPerKOf(ground, left);
  going.vapourG += gone;
  vessel.liquid = left;
  going.goneJ += gone * latentJPerG + (all - jPerKOf(ground, left)) * tempC;
}

/** A wet piece in air dries, and cools by it. */
export function dries(ground: Ground, going: Going, piece: Loose<Piece>, index: number, stepS: number): void {
  if (piece.filmG <= 0 || piece.at === 'bath' || piece.at === 'cup') return;
  if (piece.at === 'tongs' && !ground.bench.plan.losses) return;
  const { areaCm2, jPerK } = ground.pieces[index] as Ground['pieces'][number];
  const air = piece.at === 'tongs' || piece.at === 'block' ? MOVING_AIR : 1;
  const grams = Math.min(air * evaporatingGPerS(areaCm2, piece.tempC, ground.airKPa) * stepS, piece.filmG);
  const { tempC } = piece;
  const latent = grams * vaporisationJPerG(tempC);
  piece.filmG = piece.filmG - grams < 1e-9 ? 0 : piece.filmG - grams;
  piece.tempC -= latent / (jPerK + filmJPerK(piece));
  going.vapourG += grams;
  going.goneJ += latent + grams * WATER_J_PER_G_K * tempC;
}

/** @param mostC where it boils: it gets no hotter, whatever it is set to */
export function warms(
  warmer: Loose<Warmer>,
  mostC: number,
  [up, down]: readonly [number, number],
  stepS: number,
): void {
  const apart = Math.min(warmer.setC, mostC) - warmer.tempC;
  warmer.tempC += Math.max(-down * stepS, Math.min(up * stepS, apart));
}

/** What burnt in the sealed vessel warms it from within. */
export function burnsOut(sealed: Loose<Sealed>, stepS: number): void {
  if (sealed.lateJ === 0) return;
  const joules = comingOut(sealed.lateJ, stepS, BURNS_S);
  sealed.lateJ = joules === sealed.lateJ ? 0 : sealed.lateJ - joules;
  sealed.tempC += joules / sealed.jPerK;
}

/** A lamp burns, or its wick dries; the flame under the can warms it. */
export function flames(ground: Ground, going: Going, lamp: Loose<Lamp>, n: number, stepS: number): void {
  if (lamp.state === 'capped' || lamp.fuelG === 0) return;
  const { burnsGPerS, evaporatesGPerS, jPerG } = ground.lamps[n] as Ground['lamps'][number];
  const isLit = lamp.state === 'lit';
  const grams = Math.min((isLit ? burnsGPerS : evaporatesGPerS) * stepS, lamp.fuelG);
  lamp.fuelG -= grams;
  going.burntFuelG += grams;
  if (lamp.fuelG === 0 && isLit) lamp.state = 'open';
  if (!isLit || lamp.at !== 'can' || ground.bench.pan.on === 'cup') return;
  const [can] = going.vessels;
  can.wallC += (grams * jPerG) / can.wallJPerK;
  going.goneJ -= grams * jPerG;
}
