import { gasOf } from '../../databook/gases';
import { namesLeftOpen } from '../look-alikes';
import { familyOf } from '../family-of';
import { OWN_ACTS, type OwnAct } from './acts';
import { advance, begin, kept, keptBench, running, type Bench } from './bench';
import { SLOTS, type Plan } from './plan';
import { asksOf, briefOf, quantitiesOf, slipsOf, tablesOf, truthsOf } from './report';
import { resultsOf, rowsOf, type Row } from './rows';
import { draw, sampleSchema, setupSchema, type Sample, type Setup } from './sample';
import { filmOf } from './film';
import { methodOf } from './method';
import { uncertaintiesOf } from './uncertainty';
import { movingOf, viewOf, type Moving, type View } from './view';

const METHOD = methodOf();
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
export const lightAndHeavy = familyOf<Sample, Bench, OwnAct, View, Moving, Plan, Row>({
  subject: 'particles',
  book: 'gases',
  movesInBrowser: true,
  sampleSchema,
  ...OWN_ACTS,
  begin,
  advance,
  running,
  method: () => METHOD,
  view: viewOf,
  frame: movingOf,
  slots: SLOTS,
  calls: 'short',
  rowsOf,
  accounts: (bench) => ({ zJ: bench.energyZJ - bench.exchangedZJ - bench.beganZJ }),
  secrets: (sample) => ({ words: ['gPerMol', 'radiusNm'], numbers: [gasOf(sample.gasId).molarMassGPerMol] }),
  keep: kept,
  keptBench,
  film: filmOf,
})<Setup>({
  id: 'light-and-heavy',
  title: 'Light and heavy particles',
  summary:
    'Helium and another gas fly in one vessel: what they have in common, which is faster, which leaks sooner, and what it is.',
  setup: setupSchema,
  room: () => 150,
  draw,
  plan: planOf,
  brief: briefOf,
  tables: tablesOf,
  quantities: quantitiesOf,
  truths: (_, sample) => truthsOf(sample),
  asks: asksOf,
  results: (_, __, rows) => resultsOf(rows),
  uncertainties: (setup, _, rows) => uncertaintiesOf(planOf(setup), rows),
  hints: (_, rows) =>
    Object.fromEntries(
      Object.keys(resultsOf(rows)).map((key) => [
        key,
        'There are few particles: record longer stretches, and more of them.',
      ]),
    ),
  leftOpen: ({ gases }, _, { results: { molarMass }, uncertainties }) => {
    const found = { name: '', look: 'a gas', values: (molarMass ? { molarMass } : {}) as Record<string, number> };
    const near = () => 2 * (uncertainties['molarMass'] ?? 0);
    return { name: namesLeftOpen([...new Set(gases)].map(likeness), found, near) };
  },
  slips: (_, __, rows) => slipsOf(rows),
  truth: (_, { gasId }) => [
    { label: 'The other gas', text: `${gasOf(gasId).name}, ${gasOf(gasId).molarMassGPerMol} g/mol` },
  ],
  needs: ['molarMass'],
  symbols: SYMBOLS,
  nothingYet: 'There is nothing to compare yet: let them fly, and record the speeds of both gases.',
});
