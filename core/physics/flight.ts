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

const AXES = [0, 1, 2] as const;

/** When it meets the wall ahead on an axis, ps from its last event; never where it does not move along it. */
function meetsPs({ at, direction, speed }: Flight, axis: number, { edgeNm, radiusNm }: Room): number {
  const along = (direction[axis] as number) * speed;
  if (along === 0) return Infinity;
  const wall = along > 0 ? edgeNm - radiusNm : radiusNm;
  return (wall - (at[axis] as number)) / along;
}

const moved = ({ at, direction, speed }: Flight, ps: number): Vector => [
  at[0] + direction[0] * speed * ps,
  at[1] + direction[1] * speed * ps,
  at[2] + direction[2] * speed * ps,
];

/** The flight after all the walls that it has met by a moment, ps. */
export function flownTo(flight: Flight, untilPs: number, room: Room): Flight {
  let now = flight;
  for (;;) {
    const times = AXES.map((axis) => meetsPs(now, axis, room));
    const inPs = Math.min(...times);
    if (!(now.sincePs + inPs <= untilPs)) return now;
    const axis = times.indexOf(inPs);
    const wall = (now.direction[axis] as number) > 0 ? room.edgeNm - room.radiusNm : room.radiusNm;
    const at = moved(now, inPs).map((x, i) => (i === axis ? wall : x)) as unknown as Vector;
    const direction = now.direction.map((d, i) => (i === axis ? -d : d)) as unknown as Vector;
    now = { ...now, at, direction, sincePs: now.sincePs + inPs, hits: now.hits + 1 };
  }
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
