import { printedFormula } from '../../chemistry/formula';
import { BENCH_SOLUTIONS } from '../bench-solutions';
import { ION_BANDS, ION_COLOURS_SOURCE } from '../ion-colours';
import { BOUND, CONSTANTS_SOURCE, SOLIDS_THAT_FALL } from '../precipitates';
import { logKOf, REACTIONS } from '../reactions';
import { REDOX } from '../redox';
import { cited, columns, type BookTable } from './table';

/** Charges as they are printed: raised, with a true minus. */
const RAISED: Readonly<Record<string, string>> = { '1': '¹', '2': '²', '3': '³', '4': '⁴', '+': '⁺', '-': '⁻' };
const printed = (text: string): string =>
  printedFormula(text.replace(/\^(\d?)([+-])/gu, (_, digits: string, sign: string) => `${RAISED[digits] ?? ''}${RAISED[sign] ?? ''}`))
    .replace(/->/gu, '→')
    .replace(/·(\d)/gu, '·$1'); // prettier-ignore
const minus = (value: number, digits: number) => value.toFixed(digits).replace('-', '−');

/** What falls, what binds, what passes electrons on: with constants at 25 °C and no ionic strength. */
export const reactionTables = (): BookTable[] => [
  {
    title: 'Reactions in water',
    note: 'K is that of the reaction as it is written, at 25 °C: much above 0 and it goes far, below 0 it hardly does.',
    columns: columns('Reaction', '=log K', 'What is seen', 'Source'),
    rows: REACTIONS.map(({ equation, seen }) => [printed(equation), minus(logKOf(equation), 2), seen, cited(CONSTANTS_SOURCE)]),
  },
  {
    title: 'Electrons passed on',
    note: 'These go to completion in the solutions that stand at the bench; where it says so, in acid alone.',
    columns: columns('Reaction', 'Goes', 'Source'),
    rows: REDOX.map(({ equation, belowPH }) => [printed(equation), belowPH === null || belowPH > 6 ? 'in water' : 'in acid', cited('model')]),
  },
  {
    title: 'What falls, and its colour',
    note: 'Of a hydroxide the product is that of the metal with the protons that it takes to dissolve it.',
    columns: columns('Solid', '=log of the product', 'Colour', 'Falls', 'Source'),
    rows: SOLIDS_THAT_FALL.map(({ formula, logKsp, look, form }) => [printedFormula(formula), minus(logKsp, 2), look, FALLS[form], cited(CONSTANTS_SOURCE)]),
  },
  {
    title: 'What binds in solution',
    note: 'Out of the ions and molecules that it is made of, and H⁺.',
    columns: columns('Species', '=log of the constant', 'Source'),
    rows: BOUND.map(({ formula, logK }) => [printed(formula), minus(logK, 2), cited(CONSTANTS_SOURCE)]),
  },
  {
    title: 'Colours of ions in water',
    note: 'Where each absorbs visible light: the middle of each band, and the molar absorptivity there. All others are colourless.',
    columns: columns('Species', 'Bands / nm (L mol⁻¹ cm⁻¹)', 'Source'),
    rows: Object.entries(ION_BANDS).map(([formula, bands]) => [printed(formula), bands.map(({ at, per }) => `${at} (${per})`).join('; '), cited(ION_COLOURS_SOURCE)]),
  },
  {
    title: 'Solutions at the bench',
    columns: columns('Solution', '~Formula', 'Source'),
    rows: BENCH_SOLUTIONS.map(({ name, formula }) => [name, formula, cited('model')]),
  },
]; // prettier-ignore

const FALLS = { curdy: 'in curds', fine: 'as fine dust', flocks: 'in flocks', crystals: 'in crystals' } as const;
