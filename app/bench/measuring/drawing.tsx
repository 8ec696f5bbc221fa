import { EDGE_SLOTS, type Plan } from '@core/practicals/measuring/plan';
import type { View } from '@core/practicals/measuring/view';
import { readingFor } from '@core/notebook/readings';
import type { Drawing } from '../drawings';
import { BenchPage } from './bench-page';
import { Loupe } from './loupe';
import { Scene } from './scene';
import { dueTrial } from './verb-props';

const nothing = () => {};

/** The reading that is due: that of what is looked at; of volumes the first that the row does not have. */
function dueSlot(view: View): string {
  if (view.look.at === 'tool' && view.held) return EDGE_SLOTS[view.held.along];
  if (view.look.at === 'thermometer') return 'T';
  const volumes = view.slots.filter(({ slot, typed }) => typed && ['V', 'F', 'V1', 'V2'].includes(slot));
  const missing = volumes.find(({ slot }) => readingFor(view, view.trial, slot) === undefined);
  return (missing ?? volumes[0] ?? view.slots.find(({ typed }) => typed))?.slot ?? 'V';
}

/** The drawing of the practicals of measuring. */
export const MEASURING: Drawing<View, Plan> = {
  Page: BenchPage,
  Still: ({ view, labels }) => (
    <Scene
      view={{ ...view, running: false }}
      labels={labels}
      selected={null}
      onSelect={nothing}
      onEnter={nothing}
      lift={() => nothing}
    />
  ),
  Loupe: ({ view, unnumbered }) => <Loupe view={view} appearance={view.appearance} unnumbered={unnumbered} />,
  loupeCaption: 'What was looked at then.',
  due: (view) => {
    const slot = dueSlot(view);
    return { trial: dueTrial(view, slot), slot };
  },
  keys: [
    ['E', 'brings the eye level with the surface'],
    ['T', 'tares the balance'],
    ['D', 'gives drops from the dropper'],
    ['X', 'sets upright what is tilted, closes the tap'],
  ],
};
