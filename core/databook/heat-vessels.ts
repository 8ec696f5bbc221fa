import type { SourceKey } from './sources';

/** Vessels that heat is measured in, with their stirrer: what they take up themselves, and what they let through. */
export interface HeatVessel {
  id: string;
  name: string;
  /** What it holds up to its rim, mL. */
  brimMl: number;
  innerDiameterMm: number;
  heightMm: number;
  /** Thickness that its wall is drawn with, mm. */
  wallMm: number;
  /** Empty, without lid and stirrer, about, g. */
  massG: number;
  /** Of itself with stirrer and the tip of a thermometer, as far as a liquid warms it, J/K. */
  jPerK: number;
  /** Between liquid and wall, W/K: stirred. */
  insideWPerK: number;
  /** From the wall to the room, W/K. */
  outsideWPerK: number;
  /** From the surface of the liquid to the room without evaporation, W/K: open, and under its lid. */
  topWPerK: { open: number; lid: number };
  /** What a lid is for it. */
  lid: string;
  source: SourceKey;
}

export const HEAT_VESSELS = [
  {
    id: 'foam-cup', name: 'foam cup', brimMl: 230, innerDiameterMm: 72, heightMm: 92, wallMm: 3, massG: 3.1, jPerK: 14,
    insideWPerK: 4, outsideWPerK: 0.11, topWPerK: { open: 0.1, lid: 0.03 }, lid: 'lid', source: 'model',
  },
  {
    id: 'glass-beaker', name: 'glass beaker', brimMl: 260, innerDiameterMm: 67, heightMm: 95, wallMm: 1.5, massG: 104, jPerK: 66,
    insideWPerK: 8, outsideWPerK: 0.22, topWPerK: { open: 0.1, lid: 0.03 }, lid: 'lid', source: 'model',
  },
  {
    id: 'vacuum-flask', name: 'vacuum flask', brimMl: 300, innerDiameterMm: 62, heightMm: 150, wallMm: 6, massG: 248, jPerK: 41,
    insideWPerK: 4, outsideWPerK: 0.012, topWPerK: { open: 0.09, lid: 0.008 }, lid: 'stopper', source: 'model',
  },
  {
    id: 'metal-can', name: 'metal can', brimMl: 250, innerDiameterMm: 70, heightMm: 88, wallMm: 1, massG: 61, jPerK: 58,
    insideWPerK: 12, outsideWPerK: 0.14, topWPerK: { open: 0.1, lid: 0.03 }, lid: 'lid', source: 'model',
  },
  {
    id: 'pail', name: 'pail', brimMl: 1250, innerDiameterMm: 116, heightMm: 122, wallMm: 1, massG: 188, jPerK: 86,
    insideWPerK: 30, outsideWPerK: 0.06, topWPerK: { open: 0.25, lid: 0.05 }, lid: 'lid', source: 'model',
  },
] as const satisfies readonly HeatVessel[]; // prettier-ignore
export type HeatVesselId = (typeof HEAT_VESSELS)[number]['id'];
export const HEAT_VESSEL_IDS = HEAT_VESSELS.map(({ id }) => id) as [HeatVesselId, ...HeatVesselId[]];

/** Vessels that liquids are mixed in: all but the pail, which stands in its jacket around a sealed vessel. */
export const CUPS = HEAT_VESSELS.filter(({ id }) => id !== 'pail');
export const CUP_IDS = CUPS.map(({ id }) => id) as [HeatVesselId, ...HeatVesselId[]];

/** The vessel that is sealed, filled with oxygen and lowered into the pail. */
export const SEALED_VESSEL = {
  diameterMm: 62,
  heightMm: 78,
  massG: 912,
  /** Of itself, with the gas in it, J/K. */
  jPerK: 436,
  /** What it holds, and what it displaces, mL. */
  holdsMl: 150,
  displacesMl: 235,
  /** Water in the pail that covers it, mL. */
  coveredFromMl: 620,
  /** The gauge pressure up to which it is filled, bar. */
  mostBar: 30,
} as const;

/** How far one of a kind may be off from what the data book says of its heat capacity, as a part. */
export const HEAT_VESSEL_TOLERANCE = 0.06;

/** @throws RangeError for a name that is not in the data book */
export function heatVesselOf(id: string): HeatVessel {
  const found = HEAT_VESSELS.find((entry) => entry.id === id);
  if (!found) throw new RangeError(`no vessel for heat is called "${id}"`);
  return found;
}
