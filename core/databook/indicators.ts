import type { SourceKey } from './sources';

/** A colour form of an indicator: what two drops in 50 mL look like through 50 mm of liquid, as sRGB. */
interface IndicatorForm {
  name: string;
  srgb: readonly [red: number, green: number, blue: number];
}

interface Indicator {
  id: string;
  name: string;
  /** What the bottle says. */
  solution: string;
  /** Constants between neighbouring forms, most acid first. */
  pKas: readonly number[];
  /** One more form than constants. */
  forms: readonly IndicatorForm[];
  /** Visible ranges of pH, with the colours at their ends. */
  ranges: readonly { from: number; to: number; colours: string }[];
  source: SourceKey;
}

const colourless: IndicatorForm = { name: 'colourless', srgb: [255, 255, 255] };
const yellow = (srgb: IndicatorForm['srgb'] = [250, 222, 92]): IndicatorForm => ({ name: 'yellow', srgb });
const red = (srgb: IndicatorForm['srgb'] = [226, 62, 70]): IndicatorForm => ({ name: 'red', srgb });
const blue = (srgb: IndicatorForm['srgb'] = [52, 98, 190]): IndicatorForm => ({ name: 'blue', srgb });

/**
 * Ranges and constants after Lange; the third form of phenolphthalein is the carbinol that it becomes in strong
 * base (pK about 12.5), which has no colour.
 */
// prettier-ignore
export const INDICATORS = [
  {
    id: 'thymol-blue', name: 'thymol blue', solution: '0.04 % in water', pKas: [1.65, 8.9],
    forms: [red(), yellow(), blue()],
    ranges: [{ from: 1.2, to: 2.8, colours: 'red to yellow' }, { from: 8.0, to: 9.6, colours: 'yellow to blue' }],
    source: 'lange',
  },
  {
    id: 'methyl-orange', name: 'methyl orange', solution: '0.1 % in water', pKas: [3.4],
    forms: [red([232, 74, 62]), { name: 'yellow-orange', srgb: [249, 194, 78] }],
    ranges: [{ from: 3.1, to: 4.4, colours: 'red to yellow-orange' }], source: 'lange',
  },
  {
    id: 'bromophenol-blue', name: 'bromophenol blue', solution: '0.04 % in water', pKas: [3.85],
    forms: [yellow(), { name: 'blue-violet', srgb: [92, 72, 176] }],
    ranges: [{ from: 3.0, to: 4.6, colours: 'yellow to blue-violet' }], source: 'lange',
  },
  {
    id: 'bromocresol-green', name: 'bromocresol green', solution: '0.04 % in water', pKas: [4.68],
    forms: [yellow(), blue([48, 112, 176])],
    ranges: [{ from: 3.8, to: 5.4, colours: 'yellow to blue' }], source: 'lange',
  },
  {
    id: 'methyl-red', name: 'methyl red', solution: '0.1 % in ethanol', pKas: [4.95],
    forms: [red([222, 52, 84]), yellow()],
    ranges: [{ from: 4.4, to: 6.2, colours: 'red to yellow' }], source: 'lange',
  },
  {
    id: 'chlorophenol-red', name: 'chlorophenol red', solution: '0.04 % in water', pKas: [6.0],
    forms: [yellow(), { name: 'violet-red', srgb: [168, 48, 112] }],
    ranges: [{ from: 5.2, to: 6.8, colours: 'yellow to violet-red' }], source: 'lange',
  },
  {
    id: 'bromothymol-blue', name: 'bromothymol blue', solution: '0.04 % in water', pKas: [7.1],
    forms: [yellow(), blue()],
    ranges: [{ from: 6.0, to: 7.6, colours: 'yellow to blue' }], source: 'lange',
  },
  {
    id: 'neutral-red', name: 'neutral red', solution: '0.1 % in ethanol', pKas: [7.4],
    forms: [red([214, 56, 98]), yellow([244, 196, 92])],
    ranges: [{ from: 6.8, to: 8.0, colours: 'red to yellow' }], source: 'lange',
  },
  {
    id: 'phenol-red', name: 'phenol red', solution: '0.04 % in water', pKas: [7.9],
    forms: [yellow(), red([214, 48, 92])],
    ranges: [{ from: 6.4, to: 8.0, colours: 'yellow to red' }], source: 'lange',
  },
  {
    id: 'cresol-red', name: 'cresol red', solution: '0.04 % in water', pKas: [8.2],
    forms: [yellow(), { name: 'violet-red', srgb: [176, 44, 116] }],
    ranges: [{ from: 7.2, to: 8.8, colours: 'yellow to violet-red' }], source: 'lange',
  },
  {
    id: 'phenolphthalein', name: 'phenolphthalein', solution: '0.1 % in ethanol', pKas: [9.4, 12.5],
    forms: [colourless, { name: 'pink', srgb: [222, 56, 148] }, colourless],
    ranges: [{ from: 8.2, to: 10.0, colours: 'colourless to pink' }], source: 'lange',
  },
  {
    id: 'thymolphthalein', name: 'thymolphthalein', solution: '0.1 % in ethanol', pKas: [10.0],
    forms: [colourless, blue([70, 110, 214])],
    ranges: [{ from: 9.4, to: 10.6, colours: 'colourless to blue' }], source: 'lange',
  },
  {
    id: 'alizarin-yellow', name: 'alizarin yellow R', solution: '0.1 % in water', pKas: [11.16],
    forms: [yellow([250, 226, 120]), { name: 'orange-red', srgb: [216, 92, 52] }],
    ranges: [{ from: 10.1, to: 12.0, colours: 'yellow to orange-red' }], source: 'lange',
  },
] as const satisfies readonly Indicator[];

export type IndicatorId = (typeof INDICATORS)[number]['id'];

const BY_ID = new Map<string, Indicator>(INDICATORS.map((entry) => [entry.id, entry]));

/** @throws RangeError for a name that is not in the data book */
export function indicatorOf(id: string): Indicator {
  const found = BY_ID.get(id);
  if (!found) throw new RangeError(`no indicator is called "${id}"`);
  return found;
}
