import newton from 'newton-raphson-method';
import { DAVIES_LIMIT, equilibrium, type Conditions, type Mixture } from '@core/chemistry/equilibrium';
import { speciation } from '@core/chemistry/speciation';
import { systemOf } from '@core/databook/precipitates';
import { debyeHuckelA, pKw } from '@core/chemistry/water';

/** Constants of water, worked out once for both sides: what is compared is the solving. */
const PKW = pKw(25);
const DEBYE_A = debyeHuckelA(25);

/** Oxalic acid, 0.05 mol/L and 25 mL, with so many mL of 0.1 mol/L sodium hydroxide. */
function mixtureAt(baseMl: number): Mixture {
  const total = 25 + baseMl;
  const sodium = (0.1 * baseMl) / total;
  return {
    protolytes: [{ molar: (0.05 * 25) / total, charge: 0, pKas: [1.27, 4.266] }],
    spectatorCharge: sodium,
    spectatorStrength: sodium,
  };
}

const MIXTURES = Array.from({ length: 400 }, (_, i) => mixtureAt(0.1 * i));

interface Balance {
  /** ln of positive over negative charge: zero at the answer. */
  imbalance: number;
  ionicStrength: number;
}

/** The same charge balance as a chemist would write it down, as a function of pH and the ionic strength. */
function chargeBalance(mixture: Mixture, pH: number, strength: number, conditions: Conditions): Balance {
  const limited = Math.min(strength, DAVIES_LIMIT);
  const root = Math.sqrt(limited);
  const term = DEBYE_A * (root / (1 + root) - 0.3 * limited);
  const gamma = (z: number) => (conditions.activities ? 10 ** (-z * z * term) : 1);
  const h = 10 ** -pH / gamma(1);
  const oh = 10 ** (pH - PKW) / gamma(1);
  let positive = h + Math.max(mixture.spectatorCharge, 0);
  let negative = oh + Math.max(-mixture.spectatorCharge, 0);
  let twice = h + oh + mixture.spectatorStrength;
  for (const { molar, charge: z0, pKas } of mixture.protolytes) {
    const terms = [1];
    pKas.forEach((pKa, k) => {
      const z = z0 - k;
      terms.push((terms[k] as number) * 10 ** (pH - pKa) * (gamma(z) / gamma(z - 1)));
    });
    const sum = terms.reduce((a, b) => a + b, 0);
    terms.forEach((term, k) => {
      const charge = ((z0 - k) * molar * term) / sum;
      if (charge > 0) positive += charge;
      else negative -= charge;
      twice += ((z0 - k) ** 2 * molar * term) / sum;
    });
  }
  return { imbalance: Math.log(positive / negative), ionicStrength: twice / 2 };
}

/** A general root finder from the registry (newton-raphson-method) on that balance, in the form it converges on best. */
function general(mixture: Mixture, conditions: Conditions): number {
  let strength = 0;
  let pH = 7;
  for (let round = 0; round < 50; round++) {
    const f = (x: number) => chargeBalance(mixture, x, strength, conditions).imbalance;
    let root: number | false = false;
    for (const start of [pH, 3, 5, 9, 11, 1, 13]) {
      root = newton(f, start, { tolerance: 1e-9, maxIterations: 60 });
      if (root !== false && Math.abs(f(root)) < 1e-6) break;
    }
    pH = root === false ? NaN : root;
    if (!conditions.activities) return pH;
    const next = chargeBalance(mixture, pH, strength, conditions).ionicStrength;
    if (Math.abs(next - strength) < 1e-11) return pH;
    strength = next;
  }
  return pH;
}

function perSecond(solve: (mixture: Mixture) => number, forMs: number): number {
  for (const mixture of MIXTURES) solve(mixture);
  let count = 0;
  const start = performance.now();
  while (performance.now() - start < forMs) {
    for (const mixture of MIXTURES) solve(mixture);
    count += MIXTURES.length;
  }
  return (1000 * count) / (performance.now() - start);
}

export function benchSolver(): void {
  for (const activities of [false, true]) {
    const conditions = { tempC: 25, activities };
    const differences = MIXTURES.map((mixture) =>
      Math.abs(equilibrium(mixture, conditions).pH - general(mixture, conditions)),
    );
    const ours = perSecond((mixture) => equilibrium(mixture, conditions).pH, 1500);
    const theirs = perSecond((mixture) => general(mixture, conditions), 1500);
    const name = activities ? 'with activities' : 'ideal';
    console.log(`pH solves, two protons with strong base, ${name}: ${Math.round(ours).toLocaleString('en')} /s`);
    console.log(
      `  general root finder on the same balance: ${Math.round(theirs).toLocaleString('en')} /s; ratio ${(ours / theirs).toFixed(1)} (aim 10)`,
    );
    console.log(`  largest difference in pH between the two: ${Math.max(...differences).toExponential(1)}`);
  }
}

/** Eight solutes of many kinds together in water, with what falls of them, activity coefficients and all. */
export function benchMixture(): void {
  const amounts = {
    Ag: 0.01,
    Ba: 0.02,
    Cu: 0.015,
    Al: 0.01,
    Cl: 0.03,
    SO4: 0.02,
    CO3: 0.05,
    NH3: 0.1,
    Na: 0.1,
    NO3: 0.085,
  } as const;
  const { system, order } = systemOf(Object.keys(amounts) as (keyof typeof amounts)[]);
  const totals = order.map((id) => (id === 'H' ? -0.01 : (amounts[id as keyof typeof amounts] ?? 0)));
  const ROUNDS = 2000;
  speciation(system, totals);
  const start = performance.now();
  for (let i = 0; i < ROUNDS; i++)
    speciation(
      system,
      totals.map((total) => total * (1 + 1e-4 * (i % 50))),
    );
  const each = (performance.now() - start) / ROUNDS;
  console.log(
    `a mixture of eight solutes, ${system.species.length} species and ${system.solids.length} solids that can fall: ${each.toFixed(2)} ms (aim under 1)`,
  );
}
