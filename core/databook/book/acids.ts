import { INDICATORS } from '../indicators';
import { IONS, IONS_SOURCE } from '../ions';
import { ACID_SOLIDS, SOLIDS } from '../solids';
import { soluteOf, SOLUTES } from '../solutes';
import { cited, columns, type BookTable } from './table';

/** Acids, bases and what shows them. */
export const acidTables = (): BookTable[] => [
  {
    title: 'Acids and bases, 25 °C',
    columns: columns('Name', '~Formula', '=Molar mass / g mol⁻¹', 'Kind', '=pKa', 'Source'),
    rows: SOLUTES.map(({ name, formula, molarMassGPerMol, kind, pKas, source }) => [
      name,
      formula,
      String(molarMassGPerMol),
      kind,
      pKas.join('; ') || '–',
      cited(source),
    ]),
  },
  {
    title: 'Solid acids, by molar mass',
    columns: columns('Name', '~Formula', '=Molar mass / g mol⁻¹', '=Protons it can give', '=pKa, 25 °C'),
    rows: [...ACID_SOLIDS]
      .sort((a, b) => a.molarMassGPerMol - b.molarMassGPerMol)
      .map((solid) => {
        const solute = soluteOf(Object.keys(solid.gives)[0] ?? '');
        const hidden = solute.kind === 'salt' ? solute.pKas.length - solute.protons : 0;
        const { name, formula, molarMassGPerMol } = solid;
        const given = String(solute.pKas.length - hidden);
        return [name, formula, String(molarMassGPerMol), given, solute.pKas.slice(hidden).join('; ')];
      }),
  },
  {
    title: 'Solid bases',
    columns: columns('Name', '~Formula', '=Molar mass / g mol⁻¹', 'In water'),
    rows: SOLIDS.filter((solid) => !ACID_SOLIDS.includes(solid)).map(
      ({ name, formula, molarMassGPerMol, insoluble }) => [
        name,
        formula,
        String(molarMassGPerMol),
        insoluble ? 'does not dissolve; in acid it does' : 'dissolves',
      ],
    ),
  },
  {
    title: 'Ions, limiting molar conductivity at 25 °C',
    columns: columns('~Ion', '=Λ° / S cm² mol⁻¹', 'Source'),
    rows: Object.entries(IONS).map(([ion, value]) => [ion, String(value), cited(IONS_SOURCE)]),
  },
  {
    title: 'Indicators',
    columns: columns('Name', 'Solution', 'Range of pH and colours', '=pK', 'Source'),
    rows: INDICATORS.map(({ name, solution, ranges, pKas, source }) => [
      name,
      solution,
      ranges.map((r) => `${r.from.toFixed(1)} to ${r.to.toFixed(1)}, ${r.colours}`).join('; '),
      pKas.join('; '),
      cited(source),
    ]),
  },
];
