import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rangeProblem, axisRange, ticksIn } from './axis-range';

describe('the range of an axis', () => {
  it('holds all data between round ends, not from zero unless they begin there', () => {
    expect(axisRange([7.51, 20.02])[0]).toBeGreaterThan(0);
    expect(axisRange([0, 11])[0]).toBe(0);
    const values = fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { minLength: 1, maxLength: 30 });
    fc.assert(
      fc.property(values, (data) => {
        const [min, max] = axisRange(data);
        expect(min).toBeLessThan(max);
        expect(Math.min(...data)).toBeGreaterThanOrEqual(min);
        expect(Math.max(...data)).toBeLessThanOrEqual(max);
        const ticks = ticksIn([min, max]);
        expect(ticks.length).toBeGreaterThan(1);
        expect(ticks.length).toBeLessThan(14);
      }),
    );
  });

  it('takes the ends that were typed, and leaves aside what is no range', () => {
    expect(axisRange([1, 9], { min: '0', max: '12,5' })).toEqual([0, 12.5]);
    expect(axisRange([1, 9], { min: 'x', max: '20' })[1]).toBe(20);
    const [min, max] = axisRange([1, 9], { min: '30', max: '2' });
    expect(min).toBeLessThan(max);
  });
});

describe('ends of an axis as typed', () => {
  it.each([
    [{ min: '', max: '' }, undefined],
    [{ min: '0', max: '2,5' }, undefined],
    [{ min: 'ten', max: '' }, /“ten” is not a number, so the axis ends where the data do/],
    [{ min: '5', max: '5' }, /has to be below/],
    [{ min: '5', max: '1' }, /has to be below/],
  ])('%o', (typed, problem) => {
    if (problem) expect(rangeProblem(typed)).toMatch(problem);
    else expect(rangeProblem(typed)).toBeUndefined();
  });
});
