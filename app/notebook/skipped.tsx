import { counted } from '@core/analysis/quantity';

/** Said of a run that was begun under an earlier version of Fen, where this one could not do all of it again. */
export function Skipped({ acts }: { acts: number }) {
  if (acts === 0) return null;
  return (
    <p role="note" className="bg-mist text-sedge px-4 py-2 text-sm">
      This run was begun under an earlier version of Fen. {counted(acts, 'act')} could not be done again under this one,
      so the bench may stand otherwise than before; every reading is what it was when it was recorded.
    </p>
  );
}
