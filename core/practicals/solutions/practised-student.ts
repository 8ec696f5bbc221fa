import { benchSolutionOf, BENCH_SOLUTIONS } from '../../databook/bench-solutions';
import { workBy } from '../method';
import { aloneSeen, pairSeen } from './assignments';
import { coloursOf, pairsSeen } from './by-eye';
import type { Hands } from './by-hand';
import type { Observed } from './look';
import { pairOf, ratioMethod, type Habits } from './methods/ratio';
import { runsOutMethod, type GasHabits } from './methods/runs-out';
import { weighedMethod, type SolidHabits } from './methods/weighed';
import type { Plan } from './plan';

/** How students work who know the methods; used for demo classes, rehearsals and tests. */

export { taskVolumes } from './methods/weighed';
export { recordPan, type Hands } from './by-hand';
export type { GasHabits, Habits, SolidHabits };

const FORMS = [
  { drops: [4, 4], at: 0 },
  { drops: [2, 12], at: 1 },
  { drops: [12, 2], at: 2 },
] as const;

/** Names each bottle from the student's own list, by pairs of drops and the data book. @returns names of A, B, C …, and what was seen of equal drops */
export async function nameBottles(hands: Hands, plan: Plan): Promise<{ names: string[]; seen: Observed[] }> {
  const { act, view } = hands;
  const list = (/order: (.*)$/u.exec(view().task ?? '')?.[1] ?? '').split(', ');
  const ids = list.map((name) => BENCH_SOLUTIONS.find((one) => one.name === name)?.id ?? '');
  const alone = await coloursOf(hands, plan.bottles);
  const shades: string[] = [];
  if (plan.paper)
    for (let i = 1; i <= plan.bottles; i++) {
      await act({ kind: 'paper', vessel: i }, 2);
      shades.push(view().paper?.shade ?? '');
    }
  const fitsAlone = (id: string, i: number) => {
    if (!plan.paper) return true;
    const expected = aloneSeen(id, true);
    const isAcid = shades[i] === 'red';
    const isBase = shades[i] === 'blue' || shades[i] === 'violet';
    return expected.endsWith('red') ? isAcid : expected.endsWith('violet') ? isBase : !isAcid || !isBase;
  };
  let left = permutations(ids).filter((so) => so.every(fitsAlone));
  let first: Observed[] = [];
  for (const { drops, at } of FORMS) {
    if (at > 0 && left.length <= 1) break;
    const seen = await pairsSeen(hands, plan.bottles, alone, [...drops]);
    if (at === 0) first = [...seen.values()];
    // Where a sight is faint, people differ: nothing is ruled out by it.
    const fits = (so: readonly string[]) =>
      [...seen].every(([key, what]) => {
        const [a, b] = key.split(' ').map(Number) as [number, number];
        const expected = pairSeen(so[a - 1] as string, so[b - 1] as string)[at];
        return !expected || expected.isFaint || expected.seen === what;
      });
    left = left.filter(fits);
  }
  return { names: (left[0] ?? ids).map((id) => benchSolutionOf(id).name), seen: first };
}

function permutations<T>(all: readonly T[]): T[][] {
  if (all.length <= 1) return [[...all]];
  return all.flatMap((one, i) => permutations([...all.slice(0, i), ...all.slice(i + 1)]).map((rest) => [one, ...rest]));
}

/** A series of mixtures of the two that react, what they warm by and what is left over. @returns the pair, from 0 */
export async function mixSeries(hands: Hands, plan: Plan, habits: Habits = {}): Promise<[number, number]> {
  await workBy(ratioMethod(plan, habits), hands);
  return pairOf(hands);
}

/** Mixes the volumes, lets the solid ripen, filters, washes, dries and weighs it. */
export const weighSolid = (
  hands: Hands,
  plan: Plan,
  volumes: readonly [number, number],
  habits: SolidHabits = {},
): Promise<void> =>
  workBy(
    weighedMethod(plan, () => volumes, habits),
    hands,
  );

/** Growing amounts of the carbonate in the same amount of acid, each weighed before and after. @param grams of the carbonate */
export const growCarbonate = (hands: Hands, grams: readonly number[], habits: GasHabits = {}): Promise<void> =>
  workBy(runsOutMethod(grams, habits), hands);
