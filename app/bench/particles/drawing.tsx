import { roomOf, type Plan } from '@core/practicals/particles/plan';
import type { View } from '@core/practicals/particles/view';
import type { Drawing } from '../drawings';
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
      selected={null}
      onSelect={() => {}}
    />
  ),
  Loupe: ({ view }) => (
    <dl className="grid grid-cols-[auto_auto] gap-x-3 font-mono text-sm">
      {view.slots.map(({ slot, label, unit }) => (
        <div key={slot} className="contents">
          <dt className="font-sans">{label}</dt>
          <dd>
            {view.gauges?.[slot as keyof typeof view.gauges] ?? '–'} {unit}
          </dd>
        </div>
      ))}
    </dl>
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
