import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { actsOn, actTable } from './act-table';
import { done, refuse } from './hands';

interface Jug {
  ml: number;
}
const on = actsOn<Jug>();
const JUG = {
  pour: on(
    { ml: z.number().max(100), slowly: z.boolean().optional() },
    (jug, { ml }) => (jug.ml + ml > 100 ? refuse('It runs over.') : done({ ml: jug.ml + ml })),
    ({ ml, slowly }) => `poured ${ml} mL${slowly ? ', slowly' : ''}`,
  ),
  empty: on({}, () => done({ ml: 0 }), 'emptied the jug'),
};
const { act, perform, describe: says } = actTable<Jug, typeof JUG>(JUG);

describe('a table of acts', () => {
  it('reads what is an act of its own, and nothing else', () => {
    expect(act.parse({ kind: 'pour', ml: 20 })).toEqual({ kind: 'pour', ml: 20 });
    expect(act.parse({ kind: 'empty', ml: 20 })).toEqual({ kind: 'empty' });
    for (const wrong of [
      { kind: 'drink' },
      { kind: 'pour' },
      { kind: 'pour', ml: '20' },
      { kind: 'pour', ml: 101 },
      {},
    ])
      expect(act.safeParse(wrong).success, JSON.stringify(wrong)).toBe(false);
  });

  it('does each by its own function, and tells it in its own words', () => {
    expect(perform({ ml: 50 }, { kind: 'pour', ml: 20 })).toEqual({ bench: { ml: 70 } });
    expect(perform({ ml: 90 }, { kind: 'pour', ml: 20 })).toEqual({ refusal: 'It runs over.' });
    expect(perform({ ml: 90 }, { kind: 'empty' })).toEqual({ bench: { ml: 0 } });
    expect(says({ kind: 'pour', ml: 20, slowly: true })).toBe('poured 20 mL, slowly');
    expect(says({ kind: 'empty' })).toBe('emptied the jug');
  });
});
