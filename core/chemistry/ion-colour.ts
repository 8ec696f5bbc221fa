import { ION_BANDS } from '../databook/ion-colours';
import { fromLinear, type Rgb } from './colour';
import { settledIn, type Contents } from './contents';

/** How solutions of coloured ions look, and what a colorimeter shows of them: Beer and Lambert, band by band. */

/** Wavelengths at which red, green and blue light is followed, nm. */
const SEEN_AT = [
  [610, 630, 660],
  [520, 540, 560],
  [435, 455, 475],
] as const;

/** Molar absorptivity of a species at a wavelength, L mol⁻¹ cm⁻¹. */
const absorptivity = (formula: string, nm: number): number =>
  (ION_BANDS[formula] ?? []).reduce(
    (sum, { at, per, width }) => sum + per * Math.exp(-(((nm - at) / width) ** 2) / 2),
    0,
  );

/** Absorbance of a clear liquid over so many cm. */
export function absorbanceOf(contents: Contents, nm: number, cm: number): number {
  if (contents.volumeMl <= 0) return 0;
  const { made, found } = settledIn(contents);
  return cm * made.formulas.reduce((sum, formula, i) => sum + absorptivity(formula, nm) * (found.molar[i] ?? 0), 0);
}

/** What white light looks like that has crossed this much absorbance at each wavelength, nm. */
function rgbThrough(absorbance: (nm: number) => number): Rgb {
  const channels = SEEN_AT.map((wavelengths) => {
    const passed = wavelengths.reduce((sum, nm) => sum + 10 ** -absorbance(nm), 0);
    return fromLinear(passed / wavelengths.length);
  });
  return channels as unknown as Rgb;
}

/** What white light looks like that has crossed it. */
export const liquidRgb = (contents: Contents, depthMm: number): Rgb =>
  rgbThrough((nm) => absorbanceOf(contents, nm, depthMm / 10));

/** The colour of two liquids that do nothing but dilute one another. */
export function merelyMixedRgb(a: Contents, b: Contents, depthMm: number): Rgb {
  const all = a.volumeMl + b.volumeMl;
  const share = (one: Contents, nm: number) => (one.volumeMl / all) * absorbanceOf(one, nm, depthMm / 10);
  return rgbThrough((nm) => share(a, nm) + share(b, nm));
}
