import type { SourceKey } from './sources';

/** Vessels that volumes are measured in, with catalogue dimensions; tolerances at 20 °C. */
export interface VesselEntry {
  id: string;
  name: string;
  capacityMl: number;
  /** Divisions of its scale, mL; null where it has none. */
  divisionMl: number | null;
  /** Volume between two numbered lines, mL. */
  numberedMl: number;
  /** Volume of the lowest line, mL. */
  lowestMl: number;
  /** Largest error of its scale, or of its one volume, mL. */
  toleranceMl: number;
  innerDiameterMm: number;
  heightMm: number;
  /** Up to its rim, mL. */
  brimMl: number;
  /** Empty, about, g. */
  massG: number;
  /** Stays behind when it is emptied, mL. */
  filmMl: number;
  source: SourceKey;
}

const cylinder = (
  capacityMl: number,
  divisionMl: number,
  numberedMl: number,
  lowestMl: number,
  toleranceMl: number,
  innerDiameterMm: number,
  heightMm: number,
  massG: number,
  filmMl: number,
): VesselEntry => ({
  id: `cylinder-${capacityMl}`,
  name: `${capacityMl} mL measuring cylinder`,
  capacityMl,
  divisionMl,
  numberedMl,
  lowestMl,
  toleranceMl,
  innerDiameterMm,
  heightMm,
  brimMl: 1.16 * capacityMl,
  massG,
  filmMl,
  source: 'iso4788',
});

export const VESSELS: readonly VesselEntry[] = [
  cylinder(10, 0.2, 1, 1, 0.1, 12, 140, 27, 0.08),
  cylinder(25, 0.5, 5, 2, 0.25, 17.5, 170, 42, 0.13),
  cylinder(50, 1, 10, 5, 0.5, 22, 200, 71, 0.2),
  cylinder(100, 1, 10, 10, 0.5, 27.5, 260, 108, 0.32),
  {
    id: 'beaker-100', name: '100 mL beaker', capacityMl: 100, divisionMl: 20, numberedMl: 20, lowestMl: 20, toleranceMl: 5,
    innerDiameterMm: 46, heightMm: 70, brimMl: 112, massG: 48, filmMl: 0.4, source: 'iso3819',
  },
  {
    id: 'beaker-250', name: '250 mL beaker', capacityMl: 250, divisionMl: 50, numberedMl: 50, lowestMl: 50, toleranceMl: 12.5,
    innerDiameterMm: 66, heightMm: 95, brimMl: 300, massG: 104, filmMl: 0.7, source: 'iso3819',
  },
  {
    id: 'density-bottle', name: '25 mL density bottle', capacityMl: 25, divisionMl: null, numberedMl: 25, lowestMl: 25, toleranceMl: 0.002,
    innerDiameterMm: 34, heightMm: 62, brimMl: 26.5, massG: 19, filmMl: 0.06, source: 'iso3507',
  },
]; // prettier-ignore

export const VESSEL_IDS = VESSELS.map((entry) => entry.id) as [string, ...string[]];

/** The bottle that a supply stands in: no scale, wide enough to pour from. */
const SUPPLY: VesselEntry = {
  id: 'supply', name: 'bottle', capacityMl: 250, divisionMl: null, numberedMl: 250, lowestMl: 250, toleranceMl: 0,
  innerDiameterMm: 60, heightMm: 130, brimMl: 280, massG: 230, filmMl: 0.7, source: 'model',
}; // prettier-ignore

/** @throws RangeError for a name that is not in the data book */
export function vesselOf(id: string): VesselEntry {
  const found = id === SUPPLY.id ? SUPPLY : VESSELS.find((entry) => entry.id === id);
  if (!found) throw new RangeError(`no vessel is called "${id}"`);
  return found;
}

/** Graduated pipettes and droppers take an amount from one vessel to another. */
export const GRADUATED_PIPETTE = {
  capacityMl: 10,
  divisionMl: 0.1,
  toleranceMl: 0.05,
  source: 'iso835',
} as const;

/** Mean volume of a drop from a dropper, mL. */
export const DROPPER_DROP_ML = 0.045;
