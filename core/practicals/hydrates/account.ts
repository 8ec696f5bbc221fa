import { compositionOf } from '../../chemistry/formula';
import { drySaltOf, type Hydrate } from '../../databook/hydrates';
import type { Accounts } from '../contract';
import type { Bench } from './bench';
import { amountsIn, saltIn } from './crucible';

/** Totals that no act may change: mol of each element of the salt, and grams of what it is mixed with. */
export function accountsOf(bench: Bench): Accounts {
  const salt = saltIn(bench);
  const sum: Record<string, number> = {};
  const add = (formula: string, mol: number) => {
    for (const [symbol, count] of Object.entries(compositionOf(formula).atoms))
      sum[symbol] = (sum[symbol] ?? 0) + count * mol;
  };
  const stages = ({ stages: all }: Hydrate, amounts: readonly number[], sign: 1 | -1) =>
    amounts.forEach((mol, i) => {
      const stage = all[i];
      if (stage) add(stage.formula, sign * mol * stage.per);
    });
  stages(salt, amountsIn(bench.crucible), 1);
  stages(salt, bench.crucible.spat, 1);
  stages(salt, bench.wasted, 1);
  for (const [gas, mol] of Object.entries(bench.gone)) add(gas, mol);
  add('H2O', -bench.tookUpMol);
  stages(salt, [bench.takenMol], -1);
  if (bench.sample.withId) {
    const { name } = drySaltOf(bench.sample.withId);
    sum[`${name}, g`] = bench.crucible.inertG + bench.wastedInertG - bench.takenInertG;
  }
  return sum;
}
