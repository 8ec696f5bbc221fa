import type { Bench } from '../bench';
import { fuelIn } from './lamps';
import type { Lamp, Pellet, Sealed, Wire } from '../bodies';

/** What is seen of the sealed vessel and of the lamps. */

export interface SeenSealed {
  at: Sealed['at'];
  isOpen: boolean;
  gaugeBar: number;
  wire: Wire;
  /** What a rule says of the wire, or of what is left of it, cm; null where it cannot be got at. */
  wireText: string | null;
  pellet: Pick<Pellet, 'of' | 'at'> | null;
  /** Seen in an open vessel. */
  soot: boolean;
  isFlooded: boolean;
}

export interface SeenLamps {
  lamps: {
    at: Lamp['at'];
    state: Lamp['state'];
    levelMl: number;
    /** What colour it burns with; null where it does not. */
    flame: 'blue' | 'yellow' | null;
  }[];
  gapMm: number;
  screen: boolean;
}

export function seenSealed({ sealed, pellet }: Bench): SeenSealed | null {
  if (!sealed) return null;
  const { at, isOpen, gaugeBar, wire, wireCm, leftCm, soot, isFlooded } = sealed;
  const isInReach = isOpen && at === 'stand' && wire !== 'none';
  return {
    at,
    isOpen,
    gaugeBar,
    // Through its wall nobody sees whether the wire has burnt, nor the pellet.
    wire: isOpen ? wire : 'none',
    wireText: isInReach ? (wire === 'burnt' ? leftCm : wireCm).toFixed(1) : null,
    pellet: pellet && (pellet.at === 'vessel' && !isOpen ? null : { of: pellet.of, at: pellet.at }),
    soot: isOpen && soot,
    isFlooded: isOpen && isFlooded,
  };
}

/** With less of its heat than this a flame glows with soot. */
const GLOWS_BELOW = 0.97;

export function seenLamps(bench: Bench): SeenLamps | null {
  const { lamps, gapMm, screen } = bench;
  if (lamps.length === 0) return null;
  return {
    lamps: lamps.map(({ at, state, fuelG }, n) => ({
      at,
      state,
      levelMl: 2 * Math.round(fuelG / 1.6),
      flame: state !== 'lit' ? null : fuelIn(bench, n).cleanPart < GLOWS_BELOW ? 'yellow' : 'blue',
    })),
    gapMm,
    screen,
  };
}
