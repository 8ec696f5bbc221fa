import { NotThere, type HandsOf } from '../method';
import type { OwnAct } from './acts';
import type { MassSlot } from './plan';
import type { View } from './view';

/** What students do at the bench of solutions, whatever the practical. They see only views. */

export type Hands = HandsOf<OwnAct, View>;
export type Measured = 'pipette' | 'cylinder' | 'eye';

/** A clean vessel from the tray. @returns its number */
export async function taken({ act, view }: Hands, type: 'tube' | 'beaker'): Promise<number> {
  const before = view().vessels;
  await act({ kind: 'take', type }, 2);
  const after = view().vessels;
  return 1 + after.findIndex((one, i) => one.type === type && !one.isAway && (!before[i] || before[i]?.isAway));
}

/** @param place of something in a list @returns its number, from 1 @throws NotThere where it is none */
export function numberAt(place: number, what: string): number {
  if (place < 0) throw new NotThere(`there is no ${what}`);
  return place + 1;
}

/** The vessel that was taken last and still stands there, by its number. */
export const lastTaken = ({ view }: Hands, type: 'tube' | 'beaker'): number =>
  numberAt(
    view().vessels.findLastIndex((one) => one.type === type && !one.isAway),
    type,
  );

const RESTS_S = 4;

/** Puts what is due on the balance into the notebook. */
export async function recordPan({ act, view }: Hands, as?: MassSlot): Promise<void> {
  await act({ kind: 'wait' }, RESTS_S);
  const due = view().pan?.due;
  if (!due) throw new NotThere('nothing is on the balance');
  await act({ kind: 'recordMass', trial: due.trial, which: as ?? due.which }, 1);
}

/** So many millilitres in portions that the tool takes. */
export async function measured({ act }: Hands, from: number, to: number, ml: number, by: Measured = 'pipette') {
  const most = { pipette: 10, cylinder: 25, eye: 60 }[by];
  for (let left = ml; left > 1e-9; left -= most)
    await act({ kind: 'measure', from, to, ml: Math.min(left, most), by }, 3);
}
