import { z } from 'zod';
import { INDICATORS, type IndicatorId } from '../../databook/indicators';
import { SOLUTES, soluteOf, type SoluteId } from '../../databook/solutes';
import { BURETTE_50 } from '../../databook/glassware';
import { threeDigitValues } from './sample-values';

/** An acid weaker than this has no end point that an indicator shows. */
const WEAKEST_PKA = 7;

/** Monoprotic acids of the data book that can be titrated with an indicator, by id. */
export const ACID_IDS = SOLUTES.filter(
  (s) => s.kind.endsWith('acid') && s.protons === 1 && (s.pKas[0] ?? 0) < WEAKEST_PKA,
).map((s) => s.id) as SoluteId[];
const INDICATOR_IDS = INDICATORS.map((i) => i.id) as IndicatorId[];

/** No class is larger, and no two of its students may be given the same three digits. */
export const SAMPLE_ROOM = 60;

/** The largest titre that leaves room in the burette for a first reading below the top. */
const LARGEST_TITRE_ML = BURETTE_50.capacityMl - 3;

/** What the teacher chooses. The settings form is made from this schema and its meta data. */
export const setupSchema = z
  .object({
    acids: z
      .array(z.enum(ACID_IDS))
      .min(1, 'Choose at least one acid.')
      .default(['hydrochloric-acid', 'nitric-acid', 'acetic-acid', 'formic-acid', 'lactic-acid'])
      .meta({
        label: 'Acids that may be drawn',
        help: 'Each student is given one of these, without its name.',
      }),
    fromMolPerL: z
      .number()
      .min(0.005)
      .max(1)
      .default(0.08)
      .meta({ label: 'Concentration from', unit: 'mol/L' }),
    toMolPerL: z.number().min(0.005).max(1).default(0.12).meta({ label: 'Concentration to', unit: 'mol/L' }),
    titrant: z
      .enum(['sodium-hydroxide', 'potassium-hydroxide'])
      .default('sodium-hydroxide')
      .meta({ label: 'Titrant' }),
    titrantMolPerL: z
      .number()
      .min(0.005)
      .max(1)
      .default(0.1)
      .meta({ label: 'Titrant concentration', unit: 'mol/L', help: 'On the label, exact.' }),
    pipetteMl: z.enum(['10', '20', '25', '50']).default('25').meta({ label: 'Volume taken', unit: 'mL' }),
    indicators: z
      .array(z.enum(INDICATOR_IDS))
      .min(1, 'Put at least one indicator on the tray.')
      .max(8, 'The tray holds eight indicators.')
      .default(['methyl-orange', 'methyl-red', 'bromothymol-blue', 'phenolphthalein'])
      .meta({ label: 'Indicators on the tray' }),
    probe: z.boolean().default(false).meta({
      label: 'Probe for pH on the tray',
      help: 'With a meter and three buffers. It is off until it is calibrated, and can log the curve.',
    }),
    activities: z.boolean().default(true).meta({
      label: 'Activity coefficients',
      help: 'On, pH is what a probe would find. Off, it is what a calculation by hand gives.',
    }),
    unit: z.enum(['mol/L', 'mol dm⁻³']).default('mol/L').meta({ label: 'Unit of concentration' }),
    bandsPercent: z
      .array(z.number().positive('A band is a number above 0.').max(50, 'A band is at most 50 %.'))
      .min(1, 'Give at least one tolerance band.')
      .max(4, 'Give at most four tolerance bands.')
      .default([0.5, 1, 3])
      .meta({ label: 'Tolerance bands', unit: '%', help: 'For instance 0.5, 1, 3: within 0.5 %, 1 %, 3 %.' }),
  })
  .superRefine((setup, context) => {
    const fail = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message });
    if (setup.toMolPerL <= setup.fromMolPerL) {
      fail('toMolPerL', 'The upper end of the range must be above the lower end.');
      return;
    }
    const room = threeDigitValues(setup.fromMolPerL, setup.toMolPerL).length;
    if (room < SAMPLE_ROOM) {
      fail(
        'toMolPerL',
        `This range has only ${room} different values to three digits; a class needs ${SAMPLE_ROOM}. Widen it.`,
      );
    }
    const volume = Number(setup.pipetteMl);
    const largest = (setup.toMolPerL * volume) / setup.titrantMolPerL;
    if (largest > LARGEST_TITRE_ML) {
      fail(
        'titrantMolPerL',
        `A titre could be ${largest.toFixed(1)} mL, and the burette holds 50 mL. Take a stronger titrant, less sample, or a weaker range.`,
      );
    }
    const smallest = (setup.fromMolPerL * volume) / setup.titrantMolPerL;
    if (smallest < 2) {
      fail(
        'titrantMolPerL',
        `A titre could be as small as ${smallest.toFixed(1)} mL, too little to read well. Take a weaker titrant or more sample.`,
      );
    }
    for (const id of setup.acids) {
      const limit = soluteOf(id).solubleToMolPerL;
      if (limit !== undefined && setup.toMolPerL > limit) {
        fail(
          'acids',
          `At 25 °C ${soluteOf(id).name} dissolves only to ${limit} mol/L. Leave it out, or lower the range.`,
        );
      }
    }
    if (new Set(setup.indicators).size !== setup.indicators.length)
      fail('indicators', 'An indicator is on the tray twice.');
  });

export type Setup = z.infer<typeof setupSchema>;

/** What of the setup a student may be told: what stands on the bench with its labels, never what may be drawn. */
export interface Labels {
  titrantName: string;
  titrantFormula: string;
  titrantMolPerL: string;
  unit: string;
  pipetteMl: number;
  probe: boolean;
  indicators: { id: string; name: string; solution: string }[];
}

export function labelsOf(setup: Setup): Labels {
  const titrant = soluteOf(setup.titrant);
  return {
    titrantName: titrant.name,
    titrantFormula: titrant.formula,
    titrantMolPerL: setup.titrantMolPerL.toPrecision(4),
    unit: setup.unit,
    pipetteMl: Number(setup.pipetteMl),
    probe: setup.probe,
    indicators: INDICATORS.filter((i) => setup.indicators.some((id) => id === i.id)).map(
      ({ id, name, solution }) => ({
        id,
        name,
        solution,
      }),
    ),
  };
}
