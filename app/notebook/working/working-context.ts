import { createContext, useContext } from 'react';
import type { Edit } from '@core/notebook/edits';
import type { Workbook } from '@core/notebook/workbook';

/** What the parts of the Working page share. */
export interface WorkingState {
  /** On paper all rows are drawn: nobody can scroll there. */
  forPaper?: boolean;
  workbook: Workbook;
  edit: (edit: Edit) => boolean;
  closed: boolean;
  /** The row that is pointed at, in a table or on a graph: shown in both. */
  pointed: { table: string; row: string } | null;
  point: (pointed: { table: string; row: string } | null) => void;
  onCountTrial: (trial: number, reason: string | null) => void;
  say: (sentence: string | null) => void;
  onDropped: (dropped: { what: string; back: () => void }) => void;
}

export const WorkingContext = createContext<WorkingState | null>(null);

export function useWorking(): WorkingState {
  const state = useContext(WorkingContext);
  if (!state) throw new Error('this belongs on the Working page');
  return state;
}
