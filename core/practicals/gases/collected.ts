import { kelvin, molFilling } from '../../physics/gas-law';
import { levelMm, volumeOverWater } from '../../physics/over-water';
import { chance, withinTolerance } from '../../random';
import type { Bench, Collected } from './bench';
import { TUBE_MM_PER_ML, TUBE_TOLERANCE } from './pieces';
import type { Sample } from './sample';

/** A gas tube that stands upside down in a jar of water, and a strip of metal that dissolves in the acid in it. */

/** Air that stays in a tube when it is filled and turned over: between these, mL. */
const AIR_ML = [0.15, 0.9] as const;
/** What the gas is warmed by for each mole of hydrogen that comes, K: by the acid around the metal. Model value. */
export const WARMS_K_PER_MOL = 2200;

/** Whether bubbles still rise from the strip, as an eye tells. */
export const fizzes = ({ pendingMol }: Pick<Collected, 'pendingMol'>): boolean => pendingMol > 2e-5;

/** A fresh tube, filled and turned over. @param number how many were had */
export function freshTube(
  sample: Sample,
  seed: string,
  number: number,
  kept: Pick<Collected, 'scale' | 'strip' | 'spentG' | 'cutG'>,
): Collected {
  const ml = AIR_ML[0] + (AIR_ML[1] - AIR_ML[0]) * chance(seed, `tube ${number}`).uniform();
  const tube = { topMm: 60, mmPerMl: TUBE_MM_PER_ML };
  // As much as takes that volume at the room's pressure, nearly.
  const airMol = molFilling(sample.roomKPa, [{ ml, tempK: kelvin(sample.waterC) }]);
  return { ...kept, tube, airMol, hydrogenMol: 0, pendingMol: 0, gasC: sample.waterC };
}

export function begunTube(sample: Sample, seed: string, exact: boolean): Collected {
  const scale = withinTolerance(TUBE_TOLERANCE, chance(seed, 'gas tube'));
  return freshTube(sample, seed, 1, { scale: exact ? 0 : scale, strip: null, spentG: 0, cutG: 0 });
}

/** Volume of the gas in the tube, mL. */
export const gasMl = ({ collected, sample }: Pick<Bench, 'collected' | 'sample'>): number =>
  collected === null
    ? 0
    : volumeOverWater(collected.airMol + collected.hydrogenMol, sample.roomKPa, collected.gasC, collected.tube);

/** How much higher the water stands in the tube than in the jar, mm. */
export const heightMm = (bench: Pick<Bench, 'collected' | 'sample'>): number =>
  bench.collected === null ? 0 : levelMm(gasMl(bench), bench.collected.tube);
