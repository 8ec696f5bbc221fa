import { parseTyped } from '../../analysis/quantity';
import { fitLine } from '../../analysis/line-fit';
import type { Bench, KeptReading } from './bench';
import { SLOT_UNITS, SLOT_NAMES, type Slot } from './plan';

/** What the readings of the rows come to. */

/** The readings of one row that counts, by slot. */
export interface Row {
  trial: number;
  /** Which unknown it is of: what most of its readings were taken on. */
  lot: number;
  readings: Readonly<Partial<Record<Slot, RowReading>>>;
}

export interface RowReading {
  value: number;
  text: string;
  instrument: string;
}

const own = (bench: Bench, trial: number, which: Slot): KeptReading | undefined =>
  bench.readings.findLast((r) => r.trial === trial && r.which === which && r.struck === null);

/** A trial's own reading, or that of the last trial before it of the same unknown, where such a reading carries on. */
function live(bench: Bench, trial: number, which: Slot): KeptReading | undefined {
  const here = own(bench, trial, which);
  if (here || !bench.plan.carries.includes(which)) return here;
  const lot = lotOfRow(bench, trial);
  if (!bench.readings.some((r) => r.trial === trial && r.struck === null)) return undefined;
  for (let before = trial - 1; before > 0; before--) {
    const found = bench.leftOut[before] === undefined ? own(bench, before, which) : undefined;
    if (found && lotOfRow(bench, before) === lot) return found;
  }
  return undefined;
}

/**
 * The same reading in a bench that is the same but for one cause: the student's own error of reading is kept, and the
 * place where the eye was.
 */
function asBefore(bench: Bench, now: KeptReading, was: KeptReading): number {
  if (now.instrument === 'balance') return now.value;
  const misread = bench.off.includes('reading') ? 0 : was.value - was.shown - was.parallax;
  const parallax = bench.off.includes('parallax') ? 0 : was.parallax;
  return now.shown + misread + parallax;
}

/** The unknown that the live readings of a row were taken on; null when they do not tell. */
export function lotOfRow(bench: Bench, trial: number): number | null {
  const readings = bench.readings.filter((r) => r.trial === trial && r.struck === null);
  return readings.some((r) => r.lot !== null) ? lotOf(readings) : null;
}

/** The unknown that a row's readings were taken on. */
function lotOf(readings: readonly KeptReading[]): number {
  const counts = new Map<number, number>();
  for (const { lot } of readings) if (lot !== null) counts.set(lot, (counts.get(lot) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 0;
}

/** @param was the bench with all its errors on, when `bench` is the same with causes switched off */
export function rowsOf(bench: Bench, was?: Bench): Row[] {
  const trials = Array.from({ length: bench.trial }, (_, i) => i + 1);
  return trials
    .filter((trial) => bench.leftOut[trial] === undefined)
    .map((trial) => {
      const readings: Partial<Record<Slot, RowReading>> = {};
      const kept: KeptReading[] = [];
      for (const slot of bench.plan.slots) {
        const now = live(bench, trial, slot);
        const then = was && live(was, trial, slot);
        if (!now || (was && !then)) continue;
        kept.push(now);
        readings[slot] = {
          value: then ? asBefore(bench, now, then) : now.value,
          text: now.text,
          instrument: now.instrument,
        };
      }
      return { trial, lot: lotOf(kept), readings };
    });
}

/** Volume and mass of a row; undefined where its readings do not reach. */
export interface Pair {
  volumeMl: number;
  massG: number;
  /** The readings it stands on, for their digits. */
  digits: { slot: Slot; text: string; significant: number }[];
}

/** Significant digits of a difference of two readings: as many decimals as the coarser has. */
function significantOf(value: number, texts: readonly string[]): number {
  const decimals = Math.min(...texts.map((text) => parseTyped(text)?.decimals ?? 0));
  return Math.max(Math.floor(Math.log10(Math.max(Math.abs(value), 1e-9))) + 1 + decimals, 1);
}

export function pairOf({ readings }: Row): Pair | undefined {
  const { V, V1, V2, Z, l, w, h, d, m, m1, m2 } = readings;
  const digits: Pair['digits'] = [];
  const taken = (slot: Slot, reading: { value: number; text: string }) => {
    digits.push({ slot, text: reading.text, significant: parseTyped(reading.text)?.significant ?? 1 });
    return reading.value;
  };
  /** A length, less what the calliper shows when it is closed, where that was read. */
  const length = (slot: Slot, reading: RowReading) =>
    taken(slot, reading) - (Z && reading.instrument === 'calliper' ? Z.value : 0);
  const difference = (slot: Slot, b: { value: number; text: string }, a: { value: number; text: string }) => {
    const value = b.value - a.value;
    const texts = [b.text, a.text];
    const decimals = Math.min(...texts.map((text) => parseTyped(text)?.decimals ?? 0));
    digits.push({ slot, text: value.toFixed(decimals), significant: significantOf(value, texts) });
    return value;
  };
  let volumeMl: number | undefined;
  if (l && w && h) volumeMl = (length('l', l) * length('w', w) * length('h', h)) / 1000;
  else if (d && h) volumeMl = (Math.PI * length('d', d) ** 2 * length('h', h)) / 4000;
  else if (d) volumeMl = (Math.PI * length('d', d) ** 3) / 6000;
  else if (V1 && V2) volumeMl = difference('V2', V2, V1);
  else if (V) volumeMl = taken('V', V);
  const massG = m ? taken('m', m) : m1 && m2 ? difference('m2', m2, m1) : undefined;
  if (volumeMl === undefined || massG === undefined || !(volumeMl > 0) || !(massG > 0)) return undefined;
  return { volumeMl, massG, digits };
}

/** Density from the rows of one lot, g/mL: the slope where amounts grow over three rows or more, the mean otherwise. */
export function densityFrom(pairs: readonly Pair[], bySlope: boolean): number | undefined {
  if (pairs.length === 0) return undefined;
  if (bySlope && pairs.length >= 3) {
    const fit = fitLine(pairs.map(({ volumeMl, massG }) => ({ x: volumeMl, y: massG })));
    if (fit && Number.isFinite(fit.slope) && fit.slope > 0) return fit.slope;
  }
  return pairs.reduce((sum, { volumeMl, massG }) => sum + massG / volumeMl, 0) / pairs.length;
}

/** How many digits a result can have, and which reading it is that allows no more. */
export function supportedBy(pairs: readonly Pick<Pair, 'digits'>[]): { digits: number; why: string } | undefined {
  const rows = pairs.map((pair) =>
    pair.digits.reduce((coarsest, one) => (one.significant < coarsest.significant ? one : coarsest)),
  );
  const best = rows.reduce<(typeof rows)[number] | undefined>(
    (one, other) => (one && one.significant >= other.significant ? one : other),
    undefined,
  );
  if (!best) return undefined;
  const what = best.slot === 'V2' ? 'volume displaced' : best.slot === 'm2' ? 'mass of the liquid' : SLOT_NAMES[best.slot];
  const digits = best.significant === 1 ? 'one digit' : `${best.significant} digits`;
  return {
    digits: best.significant,
    why: `the coarsest of your best trial is the ${what}, ${best.text} ${SLOT_UNITS[best.slot]}, with ${digits}`,
  };
} // prettier-ignore
