import { describe, expect, it } from 'vitest';
import { BENCH_REACTIONS } from '../../databook/bench-reactions';
import { benchSolutionOf } from '../../databook/bench-solutions';
import { compositionOf } from '../../chemistry/formula';
import { imbalance, readEquation } from '../../chemistry/chemical-equation';
import { mixed, settledIn, solutionFrom } from '../../chemistry/contents';
import { J_PER_ML_K } from './liquid-acts';
import { dropsOf, observed } from './look';
import type { Sample } from './sample';
import { unreactedMol } from './unreacted';

/** Reactions that are looked for: two react in the ratio that their equation says, and nothing else on the tray does anything. */

/** What comes of ten millilitres of each, as far as anything could be noticed. */
function happens([a, b]: [string, string], [molarA, molarB]: [number, number]): { isNothing: boolean; warmsK: number } {
  const [one, two] = [solutionFrom(a, molarA, 10), solutionFrom(b, molarB, 10)];
  const { contents, gasMol, passed, heatJ } = mixed(one, two);
  const isNothing =
    Object.keys(settledIn(contents).solids).length === 0 && gasMol === 0 && Object.keys(passed).length === 0;
  return { isNothing, warmsK: heatJ / (J_PER_ML_K * contents.volumeMl) };
}

describe.each(BENCH_REACTIONS)('$name', ({ id, equation, sides, others }) => {
  it('is balanced, with the counts of its solutions in it', () => {
    const read = readEquation(equation);
    if ('sentence' in read) throw new Error(read.sentence);
    expect(imbalance(read)).toBeNull();
    const countOf = (formula: string) => {
      const { atoms } = compositionOf(formula);
      const term = read.left.find((one) => JSON.stringify(one.composition.atoms) === JSON.stringify(atoms));
      return (term?.times ?? NaN) / (term?.over ?? 1);
    };
    const [one, two] = sides.map((side) => countOf(benchSolutionOf(side.id).formula)) as [number, number];
    expect(one / two).toBeCloseTo(sides[0].count / sides[1].count, 9);
  });

  it('leaves over what is too much, by its counts, whichever that is', () => {
    const sample = (bottles: Sample['bottles']): Sample => ({
      roomC: 20,
      bottles,
      reaction: id,
      task: null,
      weighed: null,
      jar: null,
    });
    for (const [firstPart, closely] of [
      [0.25, 0.02],
      [0.5, 0.02],
      [0.8, 0.02],
    ] as const) {
      const bottles = sides.map(({ id: solution, from, to }) => ({
        id: solution,
        molPerL: Math.sqrt(from * to),
        says: '',
      }));
      const ml = [10 * firstPart, 10 * (1 - firstPart)];
      const [one, two] = bottles.map((bottle, i) => solutionFrom(bottle.id, bottle.molPerL, ml[i] as number)) as [
        ReturnType<typeof solutionFrom>,
        ReturnType<typeof solutionFrom>,
      ];
      const { contents } = mixed(one, two);
      const brought = bottles.map(({ molPerL }, i) => (molPerL * (ml[i] as number)) / 1000);
      const left = unreactedMol(contents, brought, sample(bottles));
      const used = brought.map((mol, i) => (mol - (left[i] as number)) / (sides[i]?.count ?? NaN)) as [number, number];
      const least = Math.min(...brought.map((mol, i) => mol / (sides[i]?.count ?? NaN)));
      // Both are used in the ratio of their counts, and the scarcer of them all but wholly (lead iodide and silver oxalate stay dissolved a little).
      expect(Math.abs(used[0] / used[1] - 1)).toBeLessThan(closely);
      expect(used[0] / least).toBeGreaterThan(0.9);
      expect(used[0] / least).toBeLessThan(1.001);
    }
  });

  it('is the only one among what can stand with it', () => {
    const all = [...sides.map((side) => side.id), ...others];
    const molarOf = (one: string) => sides.find((side) => side.id === one)?.to ?? 0.2;
    all.forEach((a, i) =>
      all.slice(i + 1).forEach((b) => {
        const isPair = sides.some((side) => side.id === a) && sides.some((side) => side.id === b);
        const { isNothing, warmsK } = happens([a, b], [molarOf(a), molarOf(b)]);
        if (isPair) return expect(!isNothing || warmsK > 0.5, `${a} ${b}`).toBe(true);
        expect(isNothing, `${a} ${b}`).toBe(true);
        // Acid that sulfate takes protons of warms a little, as diluting it does: far less than the pair.
        expect(Math.abs(warmsK), `${a} ${b}`).toBeLessThan(id === 'iron-permanganate' ? 0.25 : 0.12);
        const { seen } = observed(dropsOf(a, molarOf(a), 4), dropsOf(b, molarOf(b), 4));
        expect(seen, `${a} ${b}`).toBe('nothing to be seen');
      }),
    );
  });
});
