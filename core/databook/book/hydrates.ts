import { printedFormula } from '../../chemistry/formula';
import { gramsPerMol } from '../../chemistry/molar-mass';
import { DRY_SALTS, hydrateGPerMol, HYDRATES, waterPart } from '../hydrates';
import { cited, columns, type BookTable } from './table';

/** Salts that hold water, with what each loses and what it looks like on the way. */
export const hydrateTables = (): BookTable[] => [
  {
    title: 'Hydrates',
    note: 'The part that is lost is that of the water alone. Temperatures are those at which half of a step has gone in a minute.',
    columns: columns(
      'Salt',
      '~Formula',
      '=M / g mol⁻¹',
      '=M of the dry salt / g mol⁻¹',
      '=Loses / %',
      'Goes through, at',
      'Source',
    ),
    rows: HYDRATES.map((one) => [
      one.name,
      one.stages[0]?.formula ?? '',
      hydrateGPerMol(one).toFixed(2),
      gramsPerMol(one.dryFormula).toFixed(2),
      (100 * waterPart(one)).toFixed(2),
      one.stages
        .map(({ formula, look }, i) =>
          i === 0 ? look : `${one.losses[i - 1]?.halfC} °C: ${printedFormula(formula)}, ${look}`,
        )
        .join('; ') + (one.meltsC === null ? '' : `; melts in its own water at ${one.meltsC} °C`),
      cited(one.source),
    ]),
  },
  {
    title: 'Dry salts',
    note: 'Heating leaves them as they are.',
    columns: columns('Salt', '~Formula', '=M / g mol⁻¹', 'Source'),
    rows: DRY_SALTS.map(({ name, formula }) => [name, formula, gramsPerMol(formula).toFixed(2), cited('iupacWeights')]),
  },
];
