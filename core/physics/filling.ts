import { BOLTZMANN_ZJ_PER_K } from './kinetic';

/** How a box is filled: on a lattice, in an order of chance, each with its share of energy in a direction of chance. */

type Box = readonly [number, number, number];

/**
 * Places for so many on a lattice that holds them all, in an order of chance, so that two kinds are mixed.
 * @param into three numbers for each, nm @throws RangeError where they have no room
 */
export function placed(into: Float64Array, count: number, box: Box, widestNm: number, uniform: () => number): void {
  let pitch = Math.cbrt((box[0] * box[1] * box[2]) / count);
  const along = (edge: number) => Math.floor((edge - 2 * widestNm) / pitch) + 1;
  while (along(box[0]) * along(box[1]) * along(box[2]) < count) {
    pitch *= 0.99;
    if (pitch < 2.0001 * widestNm) throw new RangeError('they have no room');
  }
  const n = box.map(along) as [number, number, number];
  const order = Int32Array.from({ length: n[0] * n[1] * n[2] }, (_, i) => i);
  for (let i = 0; i < count; i++) {
    const j = i + Math.floor(uniform() * (order.length - i));
    const spot = order[j] as number;
    order[j] = order[i] as number;
    order[i] = spot;
    const cell = [spot % n[0], Math.floor(spot / n[0]) % n[1], Math.floor(spot / (n[0] * n[1]))] as const;
    for (const axis of [0, 1, 2] as const) {
      const free = box[axis] - 2 * widestNm - (n[axis] - 1) * pitch;
      into[3 * i + axis] = widestNm + free / 2 + cell[axis] * pitch;
    }
  }
}

/** A direction of chance, times a speed: drawn in a ball, so that no sine is needed. @param into three numbers from a place on */
export function directed(into: Float64Array, place: number, speed: number, uniform: () => number): void {
  for (;;) {
    const [x, y, z] = [2 * uniform() - 1, 2 * uniform() - 1, 2 * uniform() - 1];
    const square = x * x + y * y + z * z;
    if (square > 1 || square < 0.01) continue;
    const times = speed / Math.sqrt(square);
    into[place] = x * times;
    into[place + 1] = y * times;
    into[place + 2] = z * times;
    return;
  }
}

/** The speed with an energy of 3/2 kT, nm/ps. */
export const speedAt = (kelvin: number, mass: number): number => Math.sqrt((3 * BOLTZMANN_ZJ_PER_K * kelvin) / mass);

/** So often a place is looked for that is free. */
const TRIES = 10_000;

/**
 * A place of chance for one more, where none of those before it is.
 * @param at three numbers for each, nm @param i which one it is @param edges how far it may be, from 0, along each axis, nm
 * @throws RangeError where none is found
 */
export function placedFree(at: Float64Array, i: number, radius: Float64Array, edges: Box, uniform: () => number): void {
  const own = radius[i] as number;
  for (let tries = 0; tries < TRIES; tries++) {
    for (let axis = 0; axis < 3; axis++) at[3 * i + axis] = own + uniform() * ((edges[axis] as number) - 2 * own);
    let isFree = true;
    for (let j = 0; j < i && isFree; j++) {
      const near = own + (radius[j] as number);
      let square = 0;
      for (let axis = 0; axis < 3; axis++) {
        const apart = (at[3 * i + axis] as number) - (at[3 * j + axis] as number);
        square += apart * apart;
      }
      isFree = square > near * near;
    }
    if (isFree) return;
  }
  throw new RangeError('they have no room');
}
