import { fixed, significant } from '../../analysis/quantity';
import { gasOf } from '../../databook/gases';
import type { Practical } from '../contract';
import { recordedReadings } from '../recordings';
import { NAMES, OWN_ACTS, type OwnAct } from './acts';
import { advance, begin, running, stateOf, type Bench } from './bench';
import { SLOTS, type Plan } from './plan';
import { asksOf, briefOf, quantitiesOf, SLIPS, tablesOf, truthsOf } from './report';
import { resultsOf, rowsOf } from './rows';
import { draw, roomIn, sampleSchema, setupSchema, type Sample, type Setup } from './sample';
import { movingOf, stepsOf, viewOf, type Moving, type View } from './view';

/** Raised when the same acts give another bench than before. */
const MODEL = 1;

/** A result as the class table has room for it. */
function inTheTable(key: string, value: string): string {
  if (key === 'energyFactor') return `energy × ${value}`;
  if (key === 'speedFactor') return `speed × ${value}`;
  return `${value} ${key === 'perKelvin' ? 'zJ/K' : 'g/mol'}`;
}

/** One particle in a vessel: what of it follows the temperature. */
export const oneParticle: Practical<Setup, Sample, Bench, OwnAct, View, Moving, Plan> = {
  id: 'one-particle',
  title: 'One particle in a vessel',
  summary: 'Give energy to a single particle and take it: what doubles with the temperature, and which gas is it of?',
  subject: 'particles',
  book: 'gases',
  model: MODEL,
  movesInBrowser: true,
  setup: setupSchema,
  sampleSchema,
  ...OWN_ACTS,
  labels: ({ edgeNm }) => ({ family: 'particles', edgeNm }),
  brief: briefOf,
  sampleRoom: roomIn,
  sample: draw,
  begin: (setup, sample, seed) => begin({ family: 'particles', edgeNm: setup.edgeNm }, sample, seed),
  advance,
  running,
  view: viewOf,
  frame: movingOf,
  names: NAMES,
  record: (_, sample, bench) => {
    const { name, molarMassGPerMol } = gasOf(sample.gasId);
    return {
      readings: recordedReadings(bench.readings, (r) => ({
        label: `${SLOTS[r.which].short}, trial ${r.trial}`.replace(/^./, (c) => c.toUpperCase()),
        unit: SLOTS[r.which].unit,
        shown: fixed(r.shown, 4),
      })),
      results: Object.entries(resultsOf(rowsOf(bench))).map(([key, value]) => inTheTable(key, significant(value, 4))),
      truth: [
        { label: 'The particle', text: `${name}, ${molarMassGPerMol} g/mol` },
        { label: 'First temperature', text: `${sample.startK} K` },
      ],
    };
  },
  steps: stepsOf,
  tables: tablesOf,
  asks: asksOf,
  quantities: quantitiesOf,
  truths: (_, sample) => truthsOf(sample),
  unready: (_, __, bench) => {
    const rows = rowsOf(bench);
    const [coolest, hottest] = [Math.min(...rows.map(({ T }) => T)), Math.max(...rows.map(({ T }) => T))];
    return rows.length >= 2 && hottest >= 1.5 * coolest
      ? undefined
      : 'There have to be whole trials at two temperatures at least, one of them well above the other: record temperature, energy and speed of each.';
  },
  results: (_, __, bench) => resultsOf(rowsOf(bench)),
  slips: () => SLIPS,
  causes: () => [],
  accounts: (bench) => ({ zJ: stateOf(bench).E - bench.suppliedZj }),
  secrets: (_, sample, bench) => ({ words: [bench.seed], numbers: [gasOf(sample.gasId).molarMassGPerMol] }),
};
