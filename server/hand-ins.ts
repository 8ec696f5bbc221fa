import { z } from 'zod';
import { short, significant } from '@core/analysis/quantity';
import { answerSchema, notebookSchema } from '@core/notebook/document';
import { reportSchema, type Ask } from '@core/report/asks';
import { checkedItemSchema, type CheckedItem } from '@core/report/checked-item';
import { amissText } from '@core/report/grid';
import { differenceOf, missedBy, noteOn, verdictOn } from '@core/report/verdict';
import { atRest, presentBench } from './benches';
import { maybeRow, pool, rows, transaction } from './db';
import { tellClass } from './feed';
import { inLine } from './folding';
import { benchToKeep, closeRun } from './kept';
import { noteTruthTold, type Knowledge } from './knowledge';
import { presentNotebook } from './notebooks';
import { ownRun } from './runs';
import { NotFound, Refused } from './sentences';

const handInRow = z.object({
  number: z.number(),
  answers: z.record(z.string(), answerSchema),
  checked: z.array(checkedItemSchema),
  asks: reportSchema,
  at: z.date(),
});
type HandIn = z.infer<typeof handInRow>;

const COLUMNS = `number, answers, checked, asks, created_at as at`;

/** For the server and the teacher; {@link told} is what a student may read. */
export function handInsOf(runId: string): Promise<HandIn[]> {
  return rows(pool(), handInRow, `select ${COLUMNS} from hand_ins where run_id = $1 order by number`, [runId]);
}

/** The notebook as it was frozen when the run was last handed in. */
export async function frozenNotebook(runId: string) {
  const row = await maybeRow(
    pool(),
    z.object({ notebook: notebookSchema.nullable() }),
    'select notebook from hand_ins where run_id = $1 order by number desc limit 1',
    [runId],
  );
  return row?.notebook ?? undefined;
}

/** What the rules let a student read of one answer that was checked. */
interface ToldItem {
  key: string;
  label: string;
  answer: string;
  /** How close, or whether right; null when the rules do not say. */
  verdict: string | null;
  digitsNote: string | null;
  truth: string | null;
}

interface Told {
  number: number;
  at: Date;
  items: ToldItem[];
}

/** What a student may read of one hand-in. */
function told(handIn: HandIn, { bands, truth }: Knowledge): Told {
  const items = handIn.checked.flatMap((item): ToldItem[] => {
    const ask = handIn.asks.find((entry) => entry.key === item.key);
    if (!ask) return [];
    return [
      {
        key: item.key,
        label: ask.label,
        // A grid stands in the report, with its rows and columns.
        answer: item.kind === 'grid' ? '' : written(handIn.answers[item.key]),
        verdict: bands ? sentenceOn(item, ask) : null,
        digitsNote: noteOn(item),
        truth: truth ? truthOf(item, ask, handIn.answers[item.key]?.text ?? '') : null,
      },
    ];
  });
  return { number: handIn.number, at: handIn.at, items };
}

/** All hand-ins of a run as its student may read them, newest first; what gives the truth away is noted before it is told. */
export async function toldOf(runId: string, knowledge: Knowledge): Promise<Told[]> {
  const handIns = await handInsOf(runId);
  if (knowledge.truth && handIns.length > 0) await noteTruthTold(runId);
  return handIns.map((entry) => told(entry, knowledge)).reverse();
}

/** What the student may read of the last hand-in of a run of theirs, short of what gives the truth away. @throws NotFound */
export async function lastTold(runId: string, tokens: Buffer[]): Promise<Told | null> {
  const [run, handIns] = await Promise.all([ownRun(runId, tokens), handInsOf(runId)]);
  const last = handIns.at(-1);
  // A list of work is looked at in passing: the truth is told on the run's own page, where it is noted.
  return last ? told(last, { ...run.knowledge, truth: run.truthTold && run.knowledge.truth }) : null;
}

/** An answer with its unit, unless one is typed behind the number. */
export const written = (answer: HandIn['answers'][string] | undefined): string =>
  `${answer?.text ?? ''} ${answer?.text.match(/[a-z]/i) ? '' : (answer?.unit ?? '')}`.trim();

/** The verdict as a sentence of its own. */
function sentenceOn(item: CheckedItem, ask: Ask): string | null {
  if (ask.kind === 'number' && ask.bandsPercent.length === 0 && ask.bandsInUnit.length === 0) return null;
  const verdict = verdictOn(item);
  return verdict && `${verdict.charAt(0).toUpperCase()}${verdict.slice(1)}.`;
}

