import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Graph, Line, Notebook, Table } from './document';
import { applyEdit } from './apply-edit';
import { editSchema, type Edit } from './edits';
import { headingOf, readBlock, tableOf, toClipboard, toCsv, type Block } from './exchange';
import { fittedLines, plottedSeries, slowStepAt, type FittedLine } from './graph-values';
import { column, NO_BENCH, notebookWith, tableWith, texts, workbookWith } from './testing';
import { pickables, trace, valueOf } from './trace';
import { digitsProblem, Workbook } from './workbook';

const ids = () => {
  let n = 0;
  return () => `id${++n}`;
};
const made = (block: Block | { sentence: string }): Table => {
  if ('sentence' in block) throw new Error(block.sentence);
  return tableOf(block, 'Pasted', 'pasted', ids());
};
const apply = (notebook: Notebook, ...edits: Edit[]): Notebook =>
  edits.reduce((now, edit) => {
    const next = applyEdit(now, editSchema.parse(edit));
    if ('sentence' in next) throw new Error(next.sentence);
    return next.notebook;
  }, notebook);

describe('a table', () => {
  const table = tableWith(
    [
      column('V1', 'mL'),
      column('V2', 'mL'),
      column('V', 'mL', { formula: 'V2 - V1' }),
      column('n', 'mmol', { formula: 'c_T * V' }),
    ],
    [
      ['0.50', '23.44'],
      ['0.12', '23.10'],
      ['1.00', '24.90'],
      ['', ''],
    ],
  );
  const notebook = { ...notebookWith(table), calculations: [{ id: 'k', text: 'c_T = 0.1000 mol/L' }] };

  it('computes columns over columns and named results, and leaves empty rows empty', () => {
    const workbook = new Workbook(notebook, NO_BENCH);
    expect(texts(workbook, table, 'V')).toEqual(['22.94', '22.98', '23.90', '']);
    expect(texts(workbook, table, 'n')).toEqual(['2.294', '2.298', '2.390', '']);
  });

  it('takes rows left out from means, and says how many count', () => {
    const out = apply(notebook, { kind: 'leaveOut', table: 'table', row: 'r3', reason: 'overshot' });
    const workbook = new Workbook(out, NO_BENCH);
    const [left] = out.tables as [Table];
    expect(workbook.summary(left, left.columns[2] as (typeof left.columns)[number])).toEqual({
      count: 2,
      mean: '22.96',
      deviation: '0.028',
      spread: '0.04',
      digits: 4,
    });
  });

  it('says in the cell what is wrong with a unit, a text or a circle, and only there', () => {
    const odd = tableWith(
      [
        column('a', 'g'),
        column('b', 'mL', { formula: 'a' }),
        column('c', '', { formula: 'd' }),
        column('d', '', { formula: 'c' }),
        column('e', 'g', { formula: 'a + a' }),
      ],
      [['1.0'], ['one'], ['2.0 mL'], ['3.0 kg']],
    );
    const workbook = workbookWith(odd);
    expect(texts(workbook, odd, 'b')[0]).toBe('The result is of another kind, so it cannot be given in mL.');
    expect(texts(workbook, odd, 'c')[0]).toMatch(/leads back to itself/);
    expect(texts(workbook, odd, 'a').slice(1, 3)).toEqual(['“one” is not a number.', 'This column is in g, not mL.']);
    expect(texts(workbook, odd, 'e')).toEqual([
      '2.0',
      '“one” is not a number.',
      'This column is in g, not mL.',
      '6000',
    ]);
  });

  it('lets a temperature be a factor once it was given in kelvin', () => {
    const gas = tableWith(
      [
        column('t', '°C'),
        column('T', 'K', { formula: 't' }),
        column('ratio', '', { formula: 'T / 298.2 K' }),
        column('bad', '', { formula: 't / 298.2 K' }),
      ],
      [['25.0']],
    );
    const workbook = workbookWith(gas);
    expect(texts(workbook, gas, 'ratio')).toEqual(['0.9998']);
    expect(texts(workbook, gas, 'bad')[0]).toMatch(/cannot be multiplied or divided/);
  });

  it('points out digits that its data do not carry, with the reason', () => {
    const exact = {
      ...table,
      columns: table.columns.map((c) => (c.symbol === 'V' ? { ...c, digits: 6 } : c)),
    };
    const workbook = workbookWith(exact);
    expect(texts(workbook, exact, 'V')[0]).toBe('22.9400');
    expect(digitsProblem(workbook, exact, exact.columns[2] as (typeof exact.columns)[number])).toBe(
      'This column shows 6 digits, and its data carry 4: V2 has 4, V1 has 2.',
    );
  });
});

