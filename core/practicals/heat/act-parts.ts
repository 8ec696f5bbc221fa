import { share, mix, water, type Solution } from '../../chemistry/solution';

import type { Bench } from './bench';
import type { VesselKey } from './bodies';
import { heatVesselOf } from '../../databook/heat-vessels';
import { dissolvedJ, enthalpyJ, filmJPerK, liquidJPerK } from './matter';
import { densityAt, liquidOf } from '../../databook/liquids';

/** How long the hands take, s of the bench clock. */
export const TAKES_S = { pour: 3, carry: 2, fish: 3, weigh: 2, tip: 2 };

export const nameOf = (bench: Bench, key: VesselKey): string =>
  key === 'beaker' ? 'beaker for warm water' : heatVesselOf(bench.vessels.cup.type).name;

export const NO_BEAKER = 'There is no second vessel at this bench.';

/** Water of so many grams, as a liquid of this room. */
export const waterOf = (grams: number, roomC: number): Solution => water(grams / densityAt(liquidOf('water'), roomC));

/** A liquid that comes into a vessel, as warm as it is: temperatures even out at once, what reacts gives its heat out while it mixes. */
export function poured(bench: Bench, key: VesselKey, liquid: Solution, tempC: number): Bench {
  const vessel = bench.vessels[key];
  const { roomC } = bench.sample;
  const [there, comes] = [liquidJPerK(vessel.liquid, roomC), liquidJPerK(liquid, roomC)];
  const mixed = mix(vessel.liquid, liquid);
  const liquidC = there + comes > 0 ? (there * vessel.liquidC + comes * tempC) / (there + comes) : vessel.liquidC;
  const lateJ = vessel.lateJ + dissolvedJ(vessel.liquid) + dissolvedJ(liquid) - dissolvedJ(mixed);
  return { ...bench, vessels: { ...bench.vessels, [key]: { ...vessel, liquid: mixed, liquidC, lateJ } } };
}

/** A part of what a vessel holds, and the bench without it. What lies undissolved stays behind. */
export function takenFrom(
  bench: Bench,
  key: VesselKey,
  part: number,
): { bench: Bench; liquid: Solution; tempC: number } {
  const vessel = bench.vessels[key];
  const liquid = share(vessel.liquid, part);
  const left = share(vessel.liquid, 1 - part);
  return {
    bench: { ...bench, vessels: { ...bench.vessels, [key]: { ...vessel, liquid: left } } },
    liquid,
    tempC: vessel.liquidC,
  };
}

/** What goes to waste takes its heat along. */
export function wasted(bench: Bench, liquid: Solution, tempC: number, lateJ = 0): Bench {
  const joules = enthalpyJ(liquid, tempC, bench.sample.roomC);
  return { ...bench, waste: mix(bench.waste, liquid), goneJ: bench.goneJ + joules + lateJ };
}

/** A piece without the water on it, which goes to waste. */
export function wiped(bench: Bench, index: number): Bench {
  const piece = bench.pieces[index];
  if (!piece || piece.filmG === 0) return bench;
  const pieces = bench.pieces.map((one, i) => (i === index ? { ...one, filmG: 0 } : one));
  const joules = filmJPerK(piece) * piece.tempC;
  return {
    ...bench,
    pieces,
    waste: mix(bench.waste, waterOf(piece.filmG, bench.sample.roomC)),
    goneJ: bench.goneJ + joules,
  };
}

/** The moment at which something was combined in this cup first. */
export const combined = (bench: Bench): Bench => (bench.mixedS === null ? { ...bench, mixedS: bench.timeS } : bench);
