import { colourChanged, toLinear, fromLinear, type Rgb } from '../../chemistry/colour';
import { benchSolutionOf, BENCH_SOLUTIONS } from '../../databook/bench-solutions';
import type { Act } from './acts';
import { aloneSeen, pairSeen } from './assignments';
import { SOLID_CLASS, type Observed } from './look';
import { LEFT_SLOTS, VOLUME_SLOTS, type Plan } from './plan';
import type { SeenVessel, View } from './view';

/** How a student works who knows the method; used for demo classes, rehearsals and tests. Sees only views. */
export interface Hands {
  /** Does an act so many seconds of bench time after the last. */
  act(act: Act, afterS?: number): Promise<void> | void;
  view(): View;
}

/** Ways of doing it otherwise; a careful student has none of them. */
export interface Habits {
  /** mL of the first of the two in each mixture of ten. */
  series?: readonly number[];
  by?: 'pipette' | 'cylinder' | 'eye';
  /** mL of a portion that is handed over. */
  portionMl?: number;
  /** Whether the zero of the colorimeter is set with water in it, and not with the empty cuvette. */
  blanks?: boolean;
  /** Which two bottles are taken for the ones that react, from 0; found out where it is left out. */
  pair?: [number, number];
}

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
async function coloursOf({ act, view }: Hands, bottles: number): Promise<Rgb[]> {
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
async function pairsSeen(
  hands: Hands,
  bottles: number,
  alone: readonly Rgb[],
  drops: [number, number],
): Promise<Map<string, Observed>> {
  const { act, view } = hands;
  const wells = wellsOf(view());
  const seen = new Map<string, Observed>();
  let next = 0;
  for (let a = 1; a <= bottles; a++)
    for (let b = a + 1; b <= bottles; b++) {
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

const FORMS = [
  { drops: [4, 4], at: 0 },
  { drops: [2, 12], at: 1 },
  { drops: [12, 2], at: 2 },
] as const;

/** Names each bottle from the student's own list, by pairs of drops and the data book. @returns names of A, B, C …, and what was seen of equal drops */
export async function nameBottles(hands: Hands, plan: Plan): Promise<{ names: string[]; seen: Observed[] }> {
  const { act, view } = hands;
  const list = (/order: (.*)$/u.exec(view().task ?? '')?.[1] ?? '').split(', ');
  const ids = list.map((name) => BENCH_SOLUTIONS.find((one) => one.name === name)?.id ?? '');
  const alone = await coloursOf(hands, plan.bottles);
  const shades: string[] = [];
  if (plan.paper)
    for (let i = 1; i <= plan.bottles; i++) {
      await act({ kind: 'paper', vessel: i }, 2);
      shades.push(view().paper?.shade ?? '');
    }
  const fitsAlone = (id: string, i: number) => {
    if (!plan.paper) return true;
    const expected = aloneSeen(id, true);
    const isAcid = shades[i] === 'red';
    const isBase = shades[i] === 'blue' || shades[i] === 'violet';
    return expected.endsWith('red') ? isAcid : expected.endsWith('violet') ? isBase : !isAcid || !isBase;
  };
  let left = permutations(ids).filter((so) => so.every(fitsAlone));
  let first: Observed[] = [];
  for (const { drops, at } of FORMS) {
    if (at > 0 && left.length <= 1) break;
    const seen = await pairsSeen(hands, plan.bottles, alone, [...drops]);
    if (at === 0) first = [...seen.values()];
    // Where a sight is faint, people differ: nothing is ruled out by it.
    const fits = (so: readonly string[]) =>
      [...seen].every(([key, what]) => {
        const [a, b] = key.split(' ').map(Number) as [number, number];
        const expected = pairSeen(so[a - 1] as string, so[b - 1] as string)[at];
        return !expected || expected.isFaint || expected.seen === what;
      });
    left = left.filter(fits);
  }
  return { names: (left[0] ?? ids).map((id) => benchSolutionOf(id).name), seen: first };
}

function permutations<T>(all: readonly T[]): T[][] {
  if (all.length <= 1) return [[...all]];
  return all.flatMap((one, i) => permutations([...all.slice(0, i), ...all.slice(i + 1)]).map((rest) => [one, ...rest]));
}

/** A clean vessel from the tray. @returns its number */
async function taken({ act, view }: Hands, type: 'tube' | 'beaker'): Promise<number> {
  const before = view().vessels;
  await act({ kind: 'take', type }, 2);
  const after = view().vessels;
  return 1 + after.findIndex((one, i) => one.type === type && !one.isAway && (!before[i] || before[i]?.isAway));
}

/** Long enough for the thermometer to come to rest, s. */
const REST_S = 9;
/** A mixture that warms by so much reacts, K. */
const WARMS_K = 0.12;

const shownC = (view: View): number => Number(view.shows.thermometer?.replace('\u2212', '-'));

/** The two bottles that react, from 0: by what is seen of pairs, and by warmth where nothing is. */
async function foundPair(hands: Hands, plan: Plan): Promise<[number, number]> {
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

/** Long enough for a dust to come to lie, s. */
const LIES_S = 6000;

/** Reads what is left of the coloured one in each tube of the series, at a wavelength at which the darkest of the two bottles can be read. */
async function readSeries({ act, view }: Hands, pair: [number, number], { blanks = true }: Habits): Promise<void> {
  const water = view().vessels.findIndex(({ type }) => type === 'water') + 1;
  const shown = () => Number(view().absorbance?.replace('\u2212', '-') ?? NaN);
  const zeroAt = async (nm: number) => {
    await act({ kind: 'wavelength', nm }, 2);
    if (blanks) await act({ kind: 'fillCuvette', vessel: water }, 2);
    else if (view().colorimeter?.vessel !== null) await act({ kind: 'emptyCuvette' }, 2);
    await act({ kind: 'blank' }, 2);
  };
  await act({ kind: 'wait' }, LIES_S);
  // Where the darker of the two bottles reads most, and still reads.
  const read: { nm: number; most: number }[] = [];
  for (let nm = 400; nm <= 640; nm += 20) {
    await zeroAt(nm);
    const alone: number[] = [];
    for (const side of pair) {
      await act({ kind: 'fillCuvette', vessel: side + 1 }, 2);
      alone.push(shown());
    }
    if (alone.every(Number.isFinite) && Math.max(...alone) < 2.2) read.push({ nm, most: Math.max(...alone) });
  }
  const tubes = view().vessels.flatMap(({ type, trial, isAway }, i) =>
    type === 'tube' && !isAway ? [{ number: i + 1, trial }] : [],
  );
  for (const { nm } of read.sort((a, b) => b.most - a.most)) {
    await zeroAt(nm);
    let isDark = false;
    for (const { number, trial } of tubes) {
      await act({ kind: 'fillCuvette', vessel: number }, 2);
      if (!Number.isFinite(shown())) isDark = true;
      else await act({ kind: 'recordAbsorbance', trial }, 2);
      if (isDark) break;
    }
    if (!isDark) return;
  }
}

/** A series of mixtures of the two that react, what they warm by and what is left over. @returns the pair, from 0 */
export async function mixSeries(hands: Hands, plan: Plan, habits: Habits = {}): Promise<[number, number]> {
  const { act, view } = hands;
  const { series = [1, 2, 3, 4, 5, 6, 7, 8, 9], by = 'pipette', portionMl = 2 } = habits;
  const pair = habits.pair ?? (await foundPair(hands, plan));
  if (plan.thermometer) {
    await act({ kind: 'dip', tool: 'thermometer', into: pair[0] + 1 }, 2);
    await act({ kind: 'recordTool', trial: view().recordableTrial, which: 'T0' }, REST_S);
    await act({ kind: 'takeOut', tool: 'thermometer' }, 1);
  }
  for (const ml of series) {
    const tube = await taken(hands, 'tube');
    const parts = [ml, 10 - ml] as const;
    for (const side of [0, 1] as const)
      if (parts[side] > 0) await act({ kind: 'measure', from: pair[side] + 1, to: tube, ml: parts[side], by }, 2);
    const trial = view().vessels[tube - 1]?.trial ?? 1;
    if (plan.thermometer) {
      await act({ kind: 'dip', tool: 'thermometer', into: tube }, 1);
      await act({ kind: 'recordTool', trial, which: 'T' }, REST_S);
      await act({ kind: 'takeOut', tool: 'thermometer' }, 1);
    }
    for (const side of [0, 1] as const)
      if (parts[side] > 0)
        await act(
          {
            kind: 'recordVolume',
            trial,
            vessel: tube,
            which: VOLUME_SLOTS[pair[side]] as (typeof VOLUME_SLOTS)[number],
          },
          1,
        );
    await act({ kind: 'name', vessel: tube, text: `${ml} + ${10 - ml}` }, 2);
    if (plan.slip) await act({ kind: 'slip', vessel: tube, ml: portionMl }, 5);
  }
  if (plan.colorimeter && !plan.slip && !plan.thermometer) await readSeries(hands, pair, habits);
  if (!plan.slip) return pair;
  await act({ kind: 'wait' }, 200);
  for (const [i, { trial }] of view().slips.entries()) {
    await act({ kind: 'recordSlip', trial, slip: i + 1, which: 'p' }, 1);
    for (const side of pair)
      await act({ kind: 'recordSlip', trial, slip: i + 1, which: LEFT_SLOTS[side] as (typeof LEFT_SLOTS)[number] }, 1);
  }
  return pair;
}
