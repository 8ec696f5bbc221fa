import { z } from 'zod';

/** What a handed-in answer was found to be. */

/** One answer held against the sample. Hidden until the teacher's rules allow it. */
export const checkedItemSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('number'),
    key: z.string(),
    /** In `unit`. */
    value: z.number(),
    trueValue: z.number().nullable(),
    unit: z.string(),
    /** (value − true)/true, percent. */
    differencePercent: z.number().nullable(),
    /** The narrowest band that holds the value, percent; null when none does. 0 of what is exact and right. */
    bandPercent: z.number().nullable(),
    /** value − true, in `unit`, where the bands are in the unit itself; null where they are in percent. */
    difference: z.number().nullable().default(null),
    /** The narrowest of such bands that holds the value; null when none does. */
    bandInUnit: z.number().nullable().default(null),
    /** So much of the value is rounding at most, of digits that Fen would have it rounded to. In `unit`. */
    half: z.number().default(0),
    /** Whether the band holds the value only as far as its last digit goes. */
    byRounding: z.boolean().default(false),
    /** The uncertainty that was stated, in `unit`; left out where none was. */
    stated: z.number().optional(),
    /** Whether it is right or wrong, and nothing between. */
    exact: z.boolean().default(false),
    digitsNote: z.string().nullable(),
  }),
  z.object({
    kind: z.literal('match'),
    key: z.string(),
    right: z.boolean().nullable(),
    trueText: z.string().nullable(),
    /** What is wrong in itself with what was written, as a sentence. */
    note: z.string().nullable().default(null),
    /** Of a name that is not the right one: whether the readings do not rule it out. */
    isOpen: z.boolean().default(false),
    /** Of the right name: others that the readings do not rule out. */
    others: z.array(z.string()).default([]),
  }),
  z.object({
    kind: z.literal('grid'),
    key: z.string(),
    /** Cells that stand as they should; null where nothing is judged. */
    right: z.number().nullable(),
    of: z.number(),
    trueText: z.string().nullable(),
  }),
]);

export type CheckedItem = z.infer<typeof checkedItemSchema>;

export type One = { item?: CheckedItem } | { sentence: string };
