import { THERMOMETERS } from '../../instruments/thermometer';
import type { HeatVesselId } from '../../databook/heat-vessels';
import type { Act } from './acts';
import { isByEye, type MassSlot, type Plan, type TempSlot } from './plan';
import type { View } from './view';

/** How a student works who knows the methods; used for demo classes, rehearsals and tests. Sees only views. */
export interface Hands {
  /** Does an act so many seconds of bench time after the last. */
  act(act: Act, afterS?: number): Promise<void> | void;
  view(): View;
}

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
  grams?: number;
  /** Whether the boat is weighed again; otherwise it was weighed before anything was in it. */
  reweighs?: boolean;
  /** Water that is poured on after the cup was weighed, mL. */
  addsMl?: number;
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

/** A fresh cup, weighed empty and with water, stirred, with a thermometer and its lid on. */
async function cupReady(hands: Hands, plan: Plan, trial: number, habits: Habits): Promise<void> {
  const { vessel = plan.vessels[0] as HeatVesselId, stirs = true, lid = true, ml = 90, addsMl = 0 } = habits;
  const { cup } = hands.view().vessels;
  if (hands.view().isMixed || cup.levelMl > 0 || cup.type !== vessel) await hands.act({ kind: 'fresh', type: vessel });
  await weighed(hands, trial, 'm1', 'cup');
  await hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml });
  await weighed(hands, trial, 'm2', 'cup');
  if (addsMl > 0) await hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: addsMl });
  if (hands.view().thermometers[0]?.at !== 'cup') await hands.act({ kind: 'thermometer', n: 1, at: 'cup' });
  await hands.act({ kind: 'stir', vessel: 'cup', how: stirs ? 'motor' : 'off' });
  if (lid) await hands.act({ kind: 'lid', vessel: 'cup', on: true });
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

/** One trial with a hot piece of metal. */
export async function carryMetal(hands: Hands, plan: Plan, trial: number, habits: Habits = {}): Promise<void> {
  const { piece = 1, weighs = piece, heatedS = 420, dawdlesS = 0 } = habits;
  const heater = plan.bath ? 'bath' : 'block';
  if (!hands.view().readings.some((r) => r.slot === 'm' && r.struck === null))
    await weighed(hands, trial, 'm', 'piece', weighs);
  if ((hands.view()[heater].setC ?? 0) < 90)
    await hands.act({ kind: 'warm', what: heater, tempC: plan.bath ? 100 : 98 });
  if (hands.view().thermometers[1]?.at !== heater) await hands.act({ kind: 'thermometer', n: 2, at: heater });
  await untilSteady(hands, 2);
  await cupReady(hands, plan, trial, habits);
  await hands.act({ kind: 'put', piece, to: heater });
  await hands.act({ kind: 'wait' }, heatedS);
  const before = await recordTemp(hands, plan, trial, 'T1', 1);
  await recordTemp(hands, plan, trial, 'Th', 2);
  await hands.act({ kind: 'look', n: 1 });
  if (dawdlesS > 0) await hands.act({ kind: 'put', piece, to: 'tongs' });
  await hands.act({ kind: 'put', piece, to: 'cup' }, dawdlesS);
  await afterMixing(hands, plan, trial, before, habits.readsAfterS);
}

/** One trial with a salt that dissolves. */
export async function dissolveSalt(hands: Hands, plan: Plan, trial: number, habits: Habits = {}): Promise<void> {
  const { grams = 8, reweighs = true } = habits;
  await cupReady(hands, plan, trial, { ml: 80, ...habits });
  if (!reweighs) await weighed(hands, trial, 'mb', 'boat');
  await hands.act({ kind: 'scoop', g: grams });
  await weighed(hands, trial, 'm', 'boat');
  await untilSteady(hands, 1);
  const before = await recordTemp(hands, plan, trial, 'T1', 1);
  await hands.act({ kind: 'tip' });
  await afterMixing(hands, plan, trial, before, habits.readsAfterS);
  if (reweighs) await weighed(hands, trial, 'mb', 'boat');
}

