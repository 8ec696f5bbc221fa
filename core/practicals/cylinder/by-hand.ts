import type { HandsOf } from '../method';
import type { OwnAct } from './acts';
import { PS_PER_S, RUN_PS, SLOTS_OF, type Gear } from './plan';
import type { View } from './view';

/** What students do at the cylinder, whatever the practical. They see only views. */

export type Hands = HandsOf<OwnAct, View>;

/** How long they fly until they have come to rest after a change, ps. */
export const RESTS_PS = 300;

export async function flies({ act }: Hands, ps: number): Promise<void> {
  await act({ kind: 'run', ps });
  await act({ kind: 'wait' }, ps / PS_PER_S + 0.5);
}

/** All that the counters show, into one trial. */
export async function records({ act, view }: Hands, gear: Gear): Promise<void> {
  const { recordableTrial: trial, counters } = view();
  for (const which of SLOTS_OF[gear]) if (counters[which] !== undefined) await act({ kind: 'record', trial, which });
}

/** So many whole stretches, each into a trial. */
export async function stretches(hands: Hands, gear: Gear, count: number): Promise<void> {
  for (let i = 0; i < count; i++) {
    await flies(hands, RUN_PS.most);
    await records(hands, gear);
  }
}

/** What the card says of something. */
export const onCard = ({ view }: Hands, name: string): number | undefined => {
  const found = new RegExp(`${name} (\\d+(?:\\.\\d+)?)`).exec(view().task)?.[1];
  return found === undefined ? undefined : Number(found);
};

/** Brings the number in the cylinder to another; nothing where it is that already. */
export async function brings({ act, view }: Hands, wanted: number): Promise<void> {
  const change = Math.round(wanted) - view().fitted.count;
  if (change !== 0) await act(change > 0 ? { kind: 'letIn', count: change } : { kind: 'letOut', count: -change });
}
