import { describe, expect, it } from 'vitest';
import { emptyNotebook } from '../../notebook/document';
import { pickables } from '../../notebook/trace';
import { Workbook } from '../../notebook/workbook';
import { PRACTICALS } from '../registry';
import type { Act } from './acts';
import { materialOf } from '../../databook/materials';
import type { Sample } from './sample';
import { ALUMINIUM_PIECES, blockOf } from './testing';

/** A step is done when all of what it asks is; what was weighed is what is lowered; what was struck can be taken again. */

function bench(id: 'displacement' | 'regular-solids' | 'liquid-density', setup: object = {}, sample?: Sample) {
  const practical = PRACTICALS[id];
  const chosen = practical.setup.parse(setup);
  let now = practical.open(chosen, sample ?? practical.sample(chosen, 'steps', 0), 'steps');
  const view = () => {
    const seen = now.view();
    if (seen.family !== 'measuring') throw new Error('another family');
    return seen;
  };
  return {
    view,
    act: (...acts: Act[]) => {
      for (const act of acts) {
        const outcome = now.advance(3).perform(act);
        if ('refusal' in outcome) throw new Error(outcome.refusal);
        now = outcome.bench.advance(3);
      }
    },
    refused: (act: Act) => {
      const outcome = now.perform(act);
      return 'refusal' in outcome ? outcome.refusal : undefined;
    },
    done: () => Object.fromEntries(now.steps().map(({ key, done }) => [key, done])),
    labels: () => now.steps().map(({ label }) => label),
    tables: () => practical.tables(chosen),
    unready: () => now.check({}, []).ok,
  };
}

const edge = (which: 'l' | 'w' | 'h', along: 'length' | 'width' | 'height', text: string, trial: number): Act[] => [
  { kind: 'measure', lot: 1, tool: 'ruler', along },
  { kind: 'record', trial, which, text },
];

describe('steps of the method', () => {
  it('an edge of three is not every edge, and a trial begun is not a trial', () => {
    const { act, done, unready } = bench('regular-solids', {}, blockOf('zinc'));
    act({ kind: 'weighPieces', lot: 1, count: 1 }, { kind: 'recordMass', trial: 1, which: 'm' }, { kind: 'offPan' });
    expect(done()).toMatchObject({ m: true, l: false, again: false });
    act(...edge('l', 'length', '41.2', 1));
    expect(done()).toMatchObject({ l: false });
    act(...edge('w', 'width', '22.5', 1), ...edge('h', 'height', '11.9', 1));
    expect(done()).toMatchObject({ l: true, again: false });
    expect(unready()).toBe(true);
    act(...edge('l', 'length', '41.2', 2), ...edge('w', 'width', '22.5', 2));
    expect(done()).toMatchObject({ l: false, again: false });
    act(...edge('h', 'height', '11.9', 2));
    expect(done()).toMatchObject({ again: true });
    // A third that is begun leaves it open again, until it is whole or left out.
    act(...edge('l', 'length', '41.3', 3));
    expect(done()).toMatchObject({ again: false });
    act({ kind: 'count', trial: 3, counts: false, reason: 'not finished' });
    expect(done()).toMatchObject({ again: true });
  });

  it('a diameter alone is no ball where the piece is a cylinder', () => {
    const shape = { kind: 'cylinder', diameter: 15, height: 30 } as const;
    const { act, unready } = bench(
      'regular-solids',
      {},
      { ...blockOf('zinc'), lots: [{ materialId: 'zinc', shape, volumesMl: [5.301] }] },
    );
    act({ kind: 'weighPieces', lot: 1, count: 1 }, { kind: 'recordMass', trial: 1, which: 'm' });
    act(
      { kind: 'offPan' },
      { kind: 'measure', lot: 1, tool: 'calliper', along: 'diameter' },
      { kind: 'record', trial: 1, which: 'd', text: '15.00' },
    );
    expect(unready()).toBe(false);
  });

  it('a bottle untouched leaves the steps open, and they name all of them', () => {
    const { act, done, labels } = bench('liquid-density', { unknowns: '2' });
    const round = (bottle: number, trial: number): Act[] => [
      { kind: 'empty', vessel: 5 },
      { kind: 'dry', vessel: 5 },
      { kind: 'weigh', vessel: 5 },
      { kind: 'recordMass', trial, which: 'm1' },
      { kind: 'offPan' },
      { kind: 'pour', from: bottle, to: 5, ml: 30 },
      { kind: 'look', at: 'vessel', n: 5 },
      { kind: 'record', trial, which: 'V', text: '30.0' },
      { kind: 'weigh', vessel: 5 },
      { kind: 'recordMass', trial, which: 'm2' },
      { kind: 'offPan' },
    ];
    act({ kind: 'look', at: 'thermometer', n: 0 }, { kind: 'record', trial: 1, which: 'T', text: '20.0' });
    act(...round(1, 1), ...round(1, 2));
    expect(done()).toMatchObject({ T: true, V: true, m2: true, again: false });
    act(...round(2, 3).slice(0, 4));
    expect(done()).toMatchObject({ m1: true, V: false, m2: false, again: false });
    act(...round(2, 3).slice(4));
    expect(done()).toMatchObject({ V: true, m2: true, again: false });
    act(...round(2, 4));
    expect(done()).toMatchObject({ again: true });
    expect(labels().at(-1)).toContain('of A and B');
  });

  it('one of six amounts is not six', () => {
    const { act, done } = bench('displacement', {}, ALUMINIUM_PIECES);
    const knocks: Act[] = Array.from({ length: 3 }, () => ({ kind: 'knock', vessel: 2 }));
    act(
      { kind: 'squirt', into: 2, ml: 25 },
      { kind: 'look', at: 'vessel', n: 2 },
      { kind: 'record', trial: 1, which: 'V1', text: '25.0' },
    );
    for (let trial = 1; trial <= 6; trial++) {
      expect(done()).toMatchObject({ again: false });
      act({ kind: 'weighPieces', lot: 1, count: 2 }, { kind: 'recordMass', trial, which: 'm' });
      act({ kind: 'put', lot: 1, count: 2, into: 2, how: 'lower' }, ...knocks, {
        kind: 'record',
        trial,
        which: 'V2',
        text: '26.0',
      });
    }
    expect(done()).toMatchObject({ again: true });
  });
});

