import { untilSteady, weighed, type Hands } from '../practised-student';

/** How a student freezes what is in a test tube who knows the method. */

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

const shows = ({ view }: Hands) => Number((view().thermometers[0]?.text ?? '').replace('\u2212', '-'));
const frozen = ({ view }: Hands) => view().tube?.frozen ?? 0;

/** Melts all of it, some ten degrees warmer than that. @returns where it was seen to melt, °C */
async function melts(hands: Hands, mostC: number): Promise<number> {
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

/** Cools and freezes it, about half. */
async function freezesHalf(
  hands: Hands,
  bathC: number,
  { jacket = true, stirs = true, everyS = 5 }: FreezingHabits,
): Promise<void> {
  const { act, view } = hands;
  await act({ kind: 'warm', what: 'cold', tempC: Math.max(-30, Math.min(60, Math.round(bathC))) });
  if (view().tube?.jacket !== jacket) await act({ kind: 'jacket', on: jacket });
  if (stirs && view().tube?.stir === 'off') await act({ kind: 'tubeStir', how: 'motor' });
  if (view().log === null) await act({ kind: 'log', everyS });
  await act({ kind: 'tubeTo', at: 'cold' });
  for (let i = 0; i < 300 && frozen(hands) < 4; i++) await act({ kind: 'wait' }, 15);
  for (let i = 0; i < 8; i++) await act({ kind: 'wait' }, 30);
}

async function filled(hands: Hands, grams: number, of: 1 | 2 = 1): Promise<void> {
  await hands.act({ kind: 'charge', g: grams, of });
  if (hands.view().thermometers[0]?.at !== 'tube') await hands.act({ kind: 'thermometer', n: 1, at: 'tube' });
}

/** A pure solid, melted and frozen so many times. */
export async function freezePure(hands: Hands, times: number, habits: FreezingHabits = {}): Promise<void> {
  const { act } = hands;
  await filled(hands, habits.grams ?? 12);
  await act({ kind: 'warm', what: 'bath', tempC: 97 });
  for (let i = 0; i < times; i++) {
    const melted = await melts(hands, 95);
    await freezesHalf(hands, habits.bathC ?? melted - 20, habits);
  }
}

/** A solvent that is molten in the room or not, pure and then with the unknown in it. */
export async function freezeSolution(hands: Hands, freezesC: number, habits: FreezingHabits = {}): Promise<void> {
  const { act, view } = hands;
  const [, solventG = '15', soluteG = '0.2'] =
    /about ([\d.]+) g of .* about ([\d.]+) g of the unknown/.exec(view().task ?? '') ?? [];
  await weighed(hands, 1, 'm1', 'tube');
  await filled(hands, habits.grams ?? Number(solventG));
  await weighed(hands, 1, 'm2', 'tube');
  const bathC = habits.bathC ?? freezesC - 14;
  await act({ kind: 'warm', what: 'bath', tempC: Math.max(freezesC + 12, 30) });
  await melts(hands, freezesC + 10);
  await freezesHalf(hands, bathC, habits);
  await melts(hands, freezesC + 10);
  await act({ kind: 'tubeTo', at: 'stand' });
  await act({ kind: 'scoop', g: habits.soluteG ?? Number(soluteG) });
  await weighed(hands, 1, 'm', 'boat');
  await act({ kind: 'tip' });
  if (habits.reweighs ?? true) await weighed(hands, 1, 'mb', 'boat');
  await act({ kind: 'wait' }, habits.dissolvesS ?? 240);
  await untilSteady(hands, 1, 60);
  await freezesHalf(hands, bathC - 3, habits);
}

/** Two samples by themselves and their mixture, each logged while it melts and while it freezes. */
export async function freezeSamples(hands: Hands, habits: FreezingHabits = {}): Promise<void> {
  const { act, view } = hands;
  const [, alone = '12', one = '9', other = '3'] =
    /about (\d+) g of a sample.* about (\d+) g of one and about (\d+) g of the other/.exec(view().task ?? '') ?? [];
  const { everyS = 5 } = habits;
  const fills = [[[Number(alone), 1]], [[Number(alone), 2]], [[Number(one), 1], [Number(other), 2]]] as const; // prettier-ignore
  await act({ kind: 'jacket', on: true });
  await act({ kind: 'warm', what: 'bath', tempC: 92 });
  for (const [i, fill] of fills.entries()) {
    if (i > 0) {
      // It can be emptied only while it is molten.
      await melts(hands, 90);
      await act({ kind: 'tubeTo', at: 'stand' });
      await act({ kind: 'emptyTube' });
      await act({ kind: 'jacket', on: true });
    }
    for (const [grams, of] of fill) await filled(hands, grams, of);
    if (view().log === null) await act({ kind: 'log', everyS });
    const melted = await melts(hands, 90);
    await freezesHalf(hands, melted - 16, habits);
  }
}
