import type { Plan } from '@core/practicals/titration/plan';
import type { View } from '@core/practicals/titration/view';
import type { Drawing } from '../drawing';
import { NO_HANDS } from '../scene-thing';
import { BenchPage } from './bench-page';
import { Loupe } from './loupe';
import { Scene } from './scene';
import { told } from './tell';
import { TrialTable } from './trial-table';

/** The drawing of a titration. */
export const TITRATION: Drawing<View, Plan> = {
  Page: BenchPage,
  Still: ({ view, labels, sampleNumber }) => (
    <Scene
      view={{ ...view, running: false }}
      labels={labels}
      sampleNumber={sampleNumber}
      tap={view.tap}
      hands={NO_HANDS}
      onTap={() => {}}
    />
  ),
  Loupe,
  loupeCaption: 'The burette as it stood then.',
  Trials: TrialTable,
  due: (view) => {
    const trial = view.trials.find((entry) => entry.number === view.trial);
    return { trial: view.trial, slot: trial?.first === null ? 'first' : 'last' };
  },
  doubts: (view, act) => {
    const trial = view.trials.find((entry) => entry.number === view.trial);
    const isUnread = trial?.first !== null && trial?.last === null;
    if (act.kind === 'emptyFlask' && isUnread && view.flaskMl > 0.4)
      return {
        sentence: `Trial ${view.trial} has no last reading yet, and the flask cannot be had back.`,
        verb: 'Empty it',
      };
    if ((act.kind === 'emptyBurette' || act.kind === 'rinseBurette') && isUnread && view.flaskMl > 0.4)
      return {
        sentence: `Trial ${view.trial} has no last reading yet, and nothing will stand in the burette then.`,
        verb: 'Go on',
      };
    if (act.kind === 'emptyVolumetric' && view.volumetric?.madeUp)
      return { sentence: 'What you have made up is gone then.', verb: 'Empty it' };
    return null;
  },
  told,
  keys: [
    ['D', 'one drop'],
    ['S', 'swirl'],
    ['X', 'close the tap'],
    ['C', 'says the colour in the flask'],
  ],
};