describe('pieces and readings', () => {
  it('the pieces that lie on the balance are the ones that are lowered, and those weighed before others', () => {
    const { act, view } = bench('displacement', {}, ALUMINIUM_PIECES);
    act({ kind: 'squirt', into: 2, ml: 25 }, { kind: 'weighPieces', lot: 1, count: 3 });
    expect(view().lots[0]).toMatchObject({ onPan: 3, onDish: 27 });
    act({ kind: 'put', lot: 1, count: 3, into: 2, how: 'lower' });
    expect(view().lots[0]).toMatchObject({ onPan: 0, onDish: 27 });
    expect(Number(view().balance)).toBeCloseTo(0, 1);
    // Taken out again, the other pieces weighed since go in first.
    act({ kind: 'fish', vessel: 2 }, { kind: 'dryPieces', lot: 1 }, { kind: 'tare' });
    act({ kind: 'weighPieces', lot: 1, count: 30 });
    const all = Number(view().balance);
    act({ kind: 'offPan' }, { kind: 'weighPieces', lot: 1, count: 5 });
    const five = Number(view().balance);
    act(
      { kind: 'offPan' },
      { kind: 'put', lot: 1, count: 5, into: 2, how: 'lower' },
      { kind: 'weighPieces', lot: 1, count: 25 },
    );
    expect(Number(view().balance)).toBeCloseTo(all - five, 1);
  });

  it('what floats is tied in the water, and needs a sinker there', () => {
    const wax: Sample = {
      ...ALUMINIUM_PIECES,
      lots: [{ materialId: 'polypropylene', shape: { kind: 'lumps' }, volumesMl: [1.2, 1.2] }],
    };
    const { act, refused, view } = bench('displacement', {}, wax);
    act({ kind: 'squirt', into: 2, ml: 25 }, { kind: 'put', lot: 1, count: 2, into: 2, how: 'lower' });
    expect(refused({ kind: 'tie', vessel: 2 })).toMatch(/There is no sinker in it/);
    act({ kind: 'sinker', vessel: 2, on: true });
    const before = view().levels[1] as number;
    act({ kind: 'tie', vessel: 2 });
    // The part that stood out of the water is under it now: a tenth of 2.4 mL.
    expect((view().levels[1] as number) - before).toBeCloseTo(
      2.4 * (1 - materialOf('polypropylene').densityGPerMl / 0.998),
      1,
    );
    expect(view().vessels[1]?.lying.find(({ lot }) => lot === 0)).toMatchObject({ floats: false, tied: true });
    expect(refused({ kind: 'tie', vessel: 2 })).toMatch(/Nothing floats/);
  });

  it('a struck reading of an earlier trial is taken again into that trial', () => {
    const { act, view } = bench('displacement', {}, ALUMINIUM_PIECES);
    act({ kind: 'squirt', into: 2, ml: 25 }, { kind: 'look', at: 'vessel', n: 2 });
    for (const trial of [1, 2, 3]) act({ kind: 'record', trial, which: 'V2', text: '25.0' });
    act(
      { kind: 'strike', trial: 2, which: 'V2', reason: 'misread' },
      { kind: 'record', trial: 2, which: 'V2', text: '25.2' },
    );
    expect(
      view()
        .readings.filter(({ struck }) => struck === null)
        .map(({ trial, text }) => [trial, text]),
    ).toEqual([
      [1, '25.0'],
      [3, '25.0'],
      [2, '25.2'],
    ]);
    expect(view().trial).toBe(3);
  });

  it('an empty bottle that is stoppered is not called not full', () => {
    const { act, view } = bench('liquid-density');
    act({ kind: 'stopper', vessel: 6, on: true });
    expect(view().vessels[5]).toMatchObject({ stoppered: true, empty: true });
  });

  it('numbers to be taken from the notebook say which unknown they are of', () => {
    const { act, tables, view } = bench('displacement', { unknowns: '2' });
    act(
      { kind: 'squirt', into: 2, ml: 25 },
      { kind: 'look', at: 'vessel', n: 2 },
      { kind: 'record', trial: 1, which: 'V1', text: '25.0' },
    );
    act({ kind: 'weighPieces', lot: 1, count: 3 }, { kind: 'recordMass', trial: 1, which: 'm' }, { kind: 'offPan' });
    act({ kind: 'weighPieces', lot: 2, count: 3 }, { kind: 'recordMass', trial: 2, which: 'm' });
    const labels = pickables(new Workbook(emptyNotebook(tables()), view())).map(({ label }) => label);
    expect(labels).toContain('m of A, trial 1');
    expect(labels).toContain('m of B, trial 2');
  });
});
