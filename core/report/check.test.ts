import { describe, expect, it } from 'vitest';
import { emptyNotebook } from '../notebook/document';
import { askSchema, withoutKey, type Ask, type SampleQuantity } from './asks';
import { checkReport, readRatio } from './check';

const QUANTITIES: SampleQuantity[] = [
  { key: 'density', label: 'Density', kind: 'number', unit: 'g/mL', digits: 3 },
  { key: 'metal', label: 'Name', kind: 'name', options: ['zinc', 'tin', 'lead'] },
  { key: 'ratio', label: 'Ratio', kind: 'ratio' },
];
const TRUTHS = { density: 7.14, metal: 'zinc', ratio: '1 : 2' };

const ask = (more: Record<string, unknown>): Ask =>
  askSchema.parse({ key: 'q', label: 'Density of the metal', when: 'result', bandsPercent: [1, 5], unit: 'g/mL', quantity: 'density', options: ['zinc', 'tin', 'lead'], ...more }); // prettier-ignore
const check = (question: Ask, text: string, unit?: string, notebook = emptyNotebook()) => {
  const result = checkReport({ asks: [question], answers: { q: { text, unit } }, quantities: QUANTITIES, truths: TRUTHS, notebook }); // prettier-ignore
  return result.ok ? (result.items[0] ?? 'taken') : result.problems[0]?.sentence;
};

describe('a number', () => {
  const number = ask({ kind: 'number', digits: 3 });

  it.each([
    ['7.14', 'g/mL', 0, 1],
    ['7140', 'kg/m³', 0, 1],
    ['7,20 g/cm³', undefined, 0.84, 1],
    ['6.80 ± 0.05', 'g/mL', -4.76, 5],
    ['9.0', 'g/mL', 26.05, null],
  ])('%s %s is held against the sample in any unit of its kind', (text, unit, difference, bandPercent) => {
    const item = check(number, text, unit);
    expect(item).toMatchObject({ kind: 'number', trueValue: 7.14, bandPercent });
    expect((item as { differencePercent: number }).differencePercent).toBeCloseTo(difference, 1);
  });

  it.each([
    ['', 'g/mL', /Type the value/],
    ['heavy', 'g/mL', /not a number/],
    ['7.1', '', /without a unit/],
    ['7.1', 'g', /“g” is a unit of mass. A density here is in g\/mL/],
    ['7.1 g/mL', 'g', /You typed g\/mL and chose g/],
    ['7.1', 'stones', /not a unit of density/],
  ])('“%s” with “%s” gets a sentence', (text, unit, sentence) => {
    expect(check(number, text, unit)).toMatch(sentence);
  });

  it('takes or refuses an answer by what is asked, whatever the truth is', () => {
    const texts = ['-7.1', '0', '7140000', '1e-30', '7.14', '999 999', 'heavy', '', '7.1 g'];
    for (const text of texts) {
      const verdicts = [7.14, -7.14, 1e-9, 1e9, undefined].map((density) => {
        const truths: Record<string, number> = density === undefined ? {} : { density };
        return checkReport({ asks: [number], answers: { q: { text, unit: text === '7.1 g' ? '' : 'g/mL' } }, quantities: QUANTITIES, truths }); // prettier-ignore
      });
      const told = verdicts.map((verdict) => (verdict.ok ? 'taken' : verdict.problems));
      for (const verdict of told) expect(verdict).toEqual(told[0]);
    }
    expect(check(number, '-7.1', 'g/mL')).toMatchObject({ bandPercent: null });
  });

  it('names everything that is missing or wrong at once', () => {
    const asks = [number, ask({ key: 'metal', kind: 'name', quantity: 'metal' }), ask({ key: 'why', kind: 'text', leastWords: 3 })]; // prettier-ignore
    const checked = checkReport({
      asks,
      answers: { why: { text: 'So.' } },
      quantities: QUANTITIES,
      truths: TRUTHS,
    });
    expect(checked.ok ? [] : checked.problems.map(({ field }) => field)).toEqual(['q', 'metal', 'why']);
  });

  it.each([
    ['7.1403', /You gave 5 digits. Your readings carry 3/],
    ['7', /one digit/],
    ['7.14', null],
    ['7.1', null],
  ])('%s is judged by its digits', (text, note) => {
    const { digitsNote } = check(number, text, 'g/mL') as { digitsNote: string | null };
    if (note) expect(digitsNote).toMatch(note);
    else expect(digitsNote).toBeNull();
  });

  it('is held against the teacher’s own value, a temperature with its zero, or against nothing', () => {
    const boiling = ask({ kind: 'number', quantity: null, expected: 100, unit: '°C' });
    expect(check(boiling, '373.15', 'K')).toMatchObject({ bandPercent: 1, differencePercent: expect.closeTo(0, 9) }); // prettier-ignore
    const open = ask({ kind: 'number', quantity: null, unit: '' });
    expect(check(open, '42')).toMatchObject({ trueValue: null, differencePercent: null, bandPercent: null });
  });
});

