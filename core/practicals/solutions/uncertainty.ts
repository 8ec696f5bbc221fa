import { weighingUncertaintyG } from '../../instruments/balance';
import type { Bench } from './bench';
import { handMl, DROP_ML } from './liquid-acts';
import { isMass, LEFT_SLOTS, VOLUME_SLOTS, type Plan, type Slot } from './plan';
import type { Row, RowReading } from './rows';
import { SLIP_MMOL, SLIP_PART } from './analysis';

/** Standard uncertainties of readings at this bench. */

/** Of a thermometer that wavers, and of reading it a moment too soon, K. */
const WARMTH_K = 0.015;

/** Of what a careful student cannot see of a paper and its solid: damp, the last of the water, what dissolves and clings, g. */
const UNSEEN_G = 0.003;
/** Of gas that stays dissolved a little more or less, g. */
const GAS_G = 0.004;

const massUncertaintyG = (slot: Slot, { balance }: Plan): number =>
  Math.hypot(weighingUncertaintyG(Number(balance)), slot.startsWith('h') ? UNSEEN_G : slot === 'm2' ? GAS_G : 0);

function uncertaintyOf(slot: Slot, { value, about }: RowReading, plan: Plan): number {
  if (isMass(slot)) return massUncertaintyG(slot, plan);
  if ((VOLUME_SLOTS as readonly Slot[]).includes(slot))
    return about.by === 'drops' || about.by === null ? 0.04 * Math.sqrt(value * DROP_ML) : handMl(about.by, value);
  if ((LEFT_SLOTS as readonly Slot[]).includes(slot)) return Math.hypot(SLIP_PART * value, SLIP_MMOL);
  if (slot === 'p') return 0.012 + 0.001 * value;
  if (slot === 'A') return 0.003;
  if (slot === 'K') return 0.001 * value;
  return slot === 'pH' ? 0.02 : WARMTH_K;
}

/** Two lines are not quite straight: diluting warms, too, and what is coloured binds otherwise in much than in little. As a part of the reading. */
const CURVED = { T: 0.05, A: 0.03 } as const;

/** The rows with the mixtures in the half of them that came last warmed a little more, or a little darker. */
function curved(rows: readonly Row[], slot: 'T' | 'A'): Row[][] {
  const read = rows.filter(({ readings }) => readings[slot] && (slot === 'A' || readings.T0));
  if (read.length === 0) return [];
  const late = new Set(read.slice(Math.floor(read.length / 2)).map(({ trial }) => trial));
  const moved = rows.map((row) => {
    const own = row.readings[slot];
    if (!own || !late.has(row.trial)) return row;
    const from = slot === 'T' ? (row.readings.T0?.value ?? own.value) : 0;
    const value = own.value + CURVED[slot] * (own.value - from);
    return { ...row, readings: { ...row.readings, [slot]: { ...own, value } } };
  });
  return [moved];
}

/** The rows once for each source of uncertainty, moved by one standard deviation of it. */
export const movedRows = ({ plan }: Bench, rows: readonly Row[]): Row[][] => [
  ...curved(rows, 'T'),
  ...curved(rows, 'A'),
  ...rows.flatMap((row, i) =>
    (Object.entries(row.readings) as [Slot, RowReading][]).map(([slot, reading]) =>
      rows.map((other, j) =>
        j === i
          ? {
              ...other,
              readings: {
                ...other.readings,
                [slot]: { ...reading, value: reading.value + uncertaintyOf(slot, reading, plan) },
              },
            }
          : other,
      ),
    ),
  ),
];
