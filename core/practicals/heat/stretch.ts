import { heatVesselOf, type HeatVessel } from '../../databook/heat-vessels';
import { saltOf, solubleMolPerG } from '../../databook/salts';
import { water, type Solution } from '../../chemistry/solution';
import { THERMOMETERS } from '../../instruments/thermometer';
import { exchangeIn, type HeatNet } from '../../physics/heat';
import { airVapourKPa, evaporatingGPerS, vaporisationJPerG } from '../../physics/vapour';
import { densityAt, liquidOf } from '../../databook/liquids';
import { volumesIn } from '../../physics/liquid';
import type { Bench, LoggedLine, Piece, Thermometer, Vessel, Warmer } from './bench';
import {
  areaOfPiece,
  filmJPerK,
  liquidJPerK,
  metalJPerK,
  reactingJ,
  tipJPerK,
  volumeOfPiece,
  WATER_J_PER_G_K,
} from './matter';
import {
  TO_PIECE,
  TO_LIQUID,
  STILL_WALL,
  BATH_TO_BEAKER,
  STIRRING_W,
  MIXES_S,
  DISSOLVES,
  PACE,
  DRIES_K,
  MOVING_AIR,
  COVERS_ML,
  LOG_LINES,
  QUIET_AFTER_S,
  QUIET_STEP_S,
  STEP_S,
} from './rates';
import { displayText } from './display';
import { seriesNow } from './trials';

/** What goes on by itself: by steps at fixed moments, so that it does not matter how time is split. */

type Loose<T> = { -readonly [K in keyof T]: T[K] };

/** What moves by itself, to be changed in place while a stretch of time passes. */
interface Going {
  vessels: [Loose<Vessel>, Loose<Vessel>];
  pieces: Loose<Piece>[];
  thermometers: Loose<Thermometer>[];
  bath: Loose<Warmer>;
  block: Loose<Warmer>;
  goneJ: number;
  vapourG: number;
  log: Bench['log'];
  lines: LoggedLine[];
}

const ROOM = 0;
const LIQUID = [1, 3] as const;
const WALL = [2, 4] as const;
const BATH = 5;
const BLOCK = 6;
const FIRST_PIECE = 7;

/** Whether the room and the air take their part of the heat. */
export const isLossy = ({ plan, off }: Pick<Bench, 'plan' | 'off'>, key: string): boolean =>
  plan.losses && !off.includes(key);

export class Stretch {
  private readonly going: Going;
  private readonly net: HeatNet;
  private steppedS: number;
  private stepS = STEP_S;
  private readonly roomC: number;
  private readonly lossy: boolean;
  private readonly airLossy: boolean;
  private readonly stirs: boolean;
  private readonly metal: { jPerK: number; areaCm2: number; ml: number }[];
  private readonly tip: number;
  private readonly gPerMl: number;
  private readonly waterJPerMl: number;
  private readonly airKPa: number;
  private readonly entries: [HeatVessel, HeatVessel];

  constructor(private readonly bench: Bench) {
    this.going = {
      vessels: [{ ...bench.vessels.cup }, { ...bench.vessels.beaker }],
      pieces: bench.pieces.map((piece) => ({ ...piece })),
      thermometers: bench.thermometers.map((one) => ({ ...one })),
      bath: { ...bench.bath },
      block: { ...bench.block },
      goneJ: bench.goneJ,
      vapourG: bench.vapourG,
      log: bench.log && { ...bench.log },
      lines: [],
    };
    this.steppedS = bench.steppedS;
    this.roomC = bench.sample.roomC;
    this.lossy = isLossy(bench, 'room');
    this.airLossy = isLossy(bench, 'tongs');
    this.stirs = isLossy(bench, 'stirring');
    this.tip = tipJPerK(bench);
    this.gPerMl = densityAt(liquidOf('water'), this.roomC);
    this.waterJPerMl = liquidJPerK(water(1), this.roomC);
    this.airKPa = airVapourKPa(this.roomC);
    this.entries = [heatVesselOf(bench.vessels.cup.type), heatVesselOf(bench.vessels.beaker.type)];
    this.metal = bench.pieces.map((_, i) => ({
      jPerK: metalJPerK(bench, i),
      areaCm2: areaOfPiece(bench, i),
      ml: volumeOfPiece(bench, i),
    }));
    const bodies = FIRST_PIECE + bench.pieces.length + bench.thermometers.length;
    const zeros = () => Array.from({ length: bodies }, () => 0);
    this.net = { tempC: zeros(), jPerK: zeros(), from: [], to: [], wPerK: [], takenJ: zeros() };
  }

