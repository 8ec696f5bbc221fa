import { counted } from '../../analysis/quantity';
import type { BenchRecord } from '../contract';
import type { Bench } from './bench';
import { LETTERS } from './plan';

export const BY = { pipette: 'with the pipette', cylinder: 'with the cylinder', eye: 'by eye' } as const;

export const TOOLS = { probe: 'pH probe', thermometer: 'thermometer', cell: 'conductivity cell' } as const;

export const PAPER_AT = {
  mat: 'aside',
  funnel: 'into the funnel',
  pan: 'on the balance',
  oven: 'into the oven',
  desiccator: 'into the desiccator',
} as const;
export const VESSEL_AT = {
  bench: 'on the bench',
  plate: 'on the hot plate',
  pan: 'on the balance',
  funnel: 'under the funnel',
} as const;

/** Which number in the log is which vessel. */
function numbersOf({ vessels, sample: { bottles }, plan }: Bench): string {
  const last = LETTERS[bottles.length - 1] ?? '';
  const wells = vessels.filter(({ type }) => type === 'well').length;
  const first = bottles.length + 2;
  return [
    `1 to ${bottles.length} bottles A to ${last}`,
    `${bottles.length + 1} water`,
    ...(wells > 0 ? [`${first} to ${first + wells - 1} wells 1 to ${wells}`] : []),
    ...(plan.vessels.length > 0 ? [`from ${first + wells} on what was taken from the tray`] : []),
  ].join(', ');
}

/** What a teacher may compare besides what the sample is. */
export const besides = (bench: Bench): BenchRecord['truth'] => [
  { label: 'Vessels by their numbers', text: numbersOf(bench) },
  ...(bench.mores > 0 ? [{ label: 'Asked for more of a bottle', text: counted(bench.mores, 'time') }] : []),
];
