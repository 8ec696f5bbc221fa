import { z } from 'zod';

/** How far the method is told: with ticks and steps that can be shown, with ticks, in the brief alone, not at all. */
export const toldMethod = z.enum(['shown', 'ticked', 'told', 'none']);
export type ToldMethod = z.infer<typeof toldMethod>;
/** What runs have whose rules are of before it could be chosen. */
export const METHOD_BEFORE: ToldMethod = 'shown';

/** What a teacher decides about an assignment, whatever the practical. */
export const rulesSchema = z.object({
  handIns: z
    .number()
    .int()
    .min(1, 'At least one.')
    .max(20, 'At most 20.')
    .default(3)
    .meta({ label: 'Hand-ins allowed' }),
  tellBand: z.boolean().default(true).meta({
    label: 'Tell the band reached',
    help: 'After each hand-in, the student reads how close it was.',
  }),
  tellTrueValue: z.boolean().default(false).meta({
    label: 'Tell the true value at the end',
    help: 'When no hand-in is left. Whoever has read it can hand in no more.',
  }),
  tellInfluences: z
    .enum(['never', 'when-closed', 'when-done'])
    .default('when-closed')
    .meta({
      label: 'Tell what moved the result',
      help: 'Each cause with its share. The true value follows from it: whoever has read it can hand in no more, even if you open the assignment again.',
      options: {
        'when-closed': 'when the assignment is closed',
        'when-done': 'when a student has no hand-in left',
      },
    }),
  practice: z.boolean().default(true).meta({
    label: 'Students may practise',
    help: 'Before or beside it, on samples of their own, as often as they like: nothing of it counts, and its true value is told.',
  }),
  method: toldMethod.default(METHOD_BEFORE).meta({
    label: 'The method',
    help: 'Shown: a student has a step done before their eyes, on another bench with another sample. Nothing of it counts.',
    options: {
      shown: 'told, with ticks, and steps can be shown',
      ticked: 'told, with ticks',
      told: 'told in the brief alone, without ticks',
      none: 'not told: planning is what is marked',
    },
  }),
  freshStart: z.boolean().default(false).meta({
    label: 'A student may begin anew',
    help: 'The bench stands as at the beginning, with the same sample; what was read before stays in your log alone.',
  }),
});
export type Rules = z.infer<typeof rulesSchema>;
