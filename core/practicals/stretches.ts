/** Particles that are let fly for a typed stretch and then stand: what families of them have in common. */

/** A stretch: which one it is, when on the bench clock it began, s, and from where to where of their flight it goes, ps. */
export interface Stretch {
  number: number;
  beganS: number;
  fromPs: number;
  toPs: number;
}

export const NO_STRETCH: Stretch = { number: 0, beganS: 0, fromPs: 0, toPs: 0 };

/** The time of their flight at a bench time, ps: they stand when the stretch is over. */
export const psIn = ({ beganS, fromPs, toPs }: Stretch, timeS: number, psPerS: number): number =>
  Math.max(Math.min(toPs, fromPs + (timeS - beganS) * psPerS), fromPs);

/** When they will stand, on the bench clock, s. */
export const standsAtS = ({ beganS, fromPs, toPs }: Stretch, psPerS: number): number =>
  beganS + (toPs - fromPs) / psPerS;

/** A stretch that begins now. */
export const nextStretch = (last: Stretch, timeS: number, nowPs: number, ps: number): Stretch => ({
  number: last.number + 1,
  beganS: timeS,
  fromPs: nowPs,
  toPs: nowPs + ps,
});

/** What can be let fly. */
interface Flies<F> {
  copy(): F;
  to(ps: number): void;
}

/**
 * Time passes: they fly on as far as the stretch goes.
 * @param seenOf what of the bench follows from how they fly
 */
export function flownOn<F extends Flies<F>, B extends { paused: boolean; timeS: number; nowPs: number; flying: F }>(
  bench: B,
  seconds: number,
  stretch: Stretch,
  psPerS: number,
  seenOf: (flying: F) => Partial<B>,
): B {
  if (bench.paused || !(seconds > 0)) return bench;
  const timeS = bench.timeS + seconds;
  const ps = psIn(stretch, timeS, psPerS);
  if (ps <= bench.nowPs) return { ...bench, timeS };
  const flying = bench.flying.copy();
  flying.to(ps);
  return { ...bench, timeS, ...seenOf(flying) };
}

/** The trial that the next reading belongs to, where each stretch is one. */
export function trialOfStretch(
  readings: readonly { trial: number; struck: string | null; run: number }[],
  trial: number,
  stretch: Stretch,
): number {
  const own = readings.filter((r) => r.trial === trial && r.struck === null);
  return own.length === 0 || own.some((r) => r.run === stretch.number) ? trial : trial + 1;
}
