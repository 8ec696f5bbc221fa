import type { MethodStep } from '../../method';
import type { Bench } from '../bench';
import { readRoom, type Habits, type Hands } from '../by-hand';
import { rowsOf, valueOf, type Row } from '../rows';
import type { Slot } from '../plan';

/** Steps and conditions that several practicals of gases share. */

type Step = MethodStep<Bench, Hands>;

export const hasAll = (row: Row, slots: readonly Slot[]): boolean =>
  slots.every((slot) => valueOf(row, slot) !== undefined);

/** Rows that have a reading of their own, not only what holds for all. */
export const ownRows = (bench: Bench, own: readonly Slot[]): Row[] =>
  rowsOf(bench).filter((row) => own.some((slot) => valueOf(row, slot) !== undefined));

/** Whether each trial that was begun has all of it: what is asked of every trial is due again with the next. */
export const everyRow = (rows: readonly Row[], slots: readonly Slot[], also: (row: Row) => boolean = () => true) =>
  rows.length > 0 && rows.every((row) => hasAll(row, slots) && also(row));

export const readsRoom: Step = {
  key: 'room',
  does: 'Record the barometer and the thermometer of the room.',
  isDone: (bench) => rowsOf(bench).some((row) => hasAll(row, ['bar', 'room'])),
  work: (hands) => readRoom(hands),
};

/** With a gauge: what it shows open to the room is its zero error. */
export const readsOpenGauge = ({ open = true }: Habits): Step => ({
  key: 'room',
  does: 'Pull the tube off. Record the gauge, the barometer and the thermometer of the room.',
  how: ['With the tube off, the gauge stands open to the room. So you can find its zero error.'],
  isDone: (bench) =>
    rowsOf(bench).some((row) => hasAll(row, ['bar', 'room', 'open']) && row.readings.open?.about.joint === 'off'),
  work: async (hands) => {
    if (hands.view().joint !== 'off') await hands.act({ kind: 'joint', to: 'off' });
    await readRoom(hands, open ? ['bar', 'room', 'open'] : ['bar', 'room']);
  },
});

export async function encloses({ act }: Hands, { home = true }: Habits): Promise<void> {
  await act({ kind: 'joint', to: 'loose' });
  if (home) await act({ kind: 'joint', to: 'home' });
}

/** What is enclosed has come to what is around it, within so many K. */
const AT_REST_K = 0.4;

/** Points of one amount of gas, tightly enclosed, read at rest: of several amounts those of the one that has most. */
export function pointsOfOneFill(
  bench: Bench,
  slots: readonly [Slot, ...Slot[]],
  aroundC: (about: Bench['readings'][number]['about']) => number,
): Row[] {
  const fills = new Map<number, Row[]>();
  for (const row of rowsOf(bench)) {
    const about = row.readings[slots.at(-1) ?? slots[0]]?.about;
    if (!about || !hasAll(row, slots) || about.joint !== 'home') continue;
    if (Math.abs(about.gasC - aroundC(about)) > AT_REST_K) continue;
    fills.set(about.fill, [...(fills.get(about.fill) ?? []), row]);
  }
  return [...fills.values()].reduce<Row[]>((most, rows) => (rows.length >= most.length ? rows : most), []);
}
