import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aloneOf, DISSOLVING, dissolvingOf, FREEZING, freezingOf } from '../databook/freezing';
import { eutecticOf, freezesAtC, fusionJPerG, particlesMol, soluteFreezesC, solventFreezesC } from './freezing';
import { meltFreezesC, meltJ, NO_CRYSTALS, settled, type Melt } from './melt';

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
    const [all, half] = [meltFreezesC(one), meltFreezesC(one, { solventG: 10, soluteMol: 0 })];
    const molality = (g: number) => one.soluteMol / (g / one.solvent.molarMassGPerMol + one.soluteMol);
    const scaled = Math.log(1 - molality(10)) / Math.log(1 - molality(20));
    const inverse = (tempC: number) => 1 / (tempC + 273.15) - 1 / (one.solvent.freezesC + 273.15);
    expect(inverse(half) / inverse(all)).toBeCloseTo(scaled, 9);
  });

  it('is where its heat says: all molten, on its way, at the eutectic, or frozen, and no heat is lost', () => {
    const organic = DISSOLVING.filter(({ into }) => into === 'organic');
    fc.assert(
      fc.property(
        fc.constantFrom(...FREEZING.filter(({ kind }) => kind !== 'water')),
        fc.constantFrom(...organic),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        fc.double({ min: -9000, max: 3000, noNaN: true }),
        (solvent, solute, soluteMol, moreJ) => {
          fc.pre(solvent.id !== solute.id);
          const one = melt({ solvent, solute, soluteMol });
          const joules = meltJ(one, meltFreezesC(one), NO_CRYSTALS) + moreJ;
          const { tempC, frozen } = settled(one, joules);
          expect(meltJ(one, tempC, frozen)).toBeCloseTo(joules, 5);
          expect(frozen.solventG).toBeGreaterThanOrEqual(-1e-9);
          expect(frozen.solventG).toBeLessThanOrEqual(one.solventG + 1e-9);
          expect(frozen.soluteMol).toBeLessThanOrEqual(one.soluteMol + 1e-12);
          const isAll = frozen.solventG > 0.999999 * one.solventG;
          if (moreJ < 0 && !isAll) expect(Math.abs(tempC - meltFreezesC(one, frozen))).toBeLessThan(1e-5);
          // What holds less heat is never warmer, nor less of it frozen.
          const colder = settled(one, joules - 50);
          expect(colder.tempC).toBeLessThanOrEqual(tempC + 1e-9);
          expect(colder.frozen.solventG).toBeGreaterThanOrEqual(frozen.solventG - 1e-9);
        },
      ),
    );
  });

  it('stands at one temperature while a pure one freezes: by its heat of fusion', () => {
    const pure = melt({ solute: null, soluteMol: 0 });
    const at = meltJ(pure, pure.solvent.freezesC, NO_CRYSTALS);
    const { tempC, frozen } = settled(pure, at - 5 * fusionJPerG(pure.solvent));
    expect(tempC).toBe(pure.solvent.freezesC);
    expect(frozen.solventG).toBeCloseTo(5, 9);
  });
});

/** Eutectics of two that were measured, °C: with naphthalene, biphenyl, p-dichlorobenzene (International Critical Tables, vol. IV, 1928); with water: the data book. */
const EUTECTICS: [string, string, number][] = [
  ['naphthalene', 'biphenyl', 39.4], ['naphthalene', 'dichlorobenzene', 30.2], ['naphthalene', 'diphenylamine', 32.4],
  ['water', 'sodium-chloride', -21.1], ['water', 'sucrose', -13.9],
]; // prettier-ignore

describe('two that freeze together', () => {
  it.each(EUTECTICS)('%s with %s: where both have come out, within two degrees of a measured one', (a, b, measured) => {
    expect(Math.abs(eutecticOf(freezingOf(a), dissolvingOf(b)).tempC - measured)).toBeLessThan(2);
  });

  it('meet where both freeze: at the eutectic neither comes first', () => {
    for (const solvent of FREEZING.filter(({ kind }) => kind !== 'water'))
      for (const solute of DISSOLVING.filter(({ into, id }) => into === 'organic' && id !== solvent.id)) {
        const { tempC, molality } = eutecticOf(solvent, solute);
        expect(solventFreezesC(solvent, solute, molality)).toBeCloseTo(tempC, 6);
        expect(soluteFreezesC(solvent, solute, molality)).toBeCloseTo(tempC, 6);
        expect(tempC).toBeLessThan(solvent.freezesC);
      }
  });

  it('stand a second time where the rest freezes, whichever of them came first, and take both heats of fusion', () => {
    const [a, b] = [freezingOf('naphthalene'), freezingOf('biphenyl')];
    const solute = { id: 'biphenyl', splitsInto: 1, pairsKgPerMol: null, alone: aloneOf(b) };
    const { tempC, molality } = eutecticOf(a, solute);
    for (const soluteMol of [0.01, (molality * 20) / 1000, 0.3]) {
      const one: Melt = { solvent: a, solute, solventG: 20, soluteMol, restJPerK: 20 };
      const all = { solventG: 20, soluteMol };
      const lowest = meltJ(one, tempC, all);
      expect(settled(one, lowest - 1).tempC).toBeLessThan(tempC);
      expect(settled(one, lowest + 1).tempC).toBeCloseTo(tempC, 9);
      // All of it molten at one temperature, less all of it frozen there: the heats of fusion of the two.
      const latent = meltJ(one, a.freezesC, NO_CRYSTALS) - meltJ(one, a.freezesC, all);
      expect(latent / (20 * fusionJPerG(a) + 1000 * soluteMol * 18.57)).toBeCloseTo(1, 3);
    }
  });

  it('melt the same whichever of the two is taken for the solvent', () => {
    const [a, b] = [freezingOf('naphthalene'), freezingOf('biphenyl')];
    const melted = (x: typeof a, y: typeof a, g: number, h: number) =>
      meltFreezesC({
        solvent: x,
        solute: { id: y.id, splitsInto: 1, pairsKgPerMol: null, alone: aloneOf(y) },
        solventG: g,
        soluteMol: h / y.molarMassGPerMol,
        restJPerK: 10,
      });
    for (const part of [0.1, 0.3, 0.5, 0.8])
      expect(melted(a, b, 10 * part, 10 * (1 - part))).toBeCloseTo(melted(b, a, 10 * (1 - part), 10 * part), 6);
  });
});
