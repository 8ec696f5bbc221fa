import type { Chance } from '../random';

/**
 * A round particle that flies straight in a cube with plain walls, and comes off them as fast as it came: from event to
 * event, so that where it is follows from its last hit alone and no step is ever taken. Lengths in nm, times in ps, speeds in nm/ps.
 *
 * Only + − × ÷ and √ are used, which IEEE 754 rounds alike on every machine: browser and server have the same flight to the last bit.
 */

export type Vector = readonly [number, number, number];

/** The vessel as a particle's middle meets it: a cube, edge in nm, and how near to a wall it comes. */
export interface Room {
  edgeNm: number;
  radiusNm: number;
}

/** Straight on from a moment, until a wall is in the way. */
export interface Flight {
  /** Where its middle was then, nm from one corner. */
  at: Vector;
  /** Of length 1. */
  direction: Vector;
  speed: number;
  sincePs: number;
  /** Walls that it has hit so far. */
  hits: number;
}

/** When a middle meets the wall ahead of it on one axis, in ps; never where it does not move along it. */
function meetsPs(at: number, along: number, near: number, far: number): number {
  if (along === 0) return Infinity;
  return ((along > 0 ? far : near) - at) / along;
}

const moved = ({ at, direction, speed }: Flight, ps: number): Vector => [
  at[0] + direction[0] * speed * ps,
  at[1] + direction[1] * speed * ps,
  at[2] + direction[2] * speed * ps,
];

/**
 * The flight after all the walls that it has met by a moment, ps. Six hours of a bench clock are a hundred thousand walls and
 * more, so nothing is made anew on the way from one to the next.
 */
export function flownTo(flight: Flight, untilPs: number, { edgeNm, radiusNm }: Room): Flight {
  const { speed } = flight;
  const [near, far] = [radiusNm, edgeNm - radiusNm];
  let { sincePs, hits } = flight;
  let [x, y, z] = flight.at;
  let [dx, dy, dz] = flight.direction;
  for (;;) {
    const inX = meetsPs(x, dx * speed, near, far);
    const inY = meetsPs(y, dy * speed, near, far);
    const inZ = meetsPs(z, dz * speed, near, far);
    const inPs = Math.min(inX, inY, inZ);
    if (!(sincePs + inPs <= untilPs)) break;
    x += dx * speed * inPs;
    y += dy * speed * inPs;
    z += dz * speed * inPs;
    // The wall itself, whatever rounding made of the way there.
    if (inPs === inX) [x, dx] = [dx > 0 ? far : near, -dx];
    else if (inPs === inY) [y, dy] = [dy > 0 ? far : near, -dy];
    else [z, dz] = [dz > 0 ? far : near, -dz];
    sincePs += inPs;
    hits++;
  }
  return hits === flight.hits ? flight : { at: [x, y, z], direction: [dx, dy, dz], speed, sincePs, hits };
}

/** Where its middle is at a moment before its next hit, nm. */
export const placeAt = (flight: Flight, ps: number): Vector => moved(flight, ps - flight.sincePs);

/** The same particle at a moment, from there on at another speed. */
export const atSpeed = (flight: Flight, ps: number, speed: number): Flight => ({
  ...flight,
  at: placeAt(flight, ps),
  sincePs: ps,
  speed,
});

/**
 * A direction of length 1, each as likely as any other.
 * Source: G. Marsaglia, Ann. Math. Stat. 43 (1972) 645: choosing a point from the surface of a sphere.
 */
export function anyDirection(source: Chance): Vector {
  for (;;) {
    const [a, b] = [2 * source.uniform() - 1, 2 * source.uniform() - 1];
    const s = a * a + b * b;
    if (s >= 1) continue;
    const root = 2 * Math.sqrt(1 - s);
    return [a * root, b * root, 1 - 2 * s];
  }
}

/** A place anywhere in the vessel, each as likely as any other. */
export function anyPlace(source: Chance, { edgeNm, radiusNm }: Room): Vector {
  const one = () => radiusNm + (edgeNm - 2 * radiusNm) * source.uniform();
  return [one(), one(), one()];
}
