import { VOLUME_SLOTS, type MassSlot, type Plan } from './plan';
import type { Hands } from './practised-student';
import type { PaperPlace } from './solids/paper';
import type { PaperKind } from './solids/paper-kinds';
import type { View } from './view';

/** How a student works who knows how to weigh what falls, and what leaves: for demo classes, rehearsals and tests. Sees only views. */

/** Ways of doing it otherwise; a careful student has none of them. */
export interface SolidHabits {
  of?: PaperKind;
  ovenC?: number;
  /** Whether the paper is dried before it is weighed, how long the solid is kept hot, and how long it is dried, s. */
  driesPaper?: boolean;
  digestsS?: number;
  driesS?: number;
  /** Whether it is let cool, and where. */
  cools?: PaperPlace | 'not';
  rinses?: number;
  washes?: number;
  washMl?: number;
  by?: 'pipette' | 'cylinder' | 'eye';
  /** Bottles that it is mixed of, by their numbers. */
  from?: readonly [number, number];
  /** How often it is dried. */
  rounds?: number;
}

/** The volumes that a student was asked to mix, by their own task. */
export function taskVolumes({ task }: Pick<View, 'task'>): [number, number] {
  const [, a, b] = /(\d+) mL of A with (\d+) mL of B/u.exec(task ?? '') ?? [];
  return [Number(a ?? 20), Number(b ?? 30)];
}

const RESTS_S = 4;
const HALF_HOUR_S = 1800;

/** A clean beaker from the tray. @returns its number */
async function takenBeaker({ act, view }: Hands): Promise<number> {
  const before = view().vessels;
  await act({ kind: 'take', type: 'beaker' }, 2);
  return (
    1 + view().vessels.findIndex((one, i) => one.type === 'beaker' && !one.isAway && (!before[i] || before[i]?.isAway))
  );
}

/** Puts what is due on the balance into the notebook. */
export async function recordPan({ act, view }: Hands, as?: MassSlot): Promise<void> {
  await act({ kind: 'wait' }, RESTS_S);
  const due = view().pan?.due;
  if (!due) throw new Error('nothing is on the balance');
  await act({ kind: 'recordMass', trial: due.trial, which: as ?? due.which }, 1);
}

/** So many millilitres in portions that the tool takes. */
async function measured(
  { act }: Hands,
  from: number,
  to: number,
  ml: number,
  by: 'pipette' | 'cylinder' | 'eye' = 'pipette',
) {
  const most = { pipette: 10, cylinder: 25, eye: 60 }[by];
  for (let left = ml; left > 1e-9; left -= most)
    await act({ kind: 'measure', from, to, ml: Math.min(left, most), by }, 3);
}

async function cooled({ act }: Hands, paper: number, plan: Plan, cools: SolidHabits['cools']): Promise<void> {
  const at = cools ?? (plan.desiccator ? 'desiccator' : 'mat');
  if (at === 'not') return;
  await act({ kind: 'placePaper', paper, at }, 2);
  await act({ kind: 'wait' }, at === 'desiccator' ? HALF_HOUR_S : 500);
}

async function weighedPaper(hands: Hands, paper: number): Promise<void> {
  await hands.act({ kind: 'placePaper', paper, at: 'pan' }, 3);
  await recordPan(hands);
  await hands.act({ kind: 'placePaper', paper, at: 'mat' }, 1);
}

