import { BURETTE_SCALE } from '../../instruments/burette';
import { weighingUncertaintyG } from '../../instruments/balance';
import { pipetteOf } from '../../databook/glassware';
import { TOLERANCE_DEVIATION } from '../../random';
import type { SampleQuantity } from '../../report/asks';
import { propagated, readByEye } from '../uncertainty';
import type { Measured } from './kind';
import type { Plan } from './plan';

/** Standard uncertainties at the bench of titration: what every trial has of its own, and what glassware gives them all. */

/** Two readings by eye, and a drop at the end, about 0.05 mL, anything within it as likely. */
const TITRE_ML = Math.hypot(Math.SQRT2 * readByEye(BURETTE_SCALE.division), 0.05 / Math.sqrt(12));
/** Of a pH half-way along a curve: the calibration and the noise of the meter. */
const HALF_WAY_PH = 0.03;
/** Two weighings: each with its noise, its last digit, and how far the zero wanders meanwhile. */
const weighedG = (plan: Plan) => Math.SQRT2 * weighingUncertaintyG(Number(plan.readability));

/** The trials once for each uncertainty of their own, that one moved. */
function movedMeasures(plan: Plan, measured: readonly Measured[]): Measured[][] {
  const one = (trial: number, change: (trial: Measured) => Partial<Measured>) =>
    measured.map((entry) => (entry.trial === trial ? { ...entry, ...change(entry) } : entry));
  return measured.flatMap(({ trial, titreMl, massG, halfWayPh }) => [
    ...(titreMl === null ? [] : [one(trial, () => ({ titreMl: titreMl + TITRE_ML }))]),
    ...(massG === null ? [] : [one(trial, () => ({ massG: massG + weighedG(plan) }))]),
    ...(halfWayPh === null ? [] : [one(trial, () => ({ halfWayPh: halfWayPh + HALF_WAY_PH }))]),
  ]);
}

/** What burette and pipette are off by, as a part of a result that rests on them: one standard deviation. */
function sharedPart(plan: Plan): number {
  const burette = 0.05 / 50;
  const pipette = plan.bottle ? pipetteOf(plan.pipetteMl).toleranceMl / plan.pipetteMl : 0;
  return TOLERANCE_DEVIATION * Math.hypot(burette, pipette);
}

/** Standard uncertainties of results: what trials have of their own, and what glassware gives them all, but for a pH. */
export function uncertaintiesOf(
  plan: Plan,
  quantities: readonly SampleQuantity[],
  of: (measured: readonly Measured[]) => Readonly<Record<string, number>>,
  measured: readonly Measured[],
): Record<string, number> {
  const results = of(measured);
  const hasUnit = (key: string) =>
    quantities.some((quantity) => quantity.key === key && quantity.kind === 'number' && quantity.unit !== '');
  return Object.fromEntries(
    Object.entries(propagated(of, measured, movedMeasures(plan, measured))).map(([key, own]) => [
      key,
      Math.hypot(own, hasUnit(key) ? sharedPart(plan) * (results[key] ?? 0) : 0),
    ]),
  );
}
