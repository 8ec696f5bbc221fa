import { parseTyped } from '../../analysis/quantity';
import { fitLine } from '../../analysis/line-fit';
import { SLOTS, type Slot } from './plan';
import type { Row, RowReading } from './rows';

/** What a row of readings comes to: a volume and a mass, and a density of several. */

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

/** Each row is worked out once: uncertainties are propagated through hundreds of rows that stay the same. */
const worked = new WeakMap<Row, { pair: Pair | undefined }>();

export function pairOf(row: Row): Pair | undefined {
  const known = worked.get(row);
  if (known) return known.pair;
  const pair = pairIn(row);
  worked.set(row, { pair });
  return pair;
}

function pairIn({ readings, shape }: Row): Pair | undefined {
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
  if (shape === 'block' && l && w && h) volumeMl = (length('l', l) * length('w', w) * length('h', h)) / 1000;
  else if (shape === 'cylinder' && d && h) volumeMl = (Math.PI * length('d', d) ** 2 * length('h', h)) / 4000;
  else if (shape === 'sphere' && d) volumeMl = (Math.PI * length('d', d) ** 3) / 6000;
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

/** The coarsest reading of the best trial, as a hint in a sentence; empty where there is none. */
export function coarsestOf(pairs: readonly Pick<Pair, 'digits'>[]): string {
  const rows = pairs.map((pair) =>
    pair.digits.reduce((coarsest, one) => (one.significant < coarsest.significant ? one : coarsest)),
  );
  const best = rows.reduce<(typeof rows)[number] | undefined>(
    (one, other) => (one && one.significant >= other.significant ? one : other),
    undefined,
  );
  if (!best) return '';
  const what =
    best.slot === 'V2' ? 'volume displaced' : best.slot === 'm2' ? 'mass of the liquid' : SLOTS[best.slot].label;
  const digits = best.significant === 1 ? 'one digit' : `${best.significant} digits`;
  return `The coarsest reading of your best trial is the ${what}, ${best.text} ${SLOTS[best.slot].unit}, with ${digits}.`;
}
