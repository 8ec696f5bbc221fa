/** A frame that can be placed in time. */
export interface Timed {
  timeS: number;
  running: boolean;
}

/** A frame between two: the first with what moves drawn on by so much of the way to the next. */
export type Blend<Frame> = (frame: Frame, next: Frame, part: number) => Frame;

/**
 * Plays the frames that an answer brought: what shows at a moment is the last frame before it, drawn on towards the
 * next. Bench time stands still at the last frame until more is sent.
 */
export class Playback<Frame extends Timed> {
  private frames: Frame[] = [];
  private startedMs = 0;
  private startedS = 0;
  private pace = 1;

  constructor(private readonly blend: Blend<Frame>) {}

  /**
   * @param fromS bench time that shows now; the first frame's, or later when frames carry on what is playing
   * @param pace how many times as fast as real time bench time passes
   */
  play(frames: Frame[], fromS: number, nowMs: number, pace = 1): void {
    this.frames = frames;
    this.startedS = fromS;
    this.startedMs = nowMs;
    this.pace = pace;
  }

  /** Stands still at what shows now, until more is sent. */
  stop(nowMs: number): void {
    const timeS = this.timeAt(nowMs);
    const frame = this.frameAt(nowMs);
    if (frame) this.play([{ ...frame, timeS }], timeS, nowMs);
  }

  get endS(): number {
    return this.frames.at(-1)?.timeS ?? this.startedS;
  }

  timeAt(nowMs: number): number {
    return Math.min(this.startedS + ((nowMs - this.startedMs) / 1000) * this.pace, this.endS);
  }

  frameAt(nowMs: number): Frame | undefined {
    const time = this.timeAt(nowMs);
    let index = this.frames.length - 1;
    while (index > 0 && (this.frames[index] as Frame).timeS > time) index--;
    const frame = this.frames[index];
    const next = this.frames[index + 1];
    if (!frame || !next) return frame;
    const part = Math.min(Math.max((time - frame.timeS) / (next.timeS - frame.timeS), 0), 1);
    return this.blend(frame, next, part);
  }
}
