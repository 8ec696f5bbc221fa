import { fixed, significant } from '../../analysis/quantity';
import { gasOf } from '../../databook/gases';
import { namesLeftOpen } from '../look-alikes';
import type { Practical } from '../contract';
import { recordedReadings } from '../recordings';
import { NAMES, OWN_ACTS, type OwnAct } from './acts';
import { advance, begin, kept, keptBench, running, type Bench } from './bench';
import { SLOTS, type Plan } from './plan';
import { asksOf, briefOf, quantitiesOf, slipsOf, tablesOf, truthsOf } from './report';
import { resultsOf, rowsOf } from './rows';
import { draw, sampleSchema, setupSchema, type Sample, type Setup } from './sample';
import { filmOf } from './film';
import { stepsOf } from './steps';
import { uncertaintiesOf } from './uncertainty';
import { movingOf, viewOf, type Moving, type View } from './view';

/** Raised when the same acts give another bench than before. */
const MODEL = 1;
const planOf = ({ edgeNm, count }: Setup): Plan => ({ family: 'spheres', edgeNm, count });
const likeness = (id: string) => ({
  name: gasOf(id).name,
  look: 'a gas',
  values: { molarMass: gasOf(id).molarMassGPerMol },
});

/** What a result is called where there is little room. */
const SYMBOLS: Readonly<Record<string, string>> = {
  energyRatio: 'E₂/E₁',
  speedRatio: 'v₁/v₂',
  molarMass: 'M / (g/mol)',
  leakRatio: 'leak',
};

/** Helium and another gas in one vessel: the same mean energy, other speeds; the light one leaks sooner. */
export const lightAndHeavy: Practical<Setup, Sample, Bench, OwnAct, View, Moving, Plan> = {
  id: 'light-and-heavy',
  title: 'Light and heavy particles',
  summary:
    'Helium and another gas fly in one vessel: what they have in common, which is faster, which leaks sooner, and what it is.',
  subject: 'particles',
  book: 'gases',
  model: MODEL,
  movesInBrowser: true,
  setup: setupSchema,
  sampleSchema,
  ...OWN_ACTS,
  labels: planOf,
  brief: briefOf,
  sampleRoom: () => 150,
  sample: draw,
  begin: (setup, sample, seed) => begin(planOf(setup), sample, seed),
  advance,
  running,
  view: viewOf,
  frame: movingOf,
  names: NAMES,
  record: (_, sample, bench) => ({
    readings: recordedReadings(bench.readings, (r) => ({
      label: `${SLOTS[r.which].short}, trial ${r.trial}`.replace(/^./, (c) => c.toUpperCase()),
      unit: SLOTS[r.which].unit,
      shown: fixed(r.shown, 4),
    })),
    results: Object.entries(resultsOf(rowsOf(bench))).map(
      ([key, value]) => `${SYMBOLS[key] ?? key} = ${significant(value, 4)}`,
    ),
    truth: [
      { label: 'The other gas', text: `${gasOf(sample.gasId).name}, ${gasOf(sample.gasId).molarMassGPerMol} g/mol` },
    ],
  }),
  steps: stepsOf,
  tables: tablesOf,
  asks: asksOf,
  quantities: quantitiesOf,
  truths: (_, sample) => truthsOf(sample),
  support: (_, __, bench) =>
    Object.fromEntries(
      Object.entries(uncertaintiesOf(bench.plan, rowsOf(bench))).map(([key, uncertainty]) => [
        key,
        { uncertainty, hint: 'There are few particles: record longer stretches, and more of them.' },
      ]),
    ),
  leftOpen: ({ gases }, _, bench) => {
    const { molarMass } = resultsOf(rowsOf(bench));
    const found = { name: '', look: 'a gas', values: (molarMass ? { molarMass } : {}) as Record<string, number> };
    const near = () => 2 * (uncertaintiesOf(bench.plan, rowsOf(bench))['molarMass'] ?? 0);
    return { name: namesLeftOpen([...new Set(gases)].map(likeness), found, near) };
  },
  unready: (_, __, bench) =>
    'molarMass' in resultsOf(rowsOf(bench))
      ? undefined
      : 'There is nothing to compare yet: let them fly, and record the speeds of both gases.',
  results: (_, __, bench) => resultsOf(rowsOf(bench)),
  slips: (_, __, bench) => slipsOf(rowsOf(bench)),
  causes: () => [],
  accounts: (bench) => ({ zJ: bench.energyZJ - bench.exchangedZJ - bench.beganZJ }),
  keep: kept,
  keptBench,
  film: filmOf,
  secrets: (_, sample, bench) => ({
    words: [bench.seed, 'gPerMol', 'radiusNm'],
    numbers: [gasOf(sample.gasId).molarMassGPerMol],
  }),
};