describe('other answers', () => {
  it('compares names, choices and ratios', () => {
    expect(check(ask({ kind: 'name', quantity: 'metal' }), 'tin')).toMatchObject({ right: false, trueText: 'zinc' }); // prettier-ignore
    expect(check(ask({ kind: 'name', quantity: 'metal' }), 'gold')).toMatch(/not on the list/);
    expect(check(ask({ kind: 'ratio', quantity: 'ratio' }), '2:4')).toMatchObject({ right: true });
    expect(check(ask({ kind: 'ratio', quantity: 'ratio' }), '1.5 to 2')).toMatch(/whole numbers/);
    expect(check(ask({ kind: 'choice', right: 'tin' }), 'tin')).toMatchObject({ right: true });
    expect(check(ask({ kind: 'choice' }), 'my own words')).toMatch(/answers offered/);
    expect(check(ask({ kind: 'choice', ownWords: true }), 'my own words')).toBe('taken');
  });

  it.each([['1 : 2', '1 : 2'], ['6:3', '2 : 1'], ['2 to 3', '2 : 3'], ['4:2:6', '2 : 1 : 3'], ['1', undefined], ['0:1', undefined], ['a:b', undefined]])('reads the ratio %s', (text, ratio) => {
    expect(readRatio(text)).toBe(ratio);
  }); // prettier-ignore

  it('counts words, and looks for those that have to be used', () => {
    const text = ask({ kind: 'text', leastWords: 4, words: ['density', 'mass'] });
    expect(check(text, 'So.')).toMatch(/has one word; at least 4/);
    expect(check(text, '. - . , !')).toMatch(/has 0 words/);
    expect(check(text, 'Density is what it is')).toMatch(/does not use “mass” yet/);
    expect(check(text, 'Its density is mass over volume')).toBe('taken');
  });

  it('wants what is attached to be in the notebook, and what is required to be there', () => {
    const sketch = ask({ kind: 'sketch' });
    expect(check(sketch, 'gone')).toMatch(/no longer in the notebook/);
    const notebook = { ...emptyNotebook(), sketches: [{ id: 's', name: 'S', under: 'nothing' as const, act: 0, atS: 0, readings: 0, marks: [] }] }; // prettier-ignore
    expect(check(sketch, 's', undefined, notebook)).toBe('taken');
    expect(check(sketch, '')).toMatch(/A sketch is asked for/);
    expect(check({ ...sketch, required: false }, '')).toBe('taken');
  });

  it('tells a student nothing of what is right', () => {
    for (const question of [
      ask({ kind: 'number', expected: 5 }),
      ask({ kind: 'name', right: 'tin' }),
      ask({ kind: 'ratio', right: '1 : 3' }),
      ask({ kind: 'choice', right: 'lead' }),
    ])
      // prettier-ignore
      expect(withoutKey(question)).toMatchObject({
        ...('right' in question ? { right: null } : { expected: null }),
      });
  });
});
