import type { Outcome } from '../../contract';
import { done, isAmount, refuse } from '../../hands';
import { TAKES_S } from '../act-parts';
import type { Bench } from '../bench';
import { advance } from '../going-on/flow';
import { FULL_G, GAPS_MM } from './lamps';
import type { Lamp } from '../bodies';
import { warmed } from '../mixing/warmed';

/** What is done with spirit lamps and the can over them. */

const NONE = 'There is no such lamp at this bench.';

export const withLamp = (bench: Bench, n: number, change: Partial<Lamp>): Bench => ({
  ...bench,
  lamps: bench.lamps.map((lamp, i) => (i === n ? { ...lamp, ...change } : lamp)),
});

const emptyCan = ({ vessels }: Bench) =>
  vessels.cup.liquid.volumeMl === 0 ? 'There is no water in the can: it gets very hot.' : undefined;

export function flame(bench: Bench, { n, to }: { n: number; to: 'lit' | 'open' | 'capped' }): Outcome<Bench> {
  const lamp = bench.lamps[n - 1];
  if (!lamp) return refuse(NONE);
  if (lamp.state === to)
    return refuse(
      to === 'lit'
        ? 'It burns already.'
        : to === 'capped'
          ? 'Its cap is on already.'
          : 'It stands open, and does not burn.',
    );
  if (to === 'lit' && lamp.fuelG === 0) return refuse('There is no fuel in it.');
  const isSeen = to === 'lit' && lamp.at === 'can';
  const now = withLamp(to === 'lit' ? { ...bench, lightings: bench.lightings + 1 } : bench, n - 1, { state: to });
  const note =
    to === 'lit' && lamp.at === 'pan'
      ? 'It burns on the balance, and grows lighter.'
      : to === 'open'
        ? 'Without its cap its wick dries, and it grows lighter.'
        : isSeen
          ? emptyCan(bench)
          : undefined;
  return done(advance(warmed(now), 1), note);
}

export function stand(bench: Bench, { n, at }: { n: number; at: 'can' | 'mat' }): Outcome<Bench> {
  const lamp = bench.lamps[n - 1];
  if (!lamp) return refuse(NONE);
  if (lamp.at === at)
    return refuse(at === 'can' ? 'It stands under the can already.' : 'It stands on its mat already.');
  if (at === 'can' && bench.lamps.some((one, i) => i !== n - 1 && one.at === 'can'))
    return refuse('The other lamp stands under the can. Take it away first.');
  const off = lamp.at === 'pan' ? { ...bench.pan, on: null } : bench.pan;
  const now = advance({ ...withLamp(bench, n - 1, { at }), pan: off }, TAKES_S.carry);
  const note = at === 'can' && lamp.state === 'lit' ? emptyCan(bench) : undefined;
  return done(warmed(now), note);
}

/** How high the can hangs over the wick. */
export function gap(bench: Bench, { mm }: { mm: number }): Outcome<Bench> {
  if (bench.lamps.length === 0) return refuse(NONE);
  const [least, most] = GAPS_MM;
  if (!isAmount(mm, least, most)) return refuse(`The can hangs ${least} to ${most} mm over the wick.`);
  return done({ ...bench, gapMm: mm });
}

export function screen(bench: Bench, { on }: { on: boolean }): Outcome<Bench> {
  if (bench.lamps.length === 0) return refuse(NONE);
  if (bench.screen === on) return refuse(on ? 'The screen stands there already.' : 'There is no screen to take away.');
  return done({ ...bench, screen: on });
}

export function refill(bench: Bench, { n }: { n: number }): Outcome<Bench> {
  const lamp = bench.lamps[n - 1];
  if (!lamp) return refuse(NONE);
  if (lamp.state === 'lit') return refuse('It burns. Put its cap on before you fill it.');
  const more = FULL_G - lamp.fuelG;
  if (more < 0.5) return refuse('The lamp is full.');
  const now = withLamp(bench, n - 1, { fuelG: FULL_G });
  return done(advance({ ...now, filledG: bench.filledG + more }, 2 * TAKES_S.carry));
}
