import type { ComponentType } from 'react';
import type { AnyAct, Bench } from './use-bench';

/** What a family of practicals draws: the bench that is worked at, the bench that is looked back on, the loupe. */
export interface Drawing<View, Labels> {
  Page: ComponentType<BenchPageProps<View, Labels>>;
  /** The bench drawn from a view that stands still. */
  Still: ComponentType<{ view: View; labels: Labels; sampleNumber: string }>;
  /** The loupe at a moment; without its numbers where they are to be drawn. */
  Loupe: ComponentType<{ view: View; unnumbered: boolean }>;
  /** What the loupe shows, under the picture of a moment. */
  loupeCaption: string;
  /** The trials on the Readings page, where the family has a way of its own to show them. */
  Trials?: ComponentType<{ view: View; closed: boolean; onAct: (act: AnyAct) => void }>;
  /** The reading that is due, of those that are typed. */
  due(view: View): { trial: number; slot: string };
  /** Why an act would destroy work that is not recorded yet, and what its button says; null when it would not. */
  doubts(view: View, act: AnyAct): { sentence: string; verb: string } | null;
  /** What changed between two views, in sentences for who does not see it. */
  told(before: View, after: View, labels: Labels): string[];
  /** Keys of this bench, beside those of every bench. */
  keys: readonly [keys: string, what: string][];
}

export interface BenchPageProps<View, Labels> {
  bench: Bench<View>;
  labels: Labels;
  sampleNumber: string;
  lettersOn: boolean;
  say: (sentence: string) => void;
  onRecordKey: () => void;
  /** Whether nothing more can be done here. */
  closed: boolean;
}
