import { part, settledIn, type Contents } from '../../chemistry/contents';
import { SOLIDS_THAT_FALL, type ComponentId } from '../../databook/precipitates';
import type { Bench, Vessel } from './bench';
import { isOwn } from './bench';
import { seenSolid, solidsIn } from './look';
import { SETTLES_S } from './vessels';

/** What goes on by itself at this bench runs in closed form: nothing but the time has to be kept. */

export const advance = (bench: Bench, seconds: number): Bench =>
  bench.paused || !(seconds > 0) ? bench : { ...bench, timeS: bench.timeS + seconds };

/** The part of a solid that is still afloat. */
export function afloat({ timeS }: Bench, { contents, mixedAtS }: Vessel): number {
  const [first] = solidsIn(contents);
  return first ? Math.exp(-(timeS - mixedAtS) / SETTLES_S[first.entry.form]) : 0;
}

/** How long gas is seen to come, s. */
const BUBBLES_S = 20;
export const bubbles = ({ timeS }: Bench, { bubbledMolPerL, mixedAtS }: Vessel): boolean =>
  bubbledMolPerL > 0.002 && timeS - mixedAtS < BUBBLES_S;

/** Something stands there that falls, cools or comes: time itself matters. */
export const running = (bench: Bench): boolean =>
  bench.vessels.some((vessel) => isOwn(vessel) && !vessel.isAway && vessel.contents.volumeMl > 0) ||
  bench.slips.some(({ readyAtS }) => readyAtS > bench.timeS);

/** What a solid that lies on the ground holds back of the liquid, mL. */
const KEPT_ML = 0.1;
const OF = new Map(SOLIDS_THAT_FALL.map(({ id, of }) => [id, of]));

/**
 * So many mL out of a vessel, and what stays: of a solid only what is afloat goes with them.
 */
export function drawn(bench: Bench, vessel: Vessel, ml: number): { taken: Contents; left: Contents } {
  const { contents } = vessel;
  // What lies on the ground keeps a little of the liquid.
  const most = contents.volumeMl > 0 && seenSolid(contents) ? Math.max(1 - KEPT_ML / contents.volumeMl, 0) : 1;
  const share = contents.volumeMl > 0 ? Math.min(Math.max(ml / contents.volumeMl, 0), most) : 0;
  if (share === 0) return { taken: part(contents, 0), left: contents };
  const lying: Partial<Record<ComponentId, number>> = {};
  const down = 1 - afloat(bench, vessel);
  for (const [id, mol] of Object.entries(settledIn(contents).solids))
    for (const [component, n] of Object.entries(OF.get(id) ?? {}) as [ComponentId, number][])
      lying[component] = (lying[component] ?? 0) + n * mol * down;
  const free = Object.fromEntries(
    (Object.entries(contents.amounts) as [ComponentId, number][]).map(([id, mol]) => [id, mol - (lying[id] ?? 0)]),
  );
  const taken = part({ volumeMl: contents.volumeMl, amounts: free }, share);
  const left = {
    volumeMl: contents.volumeMl - taken.volumeMl,
    amounts: Object.fromEntries(
      (Object.entries(contents.amounts) as [ComponentId, number][]).map(([id, mol]) => [
        id,
        mol - ((taken.amounts as Partial<Record<ComponentId, number>>)[id] ?? 0),
      ]),
    ),
  };
  return { taken, left };
}
