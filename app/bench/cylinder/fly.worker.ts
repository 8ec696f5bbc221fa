import { countedOf, type Counted } from '@core/practicals/cylinder/counting';
import { Flying, type Change, type Impact, type Seen } from '@core/practicals/cylinder/flying';
import { LOOK_PS } from '@core/practicals/cylinder/plan';
import type { Filled } from '@core/physics/hard-spheres';
import { AT_IT, replaying, type Told } from '../flying/replay';

/** Lets the gas fly beside the page, as the server's bench does: from the filling and what was done to it. */

export type Said = Told<Filled, Change>;
/** Where all are, nm, three numbers for each; how high the room of their middles is; and what has been counted since the last change. */
export interface Shown {
  ps: number;
  places: Float64Array;
  heightNm: number;
  counted: Counted;
  /** The last looks, the newest at the end. */
  looks: Seen[];
  spread: { speeds: number[]; energies: number[] };
  /** Impacts on the piston that the strip shows: how long ago, ps, and the push, yN·s. */
  heard: { ago: number; push: number }[];
  againstK: number;
  last: Impact | null;
}

/** So many looks the strip shows. */
const STRIP = 60;

const answer = replaying<Filled, Change, Flying, Shown>(
  (filling) => Flying.filled(filling).listen(),
  (flying, ps) => {
    const places = new Float64Array(3 * flying.count);
    flying.places(places);
    const { heightNm, againstK } = flying;
    return {
      ps,
      places,
      heightNm,
      counted: countedOf(flying),
      looks: flying.looks().slice(-STRIP),
      spread: flying.spread(),
      heard: flying.heard().flatMap(({ ps: at, push }) => (ps - at < STRIP * LOOK_PS ? [{ ago: ps - at, push }] : [])),
      againstK,
      last: flying.impacts().last,
    };
  },
  () => self.postMessage(AT_IT),
);

self.addEventListener('message', ({ data }: MessageEvent<Said | { ps: number }>) => {
  const shown = answer(data);
  if (shown) self.postMessage(shown);
});
