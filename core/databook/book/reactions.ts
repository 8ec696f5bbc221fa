import { printedFormula } from '../../chemistry/formula';
import { BENCH_SOLUTIONS } from '../bench-solutions';
import { ION_BANDS, ION_COLOURS_SOURCE } from '../ion-colours';
import { BOUND, CONSTANTS_SOURCE, SOLIDS_THAT_FALL } from '../precipitates';
import { logKOf, REACTIONS } from '../reactions';
import { REDOX } from '../redox';
import { solidFormula } from '../../chemistry/weight';
import { gramsPerMol } from '../../chemistry/molar-mass';
import { CARBONATES, protonsTaken, WEIGHED_SOLIDS, WEIGHED_SOURCE } from '../weighed-solids';
import { cited, columns, type BookTable } from './table';

/** Charges as they are printed: raised, with a true minus. */
const RAISED: Readonly<Record<string, string>> = { '1': '¹', '2': '²', '3': '³', '4': '⁴', '+': '⁺', '-': '⁻' };
const printed = (text: string): string =>
  printedFormula(text.replace(/\^(\d?)([+-])/gu, (_, digits: string, sign: string) => `${RAISED[digits] ?? ''}${RAISED[sign] ?? ''}`))
    .replace(/->/gu, '→')
    .replace(/·(\d)/gu, '·$1'); // prettier-ignore
const minus = (value: number, digits: number) => value.toFixed(digits).replace('-', '−');

/** Each solid once, whatever it falls out of. */
const WEIGHED = WEIGHED_SOLIDS.filter(({ solid }, i, all) => all.findIndex((one) => one.solid === solid) === i);

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
    title: 'Solids that are dried and weighed',
    note: 'In an oven up to 300 °C. Between the two temperatures a solid is on its way from one form to the other.',
    columns: columns('Solid', '=Molar mass / (g/mol)', 'Keeps its form up to', 'From there on', '=Molar mass / (g/mol)', 'Source'),
    rows: WEIGHED.map(({ solid, loses }) => [
      printedFormula(solidFormula(solid)),
      gramsPerMol(solidFormula(solid)).toFixed(3),
      loses ? `${loses.fromC} °C` : 'beyond 300 °C',
      loses ? `${printedFormula(loses.formula)}, from ${loses.doneC} °C on` : 'the same',
      gramsPerMol(loses ? loses.formula : solidFormula(solid)).toFixed(3),
      cited(WEIGHED_SOURCE),
    ]),
  },
  {
    title: 'Carbonates, and the acid that they use up',
    columns: columns('Carbonate', '~Formula', '=Molar mass / (g/mol)', '=mol of H⁺ for a mole', 'Source'),
    rows: CARBONATES.map((one) => [one.name, printedFormula(one.formula), gramsPerMol(one.formula).toFixed(3), String(protonsTaken(one)), cited('iupacWeights')]),
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
