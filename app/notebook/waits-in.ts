/** How long a step says to wait, s: one press waits that long. */
export const waitsIn = (texts: readonly string[]): number[] => [
  ...new Set(
    texts.flatMap((text) =>
      [...text.matchAll(/\b(?:wait|for) (\d+) (seconds|minutes)\b/gi)].map(
        ([, number, unit]) => Number(number) * (unit?.toLowerCase() === 'minutes' ? 60 : 1),
      ),
    ),
  ),
];
