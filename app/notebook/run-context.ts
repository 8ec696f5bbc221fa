import { createContext, useContext } from 'react';
import type { AnyLabels } from '@core/practicals/registry';

/** The run that a notebook belongs to, for whatever in it shows the bench. */
interface RunInfo {
  runId: string;
  labels: AnyLabels;
  sampleNumber: string;
}

export const RunContext = createContext<RunInfo | null>(null);

export function useRun(): RunInfo {
  const run = useContext(RunContext);
  if (!run) throw new Error('a notebook stands inside a RunContext');
  return run;
}
