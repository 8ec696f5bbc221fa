import { kelvin, molFilling, pressureIn, type Part } from '../../physics/gas-law';
import type { Bench } from './bench';
import { BULB_ML, NECK_ML } from './pieces';

/** The gas in syringe or bulb, and in what is joined to it. Air, and ideal: at 250 kPa it departs by less than 0.1 %. */

type Space = Pick<Bench, 'plan' | 'sample' | 'plungerMl' | 'gasC'> & { off?: readonly string[] };

/** Syringe with tubing, or bulb with its neck: what one pressure stands in. */
export function barrelParts({ plan, sample, plungerMl, gasC, off = [] }: Space): Part[] {
  const tempK = kelvin(gasC);
  if (plan.gear === 'syringe')
    return [
      { ml: plungerMl, tempK },
      { ml: sample.innerMl, tempK: kelvin(sample.roomC) },
    ];
  return [
    { ml: BULB_ML, tempK },
    { ml: off.includes('neck') ? 0 : NECK_ML, tempK: kelvin(sample.roomC) },
  ];
}

/** Pressure of what is enclosed; that of the room where it stands open. */
export const enclosedKPa = (bench: Bench): number =>
  bench.joint === 'off' ? bench.sample.roomKPa : pressureIn(bench.gasMol, barrelParts(bench));

/** The bench with so much enclosed as the room's pressure fills it with: what came in or went out is in the account. */
export function asOpen(bench: Bench): Bench {
  const mol = molFilling(bench.sample.roomKPa, barrelParts(bench));
  return withMol(bench, mol);
}

function withMol(bench: Bench, mol: number): Bench {
  const more = mol - bench.gasMol;
  return {
    ...bench,
    gasMol: mol,
    inMol: bench.inMol + Math.max(more, 0),
    outMol: bench.outMol + Math.max(-more, 0),
  };
}
