import type { Scale } from './scale';

/** Ruler and vernier calliper. */
export const TOOLS = ['ruler', 'calliper'] as const;
export type Tool = (typeof TOOLS)[number];

/** ISO 13385-1: a calliper that tells 0.05 mm may be off by as much; a steel ruler by a tenth of a millimetre. */
export const CALLIPER = { vernierMm: 0.05, toleranceMm: 0.05, capacityMm: 150 } as const;
export const RULER = { divisionMm: 1, capacityMm: 300 } as const;

/** Standard deviations of placing: how squarely the jaws sit, and how near to the zero mark an end is laid, mm. */
export const PLACING_MM = { calliper: 0.015, ruler: 0.15 } as const;

export const TOOL_SCALES: Record<Tool, Scale> = {
  calliper: {
    instrument: 'calliper',
    min: 0,
    max: CALLIPER.capacityMm,
    division: CALLIPER.vernierMm,
    decimals: 2,
    finest: CALLIPER.vernierMm,
    unit: 'mm',
  },
  ruler: {
    instrument: 'ruler',
    min: 0,
    max: RULER.capacityMm,
    division: RULER.divisionMm,
    decimals: 1,
    unit: 'mm',
  },
};

/** The mark of the vernier that stands in line with a mark of the main scale, from 0 to 20. */
export function vernierMark(gapMm: number): number {
  const part = gapMm - Math.floor(gapMm);
  return Math.round(part / CALLIPER.vernierMm);
}
