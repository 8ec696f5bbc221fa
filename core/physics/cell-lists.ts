/**
 * Bodies by the cells of a box that they are in: lists with a next and a last for each, so that leaving and entering cost the same however many
 * there are. Nothing is allocated after it was made.
 */
export class CellLists {
  /** How many cells there are along each axis, and how long each is, nm. */
  readonly along: Int32Array;
  readonly cellNm: Float64Array;
  /** The first body of each cell, and the next of each body; −1 where there is none. */
  readonly first: Int32Array;
  readonly next: Int32Array;
  private readonly last: Int32Array;
  /** The cell of each body, three numbers for each. */
  readonly of: Int32Array;

  /** @param leastNm no cell is narrower */
  constructor(box: readonly [number, number, number], count: number, leastNm: number) {
    this.along = Int32Array.from(box, (edge) => Math.max(Math.floor(edge / leastNm), 1));
    this.cellNm = Float64Array.from(box, (edge, axis) => edge / (this.along[axis] as number));
    this.first = new Int32Array(this.along.reduce((all, n) => all * n, 1)).fill(-1);
    this.next = new Int32Array(count).fill(-1);
    this.last = new Int32Array(count).fill(-1);
    this.of = new Int32Array(3 * count);
  }

  private indexOf(i: number): number {
    const { along, of } = this;
    return (
      (of[3 * i] as number) +
      (along[0] as number) * ((of[3 * i + 1] as number) + (along[1] as number) * (of[3 * i + 2] as number))
    );
  }

  /** Puts a body into the cell that it is in. @param at positions, three numbers for each */
  put(i: number, at: Float64Array): void {
    for (let axis = 0; axis < 3; axis++) {
      const n = Math.floor((at[3 * i + axis] as number) / (this.cellNm[axis] as number));
      this.of[3 * i + axis] = Math.min(Math.max(n, 0), (this.along[axis] as number) - 1);
    }
    this.enter(i);
  }

  /** Over an edge into the cell beside. @param edge the near and the far one of each axis */
  cross(i: number, edge: number): void {
    this.leave(i);
    const place = 3 * i + (edge >> 1);
    this.of[place] = (this.of[place] as number) + (edge % 2 === 0 ? -1 : 1);
    this.enter(i);
  }

  /** Takes a body out for good. */
  remove(i: number): void {
    this.leave(i);
  }

  /** As another of the same box and as many bodies stands. */
  copyFrom({ first, next, last, of }: ReturnType<CellLists['kept']>): void {
    this.first.set(first);
    this.next.set(next);
    this.last.set(last);
    this.of.set(of);
  }

  /** All of it that changes, as arrays: to be kept and copied from. */
  kept() {
    return { first: this.first, next: this.next, last: this.last, of: this.of };
  }

  private enter(i: number): void {
    const own = this.indexOf(i);
    const head = this.first[own] as number;
    this.next[i] = head;
    this.last[i] = -1;
    if (head >= 0) this.last[head] = i;
    this.first[own] = i;
  }

  private leave(i: number): void {
    const [before, after] = [this.last[i] as number, this.next[i] as number];
    if (before >= 0) this.next[before] = after;
    else this.first[this.indexOf(i)] = after;
    if (after >= 0) this.last[after] = before;
  }
}
