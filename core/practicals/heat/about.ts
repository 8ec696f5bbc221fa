import { commonTempC, type HeatBody } from '../../physics/heat';
import { massOf } from '../../physics/liquid';
import type { Bench } from './bench';
import { filledG, soluteGIn } from './freezing/tube';
import { caughtPart } from './burning/lamps';
import { filmJPerK, liquidJPerK, metalJPerK, piecesG, tipJPerK, liquidG } from './matter';
import type { About } from './bodies';

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
    inHeaterG: piecesG(bench, 'bath') + piecesG(bench, 'block'),
    onPanG: piecesG(bench, 'pan'),
    measuredMl: bench.measuredMl,
    gaugeBar: bench.sealed?.gaugeBar ?? 0,
    soot: bench.sealed?.soot ?? false,
    gapMm: bench.gapMm,
    screen: bench.screen,
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
