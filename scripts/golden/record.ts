import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { chance } from '@core/random';
import {
  bringToMark,
  byDensityBottle,
  displace,
  measureSolid,
  readThermometer,
  type Hands,
} from '@core/practicals/measuring/practised-student';
import { freezePure, freezeSamples, freezeSolution } from '@core/practicals/heat/freezing/student';
import { burnLamp, burnPellet } from '@core/practicals/heat/burning/student';
import {
  carryMetal,
  dissolveSalt,
  mixPortions,
  neutralise,
  runInBase,
  type Hands as HeatHands,
} from '@core/practicals/heat/practised-student';
import type { Plan as SolutionPlan } from '@core/practicals/solutions/plan';
import { mixSeries, nameBottles, type Hands as MixHands } from '@core/practicals/solutions/practised-student';
import { growCarbonate, taskVolumes, weighSolid } from '@core/practicals/solutions/practised-student';
import type { SolutionsId } from '@core/practicals/solutions/testing';
import type { Plan as GasPlan } from '@core/practicals/gases/plan';
import { workWithGas, type Hands as GasHands } from '@core/practicals/gases/practised-student';
import { compareGases, type Hands as SphereHands } from '@core/practicals/spheres/practised-student';
import {
  countImpacts,
  findLaw,
  growNumber,
  type Hands as CylinderHands,
} from '@core/practicals/cylinder/practised-student';
import type { Plan as HydratePlan } from '@core/practicals/hydrates/plan';
import { dryOut, type Hands as HydrateHands } from '@core/practicals/hydrates/practised-student';
import type { Plan as HeatPlan } from '@core/practicals/heat/plan';
import type { Plan as MeasuringPlan } from '@core/practicals/measuring/plan';
import type { Plan as TitrationPlan } from '@core/practicals/titration/plan';
import { logCurve, workThrough, type Habits, type Perform } from '@core/practicals/titration/practised-student';
import type { OpenPractical } from '@core/practicals/live-bench';
import { PRACTICALS, type AnyBench, type PracticalId } from '@core/practicals/registry';
import fc from 'fast-check';
import { actsOf } from '@core/practicals/testing';
import { digestsOf, goldenSchema, type Golden } from './logs';

/** Records the golden logs anew: to be run when a practical's model was raised, and only then. */

const folder = new URL('logs/', import.meta.url);
const SEED = 'golden';

/** A bench that writes down what is done at it. Whatever is refused is written down too. */
function recorder(id: PracticalId, setup: unknown) {
  const practical = PRACTICALS[id];
  const acts: Golden['acts'] = [];
  let bench: AnyBench = practical.open(setup, practical.sample(setup, SEED, 0), SEED);
  const act = (next: unknown, afterS = 0) => {
    acts.push([afterS, next]);
    bench = bench.advance(afterS);
    const read = practical.readAct(next);
    const outcome = read ? bench.perform(read) : { refusal: '' };
    if (!('refusal' in outcome)) bench = outcome.bench;
  };
  return { acts, act, view: () => bench.view() };
}

const HABITS: Habits = {
  indicator: 'phenolphthalein',
  trials: 2,
  readingErrorMl: 0.01,
  lateDrops: 1,
  grams: 0.3,
};

function titrated(id: PracticalId, settings: object, curve = false) {
  const setup = PRACTICALS[id].setup.parse(settings);
  const { acts, act, view } = recorder(id, setup);
  const perform = (async (next: unknown, afterS?: number) => {
    act(next, afterS);
    return view();
  }) as Perform;
  const plan = PRACTICALS[id].labels(setup) as TitrationPlan;
  const work = curve
    ? logCurve(perform, plan, HABITS, { everyMl: 0.5, toMl: 40, calibrated: true })
    : workThrough(perform, plan, HABITS, chance(SEED, id));
  return work.then(() => ({ id, setup, acts }));
}

function measured(id: PracticalId, work: (hands: Hands, plan: MeasuringPlan) => Promise<unknown>) {
  const setup = PRACTICALS[id].setup.parse({});
  const { acts, act, view } = recorder(id, setup);
  return work({ act, view } as Hands, PRACTICALS[id].labels(setup) as MeasuringPlan).then(() => ({
    id,
    setup,
    acts,
  }));
}

function heated(id: PracticalId, work: (hands: HeatHands, plan: HeatPlan) => Promise<unknown>) {
  const setup = PRACTICALS[id].setup.parse({});
  const { acts, act, view } = recorder(id, setup);
  return work({ act, view } as HeatHands, PRACTICALS[id].labels(setup) as HeatPlan).then(() => ({ id, setup, acts }));
}

