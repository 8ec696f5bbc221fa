import type { Column, Table } from '../../notebook/document';
import type { Ask, SampleQuantity, Truths } from '../../report/asks';
import { soluteOf } from '../../databook/solutes';
import type { Bench, Sample } from './bench';
import { ACID_IDS, type Setup } from './setup';
import { trialsOf } from './trials';

/** Titres read to 0.01 mL carry four digits. */
const DIGITS = 4;

export function quantitiesOf(setup: Setup): SampleQuantity[] {
  const names = ACID_IDS.map((id) => soluteOf(id).name).sort();
  return [
    { key: 'concentration', label: 'Concentration of the acid', kind: 'number', unit: setup.unit, digits: DIGITS },
    { key: 'acid', label: 'Name of the acid', kind: 'name', options: names },
    { key: 'ratio', label: 'Ratio of acid to base in the reaction', kind: 'ratio' },
  ];
} // prettier-ignore

export function truthsOf(setup: Setup, sample: Sample): Truths {
  return { concentration: sample.molPerL, acid: soluteOf(sample.soluteId).name, ratio: '1 : 1' };
}

export function unready(bench: Bench): string | undefined {
  if (trialsOf(bench).trials.some((trial) => trial.titre !== null)) return undefined;
  return 'There is no titre in your Readings yet: a first and a last reading of one trial. A result needs a reading to stand on.';
}

const column = (id: string, more: Partial<Column>): Column => ({
  id,
  name: '',
  symbol: '',
  unit: 'mL',
  kind: 'recorded',
  formula: '',
  slot: '',
  uncertainty: '',
  digits: null,
  ...more,
});

/** The titres: what was read, and what follows from it. */
export function tablesOf(setup: Setup): Table[] {
  const curve: Table = {
    id: 'curve',
    name: 'pH curve',
    origin: 'logged',
    columns: [
      column('trial', { name: 'trial', symbol: 'trial', unit: '', slot: 'trial' }),
      column('V', { name: 'delivered', symbol: 'V', slot: 'V' }),
      column('t', { name: 'time', symbol: 't', unit: 's', slot: 't' }),
      column('pH', { name: '', symbol: 'pH', unit: '', slot: 'pH' }),
    ],
    rows: [],
  };
  return [
    ...(setup.probe ? [curve] : []),
    {
      id: 'titres',
      name: 'Titres',
      origin: 'readings',
      columns: [
        column('first', { name: 'first reading', symbol: 'V_1', slot: 'first' }),
        column('last', { name: 'last reading', symbol: 'V_2', slot: 'last' }),
        column('titre', { name: 'titre', symbol: 'V_T', kind: 'computed', formula: 'V_2 - V_1' }),
      ],
      rows: [],
    },
  ];
}

/** The report that fits this bench; a teacher may compose another. */
export function asksOf(setup: Setup): Ask[] {
  const before = { when: 'before', required: true } as const;
  const after = { when: 'after', required: true } as const;
  return [
    {
      ...before,
      kind: 'choice',
      key: 'measured',
      label: 'What has to be measured to find the concentration?',
      help: '',
      options: [
        'The volume of titrant that just reacts with the sample',
        'The volume of indicator that was added',
        'The time until the colour changes',
        'The volume of water in the flask',
      ],
      right: 'The volume of titrant that just reacts with the sample',
      ownWords: false,
    },
    {
      ...before,
      kind: 'choice',
      key: 'hypothesis',
      label: 'Hypothesis: how concentrated is your acid, next to the titrant?',
      help: 'Choose one or write your own, before you begin. You come back to it at the end.',
      options: ['More concentrated', 'About as concentrated', 'Less concentrated'],
      right: null,
      ownWords: true,
    },
    {
      when: 'result',
      required: true,
      kind: 'number',
      key: 'concentration',
      label: 'Concentration of the acid',
      help: '',
      quantity: 'concentration',
      unit: setup.unit,
      expected: null,
      digits: DIGITS,
      bandsPercent: [...setup.bandsPercent].sort((a, b) => a - b),
    },
    {
      when: 'result',
      required: true,
      kind: 'text',
      key: 'working',
      label: 'Working',
      help: 'A few lines: the equation, the amounts in mol, how you got from the titre to the concentration.',
      leastWords: 4,
      words: [],
    },
    {
      ...after,
      kind: 'text',
      key: 'claim',
      label: 'Claim',
      help: 'What do you say about your sample, and was your hypothesis right?',
      leastWords: 6,
      words: [],
    },
    {
      ...after,
      kind: 'text',
      key: 'reasoning',
      label: 'Evidence and reasoning',
      help: 'Which readings bear the claim out, and why do they? How well do your titres agree?',
      leastWords: 12,
      words: ['titre'],
    },
    {
      ...after,
      kind: 'choice',
      key: 'aim',
      label: 'Which of these can you do best by now?',
      help: '',
      options: [
        'Read a burette to a tenth of a division',
        'Catch an end point to a drop',
        'Work from a titre to a concentration',
      ],
      right: null,
      ownWords: true,
    },
    {
      ...after,
      kind: 'text',
      key: 'aimWhy',
      label: 'How do you know?',
      help: 'One sentence about what you did that shows it.',
      leastWords: 6,
      words: [],
    },
  ];
}
