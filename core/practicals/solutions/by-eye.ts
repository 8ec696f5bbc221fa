import { colourChanged, toLinear, fromLinear, type Rgb } from '../../chemistry/colour';
import { taken, type Hands } from './by-hand';
import { SOLID_CLASS, type Observed } from './look';
import type { Plan } from './plan';
import type { SeenVessel, View } from './view';

/** What students see when two bottles come together, and which two of them react. */

const wellsOf = (view: View): number[] => view.vessels.flatMap(({ type }, i) => (type === 'well' ? [i + 1] : []));

/** The colour that two liquids have together when they do nothing but dilute one another. */
const halfway = (a: Rgb, b: Rgb): Rgb =>
  a.map((channel, i) => fromLinear(Math.sqrt(toLinear(channel) * toLinear(b[i] ?? 255)))) as unknown as Rgb;

/** What a student would tick of a well in which two came together. */
function ticked(view: View, number: number, alone: readonly [Rgb, Rgb]): Observed {
  const { solid, colour } = view.vessels[number - 1] as SeenVessel;
  const [first] = solid ? [...solid.looks].sort((a, b) => b.tenths - a.tenths) : [];
  if (view.moves[number]?.bubbles) return first ? 'gas and a solid' : 'gas';
  if (first) return SOLID_CLASS[first.look];
  return colourChanged(halfway(...alone), colour) ? 'another colour' : 'nothing to be seen';
}

/** Colours of eight drops of each bottle by itself. */
export async function coloursOf({ act, view }: Hands, bottles: number): Promise<Rgb[]> {
  const wells = wellsOf(view());
  for (let i = 1; i <= bottles; i++) await act({ kind: 'drops', from: i, to: wells[i - 1] as number, drops: 8 }, 1);
  const colours = Array.from(
    { length: bottles },
    (_, i) => (view().vessels[(wells[i] as number) - 1] as SeenVessel).colour,
  );
  await act({ kind: 'rinsePlate' }, 2);
  return colours;
}

/** What is seen of each pair, so many drops of each, in the order of the letters. */
export async function pairsSeen(
  hands: Hands,
  bottles: number,
  alone: readonly Rgb[],
  drops: [number, number],
  only?: ReadonlySet<string>,
): Promise<Map<string, Observed>> {
  const { act, view } = hands;
  const wells = wellsOf(view());
  const seen = new Map<string, Observed>();
  let next = 0;
  for (let a = 1; a <= bottles; a++)
    for (let b = a + 1; b <= bottles; b++) {
      if (only && !only.has(`${a} ${b}`)) continue;
      if (next === wells.length) {
        await act({ kind: 'rinsePlate' }, 2);
        next = 0;
      }
      const well = wells[next++] as number;
      await act({ kind: 'drops', from: a, to: well, drops: drops[0] }, 1);
      await act({ kind: 'drops', from: b, to: well, drops: drops[1] }, 1);
      seen.set(`${a} ${b}`, ticked(view(), well, [alone[a - 1] as Rgb, alone[b - 1] as Rgb]));
    }
  await act({ kind: 'rinsePlate' }, 2);
  return seen;
}

/** Long enough for the thermometer to come to rest, s. */
export const REST_S = 9;
/** A mixture that warms by so much reacts, K. */
const WARMS_K = 0.12;

const shownC = (view: View): number => Number(view.shows.thermometer?.replace('\u2212', '-'));

/** The two bottles that react, from 0: by what is seen of pairs, and by warmth where nothing is. */
export async function foundPair(hands: Hands, plan: Plan): Promise<[number, number]> {
  const { act, view } = hands;
  if (plan.spotPlate) {
    const alone = await coloursOf(hands, plan.bottles);
    const seen = [...(await pairsSeen(hands, plan.bottles, alone, [4, 4]))].find(
      ([, what]) => what !== 'nothing to be seen',
    );
    if (seen) return seen[0].split(' ').map((n) => Number(n) - 1) as [number, number];
  }
  let best: { pair: [number, number]; warmer: number } = { pair: [0, 1], warmer: -1 };
  for (let a = 1; a <= plan.bottles; a++)
    for (let b = a + 1; b <= plan.bottles; b++) {
      const tube = await taken(hands, 'tube');
      for (const from of [a, b]) await act({ kind: 'measure', from, to: tube, ml: 4, by: 'pipette' }, 2);
      const solid = view().vessels[tube - 1]?.solid;
      let warmer = solid ? 10 : 0;
      if (plan.thermometer) {
        await act({ kind: 'dip', tool: 'thermometer', into: a }, 1);
        await act({ kind: 'wait' }, REST_S);
        const before = shownC(view());
        await act({ kind: 'dip', tool: 'thermometer', into: tube }, 1);
        await act({ kind: 'wait' }, REST_S);
        warmer = Math.max(warmer, shownC(view()) - before);
        await act({ kind: 'takeOut', tool: 'thermometer' }, 1);
      }
      if (warmer > best.warmer) best = { pair: [a - 1, b - 1], warmer };
      await act({ kind: 'away', vessel: tube }, 1);
      if (warmer > 20 * WARMS_K) return best.pair;
    }
  return best.pair;
}
