import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyNotebook } from '../notebook/document';
import { askSchema, withoutKey, type Ask, type SampleQuantity } from './asks';
import { checkReport, readRatio } from './check';
import type { CheckedItem } from './checked-item';
import { amissText, cellsAmiss, gridOf, gridText, withCell } from './grid';
import { placeOf, type Support } from './digits';
import { differenceOf, isGood, verdictOn } from './verdict';

const QUANTITIES: SampleQuantity[] = [
  { key: 'density', label: 'Density', kind: 'number', unit: 'g/mL', digits: 3 },
  { key: 'metal', label: 'Name', kind: 'name', options: ['zinc', 'tin', 'lead'] },
  { key: 'ratio', label: 'Ratio', kind: 'ratio' },
];
const TRUTHS = { density: 7.14, metal: 'zinc', ratio: '1 : 2' };

const ask = (more: Record<string, unknown>): Ask =>
  askSchema.parse({
    key: 'q',
    label: 'Density of the metal',
    when: 'result',
    bandsPercent: [1, 5],
    unit: 'g/mL',
    quantity: 'density',
    options: ['zinc', 'tin', 'lead'],
    ...more,
  });
const check = (question: Ask, text: string, unit?: string, notebook = emptyNotebook()) => {
  const result = checkReport({
    asks: [question],
    answers: { q: { text, unit } },
    quantities: QUANTITIES,
    truths: TRUTHS,
    notebook,
  });
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
        return checkReport({
          asks: [number],
          answers: { q: { text, unit: text === '7.1 g' ? '' : 'g/mL' } },
          quantities: QUANTITIES,
          truths,
        });
      });
      const told = verdicts.map((verdict) => (verdict.ok ? 'taken' : verdict.problems));
      for (const verdict of told) expect(verdict).toEqual(told[0]);
    }
    expect(check(number, '-7.1', 'g/mL')).toMatchObject({ bandPercent: null });
  });

  it('names everything that is missing or wrong at once', () => {
    const asks = [
      number,
      ask({ key: 'metal', kind: 'name', quantity: 'metal' }),
      ask({ key: 'why', kind: 'text', leastWords: 3 }),
    ];
    const checked = checkReport({
      asks,
      answers: { why: { text: 'So.' } },
      quantities: QUANTITIES,
      truths: TRUTHS,
    });
    expect(checked.ok ? [] : checked.problems.map(({ field }) => field)).toEqual(['q', 'metal', 'why']);
  });

  const noteOn = (text: string, support?: Support, unit = 'g/mL') => {
    const checked = checkReport({
      asks: [number],
      answers: { q: { text, unit } },
      quantities: QUANTITIES,
      truths: TRUTHS,
      support: support && { density: support },
    });
    const item = checked.ok ? checked.items[0] : undefined;
    if (item?.kind !== 'number') throw new Error('nothing was checked');
    return item;
  };

  it.each([
    ['7.1403', /You gave 5 digits. Readings as they are taken here carry 3/],
    ['7', /one digit/],
    ['7.14', null],
    ['7.140', null],
    ['7.1', null],
    // What is said of the uncertainty decides.
    ['7.1403 ± 0.02', /goes on beyond your uncertainty, 0.02/],
    ['7.1 ± 0.02', /stops before your uncertainty/],
    ['7.14 ± 0.0213', /one or two digits says all: 0.021 rather than 0.0213/],
    ['7.140 ± 0.021', null],
    ['7 ± 1', null],
    ['7.14 ± 1 %', null],
    ['7.1 ± 0.2 %', null],
    ['7 ± 0.2 %', /rounded too much/],
  ])('%s is judged by its digits', (text, note) => {
    const { digitsNote } = noteOn(text);
    if (note) expect(digitsNote).toMatch(note);
    else expect(digitsNote).toBeNull();
  });

  it('the readings decide where no uncertainty is stated, in whatever unit it is typed', () => {
    const support = { uncertainty: 0.02, hint: 'The coarsest reading is 4.1 mL.' };
    expect(noteOn('7.1403', support).digitsNote).toBe(
      'You gave 5 digits. By your readings the value is uncertain by about 0.02 g/mL, so what stands behind the second decimal says little. The coarsest reading is 4.1 mL.',
    );
    for (const text of ['7.14', '7.140', '7.140 ± 0.006']) expect(noteOn(text, support).digitsNote).toBeNull();
    expect(noteOn('7140', support, 'kg/m³').digitsNote).toBeNull();
    expect(noteOn('7140.3', support, 'kg/m³').digitsNote).toMatch(/about 20 kg\/m³/);
    expect(noteOn('7.1', support).digitsNote).toBeNull();
    expect(noteOn('7', support).digitsNote).toMatch(/rounded too much/);
  });

  it('no rounding that Fen asks for makes a right answer worse, and none beyond it is taken for right', () => {
    const digits = fc.double({ min: 1.5, max: 9.5, noNaN: true });
    const uncertainties = fc.double({ min: 0.002, max: 0.5, noNaN: true });
    fc.assert(
      fc.property(digits, uncertainties, (value, uncertainty) => {
        const support = { uncertainty, hint: '' };
        const [before, place] = [noteOn(value.toFixed(6), support), placeOf(uncertainty)];
        const rounded = noteOn(value.toFixed(Math.max(0, -Math.log10(place))), support);
        const band = (item: typeof before) => item.bandPercent ?? Infinity;
        expect(band(rounded)).toBeLessThanOrEqual(band(before));
        // As far as a digit of the readings' own uncertainty goes, and no further.
        const coarse = noteOn(value.toFixed(0), { uncertainty: 0.001, hint: '' });
        const size = Math.abs((coarse.value - 7.14) / 7.14) * 100;
        if (size > 5.01) expect(coarse.bandPercent).toBeNull();
        if (rounded.byRounding) expect(verdictOn(rounded)).toMatch(/as far as its last digit goes$/);
      }),
    );
  });

  it('what is exact is right or wrong, and nothing between', () => {
    const worth = ask({ kind: 'number', quantity: 'worth', unit: 'mL', digits: 1, bandsPercent: [0.5] });
    const exact = (text: string, truth: number) =>
      checkReport({
        asks: [worth],
        answers: { q: { text, unit: 'mL' } },
        quantities: [{ key: 'worth', label: 'Worth', kind: 'number', unit: 'mL', digits: 1, exact: true }],
        truths: { worth: truth },
      });
    const saidOf = (truth: number) => (text: string) => {
      const checked = exact(text, truth);
      return checked.ok && checked.items[0] ? verdictOn(checked.items[0]) : '';
    };
    const said = saidOf(0.5);
    // Nothing at all is right or wrong as well.
    expect(['0', '0.0', '1', '-1'].map(saidOf(0))).toEqual(['right', 'right', 'not right', 'not right']);
    expect(['0.5', '0.50', '1', '0.501', '0.4999'].map(said)).toEqual([
      'right',
      'right',
      'not right',
      'not right',
      'not right',
    ]);
  });

  it.each([
    ['(7.14 ± 0.02) g/mL', 0, 1],
    ['7.14 g/mL ± 0.02 g/mL', 0, 1],
    ['7.14 g/mL +/- 1 %', 0, 1],
    ['7.14 +- 0.02', 0, 1],
  ])('%s is a number with what was said of it', (text, difference, band) => {
    expect(noteOn(text, undefined, /g/.test(text) ? '' : 'g/mL')).toMatchObject({
      differencePercent: difference,
      bandPercent: band,
    });
  });

  it('is held against the teacher’s own value, a temperature with its zero, or against nothing', () => {
    const boiling = ask({ kind: 'number', quantity: null, expected: 100, unit: '°C' });
    expect(check(boiling, '373.15', 'K')).toMatchObject({ bandPercent: 1, differencePercent: expect.closeTo(0, 9) });
    const open = ask({ kind: 'number', quantity: null, unit: '' });
    expect(check(open, '42')).toMatchObject({ trueValue: null, differencePercent: null, bandPercent: null });
  });
});

