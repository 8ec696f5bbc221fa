import type { Plan, Slot } from '@core/practicals/heat/plan';
import type { View } from '@core/practicals/heat/view';
import type { Drawing } from '../drawing';
import { notRecorded } from '../not-recorded';
import { still } from '../still';
import { BenchPage } from './bench-page';
import { Loupe } from './loupe';
import { Scene } from './scene';
import { told } from './tell';

type Done = { kind: string; [key: string]: unknown };

/** What a burning takes away: readings before it, in the order in which they are asked about. */
function losingByFire(view: View, act: Done): Slot[] {
  const { sealed, fire, isMixed } = view;
  if (act.kind === 'fire' && sealed?.at === 'pail') return isMixed ? [] : ['T1'];
  if (act.kind === 'sink' && act['to'] === 'stand') return isMixed ? ['T2'] : [];
  if (act.kind === 'clean' && sealed?.wire === 'burnt') return ['L2'];
  if (act.kind === 'seal' && act['closed'] === true && sealed?.wire !== 'burnt')
    return sealed?.wire === 'none' ? [] : ['L1'];
  const lights = (act.kind === 'flame' && act['to'] === 'lit') || act.kind === 'stand';
  if (!lights || !fire) return [];
  const n = Number(act['n']);
  const lamp = fire.lamps[n - 1];
  const burnsThere = act.kind === 'flame' ? lamp?.at === 'can' : act['at'] === 'can' && lamp?.state === 'lit';
  const before = n === 1 ? ('k1' as const) : ('b1' as const);
  const isWater = view.vessels.cup.levelMl >= 1;
  return burnsThere && isWater && !isMixed ? ['T1', before] : [];
}

/** Readings that cannot be had back after an act, of those that are taken here. */
function losing(view: View, act: Done): Slot[] {
  const burning = losingByFire(view, act);
  if (burning.length > 0) return burning;
  const { cup } = view.vessels;
  if (cup.levelMl < 1) return [];
  const pours = view.slots.some(({ slot }) => slot === 'VB') && act.kind === 'pour' && Number(act['bottle']) > 1;
  const combines =
    (act['to'] === 'cup' && (act.kind === 'put' || act.kind === 'tipOver' || pours)) || act.kind === 'tip';
  if (combines && !view.isMixed) return ['T1'];
  const clears = act.kind === 'fresh' || (act.kind === 'empty' && act['vessel'] === 'cup');
  return clears && view.isMixed ? ['T2'] : [];
}

/** The drawing of the practicals of heat. */
export const HEAT: Drawing<View, Plan> = {
  Page: BenchPage,
  Still: still(Scene),
  Loupe,
  loupeCaption: 'What the thermometers showed then.',
  due: (view) => ({ trial: view.recordableTrial, slot: view.dueTemp }),
  doubts: (view, act) => notRecorded(view, losing(view, act)),
  told,
  keys: [
    ['R', 'records the temperature, or at the balance the mass'],
    ['M', 'records the mass'],
    ['S', 'stirs by hand, by motor, not at all'],
    ['C', 'puts the cover on and takes it off'],
    ['G', 'begins and ends the log'],
    ['I', 'fires, or lights the lamp under the can and puts it out'],
    ['T', 'tares the balance'],
  ],
};
