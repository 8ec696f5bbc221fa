import { nearest } from '../../analysis/quantity';
import { materialOf } from '../../databook/materials';
import { vesselOf } from '../../databook/vessels';
import { floats, immersedPart } from '../../physics/immersion';
import { densityOf } from '../../physics/liquid';
import type { BenchSlot, Reading } from '../../notebook/readings';
import type { Pace } from '../bench-clock';
import type { Step } from '../contract';
import { displayed } from '../../instruments/weighing';
import { bodyOf, isSinker, weighedOn, levelOf, piecesAt, type Bench, type Held, type Vessel } from './bench';
import { pourable, running } from './flow';
import { SLOTS, slotName, EDGE_SLOTS, type Appearance, type LotLook, type Slot } from './plan';
import { dueTrial, engravedMl, THERMOMETER } from './reading-acts';
import { commonView } from '../common-acts';
import { seenReadings } from '../recordings';
import { lotOfRow } from './rows';

/** What moves from frame to frame. */
export interface Moving {
  family: 'measuring';
  timeS: number;
  running: boolean;
  /** What the display of the balance shows; null where there is none. */
  balance: string | null;
  /** Where each vessel's surface stands on its scale, mL, as fine as an eye can tell; by number from 1. */
  levels: number[];
  spiltMl: number;
  /** The vessel that it ran or splashed out of last; 0 for none. */
  spiltAt: number;
}

/** Pieces of one lot in a vessel. */
interface Lying {
  /** Index of the lot; that after the last is the sinker. */
  lot: number;
  count: number;
  floats: boolean;
  tied: boolean;
  /** Part of a floating piece that is under water, in hundredths. */
  under: number;
}

export interface SeenVessel {
  number: number;
  type: string;
  away: boolean;
  name: string;
  /** Nothing in it that could be poured. */
  empty: boolean;
  /** Drops cling to it, inside or outside. */
  wet: boolean;
  bubbles: boolean;
  stoppered: boolean;
  /** Engraved volume; null where there is none. */
  engraved: string | null;
  tilt: { to: number; degrees: number } | null;
  tap: Vessel['tap'];
  lying: Lying[];
}

export interface SeenLot extends LotLook {
  /** How many are on the dish, and on the pan. */
  onDish: number;
  onPan: number;
  wet: boolean;
  /** Size to draw it at, mm: across and high. */
  size: [number, number];
}

/** All that eyes and instruments tell of the bench. */
export interface View extends Moving {
  paused: boolean;
  pace: Pace;
  vessels: SeenVessel[];
  lots: SeenLot[];
  pan: { vessel: number | null; wet: boolean };
  held: Held | null;
  look: Bench['look'];
  /** What the liquid looks like. */
  appearance: Appearance;
  eyeMm: number;
  /** Top of the column of the thermometer, °C. */
  thermometerC: number | null;
  /** What this student is to do with their own amounts. */
  task: string | null;
  sinkerAt: number | null;
  readings: Reading[];
  trial: number;
  leftOut: Readonly<Record<number, string>>;
  logged: [];
  recordableTrial: number;
  slots: BenchSlot[];
  steps: Step[];
}

/** A level as fine as an eye can tell: a twentieth of a division. */
function seenLevel(bench: Bench, number: number): number {
  const vessel = bench.vessels[number - 1] as Vessel;
  if (vessel.away) return 0;
  const division = vesselOf(vessel.type).divisionMl;
  return nearest(levelOf(bench, number), division === null ? 0.5 : division / 20);
}

export function movingOf(bench: Bench): Moving {
  return {
    family: 'measuring',
    timeS: Math.round(bench.timeS * 1000) / 1000,
    running: running(bench),
    balance: bench.balance ? displayed(weighedOn(bench)) : null,
    levels: bench.vessels.map((_, i) => seenLevel(bench, i + 1)),
    spiltMl: nearest(bench.spiltMl, 0.1),
    spiltAt: bench.spiltAt,
  };
}

function lyingIn(bench: Bench, number: number): Lying[] {
  const { liquid } = bench.vessels[number - 1] as Vessel;
  const density = densityOf(liquid, bench.sample.tempC);
  const lying: Lying[] = [];
  for (const { lot, index, piece } of piecesAt(bench, number)) {
    const body = bodyOf(bench, lot, index, piece.tied);
    const isFloating = floats(body, density);
    const same = lying.find((one) => one.lot === lot && one.tied === piece.tied);
    if (same) same.count++;
    else {
      const under = isFloating ? nearest(immersedPart(body.massG / body.volumeMl, density), 0.01) : 1;
      lying.push({ lot, count: 1, floats: isFloating, tied: piece.tied, under });
    }
  }
  return lying;
}

