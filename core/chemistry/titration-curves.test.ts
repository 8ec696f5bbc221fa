import { describe, expect, it } from 'vitest';
import { soluteOf } from '../databook/solutes';
import { logGamma } from './equilibrium';
import { mix, settle, solutionOf } from './solution';
import { pKw } from './water';

/**
 * Titration curves of many pairs held against an account of their own: the charge balance of plain sums, solved by
 * halving, with the activity coefficients found by going round; and against textbook forms and published buffers.
 */

const KW = 10 ** -pKw(25);

/** Pairs as they are titrated: what is in the flask, with how many protons it gives (taken where below zero), and the titrant. */
const PAIRS: [flask: string, exchanged: number, titrant: string][] = [
  ['hydrochloric-acid', 1, 'sodium-hydroxide'],
  ['nitric-acid', 1, 'potassium-hydroxide'],
  ['sulfuric-acid', 2, 'sodium-hydroxide'],
  ['acetic-acid', 1, 'sodium-hydroxide'],
  ['formic-acid', 1, 'sodium-hydroxide'],
  ['lactic-acid', 1, 'potassium-hydroxide'],
  ['mandelic-acid', 1, 'sodium-hydroxide'],
  ['potassium-hydrogen-phthalate', 1, 'sodium-hydroxide'],
  ['oxalic-acid', 2, 'sodium-hydroxide'],
  ['maleic-acid', 2, 'sodium-hydroxide'],
  ['malonic-acid', 2, 'sodium-hydroxide'],
  ['phosphoric-acid', 2, 'sodium-hydroxide'],
  ['citric-acid', 3, 'sodium-hydroxide'],
  ['ammonia', -1, 'hydrochloric-acid'],
  ['tris', -1, 'hydrochloric-acid'],
  ['ethanolamine', -1, 'nitric-acid'],
  ['sodium-carbonate', -2, 'hydrochloric-acid'],
];

/** Equilibrium pH of two solutes at their concentrations, with no line in common with the solver. */
function plainPh(parts: readonly [id: string, molar: number][], activities: boolean): number {
  let strength = 0;
  let answer = 7;
  for (let round = 0; round < (activities ? 60 : 1); round++) {
    const log = (z: number) => (activities ? logGamma(z, strength, 25) : 0);
    const account = (pH: number) => {
      const h = 10 ** (-pH - log(1));
      const oh = KW / 10 ** -pH / 10 ** log(1);
      let charge = h - oh;
      let twice = h + oh;
      for (const [id, molar] of parts) {
        const { pKas, charge: top, spectators } = soluteOf(id);
        for (const ion of spectators) {
          charge += ion.charge * ion.count * molar;
          twice += ion.charge ** 2 * ion.count * molar;
        }
        if (pKas.length === 0) continue;
        // Concentrations of the forms, the one with all protons first: c(k)γ(k)·a(H) = K·c(k−1)γ(k−1).
        const logs = [0];
        pKas.forEach((pKa, k) => {
          logs.push((logs[k] as number) - pKa + pH + log(top - k) - log(top - k - 1));
        });
        const highest = Math.max(...logs);
        const weights = logs.map((value) => 10 ** (value - highest));
        const sum = weights.reduce((a, b) => a + b);
        weights.forEach((weight, k) => {
          charge += ((top - k) * molar * weight) / sum;
          twice += ((top - k) ** 2 * molar * weight) / sum;
        });
      }
      return { charge, twice };
    };
    let [low, high] = [-3, 17];
    for (let i = 0; i < 100; i++) {
      const middle = (low + high) / 2;
      if (account(middle).charge > 0) low = middle;
      else high = middle;
    }
    answer = (low + high) / 2;
    strength = account(answer).twice / 2;
  }
  return answer;
}

const C = 0.1;
const FLASK_ML = 25;
const titrantMl = (exchanged: number, fraction: number) => FLASK_ML * Math.abs(exchanged) * fraction;

describe.each(PAIRS)('%s, which exchanges %d, with %s', (flask, exchanged, titrant) => {
  const at = (fraction: number, activities: boolean) => {
    const ml = titrantMl(exchanged, fraction);
    return settle(mix(solutionOf(flask, C, FLASK_ML), solutionOf(titrant, C, ml)), {
      tempC: 25,
      activities,
    }).pH;
  };

  it.each([false, true])('follows the plain account all the way, activities %s', (activities) => {
    for (const fraction of [0, 0.05, 0.25, 0.5, 0.75, 0.95, 0.999, 1, 1.001, 1.05, 1.5]) {
      const ml = titrantMl(exchanged, fraction);
      const volume = FLASK_ML + ml;
      const parts: [string, number][] = [
        [flask, (C * FLASK_ML) / volume],
        [titrant, (C * ml) / volume],
      ];
      expect(at(fraction, activities)).toBeCloseTo(plainPh(parts, activities), 5);
    }
  });

  it('runs one way, and is steeper at its last equivalence point than a tenth before and after it', () => {
    const slope = (fraction: number) => Math.abs(at(fraction + 0.002, true) - at(fraction - 0.002, true)) / 0.004;
    for (let fraction = 0; fraction < 1.4; fraction += 0.02) {
      const step = at(fraction + 0.02, true) - at(fraction, true);
      expect(Math.sign(step)).toBe(Math.sign(exchanged));
    }
    expect(slope(1)).toBeGreaterThan(3 * slope(0.9));
    expect(slope(1)).toBeGreaterThan(2 * slope(1.1));
  });
});

