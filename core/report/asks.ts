import { z } from 'zod';

/** What a report asks for. Made by the practical as a default, and composed by the teacher. */

const common = {
  /** Stays the same while the teacher changes the rest, so that answers stay with their question. */
  key: z.string().min(1).max(40),
  label: z.string().trim().min(1, 'Say what is asked.').max(300, 'At most 300 characters.'),
  help: z.string().max(600, 'At most 600 characters.').default(''),
  when: z.enum(['before', 'result', 'after']),
  /** Whether the report can be handed in without it. */
  required: z.boolean().default(true),
};

/** A quantity of the sample that the practical knows; null when only the teacher can tell. */
const quantity = z.string().max(40).nullable().default(null);
const options = z
  .array(z.string().trim().min(1, 'An option is empty.').max(200, 'An option has at most 200 characters.'))
  .min(2, 'Give at least two options, each on a line of its own.')
  .max(60, 'At most 60 options.');

const names = (what: string) =>
  z
    .array(z.string().trim().min(1).max(80, `The name of a ${what} has at most 80 characters.`))
    .min(1, `Give at least one ${what}, each on a line of its own.`)
    .refine((all) => new Set(all).size === all.length, `A ${what} is there twice.`);

export const askSchema = z.discriminatedUnion('kind', [
  z.object({
    ...common,
    kind: z.literal('number'),
    quantity,
    unit: z.string().max(20),
    /** The value that counts as right when no quantity is named; null when none does. */
    expected: z.number().nullable().default(null),
    /** Significant digits that the readings support; null when that is not judged. */
    digits: z.number().int().min(1, 'At least one digit.').max(8, 'At most 8 digits.').nullable().default(null),
    /** Relative tolerance bands, percent, narrowest first. */
    bandsPercent: z
      .array(z.number().positive('A band is above zero.').max(100, 'A band is at most 100 %.'))
      .max(6, 'At most six bands.'),
    /** Bands in the unit itself, such as 0.2 °C, narrowest first: where there are any, they hold in place of the others. */
    bandsInUnit: z.array(z.number().positive('A band is above zero.')).max(6, 'At most six bands.').default([]),
  }),
  z.object({
    ...common,
    kind: z.literal('name'),
    quantity,
    options,
    right: z.string().max(200).nullable().default(null),
  }),
  z.object({ ...common, kind: z.literal('ratio'), quantity, right: z.string().max(40).nullable().default(null) }),
  z.object({
    ...common,
    kind: z.literal('equation'),
    quantity,
    /** As it can be typed: 2 H2 + O2 -> 2 H2O. Where none is given, an equation is right when it is balanced. */
    right: z.string().max(300).nullable().default(null),
  }),
  z.object({
    ...common,
    kind: z.literal('grid'),
    quantity,
    /** Named things, each with a row, and what was observed of them, each with a column. */
    rows: names('row').max(30, 'A grid has at most 30 rows.'),
    columns: names('column').max(12, 'A grid has at most 12 columns.'),
    /** What can stand in a cell. */
    options,
    /** As answers are written: see `grid.ts`. */
    right: z.string().max(6000).nullable().default(null),
  }),
  z.object({
    ...common,
    kind: z.literal('choice'),
    options,
    right: z.string().max(200).nullable().default(null),
    /** Whether an answer in own words is taken too: an offered hypothesis or another. */
    ownWords: z.boolean().default(false),
  }),
  z.object({
    ...common,
    kind: z.literal('text'),
    leastWords: z.number().int().min(0, 'None or more.').max(500, 'At most 500 words.').default(0),
    /** Words that have to be used. */
    words: z.array(z.string().trim().min(1).max(40)).max(20, 'At most 20 words.').default([]),
  }),
  z.object({ ...common, kind: z.literal('sketch') }),
  z.object({ ...common, kind: z.literal('table') }),
  z.object({ ...common, kind: z.literal('graph') }),
]);
export type Ask = z.infer<typeof askSchema>;
export type AskKind = Ask['kind'];
export type AskOf<K extends AskKind> = Extract<Ask, { kind: K }>;

export const reportSchema = z
  .array(askSchema)
  .max(40, 'A report asks for 40 things at most.')
  .refine((asks) => new Set(asks.map((ask) => ask.key)).size === asks.length, 'Two questions have the same key.');

/** A quantity of the sample that a report can ask for and Fen can check. */
export type SampleQuantity =
  | {
      key: string;
      label: string;
      kind: 'number';
      unit: string;
      digits: number;
      /** A count, or what is written on a scale: right or wrong, and nothing between. */
      exact?: true;
      /** One of a few values that many samples share: that another has the same tells nothing of either. */
      few?: true;
    }
  | { key: string; label: string; kind: 'name'; options: string[]; few?: true }
  | { key: string; label: string; kind: 'ratio' | 'equation' }
  | { key: string; label: string; kind: 'grid'; rows: string[]; columns: string[]; options: string[] };

/** True values by the key of their quantity: a number in the quantity's unit, a name, or a ratio such as "1 : 2". */
export type Truths = Readonly<Record<string, number | string>>;

/** A question as a student may know it: without what counts as right. */
export function withoutKey(ask: Ask): Ask {
  switch (ask.kind) {
    case 'number':
      return { ...ask, expected: null, quantity: null };
    case 'name':
    case 'ratio':
    case 'equation':
    case 'grid':
      return { ...ask, right: null, quantity: null };
    case 'choice':
      return { ...ask, right: null };
    default:
      return ask;
  }
}
