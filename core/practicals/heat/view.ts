import { nearest } from '../../analysis/quantity';
import { recordingsSeen } from '../recordings-seen';
import type { HeatVesselId } from '../../databook/heat-vessels';
import { materialOf } from '../../databook/materials';
import { displayed } from '../../instruments/weighing';
import { indicatedC, scaleOf, THERMOMETERS } from '../../instruments/thermometer';
import type { BenchSlot, Reading } from '../../notebook/readings';
import type { Pace } from '../bench-clock';
import type { Step } from '../contract';
import { weighedOn } from './reading/balance-acts';
import type { Bench, LoggedLine } from './bench';
import type { OnPan, PiecePlace, Stir, ThermometerPlace, Vessel, VesselKey } from './bodies';
import { displayText } from './going-on/display';
import { running } from './going-on/running';
import { volumeOfPiece } from './matter';
import { isByEye, slotsOf, type MassSlot, type MetalLook, type Slot, type TempSlot } from './plan';
import { seenLamps, seenSealed, type SeenLamps, type SeenSealed } from './burning/seen-fire';
import { seenTube, type SeenTube } from './freezing/seen-tube';
import { dueTemp, seriesNow, trialNow } from './reading/trials';
import { filledG } from './freezing/tube';

/** A thermometer as it looks: what it shows, or how high its column stands. */
export interface SeenThermometer {
  at: ThermometerPlace;
  /** What the display says; null of one of glass. */
  text: string | null;
  /** Top of the column, °C, as fine as an eye can tell; null of a digital one. */
  columnC: number | null;
}

export interface SeenVessel {
  type: HeatVesselId;
  at: Vessel['at'];
  lid: boolean;
  stir: Stir;
  /** mL in it, as an eye can guess. */
  levelMl: number;
  steams: boolean;
  /** Salt that lies in it, in tenths of a spoon; 0 when none is seen. */
  lying: number;
}

export interface SeenPiece {
  at: PiecePlace;
  wet: boolean;
  /** mm across and high. */
  size: [number, number];
}

/** What moves from frame to frame. */
export interface Moving {
  family: 'heat';
  timeS: number;
  running: boolean;
  balance: string;
  thermometers: SeenThermometer[];
  vessels: Record<VesselKey, SeenVessel>;
  pieces: SeenPiece[];
  /** What they are set to, °C; null as long as they are off. */
  bath: { setC: number | null; boils: boolean; warms: boolean };
  block: { setC: number | null; warms: boolean };
  cold: { setC: number | null };
  tube: SeenTube | null;
  sealed: SeenSealed | null;
  fire: SeenLamps | null;
}

/** All that eyes and instruments tell of the bench. */
export interface View extends Moving {
  paused: boolean;
  pace: Pace;
  pan: { on: OnPan | null; piece: number };
  boat: { holds: number; clings: boolean };
  /** What the dispensers show that they have given, mL; null where liquids are measured out otherwise. */
  given: string[] | null;
  looking: number;
  log: number | null;
  cups: number;
  isMixed: boolean;
  /** What the metal looks like; null where there is none. */
  look: MetalLook | null;
  /** Which lines of the log belong to what stands there now. */
  series: string;
  /** What would be recorded on the balance and on the thermometer that is looked at; null where nothing fits. */
  dueMass: MassSlot | null;
  dueTemp: TempSlot;
  task: string | null;
  readings: Reading[];
  trial: number;
  leftOut: Readonly<Record<number, string>>;
  logged: readonly LoggedLine[];
  recordableTrial: number;
  slots: BenchSlot[];
  steps: Step[];
}

/** Warmer than the room by so much, an open liquid steams, K. */
const STEAMS_K = 25;

function vesselSeen(bench: Bench, key: VesselKey): SeenVessel {
  const { type, at, lid, stir, liquid, liquidC, lyingMol } = bench.vessels[key];
  const steams = !lid && liquid.volumeMl > 1 && liquidC > bench.sample.roomC + STEAMS_K;
  return {
    type,
    at,
    lid,
    stir,
    levelMl: nearest(liquid.volumeMl, 2),
    steams,
    lying: Math.ceil(nearest(200 * lyingMol, 1)),
  };
}

