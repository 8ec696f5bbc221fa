import { Flying, type Change, type Tally } from '@core/practicals/spheres/flying';
import type { Filled } from '@core/physics/hard-spheres';
import { AT_IT, replaying, type Told } from '../flying/replay';

/** Lets both gases fly beside the page, as the server's bench does: from the filling and what was done to it. */

export type Said = Told<Filled, Change>;
/** Where all are, nm, three numbers for each; which gas each is of; which have left; and what has been seen of the stretch. */
export interface Shown {
  ps: number;
  places: Float64Array;
  kind: Uint8Array;
  isGone: Uint8Array;
  tally: Tally;
}

const answer = replaying<Filled, Change, Flying, Shown>(
  (filling) => Flying.filled(filling),
  (flying, ps) => {
    const places = new Float64Array(3 * flying.count);
    const { kind, isGone } = flying.places(places);
    return { ps, places, kind, isGone, tally: flying.tally };
  },
  () => self.postMessage(AT_IT),
);

self.addEventListener('message', ({ data }: MessageEvent<Said | { ps: number }>) => {
  const shown = answer(data);
  if (shown) self.postMessage(shown);
});
