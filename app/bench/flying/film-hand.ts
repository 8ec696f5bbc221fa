import { PICTURES_PER_S, placesBetween, placesIn, type Film, type Picture } from '@core/practicals/film';
import type { Stretch } from '@core/practicals/stretches';
import type { Hand } from './flying-line';

/** What a page says of what flies: which filling it is, what is seen now, and how it goes on. */
export interface Watched<P extends Picture> {
  /** What is seen now. */
  still: Film<P>;
  /** Null where it stands. */
  stretch: Stretch | null;
  psPerS: number;
}

/** What is seen at a moment: the last picture before it, places between it and the next, and impacts heard up to then. */
export interface Seen<P extends Picture> {
  ps: number;
  picture: P;
  places: Float64Array;
  heard: readonly [ps: number, push: number][];
}

/** When so little is left of what was sent, more is asked for, in pictures: what goes on must not wait for the network. */
const LEFT = PICTURES_PER_S;
/** So long one answer may take, ms. */
const DEADLINE_MS = 10_000;

type Question = { ps: number };

/**
 * In the place of a worker that lets something fly: pictures that the server sends a little ahead. Fails as a worker does, so
 * that {@link FlyingLine} puts another in its place, after longer waits each time.
 * @template P what a picture tells beside places
 */
export class FilmHand<P extends Picture> implements Hand {
  private watched: Watched<P> | null = null;
  private pictures: P[] = [];
  private heard: readonly [number, number][] = [];
  private readonly places = new WeakMap<P, Float64Array>();
  private asked: Question | null = null;
  private coming: AbortController | null = null;
  private listeners: { message: (event: MessageEvent) => void; error: () => void } = {
    message: () => {},
    error: () => {},
  };

  /** @param get the film from a bench time on; rejects where it cannot be had */
  constructor(private readonly get: (fromS: number, signal: AbortSignal) => Promise<Film<P>>) {}

  addEventListener(kind: string, listener: unknown): void {
    this.listeners = { ...this.listeners, [kind]: listener };
  }

  terminate(): void {
    this.coming?.abort();
    this.watched = null;
    this.asked = null;
  }

  postMessage(said: Watched<P> | Question): void {
    if ('ps' in said) {
      this.asked = said;
      this.answer();
      return;
    }
    const isSame = this.watched && this.isOfThis(this.watched.still, said.still);
    this.watched = said;
    if (!isSame) {
      this.coming?.abort();
      this.coming = null;
      this.pictures = [...said.still.pictures];
      this.heard = said.still.heard ?? [];
    }
    this.answer();
  }

  private isOfThis(film: Film<P>, other = this.watched?.still): boolean {
    return film.fills === other?.fills && film.changes === other.changes;
  }

  private answer(): void {
    if (!this.asked || !this.watched) return;
    const { still, stretch } = this.watched;
    if (!stretch) {
      // It stands: what is seen is what was told last.
      const [picture] = still.pictures;
      if (picture) this.say({ ps: picture.ps, picture, places: this.placesOf(picture), heard: still.heard ?? [] });
      return;
    }
    const { ps } = this.asked;
    const next = this.pictures.findIndex((picture) => picture.ps >= ps);
    const left = next < 0 ? 0 : this.pictures.length - next;
    const isWhole = (this.pictures.at(-1)?.ps ?? -1) >= stretch.toPs;
    if (left < LEFT && !isWhole) this.ask(this.watched, stretch, next < 0 ? ps : (this.pictures.at(-1)?.ps ?? ps));
    const after = this.pictures[next];
    if (!after) return;
    const before = this.pictures[next - 1] ?? after;
    const part = after.ps > before.ps ? (ps - before.ps) / (after.ps - before.ps) : 1;
    const heard = this.heard.filter(([at]) => at <= ps);
    this.pictures = this.pictures.slice(Math.max(next - 1, 0));
    this.say({ ps, picture: before, places: placesBetween(this.placesOf(before), this.placesOf(after), part), heard });
  }

  private placesOf(picture: P): Float64Array {
    const known = this.places.get(picture) ?? placesIn(picture.places);
    this.places.set(picture, known);
    return known;
  }

  private say(seen: Seen<P>): void {
    this.asked = null;
    this.listeners.message({ data: seen } as MessageEvent);
  }

  private ask({ psPerS }: Watched<P>, { beganS, fromPs }: Stretch, ps: number): void {
    if (this.coming) return;
    const coming = (this.coming = new AbortController());
    const signal = AbortSignal.any([coming.signal, AbortSignal.timeout(DEADLINE_MS)]);
    this.get(beganS + (ps - fromPs) / psPerS, signal).then(
      (film) => {
        if (this.coming !== coming) return;
        this.coming = null;
        // The bench has changed since: what it is now is told to this page, too.
        if (!this.isOfThis(film)) return this.listeners.error();
        this.take(film);
        // What does not reach what is asked for is asked for again as a failure is: later each time.
        if (this.asked && (this.pictures.at(-1)?.ps ?? -1) < this.asked.ps) return this.listeners.error();
        this.answer();
      },
      () => {
        if (this.coming === coming) this.listeners.error();
      },
    );
  }

  private take({ pictures, heard = [] }: Film<P>): void {
    const last = this.pictures.at(-1)?.ps ?? -1;
    this.pictures.push(...pictures.filter(({ ps }) => ps > last));
    const since = heard[0]?.[0] ?? Infinity;
    this.heard = [...this.heard.filter(([at]) => at < since), ...heard];
  }
}
