import { GASES } from '../gases';
import { cited, columns, type BookTable } from './table';

/** Gases by the mass of their particles. */
export const gasTables = (): BookTable[] => [
  {
    title: 'Gases, by molar mass',
    columns: columns('Gas', '~Formula', '=Molar mass / g mol⁻¹', 'Source'),
    rows: [...GASES]
      .sort((a, b) => a.molarMassGPerMol - b.molarMassGPerMol)
      .map(({ name, formula, molarMassGPerMol, source }) => [name, formula, String(molarMassGPerMol), cited(source)]),
  },
];
