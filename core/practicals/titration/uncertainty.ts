import { BURETTE_SCALE } from '../../instruments/burette';
import { weighingUncertaintyG } from '../../instruments/balance';
import { pipetteOf } from '../../databook/glassware';
import { TOLERANCE_DEVIATION } from '../../random';
import { readByEye } from '../uncertainty';
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
export function movedMeasures(plan: Plan, measured: readonly Measured[]): Measured[][] {
  const one = (trial: number, change: (trial: Measured) => Partial<Measured>) =>
    measured.map((entry) => (entry.trial === trial ? { ...entry, ...change(entry) } : entry));
  return measured.flatMap(({ trial, titreMl, massG, halfWayPh }) => [
    ...(titreMl === null ? [] : [one(trial, () => ({ titreMl: titreMl + TITRE_ML }))]),
    ...(massG === null ? [] : [one(trial, () => ({ massG: massG + weighedG(plan) }))]),
    ...(halfWayPh === null ? [] : [one(trial, () => ({ halfWayPh: halfWayPh + HALF_WAY_PH }))]),
  ]);
}

/** What burette and pipette are off by, as a part of a result that rests on them: one standard deviation. */
export function sharedPart(plan: Plan): number {
  const burette = 0.05 / 50;
  const pipette = plan.bottle ? pipetteOf(plan.pipetteMl).toleranceMl / plan.pipetteMl : 0;
  return TOLERANCE_DEVIATION * Math.hypot(burette, pipette);
}
