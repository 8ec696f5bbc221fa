import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { readScale, type Scale } from '../instruments/scale';
import { COMMON_AT_START, commonView, trialNumber, type CommonBench } from './common-acts';
import { contractOf } from './contract-suite';
import type { BenchView, Practical } from './contract';
import { done, handError, refuse, type Handled } from './hands';
import { openPractical } from './live-bench';
import * as kept from './recordings';
import { askFor, reportOf } from './report-parts';
import { drawnValue, threeDigitValues } from './sample-values';
import { bands } from './settings-parts';
import { slotColumn, trialsTable } from './tables';
import { withCommonActs } from './with-common-acts';

/**
 * The smallest family that is one: a cup that cools, a thermometer in it. It shows that what all benches share is shared: a
 * family is what only it has, and passes the suite of all of them.
 */

const SLOTS = {
  T: { label: 'temperature', short: 'temperature', symbol: 'T', unit: '°C', instrument: 'thermometer', typed: true },
} satisfies Record<'T', kept.SlotEntry>;
const SCALE: Scale = {
  instrument: 'thermometer',
  min: -10,
  max: 110,
  division: 1,
  decimals: 1,
  unit: '°C',
};
const START = { key: 'start', label: 'Temperature at the beginning', unit: '°C', digits: 3 };
const TAU_S = 600;

interface Bench extends CommonBench, Handled {
  cupC: number;
  roomC: number;
  readings: readonly (kept.KeptReading & { which: 'T' })[];
}
type Setup = z.infer<typeof setup>;
type Sample = z.infer<typeof sampleSchema>;
type Act = z.infer<typeof act>;
interface View extends BenchView {
  family: 'cup';
  columnC: number;
}
const setup = z.object({ roomC: z.number().min(10).max(30).default(20), bandsPercent: bands([2, 5]) });
const sampleSchema = z.object({ startC: z.number() });
const act = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('stir') }),
  z.object({ kind: z.literal('record'), trial: trialNumber, which: z.literal('T'), text: z.string().max(40) }),
]);

const frameOf = ({ timeS, cupC }: Bench) => ({
  family: 'cup' as const,
  timeS,
  running: true,
  columnC: Math.round(20 * cupC) / 20,
});

const cup: Practical<Setup, Sample, Bench, Act, View, ReturnType<typeof frameOf>, { family: 'cup' }> = {
  id: 'a-cup',
  title: 'A cup that cools',
  summary: 'Read a thermometer.',
  subject: 'measuring',
  book: 'apparatus',
  model: 1,
  setup,
  sampleSchema,
  act,
  labels: () => ({ family: 'cup' }),
  brief: () => ['Read the thermometer as soon as you can.'],
  sampleRoom: () => threeDigitValues(60, 95).length,
  sample: (_, seed, index) => ({ startC: drawnValue(60, 95, seed, index) }),
  begin: ({ roomC }, { startC }, seed, off = []) => ({
    ...COMMON_AT_START,
    seed,
    off,
    draws: 0,
    cupC: startC,
    roomC,
  }),
  perform: (bench, what) => {
    if (what.kind === 'stir') {
      const { error, bench: next } = handError(bench, 0.2);
      return done({ ...next, cupC: next.cupC - Math.abs(error) });
    }
    if (what.trial > bench.trial + 1) return refuse(`Trial ${bench.trial + 1} comes before trial ${what.trial}.`);
    const read = readScale(what.text, SCALE);
    return read.ok
      ? done(kept.withRecorded(bench, kept.typedReading(bench, what, read, bench.cupC)))
      : refuse(read.sentence);
  },
  advance: (bench, seconds) =>
    bench.paused || !(seconds > 0)
      ? bench
      : {
          ...bench,
          timeS: bench.timeS + seconds,
          cupC: bench.roomC + (bench.cupC - bench.roomC) * Math.exp(-seconds / TAU_S),
        },
  running: () => true,
  frame: frameOf,
  view: (bench) => ({
    ...frameOf(bench),
    ...commonView(bench),
    readings: kept.seenReadings(bench.readings, kept.ofSlot(SLOTS)),
    logged: [],
    recordableTrial: bench.trial + 1,
    slots: kept.slotsHere(SLOTS, ['T'], () => bench.trial),
    steps: cup.steps(bench),
  }),
  describe: (what) => (what.kind === 'stir' ? 'stirred' : `read the temperature: ${what.text}`),
  names: { reading: () => 'the temperature', step: () => 'of reading' },
  record: (_, { startC }, bench) => ({
    readings: kept.recordedReadings(bench.readings, (r) => ({
      label: `Thermometer, trial ${r.trial}`,
      unit: '°C',
      shown: r.shown.toFixed(2),
    })),
    results: [],
    truth: [{ label: 'At the beginning', text: `${startC.toFixed(2)} °C` }],
  }),
  steps: (bench) => [
    { key: 'read', label: 'Read the thermometer', done: bench.readings.length > 0 || bench.ticked.includes('read') },
  ],
  tables: () => [trialsTable('rows', 'Temperatures', [slotColumn('T', SLOTS)])],
  asks: ({ bandsPercent }) =>
    reportOf({
      measured: { label: 'What cools it?', options: ['The room', 'The thermometer'] },
      hypothesis: null,
      results: [askFor(START, bandsPercent)],
      working: 'How?',
      evidence: { help: 'Why?', words: [] },
      aims: ['Read a scale', 'Be quick'],
    }),
  quantities: () => [{ ...START, kind: 'number' }],
  truths: (_, { startC }) => ({ start: startC }),
  unready: (_, __, bench) => (bench.readings.length > 0 ? undefined : 'There has to be a reading.'),
  results: (_, __, bench): Record<string, number> => (bench.readings[0] ? { start: bench.readings[0].value } : {}),
  slips: () => [],
  causes: () => [{ key: 'hands', label: 'Stirring' }],
  accounts: () => ({}),
  secrets: (_, { startC }, bench) => ({ words: [bench.seed], numbers: [startC] }),
};

const opened = openPractical(withCommonActs(cup));
contractOf('the smallest family', opened, opened.setup.parse({}));

describe('the smallest family', () => {
  it('is read, told of and judged by what all share', () => {
    const sample = opened.sample({}, 'cup', 1) as { startC: number };
    const outcome = opened
      .open({}, sample, 'cup')
      .perform(opened.readAct({ kind: 'record', trial: 1, which: 'T', text: sample.startC.toFixed(1) }));
    if ('refusal' in outcome) throw new Error(outcome.refusal);
    const { bench } = outcome;
    expect(bench.view().readings).toMatchObject([{ slot: 'T', instrument: 'thermometer', unit: '°C', trial: 1 }]);
    const asks = opened.asks({}).filter(({ key }) => key === 'start');
    expect(bench.check({ start: { text: sample.startC.toFixed(1), unit: '°C' } }, asks)).toMatchObject({
      ok: true,
      items: [{ bandPercent: 2 }],
    });
    expect(opened.describe(opened.readAct({ kind: 'pace', times: 10 }))).toMatch(/10 times/);
  });
});
