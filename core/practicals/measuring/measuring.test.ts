import { readingFor } from '../../notebook/readings';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { vesselOf } from '../../databook/vessels';
import { materialOf } from '../../databook/materials';
import { densityAt, liquidOf } from '../../databook/liquids';
import { emptyNotebook } from '../../notebook/document';
import { Workbook } from '../../notebook/workbook';
import { PRACTICALS } from '../registry';
import type { Act } from './acts';
import { bringToMark, byDensityBottle, displace, measureSolid, readThermometer, type Hands } from './practised-student';
import { volumeOfShape } from './edges';
import type { Sample } from './sample';
import { ALUMINIUM_PIECES, blockOf, expectShare, held, moved, rehearsed, type AnyPractical } from './testing';

const regular = PRACTICALS['regular-solids'];
const displacement = PRACTICALS.displacement;
const liquids = PRACTICALS['liquid-density'];
const scale = PRACTICALS['reading-a-scale'];

describe('the check of a student who does all right', () => {
  it('is right for a block by calliper, and names it', async () => {
    const run = await rehearsed(regular, (hands, plan) => measureSolid(hands, plan, 1, 'calliper', 1), {
      sample: blockOf('zinc'),
    });
    const { value } = moved(run, 'densityA');
    expect(Math.abs(value / materialOf('zinc').densityGPerMl - 1)).toBeLessThan(0.01);
    expect(held(run, 'densityA', value.toPrecision(4))).toMatchObject({ kind: 'number', bandPercent: 1 });
    expect(held(run, 'nameA', 'zinc')).toMatchObject({ right: true });
    expect(held(run, 'nameA', 'tin')).toMatchObject({ right: false });
  });

  it('is right for pieces by displacement, in six growing amounts', async () => {
    const run = await rehearsed(
      displacement,
      (hands) => displace(hands, { vessel: 1, lot: 1, row: 1, amounts: [4, 4, 4, 4, 4, 4] }),
      { sample: ALUMINIUM_PIECES },
    );
    const { value } = moved(run, 'densityA');
    expect(Math.abs(value / 2.7 - 1)).toBeLessThan(0.02);
    expect(held(run, 'densityA', value.toFixed(2))).toMatchObject({ bandPercent: 2 });
  });

  it('is right for a liquid by density bottle, at its own temperature', async () => {
    const sample: Sample = { tempC: 27.4, lots: [], bottles: [{ liquidId: 'ethanol', volumeMl: 220 }], targetMl: null };
    const run = await rehearsed(
      liquids,
      async (hands, plan) => {
        await readThermometer(hands, 1);
        await byDensityBottle(hands, plan, { bottle: 6, from: 1, row: 1 });
      },
      { sample, setup: { temperature: 'another for each student' } },
    );
    const { value } = moved(run, 'densityA');
    expect(Math.abs(value / densityAt(liquidOf('ethanol'), 27.4) - 1)).toBeLessThan(0.002);
    // The value at 20 °C is another.
    expect(Math.abs(value / densityAt(liquidOf('ethanol'), 20) - 1)).toBeGreaterThan(0.005);
  });

  it('is of the reading against what was there, and of the mark that was reached by drops', async () => {
    for (const seed of ['one', 'two', 'three']) {
      const setup = scale.setup.parse({});
      const sample = scale.sample(setup, seed, 0) as Sample;
      const amount = sample.bottles[0]?.volumeMl as number;
      const suited = ['cylinder-10', 'cylinder-25', 'cylinder-50', 'cylinder-100'].findIndex(
        (id) => vesselOf(id).capacityMl >= amount,
      );
      const run = await rehearsed(scale, (hands) => bringToMark(hands, suited + 2, sample.targetMl as number), {
        sample,
        seed,
      });
      const [volume, filled] = run.bench.view().readings;
      expect(held(run, 'volume', volume?.text ?? '')).toMatchObject({ bandPercent: 0.5 });
      expect(held(run, 'filled', filled?.text ?? '')).toMatchObject({ bandPercent: 0.5 });
      expect(Math.abs((run.bench.truths().filled as number) - (sample.targetMl as number))).toBeLessThan(0.06);
      const entry = vesselOf(['cylinder-10', 'cylinder-25', 'cylinder-50', 'cylinder-100'][suited] as string);
      expect(held(run, 'vessel', entry.name)).toMatchObject({ right: true });
      expect(held(run, 'worth', String(entry.divisionMl))).toMatchObject({ differencePercent: 0 });
    }
  });
});

