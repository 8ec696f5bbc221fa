import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { nearest } from '../analysis/quantity';
import { actsOn, actTable, type ActOf } from './act-table';
import { COMMON_AT_START, trialNumber, type CommonBench } from './common-acts';
import { contractOf } from './contract-suite';
import type { BenchFrame, BenchView } from './contract';
import { familyOf } from './family-of';
import type { Handled } from './hands';
import { openPractical } from './live-bench';
import { recordTyped } from './recording-acts';
import type { KeptReading } from './recordings';
import { recordingsSeen } from './recordings-seen';
import { askFor } from './report-parts';
import { drawnValue } from './sample-values';
import { bands } from './settings-parts';
import { countingTrials, standingIn } from './standing';
import { slotColumn, trialsTable } from './tables';
import { passed } from './time-passes';
import { withCommonActs } from './with-common-acts';

/** The smallest family that is one: a cup that cools, read on a thermometer. It says what only it has; the frame does the rest. */

// prettier-ignore
const T = { label: 'temperature', short: 'temperature', symbol: 'T', unit: '°C', instrument: 'thermometer', typed: true };
const SCALE = { instrument: 'thermometer', min: -10, max: 110, division: 1, decimals: 1, unit: '°C' };
const START = { key: 'start', label: 'Temperature at the beginning', unit: '°C', digits: 3 };
type Plan = { family: 'cup'; roomC: number };
type Bench = CommonBench & Handled & { plan: Plan; cupC: number; readings: readonly (KeptReading & { which: 'T' })[] };
type Frame = BenchFrame & { family: 'cup'; columnC: number };
const ACTS = {
  record: actsOn<Bench>()(
    { trial: trialNumber, which: z.literal('T'), text: z.string().max(40) },
    (bench, act) => recordTyped(bench, act, { last: bench.trial + 1, scale: SCALE, shown: bench.cupC }, {}),
    ({ text }) => `read the temperature: ${text}`,
  ),
};
const frame = ({ timeS, cupC }: Bench): Frame => ({
  family: 'cup',
  timeS,
  running: true,
  columnC: nearest(cupC, 0.05),
});
const cup = familyOf<{ startC: number }, Bench, ActOf<typeof ACTS>, BenchView & Frame, Frame, Plan, number>({
  subject: 'measuring',
  book: 'apparatus',
  sampleSchema: z.object({ startC: z.number() }),
  ...actTable<Bench, typeof ACTS>(ACTS),
  begin: (plan, { startC }, seed, off) => ({ ...COMMON_AT_START, plan, seed, off, draws: 0, cupC: startC }),
  advance: (bench, seconds) =>
    passed(bench, seconds, ({ plan: { roomC }, cupC }) => ({
      cupC: roomC + (cupC - roomC) * Math.exp(-seconds / 600),
    })),
  running: () => true,
  method: () => [
    {
      key: 'read',
      does: 'Read the thermometer as soon as you can.',
      isDone: ({ readings }) => readings.length > 0,
      work: ({ act, view }) => act({ kind: 'record', trial: 1, which: 'T', text: view().columnC.toFixed(1) }),
    },
  ],
  view: (bench, steps) => ({
    ...frame(bench),
    ...recordingsSeen(bench, { slots: { T }, here: ['T'], due: () => bench.trial, trial: bench.trial + 1, steps }),
    logged: [],
  }),
  frame,
  slots: { T },
  rowsOf: (bench) => countingTrials(bench).flatMap((trial) => standingIn(bench, trial, 'T')?.value ?? []),
  hidden: ({ startC }) => [startC],
})({
  id: 'a-cup',
  title: 'A cup that cools',
  summary: 'Read a thermometer.',
  setup: z.object({ roomC: z.number().min(10).max(30).default(20), bandsPercent: bands([2, 5]) }),
  room: () => 350,
  draw: (_, seed, index) => ({ startC: drawnValue(60, 95, seed, index) }),
  plan: ({ roomC }) => ({ family: 'cup', roomC }),
  brief: () => ['How warm was the cup at the beginning?'],
  tables: () => [trialsTable('rows', 'Temperatures', [slotColumn('T', { T })])],
  quantities: () => [{ ...START, kind: 'number' }],
  truths: (_, { startC }) => ({ start: startC }),
  asks: ({ bandsPercent }) => [askFor(START, bandsPercent)],
  results: (_, __, rows): Record<string, number> => (rows[0] ? { start: rows[0] } : {}),
  truth: (_, { startC }) => [{ label: 'At the beginning', text: `${startC.toFixed(2)} °C` }],
  nothingYet: 'There has to be a reading.',
});

const opened = openPractical(withCommonActs(cup));
contractOf('the smallest family', opened, opened.setup.parse({}));

describe('the smallest family', () => {
  it('is read, told of and judged by what all share', () => {
    const sample = opened.sample({}, 'cup', 1) as { startC: number };
    const text = sample.startC.toFixed(1);
    const begun = opened.open({}, sample, 'cup');
    const later = begun.perform(opened.readAct({ kind: 'record', trial: 3, which: 'T', text }));
    expect(later).toEqual({ refusal: 'Trial 2 comes before trial 3.' });
    const outcome = begun.perform(opened.readAct({ kind: 'record', trial: 1, which: 'T', text }));
    if ('refusal' in outcome) throw new Error(outcome.refusal);
    const { bench } = outcome;
    expect(bench.view().readings).toMatchObject([{ slot: 'T', instrument: 'thermometer', unit: '°C', trial: 1 }]);
    const asks = opened.asks({}).filter(({ key }) => key === 'start');
    expect(bench.check({ start: { text, unit: '°C' } }, asks)).toMatchObject({ ok: true, items: [{ bandPercent: 2 }] });
    expect(opened.describe(opened.readAct({ kind: 'pace', times: 10 }))).toMatch(/10 times/);
  });
});
