import { describe, expect, it } from 'vitest';
import type { Bench } from '../bench';
import { bendOf } from '../kinds/by-temperature';
import { begun, moved, worked } from '../testing';

const inside = (run: ReturnType<typeof begun>) => run.bench().inside() as Bench;
const concentrationOf = (run: ReturnType<typeof begun>) =>
  Object.values(run.sample.bottles[0]?.molPerL ?? {})[0] ?? NaN;

describe('an acid by temperature alone', () => {
  it('has its bend where two lines cross, wherever the points lie', () => {
    const points = (bend: number, step: number) =>
      Array.from({ length: 20 }, (_, i) => ({ x: step * (i + 1), y: Math.min(step * (i + 1), bend) }));
    for (const bend of [7.3, 12.5, 21.9]) expect(bendOf(points(bend, 1.7))).toBeCloseTo(bend, 9);
    expect(bendOf(points(10, 1).reverse())).toBeCloseTo(10, 9);
    expect(bendOf(points(10, 1).slice(0, 5))).toBeUndefined();
    expect(bendOf([])).toBeUndefined();
  });

  it.each(['hydrochloric-acid', 'acetic-acid', 'formic-acid'])(
    'finds %s to a thousandth where no heat is lost',
    async (acid) => {
      const run = await worked('acid-by-temperature', { setup: { losses: false, acids: [acid] }, seed: acid });
      const { value, trueValue } = moved(run, 'concentration');
      expect(trueValue).toBe(concentrationOf(run));
      expect(Math.abs(value / trueValue - 1)).toBeLessThan(0.003);
      expect(run.view().steps.filter(({ done }) => !done)).toEqual([]);
    },
  );

  it('bends too early in the bare temperature, by some hundredths up to a tenth, and that is told', async () => {
    const run = await worked('acid-by-temperature', { setup: { losses: false }, seed: 'raw' });
    const { value, trueValue } = moved(run, 'concentration');
    const view = run.view();
    const of = (slot: string) =>
      view.readings.filter((r) => r.slot === slot && r.struck === null).map((r) => Number(r.text));
    const [T, V] = [of('T2'), of('VB')];
    const bend = bendOf(V.map((x, i) => ({ x, y: T[i] ?? NaN }))) ?? NaN;
    const raw = (2 * bend) / (of('VA')[0] ?? NaN);
    expect(raw / trueValue).toBeLessThan(0.99);
    expect(raw / trueValue).toBeGreaterThan(0.9);
    const [told] = run.practical.influences(run, run.acts, [{ quantity: 'concentration', value: raw, trueValue }]);
    expect(told?.shares.find(({ key }) => key === 'raw')?.share).toBeCloseTo(raw - value, 6);
  });

  it('counts each addition as a trial, and takes a point again in its place', () => {
    const run = begun('acid-by-temperature');
    expect(run.act({ kind: 'recordPoint', trial: 1 })).toBe('Nothing has been measured into this cup yet.');
    run.hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: 50 });
    run.hands.act({ kind: 'thermometer', n: 1, at: 'cup' });
    run.hands.act({ kind: 'recordPoint', trial: 1 });
    expect(run.view().given).toEqual(['50.00', '0.00']);
    for (const ml of [2, 2]) {
      run.hands.act({ kind: 'pour', bottle: 2, to: 'cup', ml });
      run.hands.act({ kind: 'recordPoint', trial: run.view().recordableTrial }, 10);
      run.hands.act({ kind: 'recordPoint', trial: run.view().recordableTrial }, 5);
    }
    const live = run.view().readings.filter(({ struck }) => struck === null);
    expect(
      live
        .map(({ slot, trial, text }) => [slot, trial, slot.startsWith('V') ? text : ''])
        .filter(([slot]) => slot === 'VB'),
    ).toEqual([
      ['VB', 1, '2.00'],
      ['VB', 2, '4.00'],
    ]);
    expect(run.view().readings.filter(({ struck }) => struck !== null)).toHaveLength(4);
    expect(run.act({ kind: 'record', trial: 1, which: 'VB', text: '2.00' })).toMatch(/recorded by itself/u);
    // What was really given is near what the dispenser says, and not the same.
    expect(inside(run).measuredMl[1]).toBeCloseTo(4, 1);
    expect(inside(run).measuredMl[1]).not.toBe(4);
  });

  it.each(['VA', 'VB'] as const)('takes no typed %s, for a dispenser is recorded as it shows', (which) => {
    const run = begun('acid-by-temperature');
    run.hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: 50 });
    expect(run.act({ kind: 'record', trial: 1, which, text: '55' })).toMatch(/by itself/u);
  });

  it('is told of heat to the room as what it is, and of no other cause', async () => {
    const run = await worked('acid-by-temperature', { seed: 'slow' });
    const { value, trueValue, share, shares } = moved(run, 'concentration');
    expect(value).toBeLessThan(trueValue);
    expect(Math.abs(share('room') - (value - trueValue))).toBeLessThan(0.25 * Math.abs(value - trueValue));
    expect(shares[0]?.key).toBe('room');
  });

  it('is told, after the hand-in, of the vessel left out, of acid and base the wrong way round, and of bare temperatures', async () => {
    const run = await worked('acid-by-temperature', { setup: { vessel: 'glass-beaker' }, seed: 'head' });
    const { value, trueValue } = moved(run, 'concentration');
    const base = Object.values(run.sample.bottles[1]?.molPerL ?? {})[0] ?? NaN;
    const live = run.view().readings.filter(({ struck }) => struck === null);
    const of = (slot: string) => live.filter((r) => r.slot === slot).map((r) => Number(r.text));
    const [[acidMl = NaN], [cool = NaN], V, T] = [of('VA'), of('T1'), of('VB'), of('T2')];
    const bent = (heat: (v: number, step: number) => number) =>
      ((bendOf(V.map((x, i) => ({ x, y: heat(x, (T[i] ?? NaN) - cool) }))) ?? NaN) * base) / acidMl;
    // By hand, from what is printed in the notebook: 66 J/K of the beaker.
    expect(bent((v, step) => ((acidMl + v) * 4.18 + 66) * step)).toBeCloseTo(value, 9);
    for (const [key, wrong] of [
      ['noVessel', bent((v, step) => (acidMl + v) * 4.18 * step)],
      ['raw', bent((_, step) => step)],
      ['upsideDown', (base * base) / value],
    ] as const) {
      const [told] = run.practical.influences(run, run.acts, [{ quantity: 'concentration', value: wrong, trueValue }]);
      expect(told?.shares.find((one) => one.key === key)?.share, key).toBeCloseTo(wrong - value, 6);
    }
  });
});
