import { counted, fixed } from '../../analysis/quantity';
import type { Rgb } from '../../chemistry/colour';
import { liquidRgb } from '../../chemistry/ion-colour';
import { commonView } from '../common-acts';
import type { BenchView, Step } from '../contract';
import { ofSlot, seenReadings, slotsHere } from '../recordings';
import { isOwn, nameOf, type Bench, type Dipped, type Poured, type Vessel } from './bench';
import { displayedAbsorbance } from './colorimeter-acts';
import { afloat, bubbles, running } from './flow';
import { seenSolid, type SeenSolid } from './look';
import { SLOTS, slotsOf } from './plan';
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
}

/** What of a vessel moves: how many tenths of its solid are afloat, and whether gas comes. */
export interface MovingVessel {
  afloat: number;
  bubbles: boolean;
}

export interface SeenSlip {
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
  /** What this student in particular is given, in words. */
  task: string | null;
}

/** To which step an eye tells how full a vessel is, mL. */
const STEP_ML = { bottle: 2, water: 10, well: 0.05, tube: 0.5, beaker: 1 } as const;
const stepped = (value: number, step: number) => Math.round(value / step) * step;

const BY: Record<Poured['by'], (ml: number) => string> = {
  drops: (ml) => counted(Math.round(ml / 0.05), 'drop'),
  pipette: (ml) => `${fixed(ml, 2)} mL`,
  cylinder: (ml) => `${fixed(ml, 1)} mL`,
  eye: (ml) => `about ${fixed(ml, 0)} mL`,
};

/** One wash of a colour, no finer than an eye tells it. */
const washed = (rgb: Rgb): Rgb => rgb.map((channel) => Math.min(stepped(channel, 3), 255)) as unknown as Rgb;

function seenVessel(bench: Bench, vessel: Vessel, number: number): SeenVessel {
  const { type, label, contents, poured, isAway } = vessel;
  const isFull = contents.volumeMl > 0;
  const step = STEP_ML[type];
  return {
    type,
    label,
    says: bench.sample.bottles[number - 1]?.says ?? '',
    ml: isFull ? Number(Math.max(stepped(contents.volumeMl, step), step).toFixed(2)) : 0,
    colour: isFull ? washed(liquidRgb(contents, VESSELS_HERE[type].depthMm)) : [255, 255, 255],
    solid: isOwn(vessel) ? seenSolid(contents) : null,
    poured: poured.map((one) => ({ from: nameOf(bench, one.from), amount: BY[one.by](one.ml) })),
    trial: trialFor(bench, number),
    isAway,
  };
}

function movesIn(bench: Bench): Record<number, MovingVessel> {
  return Object.fromEntries(
    bench.vessels.flatMap((vessel, i) => {
      if (!isOwn(vessel) || vessel.isAway || vessel.contents.volumeMl <= 0) return [];
      const seen = {
        afloat: seenSolid(vessel.contents) ? Math.round(10 * afloat(bench, vessel)) : 0,
        bubbles: bubbles(bench, vessel),
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
  shows: { thermometer: shownBy(bench, 'thermometer'), probe: shownBy(bench, 'probe') },
  absorbance: bench.plan.colorimeter ? displayedAbsorbance(bench) : null,
});

export function viewOf(bench: Bench, steps: Step[]): View {
  const { plan } = bench;
  const { thermometer, probe } = bench.tools;
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
    into: { thermometer: thermometer.into, probe: probe.into },
    paper: bench.paper,
    colorimeter: plan.colorimeter
      ? { vessel: bench.colorimeter.vessel, trial: bench.colorimeter.trial, nm: bench.colorimeter.nm }
      : null,
    task: bench.sample.task,
    readings: seenReadings(bench.readings, (r) => ({
      ...ofSlot(SLOTS)(r),
      ...(r.which === 'T0' ? { carries: true as const } : {}),
    })),
    logged: [],
    recordableTrial: next,
    slots: slotsHere(SLOTS, slotsOf(bench.plan), (slot) =>
      slot === 'T' || slot === 'T0'
        ? dueOf(thermometer.into)
        : slot === 'pH'
          ? dueOf(probe.into)
          : slot === 'A'
            ? (bench.colorimeter.trial ?? next)
            : next,
    ),
    steps,
  };
}
