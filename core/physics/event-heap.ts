/**
 * The next event of each of many bodies, the soonest on top: a binary heap over typed arrays, in which each body has one place. Nothing is
 * allocated after it was made.
 */
export class EventHeap {
  /** When the next event of each body is. */
  readonly at: Float64Array;
  private readonly heap: Int32Array;
  private readonly place: Int32Array;
  private readonly size: number;

  constructor(size: number) {
    this.size = size;
    this.at = new Float64Array(size).fill(Infinity);
    this.heap = Int32Array.from({ length: size }, (_, i) => i);
    this.place = Int32Array.from({ length: size }, (_, i) => i);
  }

  /** As another of the same size stands. */
  copyFrom({ at, heap, place }: ReturnType<EventHeap['kept']>): void {
    this.at.set(at);
    this.heap.set(heap);
    this.place.set(place);
  }

  /** All of it that changes, as arrays: to be kept and copied from. */
  kept() {
    return { at: this.at, heap: this.heap, place: this.place };
  }

  /** The body whose event is soonest. */
  top(): number {
    return this.heap[0] as number;
  }

  /** Gives a body another time, and brings it to its place. */
  set(body: number, time: number): void {
    this.at[body] = time;
    let k = this.place[body] as number;
    while (k > 0) {
      const up = (k - 1) >> 1;
      const above = this.heap[up] as number;
      if ((this.at[above] as number) <= time) break;
      this.heap[k] = above;
      this.place[above] = k;
      k = up;
    }
    for (let down = 2 * k + 1; down < this.size; down = 2 * k + 1) {
      const right = down + 1;
      if (
        right < this.size &&
        (this.at[this.heap[right] as number] as number) < (this.at[this.heap[down] as number] as number)
      )
        down = right;
      const below = this.heap[down] as number;
      if ((this.at[below] as number) >= time) break;
      this.heap[k] = below;
      this.place[below] = k;
      k = down;
    }
    this.heap[k] = body;
    this.place[body] = k;
  }
}
