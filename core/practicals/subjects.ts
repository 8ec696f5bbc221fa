/** What practicals are about, in the order in which they are offered. */
export const SUBJECTS = {
  measuring: 'Measuring and density',
  acids: 'Acids and bases',
  amounts: 'Amounts of substance',
  heat: 'Heat',
  particles: 'Gases and particles',
} as const;
export type Subject = keyof typeof SUBJECTS;
