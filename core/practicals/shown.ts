import { changed, changesFrom, type Changes } from './changes';
import type { CommonAct } from './common-acts';
import type { HandsOf } from './method';
import type { LiveBench, OpenPractical } from './live-bench';

/** A step of a method as it is done before somebody’s eyes, on a bench of its own: nothing of it counts. */

/** What was seen after an act. */
export interface ShownScene<View> {
  view: View;
  /** What was done, as the log says it; null of the bench as it stood before. */
  did: string | null;
  /** How long was waited before it, s on the bench clock. */
  waitedS: number;
  /** Set where a reading was recorded. */
  reads?: true;
  /** What the bench said to it. */
  note?: string;
  /** So many acts of this kind before it are left out: more of the same. */
  more?: number;
}

export interface Shown<View> {
  step: string;
  scenes: ShownScene<View>[];
}

/** The same as it is sent: after the first view what changed from each to the next, or the whole where that cannot be told so. */
export interface SentShown<View> {
  step: string;
  scenes: (Omit<ShownScene<View>, 'view'> & ({ view: View } | { changes: Changes }))[];
}

export const toSend = <View extends object>({ step, scenes }: Shown<View>): SentShown<View> => ({
  step,
  scenes: scenes.map((scene, i) => {
    const { view, ...told } = scene;
    const before = scenes[i - 1];
    const changes = before && changesFrom(before.view, view);
    return changes ? { ...told, changes } : scene;
  }),
});

export function asSent<View extends object>({ step, scenes }: SentShown<View>): Shown<View> {
  let last: View | undefined;
  return {
    step,
    scenes: scenes.map((scene) => {
      if ('view' in scene) return { ...scene, view: (last = scene.view) };
      if (!last) throw new TypeError('changes of no view');
      const { changes, ...told } = scene;
      return { ...told, view: (last = changed(last, changes)) };
    }),
  };
}

/** Of acts of one kind, one after the other, so many are shown, and the last. */
const ALIKE = 2;
/** A step of more scenes than this is shown by its beginning and its end. */
const SCENES_AT_MOST = 48;
const LAST_SCENES = 12;
/** A method of more acts than this is none. */
const ACTS_AT_MOST = 5_000;

/** Of many alike one after the other, those in the middle are told by their number. */
export function thinned<View>(scenes: readonly (ShownScene<View> & { kind: string })[]): ShownScene<View>[] {
  const kept: ShownScene<View>[] = [];
  let from = 0;
  while (from < scenes.length) {
    let to = from;
    while (scenes[to + 1]?.kind === scenes[from]?.kind) to++;
    const alike = scenes.slice(from, to + 1).map(({ kind: _, ...scene }) => scene);
    const last = alike.at(-1);
    if (alike.length <= ALIKE + 1 || !last) kept.push(...alike);
    else kept.push(...alike.slice(0, ALIKE), { ...last, more: alike.length - ALIKE - 1 });
    from = to + 1;
  }
  if (kept.length <= SCENES_AT_MOST) return kept;
  const end = kept.slice(-LAST_SCENES);
  const start = kept.slice(0, SCENES_AT_MOST - LAST_SCENES);
  const between = kept.length - start.length - end.length;
  return [...start, ...end.map((scene, i) => (i === 0 ? { ...scene, more: between + (scene.more ?? 0) } : scene))];
}

/**
 * One step of a practical’s method, done by hands that know it; the steps before it are done first, unseen.
 * @param run another sample than the one that counts
 * @returns undefined where the method has no such step
 * @throws where the step cannot be done with what stands on this bench
 */
export async function showStep<View, Frame, Labels>(
  practical: OpenPractical<View, Frame, Labels>,
  run: { setup: unknown; sample: unknown; seed: string },
  key: string,
): Promise<Shown<View> | undefined> {
  const method = practical.method(run.setup);
  const index = method.findIndex((step) => step.key === key);
  const step = method[index];
  if (!step) return undefined;
  let bench: LiveBench<View, Frame> = practical.open(run.setup, run.sample, run.seed);
  const seen: (ShownScene<View> & { kind: string })[] = [];
  let acts = 0;
  let waitedS = 0;
  const hands: HandsOf<{ kind: string }, View> = {
    view: () => bench.view(),
    act: (json: { kind: string } | CommonAct, afterS = 0) => {
      if (++acts > ACTS_AT_MOST) throw new Error('a method without an end');
      bench = bench.advance(afterS);
      waitedS += afterS;
      const act = practical.readAct(json);
      if (!act) throw new Error(`no act: ${JSON.stringify(json)}`);
      const outcome = bench.perform(act);
      if ('refusal' in outcome) throw new Error(outcome.refusal);
      bench = outcome.bench;
      if (json.kind === 'wait') return;
      const { note } = outcome;
      seen.push({
        ...{ kind: json.kind, view: bench.view(), did: practical.describe(act), waitedS },
        ...(json.kind.startsWith('record') && { reads: true }),
        ...(note !== undefined && { note }),
      });
      waitedS = 0;
    },
  };
  for (const before of method.slice(0, index)) await before.work(hands);
  waitedS = 0;
  seen.splice(0, Infinity, { kind: 'before', view: bench.view(), did: null, waitedS: 0 });
  await step.work(hands);
  if (waitedS > 0) seen.push({ kind: 'wait', view: bench.view(), did: null, waitedS });
  return { step: key, scenes: thinned(seen) };
}
