import { fitLine, type Point } from '../../../analysis/line-fit';
import { stepAt } from '../../../analysis/step';
import type { Bench } from '../bench';
import { trialNow } from './trials';

/** How long before mixing, and from when to when after it, a stretch is taken that a careful student would draw, s. */
const BEFORE_S = 150;
const AFTER_S = [60, 300] as const;
/** Heat out of a sealed vessel comes slower. */
const AFTER_BURNING_S = [150, 480] as const;
const LEAST_POINTS = 5;

/** The step of the temperature of a trial, K: both stretches of its log drawn to the moment of mixing. */
export function drawnStepK(bench: Bench, trial: number): number | undefined {
  const { logged, logBegunS, mixedAtS, mixedS } = bench;
  const atS = mixedAtS[trial] ?? (trial === trialNow(bench) ? mixedS : null);
  if (atS === null || atS === undefined || logBegunS === null) return undefined;
  const moment = atS - logBegunS;
  const points = logged
    .filter((line) => line.trial === String(trial))
    .map((line): Point => ({ x: Number(line.t), y: Number(line.T.replace('\u2212', '-')) }))
    .filter(({ y }) => Number.isFinite(y));
  const stretch = (from: number, to: number) => {
    const within = points.filter(({ x }) => x >= moment + from && x <= moment + to);
    return within.length >= LEAST_POINTS ? fitLine(within) : undefined;
  };
  const [from, to] = bench.plan.sealed ? AFTER_BURNING_S : AFTER_S;
  const [before, after] = [stretch(-BEFORE_S, -1), stretch(from, to)];
  return before && after ? stepAt(before, after, moment).step : undefined;
}
