import { changedLoad, displayed, isUnsettled, type Weighed } from '../../instruments/weighing';
import { saturatedKPa } from '../../physics/gas-law';
import { vapourOf } from '../../databook/vapours';
import { chance } from '../../random';
import type { Bench, Injector } from './bench';

/** A small syringe with a needle, by which a liquid is brought into a hot one: weighed before and after. */

/** What an open needle gives off, g/s for each kPa of vapour pressure. Model value. */
const GIVES_OFF = 1.2e-6;
export const drawInjector = (seed: string): Injector => {
  const source = chance(seed, 'injector');
  return {
    emptyG: 4.6 + 0.8 * source.uniform(),
    stopperG: 0.35 + 0.1 * source.uniform(),
    liquidG: 0,
    isStoppered: true,
    at: 'mat',
    hasShot: false,
    evaporatedG: 0,
  };
};

/** Liquid after some seconds: what an open needle gives off is gone. */
export function evaporated(injector: Injector, vapourId: string, roomC: number, seconds: number): Injector {
  if (injector.isStoppered || injector.liquidG === 0) return injector;
  const kPa = saturatedKPa(vapourOf(vapourId).antoine, roomC);
  const gone = Math.min(injector.liquidG, GIVES_OFF * kPa * seconds);
  return { ...injector, liquidG: injector.liquidG - gone, evaporatedG: injector.evaporatedG + gone };
}

export const loadOf = ({ injector, collected }: Pick<Bench, 'injector' | 'collected'>): number =>
  collected?.strip?.at === 'pan'
    ? collected.strip.g
    : injector === null || injector.at === 'mat'
      ? 0
      : injector.emptyG + injector.liquidG + (injector.isStoppered ? injector.stopperG : 0);

export const weighedOn = (bench: Bench): Weighed | null =>
  bench.balance && {
    balance: bench.balance,
    pan: bench.pan,
    loadG: loadOf(bench),
    timeS: bench.timeS,
    seed: bench.seed,
    exact: bench.off.includes('balance'),
    atOnce: bench.off.includes('settling'),
  };

export const balanceText = (bench: Bench): string | null => {
  const weighed = weighedOn(bench);
  return weighed && displayed(weighed);
};

export const isAtRest = ({ pan, timeS }: Bench): boolean => !isUnsettled(pan, timeS);

/** A bench whose load an act has changed goes on from what showed. */
export function weighedAnew(before: Bench, after: Bench): Bench {
  const then = loadOf(before);
  if (loadOf(after) === then) return after;
  const weighings = after.pan.weighings + 1;
  return { ...after, pan: { ...after.pan, ...changedLoad(before.pan, then, after.timeS), weighings } };
}
