import { SLOT_IDS, SLOTS, type Plan } from '@core/practicals/spheres/plan';
import type { View } from '@core/practicals/spheres/view';
import type { Drawing } from '../drawings';
import { BenchPage } from './bench-page';
import { told } from './things';
import { Vessel } from './vessel';

/** The drawing of the practicals with many particles. */
export const SPHERES: Drawing<View, Plan> = {
  Page: BenchPage,
  Still: ({ view, labels }) => (
    <Vessel view={view} labels={labels} atS={() => view.timeS} selected={null} onSelect={() => {}} />
  ),
  Loupe: ({ view }) => (
    <dl className="grid grid-cols-[auto_auto] gap-x-3 font-mono text-sm">
      {SLOT_IDS.map((slot) => (
        <div key={slot} className="contents">
          <dt className="font-sans">{SLOTS[slot].short}</dt>
          <dd>
            {view.counters?.[slot] ?? '–'} {SLOTS[slot].unit}
          </dd>
        </div>
      ))}
    </dl>
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
