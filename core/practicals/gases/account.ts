import { vapourOf } from '../../databook/vapours';
import type { Accounts } from '../contract';
import type { Bench } from './bench';

/** Totals that no act may change: gas in the apparatus, less what came in, with what went out; vapour and gas of each capped syringe. */
export function accountsOf({ plan, sample, gasMol, inMol, outMol, free, injector, collected }: Bench): Accounts {
  const gPerMol = sample.vapourId === null ? 0 : vapourOf(sample.vapourId).gPerMol;
  if (collected && sample.metalId !== null) {
    const hung = collected.strip?.g ?? 0;
    return { 'metal, g': collected.cutG - collected.spentG - hung };
  }
  if (plan.gear === 'injected' && injector) {
    const liquid = gPerMol > 0 ? (injector.liquidG + injector.evaporatedG) / gPerMol : 0;
    const inside = free.reduce((sum, one) => sum + one.gasMol + one.vapourMol + one.pendingMol, 0);
    return { 'air and liquid, mol': inside + liquid - inMol + outMol };
  }
  if (plan.gear === 'syringes')
    return Object.fromEntries(free.map(({ gasMol: gas, vapourMol }, i) => [`syringe ${i + 1}, mol`, gas + vapourMol]));
  return { 'gas, mol': gasMol - inMol + outMol };
}
