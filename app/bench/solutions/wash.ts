import { SOLID_LOOKS } from '@core/databook/solid-looks';
import type { Rgb } from '@core/chemistry/colour';
import type { SeenSolid } from '@core/practicals/solutions/look';

/** Flat washes of what stands there: a clear liquid as water, a coloured one as the light that has crossed it. */

/** Lighter than this it is drawn as water is, of 255. */
const CLEAR = 248;
export const WATER_WASH = 'rgb(31 111 134 / 0.13)';

export const liquidWash = (colour: Rgb): string =>
  Math.min(...colour) >= CLEAR ? WATER_WASH : `rgb(${colour.join(' ')})`;

const partsOf = (wash: string): number[] => [1, 3, 5].map((i) => parseInt(wash.slice(i, i + 2), 16));

/** The colour of a solid: those of what lies there, each by its part. */
export function solidWash({ looks }: SeenSolid): string {
  const all = looks.reduce((sum, { tenths }) => sum + tenths, 0);
  const mixed = [0, 1, 2].map((i) =>
    Math.round(looks.reduce((sum, { look, tenths }) => sum + (tenths / all) * (partsOf(SOLID_LOOKS[look])[i] ?? 0), 0)),
  );
  return `rgb(${mixed.join(' ')})`;
}

/** How much of what is behind it so much of a solid hides. */
export const hides = (much: number, afloat: number): number =>
  Math.min([0, 0.35, 0.6, 0.8, 0.95][much] ?? 0.95, 1) * (afloat / 10);
