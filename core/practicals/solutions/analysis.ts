/** Standard uncertainty of an amount that a slip tells: a part of it, and mmol. */
export const SLIP_PART = 0.004;
export const SLIP_MMOL = 0.0006;
/** Less than this is not found: the slip says 0, mmol. */
export const FOUND_MMOL = 2 * SLIP_MMOL;
