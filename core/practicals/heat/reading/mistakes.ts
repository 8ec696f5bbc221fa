import { saltOf } from '../../../databook/salts';
import type { Bench, KeptReading } from '../bench';
import type { Slot } from '../plan';

/**
 * What a trial's readings would have come to without one mistake of the hands or the head, by the closed form of that mistake: the
 * sum that has to be added to a reading, by slot.
 */

type Kept = Readonly<Partial<Record<Slot, KeptReading>>>;
type Corrections = Partial<Record<Slot, number>>;

/** The last temperature read before, or after, all in the cup had come to one. */
const agree = ({ T2 }: Kept): Corrections => (T2 ? { T2: T2.about.commonC - T2.about.liquidC } : {});

/** Salt that still lay there when the temperature was read. */
function undissolved({ T2 }: Kept, { sample }: Bench): Corrections {
  if (!T2 || !sample.saltId) return {};
  const joules = 1000 * saltOf(sample.saltId).enthalpyKJPerMol * T2.about.lyingMol;
  return { T2: -joules / T2.about.allJPerK };
}

/** The metal that was weighed is not what lay in the cup. */
const pieces = ({ m, T2 }: Kept, { sample }: Bench): Corrections =>
  m && T2 && sample.metal ? { m: T2.about.inCupG - m.about.onPanG } : {};

/** Liquid that came or went between its weighing and the temperature before. */
const portion = ({ m2, T1 }: Kept): Corrections =>
  m2 && T1 && T1.about.liquidG > 0 ? { m2: T1.about.liquidG - m2.about.liquidG } : {};

/** The empty cup that was weighed is another than the one with the liquid, or was not empty. */
const cup = ({ m1, m2 }: Kept): Corrections =>
  m1 && m2 ? { m1: m2.about.cupG - m1.about.cupG - m1.about.liquidG - m1.about.inCupG } : {};

/** The pellet that was weighed is not the one that burnt. */
function pellet({ m, ms, T2 }: Kept): Corrections {
  const burnt = T2?.about.burnt;
  if (!burnt) return {};
  if (m && burnt.of === 'unknown') return { m: burnt.g - m.about.pelletG };
  return ms && burnt.of === 'standard' ? { ms: burnt.g - ms.about.pelletG } : {};
}

/** The lengths that were recorded are not those of the wire that burnt. */
const wire = ({ L1, L2, T2 }: Kept): Corrections =>
  L1 && L2 && T2?.about.burnt ? { L1: T2.about.burnt.wireCm - (L1.about.wireCm - L2.about.leftCm) } : {};

const MISTAKES: Record<string, (kept: Kept, bench: Bench) => Corrections> = {
  agree,
  undissolved,
  pieces,
  portion,
  cup,
  pellet,
  wire,
};

/** All that is to be added to a trial of a bench with causes switched off. */
export function correctionsFor(bench: Bench, kept: Kept): Corrections {
  const sum: Corrections = {};
  for (const key of bench.off) {
    const more = MISTAKES[key]?.(kept, bench) ?? {};
    for (const slot of Object.keys(more) as Slot[]) sum[slot] = (sum[slot] ?? 0) + (more[slot] ?? 0);
  }
  return sum;
}
