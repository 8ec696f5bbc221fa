import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DISSOLVING, dissolvingOf, FREEZING, freezingOf } from '../databook/freezing';
import { freezesAtC, fusionJPerG, meltFreezesC, meltJ, particlesMol, settled, type Melt } from './freezing';

/** Heats of fusion that were measured in a calorimeter, J/g: W. Acree, J. Chickos, J. Phys. Chem. Ref. Data 39 (2010) 043101. */
const MEASURED: [string, number, number][] = [
  ['water', 333.6, 0.01], ['cyclohexane', 31.8, 0.06], ['naphthalene', 148.6, 0.09], ['phenol', 122.3, 0.06], ['dichlorobenzene', 123.4, 0.07],
  ['benzophenone', 99.9, 0.07], ['diphenylamine', 105.6, 0.05], ['p-xylene', 161.2, 0.05], ['dioxane', 145.9, 0.05], ['acetic-acid', 195.3, 0.03],
]; // prettier-ignore

const melt = (of: Partial<Melt> = {}): Melt => ({
  solvent: freezingOf('cyclohexane'),
  solute: dissolvingOf('naphthalene'),
  solventG: 20,
  soluteMol: 0.004,
  restJPerK: 15,
  ...of,
});

describe('a melt that freezes', () => {
  it.each(MEASURED)(
    '%s has the heat of fusion that its cryoscopic constant tells, near a measured one',
    (id, measured, part) => {
      expect(Math.abs(fusionJPerG(freezingOf(id)) / measured - 1)).toBeLessThan(part);
    },
  );

  it.each(FREEZING)(
    '$name freezes lower by K_f times the molality of what is dissolved in it, for little of it',
    (solvent) => {
      const molality = 1e-4;
      const depression = solvent.freezesC - freezesAtC(solvent, 1000, molality);
      expect(depression / (solvent.kfKKgPerMol * molality)).toBeCloseTo(1, 3);
    },
  );

  it('freezes less low than that where much is dissolved, as the full equation has it', () => {
    // A tenth of the particles: ln 0.9 = −(ΔH/R)(1/T − 1/T₀).
    const water = freezingOf('water');
    const t = freezesAtC(water, 9 * water.molarMassGPerMol, 1);
    const perMol = fusionJPerG(water) * water.molarMassGPerMol;
    expect(Math.exp((-perMol / 8.314462618) * (1 / (t + 273.15) - 1 / 273.15))).toBeCloseTo(0.9, 9);
  });

  it('counts ions apart and pairs as one, as far as they go together', () => {
    const [water, apolar, polar] = ['water', 'cyclohexane', 'acetic-acid'].map(freezingOf) as [never, never, never];
    expect(particlesMol(dissolvingOf('calcium-chloride'), water, 0.1, 100)).toBeCloseTo(0.3, 12);
    const benzoic = dissolvingOf('benzoic-acid');
    expect(particlesMol(benzoic, polar, 0.1, 100)).toBe(0.1);
    // [D] = K [M]², b = [M] + 2 [D]: what is left of the particles lies between a half and all of them.
    const mol = 0.02;
    const particles = particlesMol(benzoic, apolar, mol, 100);
    const pairs = mol - particles;
    const single = mol - 2 * pairs;
    expect(pairs / 0.1 / (single / 0.1) ** 2).toBeCloseTo(60, 6);
    expect(particlesMol(benzoic, apolar, 1e-9, 100) / 1e-9).toBeCloseTo(1, 3);
    expect(particles).toBeGreaterThan(mol / 2);
    expect(DISSOLVING.filter(({ splitsInto }) => splitsInto > 1).length).toBeGreaterThanOrEqual(2);
  });

  it('loses its solvent to the crystals, so that what is left freezes ever lower', () => {
    const one = melt();
    // Half of it frozen: twice the molality.
    const [all, half] = [meltFreezesC(one, 0), meltFreezesC(one, 10)];
    const molality = (g: number) => one.soluteMol / (g / one.solvent.molarMassGPerMol + one.soluteMol);
    const scaled = Math.log(1 - molality(10)) / Math.log(1 - molality(20));
    const inverse = (tempC: number) => 1 / (tempC + 273.15) - 1 / (one.solvent.freezesC + 273.15);
    expect(inverse(half) / inverse(all)).toBeCloseTo(scaled, 9);
  });

  it('is where its heat says: all molten, on its way, or frozen, and no heat is lost', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FREEZING),
        fc.double({ min: 0, max: 0.02, noNaN: true }),
        fc.double({ min: -40, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 0.96, noNaN: true }),
        (solvent, soluteMol, overK, part) => {
          const one = melt({ solvent, solute: dissolvingOf('naphthalene'), soluteMol });
          const from = meltJ(one, meltFreezesC(one, part * one.solventG), part * one.solventG) + overK * 20;
          const { tempC, frozenG } = settled(one, from);
          expect(meltJ(one, tempC, frozenG)).toBeCloseTo(from, 6);
          expect(frozenG).toBeGreaterThanOrEqual(0);
          expect(frozenG).toBeLessThanOrEqual(one.solventG);
          if (frozenG > 0 && frozenG < 0.96 * one.solventG)
            expect(Math.abs(tempC - meltFreezesC(one, frozenG))).toBeLessThan(1e-6);
        },
      ),
    );
  });

  it('stands at one temperature while a pure one freezes: by its heat of fusion', () => {
    const pure = melt({ solute: null, soluteMol: 0 });
    const at = meltJ(pure, pure.solvent.freezesC, 0);
    const { tempC, frozenG } = settled(pure, at - 5 * fusionJPerG(pure.solvent));
    expect(tempC).toBe(pure.solvent.freezesC);
    expect(frozenG).toBeCloseTo(5, 9);
  });
});