describe('what moved a result, with one fault planted', () => {
  const sixRows = (more: object) => (hands: Hands) =>
    displace(hands, { vessel: 1, lot: 1, row: 1, amounts: [12], ...more });

  it('names an eye that was not level', async () => {
    // Higher for the second reading alone: the first was taken level.
    const run = await rehearsed(
      displacement,
      async ({ act, view }) => {
        await act({ kind: 'tap', into: 1, opening: 'stream' });
        await act({ kind: 'tap', into: 1, opening: 'off' }, 1);
        await act({ kind: 'weigh', vessel: 1 });
        await act({ kind: 'tare' }, 3);
        await act({ kind: 'look', at: 'vessel', n: 1 });
        await act({ kind: 'eye', mm: 0 });
        await act({ kind: 'record', trial: 1, which: 'V1', text: (view().levels[0] as number).toFixed(2) });
        await act({ kind: 'put', lot: 1, count: 12, into: 1, how: 'lower' });
        for (let i = 0; i < 4; i++) await act({ kind: 'knock', vessel: 1 });
        await act({ kind: 'recordMass', trial: 1, which: 'm' }, 3);
        await act({ kind: 'eye', mm: 60 });
        // 17.5 mm wide: 60 · 8.75 / 250 = 2.1 mm, at 4000/(π 17.5²) mm per mL.
        const shift = 2.1 / (4000 / (Math.PI * 17.5 ** 2));
        await act({ kind: 'record', trial: 1, which: 'V2', text: ((view().levels[0] as number) + shift).toFixed(2) });
      },
      { sample: ALUMINIUM_PIECES },
    );
    const { share, value, trueValue, first } = moved(run, 'densityA');
    expect(first).toBe('parallax');
    expect(value).toBeLessThan(trueValue);
    const volume = 12 * 0.4055;
    const shift = 2.1 / (4000 / (Math.PI * 17.5 ** 2));
    expectShare(share('parallax'), (2.7 * volume) / (volume + shift) - 2.7);
  });

  it('names a scale that was misread', async () => {
    const run = await rehearsed(
      regular,
      async (hands, plan) => {
        await measureSolid(hands, plan, 1, 'calliper', 1);
        await hands.act({ kind: 'measure', lot: 1, tool: 'calliper', along: 'height' });
        await hands.act({ kind: 'record', trial: 1, which: 'h', text: '13.85' });
      },
      { sample: blockOf('aluminium') },
    );
    const { share, first } = moved(run, 'densityA');
    expect(first).toBe('reading');
    expectShare(share('reading'), 2.7 * (11.873 / 13.85 - 1));
  });

  it('names air under grains that were not knocked at', async () => {
    const grains: Sample = {
      ...ALUMINIUM_PIECES,
      lots: [{ materialId: 'aluminium', shape: { kind: 'grains' }, volumesMl: Array.from({ length: 30 }, () => 0.3) }],
    };
    const careless = await rehearsed(displacement, sixRows({ knocks: false, how: 'drop', amounts: [25] }), {
      sample: grains,
    });
    const { share, first } = moved(careless, 'densityA');
    expect(share('air')).toBeLessThan(-0.05);
    expect(first).toBe('air');
    const careful = await rehearsed(displacement, sixRows({ amounts: [25] }), { sample: grains });
    expect(Math.abs(moved(careful, 'densityA').share('air'))).toBeLessThan(0.02);
  });

  it('names things that were weighed wet', async () => {
    const wet = await rehearsed(
      displacement,
      async (hands) => {
        const { act } = hands;
        await displace(hands, { vessel: 1, lot: 1, row: 1, amounts: [30] });
        await act({ kind: 'fish', vessel: 1 });
        await act({ kind: 'tare' });
        await act({ kind: 'weighPieces', lot: 1, count: 30 });
        expect(hands.view().pan.wet).toBe(true);
        await act({ kind: 'recordMass', trial: 1, which: 'm' }, 3);
      },
      { sample: ALUMINIUM_PIECES },
    );
    // Each carries a film over its surface, as the model of the bench says: 4.84 V^(2/3) cm² by 25 µm.
    const film = ALUMINIUM_PIECES.lots[0]?.volumesMl.reduce(
      (sum, v) => sum + 4.84 * v ** (2 / 3) * 0.0025,
      0,
    ) as number;
    const volume = ALUMINIUM_PIECES.lots[0]?.volumesMl.reduce((sum, v) => sum + v, 0) as number;
    expectShare(moved(wet, 'densityA').share('wet'), (film * 0.998) / volume);
  });

  it('names the zero of a calliper', async () => {
    const run = await rehearsed(regular, (hands, plan) => measureSolid(hands, plan, 1, 'calliper', 1), {
      sample: blockOf('lead'),
      seed: 'a calliper that is off',
    });
    const zero = /Calliper, closed, shows\s*([−\-\d.]+)/.exec(
      run.bench
        .record()
        .truth.map(({ label, text }) => `${label} ${text}`)
        .join('\n'),
    )?.[1];
    const off = Number(zero?.replace('−', '-'));
    const expected = -11.3 * off * (1 / 41.237 + 1 / 22.461 + 1 / 11.873);
    expectShare(moved(run, 'densityA').share('calliper'), expected);
  });

  it('names a reading that was right and a density the wrong way round', async () => {
    const run = await rehearsed(regular, (hands, plan) => measureSolid(hands, plan, 1, 'calliper', 1), {
      sample: blockOf('copper'),
    });
    const { setup, sample, seed, acts } = run;
    const trueValue = run.bench.truths().densityA as number;
    const [first] = regular.influences({ setup, sample, seed }, acts, [
      { quantity: 'densityA', value: 1 / 8.96, trueValue },
    ]);
    expect(first?.shares[0]?.key).toBe('upside-down');
  });

  it.each([
    ['cylinder', { kind: 'cylinder', diameter: 17.3, height: 36.2 }, 1 / 4],
    ['sphere', { kind: 'sphere', diameter: 21.4 }, 1 / 8],
  ] as const)('names a diameter taken for a radius: %s', async (_name, shape, factor) => {
    const volume = volumeOfShape(shape) as number;
    const sample: Sample = { ...blockOf('copper'), lots: [{ materialId: 'copper', shape, volumesMl: [volume] }] };
    const run = await rehearsed(regular, (hands, plan) => measureSolid(hands, plan, 1, 'calliper', 1), { sample });
    const { setup, seed, acts } = run;
    const handed = [{ quantity: 'densityA', value: 8.96 * factor, trueValue: 8.96 }];
    expect(regular.influences({ setup, sample, seed }, acts, handed)[0]?.shares[0]?.key).toBe('radius');
  });
});