/** One trial with two portions of water. */
export async function mixPortions(
  hands: Hands,
  plan: Plan,
  trial: number,
  habits: Habits & { coolMl: number; warmMl: number; warmC: number },
): Promise<void> {
  const { coolMl, warmMl, warmC } = habits;
  const { view, act } = hands;
  if (view().vessels.beaker.at === 'bath') await act({ kind: 'seat', at: 'bench' });
  await act({ kind: 'pour', bottle: 1, to: 'beaker', ml: warmMl });
  await act({ kind: 'warm', what: 'bath', tempC: warmC });
  await act({ kind: 'seat', at: 'bath' });
  await act({ kind: 'stir', vessel: 'beaker', how: 'motor' });
  await act({ kind: 'thermometer', n: 1, at: 'beaker' });
  await act({ kind: 'wait' }, 400);
  await cupReady(hands, plan, trial, { ...habits, ml: coolMl });
  await untilSteady(hands, 1);
  const before = await recordTemp(hands, plan, trial, 'T1', 1);
  await act({ kind: 'thermometer', n: 1, at: 'beaker' });
  await act({ kind: 'wait' }, 40);
  await recordTemp(hands, plan, trial, 'Th', 1);
  await act({ kind: 'thermometer', n: 1, at: 'cup' });
  await act({ kind: 'tipOver', from: 'beaker', to: 'cup', ml: 999 });
  await afterMixing(hands, plan, trial, before, habits.readsAfterS);
  await weighed(hands, trial, 'm3', 'cup');
}

/** One trial of a base poured into an acid, measured out as exactly as it goes. */
export async function neutralise(
  hands: Hands,
  plan: Plan,
  trial: number,
  habits: Habits & { acidMl?: number; baseMl?: number } = {},
): Promise<void> {
  const { vessel = plan.vessels[0] as HeatVesselId, stirs = true, lid = true, acidMl = 50, baseMl = 60 } = habits;
  const { act, view } = hands;
  if (view().isMixed || view().vessels.cup.levelMl > 0 || view().vessels.cup.type !== vessel)
    await act({ kind: 'fresh', type: vessel });
  const decimals = plan.measure === 'pipette' ? 2 : 1;
  await act({ kind: 'pour', bottle: 1, to: 'cup', ml: acidMl });
  await act({ kind: 'record', trial, which: 'VA', text: acidMl.toFixed(decimals) });
  if (view().thermometers[0]?.at !== 'cup') await act({ kind: 'thermometer', n: 1, at: 'cup' });
  await act({ kind: 'stir', vessel: 'cup', how: stirs ? 'motor' : 'off' });
  if (lid) await act({ kind: 'lid', vessel: 'cup', on: true });
  await untilSteady(hands, 1);
  const before = await recordTemp(hands, plan, trial, 'T1', 1);
  await act({ kind: 'pour', bottle: 2, to: 'cup', ml: baseMl });
  await act({ kind: 'record', trial, which: 'VB', text: baseMl.toFixed(decimals) });
  await afterMixing(hands, plan, trial, before, habits.readsAfterS);
}

/** A series of points: base run into an acid in small portions, each read when it has come to rest. */
export async function runInBase(
  hands: Hands,
  _plan: Plan,
  habits: { acidMl?: number; portionMl?: number; portions?: number } = {},
): Promise<void> {
  const { acidMl = 50, portionMl = 2, portions = 26 } = habits;
  const { act, view } = hands;
  await act({ kind: 'pour', bottle: 1, to: 'cup', ml: acidMl });
  await act({ kind: 'thermometer', n: 1, at: 'cup' });
  await act({ kind: 'stir', vessel: 'cup', how: 'motor' });
  await act({ kind: 'lid', vessel: 'cup', on: true });
  await untilSteady(hands, 1);
  await act({ kind: 'recordPoint', trial: view().recordableTrial });
  for (let i = 0; i < portions; i++) {
    await act({ kind: 'pour', bottle: 2, to: 'cup', ml: portionMl });
    await act({ kind: 'recordPoint', trial: view().recordableTrial }, 15);
  }
}
