import { MATERIALS } from '@core/databook/materials';
import { significant } from '@core/analysis/quantity';
import type { Answer } from '@core/notebook/document';
import type { Edit } from '@core/notebook/edits';

/** What the class was set: the same rivets for everyone. */
export const SAME_FOR_ALL = {
  solids: ['brass'],
  drawn: false,
  form: 'small pieces',
  vessels: ['cylinder-25', 'cylinder-50'],
};

const free = { min: '', max: '' };

/** The graph of a student who plots mass against volume, and the report that goes with its slope. */
export function slopeNotebook(slope: number, error: number, index: number): Edit[] {
  const density = index === 13 ? 1 / slope : slope;
  const nearest = MATERIALS.reduce((a, b) =>
    Math.abs(b.densityGPerMl - slope) < Math.abs(a.densityGPerMl - slope) ? b : a,
  );
  const text = index === 13 ? significant(density, 2) : `${slope.toFixed(2)} ± ${error.toFixed(2)}`;
  const answers: [string, Answer][] = [
    ['measured', { text: 'How far the water rises when it is under water' }],
    ['hypothesis', { text: index % 3 === 0 ? 'Mass grows faster than volume' : 'Mass grows in proportion to volume' }],
    [
      'densityA',
      {
        text,
        unit: 'g/cm³',
        ...(index === 13 ? {} : { from: { kind: 'line', graph: 'g', line: 'l', what: 'slope' } as const }),
      },
    ],
    ['nameA', { text: nearest.name }],
    ['working', { text: 'The slope of mass against the volume displaced, over six amounts.' }],
    ['claim', { text: `The rivets are of ${nearest.name}; mass grows in proportion to volume.` }],
    [
      'reasoning',
      {
        text: 'The points lie on a line through nothing, and its slope, the density, is nearest to that of the data book. Each volume was read to a tenth of a division.',
      },
    ],
    ['aim', { text: 'Find a density from a slope' }],
    ['aimWhy', { text: 'My line goes through all six points.' }],
  ];
  return [
    {
      kind: 'addGraph',
      graph: {
        id: 'g',
        name: 'Mass against volume',
        series: [{ id: 's', table: 'rows', x: 'c0', y: 'm', shape: 'points', window: 3 }],
        lines: [{ id: 'l', series: 's', from: null, to: null, also: [], not: [], throughOrigin: false }],
        x: free,
        y: free,
        residuals: false,
      },
    },
    ...answers.map(([key, answer]): Edit => ({ kind: 'answer', key, answer, was: '' })),
  ];
}