  /** Whether the next step is a short one. */
  private get isLively(): boolean {
    const { going, bench, steppedS } = this;
    const isLogging = going.log !== null && bench.logged.length + going.lines.length < LOG_LINES;
    return isLogging || steppedS < bench.actedS + QUIET_AFTER_S;
  }

  /** Up to an end by steps at whole multiples of their length, however often it is stopped on the way. */
  to(endS: number, isShort = false): void {
    for (;;) {
      const stepS = isShort || this.isLively ? STEP_S : QUIET_STEP_S;
      const nextS = (Math.floor(this.steppedS / stepS) + 1) * stepS;
      if (nextS > endS) return;
      this.stepS = nextS - this.steppedS;
      this.steppedS = nextS;
      this.step(nextS);
    }
  }

  private step(timeS: number): void {
    this.load();
    exchangeIn(this.net, this.stepS);
    this.unload();
    this.inVessel(0);
    this.inVessel(1);
    this.going.pieces.forEach((piece, i) => this.dries(piece, i));
    this.warms(this.going.bath, this.bench.sample.boilsC, PACE.bath);
    this.warms(this.going.block, Infinity, PACE.block);
    this.logs(timeS);
  }

  private link(from: number, to: number, wPerK: number): void {
    this.net.from.push(from);
    this.net.to.push(to);
    this.net.wPerK.push(wPerK);
  }

  /** Bodies and links as things stand at the beginning of a step. */
  private load(): void {
    const { net, going, roomC } = this;
    net.from.length = net.to.length = net.wPerK.length = 0;
    net.takenJ.fill(0);
    this.body(ROOM, roomC, Infinity);
    this.body(BATH, going.bath.tempC, Infinity);
    this.body(BLOCK, going.block.tempC, Infinity);
    this.loadVessel(0);
    this.loadVessel(1);
    const [cup] = going.vessels;
    const lyingMl = going.pieces.reduce(
      (sum, piece, i) => sum + (piece.at === 'cup' ? (this.metal[i]?.ml ?? 0) : 0),
      0,
    );
    const covered = Math.min(cup.liquid.volumeMl / (1.2 * lyingMl + 5), 1);
    going.pieces.forEach((piece, i) => {
      const { jPerK, areaCm2 } = this.metal[i] as (typeof this.metal)[number];
      const body = FIRST_PIECE + i;
      this.body(body, piece.tempC, jPerK + filmJPerK(piece));
      if (piece.at === 'bath') this.link(BATH, body, areaCm2 * TO_PIECE.bath);
      else if (piece.at === 'block') this.link(BLOCK, body, areaCm2 * TO_PIECE.block);
      else if (piece.at === 'cup') {
        this.link(LIQUID[0], body, areaCm2 * TO_LIQUID[cup.stir] * covered);
        this.link(WALL[0], body, areaCm2 * TO_PIECE.wall);
      } else if (piece.at === 'tongs' ? this.airLossy : true) this.link(ROOM, body, areaCm2 * TO_PIECE[piece.at]);
    });
    going.thermometers.forEach((one, n) => this.loadThermometer(one, FIRST_PIECE + going.pieces.length + n));
  }

  private body(index: number, tempC: number, jPerK: number): void {
    this.net.tempC[index] = tempC;
    this.net.jPerK[index] = jPerK;
  }

  private waterMl(liquid: Solution): number {
    return liquid.others ? (volumesIn(liquid).water ?? 0) : liquid.volumeMl;
  }

  /** J/K of a liquid: water is looked up once. */
  private jPerK(liquid: Solution): number {
    return liquid.others ? liquidJPerK(liquid, this.roomC) : liquid.volumeMl * this.waterJPerMl;
  }

  private loadVessel(index: 0 | 1): void {
    const vessel = this.going.vessels[index];
    const [liquid, wall] = [LIQUID[index], WALL[index]];
    const { insideWPerK, outsideWPerK, topWPerK } = this.entries[index];
    this.body(liquid, vessel.liquidC, this.jPerK(vessel.liquid));
    this.body(wall, vessel.wallC, vessel.wallJPerK);
    // A thin layer touches little of the wall.
    const full = vessel.liquid.volumeMl > 0 ? Math.min(0.05 + vessel.liquid.volumeMl / 40, 1) : 0;
    this.link(liquid, wall, insideWPerK * full * (vessel.stir === 'off' ? STILL_WALL : 1));
    if (vessel.at === 'bath') this.link(BATH, wall, BATH_TO_BEAKER);
    if (!this.lossy) return;
    if (vessel.at !== 'bath') this.link(wall, ROOM, outsideWPerK);
    this.link(liquid, ROOM, topWPerK[vessel.lid ? 'lid' : 'open'] * full);
  }

