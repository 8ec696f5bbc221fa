/** A drying oven: its temperature is set, and it comes there at its own pace. Temperatures in °C. */
export interface Oven {
  setC: number;
  /** What it was at when it was set, and when that was. */
  fromC: number;
  sinceS: number;
}

export const OVEN_C = { least: 40, most: 300 } as const;
const WARMS_K_PER_S = 0.6;
const COOLS_K_PER_S = 0.2;

/** When it is at what it was set to, s. */
export const thereAtS = ({ setC, fromC, sinceS }: Oven): number =>
  sinceS + Math.abs(setC - fromC) / (setC > fromC ? WARMS_K_PER_S : COOLS_K_PER_S);

export function ovenC(oven: Oven, timeS: number): number {
  const whole = thereAtS(oven) - oven.sinceS;
  const gone = whole > 0 ? Math.min((timeS - oven.sinceS) / whole, 1) : 1;
  return oven.fromC + (oven.setC - oven.fromC) * gone;
}
