import type { Bench, KeptReading } from '../bench';
import type { Plan } from '../plan';
import { gasOf } from '../solid';
import { trialsOf } from '../trials';

/** When results agree, and what a trial has to have before it counts. */

/** A base that is found by a weighed standard first, and then used on the sample. */
export const isStandardised = ({ jar, bottle, warm }: Plan): boolean => jar !== null && bottle !== null && !warm;

/** Titres agree when they lie so near to one another, mL; results of weighed portions, as a part of them. */
const AGREE_ML = 0.1;
const AGREE_PART = 0.01;
const agree = (values: readonly number[], within: (a: number) => number): boolean =>
  values.some((a, i) => values.some((b, j) => j > i && Math.abs(a - b) <= within(a) + 1e-9));

export const hasCurve = ({ logged }: Bench, trial: number): boolean => logged.some((line) => line.trial === trial);

/** Fewest lines of a curve, and of those that lie beyond its steepest place; how far a pH goes in a step at the least. */
const [LINES, BEYOND, STEP_PH] = [20, 5, 1.5];

/** Whether the log of a trial goes well beyond a step, as a student sees it who looks at its lines. */
function isWhole({ plan, logged }: Bench, trial: number): boolean {
  const shown = logged.filter((line) => line.trial === trial).map((line) => Number(line.shown));
  if (shown.length < LINES) return false;
  if (plan.probe !== 'pH') return true;
  const steps = shown.slice(1).map((value, i) => Math.abs(value - (shown[i] ?? value)));
  const steepest = steps.indexOf(Math.max(...steps));
  return Math.max(...shown) - Math.min(...shown) >= STEP_PH && steps.length - 1 - steepest >= BEYOND;
}
/** Whole curves of trials that were not left out. */
export const curvesOf = (bench: Bench): number =>
  [...new Set(bench.logged.map(({ trial }) => trial))].filter(
    (trial) => bench.leftOut[trial] === undefined && isWhole(bench, trial),
  ).length;

const counting = (bench: Bench) => trialsOf(bench).trials.filter((trial) => trial.counts);
/** A portion that was weighed and never titrated is half of nothing: it counts nowhere. */
const hasHalf = (bench: Bench): boolean =>
  trialsOf(bench).trials.some(
    ({ first, last, leftOut, number }) =>
      leftOut === null && (first === null) !== (last === null) && !hasCurve(bench, number),
  );

/** Whether two portions that were weighed give the same for each gram. */
export function hasLikeGrams(bench: Bench): boolean {
  const { plan, stock, portions } = bench;
  const perGram = counting(bench).flatMap(({ titre, mass, number }) => {
    if (mass === null || !(Number(mass) > 0)) return [];
    // Acid that was left over, where that is what is titrated: what was used is the rest.
    const acid = Object.values(stock.bottle)[0] ?? 0;
    const added = plan.warm ? ((portions[number] ?? 0) * plan.pipetteMl * acid) / stock.titrant.molPerL : 0;
    return [Math.abs(Number(titre) - added) / Number(mass)];
  });
  return !hasHalf(bench) && agree(perGram, (a) => AGREE_PART * a);
}

/** Whether two portions that were pipetted have the same titre. */
export const hasLikeTitres = (bench: Bench): boolean =>
  !hasHalf(bench) &&
  agree(
    counting(bench)
      .filter(({ mass }) => mass === null)
      .map(({ titre }) => Number(titre)),
    () => AGREE_ML,
  );

/** Acid or base of a solid that is in solution, and no carbon dioxide with it, when a last reading was taken. */
export const isReady = ({ plan }: Bench, { flask }: KeptReading): boolean =>
  Object.keys(flask.undissolved).length === 0 &&
  (!plan.warm || (gasOf(flask.mixed.amounts)['carbonic-acid'] ?? 0) < 1e-5);
