import { recordingsSeen } from '../recordings-seen';
import type { HydrateLook } from '../../databook/hydrates';
import { displayed } from '../../instruments/weighing';
import { flameOf, type Flame } from '../../physics/burner';
import type { BenchSlot, Reading } from '../../notebook/readings';
import { stageG } from '../../physics/drying';
import type { Pace } from '../bench-clock';
import type { Step } from '../contract';
import { RINGS, type Bench, type Lid, type Place } from './bench';
import { molIn, saltIn, sampleG } from './crucible';
import { QUIET_STEAM_G_PER_S } from './flow';
import { SLOT_IDS, SLOTS, type Slot } from './plan';
import { dueSlot, trialNow, weighedOn } from './weighing';

/** What eyes tell of one ring of the sample: which colours, in tenths of it, from the one it had first on. */
export type SeenRing = readonly { look: HydrateLook; tenths: number }[];

export interface SeenCrucible {
  at: Place;
  lid: Lid;
  isCracked: boolean;
  /** Soot on it: none, a little, much. */
  soot: 0 | 1 | 2;
  /** Whether it glows: before that a hot one looks like a cold one. */
  glows: boolean;
  /** How much lies in it, as an eye can guess, in quarters of a gram; it sinks as it dries. */
  fill: number;
  /** From the rim inwards; none where the lid hides them, or where all is lost. */
  rings: readonly SeenRing[];
  /** Vapour over it, or mist on its lid; and whether it spits. */
  steams: boolean;
  spits: boolean;
  /** What has spat beside it. */
  spat: boolean;
}

/** What moves from frame to frame. */
export interface Moving {
  family: 'hydrates';
  timeS: number;
  running: boolean;
  balance: string;
  flame: Flame;
  crucible: SeenCrucible;
}

export interface View extends Moving {
  paused: boolean;
  pace: Pace;
  burner: { gas: number; air: number; isUnder: boolean };
  /** Whether gas flows without a flame. */
  leaks: boolean;
  due: Slot | null;
  task: string | null;
  readings: Reading[];
  trial: number;
  leftOut: Readonly<Record<number, string>>;
  logged: readonly never[];
  recordableTrial: number;
  slots: BenchSlot[];
  steps: Step[];
}

/** It glows from so warm on, °C. */
const GLOWS_C = 560;
/** Vapour that is seen, g/s. */
const SEEN_G_PER_S = 0.0006;
const QUARTER_G = 0.25;

/** @param inertG what lies among it of the dry salt that it is mixed with: white */
function seenRing(bench: Bench, amounts: readonly number[], inertG: number): SeenRing {
  const { stages } = saltIn(bench);
  const grams = amounts.map((mol, stage) => stageG(saltIn(bench), stage, mol));
  const all = grams.reduce((a, b) => a + b, inertG);
  if (all <= 0) return [];
  const byLook = new Map<HydrateLook, number>();
  stages.forEach(({ look }, stage) => byLook.set(look, (byLook.get(look) ?? 0) + (grams[stage] ?? 0) / all));
  if (inertG > 0) byLook.set('white', (byLook.get('white') ?? 0) + inertG / all);
  return [...byLook]
    .map(([look, part]) => ({ look, tenths: Math.round(10 * part) }))
    .filter(({ tenths }) => tenths > 0);
}

function seenCrucible(bench: Bench): SeenCrucible {
  const { crucible, steamGPerS } = bench;
  const salt = saltIn(bench);
  const isSteaming = steamGPerS > SEEN_G_PER_S && molIn(crucible) > 0 && !crucible.isCracked;
  const spatG = crucible.spat.reduce((sum, mol, stage) => sum + stageG(salt, stage, mol), 0);
  return {
    at: crucible.at,
    lid: crucible.lid,
    isCracked: crucible.isCracked,
    soot: crucible.sootG > 0.004 ? 2 : crucible.sootG > 0.0005 ? 1 : 0,
    glows: crucible.tempC > GLOWS_C,
    fill: crucible.isCracked ? 0 : Math.ceil(sampleG(salt, crucible) / QUARTER_G - 1e-9),
    rings:
      crucible.lid === 'on' || crucible.isCracked
        ? []
        : crucible.rings.map(({ amounts }, i) => seenRing(bench, amounts, (RINGS[i] ?? 0) * crucible.inertG)),
    steams: isSteaming,
    spits: isSteaming && salt.meltsC !== null && steamGPerS > QUIET_STEAM_G_PER_S,
    spat: spatG > 0.01,
  };
}

/** Whether anything goes on: a flame, a display, what is warm, damp that comes. */
export function running(bench: Bench): boolean {
  return (
    bench.burner.isLit ||
    bench.burner.leaksSinceS !== null ||
    bench.timeS - bench.pan.changedAtS < 3 ||
    Math.abs(bench.crucible.tempC - bench.sample.roomC) > 0.2 ||
    (molIn(bench.crucible) > 0 && bench.crucible.at !== 'desiccator')
  );
}

export function movingOf(bench: Bench): Moving {
  const { burner } = bench;
  return {
    family: 'hydrates',
    timeS: Math.round(bench.timeS * 1000) / 1000,
    running: running(bench),
    balance: displayed(weighedOn(bench)),
    flame: flameOf(burner.gas, burner.air, burner.isLit),
    crucible: seenCrucible(bench),
  };
}

export function viewOf(bench: Bench, steps: Step[]): View {
  const { burner } = bench;
  const at = (value: number) => Math.round(10 * value) / 10;
  return {
    ...movingOf(bench),
    burner: { gas: at(burner.gas), air: at(burner.air), isUnder: burner.isUnder },
    leaks: burner.leaksSinceS !== null,
    due: dueSlot(bench),
    task: bench.sample.task,
    ...recordingsSeen(bench, {
      slots: SLOTS,
      here: SLOT_IDS,
      due: () => trialNow(bench),
      trial: trialNow(bench),
      steps,
    }),
    logged: [],
  };
}
