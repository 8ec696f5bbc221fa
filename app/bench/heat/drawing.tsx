import { ownReading } from '@core/notebook/readings';
import type { Plan, TempSlot } from '@core/practicals/heat/plan';
import type { View } from '@core/practicals/heat/view';
import type { Drawing } from '../drawings';
import { BenchPage } from './bench-page';
import { Loupe } from './loupe';
import { Scene } from './scene';
import { told } from './tell';

const nothing = () => {};

/** Acts after which the temperature before cannot be had back, and after which that of all together cannot. */
function losing(view: View, act: { kind: string; [key: string]: unknown }): TempSlot | null {
  const { cup } = view.vessels;
  if (cup.levelMl < 1) return null;
  const pours = view.slots.some(({ slot }) => slot === 'VB') && act.kind === 'pour' && Number(act['bottle']) > 1;
  const combines =
    (act['to'] === 'cup' && (act.kind === 'put' || act.kind === 'tipOver' || pours)) || act.kind === 'tip';
  if (combines && !view.isMixed) return 'T1';
  const clears = act.kind === 'fresh' || (act.kind === 'empty' && act['vessel'] === 'cup');
  return clears && view.isMixed ? 'T2' : null;
}

/** The drawing of the practicals of heat. */
export const HEAT: Drawing<View, Plan> = {
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
  Loupe,
  loupeCaption: 'What the thermometers showed then.',
  due: (view) => ({ trial: view.recordableTrial, slot: view.dueTemp }),
  doubts: (view, act) => {
    const missing = losing(view, act);
    if (missing === null || ownReading(view, view.recordableTrial, missing)) return null;
    const slot = view.slots.find((one) => one.slot === missing);
    return slot
      ? {
          sentence: `The ${slot.label} of trial ${view.recordableTrial} is not recorded yet, and cannot be had back then.`,
          verb: 'Go on',
        }
      : null;
  },
  told,
  keys: [
    ['R', 'records the temperature, or at the balance the mass'],
    ['M', 'records the mass'],
    ['S', 'stirs by hand, by motor, not at all'],
    ['C', 'puts the cover on and takes it off'],
    ['G', 'begins and ends the log'],
    ['T', 'tares the balance'],
  ],
};
