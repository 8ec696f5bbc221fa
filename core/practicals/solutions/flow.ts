import { passed } from '../time-passes';
import { isUnsettled } from '../../instruments/weighing';
import { apart, part, type Contents } from '../../chemistry/contents';
import type { Bench, Vessel } from './bench';
import { humidity, isOwn } from './bench';
import { driedFor } from './solids/drying';
import { thereAtS } from './solids/oven';
import { seenSolid, solidsIn } from './look';
import { SETTLES_S } from './vessels';

/** What goes on by itself at this bench runs in closed form: nothing but the time has to be kept. */

export const advance = (bench: Bench, seconds: number): Bench =>
  passed(bench, seconds, ({ oven, sample, papers, timeS }) => ({
    papers: papers.map((paper) =>
      driedFor(paper, timeS, seconds, { oven, roomC: sample.roomC, humid: humidity(bench) }),
    ),
  }));

/** The part of a solid that is still afloat. */
export function afloat({ timeS }: Bench, { contents, mixedAtS }: Vessel): number {
  const [first] = solidsIn(contents);
  return first ? Math.exp(-(timeS - mixedAtS) / SETTLES_S[first.entry.form]) : 0;
}

/** How long gas is seen to come, s. */
const BUBBLES_S = 20;
/** Whether so much gas is seen, mol of it for a litre. */
export const fizzes = (molPerL: number): boolean => molPerL > 0.002;
export const bubbles = ({ timeS }: Bench, { bubbledMolPerL, mixedAtS }: Vessel): boolean =>
  fizzes(bubbledMolPerL) && timeS - mixedAtS < BUBBLES_S;

/** Something stands there that falls, cools or comes: time itself matters. */
export const running = (bench: Bench): boolean =>
  bench.vessels.some((vessel) => isOwn(vessel) && !vessel.isAway && vessel.contents.volumeMl > 0) ||
  bench.papers.some(({ at }) => at !== 'away') ||
  thereAtS(bench.oven) > bench.timeS ||
  isUnsettled(bench.pan, bench.timeS) ||
  bench.slips.some(({ readyAtS }) => readyAtS > bench.timeS);

/** What a solid that lies on the ground holds back of the liquid, mL. */
const KEPT_ML = 0.1;

/**
 * So many mL out of a vessel, and what stays: of a solid only what is afloat goes with them.
 */
export function drawn(bench: Bench, vessel: Vessel, ml: number): { taken: Contents; left: Contents } {
  const { contents } = vessel;
  // What lies on the ground keeps a little of the liquid.
  const most = contents.volumeMl > 0 && seenSolid(contents) ? Math.max(1 - KEPT_ML / contents.volumeMl, 0) : 1;
  const share = contents.volumeMl > 0 ? Math.min(Math.max(ml / contents.volumeMl, 0), most) : 0;
  if (share === 0) return { taken: part(contents, 0), left: contents };
  return apart(contents, share, share * afloat(bench, vessel));
}
