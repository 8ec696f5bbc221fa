import { fitLine } from '../../analysis/line-fit';
import type { Fitted } from './bench';
import { distinct, hangsTogether, heldAt } from './laws';
import type { State } from './plan';
import type { Row } from './rows';
import type { Sample } from './sample';

/** What single impacts and counts of impacts come to. */

/** How many times as hot, and what part of the volume, the brief asks for; and twice the number. */
export const HOTTER = 3;
export const SQUEEZED = 1 / 3;
const MORE = 2;

/** Grams for a mole of as many as one, from a push in yN·s over a speed in m/s. */
const GRAMS = 602.214076;
/** A push of what comes at a speed and goes back as fast: the molar mass, g/mol. */
const massOf = (push: number, speed: number): number => (push / (2 * speed)) * GRAMS;

/** Impacts in a ps, and their mean push, of a stretch with the piston pinned and a jacket around it. */
interface Counted {
  row: Row;
  rate: number;
  push: number;
}
export const countedIn = (rows: readonly Row[]): Counted[] =>
  rows.flatMap((row) => {
    const { readings, fitted, isDisturbed } = row;
    const { n, p, d } = readings;
    const isHeld = !isDisturbed && fitted.pinNm !== null && fitted.jacketK !== null;
    return isHeld && n && p && d ? [{ row, rate: n / d, push: p }] : [];
  });

const sum = <One>(all: readonly One[], of: (one: One) => number) => all.reduce((so, one) => so + of(one), 0);
const fittedOf = ({ row }: Counted): Fitted => row.fitted;
const impactsOf = ({ row }: Counted) => row.readings.n ?? 1;
const psOf = ({ row }: Counted) => row.readings.d ?? 0;

/**
 * Relative standard uncertainties by a number of impacts: each comes when it comes; how hard varies by √(4/π − 1) of the mean, as speeds do
 * of what comes to a wall.
 */
const UNSURE = {
  rate: (n: number) => 1 / Math.sqrt(n),
  push: (n: number) => Math.sqrt((4 / Math.PI - 1) / n),
} as const;

interface Found {
  values: Record<string, number>;
  uncertainties: Record<string, number>;
}
type Put = (key: string, value: number, standard: number) => void;

/** By single impacts: what the last digits of push and speed leave open. */
function putMass(rows: readonly Row[], digits: { q: number; u: number }, put: Put): void {
  const singles = rows.flatMap(({ readings: { q, u } }) => (q && u ? [{ q, u }] : []));
  if (singles.length === 0) return;
  const mean = sum(singles, ({ q, u }) => massOf(q, u)) / singles.length;
  const square = sum(singles, ({ q, u }) => ((digits.q / q) ** 2 + (digits.u / u) ** 2) / 12);
  put('molarMass', mean, (mean * Math.sqrt(square)) / singles.length);
}

/** All pushes of the stretches as the card says, over time and area. */
function putPressure(card: readonly Counted[], areaNm2: number, put: Put): void {
  if (card.length === 0) return;
  const pressure = (1000 * sum(card, (one) => one.rate * one.push * psOf(one))) / (areaNm2 * sum(card, psOf));
  const n = sum(card, impactsOf);
  put('pressure', pressure, pressure * Math.hypot(UNSURE.rate(n), UNSURE.push(n)));
}

/** How many times as many impacts, and as hard ones, when what is set is so many times as large: by the slope of the logarithms. */
function putChange(
  all: readonly Counted[],
  {
    set,
    held,
    times,
    keys,
  }: { set: State; held: readonly State[]; times: number; keys: { rate: string; push?: string } },
  put: Put,
): void {
  const setOf = ({ row }: Counted) => heldAt(row.fitted, set) ?? NaN;
  const those = hangsTogether(all, held, fittedOf, setOf);
  if (distinct(those.map(setOf)) < 2) return;
  const mean = sum(those, (one) => Math.log(setOf(one))) / those.length;
  const off = (one: Counted) => Math.log(setOf(one)) - mean;
  for (const what of ['rate', 'push'] as const) {
    const key = keys[what];
    const fit = key && fitLine(those.map((one) => ({ x: off(one), y: Math.log(one[what]) })));
    if (!fit) continue;
    const factor = times ** fit.slope;
    const square = sum(those, (one) => (off(one) * UNSURE[what](impactsOf(one))) ** 2);
    const slopeError = Math.sqrt(square) / sum(those, (one) => off(one) ** 2);
    put(key, factor, factor * Math.abs(Math.log(times)) * slopeError);
  }
}

/** @param areaNm2 of the piston @param digits last digits of the counters of push, yN·s, and speed, m/s */
export function foundByImpacts(
  sample: Sample,
  rows: readonly Row[],
  areaNm2: number,
  digits: { q: number; u: number },
): Found {
  const [values, uncertainties]: [Record<string, number>, Record<string, number>] = [{}, {}];
  const put: Put = (key, value, standard) => {
    values[key] = value;
    uncertainties[key] = standard;
  };
  const all = countedIn(rows);
  const isCard = ({ row: { fitted } }: Counted) =>
    fitted.jacketK === sample.kelvin &&
    fitted.count === sample.count &&
    Math.abs((fitted.pinNm ?? 0) * areaNm2 - sample.volumeNm3) < 1;
  putMass(rows, digits, put);
  putPressure(all.filter(isCard), areaNm2, put);
  putChange(all, { set: 'T', held: ['V', 'N'], times: HOTTER, keys: { rate: 'rateHot', push: 'pushHot' } }, put);
  putChange(all, { set: 'V', held: ['T', 'N'], times: SQUEEZED, keys: { rate: 'rateSmall', push: 'pushSmall' } }, put);
  putChange(all, { set: 'N', held: ['V', 'T'], times: MORE, keys: { rate: 'rateMore' } }, put);
  return { values, uncertainties };
}
