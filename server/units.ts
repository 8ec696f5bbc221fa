import { unitOf } from '@core/notebook/units';

/** Whether Fen can work with a unit: kept here, so that pages that only list units need not load how they are read. */
export const unitExists = (unit: string): boolean => unitOf(unit) !== undefined;
