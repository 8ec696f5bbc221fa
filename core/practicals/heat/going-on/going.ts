import { heatVesselOf, type HeatVessel } from '../../../databook/heat-vessels';
import { densityAt, liquidOf } from '../../../databook/liquids';
import { water, type Solution } from '../../../chemistry/solution';
import { airVapourKPa } from '../../../physics/vapour';
import { volumesIn } from '../../../physics/liquid';
import type { Bench, LoggedLine } from '../bench';
import type { Piece, Thermometer, Vessel, Warmer, Lamp, Sealed, Tube } from '../bodies';
import { caughtJPerG, fuelIn } from '../burning/lamps';
import { areaOfPiece, liquidJPerK, metalJPerK, tipJPerK, volumeOfPiece } from '../matter';
import { COVERS_ML } from './rates';

/** What a stretch of time changes, and what it does not. */

export type Loose<T> = { -readonly [K in keyof T]: T[K] };
export type Which = 0 | 1;

/** What moves by itself, to be changed in place while a stretch of time passes. */
export interface Going {
  vessels: [Loose<Vessel>, Loose<Vessel>];
  pieces: Loose<Piece>[];
  thermometers: Loose<Thermometer>[];
  bath: Loose<Warmer>;
  block: Loose<Warmer>;
  sealed: Loose<Sealed> | null;
  tube: Loose<Tube> | null;
  cold: Loose<Warmer>;
  lamps: Loose<Lamp>[];
  burntFuelG: number;
  goneJ: number;
  vapourG: number;
  log: Bench['log'];
  lines: LoggedLine[];
}

/** What stays as it is meanwhile, looked up once. */
export interface Ground {
  bench: Bench;
  roomC: number;
  isLossy: boolean;
  isAirLossy: boolean;
  isStirringWarm: boolean;
  pieces: { jPerK: number; areaCm2: number; ml: number }[];
  lamps: { burnsGPerS: number; evaporatesGPerS: number; jPerG: number }[];
  /** Heat capacity of the tip of a thermometer, J/K. */
  tipJPerK: number;
  gPerMl: number;
  waterJPerMl: number;
  airKPa: number;
  entries: [HeatVessel, HeatVessel];
}

/** Whether the room and the air take their part of the heat. */
export const isLossy = ({ plan, off }: Pick<Bench, 'plan' | 'off'>, key: string): boolean =>
  plan.losses && !off.includes(key);

export const goingOf = (bench: Bench): Going => ({
  vessels: [{ ...bench.vessels.cup }, { ...bench.vessels.beaker }],
  pieces: bench.pieces.map((piece) => ({ ...piece })),
  thermometers: bench.thermometers.map((one) => ({ ...one })),
  bath: { ...bench.bath },
  block: { ...bench.block },
  sealed: bench.sealed && { ...bench.sealed },
  tube: bench.tube && { ...bench.tube },
  cold: { ...bench.cold },
  lamps: bench.lamps.map((lamp) => ({ ...lamp })),
  burntFuelG: bench.burntFuelG,
  goneJ: bench.goneJ,
  vapourG: bench.vapourG,
  log: bench.log && { ...bench.log },
  lines: [],
});

export function groundOf(bench: Bench): Ground {
  const { roomC } = bench.sample;
  return {
    bench,
    roomC,
    isLossy: isLossy(bench, 'room'),
    isAirLossy: isLossy(bench, 'tongs'),
    isStirringWarm: isLossy(bench, 'stirring'),
    tipJPerK: tipJPerK(bench),
    gPerMl: densityAt(liquidOf('water'), roomC),
    waterJPerMl: liquidJPerK(water(1), roomC),
    airKPa: airVapourKPa(roomC),
    entries: [heatVesselOf(bench.vessels.cup.type), heatVesselOf(bench.vessels.beaker.type)],
    pieces: bench.pieces.map((_, i) => ({
      jPerK: metalJPerK(bench, i),
      areaCm2: areaOfPiece(bench, i),
      ml: volumeOfPiece(bench, i),
    })),
    lamps: bench.lamps.map((_, n) => {
      const { burnsMgPerS, evaporatesMgPerS } = fuelIn(bench, n);
      return {
        burnsGPerS: burnsMgPerS / 1000,
        evaporatesGPerS: bench.off.includes('wick') ? 0 : evaporatesMgPerS / 1000,
        jPerG: caughtJPerG(bench, n),
      };
    }),
  };
}

/** J/K of a liquid: water is looked up once. */
export const jPerKOf = ({ waterJPerMl, roomC }: Ground, liquid: Solution): number =>
  liquid.others ? liquidJPerK(liquid, roomC) : liquid.volumeMl * waterJPerMl;

export const waterMlIn = (liquid: Solution): number =>
  liquid.others ? (volumesIn(liquid).water ?? 0) : liquid.volumeMl;

/** Whether the tip of a thermometer is under the liquid of a vessel. */
export const isCovering = ({ vessels }: Going, which: Which): boolean => vessels[which].liquid.volumeMl >= COVERS_ML;
