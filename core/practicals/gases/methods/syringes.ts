import type { Method } from '../../method';
import type { Bench } from '../bench';
import { bathC, bringBath, coolTo, readSyringe, recordShown, type Habits, type Hands } from '../by-hand';
import { VOLUME_SLOTS, type Plan } from '../plan';
import { rowsOf, valueOf } from '../rows';
import { hasAll, readsRoom } from './the-room';

/** The way to where lines meet, and to where a vapour condenses: four syringes in a bath, then close together where one leaves its line. */

/** Temperatures from ice to boiling, and how far apart they lie, °C. */
const [COLD, HOT, APART_C, MIDDLE_C, ICE_C, HOT_C] = [5, 4, 12.5, 56, 5, 90];
/** So many lie within so many degrees of one another. */
const [CLOSE, CLOSE_C] = [4, 12];
const SETTLED_S = 240;
/** A plunger that was turned stands as near as that to where both sides push alike, mL. */
const TURNED_ML = 0.1;
/** A syringe has left its line when its part of all volumes is smaller than this part of what it was in the hottest bath. */
const LEFT = 0.97;

interface Seen {
  t: number;
  volumes: number[];
}

const seenIn = (bench: Bench): Seen[] =>
  rowsOf(bench)
    .filter(
      (row) =>
        hasAll(row, ['t', ...VOLUME_SLOTS]) &&
        VOLUME_SLOTS.every((slot) => (row.readings[slot]?.about.heldBackMl ?? 0) < TURNED_ML),
    )
    .map((row) => ({ t: valueOf(row, 't') ?? 0, volumes: VOLUME_SLOTS.map((slot) => valueOf(row, slot) ?? 0) }))
    .sort((a, b) => a.t - b.t);

const seenAt = ({ view }: Hands): Seen[] => {
  const own = (slot: string) => view().readings.filter((r) => r.slot === slot && r.struck === null);
  return own('t')
    .map(({ trial, text }) => ({
      t: Number(text.replace('\u2212', '-')),
      volumes: VOLUME_SLOTS.map((slot) => Number(own(slot).find((r) => r.trial === trial)?.text ?? 0)),
    }))
    .sort((a, b) => a.t - b.t);
};

const share = ({ volumes }: Seen, place: number) => (volumes[place] ?? 0) / volumes.reduce((a, b) => a + b, 0);

/** Between which temperatures one of the syringes left the line of the others: where its volume fell most, as a part of them. */
function gapIn(rows: readonly Seen[]): { from: number; to: number } {
  let best = { from: 40, to: 52.5, fall: 0 };
  const top = rows.at(-1);
  for (let place = 0; top && place < VOLUME_SLOTS.length; place++)
    for (let i = rows.length - 1; i > 0; i--) {
      const [high, low] = [rows[i], rows[i - 1]];
      if (!high || !low) continue;
      const fall = share(low, place) / share(top, place);
      // The first that is clearly below what it was at the top.
      if (fall < 0.9) {
        if (1 - fall > best.fall) best = { from: low.t, to: high.t, fall: 1 - fall };
        break;
      }
    }
  return best;
}

/** Whether so many lie close together, some of them before and some after one of the syringes has left its line. */
function isClose(rows: readonly Seen[]): boolean {
  const top = rows.at(-1);
  if (!top) return false;
  const hasLeft = (row: Seen, place: number) => share(row, place) < LEFT * share(top, place);
  return rows.some((first, i) => {
    const last = rows[i + CLOSE - 1];
    if (!last || last.t - first.t > CLOSE_C) return false;
    return VOLUME_SLOTS.some((_, place) => hasLeft(first, place) && !hasLeft(last, place));
  });
}

export function syringesMethod({ syringes }: Plan, habits: Habits = {}): Method<Bench, Hands> {
  const { waitS = SETTLED_S, misread = () => 0, turns = true } = habits;
  const reads = async (hands: Hands) => {
    for (let n = 1; n <= syringes.length; n++) if (turns) await hands.act({ kind: 'turn', n });
    await recordShown(hands, 't');
    const row = seenAt(hands).length;
    for (const [place, slot] of VOLUME_SLOTS.entries()) await readSyringe(hands, slot, place, misread(4 * row + place));
  };
  const takes = async (hands: Hands, from: number, to: number) => {
    for (let i = from; i < to; i++) {
      await bringBath(hands, APART_C * i, waitS);
      await reads(hands);
    }
  };
  return [
    readsRoom,
    {
      key: 'cold',
      does: `Record the bath and all four syringes at ${COLD} temperatures, from ice to 50 °C.`,
      how: [
        'Begin with 400 g of ice in the bath. Then let the hot plate warm it, some 12 °C at a time.',
        `At each, turn the plate down and wait ${SETTLED_S / 60} minutes.`,
        'Grease holds the plungers back. Turn each plunger before you read it.',
      ],
      isDone: (bench) => {
        const cold = seenIn(bench).filter(({ t }) => t < MIDDLE_C);
        return cold.length >= COLD && (cold[0]?.t ?? NaN) <= ICE_C;
      },
      work: (hands) => takes(hands, 0, COLD),
    },
    {
      key: 'hot',
      does: `Record them at ${HOT} more temperatures, from 60 °C up to boiling.`,
      isDone: (bench) => {
        const hot = seenIn(bench).filter(({ t }) => t >= MIDDLE_C);
        return hot.length >= HOT && (hot.at(-1)?.t ?? NaN) >= HOT_C;
      },
      work: (hands) => takes(hands, COLD, COLD + HOT),
    },
    {
      key: 'close',
      does: `One syringe leaves its line. Record ${CLOSE} temperatures close together there, within ${CLOSE_C} °C.`,
      how: ['Cool the bath with ice to below that place. Then warm it 3 °C at a time.'],
      isDone: (bench) => isClose(seenIn(bench)),
      work: async (hands) => {
        const { from, to } = gapIn(seenAt(hands));
        if (bathC(hands) > from - 3) await coolTo(hands, from - 3);
        for (let i = 0; i < CLOSE; i++) {
          await bringBath(hands, from + 1 + (i * (to - from)) / 4, waitS);
          await reads(hands);
        }
      },
    },
  ];
}
