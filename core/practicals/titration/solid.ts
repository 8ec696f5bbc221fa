import { changedLoad, displayed, type Weighed } from '../../instruments/weighing';
import { soluteOf } from '../../databook/solutes';
import { addAmounts, isSwirling, type Amounts, type Bench } from './bench';

/** The balance, and solid that goes into solution. */

/** What a weighing boat holds, g. */
export const CAPACITY_G = 5;

/** The boat with what lies on it, as the balance sees it. */
export function weighedOn({ balance, pan, boat, timeS, seed, off }: Bench): Weighed {
  return { balance, pan, loadG: boat.grams, timeS, seed, exact: off.includes('glassware') };
}

/** What the balance shows with the weighing boat on it, set to zero when that was empty. */
export const balanceText = (bench: Bench): string => displayed(weighedOn(bench));

/** Another load on the boat. */
export function withBoat(bench: Bench, grams: number): Bench {
  const { pan, boat, timeS } = bench;
  const changed = { ...pan, ...changedLoad(pan, boat.grams, timeS), weighings: pan.weighings + 1 };
  return { ...bench, boat: { grams }, pan: changed };
}

/** Solid dissolves in steps so many seconds apart, at fixed times, so that it does not matter how time is split. */
export const STEP_S = 0.5;

/** Time constants of dissolving, s. */
const DISSOLVES_S = { still: 14, swirled: 3 };
const REACTS_S = { still: 50, swirled: 12 };

/** What is left below this goes into solution with the rest, mol. */
const TRACE_MOL = 2e-6;

/** Water below which nothing dissolves, mL. */
const WETTED_ML = 5;

/** Strong acid that is free in a liquid, mol. */
const freeAcid = (amounts: Amounts) => -chargeOf(amounts);

function chargeOf(amounts: Amounts): number {
  let charge = 0;
  for (const [id, amount] of Object.entries(amounts)) {
    for (const ion of soluteOf(id).spectators) charge += ion.charge * ion.count * amount;
  }
  return charge;
}

/** The part of the solid in the flask that can dissolve in what is there, 0 to 1. */
export function dissolvable(bench: Bench): number {
  const { undissolved, mixed } = bench.flask;
  if (Object.keys(undissolved).length === 0 || mixed.volumeMl < WETTED_ML) return 0;
  if (!bench.stock.solid?.insoluble) return 1;
  const wanted = chargeOf(undissolved);
  return wanted <= 0 ? 1 : Math.min(Math.max(freeAcid(mixed.amounts) / wanted, 0), 1);
}

/** Seconds to the next step of dissolving; infinite when nothing dissolves, none when a step is overdue. */
export function timeToDissolve(bench: Bench): number {
  if (dissolvable(bench) < 1e-9) return Infinity;
  return Math.max(bench.flask.nextStep * STEP_S - bench.timeS, 0);
}

/** So much of the solid goes into solution; a last trace goes with it. */
export function dissolvePart(bench: Bench, part: number): Bench {
  const { undissolved, mixed } = bench.flask;
  const total = Object.values(undissolved).reduce((sum, amount) => sum + amount, 0);
  const all = part > 1 - 1e-9 || total * (1 - part) < TRACE_MOL;
  const share = all ? 1 : part;
  // Carbon dioxide that never was: for who wants to know what it did.
  const comes = bench.off.includes('co2') ? withoutGas(undissolved) : undissolved;
  const away = bench.off.includes('co2') ? gasOf(undissolved) : {};
  return {
    ...bench,
    gone: addAmounts(bench.gone, away, share),
    flask: {
      ...bench.flask,
      mixed: { ...mixed, amounts: addAmounts(mixed.amounts, comes, share) },
      undissolved: all ? {} : addAmounts({}, undissolved, 1 - share),
    },
  };
}

/** One step of dissolving, towards what can dissolve. */
export function dissolve(bench: Bench): Bench {
  const times = bench.stock.solid?.insoluble ? REACTS_S : DISSOLVES_S;
  const tau = isSwirling(bench) ? times.swirled : times.still;
  const after = dissolvePart(bench, dissolvable(bench) * (1 - Math.exp(-STEP_S / tau)));
  const nextStep = Math.max(bench.flask.nextStep, Math.floor(bench.timeS / STEP_S)) + 1;
  return { ...after, flask: { ...after.flask, nextStep } };
}

const GAS = 'carbonic-acid';
export const gasOf = (amounts: Amounts): Amounts => (amounts[GAS] ? { [GAS]: amounts[GAS] } : {});
export function withoutGas(amounts: Amounts): Amounts {
  const { [GAS]: _gone, ...rest } = amounts;
  return rest;
}
