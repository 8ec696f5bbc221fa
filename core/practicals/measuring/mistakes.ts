import { bodyOf, type Bench, type KeptReading } from './bench';
import { EDGE_SLOTS, type Slot } from './plan';
import { ALONG, edgeOf } from './edges';

/**
 * What a row of readings would have come to without one mistake of the hands or the head, by the closed form of that
 * mistake: the sum that has to be added to a reading, by slot.
 */

type Kept = Readonly<Partial<Record<Slot, KeptReading>>>;
type Corrections = Partial<Record<Slot, number>>;

/** Water or liquid that was let in or taken out between two readings that belong together. */
function between({ V1, V2, m }: Kept, bench: Bench): Corrections {
  const poured = V1 && V2 ? V2.about.keptMl - V1.about.keptMl : 0;
  const scale = V2?.about.vessel ? 1 + (bench.vessels[V2.about.vessel - 1]?.scaleError ?? 0) : 1;
  const weighed = m && m.tared.vessel !== null && m.tared.vessel === m.about.vessel ? m.about.keptG - m.tared.keptG : 0;
  return { V2: -poured / scale, m: -weighed };
}

/** A zero that was set for something else than what is on the pan. */
function zero({ m, m1, m2 }: Kept): Corrections {
  return {
    m: m ? m.about.zeroG - m.about.rightZeroG : 0,
    m1: m1 ? m1.tared.loadG : 0,
    m2: m2 ? m2.tared.loadG : 0,
  };
}

/** The pieces of which a row tells the mass and those of which it tells the volume are not the same. */
function otherPieces(kept: Kept, bench: Bench, lot: number): Corrections {
  const { V1, V2, m } = kept;
  if (V1 && V2 && m) return { m: V2.about.piecesG - V1.about.piecesG - m.about.piecesG };
  const one = bench.sample.lots[lot];
  if (!one || V1 || V2) return {};
  const corrections: Corrections = {};
  if (m) corrections.m = bodyOf(bench, lot, 0, false).massG - m.about.piecesG;
  for (const along of ALONG) {
    const reading = kept[EDGE_SLOTS[along]];
    const edge = edgeOf(one.shape, along);
    if (reading && reading.lot !== lot && reading.lot !== null && edge !== undefined)
      corrections[EDGE_SLOTS[along]] =
        edge - (edgeOf(bench.sample.lots[reading.lot]?.shape ?? one.shape, along) ?? edge);
  }
  return corrections;
}

/** Mass and volume of different amounts: poured on between them, or weighed “empty” with liquid in it. */
function otherPortion({ V, m1, m2 }: Kept): Corrections {
  if (!V || !m1 || !m2) return {};
  const isBottle = V.instrument === 'density bottle';
  return { m2: isBottle ? m1.about.beyondFilmG : V.about.keptG - m2.about.keptG + m1.about.beyondFilmG };
}

/** The empty vessel that was weighed is another than the one with the liquid. */
function otherVessel({ m1, m2 }: Kept): Corrections {
  if (!m1?.about.vessel || !m2?.about.vessel || m1.about.vessel === m2.about.vessel) return {};
  return { m1: m2.about.vesselG - m1.about.vesselG };
}

/** A density bottle that does not hold what is engraved on it. */
const short =
  (stoppered: boolean) =>
  ({ V, m2 }: Kept): Corrections =>
    V?.instrument === 'density bottle' && m2 && m2.about.stoppered === stoppered ? { m2: m2.about.shortG } : {};

/** Mistakes by the key of their cause. */
const MISTAKES: Record<string, (kept: Kept, bench: Bench, lot: number) => Corrections> = {
  between,
  zero,
  pieces: otherPieces,
  portion: otherPortion,
  vessel: otherVessel,
  stopper: short(false),
  underStopper: short(true),
};

/** All that is to be added to a row of a bench with causes switched off. */
export function correctionsFor(bench: Bench, kept: Kept, lot: number): Corrections {
  const sum: Corrections = {};
  for (const key of bench.off) {
    const more = MISTAKES[key]?.(kept, bench, lot) ?? {};
    for (const slot of Object.keys(more) as Slot[]) sum[slot] = (sum[slot] ?? 0) + (more[slot] ?? 0);
  }
  return sum;
}