function truthOf(item: CheckedItem, ask: Ask, answer: string): string | null {
  if (item.kind === 'match') return item.trueText === null ? null : `It is ${item.trueText}.`;
  if (item.kind === 'grid') {
    if (item.trueText === null || ask.kind !== 'grid') return null;
    return amissText(answer, item.trueText, ask) || null;
  }
  const difference = differenceOf(item);
  if (item.trueValue === null || difference === null) return null;
  const truth = `It is ${item.exact ? short(item.trueValue) : significant(item.trueValue, 4)} ${item.unit}`.trim();
  if (item.exact) return `${truth}.`;
  const missed = missedBy(item);
  return `${truth}; yours differs by ${difference.text}.${missed ? ` That is ${missed}.` : ''}`;
}

/** Which hand-in it is, so that the same one sent twice is one. */
interface SentHandIn {
  id: string;
  /** One more than the hand-ins that the page knew of. */
  number: number;
}

const lockedRow = z.object({
  closed: z.boolean(),
  truthTold: z.boolean(),
  assignmentId: z.uuid().nullable(),
  done: z.number(),
  known: z.boolean(),
});

/**
 * Hands in the report as it stands in the notebook: the answers are held against the sample and frozen together with
 * the notebook, the readings and what was asked. The run is locked first, so that no act and no second hand-in comes
 * between. The last try closes the run.
 * @throws NotFound; Refused with all fields at fault
 */
export const handIn = (runId: string, sent: SentHandIn, tokens: Buffer[]): Promise<void> =>
  inLine(runId, () => handedIn(runId, sent, tokens));

async function handedIn(runId: string, sent: SentHandIn, tokens: Buffer[]): Promise<void> {
  const assignment = await transaction(async (db) => {
    // Locked first and looked at then: what was committed while this waited is seen, changed rules among it.
    await db.query('select id from runs where id = $1 for update', [runId]);
    const run = await ownRun(runId, tokens, db);
    const locked = await maybeRow(
      db,
      lockedRow,
      `select closed_at is not null as closed, truth_told_at is not null as "truthTold", assignment_id as "assignmentId",
         (select count(*)::int from hand_ins where run_id = $1) as done,
         exists (select 1 from hand_ins where run_id = $1 and hand_in_id = $2) as known
       from runs where id = $1`,
      [runId, sent.id],
    );
    if (!locked) throw new NotFound();
    if (locked.known) return null;
    if (locked.closed) throw new Refused('This run is handed in and closed.', 'closed');
    if (locked.truthTold)
      throw new Refused('The true value has been told for this run, so nothing more can be handed in.', 'closed');
    if (!run.isOpen)
      throw new Refused(
        'This assignment is closed, so nothing can be handed in any more. Your notebook is kept.',
        'closed',
      );
    if (sent.number !== locked.done + 1)
      throw new Refused('This run was handed in from another page meanwhile. Look at what it said first.');
    const { notebook } = await presentNotebook(runId, db);
    const present = await presentBench(runId, db);
    const settled = atRest(present);
    const checked = settled.check(notebook.answers, run.asks, notebook);
    if (!checked.ok) {
      const [first] = checked.problems;
      throw new Refused(first?.sentence ?? '', first?.field, checked.problems);
    }
    const bench = benchToKeep(present.number, settled);
    const { answers } = notebook;
    const { readings } = bench.record;
    await db.query(
      `insert into hand_ins (run_id, number, hand_in_id, answers, checked, readings, asks, notebook, bench, last_act)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)`,
      [
        ...[runId, sent.number, sent.id],
        ...[answers, checked.items, readings, run.asks, notebook, bench].map((part) => JSON.stringify(part)),
        present.number,
      ],
    );
    if (sent.number >= run.rules.handIns) await closeRun(db, runId, bench, false);
    return locked.assignmentId;
  });
  if (assignment) tellClass(assignment);
}

/** Ends a run that has been handed in, with tries left over. @throws NotFound, Refused when nothing is handed in */
export const finishRun = (runId: string, tokens: Buffer[]): Promise<void> =>
  inLine(runId, async () => {
    await ownRun(runId, tokens);
    const assignmentId = await transaction(async (db) => {
      await db.query('select id from runs where id = $1 for update', [runId]);
      const row = await maybeRow(
        db,
        z.object({ assignmentId: z.uuid().nullable(), handedIn: z.boolean() }),
        `select assignment_id as "assignmentId", exists (select 1 from hand_ins where run_id = $1) as "handedIn"
         from runs where id = $1`,
        [runId],
      );
      if (!row?.handedIn) throw new Refused('Nothing is handed in yet, so there is nothing to close.');
      const present = await presentBench(runId, db);
      await closeRun(db, runId, benchToKeep(present.number, atRest(present)), true);
      return row.assignmentId;
    });
    if (assignmentId) tellClass(assignmentId);
  });
