import { SEALED_VESSEL } from '../../../databook/heat-vessels';
import { THERMOMETERS } from '../../../instruments/thermometer';
import { exchangeIn, type HeatNet } from '../../../physics/heat';
import type { Thermometer, Tube } from '../bodies';
import { isCovering, jPerKOf, type Loose, type Going, type Ground, type Which } from './going';
import { filmJPerK } from '../matter';
import { BATH_TO_BEAKER, SEALED_TO, STILL_TUBE, STILL_WALL, TUBE_TO, TO_LIQUID, TO_PIECE } from './rates';

import { filledG, tubeJPerK } from '../freezing/tube';

/** What stands on the bench as bodies joined by links, and what comes to each in a step. */

const ROOM = 0;
const LIQUID = [1, 3] as const;
const WALL = [2, 4] as const;
const BATH = 5;
const BLOCK = 6;
const SEALED = 7;
const TUBE = 8;
const COLD = 9;
const FIRST_PIECE = 10;

const isInTube = ({ tube }: Going): boolean => tube !== null && filledG(tube) > 0;

export class Net {
  private readonly net: HeatNet;

  constructor(private readonly ground: Ground) {
    const bodies = FIRST_PIECE + ground.bench.pieces.length + ground.bench.thermometers.length;
    const zeros = () => Array.from({ length: bodies }, () => 0);
    this.net = { tempC: zeros(), jPerK: zeros(), from: [], to: [], wPerK: [], takenJ: zeros() };
  }

  /** Brings all bodies a step on, in place. */
  exchange(going: Going, stepS: number): void {
    this.load(going);
    exchangeIn(this.net, stepS);
    this.unload(going);
  }

  private link(from: number, to: number, wPerK: number): void {
    this.net.from.push(from);
    this.net.to.push(to);
    this.net.wPerK.push(wPerK);
  }

  private body(index: number, tempC: number, jPerK: number): void {
    this.net.tempC[index] = tempC;
    this.net.jPerK[index] = jPerK;
  }

  /** Bodies and links as things stand at the beginning of a step. */
  private load(going: Going): void {
    const { net, ground } = this;
    net.from.length = net.to.length = net.wPerK.length = 0;
    net.takenJ.fill(0);
    this.body(ROOM, ground.roomC, Infinity);
    this.body(BATH, going.bath.tempC, Infinity);
    this.body(BLOCK, going.block.tempC, Infinity);
    this.body(COLD, going.cold.tempC, Infinity);
    this.loadVessel(going, 0);
    this.loadVessel(going, 1);
    if (going.sealed) this.loadSealed(going);
    if (going.tube) this.loadTube(going.tube);
    if (going.pieces.length > 0) this.loadPieces(going);
    going.thermometers.forEach((one, n) => this.loadThermometer(going, one, FIRST_PIECE + going.pieces.length + n));
  }

  private loadVessel(going: Going, index: Which): void {
    const { ground } = this;
    const vessel = going.vessels[index];
    const [liquid, wall] = [LIQUID[index], WALL[index]];
    const { insideWPerK, outsideWPerK, topWPerK } = ground.entries[index];
    this.body(liquid, vessel.liquidC, jPerKOf(ground, vessel.liquid));
    this.body(wall, vessel.wallC, vessel.wallJPerK);
    // A thin layer touches little of the wall.
    const full = vessel.liquid.volumeMl > 0 ? Math.min(0.05 + vessel.liquid.volumeMl / 40, 1) : 0;
    this.link(liquid, wall, insideWPerK * full * (vessel.stir === 'off' ? STILL_WALL : 1));
    if (vessel.at === 'bath') this.link(BATH, wall, BATH_TO_BEAKER);
    if (!ground.isLossy) return;
    if (vessel.at !== 'bath') this.link(wall, ROOM, outsideWPerK);
    this.link(liquid, ROOM, topWPerK[vessel.lid ? 'lid' : 'open'] * full);
  }

  /** The sealed vessel: in the pail as far as water covers it. */
  private loadSealed({ sealed, vessels: [pail] }: Going): void {
    if (!sealed) return;
    this.body(SEALED, sealed.tempC, sealed.jPerK);
    const covered = sealed.at === 'pail' ? Math.min(pail.liquid.volumeMl / SEALED_VESSEL.coveredFromMl, 1) : 0;
    if (covered > 0) this.link(LIQUID[0], SEALED, SEALED_TO[pail.stir] * covered);
    if (covered < 1 && this.ground.isLossy) this.link(SEALED, ROOM, SEALED_TO.air * (1 - covered));
  }

