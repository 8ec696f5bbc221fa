import { vapourPressureKPa } from '../../../physics/vapour';
import type { Bench, Tipped, Vessel } from '../bench';

/** Gas that a solid gives off in a vessel: it is there at once, and takes its time to leave. Masses in g. */

const ROOM_KPA = 101.3;

/** Vapour that leaves with a mole of gas out of water at a temperature, mol: the gas is as damp as it can be. */
export function vapourWith(tempC: number): number {
  const kPa = vapourPressureKPa(tempC);
  return kPa / (ROOM_KPA - kPa);
}

/** What is still on its way out, g. */
export const fizzNow = ({ timeS }: Pick<Bench, 'timeS'>, { tipped }: Vessel): number =>
  tipped ? tipped.fizzG * Math.exp(-(timeS - tipped.sinceS) / tipped.fizzesS) : 0;

/** As it is now, with a part of that gone at once. */
export const fizzedOut = (bench: Pick<Bench, 'timeS'>, vessel: Vessel, part: number): Tipped | null =>
  vessel.tipped && { ...vessel.tipped, fizzG: (1 - part) * fizzNow(bench, vessel), sinceS: bench.timeS };
