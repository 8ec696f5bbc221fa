import type { Edit } from '@core/notebook/edits';

/** A cell that two tabs have filled: what each typed, which of them holds, and the edit that puts the other in its place. */
export interface Overtaken {
  mine: string;
  theirs: string;
  holds: 'mine' | 'theirs';
  other: Edit;
}

/** So long what was typed here is of somebody who may still look at it, ms. */
const TYPED_MS = 60_000;

interface Typed {
  id: string;
  text: string;
  atMs: number;
}

const keyOf = (table: string, row: string, column: string) => `${table} ${row} ${column}`;

/** What was typed into single cells in this tab a moment ago, beside what comes from others. */
export class TypedCells {
  private readonly typed = new Map<string, Typed>();

  /** @param id of the edit that carries it */
  note(id: string, edit: Edit, nowMs: number): void {
    if (edit.kind !== 'setCells' || edit.cells.length !== 1) return;
    const [cell] = edit.cells;
    if (cell) this.typed.set(keyOf(edit.table, cell.row, cell.column), { id, text: cell.text, atMs: nowMs });
  }

  /**
   * What somebody else's edit means for what was typed here.
   * @param isLater whether an own edit is still to be put after theirs, so that it holds
   */
  overtakenBy(edit: Edit, isLater: (id: string) => boolean, nowMs: number): Overtaken | undefined {
    if (edit.kind !== 'setCells') return undefined;
    for (const { row, column, text } of edit.cells) {
      const own = this.typed.get(keyOf(edit.table, row, column));
      if (!own || own.text === text || text === '' || own.text === '' || nowMs - own.atMs > TYPED_MS) continue;
      // It is told once.
      this.typed.delete(keyOf(edit.table, row, column));
      const holds = isLater(own.id) ? 'mine' : 'theirs';
      const other = holds === 'mine' ? text : own.text;
      return {
        mine: own.text,
        theirs: text,
        holds,
        other: { kind: 'setCells', table: edit.table, cells: [{ row, column, text: other }] },
      };
    }
    return undefined;
  }
}

/** Whether somebody's edit fills the very cell that was told of: it is settled then. */
export const settles = (edit: Edit, { other }: Overtaken): boolean =>
  edit.kind === 'setCells' &&
  other.kind === 'setCells' &&
  edit.table === other.table &&
  edit.cells.some(({ row, column }) => other.cells.some((cell) => cell.row === row && cell.column === column));
