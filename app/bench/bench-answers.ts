import { changed, type Changes } from '@core/practicals/changes';
import type { Outbox, WaitingAct } from './outbox';
import type { Blend } from './playback';

/** What goes between a tab and the bench on the server, and what the page is told of it. */

/** What the server answers to who has acted or watched; see server/answers.ts. */
export type Answer<View> = {
  number: number;
  /** The name of this answer: with it, the next one need only say what changed. */
  of: string;
  /** What goes on next, each by what differs from the one before, the first from the view. */
  frames: Readonly<Record<string, unknown>>[];
  refusal?: string;
  note?: string;
  conflict?: true;
  /** With a conflict: how many deeds, beside mere waiting, stand where this act was to stand. */
  deeds?: number;
} & ({ view: View } | { since: string; changes: Changes });

export interface Message {
  text: string;
  tone: 'refused' | 'note' | 'trouble';
}

export interface BenchState<View> {
  view: View;
  /** The last act that the server has answered. */
  answered: number;
  /** Acts that are not acknowledged yet. */
  waiting: number;
  /** False while the server cannot be reached. */
  online: boolean;
  /** Set when Fen has stopped trying by itself. */
  gaveUp: boolean;
  /** Acts of one's own that something else was faster than: to be done after it, or left. */
  offered: number;
  /** Set when nothing more can be done here: closed, removed, signed out. */
  ended: boolean;
  /** Something was running when the page was left: held back until the person comes back to it. */
  resting: boolean;
  message: Message | null;
}

/** Somebody who watches: after which act, and up to which bench time. */
export interface Watching {
  after: number;
  atS: number;
}

/** Sends one act, or asks what goes on. Rejects only when the server cannot be reached. */
export type Send<View> = (
  sent: (WaitingAct | Watching) & { has: string | undefined },
) => Promise<{ status: number; answer?: Answer<View>; sentence?: string; field?: string }>;

export interface Parts<View extends Frame, Frame> {
  runId: string;
  number: number;
  view: View;
  outbox: Outbox;
  send: Send<View>;
  blend: Blend<Frame>;
  onChange: (state: BenchState<View>) => void;
  /** The bench as it stands, for a tab that others may have overtaken. */
  look?: () => Promise<{ number: number; view: View }>;
  /** Tells other tabs of this browser that something was done. */
  onActed?: () => void;
}

/** The view of the last answer, by its name: the next answer need only say what changed. */
export class ToldView<View extends object> {
  private told: { of: string; view: View } | undefined;

  /** The name of the answer that is held, for the server. */
  get has(): string | undefined {
    return this.told?.of;
  }

  forget(): void {
    this.told = undefined;
  }

  /** Whether an answer can be read: it is whole, or of changes to what is held. */
  canOpen(answer: Answer<View>): boolean {
    return 'view' in answer || answer.since === this.has;
  }

  /** The view and the frames of an answer, made whole from what was told before. */
  open(answer: Answer<View>): { view: View; frames: View[] } {
    const view = 'view' in answer ? answer.view : changed((this.told as { view: View }).view, answer.changes);
    this.told = { of: answer.of, view };
    let frame = view;
    const frames = answer.frames.map((parts) => (frame = { ...frame, ...parts }));
    return { view, frames };
  }
}
