/** What goes on by itself, in two ways that are exact under splitting: `advance(a + b)` is `advance(a)` then `advance(b)`. */

interface Timed {
  /** Bench time, s. */
  timeS: number;
  paused: boolean;
}

/** Time passes, and with it what depends on nothing but how long it was; nothing does while the clock is stopped. */
export const passed = <Bench extends Timed>(
  bench: Bench,
  seconds: number,
  changed: (bench: Bench, timeS: number) => Partial<Bench>,
): Bench => {
  if (bench.paused || !(seconds > 0)) return bench;
  const timeS = bench.timeS + seconds;
  return { ...bench, ...changed(bench, timeS), timeS };
};

/** A bench between whose events everything runs in closed form. */
interface ByEvents<Bench extends Timed, Event> {
  /** Seconds until something changes its course, and what; infinite when nothing will. An event must not leave itself due. */
  next(bench: Bench): { inS: number; event: Event };
  /** All that goes on over a stretch without events. */
  flow(bench: Bench, seconds: number): Bench;
  /** What an event changes, at its moment. */
  happen(bench: Bench, event: Event): Bench;
}

/** Time passes up to each event and from there on, s; nothing does while the clock is stopped. */
export function advanceByEvents<Bench extends Timed, Event>(
  bench: Bench,
  seconds: number,
  { next, flow, happen }: ByEvents<Bench, Event>,
): Bench {
  if (bench.paused || !(seconds > 0)) return bench;
  const endS = bench.timeS + seconds;
  let now = bench;
  for (;;) {
    const { inS, event } = next(now);
    const leftS = endS - now.timeS;
    if (inS > leftS) return { ...flow(now, leftS), timeS: endS };
    const then = flow(now, inS);
    now = happen({ ...then, timeS: now.timeS + inS }, event);
  }
}

/**
 * Time passes by steps at the whole multiples of their length, wherever a stretch begins or ends; nothing does while the
 * clock is stopped.
 * @param stepS length of a step, s; infinite while nothing goes on
 * @param step the bench at the moment of a step, brought over the step that ends there
 */
export function advanceBySteps<Bench extends Timed>(
  bench: Bench,
  seconds: number,
  stepS: number,
  step: (bench: Bench) => Bench,
): Bench {
  if (bench.paused || !(seconds > 0)) return bench;
  const endS = bench.timeS + seconds;
  let now = bench;
  for (let number = Math.floor(bench.timeS / stepS) + 1; number * stepS <= endS; number++)
    now = step({ ...now, timeS: number * stepS });
  return { ...now, timeS: endS };
}

interface Stepped extends Timed {
  /** Up to when what goes on by itself has been brought, s. */
  steppedS: number;
}
/** What goes on by itself, being brought on: to a moment, or through it where a long step would still lie before it. */
export interface Stretch<Bench> {
  to(timeS: number, through?: boolean): void;
  end(timeS: number): Bench;
}

/** A bench whose steps are of several lengths, none shorter than one of them. @param begin a stretch from where a bench stands */
export const byStretches = <Bench extends Stepped>(stepS: number, begin: (bench: Bench) => Stretch<Bench>) => ({
  /** Time passes; nothing does while the clock is stopped. */
  advance(bench: Bench, seconds: number): Bench {
    if (bench.paused || !(seconds > 0)) return bench;
    const endS = bench.timeS + seconds;
    if (endS - bench.steppedS < stepS) return { ...bench, timeS: endS };
    const stretch = begin(bench);
    stretch.to(endS);
    return stretch.end(endS);
  },
  /** As things stand at this moment: what a long step would still have to bring is brought, before anything is done. */
  broughtUp(bench: Bench): Bench {
    if (bench.timeS - bench.steppedS < stepS) return bench;
    const stretch = begin(bench);
    stretch.to(bench.timeS, true);
    return stretch.end(bench.timeS);
  },
});
