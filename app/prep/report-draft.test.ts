import { describe, expect, it } from 'vitest';
import { PRACTICALS } from '@core/practicals/registry';
import { draftOf, KINDS, newDraft, reportFrom } from './report-draft';

const practical = PRACTICALS['acid-concentration'];
const setup = practical.setup.parse({});

describe('composing a report', () => {
  it('takes a practical’s own report apart and puts it together unchanged', () => {
    const own = practical.asks(setup);
    expect(reportFrom(own.map(draftOf))).toEqual({ report: own });
  });

  it('offers a new question of every kind that needs only its words', () => {
    const drafts = KINDS.map(({ kind }, i) => ({
      ...newDraft(kind, `k${i}`, practical.quantities(setup)),
      label: 'What?',
      options: 'one\ntwo',
      rows: 'A\nB',
      columns: 'in acid',
    }));
    expect(reportFrom(drafts)).toMatchObject({ report: KINDS.map(({ kind }) => ({ kind })) });
  });

  it.each([
    ['1; 3; 10', 'g', [1, 3, 10], []],
    ['1 3 10 %', 'g', [1, 3, 10], []],
    ['0.2 °C; 1 °C', '°C', [], [0.2, 1]],
    ['0,5 kPa', 'kPa', [], [0.5]],
    ['2 %; 5 %', '', [2, 5], []],
  ])(
    'reads the bands “%s” of what is in %s, and writes them so that they are read again',
    (bands, unit, bandsPercent, bandsInUnit) => {
      const draft = { ...newDraft('number', 'k', []), label: 'What?', unit, bands };
      const first = reportFrom([draft]);
      expect(first).toMatchObject({ report: [{ bandsPercent, bandsInUnit }] });
      if ('mistakes' in first) throw new Error('mistakes');
      expect(reportFrom(first.report.map(draftOf))).toEqual(first);
    },
  );

  it('takes a grid and an equation with what is right, and writes them so that they are read again', () => {
    const grid = {
      label: 'What happens?',
      rows: 'A\nB',
      columns: 'in acid\nin base',
      options: 'nothing\ngas\nwhite',
      right: 'gas; nothing\nwhite ; white',
    };
    const drafts = [
      { ...newDraft('grid', 'g', []), ...grid },
      { ...newDraft('equation', 'e', []), label: 'Its equation', right: '2 H2 + O2 -> 2 H2O' },
    ];
    const first = reportFrom(drafts);
    expect(first).toMatchObject({
      report: [{ rows: ['A', 'B'], right: 'gas\tnothing\nwhite\twhite' }, { right: '2 H2 + O2 -> 2 H2O' }],
    });
    if ('mistakes' in first) throw new Error('mistakes');
    expect(reportFrom(first.report.map(draftOf))).toEqual(first);
  });

  it.each([
    ['grid', { rows: 'A\nA', columns: 'x', options: 'a\nb' }, '0.rows'],
    ['grid', { rows: 'A', columns: '', options: 'a\nb' }, '0.columns'],
    ['grid', { rows: 'A\nB', columns: 'x', options: 'a\nb', right: 'a' }, '0.right'],
    ['grid', { rows: 'A\nB', columns: 'x', options: 'a\nb', right: 'a\nc' }, '0.right'],
    ['equation', { right: 'H2 + O2 -> H2O' }, '0.right'],
    ['equation', { right: 'water' }, '0.right'],
    ['number', { bands: '1 %; 0.2 g', unit: 'g' }, '0.bands'],
    ['number', { bands: '0.2 °C', unit: 'g' }, '0.bands'],
    ['number', { bands: '-0.2 g', unit: 'g' }, '0.bands'],
    ['number', { label: '' }, '0.label'],
    ['number', { digits: 'many' }, '0.digits'],
    ['number', { bands: '1; wide' }, '0.bands'],
    ['number', { bands: '-1' }, '0.bands'],
    ['choice', { options: 'only one' }, '0.options'],
    ['choice', { options: 'a\nb', right: 'c' }, '0.right'],
    ['text', { leastWords: '-3' }, '0.leastWords'],
  ] as const)('marks what is wrong with a %s: %o', (kind, change, field) => {
    const draft = { ...newDraft(kind, 'k', []), label: 'What?', ...change };
    const result = reportFrom([draft]);
    expect('mistakes' in result && Object.keys(result.mistakes)).toContain(field);
    expect('mistakes' in result && result.mistakes[field]).toMatch(/\.$/);
  });
});
