/** Volumetric glassware with its catalogue dimensions; tolerances at 20 °C. */

export interface Burette {
  capacityMl: number;
  divisionMl: number;
  /** Largest error between any two points of the scale. */
  toleranceMl: number;
  /** Length of the graduated part. */
  scaleMm: number;
  outerDiameterMm: number;
  source: 'iso385';
}

/** ISO 385: 50 mL, divided in 0.1 mL, class A. The standard bounds the scale's length; 500 mm lies within it. */
export const BURETTE_50: Burette = {
  capacityMl: 50,
  divisionMl: 0.1,
  toleranceMl: 0.05,
  scaleMm: 500,
  outerDiameterMm: 13.5,
  source: 'iso385',
};

interface Pipette {
  capacityMl: 10 | 20 | 25 | 50;
  toleranceMl: number;
  lengthMm: number;
  bulbDiameterMm: number;
  source: 'iso648';
}

/** ISO 648, class A. */
export const PIPETTES: readonly Pipette[] = [
  { capacityMl: 10, toleranceMl: 0.02, lengthMm: 440, bulbDiameterMm: 11, source: 'iso648' },
  { capacityMl: 20, toleranceMl: 0.03, lengthMm: 510, bulbDiameterMm: 15, source: 'iso648' },
  { capacityMl: 25, toleranceMl: 0.03, lengthMm: 520, bulbDiameterMm: 17, source: 'iso648' },
  { capacityMl: 50, toleranceMl: 0.05, lengthMm: 540, bulbDiameterMm: 23, source: 'iso648' },
];

interface VolumetricFlask {
  capacityMl: 100 | 250;
  toleranceMl: number;
  source: 'iso1042';
}

/** ISO 1042, class A. */
export const VOLUMETRIC_FLASKS: readonly VolumetricFlask[] = [
  { capacityMl: 100, toleranceMl: 0.1, source: 'iso1042' },
  { capacityMl: 250, toleranceMl: 0.15, source: 'iso1042' },
];

/** @throws RangeError when no volumetric flask of this size is in the data book */
export function volumetricOf(capacityMl: number): VolumetricFlask {
  const found = VOLUMETRIC_FLASKS.find((entry) => entry.capacityMl === capacityMl);
  if (!found) throw new RangeError(`no volumetric flask of ${capacityMl} mL`);
  return found;
}

/** @throws RangeError when no pipette of this size is in the data book */
export function pipetteOf(capacityMl: number): Pipette {
  const found = PIPETTES.find((entry) => entry.capacityMl === capacityMl);
  if (!found) throw new RangeError(`no pipette of ${capacityMl} mL`);
  return found;
}
