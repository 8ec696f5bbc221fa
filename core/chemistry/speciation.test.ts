import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compositionOf } from './formula';
import { BOUND, COMPONENTS, SOLIDS_THAT_FALL, systemOf, type ComponentId } from '../databook/precipitates';
import { speciation } from './speciation';

/** Mixtures of salts in water: against published solubilities, and against what equilibrium means. */

type Totals = Partial<Record<ComponentId, number>>;

/** A mixture by what was dissolved in a litre, mol. */
function mixed(totals: Totals, ids: ComponentId[] = [], activities = true) {
  const made = systemOf([...new Set([...(Object.keys(totals) as ComponentId[]), ...ids])]);
  const found = speciation(
    made.system,
    made.order.map((id) => totals[id] ?? 0),
    activities,
  );
  const of = (formula: string) => found.molar[made.formulas.indexOf(formula)] ?? NaN;
  const fallen = (id: string) => found.solid[made.falling.findIndex((one) => one.id === id)] ?? NaN;
  return { ...found, made, of, fallen, pH: -Math.log10(of('H^+')) };
}

/** How much of a salt dissolves, mol/L: of more than dissolves, what does not lie there. */
const dissolves = (totals: Totals, id: string, much: number, activities = true) =>
  much - mixed(totals, [], activities).fallen(id);

