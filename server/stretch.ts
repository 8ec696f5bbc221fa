import { FRAMES, stretchS } from '@core/practicals/bench-clock';
import type { AnyBench } from '@core/practicals/registry';

/** What a bench does by itself after it was shown, worked out as far as it was wanted: by the bench that was shown. */
const ahead = new WeakMap<AnyBench, readonly AnyBench[]>();

/**
 * The bench at the moments of the next stretch, a frame apart, or fewer when it comes to rest; none beyond the stretch.
 * Whoever watches asks on before a stretch is over: what the last one reached beyond that is not worked out twice.
 */
export function stretchOf(shown: AnyBench): readonly AnyBench[] {
  const known = ahead.get(shown) ?? [];
  const [stepS, endS] = [stretchS(shown.pace) / FRAMES, shown.clockS + stretchS(shown.pace) + 1e-6];
  const moments = [...known];
  for (let last = moments.at(-1) ?? shown; last.running && last.clockS + stepS <= endS;) {
    last = last.advance(stepS);
    moments.push(last);
  }
  ahead.set(shown, moments);
  return moments;
}

/** A bench that was watched on to a later time: from the nearest moment that was worked out. */
export function watchedTo(shown: AnyBench, atS: number): AnyBench {
  const known = ahead.get(shown) ?? [];
  const before = known.findLast((moment) => moment.clockS <= atS) ?? shown;
  const then = before.advance(atS - before.clockS);
  ahead.set(
    then,
    known.filter((moment) => moment.clockS > atS),
  );
  return then;
}