  private loadTube(tube: Loose<Tube>): void {
    this.body(TUBE, tube.tempC, tubeJPerK(this.ground.bench, tube));
    const through = tube.jacket ? TUBE_TO.jacket : TUBE_TO.water;
    const inside = tube.stir === 'off' ? STILL_TUBE : 1;
    if (tube.at === 'bath') this.link(BATH, TUBE, through * inside);
    else if (tube.at === 'cold') this.link(COLD, TUBE, through * inside);
    else if (this.ground.isLossy) this.link(TUBE, ROOM, tube.jacket ? TUBE_TO.jacket / 2 : TUBE_TO.air);
  }

  private loadPieces(going: Going): void {
    const { ground } = this;
    const [cup] = going.vessels;
    const lyingMl = going.pieces.reduce(
      (sum, piece, i) => sum + (piece.at === 'cup' ? (ground.pieces[i]?.ml ?? 0) : 0),
      0,
    );
    const covered = Math.min(cup.liquid.volumeMl / (1.2 * lyingMl + 5), 1);
    going.pieces.forEach((piece, i) => {
      const { jPerK, areaCm2 } = ground.pieces[i] as Ground['pieces'][number];
      const body = FIRST_PIECE + i;
      this.body(body, piece.tempC, jPerK + filmJPerK(piece));
      if (piece.at === 'bath') this.link(BATH, body, areaCm2 * TO_PIECE.bath);
      else if (piece.at === 'block') this.link(BLOCK, body, areaCm2 * TO_PIECE.block);
      else if (piece.at === 'cup') {
        this.link(LIQUID[0], body, areaCm2 * TO_LIQUID[cup.stir] * covered);
        this.link(WALL[0], body, areaCm2 * TO_PIECE.wall);
      } else if (piece.at === 'tongs' ? ground.isAirLossy : true) this.link(ROOM, body, areaCm2 * TO_PIECE[piece.at]);
    });
  }

  private loadThermometer(going: Going, { at, tipC }: Thermometer, body: number): void {
    const { tipJPerK, bench } = this.ground;
    this.body(body, tipC, tipJPerK);
    const { lagS } = THERMOMETERS[bench.plan.thermometer];
    const vessel = at === 'cup' ? 0 : at === 'beaker' ? 1 : null;
    if (vessel !== null && isCovering(going, vessel)) {
      const isStirred = going.vessels[vessel].stir !== 'off';
      this.link(LIQUID[vessel], body, tipJPerK / (isStirred ? lagS.stirred : lagS.still));
    } else if (at === 'tube' && isInTube(going)) {
      this.link(TUBE, body, tipJPerK / (going.tube?.stir === 'off' ? lagS.still : lagS.stirred));
    } else if (at === 'cold') this.link(COLD, body, tipJPerK / lagS.stirred);
    else if (at === 'bath') this.link(BATH, body, tipJPerK / lagS.stirred);
    else if (at === 'block') this.link(BLOCK, body, tipJPerK / (2 * lagS.still));
    else this.link(ROOM, body, tipJPerK / 45);
  }

  /** What the net has come to. */
  private unload(going: Going): void {
    const { net, ground } = this;
    const temp = (body: number) => net.tempC[body] as number;
    going.vessels.forEach((vessel, i) => {
      if (vessel.liquid.volumeMl > 0) vessel.liquidC = temp(LIQUID[i] as number);
      vessel.wallC = temp(WALL[i] as number);
    });
    if (going.sealed) going.sealed.tempC = temp(SEALED);
    if (going.tube) going.tube.tempC = temp(TUBE);
    going.pieces.forEach((piece, i) => (piece.tempC = temp(FIRST_PIECE + i)));
    going.thermometers.forEach((one, n) => {
      one.tipC = ground.tipJPerK > 0 ? temp(FIRST_PIECE + going.pieces.length + n) : around(going, one, ground.roomC);
    });
    for (const outside of [ROOM, BATH, BLOCK, COLD]) going.goneJ += net.takenJ[outside] as number;
  }
}

/** The temperature of what a thermometer stands in. */
function around(going: Going, { at }: Thermometer, roomC: number): number {
  const { vessels, bath, block } = going;
  if (at === 'cup' && isCovering(going, 0)) return vessels[0].liquidC;
  if (at === 'beaker' && isCovering(going, 1)) return vessels[1].liquidC;
  if (at === 'tube' && isInTube(going)) return going.tube?.tempC ?? roomC;
  if (at === 'cold') return going.cold.tempC;
  return at === 'bath' ? bath.tempC : at === 'block' ? block.tempC : roomC;
}