describe('what falls and what stays', () => {
  // Solubilities in water at 25 °C, mol/L: CRC Handbook, 97th ed., section 5 (from g in 100 g of water), and Ramette for silver chloride.
  it.each([
    ['silver-chloride', { Ag: 1, Cl: 1 }, 1.33e-5, 0.05],
    ['barium-sulfate', { Ba: 1, SO4: 1 }, 1.05e-5, 0.1],
    ['calcium-sulfate-2', { Ca: 1, SO4: 1 }, 0.0153, 0.05],
    ['lead-chloride', { Pb: 1, Cl: 2 }, 0.0388, 0.08],
    ['strontium-sulfate', { Sr: 1, SO4: 1 }, 7.3e-4, 0.15],
    ['silver-chromate', { Ag: 2, CrO4: 1 }, 6.6e-5, 0.15],
  ] as const)('%s dissolves as tabulated', (id, of, molPerL, part) => {
    const totals = Object.fromEntries(Object.entries(of).map(([key, n]) => [key, n])) as Totals;
    expect(Math.abs(dissolves(totals, id, 1) / molPerL - 1)).toBeLessThan(part);
  });

  it('falls the more the more of one of its ions is there, until that dissolves it again', () => {
    const silver = (chloride: number) =>
      dissolves({ Ag: 0.001, Cl: 0.001 + chloride, Na: chloride }, 'silver-chloride', 0.001);
    // Least where the common ion has taken over and its complexes have not: some 4·10⁻⁷ mol/L near 3·10⁻³ mol/L of chloride.
    const [none, least, much] = [silver(0), silver(0.003), silver(1)];
    expect(least).toBeLessThan(none / 20);
    expect(least).toBeGreaterThan(2e-7);
    expect(much).toBeGreaterThan(20 * least);
    // The product alone, where nothing else binds: s (s + c) = K, ideal.
    const barium = dissolves({ Ba: 1, SO4: 1.01, Na: 0.02 }, 'barium-sulfate', 1, false);
    const pairs = 10 ** (2.13 - 9.98);
    expect((barium - pairs) * (barium - pairs + 0.01)).toBeCloseTo(10 ** -9.98, 13);
  });

  it('silver chloride dissolves in ammonia as books say, and comes back with acid', () => {
    // K = Ksp β₂ = 10^−2.53: in 1 mol/L of ammonia some 0.05 mol/L.
    const inAmmonia = dissolves({ Ag: 0.2, Cl: 0.2, NH3: 1 }, 'silver-chloride', 0.2, false);
    const k = 10 ** (-9.75 + 7.22);
    expect(Math.abs(inAmmonia / (Math.sqrt(k) / (1 + 2 * Math.sqrt(k))) - 1)).toBeLessThan(0.05);
    const again = mixed({ Ag: 0.03, Cl: 0.03, NH3: 1, H: 1.1, NO3: 1.1 });
    expect(again.fallen('silver-chloride')).toBeGreaterThan(0.0299);
  });

  it('barium carbonate dissolves in acid and barium sulfate does not', () => {
    const acid = { H: 0.5, Cl: 0.5 };
    expect(mixed({ Ba: 0.01, CO3: 0.01, ...acid }).fallen('barium-carbonate')).toBe(0);
    expect(mixed({ Ba: 0.01, SO4: 0.01, ...acid }).fallen('barium-sulfate')).toBeGreaterThan(0.0098);
  });

  it('aluminium and zinc hydroxide fall and dissolve again in excess of base, each least soluble where books say', () => {
    const at = (metal: 'Al' | 'Zn', id: string, base: number) =>
      mixed({ [metal]: 0.01, NO3: 0.03, Na: base, H: -base } as Totals).fallen(id);
    for (const [metal, id, takes] of [
      ['Al', 'aluminium-hydroxide', 0.03],
      ['Zn', 'zinc-hydroxide', 0.02],
    ] as const) {
      expect(at(metal, id, 0.2 * takes)).toBeLessThan(0.004);
      expect(at(metal, id, takes)).toBeGreaterThan(0.0095);
    }
    expect(at('Al', 'aluminium-hydroxide', 0.2)).toBe(0);
    expect(at('Zn', 'zinc-hydroxide', 1)).toBe(0);
    // Magnesium hydroxide does not come back.
    expect(mixed({ Mg: 0.01, NO3: 0.02, Na: 1, H: -1 }).fallen('magnesium-hydroxide')).toBeGreaterThan(0.0099);
    const leastAt = [5, 5.5, 6, 6.5, 7, 7.5, 8].reduce((best, pH) => {
      const left = (value: number) => {
        const made = systemOf(['Al']);
        // Held at a pH: what is dissolved is the sum of its species there.
        const x = [-value, 10.8 - 3 * value];
        return made.system.species
          .slice(1)
          .reduce(
            (sum, { makeup, logK }) =>
              makeup[1] ? sum + 10 ** (logK + (makeup[0] ?? 0) * (x[0] ?? 0) + (x[1] ?? 0)) : sum,
            0,
          );
      };
      return left(pH) < left(best) ? pH : best;
    });
    expect(leastAt).toBeGreaterThanOrEqual(6);
    expect(leastAt).toBeLessThanOrEqual(6.5);
  });

  it('falls one after the other: iodide before bromide before chloride, each nearly all before the next', () => {
    const halides = { Cl: 0.01, Br: 0.01, I: 0.01, Na: 0.03 };
    const at = (Ag: number) => mixed({ ...halides, Ag, NO3: Ag });
    expect(at(0.009).fallen('silver-iodide')).toBeCloseTo(0.009, 5);
    expect(at(0.009).fallen('silver-bromide')).toBe(0);
    expect(at(0.019).fallen('silver-bromide')).toBeCloseTo(0.009, 4);
    expect(at(0.019).fallen('silver-chloride')).toBeLessThan(3e-4);
    expect(at(0.03).fallen('silver-chloride')).toBeCloseTo(0.01, 4);
  });
});

/**
 * The same equilibrium by another way, slow and sure, in ideal solution: what dissolves makes a convex function least, and each solid is a wall that
 * it may not cross. The wall is a barrier that is made lower and lower; how hard it is pressed against is how much of the solid lies there.
 */
