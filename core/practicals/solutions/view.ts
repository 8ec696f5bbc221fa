import { fixed, nearest } from '../../analysis/quantity';
import type { Rgb } from '../../chemistry/colour';
import { liquidRgb } from '../../chemistry/ion-colour';
import { commonView } from '../common-acts';
import type { BenchView, Step } from '../contract';
import { ofSlot, seenReadings, slotsHere } from '../recordings';
import { isOwn, nameOf, warmerNow, type Bench, type Dipped, type Vessel, type VesselPlace } from './bench';
import { displayedAbsorbance } from './colorimeter-acts';
import { afloat, bubbles, running } from './flow';
import { seenSolid, type SeenSolid } from './look';
import { putIn } from './put-in';
import { isMass, SLOTS, slotsOf, type MassSlot } from './plan';
import { fizzNow } from './solids/fizz';
import { seenInBoat } from './solids/jar-acts';
import { ovenC } from './solids/oven';
import type { Paper } from './solids/paper';
import type { PaperKind } from './solids/paper-kinds';
import { boatTrial, paperTrial } from './solids/solid-trials';
import { balanceShows, dueMass, nameOnPan, onPan } from './solids/weighing';
import { shownBy } from './tool-acts';
import { trialFor } from './trials';
import { VESSELS_HERE } from './vessels';

/** What eyes and instruments tell of the bench. What is in the bottles is never in it. */

export interface SeenVessel {
  type: Vessel['type'];
  /** What is written on it, and what its label says of the concentration. */
  label: string;
  says: string;
  /** As far as it is filled, mL, as an eye tells. */
  ml: number;
  /** Light that has crossed the clear liquid. */
  colour: Rgb;
  solid: SeenSolid | null;
  /** What the student put in, in the order in which it came. */
  poured: readonly { from: string; amount: string }[];
  /** Which trial it is, or would be. */
  trial: number;
  isAway: boolean;
  at: VesselPlace;
  /** How warm it feels. */
  feels: 'cold' | 'warm' | 'hot';
}

/** What of a vessel moves: how many tenths of its solid are afloat, and whether gas comes. */
export interface MovingVessel {
  afloat: number;
  bubbles: boolean;
}

/** A paper, as it is seen. */
export interface SeenPaper {
  of: PaperKind;
  at: Paper['at'];
  /** Looks and feels so; what looks dry can hold water that weighs. */
  damp: 'wet' | 'moist' | 'dry';
  solid: SeenSolid | null;
  /** 0 as new, 1 yellowed, 2 brown, 3 charred. */
  brown: number;
  isWarm: boolean;
  trial: number;
}

interface SeenSlip {
  vessel: string;
  /** Bottles that the student mixed it of, by their numbers. */
  bottles: readonly number[];
  trial: number;
  ml: string;
  /** Amounts of A, B, C … left in the portion, mmol; null while it is with the analysis. */
  left: readonly string[] | null;
}

export interface Moving {
  family: 'solutions';
  timeS: number;
  running: boolean;
  /** Of vessels that something moves in, by their number. */
  moves: Readonly<Record<number, MovingVessel>>;
  shows: Readonly<Record<Dipped, string | null>>;
  /** The display of the colorimeter; null where there is none. */
  absorbance: string | null;
  /** The display of the balance; null where there is none. */
  grams: string | null;
  papers: readonly SeenPaper[];
  /** What the oven is at, °C; null where there is none. */
  ovenC: number | null;
}

export interface View extends BenchView, Moving {
  family: 'solutions';
  steps: Step[];
  vessels: readonly SeenVessel[];
  /** What an analysis has told, or will; whole in views alone, for they are many and change seldom. */
  slips: readonly SeenSlip[];
  into: Readonly<Record<Dipped, number | null>>;
  paper: { vessel: number; shade: string } | null;
  /** What the cuvette was filled from, and the wavelength that is set, nm; null where there is no colorimeter. */
  colorimeter: { vessel: number | null; trial: number | null; nm: number } | null;
  /** What is on the balance, and what it would be recorded as, if that is asked for; null while it is empty. */
  pan: { name: string; due: { which: MassSlot; trial: number } | null } | null;
  /** What the oven is set to, °C; null where there is none. */
  ovenSetC: number | null;
  /** The boat and what is in it, as an eye tells; null where there is no jar. */
  boat: { at: 'bench' | 'pan'; holds: string; trial: number } | null;
  /** What this student in particular is given, in words. */
  task: string | null;
}

/** To which step an eye tells how full a vessel is, mL. */
const STEP_ML = { bottle: 2, water: 10, well: 0.05, tube: 0.5, beaker: 1 } as const;

/** One wash of a colour, no finer than an eye tells it. */
const washed = (rgb: Rgb): Rgb => rgb.map((channel) => Math.min(nearest(channel, 3), 255)) as unknown as Rgb;

/** How warm a glass feels, by what it is over the room, K. */
const FEELS = { warm: 8, hot: 35 } as const;

function feelOf(bench: Bench, vessel: Vessel): SeenVessel['feels'] {
  const warmer = warmerNow(bench, vessel);
  return warmer > FEELS.hot ? 'hot' : warmer > FEELS.warm ? 'warm' : 'cold';
}

