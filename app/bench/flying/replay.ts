/** What a worker does that lets a filling fly from what was done to it: to the last bit as the server's bench does. */

/** What a worker says while it has much to make up for. */
export const AT_IT = 'at it';

interface Flies<Change> {
  readonly timePs: number;
  to(ps: number): void;
  change(change: Change): void;
  copy(): Flies<Change>;
}

/** What a page says of what flies: which filling it is, and what was done to it so far. */
export interface Told<Filling, Change> {
  fills: number;
  filling: Filling;
  changes: readonly Change[];
}

/** @param fill a fresh filling @param shown what the page is told of it at a time of its flight */
export function replaying<Filling, Change extends { atPs: number }, Kept extends Flies<Change>, Shown>(
  fill: (filling: Filling) => Kept,
  shown: (flying: Kept, ps: number) => Shown,
  /** Called while there is much to make up for, so that nobody takes the worker for dead. */
  isAtIt: () => void,
): (said: Told<Filling, Change> | { ps: number }) => Shown | null {
  // Up to the last thing that was done, so that a clock which was set back begins there.
  let base: Kept | undefined;
  let done = 0;
  let fills = 0;
  let now: Kept | undefined;
  return (said) => {
    if ('filling' in said) {
      if (!base || said.fills !== fills || said.changes.length < done) {
        base = fill(said.filling);
        done = 0;
        fills = said.fills;
      }
      for (const change of said.changes.slice(done)) {
        base.to(change.atPs);
        base.change(change);
        isAtIt();
      }
      done = said.changes.length;
      now = base.copy() as Kept;
      return null;
    }
    if (!base || !now) return null;
    if (said.ps < now.timePs) now = base.copy() as Kept;
    now.to(said.ps);
    return shown(now, said.ps);
  };
}