function slowly({ system }: ReturnType<typeof systemOf>, totals: readonly number[]): { solid: number[] } {
  const n = system.components;
  // Begin where no wall is crossed: of protons neither many nor few, of all else little.
  const x = totals.map((_, j): number => (j === 0 ? -16 : -25));
  const dot = (makeup: readonly number[], at: readonly number[]) =>
    makeup.reduce((sum, m, j) => sum + m * (at[j] ?? 0), 0);
  const walls = system.solids.map(({ makeup, logKsp }) => ({ makeup, at: logKsp * Math.LN10 }));
  const value = (at: readonly number[], barrier: number) => {
    let sum = 0;
    for (const { makeup, logK } of system.species) sum += Math.exp(Math.min(logK * Math.LN10 + dot(makeup, at), 40));
    for (let j = 0; j < n; j++) sum -= (totals[j] ?? 0) * (at[j] ?? 0);
    for (const wall of walls) {
      const room = wall.at - dot(wall.makeup, at);
      if (room <= 0) return Infinity;
      sum -= barrier * Math.log(room);
    }
    return sum;
  };
  let barrier = 1e-5;
  for (; barrier > 1e-7; barrier *= 0.4) {
    for (let step = 0; step < 200; step++) {
      const slope = totals.map((total) => -total);
      const bend = Array.from({ length: n }, () => new Array<number>(n).fill(0));
      const add = (makeup: readonly number[], first: number, second: number) => {
        for (let j = 0; j < n; j++) {
          if (!makeup[j]) continue;
          slope[j] = (slope[j] ?? 0) + (makeup[j] ?? 0) * first;
          for (let k = 0; k < n; k++) {
            const row = bend[j] as number[];
            row[k] = (row[k] ?? 0) + (makeup[j] ?? 0) * (makeup[k] ?? 0) * second;
          }
        }
      };
      for (const { makeup, logK } of system.species) {
        const molar = Math.exp(Math.min(logK * Math.LN10 + dot(makeup, x), 40));
        add(makeup, molar, molar);
      }
      for (const wall of walls) {
        const room = wall.at - dot(wall.makeup, x);
        add(wall.makeup, barrier / room, barrier / room ** 2);
      }
      // Gauss and Jordan, plainly.
      const rows = bend.map((row, j) => [...row.map((one, k) => one + (j === k ? 1e-18 : 0)), -(slope[j] ?? 0)]);
      for (let i = 0; i < n; i++) {
        const best = rows
          .slice(i)
          .reduce((at, row, k) => (Math.abs(row[i] ?? 0) > Math.abs(rows[at]?.[i] ?? 0) ? i + k : at), i);
        [rows[i], rows[best]] = [rows[best] as number[], rows[i] as number[]];
        const row = rows[i] as number[];
        for (let r = 0; r < n; r++) {
          if (r === i) continue;
          const other = rows[r] as number[];
          const factor = (other[i] ?? 0) / (row[i] ?? 1);
          for (let c = i; c <= n; c++) other[c] = (other[c] ?? 0) - factor * (row[c] ?? 0);
        }
      }
      const move = rows.map((row, i) => (row[n] ?? 0) / (row[i] ?? 1));
      const here = value(x, barrier);
      const falls = move.reduce((sum, one, j) => sum + one * (slope[j] ?? 0), 0);
      const longest = Math.max(...move.map(Math.abs));
      if (longest < 1e-11) break;
      let part = Math.min(1, 4 / longest);
      const at = (share: number) => x.map((one, j) => one + share * (move[j] ?? 0));
      // So near that numbers no longer tell whether it fell, Newton's own step is taken, as long as it crosses no wall.
      const isNear = -falls < 1e-2 * barrier;
      const isGood = (share: number) => {
        const there = value(at(share), barrier);
        return isNear ? there < Infinity : there <= here + 1e-4 * share * falls;
      };
      while (part > 1e-12 && !isGood(part)) part /= 2;
      if (part <= 1e-12) break;
      at(part).forEach((one, j) => (x[j] = one));
    }
  }
  const last = barrier / 0.4;
  return { solid: walls.map((wall) => last / (wall.at - dot(wall.makeup, x))) };
}

/** Where a solid is about to fall the barrier lets the square root of its height times an amount lie there: 10⁻⁷ by a few thousandths. */
const NEARLY_FALLS = 3e-5;

