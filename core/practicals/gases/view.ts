import { recordingsSeen } from '../recordings-seen';
import { vapourOf } from '../../databook/vapours';
import type { BenchSlot, Reading } from '../../notebook/readings';
import type { Pace } from '../bench-clock';
import type { Step } from '../contract';
import { bathBoilsC, isBoiling } from './bath';
import type { Bench } from './bench';
import { fixed } from '../../analysis/quantity';
import { indicatedC } from '../../instruments/thermometer';
import { fizzes, heightMm } from './collected';
import { DIVISION_ML, TUBE_DIVISION_ML } from './pieces';
import { running } from './flow';
import { balanceText } from './injector';
import { barometerText, bathText, gaugeText, roomText, scaleMl } from './measured';
import { CARRIED, hasBath, SLOTS_OF, slotsOf, type Joint, type Place, type Slot } from './plan';
import { dueTrial, trialNow } from './reading-acts';

export interface SeenBath {
  /** What its thermometer shows. */
  shown: string;
  /** Setting of the hot plate. */
  heat: number;
  /** Ice that floats in it, in tens of grams. */
  ice: number;
  boils: boolean;
}

export interface SeenInjector {
  at: 'mat' | 'pan';
  isStoppered: boolean;
  /** Whether some was injected since the syringe was emptied. */
  hasShot: boolean;
  /** Liquid in it, as an eye tells on its small scale, mL. */
  ml: number;
}

export interface SeenTube {
  /** Its closed end over the water outside, mm. */
  topMm: number;
  /** How much higher the water stands inside, as a ruler tells, mm. */
  heightMm: number;
  fizzes: boolean;
  /** Where the strip of metal is; null where none is cut. */
  strip: 'mat' | 'pan' | 'tube' | null;
  /** What the thermometer in the water shows. */
  water: string;
}

/** What moves from frame to frame. */
export interface Moving {
  family: 'gases';
  timeS: number;
  running: boolean;
  /** What the gauge shows; null where there is none. */
  gauge: string | null;
  bath: SeenBath | null;
  tube: SeenTube | null;
  /** What the balance shows; null where there is none. */
  balance: string | null;
  /** Where each syringe's plunger stands on its own scale, mL, as finely as an eye can tell. */
  plungers: readonly number[];
}

export interface View extends Moving {
  paused: boolean;
  pace: Pace;
  joint: Joint;
  at: Place;
  barometer: string;
  injector: SeenInjector | null;
  room: string;
  readings: Reading[];
  trial: number;
  leftOut: Readonly<Record<number, string>>;
  logged: readonly never[];
  recordableTrial: number;
  slots: BenchSlot[];
  steps: Step[];
}

function seenInjector({ injector, sample }: Bench): SeenInjector | null {
  if (!injector || sample.vapourId === null) return null;
  const ml = injector.liquidG / vapourOf(sample.vapourId).gPerMl;
  return {
    at: injector.at,
    isStoppered: injector.isStoppered,
    hasShot: injector.hasShot,
    ml: Math.round(20 * ml) / 20,
  };
}

function seenTube(bench: Bench): SeenTube | null {
  const { collected, sample } = bench;
  if (!collected) return null;
  return {
    topMm: Math.round(collected.tube.topMm),
    heightMm: Math.round(2 * heightMm(bench)) / 2,
    fizzes: fizzes(collected),
    strip: collected.strip?.at ?? null,
    water: fixed(indicatedC(bench.thermometer, sample.waterC), 1),
  };
}

/** An eye tells a twentieth of a division. */
const seen = (ml: number, division: number) => (Math.round((20 * ml) / division) * division) / 20;

export function movingOf(bench: Bench): Moving {
  const { plan, bath, sample } = bench;
  const count = plan.gear === 'syringe' || plan.gear === 'collected' ? 1 : bench.free.length;
  return {
    family: 'gases',
    timeS: Math.round(bench.timeS * 1000) / 1000,
    running: running(bench),
    gauge: plan.gear === 'syringe' || plan.gear === 'bulb' ? gaugeText(bench) : null,
    tube: seenTube(bench),
    balance: balanceText(bench),
    bath: !hasBath(plan)
      ? null
      : {
          shown: bathText(bench),
          heat: Math.round(10 * bath.heat) / 10,
          ice: Math.ceil(bath.iceG / 10 - 1e-9),
          boils: isBoiling(bath, bathBoilsC(sample.roomKPa)),
        },
    plungers: Array.from({ length: count }, (_, i) =>
      seen(scaleMl(bench, i), plan.gear === 'collected' ? TUBE_DIVISION_ML : DIVISION_ML),
    ),
  };
}

export function viewOf(bench: Bench, steps: Step[]): View {
  const slots = slotsOf(bench.plan);
  return {
    ...movingOf(bench),
    joint: bench.joint,
    at: bench.at,
    barometer: barometerText(bench),
    injector: seenInjector(bench),
    room: roomText(bench),
    ...recordingsSeen<Slot>(bench, {
      slots,
      here: SLOTS_OF[bench.plan.gear],
      due: (slot) => dueTrial(bench, slot),
      trial: trialNow(bench),
      steps,
      carries: CARRIED,
    }),
    logged: [],
  };
}
