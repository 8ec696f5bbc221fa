import { isUnsettled } from '../../../instruments/weighing';
import type { Bench } from '../bench';
import { filledG } from '../freezing/tube';

/** Further from the room than this, something is on its way, K. */
const AT_REST_K = 0.02;

/** Whether anything goes on: a log, a display, what is warmer or cooler than the room, salt that dissolves. */
export function running(bench: Bench): boolean {
  const { roomC } = bench.sample;
  const isOff = (tempC: number) => Math.abs(tempC - roomC) > AT_REST_K;
  const { cup, beaker } = bench.vessels;
  return (
    bench.log !== null ||
    isUnsettled(bench.pan, bench.timeS) ||
    isOff(bench.bath.tempC) ||
    isOff(bench.block.tempC) ||
    isOff(bench.bath.setC) ||
    isOff(bench.block.setC) ||
    [cup, beaker].some(
      (one) => (one.liquid.volumeMl > 0 && isOff(one.liquidC)) || isOff(one.wallC) || one.lateJ !== 0,
    ) ||
    (bench.tube !== null &&
      (isOff(bench.tube.tempC) || (bench.tube.lyingG > 0 && filledG(bench.tube) > 0) || bench.tube.at !== 'stand')) ||
    isOff(bench.cold.tempC) ||
    isOff(bench.cold.setC) ||
    (bench.sealed !== null && (isOff(bench.sealed.tempC) || bench.sealed.lateJ !== 0)) ||
    bench.lamps.some(({ state, fuelG }) => state !== 'capped' && fuelG > 0) ||
    (cup.lyingMol > 0 && cup.liquid.volumeMl > 0) ||
    bench.pieces.some(({ tempC, filmG }) => isOff(tempC) || filmG > 0) ||
    bench.thermometers.some(({ tipC }) => isOff(tipC))
  );
}
