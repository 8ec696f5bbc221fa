import { VOLUME_SLOTS } from '../plan';
import { valueOf, type Row } from '../rows';

/** Where a vapour among gases leaves the line that it shares with them. */

/** So much less than the others it has left the line, as a part: more than real vapours depart while they are gases. */
const LEFT = 0.965;

interface Bend {
  /** The middle of the gap, °C: anything within it is as likely. */
  at: number;
  /** The gap between the last point on the line and the first off it, °C. */
  from: number;
  to: number;
}

interface Point {
  x: number;
  y: number;
}

/** Points of one syringe, by temperature. */
export const pointsOf = (rows: readonly Row[], place: number): Point[] =>
  rows
    .flatMap((row) => {
      const slot = VOLUME_SLOTS[place];
      const [x, y] = [valueOf(row, 't'), slot && valueOf(row, slot)];
      return x !== undefined && y !== undefined ? [{ x, y }] : [];
    })
    .sort((a, b) => a.x - b.x);

/**
 * The bend of one syringe's line, by how its volume goes with that of the others in the same bath: on the line their ratio stays.
 * Undefined where there are fewer than two points on the line, or none below it.
 */
export function bendOf(rows: readonly Row[], odd: number): Bend | undefined {
  const seen = rows.flatMap((row) => {
    const volumes = VOLUME_SLOTS.map((slot) => valueOf(row, slot));
    const others = volumes.filter((_, place) => place !== odd);
    const [t, own] = [valueOf(row, 't'), volumes[odd]];
    if (t === undefined || own === undefined || others.some((one) => one === undefined)) return [];
    const sum = others.reduce<number>((a, b) => a + (b ?? 0), 0);
    return sum > 0 ? [{ x: t, y: own, ratio: own / sum }] : [];
  });
  if (seen.length < 4) return undefined;
  seen.sort((a, b) => a.x - b.x);
  const most = Math.max(...seen.slice(-2).map(({ ratio }) => ratio));
  const below = seen.findLastIndex(({ ratio }) => ratio < LEFT * most);
  const [low, high] = [seen[below], seen[below + 1]];
  if (!low || !high || seen.length - below < 3) return undefined;
  const moved = rows.find(({ bendPart }) => bendPart !== undefined)?.bendPart ?? 0;
  return { at: (low.x + high.x) / 2 + moved * (high.x - low.x), from: low.x, to: high.x };
}
