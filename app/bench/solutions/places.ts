import type { SeenPaper, SeenVessel } from '@core/practicals/solutions/view';

/** Where vessels and papers are, in words. */
export const PLACE_WORDS: Record<SeenVessel['at'], string> = {
  bench: 'on the bench',
  plate: 'on the hot plate',
  pan: 'on the balance',
  funnel: 'under the funnel',
};
export const SHEET_WORDS: Record<Exclude<SeenPaper['at'], 'away'>, string> = {
  mat: 'on the mat',
  funnel: 'in the funnel',
  oven: 'in the oven',
  desiccator: 'in the desiccator',
  pan: 'on the balance',
};