describe('bands in the unit itself', () => {
  const within = (expected: number, text: string, unit: string) => {
    const question = ask({ kind: 'number', quantity: null, expected, unit: '°C', bandsInUnit: [1, 0.2] });
    const item = check(question, text, unit);
    if (typeof item !== 'object' || item.kind !== 'number') throw new Error(String(item));
    return { verdict: verdictOn(item), difference: differenceOf(item)?.text, isGood: isGood(item) };
  };

  it.each([
    [78.37, '78.5', '°C', 'within 0.2 °C', '0.13 °C', true],
    [78.37, '351.65', 'K', 'within 0.2 °C', '0.13 °C', true],
    [78.37, '78.57', '°C', 'within 0.2 °C', '0.20 °C', true],
    [78.37, '77.6', '°C', 'within 1 °C', '−0.77 °C', true],
    [78.37, '80', '°C', 'outside all bands', '1.6 °C', false],
    // Of nothing there is no percentage, and of a freezing point the degrees count, wherever its zero lies.
    [0, '0.3', '°C', 'within 1 °C', '0.30 °C', true],
    [0, '-4', '°C', 'outside all bands', '−4.0 °C', false],
    [-20, '253.25', 'K', 'within 0.2 °C', '0.10 °C', true],
  ])('%s °C: %s %s is %s', (expected, text, unit, verdict, difference, good) => {
    expect(within(expected, text, unit)).toEqual({ verdict, difference, isGood: good });
  });

  it('hold in place of those in percent, and are no secret', () => {
    const question = ask({ kind: 'number', bandsPercent: [50], bandsInUnit: [0.01] });
    expect(check(question, '7.30', 'g/mL')).toMatchObject({
      bandPercent: null,
      bandInUnit: null,
      difference: expect.closeTo(0.16, 9) as number,
    });
    expect(withoutKey(question)).toMatchObject({ bandsInUnit: [0.01] });
    // A report that was composed before there were such bands has none.
    expect(ask({ kind: 'number' })).toMatchObject({ bandsInUnit: [] });
  });
});

