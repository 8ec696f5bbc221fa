import { MOST, WELLS } from '@core/practicals/solutions/vessels';
import { FUNNEL_MM, stationLayout, PLATE_MM, type StationLayout } from './station-layout';
import { PAN_MM } from '../balance-sketch';
import type { Plan } from '@core/practicals/solutions/plan';
import type { SeenVessel, View } from '@core/practicals/solutions/view';

/** Where things stand, mm: bottles on a shelf, tubes in their rack behind, beakers and instruments in front, the plate seen from above. */
export const BOTTLE = { width: 36, height: 74, pitch: 50 };
export const TUBE = { inner: 16, height: 124, pitch: 21.5 };
export const BEAKER = { inner: 46, height: 70, pitch: 58 };
export const INSTRUMENT = { width: 66, pitch: 70 };
export const WELL = { radius: 16, pitch: 39, across: 4 };
const EDGE = 12;
const SHELF_Y = 84;
const PLATE_WIDTH = WELL.across * WELL.pitch + 16;
const PLATE_HEIGHT = (WELLS / WELL.across) * WELL.pitch + 12;

export interface Layout {
  width: number;
  height: number;
  shelfY: number;
  /** Where the rack and the plate lie, and where beakers and instruments stand; null where there are none. */
  rackY: number;
  frontY: number | null;
  rackX: number;
  plate: { x: number; y: number; width: number; height: number } | null;
  instrumentsX: number;
  /** Where things stand that a solid is weighed with; null where none are. */
  station: StationLayout | null;
}

/** Nothing moves when something is taken or put back. */
export function layoutOf(labels: Plan): Layout {
  const hasRack = labels.vessels.includes('tube');
  const hasFront =
    labels.vessels.includes('beaker') ||
    labels.thermometer ||
    labels.probe ||
    labels.cell ||
    labels.colorimeter ||
    labels.slip;
  const rackWidth = hasRack ? MOST.tube * TUBE.pitch + 14 : 0;
  const plateX = EDGE;
  const rackX = labels.spotPlate ? plateX + PLATE_WIDTH + 18 : EDGE;
  const instrumentsX = labels.vessels.includes('beaker') ? EDGE + MOST.beaker * BEAKER.pitch + 8 : EDGE;
  const count = [labels.thermometer, labels.probe, labels.cell, labels.colorimeter, labels.slip].filter(Boolean).length;
  const station = labels.balance
    ? stationLayout(labels, EDGE + (labels.bottles + 1) * BOTTLE.pitch, instrumentsX + INSTRUMENT.pitch * count)
    : null;
  const width = Math.max(
    station?.width ?? 0,
    hasFront ? instrumentsX + INSTRUMENT.pitch * count + EDGE : 0,
    (labels.bottles + 1) * BOTTLE.pitch + 2 * EDGE,
    rackX + rackWidth + EDGE,
    labels.spotPlate && !hasRack ? 320 : 0,
  );
  const rackY = SHELF_Y + 152;
  const frontY = hasFront ? rackY + 100 : null;
  return {
    width,
    // What the page has to say stands over the lower edge: papers in front are not covered by it.
    height: (frontY ?? rackY) + (station ? 42 : 18),
    shelfY: SHELF_Y,
    rackY,
    frontY,
    rackX,
    plate: labels.spotPlate
      ? { x: plateX, y: rackY - PLATE_HEIGHT + 6, width: PLATE_WIDTH, height: PLATE_HEIGHT }
      : null,
    instrumentsX,
    station,
  };
}

export interface Point {
  x: number;
  y: number;
}

/** Where a vessel stands: the middle of its ground; of a well its middle. */
export function placeOf(view: Pick<View, 'vessels'>, number: number, at: Layout): Point {
  const vessel = view.vessels[number - 1] as SeenVessel;
  const { station } = at;
  if (station && vessel.at !== 'bench') {
    const there = view.vessels.slice(0, number - 1).filter((one) => one.at === vessel.at).length;
    if (vessel.at === 'pan') return { x: station.balance, y: at.rackY - PAN_MM };
    if (vessel.at === 'funnel') return { x: station.funnel, y: at.rackY };
    return { x: station.hotPlate + BEAKER.pitch * (there - 1), y: at.rackY - PLATE_MM };
  }
  const before = view.vessels.slice(0, number - 1);
  const place = before.filter(({ type }) => type === vessel.type).length;
  switch (vessel.type) {
    case 'bottle':
      return { x: EDGE + BOTTLE.pitch * (place + 0.5), y: at.shelfY };
    case 'water':
      return { x: EDGE + BOTTLE.pitch * (before.filter(({ type }) => type === 'bottle').length + 0.5), y: at.shelfY };
    case 'well':
      return {
        x: (at.plate?.x ?? 0) + 8 + WELL.pitch * ((place % WELL.across) + 0.5),
        y: (at.plate?.y ?? 0) + 6 + WELL.pitch * (Math.floor(place / WELL.across) + 0.5),
      };
    case 'tube':
      return { x: at.rackX + 7 + TUBE.pitch * (place + 0.5), y: at.rackY - 6 };
    case 'beaker':
      return { x: EDGE + BEAKER.pitch * (place + 0.5), y: at.frontY ?? at.rackY };
  }
}

/** Where a paper lies: the middle of it. */
export function sheetPlace({ papers }: Pick<View, 'papers'>, number: number, at: Layout): Point {
  const station = at.station as StationLayout;
  const where = papers[number - 1]?.at ?? 'mat';
  const there = papers.slice(0, number - 1).filter((one) => one.at === where).length;
  switch (where) {
    case 'pan':
      return { x: station.balance, y: at.rackY - PAN_MM - 2 };
    case 'funnel':
      return { x: station.funnel, y: at.rackY - FUNNEL_MM - 22 };
    case 'oven':
      return { x: station.oven - 20 + 40 * (there % 2), y: at.shelfY - 16 - 15 * Math.floor(there / 2) };
    case 'desiccator':
      return { x: station.desiccator - 18 + 36 * (there % 2), y: at.shelfY - 22 - 11 * Math.floor(there / 2) };
    default:
      return { x: station.mats + station.matPitch * (number - 1), y: (at.frontY ?? at.rackY) - 4 };
  }
}

/** Height of so much liquid in a vessel with straight walls, mm. */
export const levelMm = (innerMm: number, ml: number): number => (1000 * ml) / (Math.PI * (innerMm / 2) ** 2);
