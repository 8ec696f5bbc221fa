import { randomUUID } from 'node:crypto';
import { LRUCache } from 'lru-cache';
import { UNATTENDED_S } from '@core/practicals/bench-clock';
import { changesFrom, partsThatDiffer, type Changes } from '@core/practicals/changes';
import type { AnyBench, AnyView } from '@core/practicals/registry';
import type { HeldBench } from './benches';
import { viewFor } from './knowledge';
import { sizeOf } from './size-of';
import { stretchOf } from './stretch';

/** The bench as an answer tells it: whole, or by what changed since an answer that the client has. */
type Told = { view: AnyView } | { since: string; changes: Changes };

export type ActAnswer = Told & {
  /** Number of the last act that the run holds. */
  number: number;
  /** The name of this answer. */
  of: string;
  /** What the bench does by itself over the next stretch, evenly in time: each frame by what differs from the one before. */
  frames: Readonly<Record<string, unknown>>[];
  refusal?: string;
  note?: string;
  /** Set when this number is not the next one, or another act's: this one was not done. */
  conflict?: true;
  /** With a conflict: how many acts beside mere waiting stand where this one was to stand, or behind. */
  deeds?: number;
};

/** The answer to somebody who holds nothing of the bench. */
export type WholeAnswer = Extract<ActAnswer, { view: AnyView }>;

const STANDS =
  'Six hours of bench time have gone by without anything being done. The bench stands as it is until you do something.';

/** What was told of each run last; without it, an answer is whole. */
const last = new LRUCache<string, { of: string; view: AnyView }>({
  maxSize: 60e6,
  sizeCalculation: ({ view }) => 1_000 + sizeOf(view),
});
let answers = 0;
/** No other process, before this one or beside it, gives an answer the same name. */
const PROCESS = randomUUID().slice(0, 13);

/**
 * What goes on next: moment by moment over a stretch, or, where browsers work that out for themselves, only until when.
 * @param clockS when somebody acted last
 */
function framesFrom(shown: AnyBench, clockS: number): object[] {
  if (!shown.movesInBrowser) return stretchOf(shown).map((moment) => moment.frame());
  return shown.running ? [{ ...shown.frame(), timeS: clockS + UNATTENDED_S }] : [];
}

/** The answer to who has acted or watched, and holds what an earlier answer told. */
export function answerTo(
  runId: string,
  { number, bench, shown, method }: HeldBench,
  has: string | undefined,
  extra: Pick<ActAnswer, 'refusal' | 'note' | 'conflict' | 'deeds'> = {},
): ActAnswer {
  const view = viewFor(method, shown.view());
  const known = last.get(runId);
  const changes = has !== undefined && known?.of === has ? changesFrom(known.view, view) : undefined;
  const of = `${PROCESS}.${++answers}`;
  last.set(runId, { of, view });
  let before: object = view;
  const stands = shown.running && shown.clockS >= bench.clockS + UNATTENDED_S - 1e-6;
  const frames = (stands ? [] : framesFrom(shown, bench.clockS)).map((frame) => {
    const parts = partsThatDiffer(before, frame);
    before = frame;
    return parts;
  });
  return {
    number,
    of,
    ...(changes ? { since: known?.of as string, changes } : { view }),
    frames,
    ...(stands ? { note: STANDS } : {}),
    ...extra,
  };
}
