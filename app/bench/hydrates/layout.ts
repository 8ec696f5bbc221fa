import type { Plan } from '@core/practicals/hydrates/plan';
import type { View } from '@core/practicals/hydrates/view';
import { PAN_MM } from '../balance-sketch';

/** Where things stand, mm: x from left to right, y downwards, the bench's surface at {@link BENCH_Y}. */
export const BENCH_Y = 296;
export const HEIGHT = 316;
export const TRIPOD_MM = 138;
export const BURNER_MM = 96;
export const CRUCIBLE = { width: 46, foot: 28, height: 38 };
const SHELF_MM = 30;

interface Layout {
  width: number;
  balance: number;
  mat: number;
  aside: number;
  tripod: number;
  desiccator: number;
}

/** Nothing moves when something is put elsewhere. */
export const layoutOf = (labels: Plan): Layout => ({
  balance: 98,
  mat: 246,
  aside: 338,
  tripod: 416,
  desiccator: 540,
  width: labels.desiccator ? 600 : 480,
});

interface Point {
  x: number;
  y: number;
}

/** Where the foot of the crucible stands. */
export function footOf(view: View, at: Layout): Point {
  switch (view.crucible.at) {
    case 'pan':
      return { x: at.balance, y: BENCH_Y - PAN_MM };
    case 'triangle':
      return { x: at.tripod, y: BENCH_Y - TRIPOD_MM + 14 };
    case 'gauze':
      return { x: at.tripod, y: BENCH_Y - TRIPOD_MM };
    case 'desiccator':
      return { x: at.desiccator, y: BENCH_Y - SHELF_MM };
    case 'mat':
      return { x: at.mat - 22, y: BENCH_Y - 4 };
  }
}

/** Where the lid is: over the crucible, or beside it on the mat. */
export function lidAt(view: View, at: Layout): Point {
  if (view.crucible.lid === 'off') return { x: at.mat + 34, y: BENCH_Y - 4 };
  const foot = footOf(view, at);
  return { x: foot.x + (view.crucible.lid === 'ajar' ? 9 : 0), y: foot.y - CRUCIBLE.height };
}