  private loadThermometer({ at, tipC }: Thermometer, body: number): void {
    this.body(body, tipC, this.tip);
    const { lagS } = THERMOMETERS[this.bench.plan.thermometer];
    const vessel = at === 'cup' ? 0 : at === 'beaker' ? 1 : null;
    if (vessel !== null && this.covers(vessel)) {
      const isStirred = this.going.vessels[vessel]?.stir !== 'off';
      this.link(LIQUID[vessel], body, this.tip / (isStirred ? lagS.stirred : lagS.still));
    } else if (at === 'bath') this.link(BATH, body, this.tip / lagS.stirred);
    else if (at === 'block') this.link(BLOCK, body, this.tip / (2 * lagS.still));
    else this.link(ROOM, body, this.tip / 45);
  }

  private covers(vessel: 0 | 1): boolean {
    return this.going.vessels[vessel].liquid.volumeMl >= COVERS_ML;
  }

  /** What the net has come to. */
  private unload(): void {
    const { net, going } = this;
    const temp = (body: number) => net.tempC[body] as number;
    going.vessels.forEach((vessel, i) => {
      if (vessel.liquid.volumeMl > 0) vessel.liquidC = temp(LIQUID[i] as number);
      vessel.wallC = temp(WALL[i] as number);
    });
    going.pieces.forEach((piece, i) => (piece.tempC = temp(FIRST_PIECE + i)));
    going.thermometers.forEach((one, n) => {
      one.tipC = this.tip > 0 ? temp(FIRST_PIECE + going.pieces.length + n) : this.around(one);
    });
    for (const outside of [ROOM, BATH, BLOCK]) going.goneJ += net.takenJ[outside] as number;
  }

  /** The temperature of what a thermometer stands in. */
  private around({ at }: Thermometer): number {
    const { vessels, bath, block } = this.going;
    if (at === 'cup' && this.covers(0)) return vessels[0].liquidC;
    if (at === 'beaker' && this.covers(1)) return vessels[1].liquidC;
    return at === 'bath' ? bath.tempC : at === 'block' ? block.tempC : this.roomC;
  }

  private inVessel(index: 0 | 1): void {
    const vessel = this.going.vessels[index];
    const jPerK = this.jPerK(vessel.liquid);
    if (!(jPerK > 0)) return;
    if (vessel.lateJ !== 0) {
      // The last of it comes out at once.
      const isLast = Math.abs(vessel.lateJ) < 1e-6;
      const joules = isLast ? vessel.lateJ : -vessel.lateJ * Math.expm1(-this.stepS / MIXES_S[vessel.stir]);
      vessel.lateJ = isLast ? 0 : vessel.lateJ - joules;
      vessel.liquidC += joules / jPerK;
    }
    if (this.stirs && vessel.stir !== 'off') {
      const joules = STIRRING_W[vessel.stir] * this.stepS;
      vessel.liquidC += joules / jPerK;
      this.going.goneJ -= joules;
    }
    if (index === 0 && vessel.lyingMol > 0) this.dissolves(vessel, jPerK);
    if (this.lossy) {
      const { innerDiameterMm } = this.entries[index];
      const areaCm2 = (Math.PI / 4) * (innerDiameterMm / 10) ** 2 * (vessel.lid ? 0.06 : 1);
      this.evaporates(vessel, evaporatingGPerS(areaCm2, vessel.liquidC, this.airKPa) * this.stepS, DRIES_K);
    }
    const { boilsC } = this.bench.sample;
    if (vessel.liquidC > boilsC) this.evaporates(vessel, Infinity, vessel.liquidC - boilsC);
  }

