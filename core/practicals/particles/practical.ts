import { gasOf } from '../../databook/gases';
import { familyOf } from '../family-of';
import { OWN_ACTS, type OwnAct } from './acts';
import { advance, begin, running, stateOf, type Bench } from './bench';
import { SLOTS, type Plan } from './plan';
import { asksOf, briefOf, quantitiesOf, SLIPS, tablesOf, truthsOf } from './report';
import { resultsOf, rowsOf, type Row } from './rows';
import { draw, roomIn, sampleSchema, setupSchema, type Sample, type Setup } from './sample';
import { METHOD } from './method';
import { movingOf, viewOf, type Moving, type View } from './view';

const NARROW =
  'There have to be whole trials at two temperatures at least, one well above the other. Record temperature, energy and speed of each.';
const isWideEnough = (rows: readonly Row[]) =>
  Math.max(...rows.map(({ T }) => T)) >= 1.5 * Math.min(...rows.map(({ T }) => T));

/** One particle in a vessel: what of it follows the temperature. */
export const oneParticle = familyOf<Sample, Bench, OwnAct, View, Moving, Plan, Row>({
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
  accounts: (bench) => ({ zJ: stateOf(bench).E - bench.suppliedZj }),
  secrets: (sample) => ({ words: [], numbers: [gasOf(sample.gasId).molarMassGPerMol] }),
})<Setup>({
  id: 'one-particle',
  title: 'One particle in a vessel',
  summary: 'Give energy to a single particle and take it: what doubles with the temperature, and which gas is it of?',
  setup: setupSchema,
  room: roomIn,
  draw,
  plan: ({ edgeNm }) => ({ family: 'particles', edgeNm }),
  brief: briefOf,
  tables: tablesOf,
  quantities: quantitiesOf,
  truths: (_, sample) => truthsOf(sample),
  asks: asksOf,
  results: (_, __, rows) => resultsOf(rows),
  slips: () => SLIPS,
  truth: (_, { gasId, startK }) => [
    { label: 'The particle', text: `${gasOf(gasId).name}, ${gasOf(gasId).molarMassGPerMol} g/mol` },
    { label: 'First temperature', text: `${startK} K` },
  ],
  symbols: { energyFactor: 'E₂/E₁', speedFactor: 'v₂/v₁', perKelvin: 'E/T', molarMass: 'M' },
  untried: (bench) => (isWideEnough(rowsOf(bench)) ? undefined : NARROW),
  nothingYet: NARROW,
});
