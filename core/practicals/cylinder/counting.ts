import { kelvinOf } from '../../physics/kinetic';
import type { Flying, Seen } from './flying';
import { LOOK_PS, type Slot } from './plan';

/** What counters show of a stretch, and how sure its means are: worked out alike by server and browser. */

/** A stretch is cut into so many parts to see how much its means waver; fewer looks than twice as many tell nothing of that. */
const PARTS = 10;
/** That near to the top, as a part of the height, a free piston lies against its stop. */
const AT_STOP = 0.005;

const sum = (values: readonly number[]) => values.reduce((all, value) => all + value, 0);
const mean = (values: readonly number[]) => sum(values) / values.length;

function deviation(values: readonly number[]): number {
  const middle = mean(values);
  return Math.sqrt(sum(values.map((value) => (value - middle) ** 2)) / (values.length - 1));
}

/**
 * Standard uncertainty of a mean of looks that hang together: by the scatter of the means of ten parts one after another, made
 * larger where neighbours are alike; null where there are too few.
 * Source: H. Flyvbjerg, H. G. Petersen, J. Chem. Phys. 91 (1989) 461, for means of parts.
 */
export function uncertaintyOfMean(values: readonly number[]): number | null {
  const long = Math.floor(values.length / PARTS);
  if (long < 2) return null;
  const parts = Array.from({ length: PARTS }, (_, part) => mean(values.slice(part * long, (part + 1) * long)));
  const middle = mean(parts);
  const square = sum(parts.map((value) => (value - middle) ** 2));
  const beside = sum(parts.slice(1).map((value, i) => (value - middle) * ((parts[i] as number) - middle)));
  const alike = square > 0 ? Math.min(Math.max(beside / square, 0), 0.6) : 0;
  return Math.sqrt((square / (PARTS - 1) / PARTS) * ((1 + alike) / (1 - alike)));
}

/** What the counters show; null where there is nothing to show of it. */
export interface Counted {
  values: Readonly<Record<Slot, number | null>>;
  /** Standard uncertainties of the means. */
  uncertainties: Readonly<Partial<Record<Slot, number>>>;
  /** Whether the pin was moving the piston when counting began. */
  wasDriven: boolean;
  /** Whether the piston, the pin being out, lay against its upper stop at any look. */
  wasAtStop: boolean;
}

export function countedOf(flying: Flying): Counted {
  const { isFree, mostNm3 } = flying;
  const looks = flying.looks();
  const of = (slot: keyof Seen) => looks.map((look) => look[slot]);
  const isEmpty = looks.length === 0;
  const [P, V, E] = [of('P'), of('V'), of('E')];
  const { count, push, last } = flying.impacts();
  const meanOf = (values: readonly number[]) => (isEmpty ? null : mean(values));
  const middle = meanOf(E);
  const uncertain = { P: uncertaintyOfMean(P), V: uncertaintyOfMean(V), E: uncertaintyOfMean(E) };
  const single = flying.isToImpact;
  const values = {
    // All pushes on all walls: where the walls of a free piston come and go, that is not the mean of the pressures.
    P: isEmpty ? null : sum(looks.map((look) => look.P * look.A)) / sum(of('A')),
    V: meanOf(V),
    T: middle === null ? null : kelvinOf(middle),
    N: isEmpty ? null : flying.count,
    E: middle,
    s: looks.length < 2 ? null : deviation(E),
    v: meanOf(of('v')),
    f: isEmpty ? null : 100 * mean(of('f')),
    n: isEmpty ? null : count,
    p: isEmpty || count === 0 ? null : push / count,
    d: isEmpty ? null : looks.length * LOOK_PS,
  };
  const nothing = Object.fromEntries(Object.keys(values).map((slot) => [slot, null])) as Record<
    keyof typeof values,
    null
  >;
  // A stretch that ends when something comes would tell too much of how often that is.
  const shown = single ? { ...nothing, u: last && last.speed, q: last && last.push } : { ...values, u: null, q: null };
  return {
    values: shown,
    uncertainties: single
      ? {}
      : {
          ...(uncertain.P !== null && { P: uncertain.P }),
          ...(uncertain.V !== null && isFree && { V: uncertain.V }),
          ...(uncertain.E !== null && { E: uncertain.E, T: kelvinOf(uncertain.E) }),
        },
    wasDriven: flying.wasDriven,
    wasAtStop: isFree && V.some((one) => one > (1 - AT_STOP) * mostNm3),
  };
}
