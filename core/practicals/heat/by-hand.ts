import { THERMOMETERS } from '../../instruments/thermometer';
import type { HeatVesselId } from '../../databook/heat-vessels';
import type { HandsOf } from '../method';
import type { OwnAct } from './acts';
import { isByEye, type MassSlot, type Plan, type TempSlot } from './plan';
import type { View } from './view';

/** What students do at the bench of heat, whatever the practical. They see only views. */

export type Hands = HandsOf<OwnAct, View>;

/** Long enough for a balance to come to rest, s. */
const REST_S = 3;
/** A thermometer is looked at so often, s. */
const LOOKS_S = 5;

/** Ways of doing it wrong; a careful student has none of them. */
export interface Habits {
  vessel?: HeatVesselId;
  stirs?: boolean;
  lid?: boolean;
  /** mL of water in the cup. */
  ml?: number;
  /** How long the metal is heated, s. */
  heatedS?: number;
  /** How long it hangs in the tongs over the cup, s. */
  dawdlesS?: number;
  /** The temperature after is read so long after mixing, s, whatever it shows; when it is steady where it is left out. */
  readsAfterS?: number;
  /** Which piece is put in, and which is weighed. */
  piece?: number;
  weighs?: number;
  /** Whether the temperature is logged, so that the step can be drawn to its moment; it is where heat is lost. */
  logs?: boolean;
  grams?: number;
  /** Whether the boat is weighed again; otherwise it was weighed before anything was in it. */
  reweighs?: boolean;
  /** Water that is poured on after the cup was weighed, mL. */
  addsMl?: number;
  /** Volumes of acid and base, mL. */
  acidMl?: number;
  baseMl?: number;
  /** Two portions of water, mL, and how warm the warm one is made, °C; by the card where they are left out. */
  coolMl?: number;
  warmMl?: number;
  warmC?: number;
  /** A series: mL of base at a time, and how often. */
  portionMl?: number;
  portions?: number;
}

/** What an eye reads on the thermometer that is looked at, or its display says, °C. */
function readNow({ view }: Hands, n: number): { value: number; text: string } {
  const seen = view().thermometers[n - 1];
  if (!seen) throw new RangeError(`there is no thermometer ${n}`);
  if (seen.text !== null) return { value: Number(seen.text.replace('\u2212', '-')), text: seen.text };
  const finest = THERMOMETERS['glass 0.2'].reads.divisionC / 10;
  const value = Math.round((seen.columnC ?? 0) / finest) * finest;
  return { value, text: value.toFixed(2) };
}

/** Looks at a thermometer until what it shows has not gone on for four looks. @returns how long that took, s */
export async function untilSteady(hands: Hands, n: number, mostS = 900): Promise<number> {
  const finest = 0.1;
  let seen: number[] = [];
  for (let s = 0; s < mostS; s += LOOKS_S) {
    await hands.act({ kind: 'wait' }, LOOKS_S);
    seen = [...seen, readNow(hands, n).value].slice(-4);
    if (seen.length === 4 && Math.max(...seen) - Math.min(...seen) <= finest + 1e-9) return s;
  }
  return mostS;
}

/** Looks at a thermometer until the step that was made is over: it goes on no more the way that it went. */
async function untilTurned(hands: Hands, n: number, fromC: number, mostS = 600): Promise<void> {
  let [far, since] = [0, 0];
  for (let s = 0; s < mostS && (since < 4 || far < 0.3); s += LOOKS_S) {
    await hands.act({ kind: 'wait' }, LOOKS_S);
    const step = Math.abs(readNow(hands, n).value - fromC);
    since = step > far + 0.02 ? 0 : since + 1;
    far = Math.max(far, step);
  }
}

export async function recordTemp(hands: Hands, plan: Plan, trial: number, which: TempSlot, n: number): Promise<number> {
  if (hands.view().looking !== n - 1) await hands.act({ kind: 'look', n });
  const { value, text } = readNow(hands, n);
  if (isByEye(plan)) await hands.act({ kind: 'record', trial, which, text });
  else await hands.act({ kind: 'recordTemp', trial, which });
  const kept = hands.view().readings.findLast((r) => r.trial === trial && r.slot === which);
  return kept ? Number(kept.text.replace('\u2212', '-')) : value;
}

export async function weighed(
  hands: Hands,
  trial: number,
  which: MassSlot,
  what: 'cup' | 'boat' | 'piece' | 'pellet' | 'lamp' | 'tube',
  piece = 1,
) {
  if (hands.view().pan.on !== what) await hands.act({ kind: 'weigh', what, piece });
  await hands.act({ kind: 'recordMass', trial, which }, REST_S);
  await hands.act({ kind: 'offPan' });
}

export async function afterMixing(
  hands: Hands,
  plan: Plan,
  trial: number,
  before: number,
  readsAfterS?: number,
): Promise<number> {
  if (readsAfterS === undefined) await untilTurned(hands, 1, before);
  else await hands.act({ kind: 'wait' }, readsAfterS);
  return recordTemp(hands, plan, trial, 'T2', 1);
}

/** A fresh cup where one is needed. */
export async function freshCup({ act, view }: Hands, plan: Plan, { vessel = plan.vessels[0] }: Habits): Promise<void> {
  const { cup } = view().vessels;
  if (view().isMixed || cup.levelMl > 0 || cup.type !== vessel)
    await act({ kind: 'fresh', type: vessel as HeatVesselId });
}

/** Stirred, with a thermometer in it and its lid on. */
export async function stirred({ act, view }: Hands, { stirs = true, lid = true }: Habits): Promise<void> {
  if (view().thermometers[0]?.at !== 'cup') await act({ kind: 'thermometer', n: 1, at: 'cup' });
  await act({ kind: 'stir', vessel: 'cup', how: stirs ? 'motor' : 'off' });
  if (lid && !view().vessels.cup.lid) await act({ kind: 'lid', vessel: 'cup', on: true });
}

/** What was recorded of a slot in a trial, °C. */
export const recordedC = ({ view }: Hands, trial: number, slot: TempSlot): number =>
  Number(
    view()
      .readings.findLast((r) => r.trial === trial && r.slot === slot && r.struck === null)
      ?.text.replace('\u2212', '-') ?? NaN,
  );
