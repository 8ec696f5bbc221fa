import { densityOf, massOf } from '../../physics/liquid';
import { bodyOf, brimOf, entryOf, isSinker, piecesAt, type Bench, type Vessel } from './bench';
import { NOTHING, type About, type Tared } from './parts';

/** Of what is read or weighed, the parts. */

/** Mass of the pieces in a vessel, or on the pan beside or in what stands there, g. */
function piecesG(bench: Bench, places: readonly (number | 'pan')[]): number {
  let mass = 0;
  for (const place of places)
    for (const { lot, index } of piecesAt(bench, place))
      if (!isSinker(bench, lot)) mass += bodyOf(bench, lot, index, false).massG;
  return mass;
}

/** Of the surface in a vessel. */
export function aboutVessel(bench: Bench, number: number): About {
  const vessel = bench.vessels[number - 1] as Vessel;
  const { tempC } = bench.sample;
  const density = densityOf(vessel.liquid, tempC);
  const massG = massOf(vessel.liquid, tempC);
  const isBottle = vessel.type === 'density-bottle';
  const full = isBottle ? brimOf({ ...vessel, stoppered: true }) : 0;
  return {
    ...NOTHING,
    vessel: number,
    vesselG: vessel.massG,
    keptMl: vessel.liquid.volumeMl + vessel.lostMl,
    keptG: massG + vessel.lostMl * density,
    beyondFilmG: Math.max(vessel.liquid.volumeMl - entryOf(vessel).filmMl, 0) * density,
    piecesG: piecesG(bench, [number]),
    shortG: isBottle && massG > 0 ? full * density - massG : 0,
    airMl: vessel.airMl,
    stoppered: vessel.stoppered,
  };
}

/** @param loadG all that rests on the pan */
export function taredNow(bench: Bench, loadG: number): Tared {
  const { vessel } = bench.pan;
  return {
    loadG,
    piecesG: piecesG(bench, vessel === null ? ['pan'] : ['pan', vessel]),
    vessel,
    keptG: vessel === null ? 0 : aboutVessel(bench, vessel).keptG,
  };
}

/** Of what rests on the pan. */
export function aboutPan(bench: Bench): About {
  const { vessel, tared } = bench.pan;
  const zeroG = tared.loadG - tared.piecesG;
  const there = piecesG(bench, vessel === null ? ['pan'] : ['pan', vessel]) - tared.piecesG;
  if (vessel === null) return { ...NOTHING, piecesG: there, zeroG };
  const about = aboutVessel(bench, vessel);
  // Set to zero with this vessel on the pan, it was right then; what came or went since is told as that.
  const rightZeroG = tared.vessel === vessel ? zeroG : about.vesselG + about.keptG;
  return { ...about, piecesG: there, zeroG, rightZeroG };
}