describe('textbook forms, ideal', () => {
  const pHOf = (parts: [string, number, number][]) =>
    settle(parts.map(([id, c, v]) => solutionOf(id, c, v)).reduce(mix), { tempC: 25, activities: false }).pH;

  it.each(['acetic-acid', 'formic-acid', 'propanoic-acid', 'phenylacetic-acid', 'crotonic-acid', 'pivalic-acid'])(
    '%s is half neutralised at its pKa and ends where its anion holds it',
    (id) => {
      const pKa = soluteOf(id).pKas[0] as number;
      const [half, whole] = [12.5, 25].map((ml) =>
        pHOf([
          [id, C, 25],
          ['sodium-hydroxide', C, ml],
        ]),
      ) as [number, number];
      // Ka is small beside the concentrations: a hundredth of a unit at most.
      expect(Math.abs(half - pKa)).toBeLessThan(0.012);
      // pH = 7 + (pKa + log c)/2, of the anion at half the concentration; exactly, by x² + Kb x = Kb c + Kw.
      const kb = KW / 10 ** -pKa;
      const x = (-kb + Math.sqrt(kb * kb + 4 * (kb * (C / 2) + KW))) / 2;
      expect(whole).toBeCloseTo(pKw(25) + Math.log10(x), 3);
    },
  );

  it.each(['ammonia', 'tris', 'ethanolamine', 'methylamine'])('%s ends where its cation holds it', (id) => {
    const pKa = soluteOf(id).pKas[0] as number;
    const whole = pHOf([
      [id, C, 25],
      ['hydrochloric-acid', C, 25],
    ]);
    const ka = 10 ** -pKa;
    const x = (-ka + Math.sqrt(ka * ka + 4 * ka * (C / 2))) / 2;
    // Water's own share shows in the third decimal only where the cation is very weak.
    expect(Math.abs(whole + Math.log10(x))).toBeLessThan(0.01);
    expect(
      Math.abs(
        pHOf([
          [id, C, 25],
          ['hydrochloric-acid', C, 12.5],
        ]) - pKa,
      ),
    ).toBeLessThan(0.012);
  });

  it.each([
    ['phosphoric-acid', 4.7, 0.1],
    ['maleic-acid', 4.1, 0.1],
    ['sodium-carbonate', 8.34, 0.02],
  ])('%s passes its first equivalence point near the mean of its constants', (id, pH, within) => {
    const titrant = id === 'sodium-carbonate' ? 'hydrochloric-acid' : 'sodium-hydroxide';
    expect(
      Math.abs(
        pHOf([
          [id, C, 25],
          [titrant, C, 25],
        ]) - pH,
      ),
    ).toBeLessThan(within);
  });
});

/** Buffers are titrations stopped on the way: published pH at 25 °C, for mol/L of what was mixed. */
describe('published values, with activities', () => {
  it.each<[string, [string, number][], number, number]>([
    ['0.1 mol/L hydrochloric acid (Bates)', [['hydrochloric-acid', 0.1]], 1.094, 0.03],
    [
      'acetic acid and acetate, 0.1 and 0.1 (Bates)',
      [
        ['acetic-acid', 0.2],
        ['sodium-hydroxide', 0.1],
      ],
      4.652,
      0.03,
    ],
    [
      'acetic acid and acetate, 0.01 and 0.01 (Bates)',
      [
        ['acetic-acid', 0.02],
        ['sodium-hydroxide', 0.01],
      ],
      4.718,
      0.02,
    ],
    [
      'phosphate 0.025 and 0.025 (NIST)',
      [
        ['phosphoric-acid', 0.05],
        ['sodium-hydroxide', 0.075],
      ],
      6.865,
      0.03,
    ],
    [
      'hydrogencarbonate and carbonate 0.025 and 0.025 (NIST)',
      [
        ['sodium-hydrogencarbonate', 0.025],
        ['sodium-carbonate', 0.025],
      ],
      10.012,
      0.03,
    ],
    ['potassium hydrogen phthalate 0.05 (NIST)', [['potassium-hydrogen-phthalate', 0.05]], 4.005, 0.03],
    [
      'tris and its salt, 0.01667 and 0.05 (NIST)',
      [
        ['tris', 0.06667],
        ['hydrochloric-acid', 0.05],
      ],
      7.699,
      0.05,
    ],
    ['potassium hydrogen tartrate, saturated (NIST)', [['potassium-hydrogen-tartrate', 0.034]], 3.557, 0.03],
  ])('%s', (_name, parts, pH, within) => {
    const liquid = parts.map(([id, c]) => solutionOf(id, c, 1000)).reduce(mix);
    expect(Math.abs(settle({ ...liquid, volumeMl: 1000 }, { tempC: 25, activities: true }).pH - pH)).toBeLessThan(
      within,
    );
  });
});
