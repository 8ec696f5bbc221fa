import { z } from 'zod';
import { BURETTE_50 } from '../../../databook/glassware';
import { INDICATORS, type IndicatorId } from '../../../databook/indicators';
import { soluteOf, SOLUTES, type SoluteId } from '../../../databook/solutes';
import { SENSORS, type Sensor } from '../plan';
import { threeDigitValues } from '../../sample-values';

/** Settings that several kinds of titration share: the settings form is made from these schemas and their meta data. */

const INDICATOR_IDS = INDICATORS.map((i) => i.id) as IndicatorId[];

/** No class is larger, and no two of its students may be given the same three digits. */
const SAMPLE_ROOM = 60;
/** The largest titre that leaves room in the burette for a first reading below the top. */
const LARGEST_TITRE_ML = BURETTE_50.capacityMl - 3;
const SMALLEST_TITRE_ML = 2;

/** A reading to 0.01 mL in about 25 mL carries four digits. */
export const DIGITS = 4;

/** Ids of the solutes that a test picks. */
export const idsOf = (picks: (solute: (typeof SOLUTES)[number]) => boolean) =>
  SOLUTES.filter(picks).map((solute) => solute.id) as [SoluteId, ...SoluteId[]];

export const BASIC_TITRANTS = ['sodium-hydroxide', 'potassium-hydroxide'] as const;

export const indicatorsOnTray = (on: IndicatorId[]) =>
  z
    .array(z.enum(INDICATOR_IDS))
    .min(1, 'Put at least one indicator on the tray.')
    .max(8, 'The tray holds eight indicators.')
    .refine((ids) => new Set(ids).size === ids.length, 'An indicator is on the tray twice.')
    .default(on)
    .meta({ label: 'Indicators on the tray' });

export const concentration = (molPerL: number, label: string, help?: string) =>
  z.number().min(0.005).max(1).default(molPerL).meta({ label, unit: 'mol/L', help });

export const pipette = z.enum(['10', '20', '25', '50']).default('25').meta({ label: 'Volume taken', unit: 'mL' });

export const supplied = z.boolean().default(false).meta({
  label: 'Flasks come filled',
  help: 'On, each flask holds its portion already, exactly, and the student is told how much. Off, it is pipetted.',
});

export const probe = (on: Sensor) =>
  z.enum(SENSORS).default(on).meta({
    label: 'Probe on the tray',
    help: 'With a meter and what it is calibrated in. It is off until it is calibrated, and can log the curve.',
  });

export const carbonate = z.boolean().default(false).meta({
  label: 'The base has taken up carbon dioxide',
  help: 'One to two and a half percent, as in a bottle that was opened often. It blurs the end point.',
});

export const mishaps = z.boolean().default(false).meta({
  label: 'Mishaps at the burette',
  help: 'A bubble in the tip, a funnel left in, drops on the wall of the flask: they happen, and can be seen and set right.',
});

export const activities = z.boolean().default(true).meta({
  label: 'Activity coefficients',
  help: 'On, pH is what a probe would find. Off, it is what a calculation by hand gives.',
});

export const concentrationUnit = z
  .enum(['mol/L', 'mol dm⁻³'])
  .default('mol/L')
  .meta({ label: 'Unit of concentration' });

export const readability = z.enum(['0.001', '0.0001']).default('0.001').meta({ label: 'Balance reads to', unit: 'g' });

export { bands } from '../../settings-parts';

type Fail = (path: string, message: string) => void;

/** The range holds enough values that differ to three digits. */
export function checkRange(from: number, to: number, path: string, fail: Fail): boolean {
  if (to <= from) {
    fail(path, 'The upper end of the range must be above the lower end.');
    return false;
  }
  const room = threeDigitValues(from, to).length;
  if (room < SAMPLE_ROOM)
    fail(path, `This range has only ${room} different values to three digits; a class needs ${SAMPLE_ROOM}. Widen it.`);
  return true;
}

/** Every titre that can come up fits the burette and is large enough to read. */
export function checkTitres(smallest: number, largest: number, path: string, fail: Fail): void {
  if (largest > LARGEST_TITRE_ML)
    fail(
      path,
      `A titre could be ${largest.toFixed(1)} mL, and the burette holds 50 mL. Take a stronger titrant, less sample, or a weaker range.`,
    );
  if (smallest < SMALLEST_TITRE_ML)
    fail(
      path,
      `A titre could be as small as ${smallest.toFixed(1)} mL, too little to read well. Take a weaker titrant or more sample.`,
    );
}

/** Nothing is more concentrated than it can be at 25 °C. */
export function checkSoluble(ids: readonly string[], toMolPerL: number, path: string, fail: Fail): void {
  for (const id of ids) {
    const limit = soluteOf(id).solubleToMolPerL;
    if (limit !== undefined && toMolPerL > limit)
      fail(path, `At 25 °C ${soluteOf(id).name} dissolves only to ${limit} mol/L. Leave it out, or lower the range.`);
  }
}

/** Calls a check with a way to say what is wrong where. */
export const refining =
  <T>(check: (setup: T, fail: Fail) => void) =>
  (setup: T, context: z.RefinementCtx) =>
    check(setup, (path, message) => context.addIssue({ code: 'custom', path: [path], message }));

/** Where the pH of the protonated form ends: an acid weaker than this gives no end point in water. */
const WEAKEST_PKA = 9;

/** Protons that an acid gives one after the other with an end point to each that can be seen, from 1 on. */
export function protonsGiven(id: string): number[] {
  const solute = soluteOf(id);
  const strong = solute.kind === 'strong acid' ? solute.protons - solute.pKas.length : 0;
  const hidden = solute.kind === 'salt' ? solute.pKas.length - solute.protons : 0;
  const weak = solute.pKas.slice(hidden).filter((pKa) => pKa < WEAKEST_PKA).length;
  return Array.from({ length: Math.max(strong + weak, 1) }, (_, i) => i + 1);
}
