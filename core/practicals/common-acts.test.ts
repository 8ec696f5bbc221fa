import { describe, expect, it } from 'vitest';
import { PRACTICALS, type AnyPractical } from './registry';

const begun = (id: string) => {
  const practical = (PRACTICALS as unknown as Record<string, AnyPractical>)[id] as AnyPractical;
  const setup = practical.setup.parse({});
  const bench = practical.open(setup, practical.sample(setup, 'pass', 0), 'pass');
  return { practical, bench, does: (on: typeof bench, act: object) => on.perform(practical.readAct(act)) };
};

describe('waiting by one press', () => {
  it.each(['metal-by-heat', 'water-in-hydrate', 'pressure-volume', 'acid-concentration'])(
    'is at a bench of %s as if so much time had been watched',
    (id) => {
      const { bench, does } = begun(id);
      const waited = does(bench, { kind: 'pass', seconds: 240 });
      if ('refusal' in waited) throw new Error(waited.refusal);
      expect(waited.bench.view()).toEqual(bench.advance(240).view());
      expect(waited.bench.clockS).toBe(bench.clockS + 240);
    },
  );

  it('is refused in a sentence while the clock is stopped, and where particles fly as far as they are let', () => {
    const { bench, does } = begun('metal-by-heat');
    const stopped = does(bench, { kind: 'clock', stopped: true });
    if ('refusal' in stopped) throw new Error(stopped.refusal);
    expect(does(stopped.bench, { kind: 'pass', seconds: 60 })).toEqual({ refusal: expect.stringContaining('stopped') });
    const flown = begun('light-and-heavy');
    expect(flown.does(flown.bench, { kind: 'pass', seconds: 60 })).toEqual({ refusal: expect.stringContaining('fly') });
  });

  it('has a longest time, so that nobody’s press is long work', () => {
    const { practical } = begun('metal-by-heat');
    for (const seconds of [0, 0.5, -60, 901, 1e9, NaN, '60'])
      expect(practical.readAct({ kind: 'pass', seconds })).toBeUndefined();
    expect(practical.readAct({ kind: 'pass', seconds: 900 })).toBeDefined();
  });
});
