import { describe, expect, it } from 'vitest';
import { expectAsSure, expectShare, foundOf, students, type Found } from '../careful-students';
import { DRYING } from './kinds/water';
import { begun, dried, type HydrateId } from './testing';

/** What careful students of one class find, each with a sample, crucibles and a balance of their own. */

interface Named extends Found {
  name: unknown;
  leftOpen: readonly string[];
}

async function classOf(id: HydrateId, quantity: string, students: number, setup: object = {}): Promise<Named[]> {
  const found: Named[] = [];
  for (let index = 0; index < students; index++) {
    const run = await dried(id, {
      seed: `class ${index % 5}`,
      index,
      setup: { balance: ['0.01', '0.001'][index % 2], ...setup },
    });
    const bench = run.bench();
    found.push({
      ...foundOf(bench, quantity),
      name: bench.truths()['name'],
      leftOpen: bench.leftOpen()['name'] ?? [],
    });
  }
  return found;
}

describe('careful students', { timeout: 600_000 }, () => {
  it('name their hydrate by mass and colour, and are as sure of the part as they say', async () => {
    const all = await classOf('which-hydrate', 'part', students(300));
    expectAsSure(all, 'part');
    expectShare(all, ({ leftOpen, name }) => leftOpen.length === 1 && leftOpen[0] === name, 0.95, 'named');
  });

  it('count the waters of every salt that dries in the open, and are as sure of them as they say', async () => {
    const all = await classOf('water-in-hydrate', 'waters', students(130), { hydrates: DRYING });
    expectAsSure(all, 'waters');
    expectShare(all, ({ value, truth }) => Math.round(value) === truth, 0.93, 'named');
  });

  it('find the part of a mixture within what they say', async () => {
    const all = await classOf('part-of-hydrate', 'part', students(80));
    expectAsSure(all, 'part');
  });

  it('begin with samples that differ, in which the salts of the pool all come', () => {
    const names = Array.from({ length: 40 }, (_, index) => begun('which-hydrate', { index }).sample.hydrateId);
    expect(new Set(names).size).toBe(10);
  });
});
