import { ownLog } from './own-log';

/** Velocities of a temperature, drawn by + − × ÷, √ and a logarithm made of them. */

/** A normal number by the polar method: no sine is needed. @param uniform even between 0 and 1 */
function normal(uniform: () => number): number {
  for (;;) {
    const [x, y] = [2 * uniform() - 1, 2 * uniform() - 1];
    const square = x * x + y * y;
    if (square < 1 && square > 0) return x * Math.sqrt((-2 * ownLog(square)) / square);
  }
}

/**
 * The velocity of what comes out of a wall, as those have that come out of a gas of its temperature.
 * @param into three numbers from a place on @param axis along which the wall faces @param inwards 1 or −1
 * @param spread √(kT/m), nm/ps
 */
export function outOfWall(
  into: Float64Array,
  place: number,
  axis: number,
  inwards: number,
  spread: number,
  uniform: () => number,
): void {
  for (let other = 0; other < 3; other++)
    into[place + other] =
      other === axis ? inwards * spread * Math.sqrt(-2 * ownLog(1 - uniform())) : spread * normal(uniform);
}

/** The velocity of one of a gas (Maxwell). @param into three numbers from a place on @param spread √(kT/m), nm/ps */
export function ofGas(into: Float64Array, place: number, spread: number, uniform: () => number): void {
  for (let axis = 0; axis < 3; axis++) into[place + axis] = spread * normal(uniform);
}
