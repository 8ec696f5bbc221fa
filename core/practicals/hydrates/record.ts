import { fixed } from '../../analysis/quantity';
import type { BenchRecord } from '../contract';
import type { Bench } from './bench';

/** What a teacher may compare besides what the sample is. */
export function besides({ readings, burns }: Bench): BenchRecord['truth'] {
  const last = readings.at(-1)?.about;
  return [
    ...(last && last.sampleG > 0
      ? [{ label: 'Water still in it when it was weighed last', text: `${fixed(last.waterG, 4)} g` }]
      : []),
    ...(burns > 0 ? [{ label: 'Hot crucible taken by hand', text: burns === 1 ? 'once' : `${burns} times` }] : []),
  ];
}