  private dissolves(vessel: Loose<Vessel>, jPerK: number): void {
    const id = this.bench.sample.saltId;
    if (!id) return;
    const salt = saltOf(id);
    const waterG = this.waterMl(vessel.liquid) * this.gPerMl;
    const most = solubleMolPerG(salt, vessel.liquidC) * waterG;
    const there = vessel.liquid.amounts[id] ?? 0;
    const far = most > 0 ? Math.max(1 - there / most, 0) : 0;
    const rate = DISSOLVES[vessel.stir] * Math.cbrt(0.1) * Math.cbrt(vessel.lyingMol) ** 2 * far;
    const mol = Math.min(rate * this.stepS, vessel.lyingMol, Math.max(most - there, 0));
    if (mol <= 0) return;
    vessel.lyingMol -= mol;
    if (vessel.lyingMol < 1e-12) vessel.lyingMol = 0;
    vessel.liquid = { ...vessel.liquid, amounts: { ...vessel.liquid.amounts, [id]: there + mol } };
    vessel.liquidC -= (1000 * salt.enthalpyKJPerMol * mol) / jPerK;
  }

  /** Water that leaves a liquid as vapour, with what it takes along; no more than cools it by so much. */
  private evaporates(vessel: Loose<Vessel>, grams: number, mostK: number): void {
    const tempC = vessel.liquidC;
    const latentJPerG = vaporisationJPerG(tempC);
    const all = this.jPerK(vessel.liquid);
    // What is left cools by the heat that the rest took along.
    const most = (all * mostK) / (latentJPerG + WATER_J_PER_G_K * mostK);
    const ml = Math.min(Math.min(grams, most) / this.gPerMl, this.waterMl(vessel.liquid));
    if (!(ml > 0)) return;
    const gone = ml * this.gPerMl;
    const left: Solution = { ...vessel.liquid, volumeMl: vessel.liquid.volumeMl - ml };
    vessel.liquidC -= (gone * latentJPerG) / this.jPerK(left);
    this.going.vapourG += gone;
    vessel.liquid = left;
    this.going.goneJ += gone * latentJPerG + (all - this.jPerK(left)) * tempC;
  }

  /** A wet piece in air dries, and cools by it. */
  private dries(piece: Loose<Piece>, index: number): void {
    if (piece.filmG <= 0 || piece.at === 'bath' || piece.at === 'cup') return;
    if (piece.at === 'tongs' && !this.bench.plan.losses) return;
    const { areaCm2, jPerK } = this.metal[index] as (typeof this.metal)[number];
    const air = piece.at === 'tongs' || piece.at === 'block' ? MOVING_AIR : 1;
    const grams = Math.min(air * evaporatingGPerS(areaCm2, piece.tempC, this.airKPa) * this.stepS, piece.filmG);
    const { tempC } = piece;
    const latent = grams * vaporisationJPerG(tempC);
    piece.filmG = piece.filmG - grams < 1e-9 ? 0 : piece.filmG - grams;
    piece.tempC -= latent / (jPerK + filmJPerK(piece));
    this.going.vapourG += grams;
    this.going.goneJ += latent + grams * WATER_J_PER_G_K * tempC;
  }

  /** @param mostC where it boils: it gets no hotter, whatever it is set to */
  private warms(warmer: Loose<Warmer>, mostC: number, [up, down]: readonly [number, number]): void {
    const apart = Math.min(warmer.setC, mostC) - warmer.tempC;
    warmer.tempC += Math.max(-down * this.stepS, Math.min(up * this.stepS, apart));
  }

  private logs(timeS: number): void {
    const { log, lines, thermometers } = this.going;
    if (!log || timeS < log.due - 1e-9 || this.bench.logged.length + lines.length >= LOG_LINES) return;
    const text = (n: number) => (thermometers[n] ? displayText(this.bench, thermometers[n], n, timeS) : '');
    lines.push({
      trial: seriesNow(this.bench),
      t: String(Math.round(timeS - log.startS)),
      T: text(0),
      U: text(1),
    });
    this.going.log = { ...log, due: log.due + log.everyS };
  }

  end(timeS: number): Bench {
    const { vessels, lines, ...rest } = this.going;
    const { cup, beaker } = this.bench.vessels;
    // What dries grows stronger, and its forms shift by a little: from step to step that adds up to first less last.
    const shiftedJ =
      reactingJ(cup.liquid) - reactingJ(vessels[0].liquid) + reactingJ(beaker.liquid) - reactingJ(vessels[1].liquid);
    return {
      ...this.bench,
      ...rest,
      goneJ: rest.goneJ + shiftedJ,
      steppedS: this.steppedS,
      vessels: { cup: vessels[0], beaker: vessels[1] },
      logged: lines.length > 0 ? [...this.bench.logged, ...lines] : this.bench.logged,
      timeS,
    };
  }
}
