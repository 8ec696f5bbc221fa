import type { OpenPractical } from '../live-bench';
import { PRACTICALS } from '../registry';
import { SPHERES } from '.';
import type { OwnAct } from './acts';
import type { CommonAct } from '../common-acts';
import type { Bench } from './bench';
import type { Plan } from './plan';
import type { Hands } from './practised-student';
import type { Sample } from './sample';
import type { Moving, View } from './view';

/** A run that is worked by hand, act by act, driven as the server drives it. */
export function begun({
  setup = {},
  seed = 'spheres',
  index = 0,
  sample: given = {},
}: { setup?: object; seed?: string; index?: number; sample?: Partial<Sample> } = {}) {
  const practical = PRACTICALS['light-and-heavy'] as unknown as OpenPractical<View, Moving, Plan>;
  const chosen = practical.setup.parse(setup);
  const sample = { ...(practical.sample(chosen, seed, index) as Sample), ...given };
  let bench = practical.open(chosen, sample, seed);
  const act = (json: OwnAct | CommonAct, afterS = 0): string | undefined => {
    bench = bench.advance(afterS);
    const outcome = bench.perform(practical.readAct(json));
    if ('refusal' in outcome) return outcome.refusal;
    bench = outcome.bench;
    return outcome.note;
  };
  const hands: Hands = {
    act: (json, afterS) => {
      const said = act(json, afterS);
      if (said !== undefined && !said.startsWith('They were still')) throw new Error(`${json.kind}: ${said}`);
    },
    view: () => bench.view(),
  };
  const own = SPHERES.lightAndHeavy;
  return {
    act,
    hands,
    sample,
    results: () => own.results(chosen as never, sample, bench.inside() as Bench),
    support: () => own.support?.(chosen as never, sample, bench.inside() as Bench) ?? {},
    leftOpen: () => own.leftOpen?.(chosen as never, sample, bench.inside() as Bench)['name'] ?? [],
    bench: () => bench,
    inside: () => bench.inside() as Bench,
    view: () => bench.view(),
  };
}