function dried(id: 'water-in-hydrate' | 'which-hydrate' | 'part-of-hydrate') {
  const setup = PRACTICALS[id].setup.parse({});
  const { acts, act, view } = recorder(id, setup);
  return dryOut({ act, view } as HydrateHands, PRACTICALS[id].labels(setup) as HydratePlan).then(() => ({
    id,
    setup,
    acts,
  }));
}

function mixed(id: SolutionsId, work: (hands: MixHands, plan: SolutionPlan) => Promise<unknown>) {
  const setup = PRACTICALS[id].setup.parse({});
  const { acts, act, view } = recorder(id, setup);
  return work({ act, view } as MixHands, PRACTICALS[id].labels(setup) as SolutionPlan).then(() => ({
    id,
    setup,
    acts,
  }));
}

function enclosed(
  id: 'pressure-volume' | 'volume-temperature' | 'pressure-temperature' | 'vapour-molar-mass' | 'gas-over-water',
  work: (hands: GasHands, plan: GasPlan) => Promise<unknown>,
) {
  const setup = PRACTICALS[id].setup.parse({});
  const { acts, act, view } = recorder(id, setup);
  return work({ act, view } as GasHands, PRACTICALS[id].labels(setup) as GasPlan).then(() => ({ id, setup, acts }));
}

async function withTwoGases() {
  const setup = PRACTICALS['light-and-heavy'].setup.parse({});
  const { acts, act, view } = recorder('light-and-heavy', setup);
  await compareGases({ act, view } as SphereHands, 1);
  return { id: 'light-and-heavy' as const, setup, acts };
}

async function underPiston(
  id: 'one-law' | 'where-pressure-comes-from' | 'one-to-many',
  work: (hands: CylinderHands) => Promise<void>,
  chosen: object = {},
) {
  const setup = PRACTICALS[id].setup.parse(chosen);
  const { acts, act, view } = recorder(id, setup);
  await work({ act, view } as CylinderHands);
  return { id, setup, acts };
}

function withOneParticle() {
  const setup = PRACTICALS['one-particle'].setup.parse({});
  const { acts, act } = recorder('one-particle', setup);
  [
    { kind: 'putIn', kelvin: 250 },
    { kind: 'bring', kelvin: 500 },
    { kind: 'give', zJ: 3 },
    { kind: 'take', zJ: 9.5 },
  ].forEach((change, i) => {
    act(change, 12.5);
    for (const which of ['T', 'E', 'v']) act({ kind: 'record', trial: i + 1, which }, 4);
  });
  return { id: 'one-particle' as const, setup, acts };
}

const TITRATIONS = [
  'acid-concentration',
  'base-concentration',
  'polyprotic-acid',
  'percent-by-mass',
  'standardised-base',
  'unknown-acid',
  'back-titration',
  'unknown-in-burette',
] as const;

const practised = () =>
  Promise.all([
    ...TITRATIONS.map((id) => titrated(id, {})),
    titrated('acid-concentration', { probe: 'pH', carbonate: true }, true),
    measured('reading-a-scale', (hands) => bringToMark(hands, 4, 30)),
    measured('regular-solids', (hands, plan) => measureSolid(hands, plan, 1, 'calliper', 1)),
    measured('displacement', (hands) => displace(hands, { vessel: 1, lot: 1, row: 1, amounts: [3, 3, 3, 3, 3, 3] })),
    measured('liquid-density', async (hands, plan) => {
      await readThermometer(hands, 1);
      await byDensityBottle(hands, plan, { bottle: 6, from: 1, row: 1 });
    }),
    enclosed('pressure-volume', workWithGas),
    enclosed('volume-temperature', workWithGas),
    enclosed('pressure-temperature', workWithGas),
    enclosed('vapour-molar-mass', workWithGas),
    enclosed('gas-over-water', workWithGas),
    withOneParticle(),
    withTwoGases(),
    underPiston('one-law', (hands) => findLaw(hands, 'volume-number', 4), { law: 'volume-number' }),
    underPiston('where-pressure-comes-from', countImpacts),
    underPiston('one-to-many', (hands) => growNumber(hands, 60)),
    dried('water-in-hydrate'),
    dried('which-hydrate'),
    dried('part-of-hydrate'),
    mixed('which-react', (hands, plan) => mixSeries(hands, plan, { series: [2, 5, 8] })),
    mixed('which-bottle', nameBottles),
    mixed('solid-yield', (hands, plan) => weighSolid(hands, plan, taskVolumes(hands.view()))),
    mixed('solid-found', (hands, plan) => weighSolid(hands, plan, [20, 30], { digestsS: 300, washes: 2 })),
    mixed('runs-out', (hands) => growCarbonate(hands, [0.8, 1.6, 2.6])),
    heated('two-portions', (hands, plan) => mixPortions(hands, plan, 1, { coolMl: 80, warmMl: 90, warmC: 58 })),
    heated('metal-by-heat', (hands, plan) => carryMetal(hands, plan, 1)),
    heated('salt-by-heat', (hands, plan) => dissolveSalt(hands, plan, 1)),
    heated('acid-by-temperature', (hands, plan) => runInBase(hands, plan)),
    heated('acid-with-base', (hands, plan) => neutralise(hands, plan, 1)),
    heated('pellet-in-oxygen', (hands, plan) => burnPellet(hands, plan, 1, 'standard')),
    heated('freezing-point', (hands) => freezePure(hands, 1)),
    heated('molar-mass-by-freezing', (hands) => freezeSolution(hands, 53.09)),
    heated('mixture-melting', (hands) => freezeSamples(hands)),
    heated('lamp-fuels', (hands, plan) => burnLamp(hands, plan, 1, 1)),
  ]);