describe('any mixture', () => {
  it('comes out as by a second, slower method: as much of each solid', () => {
    const ids = ['Ag', 'Ba', 'Ca', 'Zn', 'Cl', 'CrO4', 'SO4', 'CO3', 'NH3'] as const;
    const amount = fc.double({ min: 0.001, max: 0.1, noNaN: true });
    fc.assert(
      fc.property(
        fc.subarray([...ids], { minLength: 2, maxLength: 5 }),
        fc.array(amount, { minLength: 5, maxLength: 5 }),
        fc.double({ min: -0.1, max: 0.1, noNaN: true }),
        (chosen, amounts, H) => {
          const made = systemOf(chosen);
          const totals = made.order.map((id) =>
            id === 'H' ? H : (amounts[chosen.indexOf(id as (typeof ids)[number])] ?? 0),
          );
          const fast = speciation(made.system, totals, false);
          slowly(made, totals).solid.forEach((much, k) =>
            expect(Math.abs(much - (fast.solid[k] ?? 0))).toBeLessThan(NEARLY_FALLS),
          );
        },
      ),
      { numRuns: 100 },
    );
  });

  const metals = ['Ag', 'Pb', 'Ba', 'Sr', 'Ca', 'Mg', 'Zn', 'Cu', 'Al', 'Fe', 'Fe2', 'Cr', 'Mn'] as const;
  const others = ['Cl', 'Br', 'I', 'SCN', 'CrO4', 'SO4', 'CO3', 'C2O4', 'NH3'] as const;
  const amount = fc.double({ min: 1e-6, max: 0.3, noNaN: true });
  const some = <T extends ComponentId>(ids: readonly T[]) =>
    fc
      .subarray([...ids], { minLength: 0, maxLength: 4 })
      .chain((chosen) =>
        fc
          .tuple(...chosen.map(() => amount))
          .map((amounts) => Object.fromEntries(chosen.map((id, i) => [id, amounts[i]]))),
      );

  it('is at equilibrium: each mass is met, what lies there is saturated, and what does not lie there is not beyond it', () => {
    fc.assert(
      fc.property(some(metals), some(others), fc.double({ min: -0.3, max: 0.3, noNaN: true }), (cations, anions, H) => {
        const totals = { ...cations, ...anions, H } as Totals;
        const found = mixed(totals, ['Na']);
        const { system, order } = found.made;
        order.forEach((id, j) => {
          const sum =
            system.species.reduce((all, { makeup }, i) => all + (makeup[j] ?? 0) * (found.molar[i] ?? 0), 0) +
            system.solids.reduce((all, { makeup }, k) => all + (makeup[j] ?? 0) * (found.solid[k] ?? 0), 0);
          expect(Math.abs(sum - (totals[id] ?? 0))).toBeLessThan(1e-9);
        });
        found.saturation.forEach((over, k) => {
          expect(found.solid[k]).toBeGreaterThanOrEqual(0);
          if ((found.solid[k] ?? 0) > 0) expect(Math.abs(over)).toBeLessThan(1e-7);
          else expect(over).toBeLessThan(1e-7);
        });
      }),
      { numRuns: 150 },
    );
  });

  it('has constants whose species and solids are made of what they are called, charge and all', () => {
    const atoms = (formula: string) => compositionOf(formula);
    for (const { formula, of } of [...BOUND, ...SOLIDS_THAT_FALL]) {
      const sum: Record<string, number> = {};
      let charge = 0;
      for (const [id, n] of Object.entries(of)) {
        const one = COMPONENTS.find((entry) => entry.id === id);
        const made = atoms(one?.formula ?? '');
        charge += (made.charge ?? 0) * n;
        for (const [symbol, count] of Object.entries(made.atoms)) sum[symbol] = (sum[symbol] ?? 0) + count * n;
      }
      const own = atoms(formula);
      expect(charge, formula).toBe(own.charge);
      // Protons that were taken away left the oxygen of water: of a hydroxide hydrogen and oxygen differ by whole waters.
      for (const [symbol, count] of Object.entries(own.atoms))
        if (symbol !== 'H' && symbol !== 'O') expect(sum[symbol], formula).toBe(count);
      const waters = ((own.atoms['O'] ?? 0) - (sum['O'] ?? 0)) * 2;
      expect((own.atoms['H'] ?? 0) - (sum['H'] ?? 0), formula).toBe(waters);
    }
  });
});
