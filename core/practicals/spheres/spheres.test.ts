import { describe, expect, inject, it } from 'vitest';
import { expectAsSure, expectShare, foundOf, students } from '../careful-students';
import { energyAt } from '../../physics/kinetic';
import { FILLINGS, PS_PER_S, RUN_PS } from './plan';
import { compareGases } from './practised-student';
import { begun } from './testing';

/** Two gases in one vessel: what flies, what can be done to it, and what students find. */

describe('two gases in one vessel', { timeout: inject('isLong') ? 1_800_000 : 120_000 }, () => {
  it('stand when their stretch is over, however long nobody looks, and as long as the clock is stopped', () => {
    const run = begun();
    run.act({ kind: 'run', ps: 100 });
    run.act({ kind: 'wait' }, 6 * 3600);
    expect(run.inside().nowPs).toBe(100);
    expect(run.bench().running).toBe(false);
    run.act({ kind: 'run', ps: 100 });
    run.act({ kind: 'clock', stopped: true });
    run.act({ kind: 'wait' }, 60);
    expect(run.inside().nowPs).toBeLessThan(101);
    run.act({ kind: 'clock', stopped: false });
    run.act({ kind: 'wait' }, 100 / PS_PER_S + 1);
    expect(run.inside().nowPs).toBe(200);
  });

  it('come to the temperature of their jacket, and keep their energy without one', () => {
    const run = begun();
    const total = run.inside().energyZJ;
    run.act({ kind: 'run', ps: 300 });
    run.act({ kind: 'wait' }, 100);
    expect(run.inside().energyZJ / total).toBeCloseTo(1, 9);
    run.act({ kind: 'jacket', kelvin: 900 });
    for (let i = 0; i < 8; i++) {
      run.act({ kind: 'run', ps: 500 });
      run.act({ kind: 'wait' }, 130);
    }
    const { tally } = run.inside();
    const mean = (tally.energy[0] + tally.energy[1]) / tally.looks / 2;
    // A hundred and twenty of them over some tens of times from wall to wall: within a tenth.
    expect(Math.abs(mean / energyAt(900) - 1)).toBeLessThan(0.1);
  });

  it('are as energetic each alone as both together, and nothing is shown or recorded of one that is not there', () => {
    const alone = FILLINGS.map((of) => {
      const run = begun({ seed: 'alone' });
      run.act({ kind: 'refill', of });
      run.act({ kind: 'jacket', kelvin: 400 });
      for (let i = 0; i < 4; i++) {
        run.act({ kind: 'run', ps: 500 });
        run.act({ kind: 'wait' }, 130);
      }
      return { run, counters: run.view().counters ?? {} };
    });
    const [both, helium, other] = alone;
    expect(Object.keys(helium?.counters ?? {})).toEqual(['T', 'E1', 'v1', 'd', 'g1']);
    expect(Object.keys(other?.counters ?? {})).toEqual(['T', 'E2', 'v2', 'd', 'g2']);
    // Sixty of each over a last stretch of some tens of times from wall to wall: within a sixth of 3/2 kT.
    for (const shown of [both?.counters.E1, both?.counters.E2, helium?.counters.E1, other?.counters.E2])
      expect(Math.abs(Number(shown) / energyAt(400) - 1)).toBeLessThan(1 / 6);
    expect(helium?.run.act({ kind: 'record', trial: 1, which: 'E2' })).toMatch(/^That gas is not in the vessel/);
    expect(helium?.run.act({ kind: 'record', trial: 1, which: 'E1' })).toBeUndefined();
    // A trial of one gas alone is none of the comparison.
    expect(helium?.run.results()).toEqual({});
  });

  it('says what cannot be done, and bounds what anybody can make it work', () => {
    const run = begun();
    for (const [one, sentence] of [
      [{ kind: 'run', ps: 0 }, /^Let them fly for 1 to 500 ps/],
      [{ kind: 'run', ps: 1e9 }, /^Let them fly for 1 to 500 ps/],
      [{ kind: 'jacket', kelvin: 0 }, /^The jacket can be from 50 to 1500 K/],
      [{ kind: 'jacket', kelvin: -300 }, /^The jacket can be from 50 to 1500 K/],
      [{ kind: 'bare' }, /^There is no jacket/],
      [{ kind: 'hole', open: false }, /shut already/],
      [{ kind: 'record', trial: 1, which: 'T' }, /^The counters show nothing/],
    ] as const)
      expect(run.act(one)).toMatch(sentence);
    run.act({ kind: 'run', ps: 50 });
    expect(run.act({ kind: 'run', ps: 50 })).toMatch(/^They are flying/);
    run.act({ kind: 'wait' }, 4);
    expect(run.act({ kind: 'record', trial: 1, which: 'E1' })).toMatch(/still flying/);
    expect(run.act({ kind: 'record', trial: 3, which: 'E1' })).toBe('Trial 1 comes before trial 3.');
    run.act({ kind: 'wait' }, 20);
    for (let i = 0; i < 45; i++) {
      run.act({ kind: 'run', ps: RUN_PS.most });
      run.act({ kind: 'wait' }, 130);
    }
    expect(run.act({ kind: 'run', ps: RUN_PS.most })).toMatch(/^This filling has flown 20000 ps/);
    run.act({ kind: 'refill' });
    expect(run.act({ kind: 'run', ps: RUN_PS.most })).toBeUndefined();
  });

  it('lets students find what both have in common and what they do not, as surely as they say', async () => {
    const runs = [];
    for (let index = 0; index < students(100, 20); index++) {
      const run = begun({ index, seed: `student ${index}` });
      await compareGases(run.hands);
      runs.push(run);
    }
    for (const quantity of ['energyRatio', 'speedRatio', 'molarMass', 'leakRatio'])
      expectAsSure(
        runs.map((run) => foundOf(run.bench(), quantity)),
        quantity,
        0.9,
      );
    expectShare(
      runs,
      (run) => (run.leftOpen()['name'] ?? []).includes(String(run.bench().truths()['name'])),
      0.9,
      'named',
    );
    expect(runs.every((run) => run.view().steps.every(({ done }) => done))).toBe(true);
  });
});