const wild = () =>
  Object.values(PRACTICALS).flatMap((practical) => {
    const setup = practical.setup.parse({});
    // Two hundred acts of every kind, most of them senseless: what is refused, and with which sentence, is behaviour too.
    const steps = fc.array(
      fc.tuple(
        fc.integer({ min: 0, max: 80 }).map((ticks) => ticks / 8),
        actsOf(practical, setup),
      ),
      { minLength: 200, maxLength: 200 },
    );
    return fc.sample(steps, { seed: 1, numRuns: 1 }).map((acts) => ({ id: practical.id as PracticalId, setup, acts }));
  });

/** A log as it stands in the folder: its acts a line each. */
function written(file: string, golden: Golden): void {
  const { acts, ...head } = golden;
  const lines = acts.map((act) => JSON.stringify(act)).join(',\n');
  writeFileSync(new URL(file, folder), `${JSON.stringify(head).slice(0, -1)},"acts":[\n${lines}\n]}\n`);
}
/** The log of these acts under the model of today. */
const goldenOf = (log: Omit<Golden, 'digests' | 'model'>): Golden => ({
  ...log,
  model: PRACTICALS[log.practical].model,
  digests: digestsOf(log),
});

/** A run by the method alone, where a practical has one. */
async function byMethod(id: PracticalId): Promise<Golden['acts'] | undefined> {
  const setup = PRACTICALS[id].setup.parse({});
  const { acts, act, view } = recorder(id, setup);
  const steps = (PRACTICALS[id] as unknown as OpenPractical<unknown, unknown, unknown>).method(setup);
  for (const { work } of steps) await work({ act, view });
  return steps.length > 0 ? acts : undefined;
}

/*
 * `npm run golden` records everything anew. `npm run golden -- same water-in-hydrate` keeps what was done in the logs of some practicals and writes
 * down what comes of it today; `-- method water-in-hydrate` adds a run by its method.
 */
const [how, ...ids] = process.argv.slice(2);
if (how === 'same') {
  const files = readdirSync(folder).filter((file) =>
    ids.some((id) => new RegExp(`^${id}-(\\d+|method)\\.json$`).test(file)),
  );
  for (const file of files) {
    const { acts, practical, setup, seed, index } = goldenSchema.parse(
      JSON.parse(readFileSync(new URL(file, folder), 'utf8')),
    );
    written(file, goldenOf({ practical, setup, seed, index, acts }));
  }
  console.log(`recorded ${files.length} logs of the same acts`);
} else if (how === 'method') {
  for (const id of ids as PracticalId[]) {
    const acts = await byMethod(id);
    if (acts)
      written(
        `${id}-method.json`,
        goldenOf({ practical: id, setup: PRACTICALS[id].setup.parse({}), seed: SEED, index: 0, acts }),
      );
  }
  console.log(`recorded ${ids.length} runs by the method`);
} else {
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder);
  const numbers = new Map<string, number>();
  for (const { id, setup, acts } of [...(await practised()), ...wild()]) {
    const number = (numbers.get(id) ?? 0) + 1;
    numbers.set(id, number);
    written(`${id}-${number}.json`, goldenOf({ practical: id, setup, seed: SEED, index: 0, acts }));
  }
  for (const id of Object.keys(PRACTICALS) as PracticalId[]) {
    const acts = await byMethod(id);
    if (acts)
      written(
        `${id}-method.json`,
        goldenOf({ practical: id, setup: PRACTICALS[id].setup.parse({}), seed: SEED, index: 0, acts }),
      );
  }
  console.log('recorded all logs');
}
