import { LRUCache } from 'lru-cache';
import { z } from 'zod';
import { emptyNotebook, type Notebook } from '@core/notebook/document';
import { applyEdit } from '@core/notebook/apply-edit';
import { weightOf } from '@core/notebook/weight';
import { editSchema, type Edit } from '@core/notebook/edits';
import { PRACTICAL_IDS, PRACTICALS } from '@core/practicals/registry';
import { maybeRow, pool, rows, transaction, type Db } from './db';
import { benchAt } from './benches';
import { foldInTurns, inLine, look } from './folding';
import { pictureOf } from './kept';
import { OWNED } from './runs';
import { NotFound, Refused } from './sentences';

/** Edits as a tab sends them, with the number of the last one it knows. */
export const sentEditsSchema = z.object({
  after: z.number().int().min(0).max(1_000_000),
  edits: z.array(z.object({ id: z.uuid(), edit: editSchema })).max(500),
});
type SentEdits = z.infer<typeof sentEditsSchema>;

interface NumberedEdit {
  number: number;
  id: string;
  edit: Edit;
}

interface EditsAnswer {
  /** Edits after the one that the tab knew, its own among them: so many at once, and whether there are more. */
  edits: NumberedEdit[];
  more: boolean;
  /** Those of the tab's own that are kept, by this post or an earlier one whose answer was lost. */
  kept: string[];
  /** Those that could not be made, with the sentence; they are not kept. */
  refused: { id: string; sentence: string }[];
}

interface HeldNotebook {
  number: number;
  notebook: Notebook;
}

/** Notebooks are values, folded from their edits; any process can do it again. */
const held = new LRUCache<string, HeldNotebook>({
  maxSize: 200e6,
  sizeCalculation: ({ notebook }) => 2_000 + 2 * weightOf(notebook),
});

/** How many edits a run's notebook holds: years of typing; a script would have more. */
const EDITS_AT_MOST = 30_000;

function hold(runId: string, next: HeldNotebook): void {
  const present = held.get(runId);
  if (!present || present.number < next.number) held.set(runId, next);
}

const editRow = z.object({ number: z.number(), id: z.uuid(), edit: editSchema });

/** How many edits one answer brings: a tab that knows none asks on, and never for all at once. */
const ANSWERED_AT_MOST = 300;

const editsAfter = (db: Db, runId: string, after: number, most = 1_000_000): Promise<NumberedEdit[]> =>
  rows(
    db,
    editRow,
    'select number, edit_id as id, edit from notebook_edits where run_id = $1 and number > $2 order by number limit $3',
    [runId, after, most],
  );

/** One kept edit more. What was accepted once is accepted again, since the same edits came before it. */
function folded(notebook: Notebook, edit: Edit): Notebook {
  const next = applyEdit(notebook, edit);
  return 'sentence' in next ? notebook : next.notebook;
}

/** A run's notebook after its last edit. Does not ask who wants it. @throws NotFound */
export async function presentNotebook(runId: string, db: Db = pool()): Promise<HeldNotebook> {
  let present = held.get(runId);
  if (!present) {
    const run = await maybeRow(
      db,
      z.object({ practical: z.enum(PRACTICAL_IDS), setup: z.unknown() }),
      'select practical, setup from runs where id = $1',
      [runId],
    );
    if (!run) throw new NotFound();
    present = { number: 0, notebook: emptyNotebook(PRACTICALS[run.practical].tables(run.setup)) };
  }
  present = await foldInTurns(await editsAfter(db, runId, present.number), present, (before, { number, edit }) => ({
    number,
    notebook: folded(before.notebook, edit),
  }));
  hold(runId, present);
  return present;
}

/**
 * Keeps a tab's edits after all that are kept already, and tells it what others did meanwhile. An edit that is kept
 * already is not kept twice.
 * @throws NotFound when no session owns the run, Refused when it is handed in and closed
 */
export const keepEdits = (runId: string, sent: SentEdits, tokens: Buffer[]): Promise<EditsAnswer> =>
  inLine(runId, () => keptEdits(runId, sent, tokens));

async function keptEdits(runId: string, sent: SentEdits, tokens: Buffer[]): Promise<EditsAnswer> {
  const refused: EditsAnswer['refused'] = [];
  const { present, edits, kept } = await transaction(async (db) => {
    const run = await maybeRow(
      db,
      z.object({ closed: z.boolean() }),
      `select r.closed_at is not null as closed from runs r where r.id = $1 and ${OWNED} for update of r`,
      [runId, tokens],
    );
    if (!run) throw new NotFound();
    if (run.closed && sent.edits.length > 0)
      throw new Refused('This run is handed in and closed; its notebook cannot change any more.', 'closed');
    let present = await presentNotebook(runId, db);
    if (present.number + sent.edits.length > EDITS_AT_MOST)
      throw new Refused(`A notebook takes ${EDITS_AT_MOST} changes, and this one is full. Hand in what you have.`);
    const known = await rows(
      db,
      z.object({ id: z.uuid() }),
      'select edit_id as id from notebook_edits where run_id = $1 and edit_id = any($2)',
      [runId, sent.edits.map((entry) => entry.id)],
    );
    const kept = new Set(known.map((row) => row.id));
    const fresh: NumberedEdit[] = [];
    for (const { id, edit } of sent.edits) {
      if (kept.has(id)) continue;
      const next = applyEdit(present.notebook, edit);
      if ('sentence' in next) {
        refused.push({ id, sentence: next.sentence });
        continue;
      }
      kept.add(id);
      present = { number: present.number + 1, notebook: next.notebook };
      fresh.push({ number: present.number, id, edit });
    }
    if (fresh.length > 0) {
      await db.query(
        `insert into notebook_edits (run_id, number, edit_id, edit)
         select $1, e.number, e.id, e.edit from jsonb_to_recordset($2::jsonb) as e(number integer, id uuid, edit jsonb)`,
        [runId, JSON.stringify(fresh)],
      );
    }
    const edits = await editsAfter(db, runId, sent.after, ANSWERED_AT_MOST);
    return { present, edits, kept: [...kept] };
  });
  hold(runId, present);
  keepSnapshots(runId, sent.edits, present.notebook).catch((error: unknown) =>
    console.error('snapshots were not kept:', error),
  );
  return { edits, kept, refused, more: (edits.at(-1)?.number ?? sent.after) < present.number };
}

/** So many pictures of one post are kept for good; a person makes one at a time. */
const SNAPSHOTS_AT_ONCE = 5;

/** What a snapshot shows is kept with it, so that it shows the same under any later release. */
async function keepSnapshots(runId: string, edits: SentEdits['edits'], notebook: Notebook): Promise<void> {
  const made = edits.flatMap(({ id, edit }) =>
    edit.kind === 'addSketch' &&
    edit.sketch.under !== 'nothing' &&
    notebook.sketches.some((sketch) => sketch.id === edit.sketch.id)
      ? [{ id, sketch: edit.sketch }]
      : [],
  );
  for (const { id, sketch } of made.slice(0, SNAPSHOTS_AT_ONCE)) {
    const bench = await look(() => benchAt(runId, sketch.act, sketch.atS));
    await pool().query('update notebook_edits set view = $3 where run_id = $1 and edit_id = $2 and view is null', [
      runId,
      id,
      JSON.stringify(pictureOf(bench.view())),
    ]);
  }
}
