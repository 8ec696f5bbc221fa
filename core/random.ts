import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** A stream of chance that is the same for the same seed, on every machine. */
export interface Chance {
  /** Uniform in [0, 1). */
  uniform(): number;
  /** Standard normal. */
  normal(): number;
}

/** 32-bit FNV-1a of a text, with a final mix so that near texts give far numbers. */
function hash(text: string): number {
  let h = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) {
    h ^= text.charCodeAt(i);
    h = Math.imul(h, 0x01000193);
  }
  h ^= h >>> 16;
  h = Math.imul(h, 0x85ebca6b);
  h ^= h >>> 13;
  return h | 0;
}

/** A stream named by a seed and a purpose: `chance(seed, 'burette')` never disturbs `chance(seed, 'pipette')`. */
export function chance(seed: string, purpose: string): Chance {
  const generator = xoroshiro128plus(hash(`${purpose}\u0000${seed}`));
  const uniform = () => uniformFloat64(generator);
  return {
    uniform,
    // Box-Muller; 1 − u keeps the logarithm finite.
    normal: () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()),
  };
}

/** An error inside ±tolerance: normal with half the tolerance as its standard deviation, drawn again when outside. */
export function withinTolerance(tolerance: number, source: Chance): number {
  for (;;) {
    const error = source.normal() * 0.5 * tolerance;
    if (Math.abs(error) <= tolerance) return error;
  }
}

/** Standard deviation of {@link withinTolerance}, as a part of the tolerance: a normal one of half of it, cut at both ends. */
export const TOLERANCE_DEVIATION = 0.44;

/** 0 … length−1 in an order set by the seed (Fisher and Yates). */
export function shuffled(length: number, source: Chance): number[] {
  const order = Array.from({ length }, (_, i) => i);
  for (let i = length - 1; i > 0; i--) {
    const j = Math.floor(source.uniform() * (i + 1));
    const kept = order[i] as number;
    order[i] = order[j] as number;
    order[j] = kept;
  }
  return order;
}