/** Mixes the volumes, lets the solid ripen, filters, washes, dries and weighs it. */
export async function weighSolid(
  hands: Hands,
  plan: Plan,
  volumes: readonly [number, number],
  habits: SolidHabits = {},
): Promise<void> {
  const {
    of = plan.papers[0] ?? 'cellulose',
    ovenC = 105,
    driesPaper = true,
    digestsS = HALF_HOUR_S,
    driesS = 2 * HALF_HOUR_S,
  } = habits;
  const { rinses = 2, washes = 3, washMl = 10, by = 'pipette', rounds = 2, from = [1, 2] } = habits;
  const { act, view } = hands;
  await act({ kind: 'setOven', tempC: ovenC }, 2);
  await act({ kind: 'takePaper', of }, 2);
  const paper = view().papers.length;
  if (driesPaper) {
    await act({ kind: 'placePaper', paper, at: 'oven' }, 400);
    await act({ kind: 'wait' }, HALF_HOUR_S);
    await cooled(hands, paper, plan, habits.cools);
  }
  await weighedPaper(hands, paper);
  const beaker = await takenBeaker(hands);
  await measured(hands, from[0], beaker, volumes[0], by);
  await measured(hands, from[1], beaker, volumes[1], by);
  await act({ kind: 'stir', vessel: beaker }, 2);
  const trial = view().vessels[beaker - 1]?.trial ?? 1;
  for (const bottle of from)
    await act({ kind: 'recordVolume', trial, vessel: beaker, which: VOLUME_SLOTS[bottle - 1] ?? 'vA' }, 1);
  if (digestsS > 0 && plan.hotPlate) {
    await act({ kind: 'placeVessel', vessel: beaker, at: 'plate' }, 2);
    await act({ kind: 'wait' }, digestsS);
    await act({ kind: 'placeVessel', vessel: beaker, at: 'bench' }, 2);
  }
  const under = await takenBeaker(hands);
  await act({ kind: 'placeVessel', vessel: under, at: 'funnel' }, 2);
  await act({ kind: 'placePaper', paper, at: 'funnel' }, 2);
  await act({ kind: 'filter', from: beaker }, 5);
  for (let i = 0; i < rinses; i++) await act({ kind: 'rinse', from: beaker, ml: 8 }, 3);
  // The beaker under the funnel is emptied where it would run over.
  for (let i = 0; i < washes; i++) {
    if ((view().vessels[under - 1]?.ml ?? 0) + washMl > 100) await act({ kind: 'empty', vessel: under }, 5);
    await act({ kind: 'wash', ml: washMl }, 3);
  }
  for (let i = 0; i < rounds; i++) {
    await act({ kind: 'placePaper', paper, at: 'oven' }, 3);
    await act({ kind: 'wait' }, i === 0 ? driesS : HALF_HOUR_S);
    await cooled(hands, paper, plan, habits.cools);
    await weighedPaper(hands, paper);
  }
}

export interface GasHabits {
  acidMl?: number;
  /** Seconds that are waited until the beaker is weighed again, and whether it is stirred. */
  waitsS?: number;
  stirs?: boolean;
  by?: 'pipette' | 'cylinder' | 'eye';
}

/** Growing amounts of the carbonate in the same amount of acid, each weighed before and after. @param grams of the carbonate */
export async function growCarbonate(hands: Hands, grams: readonly number[], habits: GasHabits = {}): Promise<void> {
  const { acidMl = 20, waitsS = 150, stirs = true, by = 'pipette' } = habits;
  const { act, view } = hands;
  for (const g of grams) {
    const beaker = await takenBeaker(hands);
    await measured(hands, 1, beaker, acidMl, by);
    const trial = view().vessels[beaker - 1]?.trial ?? 1;
    await act({ kind: 'recordVolume', trial, vessel: beaker, which: 'vA' }, 1);
    await act({ kind: 'placeVessel', vessel: beaker, at: 'pan' }, 2);
    await recordPan(hands);
    await act({ kind: 'placeVessel', vessel: beaker, at: 'bench' }, 2);
    await act({ kind: 'scoop', g }, 3);
    await act({ kind: 'placeBoat', at: 'pan' }, 2);
    await recordPan(hands);
    await act({ kind: 'placeBoat', at: 'bench' }, 2);
    await act({ kind: 'tip', to: beaker }, 3);
    await act({ kind: 'placeBoat', at: 'pan' }, 2);
    await recordPan(hands);
    await act({ kind: 'placeBoat', at: 'bench' }, 2);
    if (stirs) {
      await act({ kind: 'wait' }, waitsS / 2);
      await act({ kind: 'stir', vessel: beaker }, 1);
    }
    await act({ kind: 'placeVessel', vessel: beaker, at: 'pan' }, 2);
    await act({ kind: 'wait' }, stirs ? waitsS / 2 : waitsS);
    await recordPan(hands);
    await act({ kind: 'away', vessel: beaker }, 2);
  }
}
