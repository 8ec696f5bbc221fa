import { Flying, type Change, type Tally } from '@core/practicals/spheres/flying';
import type { Filled } from '@core/physics/hard-spheres';

/** Lets both gases fly beside the page, as the server's bench does: from the filling and what was done to it. */

/** What a page says: which vessel it is and what was done to it so far; or to show it at a time of its flight. */
export type Said = { fills: number; filling: Filled; changes: readonly Change[] } | { ps: number };
/** Where all are, nm, three numbers for each; which gas each is of; which have left; and what has been seen of the stretch. */
export interface Shown {
  ps: number;
  places: Float64Array;
  kind: Uint8Array;
  isGone: Uint8Array;
  tally: Tally;
}

/** Up to the last thing that was done, so that a clock which was set back begins there. */
let base: Flying | undefined;
let done = 0;
let fills = 0;
let now: Flying | undefined;

self.addEventListener('message', ({ data }: MessageEvent<Said>) => {
  if ('filling' in data) {
    if (!base || data.fills !== fills || data.changes.length < done) {
      base = Flying.filled(data.filling);
      done = 0;
      fills = data.fills;
    }
    for (const change of data.changes.slice(done)) {
      base.to(change.atPs);
      base.change(change);
    }
    done = data.changes.length;
    now = base.copy();
  } else if (base && now) {
    if (data.ps < now.timePs) now = base.copy();
    now.to(data.ps);
    const places = new Float64Array(3 * now.count);
    const { kind, isGone } = now.places(places);
    self.postMessage({ ps: data.ps, places, kind, isGone, tally: now.tally } satisfies Shown);
  }
});