describe('what comes from a spreadsheet', () => {
  it('finds its columns by tab, heading and decimal comma', () => {
    const table = made(readBlock('Zeit t / s\tTemperatur T (°C)\r\n0\t21,40\r\n30\t19,85\r\n60\t1.018,5\r\n'));
    expect(table.columns.map(({ name, symbol, unit }) => [name, symbol, unit])).toEqual([
      ['Zeit', 't', 's'],
      ['Temperatur', 'T', '°C'],
    ]);
    expect(texts(workbookWith(table), table, 'T')).toEqual(
      ['21.40', '19.85', '1018.5']
        .map((text, i) => (i === 2 ? '1.018,5' : text))
        .map((text) => (text === '1.018,5' ? '1018.5' : text)),
    );
  });

  /** One cooling series in the shapes in which spreadsheets, loggers and mails hand it over. */
  const SERIES = [
    ['0', '62.4'],
    ['30', '58.1'],
    ['60', '53.1'],
    ['90', '53.0'],
  ];
  const joined = (by: string, rows: string[][] = SERIES) => rows.map((cells) => cells.join(by)).join('\n');
  const comma = (text: string) => text.replaceAll('.', ',');

  it.each([
    ['tabs', `time t / s\tT / °C\n${joined('\t')}`],
    ['semicolons and decimal commas', `Zeit t (s);T (°C)\r\n${comma(joined(';'))}\r\n`],
    ['two lines of headings, names and units', `t\tT\ns\t°C\n${joined('\t')}`],
    ['units in brackets on a line of their own', `t;T\n(s);[°C]\n${joined(';')}`],
    ['blank rows between', `t / s,T / °C\n\n0,62.4\n,\n30,58.1\n\n\n60,53.1\n90,53.0\n\n`],
    [
      'a shifted column',
      `\tt / s\tT / °C\n${joined(
        '\t',
        SERIES.map((cells) => ['', ...cells]),
      )}`,
    ],
    ['a title over all of it', `Cooling of tube 3\t\nt / s\tT / °C\n${joined('\t')}`],
    ['an empty column between', `t / s\t\tT / °C\n${joined('\t\t')}`],
  ])('takes a cooling series with %s as what it is', (_, text) => {
    const table = made(readBlock(text));
    expect(table.columns.map(({ symbol, unit }) => [symbol, unit])).toEqual([
      ['t', 's'],
      ['T', '°C'],
    ]);
    expect(table.rows).toHaveLength(4);
    const workbook = workbookWith(table);
    expect(texts(workbook, table, 't')).toEqual(SERIES.map(([t]) => t));
    expect(texts(workbook, table, 'T')).toEqual(SERIES.map(([, T]) => T));
  });

  it('gives headings that are one short to the columns after the row numbers', () => {
    const table = made(
      readBlock(
        `t / s\tT / °C\n${joined(
          '\t',
          SERIES.map((cells, i) => [String(i + 1), ...cells]),
        )}`,
      ),
    );
    expect(table.columns.map(({ symbol, unit }) => [symbol, unit]).slice(1)).toEqual([
      ['t', 's'],
      ['T', '°C'],
    ]);
    expect(texts(workbookWith(table), table, 'T')).toEqual(SERIES.map(([, T]) => T));
  });

  it('takes no line of numbers, and no line of words that are no units, for a second heading', () => {
    const plain = made(readBlock('t\tT\n0\t62.4\n30\t58.1'));
    expect(plain.rows).toHaveLength(2);
    const words = made(readBlock('t\tlooks\nbefore\tclear\n0\tclear\n30\twhite'));
    expect(words.rows).toHaveLength(3);
    expect(words.columns.map(({ symbol }) => symbol)[0]).toBe('t');
  });

  it.each([
    ['', /nothing/],
    ['\u0000\u0001PNG', /not text/],
    ['just a sentence that somebody copied', /no number/],
    ['a,"b\n1,2', /quotation mark/],
    [Array(40).fill('1').join('\t'), /40 columns/],
  ])('gives %j a sentence', (text, sentence) => {
    expect(readBlock(text)).toEqual({ sentence: expect.stringMatching(sentence) });
  });

  it.each([
    ['m / g', ['m', 'm', 'g']],
    ['density (g/mL)', ['density', 'd1', 'g/mL']],
    ['V_1 [mL]', ['V_1', 'V_1', 'mL']],
    ['remarks (see below)', ['remarks (see below)', 'r1', '']],
    ['', ['column 1', 'x1', '']],
  ])('reads the heading %s', (text, [name, symbol, unit]) => {
    expect(headingOf(text, 0)).toEqual({ name: name === 'm' ? 'm' : name, symbol, unit });
  });

  it('goes out and comes back unharmed, by clipboard with either decimal mark and by CSV', () => {
    const number = fc
      .integer({ min: -99999, max: 99999 })
      .chain((whole) => fc.integer({ min: 1, max: 4 }).map((decimals) => (whole / 10 ** decimals).toFixed(decimals)));
    const cell = fc.oneof(
      { weight: 4, arbitrary: number },
      fc.constantFrom('', 'said "no"', 'a; b', 'two\nlines', 'x, y'),
    );
    fc.assert(
      fc.property(
        fc.array(fc.tuple(number, cell, cell), { minLength: 1, maxLength: 20 }),
        fc.constantFrom<'.' | ','>('.', ','),
        (rows, decimal) => {
          const table = tableWith(
            [
              column('t', 's', { name: 'time' }),
              column('T', '°C', { name: 'temperature' }),
              column('k', '', { name: 'remark' }),
            ],
            rows,
          );
          const workbook = workbookWith(table);
          for (const text of [toClipboard(workbook, table, decimal), toCsv(workbook, table)]) {
            const back = made(readBlock(text));
            expect(back.columns.map(({ name, symbol, unit }) => [name, symbol, unit])).toEqual(
              table.columns.map(({ name, symbol, unit }) => [name, symbol, unit]),
            );
            expect(back.rows.map((row) => back.columns.map((c) => row.cells[c.id]))).toEqual(rows);
          }
        },
      ),
      { numRuns: 200 },
    );
  });
});

