import { withCommonActs } from '../with-common-acts';
import { whichBottle } from './kinds/bottles';
import { whichReact } from './kinds/ratio';
import { runsOut } from './kinds/runs-out';
import { solidFound } from './kinds/solid-found';
import { solidYield } from './kinds/solid-yield';
import { solutions } from './practical';

/** The practicals of solutions. */
export const SOLUTION_PRACTICALS = {
  ratio: withCommonActs(solutions(whichReact)),
  bottles: withCommonActs(solutions(whichBottle)),
  yield: withCommonActs(solutions(solidYield)),
  found: withCommonActs(solutions(solidFound)),
  runsOut: withCommonActs(solutions(runsOut)),
};
