import fc from 'fast-check';
import { inject } from 'vitest';

/**
 * Properties are tried with the same examples in every run, so that a run that fails fails again; with others each time,
 * and ten times as many, in `npm run test:long`.
 */
fc.configureGlobal(inject('isLong') ? { numRuns: 1000 } : { seed: 20_261_201 });
