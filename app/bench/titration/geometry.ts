import { FLASK_250, liquidHeightMm } from '@core/instruments/conical-flask';

/** The bench in millimetres: x to the right, y down; everything stands on the line y = BENCH_Y. */
export const SCENE = { width: 1060, height: 872 };
export const BENCH_Y = 846;

/** Where things stand: their axis. */
export const AT = { waste: 86, titrant: 220, stand: 392, flask: 470, sample: 650, wash: 772 };

/** The burette: its tip above the flask, 10 mm of scale to each mL. */
export const BURETTE = {
  x: AT.flask,
  tipY: BENCH_Y - 152,
  mark50Y: BENCH_Y - 152 - 84,
  mmPerMl: 10,
  outer: 13.5,
  inner: 11.3,
  rimMl: -4.2,
};

/** Height of a scale reading in the scene. */
export const readingY = (readingMl: number) => BURETTE.mark50Y - (50 - readingMl) * BURETTE.mmPerMl;

/** Outline of the conical flask around its axis. */
export function flaskOutline(x: number, floorY: number): string {
  const { baseRadiusMm: R, neckRadiusMm: r, coneHeightMm: h, heightMm } = FLASK_250;
  return [
    `M${x - r - 2} ${floorY - heightMm}`,
    `h4 M${x - r} ${floorY - heightMm} V${floorY - h} L${x - R} ${floorY - 4} Q${x - R} ${floorY} ${x - R + 5} ${floorY}`,
    `H${x + R - 5} Q${x + R} ${floorY} ${x + R} ${floorY - 4} L${x + r} ${floorY - h} V${floorY - heightMm} M${x + r - 2} ${floorY - heightMm} h4`,
  ].join(' ');
}

/** Half width of the flask at a height above its floor. */
function flaskRadius(heightMm: number): number {
  const { baseRadiusMm: R, neckRadiusMm: r, coneHeightMm: h } = FLASK_250;
  return heightMm >= h ? r : R - ((R - r) * heightMm) / h;
}

/** The liquid in the flask, up to its level. */
export function flaskLiquid(x: number, floorY: number, volumeMl: number): string {
  const height = liquidHeightMm(volumeMl);
  const top = flaskRadius(height) - 1;
  const bottom = FLASK_250.baseRadiusMm - 1.5;
  return `M${x - bottom} ${floorY - 4} Q${x - bottom} ${floorY - 1.5} ${x - bottom + 5} ${floorY - 1.5} H${x + bottom - 5} Q${x + bottom} ${floorY - 1.5} ${x + bottom} ${floorY - 4} L${x + top} ${floorY - 1 - height} H${x - top} Z`;
}
