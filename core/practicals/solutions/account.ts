import { compositionOf } from '../../chemistry/formula';
import type { Contents } from '../../chemistry/contents';
import { carbonateOf } from '../../databook/weighed-solids';
import { COMPONENTS } from '../../databook/precipitates';
import type { Accounts } from '../contract';
import type { Bench } from './bench';

/**
 * Totals that no act may change: mol of each element but those of water, and charge, in vessels, waste and what left as gas, less what was had
 * of bottles and of the jar.
 */
export function accountsOf(bench: Bench): Accounts {
  const sum: Record<string, number> = { charge: 0 };
  const add = ({ amounts }: Contents, sign: number) => {
    for (const { id, formula, charge } of COMPONENTS) {
      const mol = sign * (amounts[id] ?? 0);
      if (mol === 0) continue;
      sum['charge'] = (sum['charge'] ?? 0) + charge * mol;
      for (const [symbol, count] of Object.entries(compositionOf(formula).atoms))
        if (symbol !== 'H' && symbol !== 'O') sum[symbol] = (sum[symbol] ?? 0) + count * mol;
    }
  };
  bench.vessels.forEach(({ contents }) => add(contents, 1));
  add(bench.colorimeter.contents, 1);
  bench.papers.forEach(({ held }) => add(held, 1));
  add(bench.waste, 1);
  add(bench.taken, -1);
  if (bench.sample.jar) add({ volumeMl: 0, amounts: carbonateOf(bench.sample.jar).of }, -bench.tippedIn);
  // Carbon dioxide that left: its two protons and its carbonate had no charge together.
  sum['C'] = (sum['C'] ?? 0) + bench.goneMol;
  return sum;
}
