/** Which readings stand, trial by trial, and count: the same for every family. */

interface Standing {
  trial: number;
  which: string;
  struck: string | null;
}
interface Trials<R extends Standing> {
  trial: number;
  readings: readonly R[];
  leftOut: Readonly<Record<number, string>>;
}

/** Trials begun so far that count, from 1. */
export const countingTrials = ({ trial, leftOut }: Pick<Trials<never>, 'trial' | 'leftOut'>): number[] =>
  Array.from({ length: trial }, (_, i) => i + 1).filter((number) => leftOut[number] === undefined);

/** What stands of one trial: nothing that was struck out. */
export const standingOf = <R extends Standing>({ readings }: { readings: readonly R[] }, trial: number): R[] =>
  readings.filter((r) => r.trial === trial && r.struck === null);

/** The reading that stands in a place. */
export const standingIn = <R extends Standing>(
  { readings }: { readings: readonly R[] },
  trial: number,
  which: R['which'],
): R | undefined => readings.findLast((r) => r.trial === trial && r.which === which && r.struck === null);

/** A reading that carries on: that of the last trial before this one that counts. @param suits whether it may come from that trial */
export function carriedTo<R extends Standing>(
  bench: Trials<R>,
  trial: number,
  which: R['which'],
  suits: (before: number) => boolean = () => true,
): R | undefined {
  for (let before = trial - 1; before > 0; before--) {
    const found = bench.leftOut[before] === undefined ? standingIn(bench, before, which) : undefined;
    if (found && suits(before)) return found;
  }
  return undefined;
}

/** What stands in the slots of a trial, in this bench and in the same one as it was: what was not read there is not read here. */
export function standingBoth<B extends { readings: readonly Standing[] }, S extends string, R extends Standing>(
  bench: B,
  was: B | undefined,
  slots: readonly S[],
  live: (of: B, which: S) => R | undefined,
): { slot: S; now: R; then: R | undefined; index: number }[] {
  return slots.flatMap((slot) => {
    const now = live(bench, slot);
    const then = was && live(was, slot);
    return now && !(was && !then) ? [{ slot, now, then, index: bench.readings.indexOf(now) }] : [];
  });
}

/** One thing for each entry, by its slot. */
export const bySlot = <E extends { slot: string }, T>(
  entries: readonly E[],
  of: (entry: E) => T,
): Partial<Record<E['slot'], T>> =>
  Object.fromEntries(entries.map((entry) => [entry.slot, of(entry)])) as Partial<Record<E['slot'], T>>;
