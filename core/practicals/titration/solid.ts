import { fixed } from '../../analysis/quantity';
import { chance } from '../../random';
import { soluteOf } from '../../databook/solutes';
import { addAmounts, isSwirling, type Amounts, type Bench } from './bench';

/** The balance, and solid that goes into solution. */

/** Error of a weighing as a part of the balance's readability: standard deviation. */
const REPEATABILITY = 0.6;
export const CAPACITY_G = 5;

/** What the balance shows with the weighing boat on it, tared when empty. */
export function balanceText(bench: Bench): string {
  const { readabilityG } = bench.plan;
  const error = bench.off.includes('glassware')
    ? 0
    : chance(bench.seed, `balance ${bench.boat.changes}`).normal() * REPEATABILITY * readabilityG;
  const shown = bench.boat.changes === 0 ? 0 : Math.max(bench.boat.grams + error, 0);
  return fixed(shown, Math.round(-Math.log10(readabilityG)));
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
