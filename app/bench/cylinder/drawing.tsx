import type { SLOTS_OF } from '@core/practicals/cylinder/plan';
import { type Plan } from '@core/practicals/cylinder/plan';
import type { View } from '@core/practicals/cylinder/view';
import type { Drawing } from '../drawing';
import { NO_HANDS } from '../scene-thing';
import { Apparatus } from './apparatus';
import { BenchPage } from './bench-page';
import { Gauges } from './gauges';
import { told } from './things';

/** The drawing of the practicals with particles under a piston. */
export const CYLINDER: Drawing<View, Plan> = {
  Page: BenchPage,
  Still: ({ view, labels }) => (
    <Apparatus
      view={view}
      labels={labels}
      atS={() => view.timeS}
      hands={NO_HANDS}
      onPull={() => {}}
      onCounters={() => {}}
    />
  ),
  Loupe: ({ view }) => (
    <Gauges
      slots={view.slots.map(({ slot }) => slot as (typeof SLOTS_OF.laws)[number])}
      counters={view.counters}
      uncertainties={view.uncertainties}
    />
  ),
  loupeCaption: 'What the counters showed then.',
  due: (view) => ({ trial: view.recordableTrial, slot: view.slots[0]?.slot ?? 'P' }),
  doubts: () => null,
  told,
  keys: [
    ['R', 'records what all counters show'],
    ['F', 'lets them fly for the time that is typed'],
    ['V', 'pins the piston at the volume that is typed'],
    ['L', 'takes the pin out, with the load that is typed'],
    ['J', 'puts a jacket of the temperature that is typed around the cylinder'],
    ['I, O', 'let as many in, or out, as is typed'],
  ],
};
