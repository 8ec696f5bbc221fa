import type { Plan } from '@core/practicals/titration/plan';
import type { View } from '@core/practicals/titration/view';
import type { Drawing } from '../drawings';
import { BenchPage } from './bench-page';
import { Loupe } from './loupe';
import { Scene } from './scene';
import { TrialTable } from './trial-table';

const nothing = () => {};

/** The drawing of a titration. */
export const TITRATION: Drawing<View, Plan> = {
  Page: BenchPage,
  Still: ({ view, labels, sampleNumber }) => (
    <Scene
      view={{ ...view, running: false }}
      labels={labels}
      sampleNumber={sampleNumber}
      tap={view.tap}
      selected={null}
      onSelect={nothing}
      onTap={nothing}
      lift={() => nothing}
    />
  ),
  Loupe,
  loupeCaption: 'The burette as it stood then.',
  Trials: TrialTable,
  due: (view) => {
    const trial = view.trials.find((entry) => entry.number === view.trial);
    return { trial: view.trial, slot: trial?.first === null ? 'first' : 'last' };
  },
  keys: [
    ['D', 'one drop'],
    ['S', 'swirl'],
    ['X', 'close the tap'],
    ['C', 'says the colour in the flask'],
  ],
};
