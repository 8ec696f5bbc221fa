import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FairLine } from './fair-line';

/** A line, and who has begun in it, in order. */
function trying(rules: Partial<ConstructorParameters<typeof FairLine>[0]> = {}) {
  const begun: string[] = [];
  const line = new FairLine({ atOnce: 2, waitingAtMost: 1000, waitingOfOne: () => 100, ...rules });
  const enter = (share: string, name: string) => line.enter(share, () => void begun.push(name));
  return { begun, line, enter };
}

describe('a fair line', () => {
  it('serves one who comes behind three hundred of another as soon as a place is free', () => {
    const { begun, line, enter } = trying({ waitingOfOne: () => 300 });
    for (let i = 0; i < 300; i++) enter('greedy', `g${i}`);
    // One of theirs at a time: the other place is free for whoever comes.
    expect(begun).toEqual(['g0']);
    enter('a', 'a0');
    expect(begun).toEqual(['g0', 'a0']);
    enter('b', 'b0');
    enter('c', 'c0');
    line.leave('a');
    expect(begun).toEqual(['g0', 'a0', 'b0']);
    // In turn: one more of the greedy one's, who has waited longer, and then whoever came after.
    line.leave('greedy');
    line.leave('b');
    expect(begun).toEqual(['g0', 'a0', 'b0', 'g1', 'c0']);
  });

  it('lets each give way by itself: those who have waited long enough begin together', () => {
    const begun: string[] = [];
    let enough = Infinity;
    const line = new FairLine({ atOnce: 2, waitingAtMost: 9, waitingOfOne: () => 9 }, (waitedMs) => waitedMs >= enough);
    for (const share of ['a', 'b', 'c']) line.enter(share, () => void begun.push(share));
    expect(begun).toEqual([]);
    enough = 0;
    line.serve();
    expect(begun).toEqual(['a', 'b']);
  });

  it('has room for so many of one share and in all, and no more', () => {
    const { enter } = trying({ atOnce: 1, waitingAtMost: 5, waitingOfOne: (share) => (share === 'school' ? 4 : 2) });
    expect([1, 2, 3, 4].map(() => enter('a', 'a'))).toEqual([true, true, true, false]);
    expect([1, 2, 3, 4].map(() => enter('school', 's'))).toEqual([true, true, true, false]);
    expect(enter('b', 'b')).toBe(false);
  });

  it('serves everybody once, never two of one share at once, never more than there are places, whoever comes and goes', () => {
    const moves = fc.array(fc.tuple(fc.constantFrom('a', 'b', 'c', 'd'), fc.boolean()), { maxLength: 80 });
    fc.assert(
      fc.property(moves, fc.integer({ min: 1, max: 3 }), (all, atOnce) => {
        const line = new FairLine({ atOnce, waitingAtMost: 1000, waitingOfOne: () => 1000 });
        const served: string[] = [];
        let [entered, finished] = [0, 0];
        const leave = () => {
          const share = served.shift();
          if (share === undefined) return;
          finished++;
          line.leave(share);
        };
        for (const [share, goes] of all) {
          entered++;
          line.enter(share, () => {
            expect(served).not.toContain(share);
            served.push(share);
          });
          expect(served.length).toBeLessThanOrEqual(atOnce);
          if (goes) leave();
        }
        while (served.length > 0) leave();
        expect([finished, line.isEmpty]).toEqual([entered, true]);
      }),
    );
  });
});
