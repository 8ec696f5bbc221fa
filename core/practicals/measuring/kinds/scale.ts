import { z } from 'zod';
import { vesselOf } from '../../../databook/vessels';
import type { SampleQuantity } from '../../../report/asks';
import { askFor, askName, reportOf } from '../../report-parts';
import type { Bench, KeptReading } from '../bench';
import type { Kind } from '../kind';
import { scaleMethod } from '../methods/scale';
import { APPEARANCES } from '../plan';
import type { Sample } from '../sample';
import { drawnValue, threeDigitValues } from '../../sample-values';
import { bands, hypothesisFirst, NO_PLAN, rowsTable, vessels } from './settings';

const CYLINDERS = ['cylinder-10', 'cylinder-25', 'cylinder-50', 'cylinder-100'] as const;

const setupSchema = z
  .object({
    fromMl: z.number().min(4).max(90).default(12).meta({ label: 'Amount in the bottle from', unit: 'mL' }),
    toMl: z.number().min(5).max(95).default(45).meta({ label: 'Amount in the bottle to', unit: 'mL' }),
    appearance: z.enum(APPEARANCES).default('clear').meta({
      label: 'The liquid is',
      help: 'A coloured one shows its meniscus better; of an opaque one only the rim can be read.',
    }),
    vessels: vessels([...CYLINDERS], [...CYLINDERS, 'beaker-100', 'beaker-250']),
    hypothesis: hypothesisFirst(false),
    bandsPercent: bands([0.5, 1, 2]),
  })
  .superRefine((setup, context) => {
    const fail = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message });
    if (setup.toMl <= setup.fromMl) fail('toMl', 'The upper end of the range must be above the lower end.');
    else if (threeDigitValues(setup.fromMl, setup.toMl).length < 60)
      fail('toMl', 'Widen the range: a class needs sixty different amounts.');
    if (!CYLINDERS.some((id) => setup.vessels.includes(id) && vesselOf(id).capacityMl >= setup.toMl))
      fail('vessels', `Put a cylinder on the tray that holds ${setup.toMl} mL.`);
  });
type Setup = z.infer<typeof setupSchema>;

const SLOTS = ['V', 'F'] as const;

/** The cylinder that suits an amount: the smallest that holds it. */
function suited(setup: Setup, amountMl: number) {
  const fitting = setup.vessels
    .map(vesselOf)
    .filter(({ id, capacityMl }) => id.startsWith('cylinder') && capacityMl >= amountMl);
  return fitting.reduce((a, b) => (b.capacityMl < a.capacityMl ? b : a));
}

/** A mark to be reached: on a division or between two, well below the amount that is there. */
function targetOf(setup: Setup, amountMl: number): number {
  const { divisionMl } = suited(setup, amountMl);
  const division = divisionMl ?? 1;
  return Number((Math.floor((0.82 * amountMl) / division) * division).toFixed(2));
}

const amountOf = (sample: Sample) => sample.bottles[0]?.volumeMl ?? 0;

const last = (bench: Bench, slot: 'V' | 'F'): KeptReading | undefined =>
  bench.readings.findLast((r) => r.which === slot && r.struck === null && bench.leftOut[r.trial] === undefined);

const VOLUME = {
  key: 'volume',
  label: 'Volume that you were given',
  kind: 'number',
  unit: 'mL',
  digits: 3,
} satisfies SampleQuantity;
const FILLED = {
  key: 'filled',
  label: 'Volume after you brought it to your mark',
  kind: 'number',
  unit: 'mL',
  digits: 3,
} satisfies SampleQuantity;

