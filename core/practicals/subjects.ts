/** What practicals are about, in the order in which they are offered. */
export const SUBJECTS = {
  measuring: 'Measuring and density',
  acids: 'Acids and bases',
  heat: 'Heat',
  particles: 'Gases and particles',
} as const;
export type Subject = keyof typeof SUBJECTS;