describe('two tabs on one notebook', () => {
  const start = notebookWith(
    tableWith(
      [column('a'), column('b')],
      [
        ['1', '2'],
        ['3', '4'],
      ],
    ),
  );
  const cell = (row: string, of: string, text: string): Edit => ({
    kind: 'setCells',
    table: 'table',
    cells: [{ row, column: `c-${of}`, text }],
  });

  it('both keep what they did to different things, in whatever order it arrives', () => {
    const edits: Edit[] = [
      cell('r1', 'a', '10'),
      cell('r1', 'b', '20'),
      { kind: 'setColumn', table: 'table', column: 'c-a', change: { unit: 'g' } },
      { kind: 'setColumn', table: 'table', column: 'c-a', change: { name: 'mass' } },
      { kind: 'leaveOut', table: 'table', row: 'r2', reason: 'spilt' },
      { kind: 'putCalculation', calculation: { id: 'k', text: '1 + 1' } },
      { kind: 'answer', key: 'claim', answer: { text: 'It is so.' }, was: '' },
    ];
    const inOrder = apply(start, ...edits);
    fc.assert(
      fc.property(fc.shuffledSubarray(edits, { minLength: edits.length }), (order) => {
        expect(apply(start, ...order)).toEqual(inOrder);
      }),
    );
  });

  it('keep an answer that the other tab wrote over', () => {
    const say = (text: string, was: string): Edit => ({
      kind: 'answer',
      key: 'claim',
      answer: { text },
      was,
    });
    const alone = apply(start, say('One', ''), say('One two', 'One'), say('One two three', 'One two'));
    expect(alone.displaced).toEqual([]);
    const crossed = apply(alone, say('Other words', ''));
    expect(crossed.answers['claim']?.text).toBe('Other words');
    expect(crossed.displaced).toEqual([{ key: 'claim', text: 'One two three' }]);
    // Both tabs let the same one go; another that was written over meanwhile stays.
    const twice = apply(crossed, say('Third', ''));
    const letGo: Edit = { kind: 'takeDisplaced', entry: { key: 'claim', text: 'One two three' } };
    expect(apply(twice, letGo, letGo).displaced).toEqual([{ key: 'claim', text: 'Other words' }]);
  });

  it('an edit to what is gone gives a sentence and changes nothing', () => {
    for (const edit of [
      { kind: 'setColumn', table: 'table', column: 'none', change: {} },
      { kind: 'leaveOut', table: 'none', row: 'r1', reason: null },
      { kind: 'putLine', graph: 'none', line: { id: 'l', series: 's', from: null, to: null } },
      { kind: 'putMark', sketch: 'none', mark: { kind: 'label', id: 'm', at: [1, 2], text: 'here' } },
    ]) {
      expect(applyEdit(start, editSchema.parse(edit))).toEqual({
        sentence: expect.stringContaining('no longer'),
      });
    }
  });

  it('the same edit twice is the same as once', () => {
    const table = tableWith([column('x')], [['5']], 'new');
    const edits: Edit[] = [
      { kind: 'addTable', table },
      { kind: 'addRows', table: 'new', rows: [{ id: 'r9', cells: {}, out: null }] },
    ];
    const once = apply(start, ...edits);
    expect(apply(once, ...edits)).toEqual(once);
  });
});

