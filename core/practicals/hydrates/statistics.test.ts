import { describe, expect, it } from 'vitest';
import { HYDRATE_PRACTICALS } from '.';
import { DRYING } from './kinds/water';
import { begun, dried, type HydrateId } from './testing';

/** What careful students of one class find, each with a sample, crucibles and a balance of their own. */

interface Found {
  value: number;
  uncertainty: number;
  truth: number;
  name: unknown;
  leftOpen: readonly string[];
}

async function classOf(id: HydrateId, quantity: string, students: number, setup: object = {}): Promise<Found[]> {
  const own = Object.values(HYDRATE_PRACTICALS).find((one) => one.id === id) as (typeof HYDRATE_PRACTICALS)['which'];
  const found: Found[] = [];
  for (let index = 0; index < students; index++) {
    const run = await dried(id, {
      seed: `class ${index % 5}`,
      index,
      setup: { balance: ['0.01', '0.001'][index % 2], ...setup },
    });
    const [bench, chosen] = [run.inside(), run.setup as never];
    found.push({
      value: run.results()[quantity] ?? NaN,
      uncertainty: own.support?.(chosen, run.sample, bench)[quantity]?.uncertainty ?? NaN,
      truth: run.bench().truths()[quantity] as number,
      name: run.bench().truths()['name'],
      leftOpen: own.leftOpen?.(chosen, run.sample, bench)['name'] ?? [],
    });
  }
  return found;
}

const share = <T>(all: readonly T[], holds: (one: T) => boolean) => all.filter(holds).length / all.length;
const isCovered = ({ value, truth, uncertainty }: Found) => Math.abs(value - truth) <= 2 * uncertainty;

describe('careful students', { timeout: 600_000 }, () => {
  it('name their hydrate by mass and colour, and are as sure of the part as they say', async () => {
    const all = await classOf('which-hydrate', 'part', 300);
    expect(share(all, isCovered)).toBeGreaterThanOrEqual(0.93);
    expect(share(all, ({ leftOpen, name }) => leftOpen.length === 1 && leftOpen[0] === name)).toBeGreaterThanOrEqual(
      0.95,
    );
  });

  it('count the waters of every salt that dries in the open, and are as sure of them as they say', async () => {
    const all = await classOf('water-in-hydrate', 'waters', 130, { hydrates: DRYING });
    expect(share(all, isCovered)).toBeGreaterThanOrEqual(0.93);
    expect(share(all, ({ value, truth }) => Math.round(value) === truth)).toBeGreaterThanOrEqual(0.93);
  });

  it('find the part of a mixture within what they say', async () => {
    const all = await classOf('part-of-hydrate', 'part', 80);
    expect(share(all, isCovered)).toBeGreaterThanOrEqual(0.93);
  });

  it('begin with samples that differ, in which the salts of the pool all come', () => {
    const names = Array.from({ length: 40 }, (_, index) => begun('which-hydrate', { index }).sample.hydrateId);
    expect(new Set(names).size).toBe(10);
  });
});
