import { heatVesselOf, type HeatVesselId } from '@core/databook/heat-vessels';
import { hasBalance, type Plan } from '@core/practicals/heat/plan';
import type { View } from '@core/practicals/heat/view';
import { PAN_MM } from '../balance-sketch';

/** Where things stand, mm: x from left to right, y downwards, the bench's surface at {@link BENCH_Y}. */
export const BENCH_Y = 432;
export const HEIGHT = 456;

export const BATH = { width: 176, height: 92, wallMm: 3, waterMm: 70, baseMm: 26 };
export const BLOCK = { width: 96, height: 70, wellMm: 46 };
/** The gap between the pail and its jacket, with the wall of that. */
export const JACKET_MM = 16;
/** Top of the wick of a lamp over what it stands on. */
export const WICK_MM = 80;
const GAP = 16;

export interface Layout {
  width: number;
  balance: number;
  cup: number;
  beaker: number;
  bath: number;
  block: number;
  dish: number;
  mat: number;
  tube: number;
  cold: number;
  sealed: number;
  press: number;
  oxygen: number;
  switch: number;
  stand: number;
}

/** Room that each thing takes, from left to right; nothing moves when something is put elsewhere. */
export function layoutOf(labels: Plan): Layout {
  let x = 8;
  const next = (width: number, isThere = true) => {
    if (!isThere) return 0;
    const middle = x + width / 2;
    x += width + GAP;
    return middle;
  };
  const widest = Math.max(...labels.vessels.map((id) => outerOf(id)));
  // What is tall when it is stirred stands to the right of the sheet with the curve.
  const isTube = labels.tube !== null;
  const dish = () => next(labels.metal ? 122 : 92, labels.metal !== null || labels.salt);
  const first = { balance: next(178, hasBalance(labels)), ...(isTube && { stand: next(64), dish: dish() }) };
  return {
    mat: next(150, labels.lamps.length > 0),
    tube: next(70, labels.tube !== null),
    cup: labels.tube ? 0 : next(widest + (labels.lamps.length > 0 ? 80 : labels.sealed ? 2 * JACKET_MM + 4 : 16)),
    beaker: next(outerOf('glass-beaker') + 10, labels.beaker),
    bath: next(BATH.width + 8, labels.bath),
    cold: next(BATH.width + 8, labels.tube !== null),
    block: next(BLOCK.width + 8, labels.block),
    dish: isTube ? 0 : dish(),
    sealed: next(96, labels.sealed !== null),
    press: next(84, labels.sealed !== null),
    oxygen: next(100, labels.sealed !== null),
    switch: next(62, labels.sealed !== null),
    stand: isTube ? 0 : next(64),
    ...first,
    width: x,
  };
}

export const outerOf = (id: HeatVesselId): number => {
  const { innerDiameterMm, wallMm } = heatVesselOf(id);
  return innerDiameterMm + 2 * wallMm;
};

/** How high a liquid stands in a vessel, mm. */
export const depthMm = (id: HeatVesselId, ml: number): number =>
  (1000 * ml) / ((Math.PI / 4) * heatVesselOf(id).innerDiameterMm ** 2);

interface Point {
  x: number;
  y: number;
}

/** Where a vessel's foot stands. */
export function footOf(key: 'cup' | 'beaker', view: View, at: Layout): Point {
  if (view.pan.on === key) return { x: at.balance, y: BENCH_Y - PAN_MM };
  if (key === 'beaker' && view.vessels.beaker.at === 'bath')
    return { x: at.bath + BATH.width / 4 - 4, y: BENCH_Y - BATH.baseMm - 4 };
  if (key === 'cup' && view.fire) return { x: at.cup, y: BENCH_Y - WICK_MM - view.fire.gapMm };
  return { x: at[key], y: BENCH_Y };
}

/** Where the foot of the test tube is. */
export function tubeAt(view: View, at: Layout): Point {
  const place = view.tube?.at;
  if (place === 'pan') return { x: at.balance, y: BENCH_Y - PAN_MM };
  if (place === 'bath' || place === 'cold') return { x: at[place] + 20, y: BENCH_Y - BATH.baseMm - 22 };
  return { x: at.tube, y: BENCH_Y - 14 };
}

