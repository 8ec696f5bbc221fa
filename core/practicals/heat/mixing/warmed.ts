import { combined } from '../act-parts';
import type { Bench } from '../bench';

/** Where a flame is under a can with water in it, that water is what it warms from now on. */
export function warmed(bench: Bench): Bench {
  const { lamps, vessels, pan } = bench;
  const burns = lamps.findIndex(({ state, at }) => state === 'lit' && at === 'can');
  if (burns < 0 || vessels.cup.liquid.volumeMl === 0 || pan.on === 'cup') return bench;
  const now = combined(bench);
  return { ...now, lamps: lamps.map((lamp, i) => (i === burns ? { ...lamp, usedIn: now.cups } : lamp)) };
}
