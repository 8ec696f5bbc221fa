import type { Bench } from '../bench';
import type { Stir, Tube } from '../bodies';
import { filledG, frozenPart } from './tube';

/** What is seen of the test tube. */
export interface SeenTube {
  at: Tube['at'];
  jacket: boolean;
  stir: Stir;
  /** How high it is filled, mm. */
  levelMm: number;
  /** Tenths of it that are frozen, from the wall inwards. */
  frozen: number;
  /** Solute that lies there undissolved. */
  lying: boolean;
}

/** A gram of most of these fills so much of a tube, mm. */
const MM_PER_G = 2.6;

export function seenTube(bench: Bench): SeenTube | null {
  const { tube } = bench;
  if (!tube) return null;
  const { at, jacket, stir, lyingG } = tube;
  return {
    at,
    jacket,
    stir,
    levelMm: 4 * Math.round((filledG(tube) * MM_PER_G) / 4),
    frozen: Math.max(Math.ceil(10 * frozenPart(bench, tube) - 1e-9), 0),
    lying: lyingG > 0.005,
  };
}
