import { fixed } from '../analysis/quantity';

/** What a substance can be named by: what an eye tells of it, and what can be measured of it, by quantity. */
export interface Likeness {
  name: string;
  /** What an eye tells: of two that look different nobody takes one for the other. */
  look: string;
  values: Readonly<Record<string, number>>;
}

/** How near two values must lie to be taken for one another: in the unit of the quantity. */
export type Nearness = (quantity: string, value: number) => number;

/** Whether two substances cannot be told apart by what is measured so exactly. */
const areAlike = (a: Likeness, b: Likeness, near: Nearness): boolean =>
  a.look === b.look &&
  Object.entries(a.values).every(([key, value]) => Math.abs(value - (b.values[key] ?? NaN)) < near(key, value));

/** The names that readings leave open: those that look alike and lie within what the readings are uncertain by. */
export const namesLeftOpen = (candidates: readonly Likeness[], found: Likeness, near: Nearness): string[] =>
  Object.keys(found.values).length === 0
    ? []
    : candidates.filter((one) => areAlike(found, one, near)).map(({ name }) => name);

/** All pairs of a pool that the tray cannot tell apart. */
export function pairsAlike(pool: readonly Likeness[], near: Nearness): [Likeness, Likeness][] {
  return pool.flatMap((a, i) =>
    pool.slice(i + 1).flatMap((b): [Likeness, Likeness][] => (areAlike(a, b, near) ? [[a, b]] : [])),
  );
}

/** Why a pool cannot be given out, as a sentence; null when all of it can be told apart. */
export function pairObjection(pool: readonly Likeness[], near: Nearness, more: string): string | null {
  const [pair] = pairsAlike(pool, near);
  if (!pair) return null;
  const [a, b] = pair;
  const [key = ''] = Object.keys(a.values);
  const percent = (100 * Math.abs((a.values[key] as number) - (b.values[key] as number))) / (a.values[key] as number);
  return `With what is on the tray nobody can tell ${a.name} from ${b.name}: they look alike, and differ by ${fixed(percent, 1)} %. ${more}`;
}
