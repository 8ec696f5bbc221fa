import type { Hands } from '../by-hand';

/** What students do with a test tube. */

export interface FreezingHabits {
  grams?: number;
  soluteG?: number;
  /** What the cold bath is set to, °C; by where it melted, where it is left out. */
  bathC?: number;
  jacket?: boolean;
  stirs?: boolean;
  everyS?: number;
  /** How long it is stirred after the solute went in, s. */
  dissolvesS?: number;
  /** Whether the boat is weighed again after it was tipped. */
  reweighs?: boolean;
}

/** How often the temperature is logged, s. */
export const EVERY_S = 5;

export const shows = ({ view }: Hands) => Number((view().thermometers[0]?.text ?? '').replace('\u2212', '-'));
const frozen = ({ view }: Hands) => view().tube?.frozen ?? 0;

/** Melts all of it, some ten degrees warmer than that. @returns where it was seen to melt, °C */
export async function melts(hands: Hands, mostC: number): Promise<number> {
  const { act } = hands;
  await act({ kind: 'tubeTo', at: 'bath' });
  let last = shows(hands);
  for (let i = 0; i < 400 && frozen(hands) > 0; i++) {
    await act({ kind: 'wait' }, 10);
    if (frozen(hands) > 0) last = shows(hands);
  }
  for (let i = 0; i < 60 && shows(hands) < Math.min(last + 10, mostC); i++) await act({ kind: 'wait' }, 5);
  return last;
}

/** The cold bath at a temperature, the air jacket on, stirred and logged. */
export async function getsReady(
  { act, view }: Hands,
  bathC: number,
  { jacket = true, stirs = true, everyS = EVERY_S }: FreezingHabits,
): Promise<void> {
  await act({ kind: 'warm', what: 'cold', tempC: Math.max(-30, Math.min(60, Math.round(bathC))) });
  if (view().tube?.jacket !== jacket) await act({ kind: 'jacket', on: jacket });
  if (stirs && view().tube?.stir === 'off') await act({ kind: 'tubeStir', how: 'motor' });
  if (view().log === null) await act({ kind: 'log', everyS });
}

/** Cools and freezes it, about half. */
export async function freezesHalf(hands: Hands): Promise<void> {
  const { act } = hands;
  await act({ kind: 'tubeTo', at: 'cold' });
  for (let i = 0; i < 300 && frozen(hands) < 4; i++) await act({ kind: 'wait' }, 15);
  for (let i = 0; i < 8; i++) await act({ kind: 'wait' }, 30);
}

export async function filled(hands: Hands, grams: number, of: 1 | 2 = 1): Promise<void> {
  await hands.act({ kind: 'charge', g: grams, of });
  if (hands.view().thermometers[0]?.at !== 'tube') await hands.act({ kind: 'thermometer', n: 1, at: 'tube' });
}
