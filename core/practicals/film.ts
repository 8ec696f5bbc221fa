import { psIn, type Stretch } from './stretches';

/**
 * What flies, as pictures of moments: for benches whose particles would tell what is asked for, if a browser let them fly itself.
 * All are drawn as though they were of one size, and their places are rounded.
 */

/** Places are told in steps of this, nm. */
const STEP_NM = 0.02;
/** Told in place of three numbers of one that has left. */
const GONE = 0xffff;
/** All whose kind is asked for are drawn with this radius, nm. */
export const DRAWN_RADIUS_NM = 0.2;
/** Pictures in a second of the clock on the wall. */
export const PICTURES_PER_S = 15;
/** So many are made at once. */
const PICTURES_AT_ONCE = 30;

/** A picture of a moment. `places` are those that {@link placesIn} reads. */
export interface Picture {
  ps: number;
  places: string;
}

/** Pictures one after another, and what else was seen on the way. */
export interface Film<P extends Picture = Picture> {
  pictures: P[];
  /** Impacts that were noted one by one: when, ps, and the push. */
  heard?: [ps: number, push: number][];
  /** Of which filling, and after how many changes of it. */
  fills: number;
  changes: number;
}

/**
 * Places as text: 16 bits for each number, base64.
 * @param places three numbers for each, nm @param drawn a place along an axis as it is drawn, nm @param isGone those that have left
 */
export function placesAsText(places: Float64Array, drawn: (nm: number) => number, isGone?: Uint8Array): string {
  const steps = Uint16Array.from(places, (nm, i) =>
    isGone?.[Math.floor(i / 3)] ? GONE : Math.max(Math.round(drawn(nm) / STEP_NM), 0),
  );
  return btoa(Array.from(steps, (step) => String.fromCharCode(step & 255, step >> 8)).join(''));
}

/** Places out of {@link placesAsText}, nm, three numbers for each; NaN of those that have left. */
export function placesIn(text: string): Float64Array {
  const bytes = atob(text);
  return Float64Array.from({ length: bytes.length / 2 }, (_, i) => {
    const step = bytes.charCodeAt(2 * i) + 256 * bytes.charCodeAt(2 * i + 1);
    return step === GONE ? NaN : step * STEP_NM;
  });
}

/**
 * The times of the pictures that follow one another from a bench time on, in ps of the flight; the last one is where the stretch ends.
 * @param pace of the bench clock
 */
export function pictureTimes(stretch: Stretch, fromS: number, pace: number, psPerS: number): number[] {
  const times: number[] = [];
  for (let i = 0; i < PICTURES_AT_ONCE; i++) {
    const ps = psIn(stretch, fromS + (i * pace) / PICTURES_PER_S, psPerS);
    times.push(ps);
    if (ps >= stretch.toPs) break;
  }
  return times;
}

/** Places between two pictures. @param part how far from the first to the second, 0 to 1 */
export function placesBetween(before: Float64Array, after: Float64Array, part: number): Float64Array {
  return before.map((nm, i) => nm + part * ((after[i] ?? nm) - nm));
}
