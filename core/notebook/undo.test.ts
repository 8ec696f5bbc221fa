import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { applyEdit } from './apply-edit';
import { emptyNotebook, type Notebook } from './document';
import { editSchema, type Edit } from './edits';
import { LIMITS } from './limits';
import { column, tableWith } from './testing';
import { nameOfEdit, undoOf } from './undo';
import { inParts, weightOf } from './weight';

const ids = fc.constantFrom('a', 'b', 'c', 'd');
const text = fc.constantFrom('', '1', '2.5', 'x');
const table = fc.tuple(ids, fc.integer({ min: 0, max: 4 })).map(([id, rows]) =>
  tableWith(
    [column('p'), column('q')],
    Array.from({ length: rows }, (_, i) => [`${i}`, '2']),
    id,
  ),
);
const series = fc.record({
  id: ids,
  table: ids,
  x: fc.constant('c-p'),
  y: fc.constant('c-q'),
  shape: fc.constantFrom('points' as const, 'joined' as const),
  window: fc.constant(3),
});
const line = fc.record({
  id: ids,
  series: ids,
  from: fc.constant(null),
  to: fc.constantFrom(null, 5),
  also: fc.constant<string[]>([]),
  not: fc.constant<string[]>([]),
  throughOrigin: fc.boolean(),
});
const rows = fc.uniqueArray(fc.constantFrom('r1', 'r2', 'r3', 'r9', 'r10'), { maxLength: 3 });
const free = { min: '', max: '' };

/** Every kind of edit, on a few things that often meet. */
const edits: fc.Arbitrary<Edit> = fc.oneof(
  fc.record({ kind: fc.constant('addTable' as const), table }),
  fc.record({ kind: fc.constant('nameTable' as const), table: ids, name: text }),
  fc.record({ kind: fc.constant('dropTable' as const), table: ids }),
  fc.record({
    kind: fc.constant('addColumn' as const),
    table: ids,
    column: fc.constantFrom(column('p', 'g'), column('z')),
  }),
  fc.record({
    kind: fc.constant('setColumn' as const),
    table: ids,
    column: fc.constantFrom('c-p', 'c-z'),
    change: fc.constantFrom({ name: 'n' }, { unit: 'g', digits: 3 }),
  }),
  fc.record({
    kind: fc.constant('dropColumn' as const),
    table: ids,
    column: fc.constantFrom('c-p', 'c-q', 'c-z'),
  }),
  fc.record({
    kind: fc.constant('addRows' as const),
    table: ids,
    rows: rows.map((all) => all.map((id) => ({ id, cells: { 'c-p': id }, out: null }))),
  }),
  fc.record({ kind: fc.constant('dropRows' as const), table: ids, rows }),
  fc.record({
    kind: fc.constant('setCells' as const),
    table: ids,
    cells: fc.array(fc.record({ row: fc.constantFrom('r1', 'r2'), column: fc.constantFrom('c-p', 'c-q'), text }), {
      maxLength: 3,
    }),
  }),
  fc.record({
    kind: fc.constant('leaveOut' as const),
    table: ids,
    row: fc.constantFrom('r1', 'r2'),
    reason: fc.constantFrom(null, 'spilt'),
  }),
  fc.record({
    kind: fc.constant('addGraph' as const),
    graph: ids.map((id) => ({ id, name: id, series: [], lines: [], x: free, y: free, residuals: false })),
  }),
  fc.record({
    kind: fc.constant('setGraph' as const),
    graph: ids,
    change: fc.constantFrom({ name: 'g' }, { residuals: true }),
  }),
  fc.record({ kind: fc.constant('dropGraph' as const), graph: ids }),
  fc.record({ kind: fc.constant('putSeries' as const), graph: ids, series }),
  fc.record({ kind: fc.constant('dropSeries' as const), graph: ids, series: ids }),
  fc.record({ kind: fc.constant('putLine' as const), graph: ids, line }),
  fc.record({ kind: fc.constant('dropLine' as const), graph: ids, line: ids }),
  fc.record({ kind: fc.constant('putCalculation' as const), calculation: fc.record({ id: ids, text }) }),
  fc.record({ kind: fc.constant('dropCalculation' as const), calculation: ids }),
  fc.record({
    kind: fc.constant('addSketch' as const),
    sketch: ids.map((id) => ({ id, name: id, under: 'nothing' as const, act: 0, atS: 0, readings: 0, marks: [] })),
  }),
  fc.record({ kind: fc.constant('nameSketch' as const), sketch: ids, name: text }),
  fc.record({ kind: fc.constant('dropSketch' as const), sketch: ids }),
  fc.record({
    kind: fc.constant('putMark' as const),
    sketch: ids,
    mark: fc.record({
      kind: fc.constant('label' as const),
      id: ids,
      at: fc.constant([1, 2] as [number, number]),
      text: fc.constantFrom('here', 'there'),
    }),
  }),
  fc.record({ kind: fc.constant('dropMark' as const), sketch: ids, mark: ids }),
  fc.record({ kind: fc.constant('answer' as const), key: ids, answer: fc.record({ text }), was: text }),
);