describe('a graph of a cooling', () => {
  // Falls by 2 a minute to 8, then stays near it by −0.1 a minute: the stretches meet at (20 − 8.6)/1.9 = 6.
  const scatter = [0.02, -0.03, 0.01, 0.02, -0.02, 0.01, 0.03, -0.01, 0, -0.02, 0.02, 0.01];
  const table = tableWith(
    [column('t', 'min'), column('T', '°C')],
    scatter.map((error, t) => [String(t), (t < 6 ? 20 - 2 * t + error : 8.6 - 0.1 * t + error).toFixed(3)]),
  );
  const line = (id: string, from: number | null, to: number | null): Line => ({
    id,
    series: 's',
    from,
    to,
    also: [],
    not: [],
    throughOrigin: false,
  });
  const graph: Graph = {
    id: 'g',
    name: 'Cooling',
    series: [{ id: 's', table: 'table', x: 'c-t', y: 'c-T', shape: 'points', window: 3 }],
    lines: [line('one', null, 5.5), line('two', 5.5, null)],
    x: { min: '', max: '' },
    y: { min: '', max: '' },
    residuals: false,
  };
  const notebook: Notebook = { ...notebookWith(table), graphs: [graph] };

  it('has two stretches that cross where they should, within the stated uncertainty', () => {
    const [one] = fittedLines(new Workbook(notebook, NO_BENCH), graph);
    const meet = one?.crossing as NonNullable<NonNullable<typeof one>['crossing']>;
    expect(Math.abs(meet.x - 6)).toBeLessThan(3 * (meet.xError as number));
    expect(meet.xError).toBeLessThan(0.05);
  });

  it('tells where a line is zero, far beyond its points too, with its uncertainty and the way back', () => {
    const workbook = new Workbook(notebook, NO_BENCH);
    const zero = valueOf(workbook, { kind: 'line', graph: 'g', line: 'one', what: 'zero' });
    expect(zero?.label).toBe('where line 1 is 0, Cooling');
    const [value, error] = (zero?.text ?? '').split('±').map((part) => Number(part.trim())) as [number, number];
    // It was made of 20 − 2 t, and stands over points from 0 to 5 min.
    expect(Math.abs(value - 10)).toBeLessThan(3 * error);
    expect(error).toBeGreaterThan(0);
    expect(error).toBeLessThan(0.2);
    expect(zero?.unit).toBe('min');
    expect(pickables(workbook).map(({ label }) => label)).toContain('where line 2 is 0, Cooling');
  });

  it('follows at once when a point is moved to the other stretch or a row is left out', () => {
    const at = (book: Notebook) => fittedLines(new Workbook(book, NO_BENCH), book.graphs[0] as Graph);
    const moved = apply(
      notebook,
      { kind: 'putLine', graph: 'g', line: { ...line('one', null, 5.5), also: ['r7'] } },
      { kind: 'putLine', graph: 'g', line: { ...line('two', 5.5, null), not: ['r7'] } },
    );
    expect(at(moved).map((fit) => fit.points.length)).toEqual([7, 5]);
    expect(at(moved)[0]?.crossing?.x).not.toBe(at(notebook)[0]?.crossing?.x);
    const out = apply(notebook, { kind: 'leaveOut', table: 'table', row: 'r1', reason: 'stirred late' });
    expect(at(out).map((fit) => fit.points.length)).toEqual([5, 6]);
  });

  it('gives the first and the last time of each stretch to the report, as their cells have them', () => {
    const workbook = new Workbook(notebook, NO_BENCH);
    const ends = pickables(workbook)
      .filter(({ origin }) => origin.kind === 'line' && (origin.what === 'first' || origin.what === 'last'))
      .map(({ label, text, unit }) => [label, text, unit]);
    expect(ends).toEqual([
      ['first t of line 1, Cooling', '0', 'min'],
      ['last t of line 1, Cooling', '5', 'min'],
      ['first t of line 2, Cooling', '6', 'min'],
      ['last t of line 2, Cooling', '11', 'min'],
    ]);
    // With a point moved over, the stretch begins with it.
    const moved = apply(notebook, { kind: 'putLine', graph: 'g', line: { ...line('two', 5.5, null), also: ['r6'] } });
    const origin = { kind: 'line', graph: 'g', line: 'two', what: 'first' } as const;
    expect(valueOf(new Workbook(moved, NO_BENCH), origin)?.text).toBe('5');
    expect(trace(workbook, origin)?.from.length).toBeGreaterThan(0);
  });

  it('labels a derivative with its units', () => {
    const workbook = new Workbook(notebook, NO_BENCH);
    const series = {
      ...(graph.series[0] as (typeof graph.series)[number]),
      shape: 'first derivative' as const,
    };
    expect(plottedSeries(workbook, series)?.yLabel).toBe('dT/dt / °C/min');
  });

  it('gives its crossing to the report, with the way back to what was typed', () => {
    const workbook = new Workbook(notebook, NO_BENCH);
    const origin = { kind: 'crossing', graph: 'g', line: 'one', what: 'y' } as const;
    expect(pickables(workbook).map((entry) => entry.origin)).toContainEqual(origin);
    expect(valueOf(workbook, origin)).toMatchObject({
      unit: '°C',
      text: expect.stringMatching(/^(7\.9|8\.0)\d*.±.0\.0\d+$/),
    });
    const way = trace(workbook, origin);
    expect(way?.from).toHaveLength(2);
    expect(way?.from[0]?.from[0]).toMatchObject({
      label: 'T, row 1',
      text: '20.020 °C',
      how: 'typed by hand',
    });
  });

  it('gives the step at a moment that both stretches are drawn to, in K, with its uncertainty and the way back', () => {
    const drawn = apply(notebook, { kind: 'putLine', graph: 'g', line: { ...line('one', null, 5.5), stepAt: 8 } });
    const workbook = new Workbook(drawn, NO_BENCH);
    const origin = { kind: 'step', graph: 'g', line: 'one' } as const;
    expect(pickables(workbook).map((entry) => entry.origin)).toContainEqual(origin);
    // 8.6 − 0.1·8 less 20 − 2·8.
    const found = valueOf(workbook, origin);
    expect(found).toMatchObject({ unit: 'K', label: 'step of T from line 1 to 2, Cooling' });
    expect(Number(found?.text.split(/\s/u)[0])).toBeCloseTo(3.8, 1);
    expect(found?.text).toMatch(/±/u);
    expect(trace(workbook, origin)?.from).toHaveLength(2);
    // Without a moment there is no step, and a crossing all the same.
    expect(valueOf(new Workbook(notebook, NO_BENCH), origin)).toBeUndefined();
    const again = apply(drawn, { kind: 'putLine', graph: 'g', line: line('one', null, 5.5) });
    expect(valueOf(new Workbook(again, NO_BENCH), origin)).toBeUndefined();
  });

  it('gives how much lower a second crossing lies than the first, with both uncertainties and the way back', () => {
    let now = notebook;
    // The same two stretches once more, as lines of their own: their crossing is no lower.
    for (const next of [line('three', null, 5.5), line('four', 6, null)])
      now = apply(now, { kind: 'putLine', graph: 'g', line: next });
    const workbook = new Workbook(now, NO_BENCH);
    const origin = { kind: 'fall', graph: 'g', line: 'one', to: 'three' } as const;
    expect(pickables(workbook).map((entry) => entry.origin)).toContainEqual(origin);
    const [single, fall] = [
      valueOf(workbook, { kind: 'crossing', graph: 'g', line: 'one', what: 'y' }),
      valueOf(workbook, origin),
    ];
    const errorOf = (text = '') => Number(/±.([\d.]+)/u.exec(text)?.[1]);
    expect(Number(fall?.text.split(/\s/u)[0])).toBeCloseTo(0, 6);
    expect(errorOf(fall?.text) / errorOf(single?.text)).toBeCloseTo(Math.SQRT2, 1);
    expect(fall?.unit).toBe('K');
    expect(trace(workbook, origin)?.from).toHaveLength(4);
    // Neighbours share a line: nothing is told of them, nor of a crossing that is gone.
    expect(pickables(workbook).filter(({ origin: { kind } }) => kind === 'fall')).toHaveLength(1);
    expect(valueOf(workbook, { ...origin, to: 'four' })).toBeUndefined();
  });

  it('finds the moment of a slow step by equal areas', () => {
    const slow = tableWith(
      [column('t', 's'), column('T', '°C')],
      Array.from({ length: 121 }, (_, t) => [
        String(t),
        (20 + (t < 30 ? 0 : 5 * (1 - Math.exp(-(t - 30) / 12)))).toFixed(4),
      ]),
    );
    const lines = [line('one', null, 30), line('two', 100, null)];
    const book: Notebook = { ...notebookWith(slow), graphs: [{ ...graph, lines }] };
    const [one, two] = fittedLines(new Workbook(book, NO_BENCH), { ...graph, lines });
    // The time constant of the rise after it began; the late stretch still rises a little.
    expect(Math.abs((slowStepAt(one as FittedLine, two as FittedLine) ?? NaN) - 42)).toBeLessThan(1);
  });
});

