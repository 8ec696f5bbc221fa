/** Water as a vapour: how much of it a surface gives off, and what that costs. Temperatures in °C. */

/**
 * Pressure of water vapour over water, kPa; from 0 to 100 °C within 0.1 %.
 * Source: A. L. Buck, J. Appl. Meteorol. 20 (1981) 1527, with the constants of 1996.
 */
export const vapourPressureKPa = (tempC: number): number =>
  0.61121 * Math.exp((18.678 - tempC / 234.5) * (tempC / (257.14 + tempC)));

/** The temperature at which water boils under a pressure, by bisection. */
export function boilingC(pressureKPa: number): number {
  let [low, high] = [0, 150];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (vapourPressureKPa(middle) < pressureKPa) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Heat that a gram of water takes with it as vapour, J/g. Source: CRC Handbook, 97th ed., section 6, fitted from 0 to 100 °C. */
export const vaporisationJPerG = (tempC: number): number => 2500.8 - 2.42 * tempC;

/** Grams that a square centimetre of water gives off to still air in a second, for each kPa of vapour pressure over that of the air. */
const GIVEN_OFF = 2.7e-6;
/** Damp of the room's air, as a part of what it could hold. */
const DAMP = 0.5;

/** Vapour that the air of a room holds, kPa. */
export const airVapourKPa = (roomC: number): number => DAMP * vapourPressureKPa(roomC);

/** Water that a surface gives off, g/s; none where the air holds as much as lies over it. @param airKPa what the air holds */
export const evaporatingGPerS = (areaCm2: number, tempC: number, airKPa: number): number =>
  areaCm2 * GIVEN_OFF * Math.max(vapourPressureKPa(Math.min(tempC, 110)) - airKPa, 0);
