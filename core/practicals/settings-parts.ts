import { z } from 'zod';

/** Settings that practicals of every family have. */

/** How close counts: relative tolerances, in percent. */
export const bands = (percent: number[]) =>
  z
    .array(z.number().positive('A band is a number above 0.').max(50, 'A band is at most 50 %.'))
    .min(1, 'Give at least one tolerance band.')
    .max(4, 'Give at most four tolerance bands.')
    .default(percent)
    .meta({ label: 'Tolerance bands', unit: '%', help: 'For instance 0.5, 1, 3: within 0.5 %, 1 %, 3 %.' });

export const hypothesisFirst = (on: boolean) =>
  z.boolean().default(on).meta({
    label: 'Hypothesis first',
    help: 'The report begins with a question to be answered before the bench, and comes back to it at the end.',
  });
