import type { Step } from '../contract';
import type { Bench } from './bench';
import { VOLUME_SLOTS, type Gear, type Slot } from './plan';
import { rowsOf, valueOf, type Row } from './rows';

/** The method, each step done when the bench shows it or the student has ticked it; in no forced order. */

/** Points that the briefs ask for, and how far apart the outermost are to be. */
export const POINTS = 10;
export const LEAST_RATIO = 2.5;
export const BATH_POINTS = 8;
export const LEAST_SPAN_C = 70;
/** Of syringes in a bath: temperatures, of which some lie within so many degrees. */
export const BATH_ROWS = 12;
export const CLOSE_ROWS = 4;
export const CLOSE_C = 12;
/** Of a vapour, each with a portion of its own. */
export const VAPOUR_TRIALS = 3;

type StepKey = 'room' | 'home' | 'points' | 'range' | 'jar' | 'close' | 'inject' | 'vapour' | 'again' | 'strip' | 'gas';

const isPoint = (row: Row) => valueOf(row, 'vol') !== undefined && valueOf(row, 'p') !== undefined;
const isBathPoint = (row: Row) => valueOf(row, 't') !== undefined && valueOf(row, 'p') !== undefined;

type Entry = readonly [key: StepKey, label: string, isDone: boolean];

function syringeSteps(bench: Bench, rows: readonly Row[]): Entry[] {
  const volumes = rows.filter(isPoint).map((row) => valueOf(row, 'vol') ?? 0);
  const isWide = volumes.length > 1 && Math.max(...volumes) >= LEAST_RATIO * Math.min(...volumes);
  return [
    [
      'room',
      'Tube off: record the gauge open to the room, the barometer and the thermometer of the room',
      hasRoom(rows),
    ],
    ['home', 'Set the plunger, push the tube home', bench.joint === 'home' || volumes.length > 0],
    ['points', `Record volume and pressure at ${POINTS} places of the plunger`, volumes.length >= POINTS],
    ['range', `Spread them: the largest volume at least ${LEAST_RATIO} times the smallest`, isWide],
  ];
}

function hasRoom(rows: readonly Row[]): boolean {
  return rows.some((row) => (['bar', 'room', 'open'] as const).every((slot) => valueOf(row, slot) !== undefined));
}

function bulbSteps(bench: Bench, rows: readonly Row[]): Entry[] {
  const temps = rows.filter(isBathPoint).map((row) => valueOf(row, 't') ?? 0);
  const isWide = temps.length > 1 && Math.max(...temps) - Math.min(...temps) >= LEAST_SPAN_C;
  return [
    [
      'room',
      'Tube off: record the gauge open to the room, the barometer and the thermometer of the room',
      hasRoom(rows),
    ],
    [
      'home',
      'Push the tube home and put the bulb into the bath',
      temps.length > 0 || (bench.joint === 'home' && bench.at === 'bath'),
    ],
    [
      'points',
      `Record temperature and pressure at ${BATH_POINTS} temperatures, each when the gauge has come to rest`,
      temps.length >= BATH_POINTS,
    ],
    ['range', `From ice to boiling: at least ${LEAST_SPAN_C} °C apart`, isWide],
    [
      'jar',
      'Put the bulb into the cold jar and record the pressure',
      rows.some((row) => valueOf(row, 'pj') !== undefined),
    ],
  ];
}

function freeSteps(_: Bench, rows: readonly Row[]): Entry[] {
  const temps = rows
    .filter((row) => (['t', ...VOLUME_SLOTS] as const).every((slot) => valueOf(row, slot) !== undefined))
    .map((row) => valueOf(row, 't') ?? 0)
    .sort((a, b) => a - b);
  const isClose = temps.some((t, i) => (temps[i + CLOSE_ROWS - 1] ?? Infinity) - t <= CLOSE_C);
  const isRead = rows.some((row) => valueOf(row, 'bar') !== undefined && valueOf(row, 'room') !== undefined);
  return [
    ['room', 'Record the barometer and the thermometer of the room', isRead],
    [
      'points',
      `Record the bath and all four syringes at ${BATH_ROWS} temperatures, each plunger turned before it is read`,
      temps.length >= BATH_ROWS,
    ],
    [
      'range',
      `From ice to boiling: at least ${LEAST_SPAN_C} °C apart`,
      temps.length > 1 && (temps.at(-1) ?? 0) - (temps[0] ?? 0) >= LEAST_SPAN_C,
    ],
    ['close', `${CLOSE_ROWS} of them within ${CLOSE_C} °C, where one leaves its line`, isClose],
  ];
}

const isVapour = (row: Row) =>
  (['m1', 'v0', 'm2', 'v1', 't'] as const).every((slot) => valueOf(row, slot) !== undefined);

function injectedSteps(bench: Bench, rows: readonly Row[]): Entry[] {
  const isRead = rows.some((row) => valueOf(row, 'bar') !== undefined && valueOf(row, 'room') !== undefined);
  const has = (...slots: Slot[]) => rows.some((row) => slots.every((slot) => valueOf(row, slot) !== undefined));
  const whole = rows.filter(isVapour).length;
  return [
    ['room', 'Record the barometer and the thermometer of the room', isRead],
    ['home', 'Bring the bath to boiling; turn the plunger, record the volume of the air', has('v0')],
    [
      'inject',
      'Draw up liquid, stopper the needle, weigh and record; inject; stopper, weigh and record again',
      has('m1', 'm2'),
    ],
    [
      'vapour',
      'When nothing moves any more, turn the plunger, record the volume with the vapour and the bath’s temperature',
      whole > 0,
    ],
    ['again', `Empty the syringe and do it again: ${VAPOUR_TRIALS} trials`, whole >= VAPOUR_TRIALS],
  ];
}

function collectedSteps(_: Bench, rows: readonly Row[]): Entry[] {
  const has = (...slots: Slot[]) =>
    rows.filter((row) => slots.every((slot) => valueOf(row, slot) !== undefined)).length;
  return [
    ['room', 'Record the barometer', has('bar') > 0],
    ['strip', 'Cut a strip, weigh it and record; record the volume of the air in the tube', has('m', 'v0') > 0],
    [
      'gas',
      'Hang it in. When all is dissolved, record the volume, the height of the water in the tube over that outside, and the water’s temperature',
      has('v1', 'h', 't') > 0,
    ],
    [
      'again',
      `Take a fresh tube and do it again: ${VAPOUR_TRIALS} trials`,
      has('m', 'v0', 'v1', 'h', 't') >= VAPOUR_TRIALS,
    ],
  ];
}

const ENTRIES: Record<Gear, (bench: Bench, rows: readonly Row[]) => Entry[]> = {
  syringe: syringeSteps,
  bulb: bulbSteps,
  syringes: freeSteps,
  injected: injectedSteps,
  collected: collectedSteps,
};

export function stepsOf(bench: Bench): Step[] {
  return ENTRIES[bench.plan.gear](bench, rowsOf(bench)).map(([key, label, isDone]) => ({
    key,
    label,
    done: isDone || bench.ticked.includes(key),
  }));
}
