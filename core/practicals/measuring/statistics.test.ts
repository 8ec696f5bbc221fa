import { describe, expect, it } from 'vitest';
import { densityAt, LIQUIDS } from '../../databook/liquids';
import { MATERIALS } from '../../databook/materials';
import { fitLine } from '../../analysis/line-fit';
import { TOLERANCE_DEVIATION } from '../../random';
import { students } from '../careful-students';
import { MEASURINGS } from '.';
import { byDensityBottle, displace, measureSolid, readThermometer, type Hands, type Stated } from './practised-student';
import { advance } from './flow';
import type { Bench } from './bench';
import { viewOf } from './view';

/**
 * Runs of a student who does all right, for each material, a thousand in `npm run test:long`: the share that is named
 * rightly is what the tolerances of the instruments predict, and the true density lies inside the stated uncertainty as
 * often as it claims.
 */
const RUNS = students(1000, 120);
/** So much more a share wavers of fewer than were asked for first. */
const wavers = (all: number, few: number) => 3 * (Math.sqrt((0.954 * 0.046) / few) - Math.sqrt((0.954 * 0.046) / all));

/** Hands on a bench that is driven directly. */
function handsOn(start: Bench): Hands {
  let bench = start;
  return {
    act: (act, afterS = 0) => {
      const outcome = MEASURINGS.regular.perform(advance(bench, afterS), act);
      if ('refusal' in outcome) throw new Error(`${act.kind}: ${outcome.refusal}`);
      bench = outcome.bench;
    },
    view: () => viewOf(bench, []),
  };
}

/** Standard normal distribution (Abramowitz and Stegun 7.1.26, to 10⁻⁷). */
function phi(z: number): number {
  const t = 1 / (1 + (0.3275911 * Math.abs(z)) / Math.SQRT2);
  const erf =
    1 -
    t *
      (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
      Math.exp((-z * z) / 2);
  return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

/** How likely a density with this uncertainty is nearer to its own reference than to any other. */
function chanceOfName(truth: number, references: readonly number[], uncertainty: number): number {
  const above = Math.min(...references.filter((reference) => reference > truth));
  const below = Math.max(...references.filter((reference) => reference < truth));
  return phi((above - truth) / 2 / uncertainty) - phi((below - truth) / 2 / uncertainty);
}

interface Tally {
  named: number;
  predicted: number;
  variance: number;
  inside: number;
}

async function tally(
  referencesOf: (n: number) => readonly number[],
  truthOf: (n: number) => number,
  work: (n: number) => Promise<Stated>,
): Promise<Tally> {
  const sum: Tally = { named: 0, predicted: 0, variance: 0, inside: 0 };
  for (let n = 0; n < RUNS; n++) {
    const { density, uncertainty } = await work(n);
    const references = referencesOf(n);
    const own = truthOf(n);
    const nearest = references.reduce((a, b) => (Math.abs(b - density) < Math.abs(a - density) ? b : a));
    const p = chanceOfName(own, references, uncertainty);
    sum.named += nearest === own ? 1 : 0;
    sum.predicted += p;
    sum.variance += p * (1 - p);
    sum.inside += Math.abs(density - own) <= 2 * uncertainty ? 1 : 0;
  }
  return sum;
}

/** As predicted, but for four standard deviations of so many runs and what a sum of uniform errors differs from a normal one. */
function expectAsPredicted({ named, predicted, variance, inside }: Tally): void {
  expect(Math.abs(named - predicted) / RUNS).toBeLessThan((4 * Math.sqrt(variance)) / RUNS + 0.015);
  // Two standard uncertainties claim 95.4 %.
  expect(inside / RUNS).toBeGreaterThan(0.954 - 0.03 - wavers(1000, RUNS));
  expect(inside / RUNS).toBeLessThan(Math.min(0.954 + 0.03 + wavers(1000, RUNS), 1));
}

describe('rehearsed runs', { timeout: 60_000 }, () => {
  it.each(MATERIALS.map(({ id, densityGPerMl }) => [id, densityGPerMl] as const))(
    'name %s by mass and edges as often as the tolerances predict',
    async (id, truth) => {
      const practical = MEASURINGS.regular;
      const setup = practical.setup.parse({ solids: [id], readability: '0.01' });
      const plan = practical.labels(setup);
      const references = MATERIALS.map((material) => material.densityGPerMl);
      const result = await tally(
        () => references,
        () => truth,
        async (n) => {
          const sample = practical.sample(setup, id, n);
          return measureSolid(handsOn(practical.begin(setup, sample, `${id} ${n}`)), plan, 1, 'calliper', 1);
        },
      );
      expectAsPredicted(result);
    },
  );

  it.each(LIQUIDS.map((entry) => [entry.id, entry] as const))(
    'name %s by density bottle and thermometer as often as the tolerances predict',
    async (id, entry) => {
      const practical = MEASURINGS.liquids;
      const setup = practical.setup.parse({
        liquids: [id],
        vessels: ['density-bottle'],
        temperature: 'another for each student',
      });
      const plan = practical.labels(setup);
      const samples = Array.from({ length: RUNS }, (_, n) => practical.sample(setup, id, n));
      const at = (n: number) => samples[n]?.tempC ?? 20;
      const result = await tally(
        (n) => LIQUIDS.map((one) => densityAt(one, at(n))),
        (n) => densityAt(entry, at(n)),
        async (n) => {
          const hands = handsOn(practical.begin(setup, samples[n] as (typeof samples)[number], `${id} ${n}`));
          const read = await readThermometer(hands, 1);
          expect(Math.abs(read - at(n))).toBeLessThan(0.3);
          return byDensityBottle(hands, plan, { bottle: 2, from: 1, row: 1 });
        },
      );
      expectAsPredicted(result);
    },
  );
});

describe('displacement by growing amounts', { timeout: 60_000 }, () => {
  it.each(['aluminium', 'zinc', 'lead'])(
    'gives a slope for %s whose standard error holds the true density as often as it claims',
    async (id) => {
      const practical = MEASURINGS.displacement;
      const setup = practical.setup.parse({ solids: [id], form: 'small pieces' });
      const truth = MATERIALS.find((material) => material.id === id)?.densityGPerMl as number;
      let [inside, sum] = [0, 0];
      const runs = students(400, 100);
      for (let n = 0; n < runs; n++) {
        const sample = practical.sample(setup, id, n);
        const hands = handsOn(practical.begin(setup, sample, `${id} ${n}`));
        const points = await displace(hands, { vessel: 1, lot: 1, row: 1, amounts: [4, 4, 4, 4, 4, 4] });
        const fit = fitLine(points.map(({ volumeMl, massG }) => ({ x: volumeMl, y: massG })));
        if (!fit) throw new Error('no line');
        // The cylinder's own error is not in the scatter: it is stated beside it.
        const scale = (TOLERANCE_DEVIATION * 0.25) / 25;
        const uncertainty = Math.hypot(fit.slopeError ?? Infinity, fit.slope * scale);
        inside += Math.abs(fit.slope - truth) <= 2 * uncertainty ? 1 : 0;
        sum += fit.slope;
      }
      expect(Math.abs(sum / runs / truth - 1)).toBeLessThan(0.01);
      // Two standard uncertainties; four degrees of freedom and the ends of the scale's error make it a little less or more.
      expect(inside / runs).toBeGreaterThan(0.954 - 0.045 - wavers(400, runs));
      expect(inside / runs).toBeLessThan(Math.min(0.954 + 0.035 + wavers(400, runs), 1));
    },
  );
});