describe('the way back', () => {
  it('leads from a calculation over a mean to the readings and their moment', () => {
    const reading = (index: number, trial: number, slot: string, text: string) => ({
      index,
      trial,
      slot,
      text,
      unit: 'mL',
      instrument: 'burette',
      digitsNote: null,
      atS: 10 * index,
      struck: null,
    });
    const bench = {
      trial: 2,
      leftOut: {},
      logged: [],
      readings: [
        reading(0, 1, 'first', '0.50'),
        reading(1, 1, 'last', '23.44'),
        reading(2, 2, 'first', '1.00'),
        reading(3, 2, 'last', '23.98'),
      ],
    };
    const table: Table = {
      ...tableWith(
        [
          column('V1', 'mL', { kind: 'recorded', slot: 'first', uncertainty: '0.03' }),
          column('V2', 'mL', { kind: 'recorded', slot: 'last', uncertainty: '0.03' }),
          column('V', 'mL', { formula: 'V2 - V1' }),
        ],
        [],
      ),
      origin: 'readings',
    };
    const calculation = { id: 'k', text: 'c = 0.1000 mol/L * mean(V) / 25.00 mL' };
    const workbook = new Workbook({ ...notebookWith(table), calculations: [calculation] }, bench);
    const way = trace(workbook, { kind: 'calculation', id: 'k' });
    expect(way?.text).toBe('0.09184\u202f±\u202f0.00012 mol/L');
    const titre = way?.from[0]?.from[0];
    expect(titre).toMatchObject({ label: 'V, trial 1', text: '22.940\u202f±\u202f0.042 mL', how: 'V2 - V1' });
    expect(titre?.from.map((step) => [step.text, step.reading?.index])).toEqual([
      ['23.44 mL', 1],
      ['0.50 mL', 0],
    ]);
  });
});

