import { z } from 'zod';

/** What moved one number of a report, in the unit in which it was asked for. */
export const movedSchema = z.object({
  key: z.string(),
  label: z.string(),
  unit: z.string(),
  value: z.number(),
  trueValue: z.number(),
  /** What the recorded readings come to; null when they reach no result. */
  fromReadings: z.number().nullable(),
  shares: z.array(z.object({ key: z.string(), label: z.string(), share: z.number() })),
  /** What two causes did together beyond what each did by itself; null where that was not looked for. */
  together: z
    .array(z.object({ labels: z.tuple([z.string(), z.string()]), share: z.number() }))
    .nullable()
    .default(null),
  /** What is left over; where it was looked for what causes did together, what no known cause accounts for. */
  rest: z.number(),
  /** Whether it is told in the unit itself: a percent of it says nothing, for its zero is none. */
  inUnit: z.boolean().default(false),
});
export type Moved = z.infer<typeof movedSchema>;

/** What moved a result, or why that is not there: it is being worked out, or could not be. */
export type MovedState = readonly Moved[] | 'on its way' | 'not found';