function vesselSeen(bench: Bench, vessel: Vessel, i: number): SeenVessel {
  const liquidMl = vessel.liquid.volumeMl;
  return {
    number: i + 1,
    type: vessel.type,
    away: vessel.away,
    name: vessel.name,
    empty: liquidMl <= vesselOf(vessel.type).filmMl + 1e-9 || (pourable(bench, vessel) <= 0 && !vessel.stoppered),
    wet: liquidMl > 0 || vessel.outside.volumeMl > 0,
    bubbles: vessel.airMl > 0.01,
    stoppered: vessel.stoppered,
    engraved: vessel.type === 'density-bottle' ? engravedMl(vessel).toFixed(3) : null,
    tilt: vessel.tilt,
    tap: vessel.tap,
    lying: vessel.away ? [] : lyingIn(bench, i + 1),
  };
}

const half = (mm: number) => nearest(mm, 0.5);

function lotSeen(bench: Bench, lot: number): SeenLot {
  const { materialId, shape, volumesMl } = bench.sample.lots[lot] as Bench['sample']['lots'][number];
  const pieces = bench.pieces[lot] ?? [];
  const meanMl = volumesMl.reduce((a, b) => a + b, 0) / volumesMl.length;
  const across = Math.cbrt((6000 * meanMl) / Math.PI);
  const size: [number, number] =
    shape.kind === 'block'
      ? [half(shape.length), half(shape.height)]
      : shape.kind === 'cylinder'
        ? [half(shape.diameter), half(shape.height)]
        : [half(across), half(across)];
  return {
    letter: bench.plan.lots[lot] ?? '',
    look: materialOf(materialId).look,
    shape: shape.kind,
    pieces: volumesMl.length,
    onDish: pieces.filter((piece) => piece.at === 'dish').length,
    onPan: pieces.filter((piece) => piece.at === 'pan').length,
    wet: pieces.some((piece) => piece.film.volumeMl > 0),
    size,
  };
}

const EDGE_SLOT_KEYS: readonly Slot[] = Object.values(EDGE_SLOTS);

/** Readings that can be taken here, and on what. */
function slotsOf(bench: Bench): BenchSlot[] {
  const { plan, held, look, vessels } = bench;
  const tool = held?.tool ?? plan.tools.join(' or ');
  const vessel = look.at === 'vessel' ? vessels[look.n - 1] : undefined;
  const scale = vessel && !vessel.away ? vesselOf(vessel.type).name : 'scale';
  return plan.slots.map((slot) => ({
    slot,
    label: slotName(plan, slot),
    instrument: SLOTS[slot].instrument || (EDGE_SLOT_KEYS.includes(slot) ? tool : scale),
    unit: SLOTS[slot].unit,
    typed: SLOTS[slot].typed,
    due: dueTrial(bench, slot),
  }));
}

/** What only this student is told. */
function taskOf({ sample, plan }: Bench): string | null {
  if (sample.targetMl === null) return null;
  const decimals = Math.abs(sample.targetMl * 10 - Math.round(sample.targetMl * 10)) < 1e-9 ? 1 : 2;
  return `Your mark: ${sample.targetMl.toFixed(decimals)} mL of ${plan.bottles[0]}`;
}

/** Which of several unknowns a row is about. */
function partOf(bench: Bench, trial: number): { part?: string } {
  const letters = bench.plan.lots.length > 0 ? bench.plan.lots : bench.plan.bottles;
  const lot = letters.length > 1 ? lotOfRow(bench, trial) : null;
  return lot === null ? {} : { part: letters[lot] };
}

export function viewOf(bench: Bench, steps: Step[]): View {
  const sinker = bench.pieces[bench.sample.lots.length]?.[0];
  return {
    ...movingOf(bench),
    ...commonView(bench),
    vessels: bench.vessels.map((vessel, i) => vesselSeen(bench, vessel, i)),
    lots: bench.sample.lots.map((_, lot) => lotSeen(bench, lot)),
    pan: { vessel: bench.pan.vessel, wet: bench.pan.wet.volumeMl > 0.001 },
    held: bench.held && {
      ...bench.held,
      fromMm: nearest(bench.held.fromMm, 0.05),
      toMm: nearest(bench.held.toMm, 0.01),
    },
    look: bench.look,
    appearance: bench.plan.appearance,
    eyeMm: bench.eyeMm,
    thermometerC: bench.plan.thermometer
      ? nearest(bench.sample.tempC + bench.thermometerErrorC, THERMOMETER.division / 20)
      : null,
    task: taskOf(bench),
    sinkerAt: sinker && typeof sinker.at === 'number' ? sinker.at : null,
    readings: seenReadings(bench.readings, (r) => ({
      instrument:
        r.lot === null || isSinker(bench, r.lot)
          ? r.instrument
          : `${r.instrument}, ${bench.plan.lots[r.lot] ?? bench.plan.bottles[r.lot]}`,
      unit: SLOTS[r.which].unit,
      ...partOf(bench, r.trial),
      ...(bench.plan.carries.includes(r.which) ? { carries: true as const } : {}),
    })),
    logged: [],
    recordableTrial: bench.trial + 1,
    slots: slotsOf(bench),
    steps,
  };
}