export const readingAScale: Kind<Setup> = {
  id: 'reading-a-scale',
  title: 'Reading a scale',
  summary:
    'Choose the cylinder that suits an amount. Read it to one digit beyond its divisions, and bring it to a mark by drops.',
  setup: setupSchema,
  room: (setup) => threeDigitValues(setup.fromMl, setup.toMl).length,
  draw: (setup, seed, index) => {
    const volumeMl = drawnValue(setup.fromMl, setup.toMl, seed, index);
    return { tempC: 20, lots: [], bottles: [{ liquidId: 'water', volumeMl }], targetMl: targetOf(setup, volumeMl) };
  },
  plan: (setup) => ({
    ...NO_PLAN,
    vessels: setup.vessels,
    bottles: ['rain water'],
    appearance: setup.appearance,
    slots: [...SLOTS],
    means: { V: 'volume from the bottle', F: 'volume at your mark' },
  }),
  method: scaleMethod,
  brief: () => ({
    question: [
      'The keeper wrote down the rain each day, in millilitres. He read it from a cylinder of his own.',
      'Before anybody trusts his numbers, you find out how well you read a scale.',
    ],
    working: [
      'How many divisions lie between two numbers? What is one division worth?',
      'Sketch the scale, with the surface as you saw it at the mark. Leave the numbers out, and label what you drew.',
    ],
    know: ['An eye that is too high or too low reads wrong. That is called parallax.'],
  }),
  tables: () => [rowsTable(SLOTS)],
  quantities: (setup) => [
    {
      key: 'vessel',
      label: 'The cylinder that suits the amount',
      kind: 'name',
      options: setup.vessels.map((id) => vesselOf(id).name),
    },
    { key: 'divisions', label: 'Divisions between two numbers', kind: 'number', unit: '', digits: 2, exact: true },
    { key: 'worth', label: 'What one division is worth', kind: 'number', unit: 'mL', digits: 1, exact: true },
    VOLUME,
    FILLED,
  ],
  truths: (setup, sample, bench) => {
    const { name, divisionMl, numberedMl } = suited(setup, amountOf(sample));
    const [volume, filled] = [last(bench, 'V'), last(bench, 'F')];
    return {
      vessel: name,
      divisions: Math.round(numberedMl / (divisionMl ?? 1)),
      worth: divisionMl ?? 1,
      ...(volume ? { volume: volume.shown } : {}),
      ...(filled ? { filled: filled.shown } : {}),
    };
  },
  asks: (setup) => {
    const names = setup.vessels.map((id) => vesselOf(id).name);
    const parts = reportOf({
      measured: {
        label: 'Where must the eye be to read a meniscus?',
        options: ['Level with the surface', 'A little above it', 'A little below it', 'As far away as possible'],
      },
      hypothesis: !setup.hypothesis
        ? null
        : {
            label: 'Hypothesis: two people read the same surface. How far apart will their values lie?',
            options: ['Less than a tenth of a division', 'A tenth or two of a division', 'More than half a division'],
          },
      results: [
        { ...askName('Which cylinder suits your amount best?', names), key: 'vessel', quantity: 'vessel' },
        askFor(VOLUME, setup.bandsPercent, 'As you read it.'),
        askFor(FILLED, setup.bandsPercent, 'As you read it.'),
        askFor(
          { key: 'divisions', label: 'How many divisions lie between two numbers on it?', unit: '', digits: 2 },
          [0.5],
        ),
        askFor({ key: 'worth', label: 'What is one division worth?', unit: 'mL', digits: 1 }, [0.5]),
        {
          when: 'result',
          required: true,
          kind: 'sketch',
          key: 'sketch',
          label: 'The scale with the surface, as you saw it at the mark, labelled',
          help: '',
        },
      ],
      working: 'How did you read the last digit?',
      evidence: { help: 'How uncertain is each of your two readings, and why?', words: ['division'] },
      aims: ['Choose a vessel for an amount', 'Read one digit beyond the divisions', 'Bring a liquid to a mark'],
    });
    return parts;
  },
  results: (_, __, rows) => {
    const value = (slot: 'V' | 'F') => rows.findLast((row) => row.readings[slot])?.readings[slot]?.value;
    const [volume, filled] = [value('V'), value('F')];
    return { ...(volume === undefined ? {} : { volume }), ...(filled === undefined ? {} : { filled }) };
  },
  truth: (setup, sample) => [
    { label: 'Suits best', text: suited(setup, amountOf(sample)).name },
    { label: 'In the bottle', text: `${amountOf(sample).toFixed(2)} mL` },
    { label: 'Mark to be reached', text: `${sample.targetMl} mL` },
  ],
  needs: ['volume', 'filled'],
  // What is asked for is what stood on the scale: nothing else moves it.
  causes: ['reading', 'parallax'],
  nothingYet:
    'Two volumes have to be in your Readings: what you were given, and what you brought to your mark. Read them through the loupe and record them.',
};
