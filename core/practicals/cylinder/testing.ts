import type { CommonAct } from '../common-acts';
import type { Practical } from '../contract';
import type { OpenPractical } from '../live-bench';
import { PRACTICALS } from '../registry';
import { CYLINDER_PRACTICALS } from '.';
import type { OwnAct } from './acts';
import type { Bench } from './bench';
import type { Plan } from './plan';
import type { Hands } from './practised-student';
import type { Sample } from './sample';
import type { Moving, View } from './view';

const OWN = {
  'one-law': CYLINDER_PRACTICALS.oneLaw,
  'where-pressure-comes-from': CYLINDER_PRACTICALS.impacts,
  'one-to-many': CYLINDER_PRACTICALS.many,
} as const;
export type Id = keyof typeof OWN;

/** A run that is worked by hand, act by act, driven as the server drives it. */
export function begun(
  id: Id,
  {
    setup = {},
    seed = 'cylinder',
    index = 0,
    sample: given = {},
  }: { setup?: object; seed?: string; index?: number; sample?: Partial<Sample> } = {},
) {
  const practical = PRACTICALS[id] as unknown as OpenPractical<View, Moving, Plan>;
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
      const before = bench;
      const said = act(json, afterS);
      if (bench === before && said !== undefined) throw new Error(`${json.kind}: ${said}`);
    },
    view: () => bench.view(),
  };
  const own = OWN[id] as unknown as Practical<unknown, Sample, Bench, OwnAct | CommonAct, View, Moving, Plan>;
  return {
    act,
    hands,
    sample,
    results: () => own.results(chosen, sample, bench.inside() as Bench),
    support: () => own.support?.(chosen, sample, bench.inside() as Bench) ?? {},
    leftOpen: () => own.leftOpen?.(chosen, sample, bench.inside() as Bench)['name'] ?? [],
    bench: () => bench,
    inside: () => bench.inside() as Bench,
    view: () => bench.view(),
  };
}
export type Run = ReturnType<typeof begun>;
