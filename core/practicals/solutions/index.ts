import { withCommonActs } from '../with-common-acts';
import { whichBottle } from './kinds/bottles';
import { whichReact } from './kinds/ratio';
import { solutions } from './practical';

/** The practicals of solutions. */
export const SOLUTION_PRACTICALS = {
  ratio: withCommonActs(solutions(whichReact)),
  bottles: withCommonActs(solutions(whichBottle)),
};
