import { fixed } from '../../analysis/quantity';
import type { HandsOf } from '../method';
import type { OwnAct } from './acts';
import type { Slot } from './plan';
import type { View } from './view';

/** What students do at the bench of gases, whatever the practical. They see only views. */

export type Hands = HandsOf<OwnAct, View>;

/** Ways of doing it otherwise; a careful student has none of them. */
export interface Habits {
  points?: number;
  /** Where the plunger stands when the gas is enclosed, and between which volumes it is set, mL. */
  startMl?: number;
  fromMl?: number;
  toMl?: number;
  /** How long is waited at each point, s. */
  waitS?: number;
  /** Whether the tube is pushed home. */
  home?: boolean;
  /** Whether the gauge is read open to the room. */
  open?: boolean;
  /** Whether plungers are turned before they are read. */
  turns?: boolean;
  /** How much liquid is injected, mL; whether its needle is stoppered for the weighings, or for the last alone. */
  shotMl?: number;
  stoppers?: boolean;
  stoppersLast?: boolean;
  /** How much metal is cut, mg; whether the height of the water and the air of the tube are read. */
  stripMg?: number;
  levels?: boolean;
  readsAir?: boolean;
  /** How far a reading by eye is off, mL: a function of the how-manieth it is. */
  misread?: (count: number) => number;
}

export const dueTrialOf = (view: View, slot: Slot): number => view.slots.find((one) => one.slot === slot)?.due ?? 1;

export async function recordShown({ act, view }: Hands, which: Slot, afterS = 0): Promise<void> {
  await act({ kind: 'recordShown', trial: dueTrialOf(view(), which), which }, afterS);
}

/** Reads a syringe by eye, to a tenth of a division. */
export async function readSyringe(
  { act, view }: Hands,
  which: Slot,
  place: number,
  off = 0,
  decimals = 1,
): Promise<void> {
  const text = fixed((view().plungers[place] ?? 0) + off, decimals);
  await act({ kind: 'record', trial: dueTrialOf(view(), which), which, text });
}

/** What is read once of the room. */
export async function readRoom(hands: Hands, slots: readonly Slot[] = ['bar', 'room']): Promise<void> {
  for (const slot of slots) await recordShown(hands, slot, 1);
}

/** What is seen of the bath, °C. */
export const bathC = ({ view }: Hands): number => Number(view().bath?.shown.replace('\u2212', '-'));

/** Heat that holds a bath at a temperature, as a setting of the plate: what its vessel loses. */
const holding = (celsius: number) => Math.max(0, Math.min(10, ((celsius - 21) * 2.2) / 70));

/** Brings the bath to a temperature and lets it stand there. */
export async function bringBath(hands: Hands, celsius: number, waitS: number): Promise<void> {
  const { act, view } = hands;
  const now = () => bathC(hands);
  if (celsius <= 1) {
    await act({ kind: 'heat', to: 0 });
    await act({ kind: 'ice', g: 400 });
    for (let i = 0; i < 60 && now() > 1; i++) await act({ kind: 'wait' }, 30);
  } else {
    await act({ kind: 'heat', to: 10 });
    for (let i = 0; i < 400 && now() < celsius - 1 && !view().bath?.boils; i++) await act({ kind: 'wait' }, 5);
    await act({ kind: 'heat', to: celsius > 98 ? 4 : holding(celsius) });
  }
  await act({ kind: 'wait' }, waitS);
}

/** Brings the bath down by ice, a little at a time. */
export async function coolTo(hands: Hands, celsius: number): Promise<void> {
  const { act, view } = hands;
  const now = () => bathC(hands);
  await act({ kind: 'heat', to: 0 });
  for (let i = 0; i < 40 && now() > celsius; i++) {
    const grams = Math.max(20, Math.min(300, (now() - celsius) * 8));
    await act({ kind: 'ice', g: Math.round(grams) });
    for (let j = 0; j < 20 && (view().bath?.ice ?? 0) > 0; j++) await act({ kind: 'wait' }, 15);
  }
}
