import type { Accounts } from '../contract';
import type { Bench } from './bench';

/** Totals that no act may change: gas in the apparatus, less what came in, with what went out; vapour and gas of each capped syringe. */
export function accountsOf({ plan, gasMol, inMol, outMol, free }: Bench): Accounts {
  if (plan.gear === 'syringes')
    return Object.fromEntries(free.map(({ gasMol: gas, vapourMol }, i) => [`syringe ${i + 1}, mol`, gas + vapourMol]));
  return { 'gas, mol': gasMol - inMol + outMol };
}