const after = (notebook: Notebook, edit: Edit): Notebook => {
  const next = applyEdit(notebook, editSchema.parse(edit));
  return 'sentence' in next ? notebook : next.notebook;
};

/** Cells and answers that are empty are as good as none; what another tab had written is not taken back. */
function plain(notebook: Notebook): unknown {
  const full = (record: Record<string, string>) =>
    Object.fromEntries(Object.entries(record).filter(([, value]) => value !== ''));
  return {
    ...notebook,
    displaced: [],
    tables: notebook.tables.map((one) => ({
      ...one,
      rows: one.rows.map((row) => ({ ...row, cells: full(row.cells) })),
    })),
    answers: full(Object.fromEntries(Object.entries(notebook.answers).map(([key, { text: said }]) => [key, said]))),
  };
}

describe('an edit as the server reads it', () => {
  it('changes no more than was sent: what it leaves out of a column or a graph stays as it is', () => {
    const columns = fc.record(
      {
        name: text,
        symbol: fc.constant('q'),
        unit: text,
        formula: text,
        uncertainty: text,
        digits: fc.constantFrom(null, 3),
      },
      { requiredKeys: [] },
    );
    const graphs = fc.record(
      { name: text, x: fc.constant(free), y: fc.constant(free), residuals: fc.boolean() },
      { requiredKeys: [] },
    );
    fc.assert(
      fc.property(columns, graphs, (column, graph) => {
        for (const edit of [
          { kind: 'setColumn', table: 'a', column: 'c-p', change: column },
          { kind: 'setGraph', graph: 'a', change: graph },
        ])
          expect(editSchema.parse(edit)).toEqual(edit);
      }),
    );
  });
});

describe('taking an edit back', () => {
  it('leaves the notebook as it was, whatever the edit and whatever was done before', () => {
    let tookBack = 0;
    fc.assert(
      fc.property(fc.array(edits, { maxLength: 25 }), edits, (earlier, edit) => {
        const before = earlier.reduce(after, emptyNotebook());
        const next = after(before, edit);
        if (next === before) return;
        tookBack++;
        expect(plain(undoOf(before, edit).reduce(after, next))).toEqual(plain(before));
        expect(nameOfEdit(edit)).toMatch(/\w/);
      }),
      { numRuns: 3000 },
    );
    expect(tookBack).toBeGreaterThan(500);
  });
});

describe('what a notebook may weigh', () => {
  it('a large edit travels in parts that come to the same, none too long for one post', () => {
    const cells = Array.from({ length: 4000 }, (_, i) => [`${i}.25`, 'y'.repeat(i % 90)]);
    const large = tableWith([column('p'), column('q')], cells, 'large');
    const whole = after(emptyNotebook(), { kind: 'addTable', table: large });
    const parts = inParts({ kind: 'addTable', table: large });
    expect(parts.length).toBeGreaterThan(3);
    for (const part of parts) expect(JSON.stringify(part).length).toBeLessThan(100_000);
    expect(parts.reduce(after, emptyNotebook())).toEqual(whole);
  });

  it('is bounded by what comes out, and always allows what makes it lighter', () => {
    const heavy = (id: string) =>
      tableWith(
        [column('p')],
        Array.from({ length: 9000 }, () => ['z'.repeat(110)]),
        id,
      );
    let notebook = emptyNotebook();
    let refused: string | null = null;
    for (const id of ['a', 'b', 'c'])
      for (const part of inParts({ kind: 'addTable', table: heavy(id) })) {
        const next = applyEdit(notebook, part);
        if ('sentence' in next) refused ??= next.sentence;
        else notebook = next.notebook;
      }
    expect(refused).toMatch(/The notebook is full/);
    expect(weightOf(notebook)).toBeLessThanOrEqual(LIMITS.weight);
    expect(after(notebook, { kind: 'dropTable', table: 'a' }).tables.length).toBe(notebook.tables.length - 1);
  });

  it('holds no more of anything than it may', () => {
    const many = (count: number, edit: (i: number) => Edit) =>
      Array.from({ length: count }, (_, i) => edit(i)).reduce<Notebook>(after, emptyNotebook());
    const answers = many(LIMITS.answers + 20, (i) => ({
      kind: 'answer',
      key: `k${i}`,
      answer: { text: 'x' },
      was: '',
    }));
    expect(Object.keys(answers.answers)).toHaveLength(LIMITS.answers);
    const calculations = many(LIMITS.calculations + 20, (i) => ({
      kind: 'putCalculation',
      calculation: { id: `c${i}`, text: '1' },
    }));
    expect(calculations.calculations).toHaveLength(LIMITS.calculations);
    // A full list still takes a change of what is in it.
    expect(
      after(calculations, { kind: 'putCalculation', calculation: { id: 'c1', text: '2' } }).calculations[1]?.text,
    ).toBe('2');
  });
});
