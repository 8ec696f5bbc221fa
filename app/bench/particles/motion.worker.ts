import { flownTo, placeAt, type Flight, type Room, type Vector } from '@core/physics/flight';

/** Lets the particle fly beside the page, so that nothing which the page does makes it falter. */

/** What a page says: which flight it is from now on. */
export interface Said {
  flight: Flight;
  room: Room;
}
/** Where its middle is, nm, and the flight since its last hit. */
export interface Shown {
  ps: number;
  place: Vector;
  flight: Flight;
}

let first: Said | undefined;
let now: Flight | undefined;

self.addEventListener('message', ({ data }: MessageEvent<Said | { ps: number }>) => {
  if ('flight' in data) {
    first = data;
    now = data.flight;
  } else if (first && now) {
    // A clock that was set back begins at the beginning.
    if (data.ps < now.sincePs) now = first.flight;
    now = flownTo(now, data.ps, first.room);
    self.postMessage({ ps: data.ps, place: placeAt(now, data.ps), flight: now } satisfies Shown);
  }
});
