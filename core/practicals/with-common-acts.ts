import { z } from 'zod';
import {
  commonActSchema,
  describeCommon,
  isCommonAct,
  performCommon,
  type CommonAct,
  type CommonBench,
} from './common-acts';
import type { BenchFrame, BenchView, Practical } from './contract';

/** A practical that takes the acts that all benches take beside its own. */
export function withCommonActs<
  Setup,
  Sample,
  Bench extends CommonBench,
  Act extends { kind: string },
  View extends BenchView,
  Frame extends BenchFrame,
  Labels extends { family: string },
>(
  practical: Practical<Setup, Sample, Bench, Act, View, Frame, Labels>,
): Practical<Setup, Sample, Bench, Act | CommonAct, View, Frame, Labels> {
  return {
    ...practical,
    act: z.union([commonActSchema, practical.act]),
    perform: (bench, act) =>
      isCommonAct(act)
        ? performCommon(bench, act, {
            lastTrial: () => practical.view(bench).recordableTrial,
            steps: () => practical.steps(bench).map(({ key }) => key),
            later: practical.keptBench ? null : (seconds) => practical.advance(bench, seconds),
          })
        : practical.perform(bench, act),
    describe: (act) => (isCommonAct(act) ? describeCommon(act, practical.names) : practical.describe(act)),
  };
}
