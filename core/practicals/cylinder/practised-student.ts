import type { CommonAct } from '../common-acts';
import type { OwnAct } from './acts';
import { HOTTER, SQUEEZED } from './impacts-found';
import { SINGLE, STRETCHES } from './kinds/impacts';
import { NUMBERS_OF } from './kinds/many';
import { POINTS } from './kinds/one-law';
import { PS_PER_S, RUN_PS, SLOTS_OF, type Gear, type Law } from './plan';
import type { View } from './view';

/** How students work who know the method; used for tests, golden logs and demo runs. They see only views. */
export interface Hands {
  act(act: OwnAct | CommonAct, afterS?: number): Promise<void> | void;
  view(): View;
}

async function flies({ act }: Hands, ps: number): Promise<void> {
  await act({ kind: 'run', ps });
  await act({ kind: 'wait' }, ps / PS_PER_S + 0.5);
}

/** All that the counters show, into one trial. */
async function records({ act, view }: Hands, gear: Gear): Promise<void> {
  const { recordableTrial: trial, counters } = view();
  for (const which of SLOTS_OF[gear]) if (counters[which] !== undefined) await act({ kind: 'record', trial, which });
}

/** What the card says of something. */
const onCard = (view: View, name: string): number | undefined => {
  const found = new RegExp(`${name} (\\d+(?:\\.\\d+)?)`).exec(view.task)?.[1];
  return found === undefined ? undefined : Number(found);
};

/** What brings the number in the cylinder to another; nothing where it is that already. */
function numberTo(wanted: number, inside: number): OwnAct | null {
  const change = Math.round(wanted) - inside;
  if (change === 0) return null;
  return change > 0 ? { kind: 'letIn', count: change } : { kind: 'letOut', count: -change };
}

/** So many values between two, by even factors. */
const between = (least: number, most: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => Number((least * (most / least) ** (i / (count - 1))).toPrecision(3)));

/** What is done for one point after another. */
function settings(law: Law, points: number): ((inside: number) => OwnAct | null)[] {
  const pins = between(6000, 22_000, points).map((nm3) => () => ({ kind: 'pin' as const, nm3 }));
  const jackets = (most: number) =>
    between(120, most, points).map((kelvin) => () => ({ kind: 'jacket' as const, kelvin }));
  const counts = between(60, 240, points).map((wanted) => (inside: number) => numberTo(wanted, inside));
  return {
    'pressure-volume': pins,
    'pressure-temperature': jackets(600),
    'volume-temperature': jackets(480),
    'pressure-number': counts,
    'volume-number': counts,
  }[law];
}

/** Ten points of a law, with all held as the card says. */
export async function findLaw(hands: Hands, law: Law, points = POINTS): Promise<void> {
  const { act, view } = hands;
  const [kelvin, nm3, kPa] = ['temperature', 'volume', 'pressure'].map((name) => onCard(view(), name));
  if (kelvin !== undefined) await act({ kind: 'jacket', kelvin });
  if (nm3 !== undefined) await act({ kind: 'pin', nm3 });
  if (kPa !== undefined) {
    await act({ kind: 'load', kPa });
    await flies(hands, RUN_PS.most);
  }
  for (const setting of settings(law, points)) {
    const next = setting(view().fitted.count);
    if (next) await act(next);
    await flies(hands, 300);
    await flies(hands, RUN_PS.most);
    await records(hands, 'laws');
  }
}

/** Single impacts, then stretches as the card says, hotter, squeezed, and with more of them. */
export async function countImpacts(hands: Hands): Promise<void> {
  const { act, view } = hands;
  const [kelvin = 300, nm3 = 20_000, count = 200] = ['temperature', 'volume', 'number'].map((name) =>
    onCard(view(), name),
  );
  const stretches = async (also: OwnAct | null) => {
    if (also) await act(also);
    await flies(hands, 300);
    for (let i = 0; i < STRETCHES; i++) {
      await flies(hands, RUN_PS.most);
      await records(hands, 'impacts');
    }
  };
  await act({ kind: 'pin', nm3 });
  await act({ kind: 'jacket', kelvin });
  await flies(hands, 300);
  for (let i = 0; i < SINGLE; i++) {
    await act({ kind: 'next' });
    await act({ kind: 'wait' }, 60);
    await records(hands, 'impacts');
  }
  await stretches(null);
  await stretches({ kind: 'jacket', kelvin: Math.round(HOTTER * kelvin) });
  await act({ kind: 'jacket', kelvin });
  await stretches({ kind: 'pin', nm3: Math.round(SQUEEZED * nm3) });
  await act({ kind: 'pin', nm3 });
  await stretches(numberTo(2 * count, view().fitted.count));
}

/** How many stretches of each number, ten in all. */
const STRETCHES_OF = [3, 2, 2, 2, 1];

/** Ten stretches of one particle, two, ten, a hundred, a thousand: of few ones more. */
export async function growNumber(hands: Hands, numbers: readonly number[] = NUMBERS_OF): Promise<void> {
  const { act, view } = hands;
  await act({ kind: 'jacket', kelvin: Number(/(\d+) K/.exec(view().task)?.[1] ?? 300) });
  for (const [place, wanted] of numbers.entries()) {
    const more = numberTo(wanted, view().fitted.count);
    if (more) await act(more);
    await flies(hands, 300);
    for (let i = 0; i < (STRETCHES_OF[place] ?? 1); i++) {
      await flies(hands, RUN_PS.most);
      await records(hands, 'many');
    }
  }
}
