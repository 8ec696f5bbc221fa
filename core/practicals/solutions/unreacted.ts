import { benchSolutionOf } from '../../databook/bench-solutions';
import { reactionOf } from '../../databook/bench-reactions';
import { settledIn, type Contents } from '../../chemistry/contents';
import type { Sample } from './sample';

/** Protons beyond the bases, mol: what a strong base would take, less what a strong acid would. */
function protonsMol(contents: Contents): number {
  const { made, solids } = settledIn(contents);
  const fallen = made.falling.reduce((sum, { id, of }) => sum + (of.H ?? 0) * (solids[id] ?? 0), 0);
  return (contents.amounts.H ?? 0) - fallen;
}

/** mol of formula units of one side of a reaction that have not reacted: its species is neither fallen nor used up. */
function freeMol(contents: Contents, solutionId: string, named: string | undefined): number {
  const solution = benchSolutionOf(solutionId);
  const free = named ?? solution.free;
  if (free === 'H' || free === 'OH')
    return ((free === 'H' ? 1 : -1) * protonsMol(contents)) / Math.abs(solution.of.H ?? 1);
  const { made, found, litres } = settledIn(contents);
  const place = made.order.findIndex((id) => id === free);
  if (place < 0) return 0;
  const dissolved = made.system.species.reduce(
    (sum, { makeup }, i) => sum + (makeup[place] ?? 0) * (found.molar[i] ?? 0),
    0,
  );
  return (dissolved * litres) / (solution.of[made.order[place] as keyof typeof solution.of] ?? 1);
}

/**
 * What of each bottle's substance has not reacted in a mixture, mol: the free reacting species of the two that react, and all of the others.
 * @param brought mol of each bottle's substance that came into it
 */
export function unreactedMol(contents: Contents, brought: readonly number[], { bottles, reaction }: Sample): number[] {
  const entry = reaction === null ? undefined : reactionOf(reaction);
  return bottles.map(({ id }, i) => {
    const came = brought[i] ?? 0;
    const side = entry?.sides.find((one) => one.id === id);
    if (!side || contents.volumeMl <= 0) return came;
    return Math.min(Math.max(freeMol(contents, id, side.free), 0), came);
  });
}
