import { BURETTE_50, type Burette } from '../databook/glassware';
import { withinTolerance, type Chance } from '../random';
import type { Scale } from './scale';

/** One burette, with an error of its own: the volume that leaves is the volume read times (1 + scaleError). */
export interface BurettePiece {
  scaleError: number;
}

/** A piece drawn within the tolerance of its class, which bounds the error over the whole scale. */
export function drawBurette(source: Chance, kind: Burette = BURETTE_50): BurettePiece {
  return { scaleError: withinTolerance(kind.toleranceMl, source) / kind.capacityMl };
}

/** The scale reads downwards: 0 at the top, the capacity at the bottom. */
export function scaleReading(liquidMl: number, piece: BurettePiece, kind: Burette = BURETTE_50): number {
  return kind.capacityMl - liquidMl / (1 + piece.scaleError);
}

/** True volume above the lowest mark at a scale reading. */
export function liquidAt(readingMl: number, piece: BurettePiece, kind: Burette = BURETTE_50): number {
  return (kind.capacityMl - readingMl) * (1 + piece.scaleError);
}

/** What an eye can tell through the loupe: a two-hundredth of a millilitre. */
export function seenLevel(readingMl: number): number {
  return Math.round(readingMl * 200) / 200;
}

export const BURETTE_SCALE: Scale = {
  instrument: 'burette',
  min: 0,
  max: BURETTE_50.capacityMl,
  division: BURETTE_50.divisionMl,
  decimals: 2,
  unit: 'mL',
};

/** How far above the 0 mark the tube can be filled before it runs over, mL. */
export const BURETTE_HEADROOM_ML = 3;

/** What still stands below the 50 mL mark and can run out, mL. */
export const BURETTE_BELOW_ML = 2;
