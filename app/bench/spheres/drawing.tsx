import { SLOT_IDS, SLOTS, type Plan } from '@core/practicals/spheres/plan';
import type { View } from '@core/practicals/spheres/view';
import type { Drawing } from '../drawing';
import { ShownValues } from '../shown-values';
import { NO_HANDS } from '../scene-thing';
import { BenchPage } from './bench-page';
import { told } from './things';
import { Vessel } from './vessel';

/** The drawing of the practicals with many particles. */
export const SPHERES: Drawing<View, Plan> = {
  Page: BenchPage,
  Still: ({ view, labels }) => <Vessel view={view} labels={labels} atS={() => view.timeS} hands={NO_HANDS} />,
  Loupe: ({ view }) => (
    <ShownValues
      values={SLOT_IDS.map((slot) => ({
        name: SLOTS[slot].short,
        text: view.counters?.[slot],
        unit: SLOTS[slot].unit,
      }))}
    />
  ),
  loupeCaption: 'What the counters showed then.',
  due: (view) => ({ trial: view.recordableTrial, slot: 'T' }),
  doubts: () => null,
  told,
  keys: [
    ['R', 'records what all counters show'],
    ['F', 'lets them fly for the time that is typed'],
    ['J', 'puts a jacket of the temperature that is typed around the vessel'],
    ['H', 'opens the hole, or shuts it'],
  ],
};
