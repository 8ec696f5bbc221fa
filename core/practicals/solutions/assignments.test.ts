import { describe, expect, it } from 'vitest';
import { BENCH_SOLUTIONS } from '../../databook/bench-solutions';
import { chance, shuffled } from '../../random';
import { PRACTICALS } from '../registry';
import { aloneSeen, canBeTold, notModelled, otherAssignment, pairSeen } from './assignments';
import type { Sample } from './sample';

/** Bottles without labels: that each set which is given out has one assignment of names, found by trying all of them. */

const POOL = (PRACTICALS['which-bottle'].setup.parse({}) as { pool: string[] }).pool;

function* subsets<T>(all: readonly T[], size: number): Generator<T[]> {
  if (size === 0) yield [];
  else
    for (let i = 0; i <= all.length - size; i++)
      for (const rest of subsets(all.slice(i + 1), size - 1)) yield [all[i] as T, ...rest];
}

function* permutations(n: number): Generator<number[]> {
  const order = Array.from({ length: n }, (_, i) => i);
  const swap = (i: number, j: number) => ([order[i], order[j]] = [order[j] as number, order[i] as number]);
  function* from(i: number): Generator<number[]> {
    if (i === n) yield order;
    else
      for (let j = i; j < n; j++) {
        swap(i, j);
        yield* from(i + 1);
        swap(i, j);
      }
  }
  yield* from(0);
}

/** All sights of two bottles, in words; null of one about which people differ. */
const sightsOf = (a: string, b: string) => pairSeen(a, b).map(({ seen, isFaint }) => (isFaint ? null : seen));

/** Whether any other order of the same names would look the same: by every permutation, with nothing cut short. */
function looksLikeAnother(ids: readonly string[], paper: boolean): boolean {
  const alone = ids.map((id) => aloneSeen(id, paper));
  const pair = ids.map((a) => ids.map((b) => (a === b ? [] : sightsOf(a, b))));
  for (const order of permutations(ids.length)) {
    if (order.every((as, i) => as === i)) continue;
    const isAlike =
      order.every((as, i) => alone[as] === alone[i]) &&
      order.every((as, i) =>
        order.every((other, j) =>
          (pair[i]?.[j] ?? []).every((seen, k) => {
            const there = pair[as]?.[other]?.[k];
            return i === j || seen === null || there === null || seen === there;
          }),
        ),
      );
    if (isAlike) return true;
  }
  return false;
}

describe('bottles that are to be named', () => {
  it(
    'are given out only in sets that one assignment of names fits: every set of six of the pool',
    { timeout: 120_000 },
    () => {
      let given = 0;
      for (const ids of subsets(POOL, 6)) {
        if (!canBeTold(ids, true)) continue;
        given++;
        expect(looksLikeAnother(ids, true), ids.join(' ')).toBe(false);
      }
      // Enough for any class, and each solution is in some of them.
      expect(given).toBeGreaterThan(500);
    },
  );

  it.each([
    [5, false],
    [7, true],
    [8, true],
  ] as const)('are one assignment in sets of %i as well, with paper: %s', (size, paper) => {
    const source = chance('sets', String(size));
    let given = 0;
    for (let i = 0; i < 1500 && given < 60; i++) {
      const ids = shuffled(POOL.length, source)
        .slice(0, size)
        .map((at) => POOL[at] as string);
      if (!canBeTold(ids, paper)) continue;
      given++;
      expect(looksLikeAnother(ids, paper), ids.join(' ')).toBe(false);
    }
    expect(given).toBeGreaterThan(10);
  });

  it('are not given out where two could stand for one another', () => {
    // Both halide salts look and act alike; so do the two nitrates that do nothing.
    expect(
      canBeTold(['silver-nitrate', 'sodium-chloride', 'barium-chloride', 'sodium-nitrate', 'potassium-nitrate'], true),
    ).toBe(false);
    expect(otherAssignment(['sodium-nitrate', 'potassium-nitrate', 'silver-nitrate'], true)).toBeDefined();
    expect(otherAssignment(['silver-nitrate', 'sodium-chloride', 'copper-sulfate'], true)).toEqual([1, 0, 2]);
    // A third that takes sides tells them: barium falls with the sulfate, and its chloride with silver.
    expect(
      otherAssignment(['silver-nitrate', 'sodium-chloride', 'copper-sulfate', 'barium-chloride'], true),
    ).toBeUndefined();
  });

  it('never hold two whose reaction the model does not reach', () => {
    expect(notModelled('silver-nitrate', 'sodium-thiosulfate')).toMatch(/thiosulfate/);
    expect(notModelled('permanganate', 'hydrochloric-acid')).toMatch(/attacks/);
    expect(notModelled('hydrochloric-acid', 'sodium-thiosulfate')).toMatch(/sulfur/);
    expect(notModelled('iodine', 'sodium-hydroxide')).toMatch(/bases/);
    expect(notModelled('iodine', 'sodium-chloride')).toBeUndefined();
    for (let index = 0; index < 120; index++) {
      const { bottles } = PRACTICALS['which-bottle'].sample(
        PRACTICALS['which-bottle'].setup.parse({}),
        'class',
        index,
      ) as Sample;
      expect(new Set(bottles.map(({ id }) => id)).size).toBe(6);
      for (const a of bottles) for (const b of bottles) if (a !== b) expect(notModelled(a.id, b.id)).toBeUndefined();
    }
  });

  it('are told by what books say: sights of well known pairs', () => {
    const seen = (a: string, b: string) => pairSeen(a, b)[0]?.seen;
    expect(seen('silver-nitrate', 'sodium-chloride')).toBe('white or pale solid');
    expect(seen('lead-nitrate', 'potassium-iodide')).toBe('yellow solid');
    expect(seen('silver-nitrate', 'potassium-chromate')).toBe('red or brown solid');
    expect(seen('copper-sulfate', 'sodium-hydroxide')).toBe('blue or green solid');
    expect(seen('iron-chloride', 'potassium-thiocyanate')).toBe('another colour');
    expect(seen('sodium-carbonate', 'hydrochloric-acid')).toBe('gas');
    expect(seen('sodium-sulfate', 'sodium-chloride')).toBe('nothing to be seen');
    // In excess: zinc and aluminium hydroxide dissolve again, magnesium hydroxide does not.
    const inBase = (id: string) => pairSeen(id, 'sodium-hydroxide').map((one) => one.seen);
    expect(inBase('zinc-sulfate')[1]).toBe('nothing to be seen');
    expect(inBase('magnesium-sulfate')[1]).toBe('white or pale solid');
    expect(pairSeen('copper-sulfate', 'ammonia')[1]?.seen).toBe('another colour');
  });

  it('objects to a pool out of which none can be told, and to one that is too small', () => {
    const { setup, objections } = PRACTICALS['which-bottle'];
    const alike = BENCH_SOLUTIONS.filter(({ id }) =>
      /^(sodium|potassium)-(nitrate|chloride|sulfate|bromide)$/.test(id),
    ).map(({ id }) => id);
    expect(objections(setup.parse({ pool: alike, bottles: '5' }))[0]?.sentence).toMatch(/can be told apart/);
    expect(objections(setup.parse({ pool: POOL.slice(0, 5), bottles: '6' }))[0]?.sentence).toMatch(/at least 6/);
    expect(objections(setup.parse({}))).toEqual([]);
  });
});
