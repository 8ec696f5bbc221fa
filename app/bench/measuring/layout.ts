import { PAN_MM } from '../balance-sketch';
import { vesselOf } from '@core/databook/vessels';
import type { Plan } from '@core/practicals/measuring/plan';
import type { SeenVessel, View } from '@core/practicals/measuring/view';
import { mmPerMl } from '@core/instruments/sight';
import { vesselsOnBench } from './things';

/** The bench in millimetres: x to the right, y down; everything stands on the line y = BENCH_Y. */
export const BENCH_Y = 606;
/** What is written under the bench's edge, mm. */
const UNDER_MM = 34;
/** The tap over the bench, and a dish with a tool held over it. */
const TAP_MM = 400;
const DISH_MM = 230;
/** A bench has room for what can still be taken from its tray. */
const LEAST_WIDTH = { vessels: 700, dishes: 440 };

/** Thickness of a vessel's floor, and how high the pan of the balance is. */
export const FLOOR_MM = 8;

/** Outer sizes of a vessel, mm. */
export function sizeOf(type: string) {
  const { innerDiameterMm, heightMm, divisionMl } = vesselOf(type);
  const isCylinder = type.startsWith('cylinder');
  const foot = isCylinder ? innerDiameterMm * 1.5 + 22 : innerDiameterMm + 4;
  return { inner: innerDiameterMm, height: heightMm, foot, isCylinder, hasScale: divisionMl !== null };
}

/** From the axis of a vessel to the lip that it pours over, mm. */
export const lipMm = (type: string): number =>
  type === 'supply' ? 14 : type === 'density-bottle' ? 5 : sizeOf(type).inner / 2;

/** Height of the surface above the bottom of the inside, mm. */
export function levelMm(type: string, levelMl: number): number {
  if (type === 'density-bottle') return bottleLevelMm(levelMl);
  const { innerDiameterMm } = vesselOf(type);
  return Math.max(levelMl, 0) * mmPerMl(innerDiameterMm);
}

/** Of a density bottle as it is drawn: a body, shoulders that narrow, a neck; volumes at which each is full, mL, and heights, mm. */
const BOTTLE = [
  [0, 0],
  [20, 22],
  [24.5, 36],
  [26.5, 62],
] as const;

function bottleLevelMm(levelMl: number): number {
  for (const [i, [ml, mm]] of BOTTLE.entries()) {
    const [nextMl, nextMm] = BOTTLE[i + 1] ?? [ml, mm];
    if (levelMl <= nextMl) return mm + ((nextMm - mm) * Math.max(levelMl - ml, 0)) / (nextMl - ml || 1);
  }
  return 62;
}

export interface Layout {
  width: number;
  /** From the highest that anything can reach here down to what is written under the bench. */
  height: number;
  tap: number | null;
  balance: number | null;
  /** Axis of each vessel by its number, and the y it stands on. */
  vessels: Map<number, { x: number; y: number }>;
  lots: number[];
}

const LEAST_GAP = 14;
const widthOf = (type: string) => sizeOf(type).foot + (type === 'supply' ? 8 : 0);

/**
 * How high the bench has to be drawn: the two tallest vessels that there can be, one held over the other, so that nothing
 * grows or shrinks while it is worked.
 */
function heightOf(view: View, labels: Plan): number {
  const types = [...labels.vessels, ...view.vessels.map(({ type }) => type)];
  const [first = 0, second = 0] = types.map((type) => sizeOf(type).height).sort((a, b) => b - a);
  const poured = types.length > 1 ? first + second + 20 : first + PAN_MM;
  return UNDER_MM + Math.max(poured, labels.water ? TAP_MM : 0, labels.lots.length > 0 ? DISH_MM : 0);
}

/** Where everything stands: from left to right in the order in which it came, one scale for all. */
export function layoutOf(view: View, labels: Plan): Layout {
  const widths = [
    ...(labels.water ? [70] : []),
    ...(labels.balance ? [176] : []),
    ...vesselsOnBench(view).map(({ type }) => widthOf(type)),
    ...view.lots.map(() => 96),
  ];
  const leastWidth = labels.vessels.length + labels.bottles.length > 0 ? LEAST_WIDTH.vessels : LEAST_WIDTH.dishes;
  const least = widths.reduce((sum, width) => sum + width + LEAST_GAP, LEAST_GAP);
  // What room there is stands between things, up to a hand's breadth.
  const gap = Math.min(LEAST_GAP + Math.max(leastWidth - least, 0) / (widths.length + 1), 46);
  let x = gap;
  const place = (width: number) => {
    const at = x + width / 2;
    x += width + gap;
    return at;
  };
  const tap = labels.water ? place(70) : null;
  const balance = labels.balance ? place(176) : null;
  const vessels = new Map<number, { x: number; y: number }>();
  const under = view.vessels.find((vessel) => vessel.tap !== 'off' && !vessel.away);
  for (const vessel of vesselsOnBench(view)) {
    const at = place(widthOf(vessel.type));
    vessels.set(vessel.number, { x: at, y: BENCH_Y });
  }
  if (under && tap !== null) vessels.set(under.number, { x: tap + 16, y: BENCH_Y });
  if (view.pan.vessel !== null && balance !== null) vessels.set(view.pan.vessel, { x: balance, y: BENCH_Y - PAN_MM });
  const lots = view.lots.map(() => place(96));
  return { width: Math.max(x, leastWidth), height: heightOf(view, labels), tap, balance, vessels, lots };
}

/** Where a vessel's mouth is. */
export const mouthOf = (vessel: SeenVessel, at: { x: number; y: number }) => ({
  x: at.x,
  y: at.y - sizeOf(vessel.type).height,
});