describe('the digits that are handed in', () => {
  it('are held against what the readings leave open, with the coarsest as a hint', async () => {
    const run = await rehearsed(
      displacement,
      (hands) => displace(hands, { vessel: 1, lot: 1, row: 1, amounts: [12] }),
      { sample: ALUMINIUM_PIECES },
    );
    // 4.85 mL displaced, read to 0.05 mL: three digits.
    expect(held(run, 'densityA', '2.7123')).toMatchObject({
      digitsNote: expect.stringMatching(
        /^You gave 5 digits\. By your readings the value is uncertain by about 0\.03 g\/cm³, so what stands behind the second decimal says little\. The coarsest reading .* volume displaced, 4\.[89]\d mL, with 3 digits\.$/,
      ),
    });
    expect(held(run, 'densityA', '2.7')).toMatchObject({ digitsNote: null });
    expect(held(run, 'densityA', '3')).toMatchObject({ digitsNote: expect.stringMatching(/rounded too much/) });
    expect(held(run, 'densityA', '2.71')).toMatchObject({ digitsNote: null });
    expect(held(run, 'densityA', '2.71 ± 0.03')).toMatchObject({ digitsNote: null });
  });

  it('are fewer by a ruler than by a calliper', async () => {
    const by = (tool: 'ruler' | 'calliper') =>
      rehearsed(regular, (hands, plan) => measureSolid(hands, plan, 1, tool, 1), {
        sample: blockOf('iron'),
      });
    // By hand: a height of 11.9 mm by ruler is known to 0.08 mm, 0.7 % of it; by calliper, with its zero, to 0.03 mm.
    expect(held(await by('ruler'), 'densityA', '7.8741')).toMatchObject({
      digitsNote: expect.stringMatching(/uncertain by about 0\.0[67]/),
    });
    expect(held(await by('ruler'), 'densityA', '7.87')).toMatchObject({ digitsNote: null });
    expect(held(await by('calliper'), 'densityA', '7.874')).toMatchObject({ digitsNote: null });
  });
});

