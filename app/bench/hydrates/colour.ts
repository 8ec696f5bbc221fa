import { HYDRATE_LOOKS } from '@core/databook/hydrates';
import type { SeenRing } from '@core/practicals/hydrates/view';

/** Red, green and blue of a wash. */
const partsOf = (wash: string): number[] => [1, 3, 5].map((i) => parseInt(wash.slice(i, i + 2), 16));

/** The colour of one ring: those of its substances, each by its part, as grains that lie among one another look. */
export function ringColour(ring: SeenRing): string {
  const all = ring.reduce((sum, { tenths }) => sum + tenths, 0);
  if (all === 0) return HYDRATE_LOOKS.white;
  const mixed = [0, 1, 2].map((i) =>
    Math.round(
      ring.reduce((sum, { look, tenths }) => sum + (tenths / all) * (partsOf(HYDRATE_LOOKS[look])[i] ?? 0), 0),
    ),
  );
  return `rgb(${mixed.join(' ')})`;
}
