import { drawProbe } from '../../instruments/ph-probe';
import { drawCell } from '../../instruments/conductivity-cell';
import { chance } from '../../random';
import { type Sensor } from './plan';
import type { Probe } from './probe-state';

/** A probe as it comes: on its stand, not calibrated, with errors of its own unless they are switched off. */
export const newProbe = (seed: string, exact: boolean, sensor: Sensor): Probe => ({
  piece: exact ? { offsetMv: 0, slope: 1, responseS: 1 } : drawProbe(chance(seed, 'probe')),
  cell: exact ? { factor: 1, responseS: 0.4 } : drawCell(chance(seed, 'cell')),
  cellFactor: null,
  place: 'stand',
  sensed: sensor === 'conductivity' ? 0 : 7,
  nextLook: 0,
  shown: null,
  settling: false,
  calibration: [],
  log: null,
});
