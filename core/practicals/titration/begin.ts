import { EMPTY, solutionOf, mix, type Solution } from '../../chemistry/solution';
import { drawBurette } from '../../instruments/burette';
import { drawBalance } from '../../instruments/balance';
import { BARE_PAN, untaredG } from '../../instruments/weighing';
import { pipetteOf, volumetricOf } from '../../databook/glassware';
import { chance, withinTolerance } from '../../random';
import { COMMON_AT_START } from '../common-acts';
import type { Stock } from './kind';
import type { Plan } from './plan';
import { newProbe } from './fresh-probe';
import { type Bench, TITRANT_BOTTLE_ML, BOTTLE_ML, JAR_G, CLEAN_FLASK } from './bench';

/** A bench of titration as a student comes to it. */

/** The part of its hydroxide that a base has already lost to carbon dioxide of the air, where the teacher wants it. */
const TAKEN_UP = { least: 0.01, more: 0.015 };

/** The titrant as it is: with the carbon dioxide that it has taken up, if any. */
function titrantIn(stock: Stock, seed: string, carbonate: boolean): Solution {
  const { soluteId, molPerL } = stock.titrant;
  const pure = solutionOf(soluteId, molPerL, TITRANT_BOTTLE_ML);
  if (!carbonate) return pure;
  const part = TAKEN_UP.least + TAKEN_UP.more * chance(seed, 'carbon dioxide').uniform();
  return {
    ...pure,
    amounts: { ...pure.amounts, 'carbonic-acid': (pure.amounts[soluteId] as number) * part },
  };
}

export function begin(
  plan: Plan,
  stock: Stock,
  seed: string,
  { off = [], carbonate = false }: { off?: readonly string[]; carbonate?: boolean } = {},
): Bench {
  const exact = off.includes('glassware');
  const pipetteError = withinTolerance(pipetteOf(plan.pipetteMl).toleranceMl, chance(seed, 'pipette'));
  const balance = drawBalance(plan.readability, seed, exact);
  const bottle = Object.entries(stock.bottle).map(([id, molPerL]) => solutionOf(id, molPerL, BOTTLE_ML));
  return {
    plan,
    stock,
    seed,
    off,
    ...COMMON_AT_START,
    draws: 0,
    bottle: plan.bottle ? { ...bottle.reduce(mix, EMPTY), volumeMl: BOTTLE_ML } : EMPTY,
    titrantBottle: titrantIn(stock, seed, carbonate && !off.includes('co2')),
    burette: {
      piece: exact ? { scaleError: 0 } : drawBurette(chance(seed, 'burette')),
      liquid: EMPTY,
      hanging: EMPTY,
      dropMl: 0.045 + 0.01 * chance(seed, 'drop').uniform(),
      tap: 'closed',
      pouring: false,
      filledInMl: 0,
      bubbleMl: 0,
      tip: EMPTY,
      funnel: null,
    },
    pipette: { errorMl: exact ? 0 : pipetteError, content: EMPTY, from: 'bottle' },
    volumetric: {
      errorMl:
        exact || plan.diluteToMl === null
          ? 0
          : withinTolerance(volumetricOf(plan.diluteToMl).toleranceMl, chance(seed, 'volumetric flask')),
      content: EMPTY,
      madeUp: false,
    },
    jarG: plan.jar ? JAR_G : 0,
    boat: { grams: 0 },
    balance,
    pan: { ...BARE_PAN, tareG: untaredG({ balance, pan: BARE_PAN, loadG: 0, timeS: 0, seed, exact }) },
    flask: CLEAN_FLASK,
    waste: EMPTY,
    wasteG: 0,
    gone: {},
    waterTakenMl: 0,
    indicatorMl: 0,
    portions: {},
    tips: {},
    probe: newProbe(seed, off.includes('probe'), plan.probe),
    logged: [],
    curveFlasks: {},
  };
}
