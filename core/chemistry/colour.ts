import { indicatorOf } from '../databook/indicators';
import { formFractions } from './equilibrium';

/** sRGB, 0 to 255, whole numbers: what an eye is told, and nothing finer. */
export type Rgb = readonly [red: number, green: number, blue: number];

export const WATER_COLOUR: Rgb = [255, 255, 255];

/** The bench colours of the data book are those of two drops in 50 mL seen through 50 mm. */
const REFERENCE_DROPS_PER_ML = 2 / 50;
const REFERENCE_DEPTH_MM = 50;

/** IEC 61966-2-1 */
export function toLinear(channel: number): number {
  const c = channel / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
}

export function fromLinear(light: number): number {
  const l = Math.min(Math.max(light, 0), 1);
  return Math.round(255 * (l <= 0.0031308 ? 12.92 * l : 1.055 * l ** (1 / 2.4) - 0.055));
}

/**
 * Colour of light that has crossed the liquid: each form of each indicator absorbs in three bands in proportion to
 * its concentration and the depth (Beer and Lambert, band by band).
 *
 * @param dropsPerMl drops of each indicator per mL of liquid, by id
 * @param pH of the liquid; the traces of indicator do not change it
 */
export function liquidColour(dropsPerMl: Readonly<Record<string, number>>, pH: number, depthMm: number): Rgb {
  let transmitted: [number, number, number] = [1, 1, 1];
  for (const [id, drops] of Object.entries(dropsPerMl)) {
    if (drops <= 0) continue;
    const indicator = indicatorOf(id);
    const strength = (drops / REFERENCE_DROPS_PER_ML) * (depthMm / REFERENCE_DEPTH_MM);
    formFractions(indicator.pKas, pH).forEach((fraction, i) => {
      const form = indicator.forms[i];
      if (!form || fraction < 1e-6) return;
      const power = strength * fraction;
      const [r, g, b] = form.srgb;
      transmitted = [
        transmitted[0] * toLinear(r) ** power,
        transmitted[1] * toLinear(g) ** power,
        transmitted[2] * toLinear(b) ** power,
      ];
    });
  }
  return [fromLinear(transmitted[0]), fromLinear(transmitted[1]), fromLinear(transmitted[2])];
}

const HUES: readonly [below: number, name: string][] = [
  [14, 'red'],
  [40, 'orange'],
  [68, 'yellow'],
  [165, 'green'],
  [190, 'blue-green'],
  [245, 'blue'],
  [290, 'violet'],
  [345, 'pink'],
  [361, 'red'],
];

/** Hue in degrees and chroma of 255, of the hexagonal model of sRGB. */
export function hueOf([red, green, blue]: Rgb): { hue: number; chroma: number } {
  const max = Math.max(red, green, blue);
  const chroma = max - Math.min(red, green, blue);
  if (chroma === 0) return { hue: 0, chroma };
  if (max === red) return { hue: 60 * (((green - blue) / chroma + 6) % 6), chroma };
  return { hue: 60 * (max === green ? (blue - red) / chroma + 2 : (red - green) / chroma + 4), chroma };
}

/** The name of a colour for those who do not see it: "colourless", "faint pink", "deep blue". */
export function colourName(colour: Rgb): string {
  const { hue, chroma } = hueOf(colour);
  if (chroma < 6) return 'colourless';
  const name = HUES.find(([below]) => hue < below)?.[1] ?? 'red';
  if (chroma < 28) return `very faint ${name}`;
  if (chroma < 80) return `faint ${name}`;
  return chroma < 150 ? name : `deep ${name}`;
}

/** Darker than this a colour is called dark, and so dark it is all but black, of 255. */
const DARK = 165;
const BLACK = 48;

/** The same where a liquid can be so strongly coloured that little light comes through. */
export function liquidColourName(colour: Rgb): string {
  const most = Math.max(...colour);
  if (most >= DARK) return colourName(colour);
  if (most < BLACK) return 'nearly black';
  // As it would be called if it were lit as well as a pale one.
  const lit = colour.map((channel) => (255 * channel) / most) as unknown as Rgb;
  return `dark ${colourName(lit).replace(/^(?:very )?(?:faint|deep) /u, '')}`;
}

/** A depth of colour that nobody overlooks against a white tile, of 255. */
const SEEN = 24;
/** A change of hue that is another colour, in degrees. */
const OTHER_HUE = 12;

/** Another colour than before, or none where there was one, and not the same one diluted. */
export function colourChanged(start: Rgb, now: Rgb): boolean {
  const [before, after] = [hueOf(start), hueOf(now)];
  if (after.chroma < SEEN) return before.chroma > 2 * SEEN;
  const turn = Math.abs(after.hue - before.hue);
  return before.chroma < SEEN || Math.min(turn, 360 - turn) > OTHER_HUE;
}