describe('equations and grids', () => {
  const equation = (right: string | null) => ask({ kind: 'equation', right });
  const one = (question: Ask, text: string) => check(question, text);

  it.each([
    ['2 H2 + O2 -> 2 H2O', '2 H2O -> 2 H2 + O2', false, null],
    ['2 H2 + O2 -> 2 H2O', 'O2 + 2H2 = 2 H2O', true, null],
    [
      '2 H2 + O2 -> 2 H2O',
      'H2 + O2 -> H2O',
      false,
      'It is not balanced: there are 2 O on the left and 1 on the right.',
    ],
    [null, 'CaCO3 -> CaO + CO2', true, null],
    [null, 'CaCO3 -> CaO + CO', false, 'It is not balanced: there are 3 O on the left and 2 on the right.'],
  ])('held against %s, %s is %s', (right, text, isRight, note) => {
    expect(one(equation(right), text)).toMatchObject({ kind: 'match', right: isRight, trueText: right, note });
  });

  it('what is no equation gets a sentence', () => {
    expect(one(equation(null), 'it burns')).toMatch(/one arrow/);
    expect(one(equation('2 H2 + O2 -> 2 H2O'), 'Hx -> H2')).toBe('“Hx” is no element.');
  });

  const grid = ask({
    kind: 'grid',
    rows: ['A', 'B'],
    columns: ['in acid', 'in base'],
    options: ['gas', 'white', 'nothing'],
    right: 'gas\tnothing\nnothing\twhite',
  });

  it.each([
    ['gas\tnothing\nnothing\twhite', 4, 'right'],
    ['gas\tgas\nnothing\tgas', 2, '2 of 4 right'],
    ['white\tgas\ngas\tgas', 0, '0 of 4 right'],
  ])('a grid tells how many of its cells stand as they should: %o', (text, right, verdict) => {
    const item = one(grid, text);
    expect(item).toMatchObject({ kind: 'grid', right, of: 4 });
    expect(verdictOn(item as CheckedItem)).toBe(verdict);
  });

  it('names the cells that do not stand as they should, by row and column', () => {
    const shape = { rows: ['A', 'B'], columns: ['in acid', 'in base'] };
    const right = 'gas\tnothing\nnothing\twhite';
    expect(cellsAmiss(right, right, shape)).toEqual([]);
    expect(amissText('gas\tgas\n\twhite', right, shape)).toBe(
      'A, in base: “gas”, it is “nothing”\nB, in acid: “”, it is “nothing”',
    );
    expect(amissText('x', 'y', { rows: ['A'], columns: ['is'] })).toBe('A: “x”, it is “y”');
  });

  it('wants every cell, from the list; where nothing is given as right, nothing is judged', () => {
    expect(one(grid, 'gas\tnothing\nnothing')).toBe('Nothing stands at “B”, “in base” yet.');
    expect(one(grid, 'gas\tnothing\nnothing\tblue')).toBe('“blue” at “B”, “in base” is not on the list.');
    const open = { ...grid, right: null } as Ask;
    const item = one(open, 'gas\tgas\ngas\tgas\nmore\tand more');
    expect(item).toMatchObject({ right: null, of: 4 });
    expect(verdictOn(item as CheckedItem)).toBeNull();
  });

  it('their key is no student’s to see', () => {
    for (const question of [grid, equation('2 H2 + O2 -> 2 H2O')])
      expect(withoutKey(question)).toEqual({ ...question, right: null, quantity: null });
  });

  it('cells are put in one by one, whatever stood there', () => {
    fc.assert(
      fc.property(fc.string(), fc.nat(1), fc.nat(1), fc.constantFrom('gas', 'white', ''), (text, i, j, value) => {
        const shape = { rows: ['A', 'B'], columns: ['x', 'y'] };
        const next = gridOf(gridText(withCell(gridOf(text, shape), i, j, value)), shape);
        expect(next[i]?.[j]).toBe(value);
        expect(next.flat()).toHaveLength(4);
      }),
    );
  });
});