describe('several unknowns', () => {
  it('have a table each, so that they can be laid over one another, and results of their own', async () => {
    const two: Sample = {
      ...ALUMINIUM_PIECES,
      lots: [
        ALUMINIUM_PIECES.lots[0] as Sample['lots'][number],
        { ...(ALUMINIUM_PIECES.lots[0] as Sample['lots'][number]), materialId: 'lead' },
      ],
    };
    const run = await rehearsed(
      displacement,
      async (hands) => {
        await displace(hands, { vessel: 1, lot: 1, row: 1, amounts: [6, 6, 6] });
        await hands.act({ kind: 'fish', vessel: 1 });
        await hands.act({ kind: 'empty', vessel: 1 });
        await displace(hands, { vessel: 1, lot: 2, row: 4, amounts: [6, 6, 6] });
      },
      { sample: two, setup: { unknowns: '2' } },
    );
    const tables = displacement.tables(run.setup);
    const workbook = new Workbook(emptyNotebook(tables), run.bench.view());
    expect(tables.map((table) => workbook.rowsOf(table).map((row) => row.id))).toEqual([
      ['trial-1', 'trial-2', 'trial-3'],
      ['trial-4', 'trial-5', 'trial-6'],
    ]);
    expect(Math.abs(moved(run, 'densityA').value / 2.7 - 1)).toBeLessThan(0.03);
    expect(Math.abs(moved(run, 'densityB').value / 11.3 - 1)).toBeLessThan(0.03);
    expect(held(run, 'nameB', 'lead')).toMatchObject({ right: true });
  });
});

