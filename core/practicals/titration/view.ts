import { liquidColour, WATER_COLOUR, type Rgb } from '../../chemistry/colour';
import { mix, settle, share, type Solution } from '../../chemistry/solution';
import { seenLevel } from '../../instruments/burette';
import { sightDepthMm } from '../../instruments/conical-flask';
import type { TapOpening } from '../../instruments/tap';
import type { BenchSlot, Reading } from '../../notebook/readings';
import type { Pace } from '../bench-clock';
import type { Step } from '../contract';
import { commonView } from '../common-acts';
import { ofSlot, seenReadings, slotsHere } from '../recordings';
import { running } from './advance';
import { flaskVolume, isSwirling, levelOf, BOTTLE_ML, JAR_G, TITRANT_BOTTLE_ML, type Bench } from './bench';
import { displayText } from './probe';
import type { LoggedPoint, Place } from './probe-state';
import { balanceText } from './solid';
import { SLOTS, WEIGHED, WHICH, type Slot } from './slots';
import { trialsOf, type TitreMean, type Trial } from './trials';

/** What moves from frame to frame. */
export interface Moving {
  family: 'titration';
  timeS: number;
  running: boolean;
  /** Meniscus on the scale, mL, as fine as an eye can tell; below 0 above the scale, over 50 below it. */
  levelMl: number;
  empty: boolean;
  tap: TapOpening;
  pouring: boolean;
  /** How much of a drop hangs at the tip, in tenths. */
  hanging: number;
  /** Air in the tip, as it is seen: none, or a bubble. */
  bubble: boolean;
  funnel: boolean;
  /** Drops on the wall of the flask. */
  wall: boolean;
  flaskMl: number;
  colour: Rgb;
  /** The cloud of what has not mixed: its colour, and its size from 0 to 1. */
  cloud: { colour: Rgb; size: number } | null;
  swirling: boolean;
  /** Solid that lies at the bottom of the flask. */
  solid: boolean;
  /** The display of the balance, with the weighing boat on it; null where there is none. */
  balance: string | null;
  /** The display of the meter, as it is written there; null while it shows nothing. */
  meter: string | null;
}

/** All that eyes and instruments tell of the bench. */
export interface View extends Moving {
  paused: boolean;
  pace: Pace;
  keepSwirling: boolean;
  pipetteFull: boolean;
  /** Fullness of the bottles, in hundredths. */
  sampleLeft: number;
  /** Fullness of the volumetric flask, in hundredths, and whether it stands at its mark. */
  volumetric: { full: number; madeUp: boolean } | null;
  jarLeft: number;
  /** What the jar's label says of what is in it; null where it says nothing more. */
  jarNote: string | null;
  /** What the label of the titrant's bottle says of its concentration. */
  titrantLabel: string;
  /** Whether solid lies on the boat. */
  boatFull: boolean;
  titrantLeft: number;
  drops: Record<string, number>;
  trial: number;
  readings: Reading[];
  trials: Trial[];
  /** Trials left out of the mean, with why. */
  leftOut: Readonly<Record<number, string>>;
  mean: TitreMean | null;
  steps: Step[];
  probe: {
    place: Place;
    calibratedIn: number[];
    cellCalibrated: boolean;
    log: { every: number; by: 'mL' | 's' } | null;
  };
  logged: Readonly<Record<string, string>>[];
  recordableTrial: number;
  slots: readonly BenchSlot[];
}

const TEMP_C = 25;

/** Still liquid that a cloud takes into itself: a little from its rim, mL, and so much per mL of what fell in. */
const ENTRAINED = { rimMl: 0.05, perMl: 1.2 };

function colourOf(bench: Bench, liquid: Solution, dropsPerMl: Record<string, number>, depthMm: number): Rgb {
  if (liquid.volumeMl <= 0 || Object.keys(dropsPerMl).length === 0) return WATER_COLOUR;
  const { pH } = settle(liquid, { tempC: TEMP_C, activities: bench.plan.activities });
  return liquidColour(dropsPerMl, pH, depthMm);
}

/** The indicator is spread through the whole flask; what is unmixed is the titrant. */
function dropsPerMl(bench: Bench): Record<string, number> {
  const volume = flaskVolume(bench);
  if (volume <= 0) return {};
  return Object.fromEntries(Object.entries(bench.flask.drops).map(([id, drops]) => [id, drops / volume]));
}