/** From so much water on a paper is seen to be wet, and to be moist, g. */
const LOOKS_G = { wet: 0.35, moist: 0.05 } as const;

function seenPaper(bench: Bench, paper: Paper, number: number): SeenPaper {
  const { of, at, waterG, scorched, held, warmerK } = paper;
  return {
    of,
    at,
    damp: waterG > LOOKS_G.wet ? 'wet' : waterG > LOOKS_G.moist ? 'moist' : 'dry',
    solid: held.volumeMl > 0 ? seenSolid(held) : null,
    brown: scorched > 0.3 ? 3 : scorched > 0.08 ? 2 : scorched > 0.015 ? 1 : 0,
    isWarm: warmerK > FEELS.warm,
    trial: paperTrial(bench, number),
  };
}

function seenVessel(bench: Bench, vessel: Vessel, number: number): SeenVessel {
  const { type, label, contents, isAway } = vessel;
  const isFull = contents.volumeMl > 0;
  const step = STEP_ML[type];
  return {
    type,
    label,
    says: bench.sample.bottles[number - 1]?.says ?? '',
    ml: isFull ? Number(Math.max(nearest(contents.volumeMl, step), step).toFixed(2)) : 0,
    colour: isFull ? washed(liquidRgb(contents, VESSELS_HERE[type].depthMm)) : [255, 255, 255],
    solid: isOwn(vessel) ? seenSolid(contents) : null,
    poured: putIn(bench, vessel),
    trial: trialFor(bench, number),
    isAway,
    at: vessel.at,
    feels: isOwn(vessel) && isFull ? feelOf(bench, vessel) : 'cold',
  };
}

/** So much gas on its way out is seen, g. */
const FIZZES_G = 0.003;

function movesIn(bench: Bench): Record<number, MovingVessel> {
  return Object.fromEntries(
    bench.vessels.flatMap((vessel, i) => {
      if (!isOwn(vessel) || vessel.isAway || vessel.contents.volumeMl <= 0) return [];
      const seen = {
        afloat: seenSolid(vessel.contents) ? Math.round(10 * afloat(bench, vessel)) : 0,
        bubbles: bubbles(bench, vessel) || fizzNow(bench, vessel) > FIZZES_G,
      };
      return seen.afloat > 0 || seen.bubbles ? [[i + 1, seen]] : [];
    }),
  );
}

export const movingOf = (bench: Bench): Moving => ({
  family: 'solutions',
  timeS: Math.round(bench.timeS * 1000) / 1000,
  running: running(bench),
  moves: movesIn(bench),
  shows: { thermometer: shownBy(bench, 'thermometer'), probe: shownBy(bench, 'probe'), cell: shownBy(bench, 'cell') },
  absorbance: bench.plan.colorimeter ? displayedAbsorbance(bench) : null,
  grams: balanceShows(bench),
  papers: bench.papers.map((paper, i) => seenPaper(bench, paper, i + 1)),
  ovenC: bench.plan.papers.length > 0 ? Math.round(ovenC(bench.oven, bench.timeS)) : null,
});

function seenPan(bench: Bench): View['pan'] {
  const on = onPan(bench);
  return on && { name: nameOnPan(bench, on), due: dueMass(bench) };
}

export function viewOf(bench: Bench, steps: Step[]): View {
  const { plan } = bench;
  const { thermometer, probe, cell } = bench.tools;
  const next = trialFor(bench, 0);
  const dueOf = (into: number | null) => (into === null ? next : trialFor(bench, into));
  return {
    ...movingOf(bench),
    ...commonView(bench),
    vessels: bench.vessels.map((vessel, i) => seenVessel(bench, vessel, i + 1)),
    slips: bench.slips.map(({ vessel, trial, ml, readyAtS, bottles, foundMmol }) => ({
      vessel: nameOf(bench, vessel),
      bottles,
      trial,
      ml: fixed(ml, 2),
      left: readyAtS > bench.timeS ? null : foundMmol.map((mmol) => fixed(mmol, 4)),
    })),
    into: { thermometer: thermometer.into, probe: probe.into, cell: cell.into },
    paper: bench.paper,
    colorimeter: plan.colorimeter
      ? { vessel: bench.colorimeter.vessel, trial: bench.colorimeter.trial, nm: bench.colorimeter.nm }
      : null,
    pan: seenPan(bench),
    ovenSetC: plan.papers.length > 0 ? bench.oven.setC : null,
    boat: plan.jar ? { at: bench.boat.at, holds: seenInBoat(bench), trial: boatTrial(bench) } : null,
    task: bench.sample.task,
    readings: seenReadings(bench.readings, (r) => ({
      ...ofSlot(SLOTS)(r),
      ...(r.which === 'T0' ? { carries: true as const } : {}),
    })),
    logged: [],
    seen: bench.seen,
    recordableTrial: next,
    slots: slotsHere(SLOTS, slotsOf(bench.plan), (slot) =>
      slot === 'T' || slot === 'T0'
        ? dueOf(thermometer.into)
        : slot === 'pH'
          ? dueOf(probe.into)
          : slot === 'K'
            ? dueOf(cell.into)
            : slot === 'A'
              ? (bench.colorimeter.trial ?? next)
              : isMass(slot)
                ? (dueMass(bench)?.trial ?? next)
                : next,
    ),
    steps,
  };
}
