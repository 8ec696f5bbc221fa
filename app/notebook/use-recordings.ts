import { useMemo } from 'react';
import type { BenchRecordings } from '@core/notebook/readings';

/** What a bench gives to its notebook: the same object for as long as nothing is recorded, however the bench moves. */
export function useRecordings({ readings, trial, leftOut, logged }: BenchRecordings): BenchRecordings {
  return useMemo(() => ({ readings, trial, leftOut, logged }), [readings, trial, leftOut, logged]);
}
