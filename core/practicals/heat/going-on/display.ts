import { shownText } from '../../../instruments/thermometer';
import type { Bench } from '../bench';
import type { Thermometer } from '../bodies';

/** What a digital thermometer shows at a moment; empty of one that is read by eye. It looks once a second. */
export const displayText = (
  { seed, off }: Pick<Bench, 'seed' | 'off'>,
  one: Thermometer,
  n: number,
  timeS: number,
): string => shownText(one.piece, one.tipC, off.includes('probe') ? null : `${seed} ${n}`, Math.floor(timeS)) ?? '';