function cloudOf(bench: Bench, drops: Record<string, number>): Moving['cloud'] {
  const { plume, mixed } = bench.flask;
  if (plume.volumeMl < 0.0015 || mixed.volumeMl <= 0 || Object.keys(drops).length === 0) return null;
  const entrained = Math.min(ENTRAINED.rimMl + ENTRAINED.perMl * plume.volumeMl, mixed.volumeMl);
  const local = mix(plume, share(mixed, entrained / mixed.volumeMl));
  const colour = colourOf(bench, local, drops, 0.7 * sightDepthMm(flaskVolume(bench)));
  const size = Math.round(100 * Math.min(1, Math.cbrt(local.volumeMl / (flaskVolume(bench) + 5)))) / 100;
  return { colour, size };
}

/** One frame: what can change while time passes. */
export function movingOf(bench: Bench): Moving {
  const volume = flaskVolume(bench);
  const drops = dropsPerMl(bench);
  const level = levelOf(bench);
  return {
    family: 'titration',
    timeS: Math.round(bench.timeS * 1000) / 1000,
    running: running(bench),
    levelMl: seenLevel(level),
    empty: bench.burette.liquid.volumeMl < 0.5,
    tap: bench.burette.tap,
    pouring: bench.burette.pouring,
    hanging: Math.round((10 * bench.burette.hanging.volumeMl) / bench.burette.dropMl) / 10,
    flaskMl: Math.round(2 * volume) / 2,
    colour: colourOf(bench, bench.flask.mixed, drops, sightDepthMm(volume)),
    cloud: cloudOf(bench, drops),
    swirling: isSwirling(bench),
    bubble: bench.burette.bubbleMl > 0,
    funnel: bench.burette.funnel !== null,
    wall: bench.flask.wall.volumeMl > 0,
    balance: bench.plan.jar ? balanceText(bench) : null,
    solid: Object.keys(bench.flask.undissolved).length > 0,
    meter: bench.probe.shown === null || bench.probe.place === 'stand' ? null : displayText(bench, bench.probe.shown),
  };
}

function slotsOf({ plan, trial }: Bench): BenchSlot[] {
  const slots: Slot[] = [
    ...WHICH,
    ...(plan.jar ? WEIGHED : []),
    ...(plan.probe === 'pH' ? (['pH'] as const) : plan.probe === 'conductivity' ? (['kappa'] as const) : []),
  ];
  return slotsHere(SLOTS, slots, () => trial);
}

/** Lines of the log as the notebook takes them: the same objects for as long as nothing is logged, and each made once. */
const lines = new WeakMap<LoggedPoint, Record<string, string>>();
const logs = new WeakMap<Bench['logged'], Record<string, string>[]>();

function loggedLines({ logged, plan }: Bench): Record<string, string>[] {
  const known = logs.get(logged);
  if (known) return known;
  const key = plan.probe === 'conductivity' ? 'kappa' : 'pH';
  const all = logged.map((point) => {
    const { trial, deliveredMl, timeS, shown } = point;
    const line = lines.get(point) ?? { trial: String(trial), V: deliveredMl, t: timeS, [key]: shown };
    lines.set(point, line);
    return line;
  });
  logs.set(logged, all);
  return all;
}

export function viewOf(bench: Bench, steps: Step[]): View {
  const { trials, mean } = trialsOf(bench);
  const hundredths = (part: number) => Math.round(100 * part) / 100;
  return {
    ...movingOf(bench),
    ...commonView(bench),
    keepSwirling: bench.flask.keepSwirling,
    pipetteFull: bench.pipette.content.volumeMl > 0,
    sampleLeft: hundredths(bench.bottle.volumeMl / BOTTLE_ML),
    volumetric:
      bench.plan.diluteToMl === null
        ? null
        : {
            full: hundredths(bench.volumetric.content.volumeMl / bench.plan.diluteToMl),
            madeUp: bench.volumetric.madeUp,
          },
    jarNote: bench.stock.solid?.note ?? null,
    jarLeft: hundredths(bench.jarG / JAR_G),
    titrantLabel: bench.stock.titrant.label,
    boatFull: bench.boat.grams > 0.0045,
    titrantLeft: hundredths(bench.titrantBottle.volumeMl / TITRANT_BOTTLE_ML),
    drops: { ...bench.flask.drops },
    readings: seenReadings(bench.readings, ofSlot(SLOTS)),
    probe: {
      place: bench.probe.place,
      calibratedIn: bench.probe.calibration.map((point) => point.pH),
      cellCalibrated: bench.probe.cellFactor !== null,
      log: bench.probe.log && { every: bench.probe.log.every, by: bench.probe.log.by },
    },
    logged: loggedLines(bench),
    recordableTrial: bench.trial,
    slots: slotsOf(bench),
    trials,
    mean,
    steps,
  };
}