describe('other answers', () => {
  it('compares names, choices and ratios', () => {
    expect(check(ask({ kind: 'name', quantity: 'metal' }), 'tin')).toMatchObject({ right: false, trueText: 'zinc' });
    expect(check(ask({ kind: 'name', quantity: 'metal' }), 'gold')).toMatch(/not on the list/);
    expect(check(ask({ kind: 'ratio', quantity: 'ratio' }), '2:4')).toMatchObject({ right: true });
    expect(check(ask({ kind: 'ratio', quantity: 'ratio' }), '1.5 to 2')).toMatch(/whole numbers/);
    expect(check(ask({ kind: 'choice', right: 'tin' }), 'tin')).toMatchObject({ right: true });
    expect(check(ask({ kind: 'choice' }), 'my own words')).toMatch(/answers offered/);
    expect(check(ask({ kind: 'choice', ownWords: true }), 'my own words')).toBe('taken');
  });

  it.each([
    ['1 : 2', '1 : 2'],
    ['6:3', '2 : 1'],
    ['2 to 3', '2 : 3'],
    ['4:2:6', '2 : 1 : 3'],
    ['1', undefined],
    ['0:1', undefined],
    ['a:b', undefined],
  ])('reads the ratio %s', (text, ratio) => {
    expect(readRatio(text)).toBe(ratio);
  });

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
    const notebook = {
      ...emptyNotebook(),
      sketches: [{ id: 's', name: 'S', under: 'nothing' as const, act: 0, atS: 0, readings: 0, marks: [] }],
    };
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
      expect(withoutKey(question)).toMatchObject({
        ...('right' in question ? { right: null } : { expected: null }),
      });
  });
});
