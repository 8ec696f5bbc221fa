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
    const drafts = KINDS.map(({ kind }, i) => ({ ...newDraft(kind, `k${i}`, practical.quantities(setup)), label: 'What?', options: 'one\ntwo' })); // prettier-ignore
    expect(reportFrom(drafts)).toMatchObject({ report: KINDS.map(({ kind }) => ({ kind })) });
  });

  it.each([
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