describe('what goes out to a spreadsheet', () => {
  const table = tableWith(
    [column('note'), column('V', 'mL')],
    [
      ['=1+1', '-1.50'],
      ['@cmd', '+2.5'],
      ['-2+3|x', '1e-3'],
      ['plain', ''],
    ],
  );

  it('holds no formula of anybody’s, and its numbers are numbers still', () => {
    const csv = toCsv(workbookWith(table), table);
    const cells = csv
      .split('\r\n')
      .slice(1, 5)
      .map((line) => line.split(',').map((cell) => cell.replace(/^"|"$/g, '')));
    expect(cells).toEqual([
      ["'=1+1", '-1.50'],
      ["'@cmd", '+2.5'],
      ["'-2+3|x", '1e-3'],
      ['plain', ''],
    ]);
    for (const text of [csv, toClipboard(workbookWith(table), table, '.')])
      for (const cell of text.split(/[\r\n\t,]+/))
        expect(cell.replace(/^"/, '')).not.toMatch(/^[=@]|^[+-](?![\d.,]+(?:e[+-]?\d+)?$)/);
    // And comes in again as it was.
    const back = readBlock(csv);
    expect('rows' in back && back.rows.map(([note]) => note)).toEqual(['=1+1', '@cmd', '-2+3|x', 'plain']);
  });

  it('tells the trial of readings, and which rows are left out and why', () => {
    const out = apply(notebookWith(table), { kind: 'leaveOut', table: 'table', row: 'r2', reason: 'spilt' });
    const [left] = out.tables as [Table];
    const lines = toCsv(new Workbook(out, NO_BENCH), left).split('\r\n');
    expect(lines[0]).toBe('note,V / mL,left out');
    expect(lines[2]).toMatch(/,spilt$/);
    const readings: Table = {
      ...table,
      origin: 'readings',
      columns: [column('V', 'mL', { kind: 'recorded', slot: 'V' })],
      rows: [],
    };
    const reading = {
      index: 0,
      instrument: 'cylinder',
      text: '12.5',
      unit: 'mL',
      digitsNote: null,
      atS: 0,
      struck: null,
      trial: 2,
      slot: 'V',
    };
    const bench = { readings: [reading], trial: 2, leftOut: { 1: 'nothing read' }, logged: [] };
    expect(
      toCsv(new Workbook(notebookWith(readings), bench), readings)
        .split('\r\n')
        .slice(0, 3),
    ).toEqual(['trial,V / mL,left out', '1,,nothing read', '2,12.5,']);
  });

  it('is not read in when it is longer than a notebook', () => {
    expect(readBlock('1\t2\n'.repeat(600_000))).toEqual({
      sentence: expect.stringMatching(/longer than a notebook/),
    });
  });
});