describe('the bench', () => {
  const open = (practical: AnyPractical, sample?: Sample) => {
    const setup = practical.setup.parse({});
    return practical.open(setup, sample ?? practical.sample(setup, 'bench', 0), 'bench');
  };
  type Bench = ReturnType<typeof open>;
  const after = (bench: Bench, ...acts: Act[]): Bench =>
    acts.reduce((now, act) => {
      const outcome = now.perform(act);
      if ('refusal' in outcome) throw new Error(outcome.refusal);
      return outcome.bench.advance(3);
    }, bench);

  it('conserves volume over any sequence of pouring, by hand and by amount, running over and back', () => {
    const number = fc.integer({ min: 1, max: 6 });
    const act: fc.Arbitrary<Act> = fc.oneof(
      fc.record({
        kind: fc.constant('pour' as const),
        from: number,
        to: number,
        ml: fc.double({ min: 0.1, max: 150, noNaN: true }),
      }),
      fc.record({
        kind: fc.constant('tilt' as const),
        from: number,
        to: number,
        degrees: fc.integer({ min: 0, max: 110 }),
      }),
      fc.record({
        kind: fc.constant('drops' as const),
        from: number,
        to: number,
        drops: fc.integer({ min: 1, max: 40 }),
      }),
      fc.record({ kind: fc.constant('empty' as const), vessel: number }),
      fc.record({ kind: fc.constant('stopper' as const), vessel: fc.constant(6), on: fc.boolean() }),
    );
    fc.assert(
      fc.property(fc.array(fc.tuple(act, fc.integer({ min: 0, max: 40 })), { maxLength: 40 }), (sequence) => {
        const sample: Sample = {
          tempC: 20,
          lots: [],
          bottles: [{ liquidId: 'glycerol', volumeMl: 230 }],
          targetMl: null,
        };
        let bench = open(liquids, sample);
        for (const [next, quarters] of sequence) {
          const outcome = bench.perform(next);
          bench = ('refusal' in outcome ? bench : outcome.bench).advance(quarters / 4);
        }
        expect(bench.accounts().glycerol).toBeCloseTo(230, 8);
        // What stands in the vessels and what was spilt is never more than there was.
        const seen = bench.view().levels.reduce((sum, level) => sum + level, 0);
        expect(seen).toBeLessThan(230 * 1.06 + 3);
      }),
      { numRuns: 200 },
    );
  });

  it('tells nothing of a material but what it looks like', () => {
    const sample = blockOf('titanium');
    const text = JSON.stringify(open(regular, sample).view());
    expect(text).not.toContain('titan');
    expect(text).not.toContain('4.506');
    expect(text).toContain('grey metal');
  });

  it('shows an overload and weighs nothing then', () => {
    const heavy = after(
      open(PRACTICALS.displacement, ALUMINIUM_PIECES),
      { kind: 'tap', into: 3, opening: 'stream' },
      { kind: 'tap', into: 3, opening: 'off' },
    );
    expect(after(heavy, { kind: 'weigh', vessel: 3 }).view().balance).toMatch(/^\d+\.\d\d$/);
    const fine = displacement.open({ readability: '0.001', vessels: ['beaker-250'] }, ALUMINIUM_PIECES, 'b');
    const full = after(fine, { kind: 'tap', into: 1, opening: 'stream' }).advance(14);
    const over = after(full, { kind: 'tap', into: 1, opening: 'off' }, { kind: 'weigh', vessel: 1 });
    expect(over.view().balance).toBe('overload');
    expect(over.perform({ kind: 'recordMass', trial: 1, which: 'm' })).toMatchObject({
      refusal: expect.stringMatching(/overloaded/),
    });
  });

  /** Every sentence says what is so and what can be done; nothing else changes. */
  it.each([
    [
      'displacement',
      [],
      { kind: 'put', lot: 1, count: 31, into: 1, how: 'lower' },
      'On the dish of A only 30 pieces are left.',
    ],
    [
      'displacement',
      [],
      { kind: 'put', lot: 1, count: 1.5, into: 1, how: 'lower' },
      'Say how many pieces, in whole numbers.',
    ],
    [
      'displacement',
      [],
      { kind: 'put', lot: 1, count: 1, into: 1, how: 'tied' },
      'There is no sinker in it. Lower the sinker first, then tie the piece to it.',
    ],
    [
      'displacement',
      [{ kind: 'put', lot: 1, count: 30, into: 3, how: 'lower' }],
      { kind: 'put', lot: 1, count: 1, into: 1, how: 'lower' },
      'Nothing of A is left on its dish. Take it back from where it is first.',
    ],
    [
      'displacement',
      [{ kind: 'weighPieces', lot: 1, count: 1 }],
      { kind: 'weigh', vessel: 1 },
      'Something is on the balance. Take it off first.',
    ],
    [
      'displacement',
      [{ kind: 'weigh', vessel: 1 }],
      { kind: 'away', vessel: 1 },
      'It stands on the balance. Take it off first.',
    ],
    [
      'displacement',
      [],
      { kind: 'record', trial: 1, which: 'V1', text: '12.00' },
      'The 25 mL measuring cylinder is empty: there is nothing to read.',
    ],
    [
      'displacement',
      [{ kind: 'squirt', into: 1, ml: 12 }],
      { kind: 'record', trial: 3, which: 'V1', text: '12.00' },
      'Trial 2 comes before trial 3.',
    ],
    [
      'displacement',
      [{ kind: 'squirt', into: 1, ml: 12 }],
      { kind: 'record', trial: 1, which: 'V1', text: '12.00 L' },
      'The 25 mL measuring cylinder is divided in mL, not “L”. Nothing was recorded.',
    ],
    [
      'displacement',
      [{ kind: 'squirt', into: 1, ml: 12 }],
      { kind: 'record', trial: 1, which: 'l', text: '12.0' },
      'A length is not read here.',
    ],
    [
      'displacement',
      [],
      { kind: 'measure', lot: 1, tool: 'calliper', along: 'length' },
      'There is no calliper on the tray today.',
    ],
    [
      'liquid-density',
      [],
      { kind: 'pour', from: 1, to: 1, ml: 5 },
      'It cannot be poured into itself. Choose another vessel.',
    ],
    ['liquid-density', [], { kind: 'pour', from: 2, to: 3, ml: 5 }, 'It is empty: there is nothing to pour.'],
    [
      'liquid-density',
      [],
      { kind: 'tap', into: 1, opening: 'stream' },
      'Water in the bottle would spoil what is in it.',
    ],
    [
      'liquid-density',
      [{ kind: 'stopper', vessel: 6, on: true }],
      { kind: 'pour', from: 1, to: 6, ml: 5 },
      'The stopper of the other vessel is in. Take it out first.',
    ],
    [
      'regular-solids',
      [],
      { kind: 'record', trial: 1, which: 'l', text: '12.0' },
      'Nothing is held in a tool. Put a piece along the ruler or between the jaws first.',
    ],
    [
      'regular-solids',
      [{ kind: 'measure', lot: 1, tool: 'ruler', along: 'width' }],
      { kind: 'record', trial: 1, which: 'l', text: '12.0' },
      'What you hold in the ruler is a width, not a length.',
    ],
    [
      'regular-solids',
      [],
      { kind: 'measure', lot: 1, tool: 'ruler', along: 'diameter' },
      'A has no diameter. Measure its length, its width, its height.',
    ],
  ] as const)('refuses at %s, after %o, %o', (id, before, act, sentence) => {
    const samples = { displacement: ALUMINIUM_PIECES, 'regular-solids': blockOf('zinc'), 'liquid-density': undefined };
    const bench = after(open(PRACTICALS[id], samples[id]), ...before);
    expect(bench.perform(act)).toEqual({ refusal: sentence });
  });

  it('lets what floats swim, and pulls it under with the sinker', () => {
    const cork: Sample = {
      ...ALUMINIUM_PIECES,
      lots: [{ materialId: 'polypropylene', shape: { kind: 'lumps' }, volumesMl: [1.2, 1.2] }],
    };
    const filled = after(
      open(displacement, cork),
      { kind: 'tap', into: 2, opening: 'stream' },
      { kind: 'tap', into: 2, opening: 'off' },
    );
    const before = filled.view().levels[1] as number;
    const swimming = after(filled, { kind: 'put', lot: 1, count: 2, into: 2, how: 'lower' });
    const rise = (swimming.view().levels[1] as number) - before;
    expect(rise).toBeCloseTo((2.4 * 0.905) / 0.998, 1);
    expect(swimming.view().vessels[1]?.lying[0]).toMatchObject({ floats: true, under: 0.91 });
    const out = after(swimming, { kind: 'fish', vessel: 2 }, { kind: 'sinker', vessel: 2, on: true });
    const withSinker = out.view().levels[1] as number;
    const tied = after(out, { kind: 'put', lot: 1, count: 2, into: 2, how: 'tied' });
    expect((tied.view().levels[1] as number) - withSinker).toBeCloseTo(2.4, 1);
  });
});

