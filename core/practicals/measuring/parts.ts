/**
 * What was there beside the number of a reading, in parts, so that one way of going wrong can be told from another.
 * Masses in g, volumes in mL. Never in a view.
 */
export interface About {
  /** The vessel that was read or stood on the pan; null for pieces that lay on it. */
  vessel: number | null;
  vesselG: number;
  /** Liquid in it, with what splashed or was carried away since it was filled: only what was poured changes it. */
  keptMl: number;
  keptG: number;
  /** Liquid that stood in it beyond what clings to an empty one. */
  beyondFilmG: number;
  /** Pieces on the pan or in the vessel, without the sinker; on a balance less those that were there when it was tared. */
  piecesG: number;
  /** What a density bottle is short of the liquid that its engraved volume means; 0 of all else. */
  shortG: number;
  /** Air caught under what lies in it. */
  airMl: number;
  stoppered: boolean;
  /** Load, pieces left out, to which the balance was set to zero, and the load for which it should have been. */
  zeroG: number;
  rightZeroG: number;
}

export const NOTHING: About = {
  vessel: null,
  vesselG: 0,
  keptMl: 0,
  keptG: 0,
  beyondFilmG: 0,
  piecesG: 0,
  shortG: 0,
  airMl: 0,
  stoppered: false,
  zeroG: 0,
  rightZeroG: 0,
};

/** What the balance was set to zero for: kept when it is tared. */
export interface Tared {
  loadG: number;
  piecesG: number;
  vessel: number | null;
  keptG: number;
}

export const NOT_TARED: Tared = { loadG: 0, piecesG: 0, vessel: null, keptG: 0 };
