import type { Bench } from '../bench';
import { STEP_S } from './rates';
import { Stretch } from './stretch';

/** Time passes; nothing does while the clock is stopped. */
export function advance(bench: Bench, seconds: number): Bench {
  if (bench.paused || !(seconds > 0)) return bench;
  const endS = bench.timeS + seconds;
  if (endS - bench.steppedS < STEP_S) return { ...bench, timeS: endS };
  const stretch = new Stretch(bench);
  stretch.to(endS);
  return stretch.end(endS);
}

/** As things stand at this moment: what a long step would still have to bring is brought, before anything is done. */
export function broughtUp(bench: Bench): Bench {
  if (bench.timeS - bench.steppedS < STEP_S) return bench;
  const stretch = new Stretch(bench);
  stretch.to(bench.timeS, true);
  return stretch.end(bench.timeS);
}