/** Where the foot of the sealed vessel is, and that of a lamp, and of the pellet. */
export function sealedAt(view: View, at: Layout): Point {
  if (view.sealed?.at !== 'pail') return { x: at.sealed, y: BENCH_Y };
  const foot = footOf('cup', view, at);
  return { x: foot.x - 22, y: foot.y - 5 };
}

export function lampAt(n: number, view: View, at: Layout): Point {
  const place = view.fire?.lamps[n]?.at;
  if (place === 'pan') return { x: at.balance, y: BENCH_Y - PAN_MM };
  return place === 'can' ? { x: at.cup, y: BENCH_Y } : { x: at.mat + (n === 0 ? -37 : 37), y: BENCH_Y - 3 };
}

export function pelletAt(view: View, at: Layout): Point {
  const place = view.sealed?.pellet?.at;
  if (place === 'pan') return { x: at.balance, y: BENCH_Y - PAN_MM };
  return place === 'vessel' ? { x: at.sealed, y: BENCH_Y - DISH_MM } : { x: at.press + 20, y: BENCH_Y - 4 };
}
/** How high the dish hangs under the head of the open vessel. */
export const DISH_MM = 104;

/** Where a piece lies or hangs: the middle of its foot. */
export function placeOfPiece(index: number, view: View, at: Layout): Point {
  const piece = view.pieces[index];
  if (!piece) return { x: 0, y: 0 };
  const together = view.pieces.filter((one, i) => one.at === piece.at && i < index);
  // In the cup they lie, one on another; elsewhere they stand side by side.
  const isLying = piece.at === 'cup';
  const before = together.reduce((sum, { size }) => sum + size[0] + 3, 0);
  const all = view.pieces.filter((one) => one.at === piece.at).reduce((sum, { size }) => sum + size[0] + 3, -3);
  const aside = isLying ? 0 : before + piece.size[0] / 2 - all / 2;
  switch (piece.at) {
    case 'dish':
      return { x: at.dish + aside, y: BENCH_Y - 5 };
    case 'pan':
      return { x: at.balance, y: BENCH_Y - PAN_MM };
    case 'bath':
      return { x: at.bath - BATH.width / 4 + aside, y: BENCH_Y - BATH.baseMm - 12 };
    case 'block':
      return { x: at.block + aside, y: BENCH_Y - BLOCK.height + BLOCK.wellMm };
    case 'cup': {
      const foot = footOf('cup', view, at);
      return { x: foot.x, y: foot.y - 4 - before };
    }
    case 'tongs':
      return { x: at.cup + 78 + aside, y: BENCH_Y - 128 };
  }
}

/** Where the tip of a thermometer is. */
export function tipOf(n: number, view: View, at: Layout): Point {
  const one = view.thermometers[n];
  const aside = view.thermometers.length > 1 ? (n === 0 ? -9 : 9) : 0;
  switch (one?.at) {
    case 'cup':
    case 'beaker': {
      const foot = footOf(one.at, view, at);
      const isPail = one.at === 'cup' && view.vessels.cup.type === 'pail';
      return { x: foot.x + (isPail ? 24 : 14 + aside), y: foot.y - 14 };
    }
    case 'tube': {
      const foot = tubeAt(view, at);
      return { x: foot.x + 5 + 0.4 * aside, y: foot.y - 14 };
    }
    case 'cold':
      return { x: at.cold - 40, y: BENCH_Y - BATH.baseMm - 16 };
    case 'bath':
      return { x: at.bath + aside, y: BENCH_Y - BATH.baseMm - 16 };
    case 'block':
      return { x: at.block + BLOCK.width / 2 - 14 + aside / 2, y: BENCH_Y - BLOCK.height + 40 };
    default:
      return { x: at.stand + 10 + 1.4 * aside, y: BENCH_Y - 18 };
  }
}
