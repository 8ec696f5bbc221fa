import type { Vector } from '@core/physics/flight';

/** How the vessel is looked at: turned about its upright axis and tipped towards the eye, degrees. */
export interface Sight {
  turn: number;
  tip: number;
}
export const FIRST_SIGHT: Sight = { turn: 28, tip: 18 };

/** The eye's distance from the middle of the vessel, in edges. */
const EYE = 3.6;
/** Where the middle of the vessel is drawn, and how long an edge in the middle is. */
export const VESSEL = { x: 215, y: 204, edge: 232 };

/** A place on the paper, and how far behind the middle of the vessel it lies, in edges. */
interface Seen {
  x: number;
  y: number;
  behind: number;
  /** How many times as large as in the middle things look there. */
  scale: number;
}

/** Places in the vessel as they are seen, in perspective. @returns a function of a place in edges from one corner */
export function seenFrom({ turn, tip }: Sight): (place: Vector) => Seen {
  const [a, b] = [(turn * Math.PI) / 180, (tip * Math.PI) / 180];
  const [cosA, sinA, cosB, sinB] = [Math.cos(a), Math.sin(a), Math.cos(b), Math.sin(b)];
  return ([px, py, pz]) => {
    const [x, y, z] = [px - 0.5, py - 0.5, pz - 0.5];
    const [across, along] = [x * cosA + z * sinA, z * cosA - x * sinA];
    const [up, behind] = [y * cosB + along * sinB, along * cosB - y * sinB];
    const scale = EYE / (EYE + behind);
    return { x: VESSEL.x + VESSEL.edge * across * scale, y: VESSEL.y - VESSEL.edge * up * scale, behind, scale };
  };
}

/** The six walls by their corners, in edges. */
const WALLS: readonly (readonly Vector[])[] = [0, 1, 2].flatMap((axis) =>
  [0, 1].map((side) =>
    ([[0, 0], [1, 0], [1, 1], [0, 1]] as const).map(([u, v]) => {
      const corner = [u, v];
      corner.splice(axis, 0, side as 0 | 1);
      return corner as unknown as Vector;
    }),
  ),
); // prettier-ignore

interface Wall {
  /** Outline, as the `points` of a polygon. */
  points: string;
  /** Whether the particle is seen before it. */
  isBehind: boolean;
  isFloor: boolean;
}

/** The walls as they are seen; those that look away from the eye lie behind the particle. */
export function wallsFrom(sight: Sight): Wall[] {
  const seen = seenFrom(sight);
  return WALLS.map((corners) => {
    const places = corners.map(seen);
    const mean = places.reduce((sum, { behind }) => sum + behind / 4, 0);
    return {
      points: places.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' '),
      isBehind: mean > 0,
      isFloor: corners.every(([, y]) => y === 0),
    };
  });
}
