import type { Solution } from '../../chemistry/solution';
import type { HeatVesselId } from '../../databook/heat-vessels';
import type { ThermometerPiece } from '../../instruments/thermometer';

/** What stands on the bench of heat, each thing as it is at a moment. */

export const STIRS = ['off', 'hand', 'motor'] as const;

export type Stir = (typeof STIRS)[number];

export const VESSELS = ['cup', 'beaker'] as const;

export type VesselKey = (typeof VESSELS)[number];

/** A vessel, and what is in it beside pieces of metal. */
export interface Vessel {
  type: HeatVesselId;
  at: 'bench' | 'bath';
  lid: boolean;
  stir: Stir;
  liquid: Solution;
  liquidC: number;
  wallC: number;
  /** Heat capacity of wall and stirrer, J/K; without the tip of a thermometer, which is a body of its own. */
  wallJPerK: number;
  massG: number;
  /** Heat of what has reacted that has not come out yet, J. */
  lateJ: number;
  /** Salt that lies in it undissolved, mol. */
  lyingMol: number;
}

/** Where a piece of metal can be. */
export const PIECE_PLACES = ['dish', 'tongs', 'bath', 'block', 'cup'] as const;

export type PiecePlace = (typeof PIECE_PLACES)[number] | 'pan';

export interface Piece {
  at: PiecePlace;
  tempC: number;
  /** Water that clings to it, as warm as it is, g. */
  filmG: number;
}

export const THERMOMETER_PLACES = ['stand', 'cup', 'beaker', 'bath', 'block', 'tube', 'cold'] as const;

export type ThermometerPlace = (typeof THERMOMETER_PLACES)[number];

export interface Thermometer {
  piece: ThermometerPiece;
  at: ThermometerPlace;
  tipC: number;
}

/** What is brought to a temperature and held there. */
export interface Warmer {
  setC: number;
  tempC: number;
}

export interface Boat {
  /** Salt to be tipped, and what clung when it was, g. */
  saltG: number;
  clingsG: number;
  massG: number;
}

/** What stands on the pan. */
export type OnPan = VesselKey | 'boat' | 'piece' | 'pellet' | 'lamp' | 'tube';

export const TUBE_PLACES = ['stand', 'bath', 'cold'] as const;

/** A melt that froze, at the moment at which its first crystals came: what there was then. */
export interface Frozen {
  /** Which melting it was, from 1: lines of the log are of the same number. */
  melts: number;
  /** Which tube of the run it was in: what was weighed belongs to one. */
  cup: number;
  /** By the bench clock, s. */
  atS: number;
  /** Of the first jar and of the second, g. */
  solventG: number;
  otherG: number;
  soluteMol: number;
  lyingG: number;
  /** Solute that was ever put in, g. */
  soluteG: number;
  /** The thermometer that stood in it, from 0; null where none did. */
  by: number | null;
}

/** The last crystal of something gone: where it melted. */
export type Melted = Pick<Frozen, 'melts' | 'cup' | 'atS' | 'solventG' | 'otherG' | 'soluteG' | 'by'>;

export interface Tube {
  at: (typeof TUBE_PLACES)[number] | 'pan';
  jacket: boolean;
  stir: Stir;
  massG: number;
  /** What came from the first jar of what is melted, and from the second, g. */
  substanceG: number;
  otherG: number;
  /** Solute that lies there undissolved, g, and that is dissolved, mol. */
  lyingG: number;
  soluteMol: number;
  /** Of the solvent, g, and of what is dissolved in it, mol. */
  frozenG: number;
  frozenMol: number;
  tempC: number;
  /** Whether there are crystals in it: without them it cools below where it freezes. */
  hasCrystals: boolean;
  /** How much chance of crystals has gone by, and how much of it there has to be. */
  hazard: number;
  until: number;
  /** How often it was molten whole. */
  melts: number;
  runs: readonly Frozen[];
  meltings: readonly Melted[];
}

export interface Lamp {
  fuelG: number;
  /** Of the lamp without fuel, g. */
  bodyG: number;
  at: 'mat' | 'can' | 'pan';
  state: 'capped' | 'open' | 'lit';
  /** The portion of water that it warmed last; null before the first. */
  usedIn: number | null;
}

export const STUFFS = ['standard', 'unknown'] as const;

export type Stuff = (typeof STUFFS)[number];

export interface Pellet {
  of: Stuff;
  g: number;
  at: 'dish' | 'pan' | 'vessel';
}

/** How the wire lies: none, straight over the pellet, bent down to it, burnt through. */
export type Wire = 'none' | 'straight' | 'touching' | 'burnt';

export interface Sealed {
  at: 'stand' | 'pail';
  isOpen: boolean;
  /** Over the pressure of the room, bar; air alone is 0. */
  gaugeBar: number;
  wire: Wire;
  /** Of the wire when it was put in, and of what is left of it, cm. */
  wireCm: number;
  leftCm: number;
  /** Water that ran in, which lets nothing burn. */
  isFlooded: boolean;
  /** What did not burn, or not to the end: seen when it is opened. */
  soot: boolean;
  tempC: number;
  jPerK: number;
  /** Heat of what has burnt that has not reached its wall yet, J. */
  lateJ: number;
}

/** What burnt last: for the teacher's causes, never in a view. */
export interface Burnt {
  of: Stuff;
  g: number;
  wireCm: number;
}

/**
 * What was there beside the number of a reading, in parts, so that one way of going wrong can be told from another. Masses in g,
 * temperatures in °C. Never in a view.
 */
export interface About {
  /** The cup of that moment, empty, and what liquid stood in it. */
  cupG: number;
  liquidG: number;
  /** Pieces of metal in the cup, on the pan, and in what heats them. */
  inCupG: number;
  inHeaterG: number;
  onPanG: number;
  type: HeatVesselId;
  /** Which cup of the run it was. */
  cup: number;
  /** What a gram of that liquid takes up, J/(g K); 0 of nothing. */
  jPerGK: number;
  /** Of all that is in the cup, and the cup itself, J/K. */
  allJPerK: number;
  /** The thermometer that is looked at, from 0. */
  thermometer: number;
  /** What was measured into the cup out of each bottle, mL. */
  measuredMl: readonly number[];
  /** Salt that lay in the cup undissolved, mol; and that clung to the boat, g. */
  lyingMol: number;
  clingsG: number;
  /** Oxygen in the sealed vessel, bar over the room's pressure; whether soot lies in it. */
  gaugeBar: number;
  soot: boolean;
  /** From the wick to the can, mm, and whether the screen stood around it. */
  gapMm: number;
  screen: boolean;
  /** The pellet on the pan, g; the wire that lies in the sealed vessel, and what is left of one, cm; what burnt there last. */
  pelletG: number;
  wireCm: number;
  leftCm: number;
  burnt: Burnt | null;
  /** What the test tube weighs empty, and what solvent and solute are in it, g. */
  tubeG: number;
  /** The weighing boat with what is in it, g. */
  boatG: number;
  solventG: number;
  soluteG: number;
  /** Part of a flame's heat that the can over it takes up. */
  caught: number;
  /** The liquid in the cup, and what all in the cup would come to that keeps its heat to itself. */
  liquidC: number;
  commonC: number;
}
