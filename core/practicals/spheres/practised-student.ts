import type { CommonAct } from '../common-acts';
import type { OwnAct } from './acts';
import { PS_PER_S, RUN_PS, SLOT_IDS, type Slot } from './plan';
import { STRETCHES } from './steps';
import type { View } from './view';

/** How a student works who knows the method; used for tests and golden logs. Sees only views. */
export interface Hands {
  act(act: OwnAct | CommonAct, afterS?: number): Promise<void> | void;
  view(): View;
}

async function flies({ act }: Hands, ps: number): Promise<void> {
  await act({ kind: 'run', ps });
  await act({ kind: 'wait' }, ps / PS_PER_S + 0.5);
}

async function records({ act, view }: Hands, slots: readonly Slot[]): Promise<void> {
  const trial = view().recordableTrial;
  for (const which of slots) await act({ kind: 'record', trial, which });
}

/** Stretches at three temperatures, and fillings that leak. */
export async function compareGases(hands: Hands, leaks = 3): Promise<void> {
  const { act, view } = hands;
  const startK = Number(/(\d+) K/.exec(view().task)?.[1] ?? 300);
  for (const [i, times] of [1, 1.5, 2.5].entries()) {
    await act({ kind: 'jacket', kelvin: Math.round(startK * times) });
    await flies(hands, 200);
    for (let stretch = 0; stretch < STRETCHES / 3 + (i === 0 ? 0 : 0); stretch++) {
      await flies(hands, RUN_PS.most);
      await records(
        hands,
        SLOT_IDS.filter((slot) => slot !== 'g1' && slot !== 'g2'),
      );
    }
  }
  for (let leak = 0; leak < leaks; leak++) {
    await act({ kind: 'refill' });
    await act({ kind: 'jacket', kelvin: startK });
    await flies(hands, 200);
    await act({ kind: 'hole', open: true });
    await flies(hands, 400);
    await records(hands, ['d', 'g1', 'g2']);
  }
}