describe('readings that belong together', () => {
  const bench = (id: 'displacement' | 'regular-solids' | 'liquid-density' | 'reading-a-scale', setup: object = {}) => {
    const practical = PRACTICALS[id];
    const chosen = practical.setup.parse(setup);
    let now = practical.open(chosen, practical.sample(chosen, 'together', 0), 'together');
    const act = (json: object): string | undefined => {
      const outcome = now.advance(3).perform(json);
      if ('refusal' in outcome) return outcome.refusal;
      now = outcome.bench;
      return undefined;
    };
    const view = () => {
      const seen = now.view();
      if (seen.family !== 'measuring') throw new Error('no bench of measuring');
      return seen;
    };
    const due = (slot: string) => view().slots.find((one) => one.slot === slot)?.due;
    return { act, view, due, bench: () => now, practical, setup: chosen };
  };

  it('a volume before any piece holds for all six amounts, in the table, the steps, the check and the pool alike', () => {
    const { act, view, bench: now } = bench('displacement', { solids: ['zinc'], drawn: false });
    const texts: string[] = [];
    act({ kind: 'squirt', into: 1, ml: 12 });
    act({ kind: 'look', at: 'vessel', n: 1 });
    act({ kind: 'eye', mm: 0 });
    expect(act({ kind: 'record', trial: 1, which: 'V1', text: view().levels[0]?.toFixed(2) })).toBeUndefined();
    act({ kind: 'weigh', vessel: 1 });
    act({ kind: 'tare' });
    for (let trial = 1; trial <= 6; trial++) {
      expect(view().steps.find(({ key }) => key === 'again')?.done).toBe(false);
      expect(act({ kind: 'put', lot: 1, count: 3, into: 1, how: 'lower' })).toBeUndefined();
      for (let i = 0; i < 30; i++) act({ kind: 'knock', vessel: 1 });
      expect(act({ kind: 'recordMass', trial, which: 'm' })).toBeUndefined();
      texts.push(view().levels[0]?.toFixed(2) ?? '');
      expect(act({ kind: 'record', trial, which: 'V2', text: texts.at(-1) })).toBeUndefined();
    }
    const seen = view();
    expect(seen.readings.filter(({ slot }) => slot === 'V1')).toHaveLength(1);
    expect([1, 2, 6].map((trial) => readingFor(seen, trial, 'V1')?.text)).toEqual(
      Array.from({ length: 3 }, () => readingFor(seen, 1, 'V1')?.text),
    );
    expect(seen.steps.find(({ key }) => key === 'again')?.done).toBe(true);
    const checked = now().check(
      { densityA: { text: '7.14', unit: 'g/cm³' } },
      now() && PRACTICALS.displacement.asks({ solids: ['zinc'], drawn: false }).filter(({ key }) => key === 'densityA'),
    );
    expect(checked.ok).toBe(true);
    expect(now().record().results[0]).toMatch(/^Density of A: [67]\.\d+ g\/cm³$/);
    // All six amounts are in it: the slope of the readings by least squares, worked out here.
    const before = Number(readingFor(seen, 1, 'V1')?.text);
    const points = texts.map((text, i) => [Number(text) - before, Number(readingFor(seen, i + 1, 'm')?.text)] as const);
    const mean = (k: 0 | 1) => points.reduce((sum, point) => sum + point[k], 0) / 6;
    const slope =
      points.reduce((sum, [x, y]) => sum + (x - mean(0)) * (y - mean(1)), 0) /
      points.reduce((sum, [x]) => sum + (x - mean(0)) ** 2, 0);
    expect(Number(/: ([\d.]+)/.exec(now().record().results[0] ?? '')?.[1])).toBeCloseTo(slope, 2);
  });

  it('what is read again without moving anything corrects the reading, at calliper, balance and thermometer alike', () => {
    const { act, view, due } = bench('regular-solids', { solids: ['brass'], shapes: ['cylinder'], drawn: false });
    act({ kind: 'measure', lot: 1, tool: 'calliper', along: 'height' });
    act({ kind: 'record', trial: 1, which: 'h', text: '30.00' });
    expect(due('h')).toBe(1);
    act({ kind: 'record', trial: 1, which: 'h', text: '31.00' });
    expect(view().readings.map(({ text, struck }) => [text, struck])).toEqual([
      ['30.00', 'read again'],
      ['31.00', null],
    ]);
    // Placed anew, it is another measurement.
    act({ kind: 'measure', lot: 1, tool: 'calliper', along: 'height' });
    expect(due('h')).toBe(2);
    act({ kind: 'weighPieces', lot: 1, count: 1 });
    act({ kind: 'recordMass', trial: 1, which: 'm' });
    expect(due('m')).toBe(1);
    act({ kind: 'offPan' });
    expect(due('m')).toBe(2);
  });

  it('a reading goes to the trial that it belongs to, and never over another', () => {
    const { act, view } = bench('regular-solids', { solids: ['brass'], shapes: ['cylinder'], drawn: false });
    act({ kind: 'measure', lot: 1, tool: 'calliper', along: 'height' });
    act({ kind: 'record', trial: 1, which: 'h', text: '30.00' });
    act({ kind: 'record', trial: 2, which: 'h', text: '30.05' });
    expect(act({ kind: 'move', trial: 1, which: 'h', to: 2 })).toMatch(/has this reading already/);
    expect(act({ kind: 'move', trial: 1, which: 'h', to: 9 })).toMatch(/comes before trial 9/);
    expect(act({ kind: 'move', trial: 1, which: 'd', to: 2 })).toMatch(/no such reading/);
    expect(act({ kind: 'move', trial: 1, which: 'h', to: 3 })).toBeUndefined();
    expect(view().readings.map(({ trial, text }) => [trial, text])).toEqual([
      [3, '30.00'],
      [2, '30.05'],
    ]);
    expect(view().trial).toBe(3);
  });

  it('the zero of a calliper is a reading, and what is read is less by it', () => {
    const {
      act,
      view,
      bench: now,
    } = bench('regular-solids', { solids: ['brass'], shapes: ['cylinder'], drawn: false });
    expect(act({ kind: 'record', trial: 1, which: 'Z', text: '0.00' })).toMatch(/Close the jaws/);
    act({ kind: 'weighPieces', lot: 1, count: 1 });
    act({ kind: 'recordMass', trial: 1, which: 'm' });
    act({ kind: 'offPan' });
    const shown = (along: 'height' | 'diameter') => {
      act({ kind: 'measure', lot: 1, tool: 'calliper', along });
      return view().held?.toMm ?? NaN;
    };
    const [h, d] = [shown('height'), shown('diameter')];
    for (const [along, slot, mm] of [
      ['height', 'h', h],
      ['diameter', 'd', d],
    ] as const) {
      act({ kind: 'measure', lot: 1, tool: 'calliper', along });
      act({ kind: 'record', trial: 1, which: slot, text: mm.toFixed(2) });
    }
    const density = () => Number(/: ([\d.]+)/.exec(now().record().results[0] ?? '')?.[1]);
    const without = density();
    act({ kind: 'closeJaws' });
    expect(Math.abs(view().held?.toMm ?? NaN)).toBeLessThanOrEqual(0.05 + 0.015);
    expect(act({ kind: 'record', trial: 1, which: 'Z', text: '-0.05' })).toBeUndefined();
    // A cylinder's volume is as d² h: each length is larger by 0.05 mm than it was read.
    const factor = ((d + 0.05) ** 2 * (h + 0.05)) / (d * d * h);
    expect(density() * factor).toBeCloseTo(without, 2);
    expect(act({ kind: 'record', trial: 1, which: 'h', text: '3.00' })).toMatch(/Nothing is between the jaws/);
  });

  it('a liquid that ran over is had again, told in the log, with all of it in the accounts', () => {
    const { act, view, bench: now } = bench('reading-a-scale');
    expect(act({ kind: 'haveAgain' })).toMatch(/as full as it was given/);
    const before = now().accounts();
    act({ kind: 'pour', from: 1, to: 2, ml: 9 });
    act({ kind: 'empty', vessel: 2 });
    expect(act({ kind: 'haveAgain' })).toBeUndefined();
    const after = now().accounts();
    for (const [key, value] of Object.entries(before)) expect(after[key]).toBeCloseTo(value, 6);
    expect(PRACTICALS['reading-a-scale'].describe({ kind: 'haveAgain' })).toContain('again');
    expect(view().vessels[0]?.empty).toBe(false);
  });
});
