import { roomOf, type Plan } from '@core/practicals/particles/plan';
import type { View } from '@core/practicals/particles/view';
import type { Drawing } from '../drawing';
import { ShownValues } from '../shown-values';
import { NO_HANDS } from '../scene-thing';
import { BenchPage } from './bench-page';
import { FIRST_SIGHT } from './projection';
import { Scene } from './scene';
import { told } from './things';
import { shownAt } from './use-motion';

/** The drawing of the practicals with particles. */
export const PARTICLES: Drawing<View, Plan> = {
  Page: BenchPage,
  Still: ({ view, labels }) => (
    <Scene
      view={view}
      labels={labels}
      sight={FIRST_SIGHT}
      shown={view.flight && shownAt(view.flight, view.timeS, roomOf(labels))}
      hands={NO_HANDS}
    />
  ),
  Loupe: ({ view }) => (
    <ShownValues
      values={view.slots.map(({ slot, label, unit }) => ({
        name: label,
        text: view.gauges?.[slot as keyof typeof view.gauges],
        unit,
      }))}
    />
  ),
  loupeCaption: 'What the gauges showed then.',
  due: (view) => ({ trial: view.trial, slot: 'T' }),
  doubts: () => null,
  told,
  keys: [
    ['R', 'records what all three gauges show'],
    ['G', 'gives the amount of energy that is typed'],
    ['T', 'takes the amount of energy that is typed'],
  ],
};
