import { benchSolutionOf, NOT_MODELLED, type BenchSolution } from '../../databook/bench-solutions';
import { settledIn } from '../../chemistry/contents';
import { liquidRgb } from '../../chemistry/ion-colour';
import { liquidColourName } from '../../chemistry/colour';
import { dropsOf, observed, type Observation } from './look';
import { shuffled, type Chance } from '../../random';
import { shadeAt } from './tool-acts';

/** Which bottles can be told apart by putting them together: for which sets there is one assignment of names and no other. */

/** What stands in a bottle that is to be named, mol/L: acids, bases and carbonate stronger than salts. */
const STRONGER: Readonly<Record<string, number>> = {
  'hydrochloric-acid': 1, 'nitric-acid': 1, 'sulfuric-acid': 0.5, 'sodium-hydroxide': 1, ammonia: 2, 'sodium-carbonate': 0.5,
}; // prettier-ignore
export const bottleMolPerL = (id: string): number => STRONGER[id] ?? (id === 'permanganate' ? 0.02 : 0.1);

const hasComponent = ({ of, free }: BenchSolution, id: string): boolean =>
  free === id || (id !== 'H' && Object.keys(of).includes(id));

/** Why two solutions cannot stand on one tray; undefined where they can. */
export function notModelled(a: string, b: string): string | undefined {
  const [one, two] = [benchSolutionOf(a), benchSolutionOf(b)];
  return NOT_MODELLED.find(
    (pair) =>
      (hasComponent(one, pair.a) && hasComponent(two, pair.b)) ||
      (hasComponent(two, pair.a) && hasComponent(one, pair.b)),
  )?.why;
}

/** Drops of one and the other in which a pair is tried: alike, and each in excess. */
const TRIED = [
  [6, 6],
  [2, 12],
  [12, 2],
] as const;
/** Drops are not all alike: what is seen of equal numbers has to be the same a little to either side. */
const NEARLY = [
  [6, 5],
  [5, 6],
] as const;

const pairs = new Map<string, readonly Observation[]>();
/** What is seen of a pair, alike first, then with the second in excess, then with the first. */
export function pairSeen(a: string, b: string): readonly Observation[] {
  const key = `${a} ${b}`;
  const known = pairs.get(key);
  if (known) return known;
  const of = ([m, n]: readonly [number, number]) =>
    observed(dropsOf(a, bottleMolPerL(a), m), dropsOf(b, bottleMolPerL(b), n));
  const isSure = NEARLY.every((drops) => of(drops).seen === of(TRIED[0]).seen);
  const seen = TRIED.map((drops, i) => ({ ...of(drops), ...(i === 0 && !isSure ? { isFaint: true } : {}) }));
  pairs.set(key, seen);
  return seen;
}

const alone = new Map<string, string>();
/** What is seen of a bottle by itself: its colour, and what paper makes of it. */
export function aloneSeen(id: string, paper: boolean): string {
  const key = `${id} ${paper}`;
  const known = alone.get(key);
  if (known !== undefined) return known;
  const contents = dropsOf(id, bottleMolPerL(id), 200);
  const { pH } = settledIn(contents);
  // Shades next to one another may be mixed up: acid, base or neither is what can be relied on.
  const shade = paper ? (pH < 3 ? shadeAt(1) : pH > 10.5 ? shadeAt(13) : 'between') : '';
  const made = `${liquidColourName(liquidRgb(contents, 20)).replace(/^(?:very faint|faint|deep|dark) /u, '')} ${shade}`;
  alone.set(key, made);
  return made;
}

/** Whether two sights are told apart by everyone. */
const areTold = (a: Observation, b: Observation): boolean => a.seen !== b.seen && !a.isFaint && !b.isFaint;
const arePairsTold = (a: readonly Observation[], b: readonly Observation[]): boolean =>
  a.some((one, i) => areTold(one, b[i] as Observation));

/**
 * Another assignment of the same names to the same bottles that all that can be seen allows; undefined where there is none.
 * @returns for each bottle, whose place it could take
 */
export function otherAssignment(ids: readonly string[], paper: boolean): number[] | undefined {
  const n = ids.length;
  const fits = (place: number, as: number, so: readonly number[]) =>
    aloneSeen(ids[place] as string, paper) === aloneSeen(ids[as] as string, paper) &&
    so.every(
      (other, i) =>
        !arePairsTold(
          pairSeen(ids[i] as string, ids[place] as string),
          pairSeen(ids[other] as string, ids[as] as string),
        ),
    );
  const search = (so: number[]): number[] | undefined => {
    if (so.length === n) return so.some((as, i) => as !== i) ? so : undefined;
    for (let as = 0; as < n; as++) {
      if (so.includes(as) || !fits(so.length, as, so)) continue;
      const found = search([...so, as]);
      if (found) return found;
    }
    return undefined;
  };
  return search([]);
}

/** Whether two can stand on one tray: what they do is modelled, and everyone sees the same of equal drops of them. */
const goTogether = (a: string, b: string): boolean => notModelled(a, b) === undefined && !pairSeen(a, b)[0]?.isFaint;

/** Whether a set can be given out: each pair of it is modelled and plain to see, and it has one assignment. */
export const canBeTold = (ids: readonly string[], paper: boolean): boolean =>
  ids.every((a, i) => ids.slice(i + 1).every((b) => goTogether(a, b))) && otherAssignment(ids, paper) === undefined;

/** The most sets that are looked at until one is found that can be told. */
const MOST_TRIES = 600;

/** A set of so many out of a pool that can be told apart, in an order of its own; undefined where none is found. */
export function drawnSet(pool: readonly string[], size: number, paper: boolean, source: Chance): string[] | undefined {
  for (let i = 0; i < MOST_TRIES; i++) {
    const ids = shuffled(pool.length, source)
      .slice(0, size)
      .map((at) => pool[at] as string);
    if (ids.length === size && canBeTold(ids, paper)) return ids;
  }
  return undefined;
}