function thermometerSeen(bench: Bench, n: number): SeenThermometer {
  const one = bench.thermometers[n] as Bench['thermometers'][number];
  const isGlass = isByEye(bench.plan);
  const { minC, maxC } = THERMOMETERS[one.piece.kind];
  const column = isGlass ? Math.max(minC, Math.min(maxC, indicatedC(one.piece, one.tipC))) : null;
  return {
    at: one.at,
    text: isGlass ? null : displayText(bench, one, n, bench.timeS),
    columnC: column === null ? null : nearest(column, scaleOf(one.piece.kind).division / 20),
  };
}

function pieceSeen(bench: Bench, index: number): SeenPiece {
  const { at, filmG } = bench.pieces[index] as Bench['pieces'][number];
  const across = Math.cbrt((2000 * volumeOfPiece(bench, index)) / Math.PI);
  return { at, wet: filmG > 0.01, size: [nearest(across, 1), nearest(2 * across, 1)] };
}

export function movingOf(bench: Bench): Moving {
  const { bath, block, sample } = bench;
  const isSet = (tempC: number) => (tempC === sample.roomC ? null : nearest(tempC, 0.1));
  return {
    family: 'heat',
    timeS: Math.round(bench.timeS * 1000) / 1000,
    running: running(bench),
    balance: displayed(weighedOn(bench)),
    thermometers: bench.thermometers.map((_, n) => thermometerSeen(bench, n)),
    vessels: { cup: vesselSeen(bench, 'cup'), beaker: vesselSeen(bench, 'beaker') },
    pieces: bench.pieces.map((_, i) => pieceSeen(bench, i)),
    bath: {
      setC: isSet(bath.setC),
      boils: bath.tempC > sample.boilsC - 0.3,
      warms: bath.tempC < Math.min(bath.setC, sample.boilsC) - 0.2,
    },
    block: { setC: isSet(block.setC), warms: block.tempC < block.setC - 0.2 },
    cold: { setC: isSet(bench.cold.setC) },
    tube: seenTube(bench),
    sealed: seenSealed(bench),
    fire: seenLamps(bench),
  };
}

/** What a mass would be recorded as, by what stands on the balance. */
function dueMass(bench: Bench): MassSlot | null {
  const { plan, pan, vessels } = bench;
  const has = (slot: Slot) => plan.slots.includes(slot);
  if (pan.on === 'piece') return has('m') ? 'm' : null;
  if (pan.on === 'pellet') return bench.pellet?.of === 'standard' ? 'ms' : 'm';
  if (pan.on === 'lamp') {
    const [before, after] = pan.piece === 1 ? (['k1', 'k2'] as const) : (['b1', 'b2'] as const);
    const { usedIn } = bench.lamps[pan.piece - 1] ?? { usedIn: null };
    const isKnown = bench.readings.some((r) => r.which === after && r.struck === null && r.cup === usedIn);
    return usedIn === null || isKnown ? before : after;
  }
  if (pan.on === 'tube') return bench.tube && filledG(bench.tube) > 0 ? 'm2' : 'm1';
  if (pan.on === 'boat') return bench.boat.saltG > 0 ? 'm' : 'mb';
  if (pan.on !== 'cup') return null;
  if (vessels.cup.liquid.volumeMl === 0 && has('m1')) return 'm1';
  if (bench.mixedS !== null && has('m3')) return 'm3';
  return has('m2') ? 'm2' : null;
}

export function viewOf(bench: Bench, steps: Step[]): View {
  const { plan, sample, boat } = bench;
  const slots = slotsOf(plan);
  return {
    ...movingOf(bench),
    pan: { on: bench.pan.on, piece: bench.pan.piece },
    boat: { holds: nearest(boat.saltG, 0.5), clings: boat.clingsG > 0 },
    given: plan.measure === 'dispenser' ? bench.nominalMl.map((ml) => ml.toFixed(2)) : null,
    looking: bench.looking,
    log: bench.log?.everyS ?? null,
    cups: bench.cups,
    isMixed: bench.mixedS !== null,
    series: seriesNow(bench),
    look: sample.metal ? (materialOf(sample.metal.id).look as MetalLook) : null,
    dueMass: dueMass(bench),
    dueTemp: dueTemp(bench),
    task: sample.task,
    ...recordingsSeen(bench, {
      slots,
      here: plan.slots,
      due: (slot) => trialNow(bench, slot),
      trial: trialNow(bench),
      steps,
      carries: plan.carries,
    }),
    logged: bench.logged,
  };
}
