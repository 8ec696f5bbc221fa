/** How particles are drawn, and what of their picture is not so: said once for who draws and for who tells. */

/** So many times as large as they are, or they could hardly be seen; on a bench of very many less, or they would hide one another. */
export const drawnLarger = (isOfVeryMany: boolean): number => (isOfVeryMany ? 1.5 : 2.4);

/** What a picture of particles does not show as it is, in sentences. */
export const pictureNotes = (isOfVeryMany: boolean): readonly string[] => [
  `In the picture, particles are ${drawnLarger(isOfVeryMany)} times too large.`,
  'Those that are further away are drawn smaller and paler. Two that seem to touch may be far apart.',
];
