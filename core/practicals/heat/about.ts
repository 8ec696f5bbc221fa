import type { HeatVesselId } from '../../databook/heat-vessels';
import { commonTempC, type HeatBody } from '../../physics/heat';
import { massOf } from '../../physics/liquid';
import type { Bench } from './bench';
import { filledG, soluteGIn } from './tube';
import { caughtPart } from './lamps';
import type { Burnt } from './sealed';
import { filmJPerK, liquidJPerK, metalJPerK, piecesG, tipJPerK, liquidG } from './matter';

/**
 * What was there beside the number of a reading, in parts, so that one way of going wrong can be told from another. Masses in g,
 * temperatures in °C. Never in a view.
 */
export interface About {
  /** The cup of that moment, empty, and what liquid stood in it. */
  cupG: number;
  liquidG: number;
  /** Pieces of metal in the cup, and on the pan. */
  inCupG: number;
  onPanG: number;
  type: HeatVesselId;
  /** Which cup of the run it was. */
  cup: number;
  /** What a gram of that liquid takes up, J/(g K); 0 of nothing. */
  jPerGK: number;
  /** Of all that is in the cup, and the cup itself, J/K. */
  allJPerK: number;
  /** The thermometer that is looked at, from 0. */
  thermometer: number;
  /** What was measured into the cup out of each bottle, mL. */
  measuredMl: readonly number[];
  /** Salt that lay in the cup undissolved, mol; and that clung to the boat, g. */
  lyingMol: number;
  clingsG: number;
  /** The pellet on the pan, g; the wire that lies in the sealed vessel, and what is left of one, cm; what burnt there last. */
  pelletG: number;
  wireCm: number;
  leftCm: number;
  burnt: Burnt | null;
  /** What the test tube weighs empty, and what solvent and solute are in it, g. */
  tubeG: number;
  /** The weighing boat with what is in it, g. */
  boatG: number;
  solventG: number;
  soluteG: number;
  /** Part of a flame's heat that the can over it takes up. */
  caught: number;
  /** The liquid in the cup, and what all in the cup would come to that keeps its heat to itself. */
  liquidC: number;
  commonC: number;
}

function bodiesInCup(bench: Bench): HeatBody[] {
  const { cup } = bench.vessels;
  const bodies: HeatBody[] = [
    { tempC: cup.liquidC, jPerK: liquidJPerK(cup.liquid, bench.sample.roomC) },
    { tempC: cup.wallC, jPerK: cup.wallJPerK },
  ];
  bench.pieces.forEach((piece, i) => {
    if (piece.at === 'cup') bodies.push({ tempC: piece.tempC, jPerK: metalJPerK(bench, i) + filmJPerK(piece) });
  });
  const { sealed } = bench;
  if (sealed?.at === 'pail') bodies.push({ tempC: sealed.tempC, jPerK: sealed.jPerK });
  for (const { at, tipC } of bench.thermometers) if (at === 'cup') bodies.push({ tempC: tipC, jPerK: tipJPerK(bench) });
  return bodies;
}

export function aboutNow(bench: Bench): About {
  const { cup } = bench.vessels;
  const { roomC } = bench.sample;
  const bodies = bodiesInCup(bench);
  const allJPerK = bodies.reduce((sum, { jPerK }) => sum + jPerK, 0);
  const grams = massOf(cup.liquid, roomC);
  const lateInPailJ = bench.sealed?.at === 'pail' ? bench.sealed.lateJ : 0;
  return {
    cupG: cup.massG,
    liquidG: liquidG(cup.liquid, roomC),
    type: cup.type,
    cup: bench.cups,
    jPerGK: grams > 0 ? liquidJPerK(cup.liquid, roomC) / grams : 0,
    allJPerK,
    thermometer: bench.looking,
    inCupG: piecesG(bench, 'cup'),
    onPanG: piecesG(bench, 'pan'),
    measuredMl: bench.measuredMl,
    pelletG: bench.pellet?.at === 'pan' ? bench.pellet.g : 0,
    wireCm: bench.sealed?.wireCm ?? 0,
    leftCm: bench.sealed?.leftCm ?? 0,
    burnt: bench.burnt,
    boatG: bench.boat.massG + bench.boat.saltG + bench.boat.clingsG,
    tubeG: bench.tube?.massG ?? 0,
    solventG: bench.tube ? filledG(bench.tube) : 0,
    soluteG: bench.tube ? soluteGIn(bench, bench.tube) : 0,
    caught: bench.plan.losses ? caughtPart(bench.gapMm, bench.screen) : 1,
    lyingMol: cup.lyingMol,
    clingsG: bench.boat.clingsG,
    liquidC: cup.liquidC,
    commonC: commonTempC(bodies) + (cup.lateJ + lateInPailJ) / allJPerK,
  };
}
