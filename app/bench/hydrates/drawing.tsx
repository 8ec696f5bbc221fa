import type { Plan, Slot } from '@core/practicals/hydrates/plan';
import type { View } from '@core/practicals/hydrates/view';
import type { Drawing } from '../drawing';
import { notRecorded } from '../not-recorded';
import { still } from '../still';
import { BenchPage } from './bench-page';
import { Loupe } from './loupe';
import { Scene } from './scene';
import { told } from './tell';

/** Which mass cannot be had back after an act: that of the empty crucible once there is salt in it, that of the salt once it is heated. */
function losing(view: View, act: { kind: string; [key: string]: unknown }): Slot[] {
  const { crucible } = view;
  if (act.kind === 'fill' && crucible.fill === 0) return ['m0'];
  const heats = act.kind === 'put' && (act['at'] === 'triangle' || act['at'] === 'gauze');
  return heats && crucible.fill > 0 && view.due !== 'm0' && !crucible.isCracked ? ['m1'] : [];
}

/** The drawing of the practicals of hydrates. */
export const HYDRATES: Drawing<View, Plan> = {
  Page: BenchPage,
  Still: still(Scene),
  Loupe,
  loupeCaption: 'What was in the crucible then, from above.',
  due: (view) => ({ trial: view.recordableTrial, slot: view.due ?? 'm0' }),
  doubts: (view, act) => notRecorded(view, losing(view, act)),
  told,
  keys: [
    ['R, M', 'records the mass on the balance'],
    ['T', 'tares the balance'],
    ['O', 'lid on, ajar, off'],
    ['I', 'lights the burner, or shuts its gas'],
    ['B', 'slides the burner aside and back'],
    ['G', 'takes the tongs and lays them down'],
  ],
};
