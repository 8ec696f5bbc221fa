import { colourChanged } from '../../chemistry/colour';
import type { Chance } from '../../random';
import type { HandsOf } from '../method';
import type { OwnAct } from './acts';
import type { Plan } from './plan';
import type { View } from './view';

/** What students do at the bench of titration, whatever the practical. They see only views. */

export type Hands = HandsOf<OwnAct, View>;

/** Ways of working; a careful student has the first of each. */
export interface Habits {
  indicator: string;
  trials: number;
  /** Standard deviation of reading the scale, mL. */
  readingErrorMl: number;
  /** How many drops past the first change they notice it. */
  lateDrops: number;
  /** Mass that they weigh out where something is weighed, g. */
  grams?: number;
  /** Whether they weigh the boat again after tipping. */
  weighsBack?: boolean;
  /** What of the mishaps at a burette they see and set right; all unless it is said otherwise. */
  sees?: readonly ('bubble' | 'funnel' | 'wall')[];
  /** Whether they warm the flask where it can be warmed. */
  warms?: boolean;
}

/** What goes into the flask of a trial. */
export type Filling = readonly ('solid' | 'bottle')[];

/** Reads the burette, with the error of the eye where there is one. */
export async function reads(
  { act, view }: Hands,
  which: 'first' | 'last',
  { readingErrorMl }: Habits,
  hand: Chance | null,
): Promise<void> {
  const seen = view().levelMl + (hand ? readingErrorMl * hand.normal() : 0);
  await act({ kind: 'record', trial: view().trial, which, text: Math.min(Math.max(seen, 0), 50).toFixed(2) });
}

/** A burette rinsed and full of titrant, its tip full and clean. */
export async function fills({ act, view }: Hands, { sees = ['bubble', 'funnel', 'wall'] }: Habits): Promise<void> {
  await act({ kind: 'emptyBurette' });
  await act({ kind: 'rinseBurette', with: 'titrant' });
  await act({ kind: 'fill', toMl: 0.3 });
  if (view().funnel && sees.includes('funnel')) await act({ kind: 'funnelOut' });
  if (view().bubble && sees.includes('bubble')) await act({ kind: 'runOut' });
  await act({ kind: 'wipeTip' });
}

export async function weighsOut({ act }: Hands, grams: number): Promise<void> {
  await act({ kind: 'wipeBoat' });
  await act({ kind: 'weigh', g: grams });
  await act({ kind: 'recordMass', which: 'boat' });
}

export async function tipsIn({ act }: Hands, { weighsBack }: Habits): Promise<void> {
  await act({ kind: 'tip' });
  if (weighsBack !== false) await act({ kind: 'recordMass', which: 'left' });
}

export async function bringsSample({ act }: Hands, plan: Plan): Promise<void> {
  if (plan.supplied) return void (await act({ kind: 'takeFlask' }));
  await act({ kind: plan.diluteToMl === null ? 'drawSample' : 'drawDiluted' });
  await act({ kind: 'drainPipette' });
}

/** Until nothing lies on the bottom any more. */
export async function dissolves({ act, view }: Hands, plan: Plan): Promise<void> {
  await act({ kind: 'water', ml: 30 });
  await act({ kind: 'keepSwirling', on: true });
  await act({ kind: 'wait' }, 30);
  for (let i = 0; i < 20 && view().solid && !plan.warm; i++) await act({ kind: 'wait' }, 10);
}

export async function warms({ act }: Hands, { warms: doesWarm }: Habits): Promise<void> {
  if (doesWarm !== false) return void (await act({ kind: 'warm' }));
  for (let i = 0; i < 30; i++) await act({ kind: 'wait' }, 10);
}

/** The flask as it was before titrant came, by the colour that was seen then. */
const startColours = new WeakMap<Hands, View['colour']>();

export async function addsIndicator(hands: Hands, id: string): Promise<void> {
  await hands.act({ kind: 'indicator', id, drops: 3 } as OwnAct);
  startColours.set(hands, hands.view().colour);
}

/** Runs titrant in until the colour changes: a millilitre at a time, or fast to where it is expected and then by drops. */
export async function titrates(hands: Hands, nearMl: number | null, habits: Habits): Promise<void> {
  const { act, view } = hands;
  const { sees = ['bubble', 'funnel', 'wall'] } = habits;
  const start = startColours.get(hands) ?? view().colour;
  const startLevel = view().levelMl;
  const changed = () => colourChanged(start, view().colour);
  await act({ kind: 'keepSwirling', on: true });
  if (nearMl === null) {
    for (let i = 0; i < 60 && !changed() && view().levelMl - startLevel < 48; i++) await act({ kind: 'letIn', ml: 1 });
    return;
  }
  await act({ kind: 'letIn', ml: Math.max(nearMl, 0.1) });
  await act({ kind: 'wait' }, 1.5);
  if (view().wall && sees.includes('wall')) await act({ kind: 'water', ml: 5 }, 1.5);
  for (let i = 0; i < 120 && !changed(); i++) await act({ kind: 'drop' });
  for (let i = 0; i < habits.lateDrops; i++) await act({ kind: 'drop' });
}

/** Calibrates the probe in two buffers, or the cell in its standard. */
export async function calibrates({ act }: Hands, plan: Plan): Promise<void> {
  const places = plan.probe === 'conductivity' ? (['standard'] as const) : (['buffer 7.00', 'buffer 4.01'] as const);
  for (const place of places) {
    await act({ kind: 'probe', place });
    await act({ kind: 'calibrate' }, 15);
  }
}

export async function dilutes({ act }: Hands): Promise<void> {
  await act({ kind: 'drawSample' });
  await act({ kind: 'drainToVolumetric' });
  await act({ kind: 'makeUp' });
}

/** Puts the probe into the flask and logs by volume. */
export async function logs({ act, view }: Hands, everyMl: number): Promise<void> {
  await act({ kind: 'water', ml: 20 });
  if (view().probe.place !== 'flask') await act({ kind: 'probe', place: 'flask' });
  await act({ kind: 'keepSwirling', on: true });
  // It follows what is around it, and needs its time; and each curve counts from its own beginning.
  await act({ kind: 'log', every: everyMl, by: 'mL' }, 15);
}

/** Runs titrant in, so much at a time. @param isOver whether it has come well beyond the last step */
export async function runsCurve(
  { act, view }: Hands,
  everyMl: number,
  toMl: number,
  isOver: (view: View) => boolean = () => false,
): Promise<void> {
  for (let ml = 0; ml < toMl && view().levelMl < 49 && !isOver(view()); ml += everyMl)
    await act({ kind: 'letIn', ml: everyMl }, 6);
  await act({ kind: 'wait' }, 6);
}
