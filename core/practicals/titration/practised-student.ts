import type { Chance } from '../../random';
import { workBy } from '../method';
import type { Act } from './acts';
import {
  bringsSample,
  calibrates,
  dissolves,
  logs,
  runsCurve,
  tipsIn,
  weighsOut,
  type Habits,
  type Hands,
} from './by-hand';
import { methodOf } from './method';
import type { Plan } from './plan';
import type { View } from './view';

export type { Habits } from './by-hand';

/** How students work who know the method; used for demo classes, rehearsals and load tests. */

/** Performs an act so many seconds of bench time after the last view, and gives the new view. */
export type Perform = (act: Act, afterS?: number) => Promise<View>;

/** Hands that see what each act gave. */
async function handsOf(perform: Perform): Promise<Hands> {
  let seen = await perform({ kind: 'wipeTip' });
  return {
    act: async (act, afterS) => {
      seen = await perform(act, afterS);
    },
    view: () => seen,
  };
}

/** The whole practical by indicator: where there is a standard and a sample, the standard first. */
export async function workThrough(
  perform: Perform,
  plan: Plan,
  habits: Habits,
  hand: Chance,
): Promise<{ view: View; molPerL: number | null }> {
  const hands = await handsOf(perform);
  await workBy(methodOf({ ...plan, probe: 'none' }, habits, hand), hands);
  const view = hands.view();
  const molPerL = view.mean ? (Number(view.mean.text) * Number(view.titrantLabel)) / plan.pipetteMl : null;
  return { view, molPerL };
}

/** A curve logged from a full burette until the pH no longer rises, with the sample in the flask. */
export async function logCurve(
  perform: Perform,
  plan: Plan,
  { grams = 0.3, weighsBack = true }: Pick<Habits, 'grams' | 'weighsBack'>,
  { everyMl, toMl, calibrated }: { everyMl: number; toMl: number; calibrated: boolean },
): Promise<View> {
  const hands = await handsOf(perform);
  const { act } = hands;
  if (calibrated) await calibrates(hands, plan);
  await act({ kind: 'rinseBurette', with: 'titrant' });
  await act({ kind: 'fill', toMl: 0.5 });
  await act({ kind: 'wipeTip' });
  if (plan.jar) {
    await weighsOut(hands, grams);
    await tipsIn(hands, { indicator: '', trials: 1, readingErrorMl: 0, lateDrops: 0, weighsBack });
    await dissolves(hands, plan);
  } else await bringsSample(hands, plan);
  await logs(hands, everyMl);
  await runsCurve(hands, everyMl, toMl);
  return hands.view();
}
