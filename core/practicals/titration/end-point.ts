import { colourChanged, liquidColour, type Rgb } from '../../chemistry/colour';
import { mix, settle, share, type Solution } from '../../chemistry/solution';
import { soluteOf } from '../../databook/solutes';
import { sightDepthMm } from '../../instruments/conical-flask';
import { addAmounts, type Amounts, type Bench, type Flask } from './bench';
import { gasOf, withoutGas } from './solid';

/** Where a titration stands: how far beyond which equivalence point, and where its indicator would have it end. */

const contentsOf = (flask: Flask): Amounts =>
  addAmounts(addAmounts(flask.mixed.amounts, flask.plume.amounts), flask.undissolved);

/** Protons that a mole of titrant brings or takes. */
const strengthOf = (bench: Bench) => Math.abs(soluteOf(bench.stock.titrant.soluteId).protons);

/** Titrant needed for each equivalence point of what is in the flask, mL. */
export function neededMl(bench: Bench, flask: Flask): number[] {
  const amounts = contentsOf(flask);
  const { titrant, exchanged } = bench.stock;
  const perMl = (titrant.molPerL * strengthOf(bench)) / 1000;
  const stages = Math.max(...Object.entries(exchanged).map(([id, counts]) => (amounts[id] ? counts.length : 1)));
  return Array.from({ length: stages }, (_, stage) => {
    const protons = Object.entries(exchanged).reduce(
      (sum, [id, counts]) => sum + (amounts[id] ?? 0) * (counts[Math.min(stage, counts.length - 1)] ?? 0),
      0,
    );
    return protons / perMl;
  });
}

/** How much of what is needed for an equivalence point the solid wants that has not dissolved, mL. */
export function undissolvedMl(bench: Bench, flask: Flask, stage: number): number {
  if (Object.keys(flask.undissolved).length === 0) return 0;
  const dissolved = neededMl(bench, { ...flask, undissolved: {} });
  return (neededMl(bench, flask)[stage] ?? 0) - (dissolved[Math.min(stage, dissolved.length - 1)] ?? 0);
}

/** Titrant that has fallen into the flask and is not mixed in yet, mL. */
export const unmixedMl = ({ stock }: Bench, flask: Flask): number =>
  (1000 * (flask.plume.amounts[stock.titrant.soluteId] ?? 0)) / stock.titrant.molPerL;

/** Protons per molecule at the equivalence point number `stage`, from 0, of what is in the flask. */
export function protonsAt(bench: Bench, flask: Flask, stage: number): number {
  const amounts = contentsOf(flask);
  for (const [id, counts] of Object.entries(bench.stock.exchanged)) {
    const count = counts[Math.min(stage, counts.length - 1)] ?? 1;
    if (amounts[id] && count > 0) return count;
  }
  return 1;
}

const deliveredMl = (bench: Bench, flask: Flask): number =>
  (1000 * (contentsOf(flask)[bench.stock.titrant.soluteId] ?? 0)) / bench.stock.titrant.molPerL;

/** The equivalence point nearest to what was delivered, from 0, and how far beyond it that is, mL. */
export function beyond(bench: Bench, flask: Flask): { stage: number; beyondMl: number } {
  const delivered = deliveredMl(bench, flask);
  const distances = neededMl(bench, flask).map((needed) => delivered - needed);
  const stage = distances.reduce(
    (best, distance, i) => (Math.abs(distance) < Math.abs(distances[best] as number) ? i : best),
    0,
  );
  return { stage, beyondMl: distances[stage] as number };
}

/** Points at which the colour is looked at on the way, and how finely a change between two of them is found. */
const LOOKS = 48;
const HALVINGS = 14;

/**
 * Where the indicators in the flask have a careful eye stop, mL beyond an equivalence point: the first change of colour
 * on the way from the equivalence point before, or from the start. Zero without indicator, and undefined when the
 * colour does not change.
 * @param carbonate whether the carbon dioxide that came with the titrant is there
 */
export function indicatorEndMl(bench: Bench, flask: Flask, stage: number, carbonate = true): number | undefined {
  const drops = Object.entries(flask.drops);
  if (drops.length === 0) return 0;
  const delivered = deliveredMl(bench, flask);
  const all = neededMl(bench, flask);
  const needed = all[stage] as number;
  const perMl = share(bench.titrantBottle, 1 / Math.max(bench.titrantBottle.volumeMl, 1e-9));
  const added = (ml: number): Solution => {
    const titrant = share(perMl, ml);
    return carbonate ? titrant : { ...titrant, amounts: withoutGas(titrant.amounts) };
  };
  const came = addAmounts(share(perMl, delivered).amounts, {});
  const start: Solution = {
    volumeMl: Math.max(flask.mixed.volumeMl + flask.plume.volumeMl - delivered, 1),
    amounts: positive(addAmounts(contentsOf(flask), came, -1)),
  };
  const ground = carbonate ? start : { ...start, amounts: addAmounts(start.amounts, gasOf(start.amounts), -1) };
  const colourAt = (ml: number): Rgb => {
    const liquid = mix(ground, added(ml));
    const { pH } = settle(liquid, { tempC: 25, activities: bench.plan.activities });
    const perVolume = Object.fromEntries(drops.map(([id, count]) => [id, count / liquid.volumeMl]));
    return liquidColour(perVolume, pH, sightDepthMm(liquid.volumeMl));
  };
  const before = stage > 0 ? (all[stage - 1] as number) : -needed;
  const from = (before + needed) / 2;
  const step = ((Math.max(delivered, needed) - from) * 1.1 + 1) / LOOKS;
  const reference = colourAt(from);
  const found = Array.from({ length: LOOKS }, (_, i) => from + (i + 1) * step).find((ml) =>
    colourChanged(reference, colourAt(ml)),
  );
  if (found === undefined) return undefined;
  let [low, high] = [found - step, found];
  for (let k = 0; k < HALVINGS; k++) {
    const middle = (low + high) / 2;
    if (colourChanged(reference, colourAt(middle))) high = middle;
    else low = middle;
  }
  return high - needed;
}

const positive = (amounts: Amounts): Amounts =>
  Object.fromEntries(Object.entries(amounts).map(([id, amount]) => [id, Math.max(amount, 0)]));
