import { fixed } from '../analysis/quantity';
import type { BenchSlot, Reading } from '../notebook/readings';
import type { RecordedReading } from './contract';

/** Readings as benches keep them, and as notebooks and teachers see them: the same for every family. */

/** What one reading of a trial is. */
export interface SlotEntry {
  label: string;
  /** At the head of a column. */
  short: string;
  symbol: string;
  unit: string;
  /** What it is read on, unless that depends on what is looked at. */
  instrument: string;
  /** Whether the student types what they read; otherwise it is recorded as the instrument shows it. */
  typed: boolean;
}

/** A reading as a bench keeps it, beside what was there. */
export interface KeptReading {
  trial: number;
  which: string;
  /** As it was typed, or as the instrument showed it. */
  text: string;
  value: number;
  digitsNote: string | null;
  atS: number;
  /** What was there, finer than it can be read: for the teacher, never in a view. */
  shown: number;
  struck: string | null;
}

/** A new reading in the place of the one that stood there, which stays and is struck out. */
function withReading<R extends { trial: number; which: string; struck: string | null }>(
  readings: readonly R[],
  entry: R,
  why = 'read again',
): R[] {
  const same = (r: R) => r.trial === entry.trial && r.which === entry.which && r.struck === null;
  return [...readings.map((r) => (same(r) ? { ...r, struck: why } : r)), entry];
}

interface Place<Which extends string> {
  trial: number;
  which: Which;
}

/** What a student typed, as a scale took it, beside what was there. */
export const typedReading = <Which extends string>(
  { timeS }: { timeS: number },
  { trial, which }: Place<Which>,
  { text, value, digitsNote }: Pick<KeptReading, 'text' | 'value' | 'digitsNote'>,
  shown: number,
) => ({ trial, which, text, value, digitsNote, atS: timeS, shown, struck: null });

/** What a digital instrument showed, beside what was there. */
export const shownReading = <Which extends string>(
  bench: { timeS: number },
  place: Place<Which>,
  text: string,
  shown: number,
) => {
  const value = Number(text.replace('\u2212', '-'));
  return typedReading(bench, place, { text, value, digitsNote: null }, shown);
};

/** The bench with a reading in its place. @param why what is said of one that stood there */
export const withRecorded = <B extends { trial: number; readings: readonly KeptReading[] }>(
  bench: B,
  entry: B['readings'][number],
  why?: string,
): B => ({
  ...bench,
  trial: Math.max(bench.trial, entry.trial),
  readings: withReading(bench.readings, entry, why),
});

/** Readings as a view tells them. @param of what each was read on, in which unit, and what else its family tells of it */
export const seenReadings = <R extends KeptReading>(
  readings: readonly R[],
  of: (reading: R) => Pick<Reading, 'instrument' | 'unit' | 'part' | 'carries'>,
): Reading[] =>
  readings.map((r, index) => ({
    index,
    text: r.text,
    digitsNote: r.digitsNote,
    atS: Math.round(r.atS),
    struck: r.struck,
    trial: r.trial,
    slot: r.which,
    ...of(r),
  }));

/** What of a family's slots can be read at a bench. @param due the trial that the next reading of one belongs to */
export const slotsHere = <Which extends string>(
  slots: Readonly<Record<Which, SlotEntry>>,
  here: readonly Which[],
  due: (slot: Which) => number,
): BenchSlot[] =>
  here.map((slot) => {
    const { label, instrument, unit, typed } = slots[slot];
    return { slot, label, instrument, unit, typed, due: due(slot) };
  });

/** The instrument and the unit of a reading, where its slot alone tells them. */
export const ofSlot =
  <Which extends string>(slots: Readonly<Record<Which, SlotEntry>>) =>
  ({ which }: { which: Which }) => ({ instrument: slots[which].instrument, unit: slots[which].unit });

/** A reading as a teacher sees it, beside what was there: finer than it stood there. @param name where its slot has another at this bench */
export const toldOfSlot =
  <Which extends string>(
    slots: Readonly<Record<Which, Pick<SlotEntry, 'label' | 'unit'>>>,
    decimals: (which: Which) => number = () => 4,
    name: (reading: KeptReading & { which: Which }) => string = ({ which }) => slots[which].label,
  ) =>
  (reading: KeptReading & { which: Which }): Pick<RecordedReading, 'label' | 'unit' | 'shown'> => ({
    label: `${name(reading)}, trial ${reading.trial}`.replace(/^./, (c) => c.toUpperCase()),
    unit: slots[reading.which].unit,
    shown: fixed(reading.shown, decimals(reading.which)),
  });

/** Readings as a teacher sees them. */
export const recordedReadings = <R extends KeptReading>(
  readings: readonly R[],
  of: (reading: R) => Pick<RecordedReading, 'label' | 'unit' | 'shown'>,
): RecordedReading[] =>
  readings.map((r) => ({ text: r.text, digitsNote: r.digitsNote, struck: r.struck, atS: r.atS, ...of(r) }));

/** What a step is about that is called after its reading, for the log. */
export const stepOnReading =
  (slots: Readonly<Record<string, SlotEntry>>, other = 'readings') =>
  (key: string): string =>
    key === 'again' ? 'of doing it again' : `on the ${slots[key]?.label ?? other}`;
