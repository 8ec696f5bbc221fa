import type { Method } from '../../method';
import type { Bench } from '../bench';
import { foundPair, REST_S } from '../by-eye';
import { taken, type Hands, type Measured } from '../by-hand';
import { LEFT_SLOTS, VOLUME_SLOTS, type Plan, type Slot } from '../plan';
import { triedPairs } from '../tried';
import { weighedMethod } from './weighed';

/** The way to a ratio: which two react, then a series of mixtures, and how far the reaction went in each. */

/** Ways of doing it otherwise; a careful student has none of them. */
export interface Habits {
  /** mL of the first of the two in each mixture of ten. */
  series?: readonly number[];
  by?: Measured;
  /** mL of a portion that is handed over. */
  portionMl?: number;
  /** Whether the zero of the colorimeter is set with water in it, and not with the empty cuvette. */
  blanks?: boolean;
  /** Which two bottles are taken for the ones that react, from 0; found out where it is left out. */
  pair?: [number, number];
}

/** Mixtures that are asked for, mL of the first of the two in 10; and in 40 where the solid is weighed. */
const SERIES = [1, 2, 3, 4, 5, 6, 7, 8, 9];
const HEAVY = { all: 40, series: [8, 14, 20, 26, 32] };
const ALL = 10;
/** How long an analysis takes, s. */
const ANALYSED_S = 180;

/** Which two react is what students found out themselves: they remember it. */
const remembered = new WeakMap<Hands, [number, number]>();
export const pairOf = (hands: Hands): [number, number] => remembered.get(hands) ?? [0, 1];

/** Long enough for a dust to come to lie, s. */
const LIES_S = 6000;

/** Reads what is left of the coloured one in each tube of the series, at a wavelength at which the darkest of the two bottles can be read. */
async function readSeries({ act, view }: Hands, pair: [number, number], blanks: boolean): Promise<void> {
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

const standing = ({ readings }: Bench) => readings.filter(({ struck }) => struck === null);
/** How many trials have readings of all these kinds. */
function trialsWith(bench: Bench, kinds: readonly ((which: Slot) => boolean)[]): number {
  const live = standing(bench);
  const trials = [...new Set(live.map(({ trial }) => trial))];
  return trials.filter((trial) => kinds.every((is) => live.some((r) => r.trial === trial && is(r.which)))).length;
}
const isVolume = (which: Slot) => (VOLUME_SLOTS as readonly Slot[]).includes(which);
const isSlip = (which: Slot) => (LEFT_SLOTS as readonly Slot[]).includes(which);
const isOf = (slot: Slot) => (which: Slot) => which === slot;

export function ratioMethod(plan: Plan, habits: Habits = {}): Method<Bench, Hands> {
  const { by = 'pipette', portionMl = 2, blanks = true } = habits;
  const tubes = ({ view }: Hands) =>
    view().vessels.flatMap(({ type, isAway }, i) => (type === 'tube' && !isAway ? [i + 1] : []));
  /** Volumes of one mixture in their order, as they stand in the notebook: at once where nothing is read first. */
  const mixes = async (hands: Hands, ml: number) => {
    const { act, view } = hands;
    const pair = pairOf(hands);
    const tube = await taken(hands, 'tube');
    const parts = [ml, ALL - ml] as const;
    const sides = ([0, 1] as const).filter((side) => parts[side] > 0);
    for (const side of sides) await act({ kind: 'measure', from: pair[side] + 1, to: tube, ml: parts[side], by }, 2);
    const trial = view().vessels[tube - 1]?.trial ?? 1;
    if (plan.thermometer) {
      await act({ kind: 'dip', tool: 'thermometer', into: tube }, 1);
      await act({ kind: 'recordTool', trial, which: 'T' }, REST_S);
      await act({ kind: 'takeOut', tool: 'thermometer' }, 1);
    }
    for (const side of sides)
      await act({ kind: 'recordVolume', trial, vessel: tube, which: VOLUME_SLOTS[pair[side]] ?? 'vA' }, 1);
    await act({ kind: 'name', vessel: tube, text: `${ml} + ${ALL - ml}` }, 2);
  };
  const which = {
    key: 'which',
    does: 'Put a little of each pair of bottles together. Find the two that react.',
    how: [
      plan.spotPlate
        ? 'Use the spot plate: four drops of each in one well.'
        : `Use a clean ${plan.vessels[0]} for each pair.`,
      `Look for a solid, a gas or another colour.${plan.thermometer ? ' Where nothing is seen, look for warmth.' : ''}`,
    ],
    isDone: (bench: Bench) => triedPairs(bench).pairs > 1,
    work: async (hands: Hands) => void remembered.set(hands, habits.pair ?? (await foundPair(hands, plan))),
  };
  if (plan.papers.length > 0)
    return [
      which,
      {
        key: 'left',
        does: `Make ${HEAVY.series.length} mixtures of ${HEAVY.all} mL. Filter, wash, dry and weigh what falls in each.`,
        how: [
          `Take ${HEAVY.series.map((ml) => `${ml} + ${HEAVY.all - ml}`).join(', ')} mL. Record the volumes.`,
          'Give each mixture a paper of its own. Weigh the paper first.',
          'Keep the solid hot for half an hour. Filter it, and wash it with two portions of water.',
          'Dry it for an hour at 105 °C. Let it cool before you weigh it.',
        ],
        isDone: (bench) => trialsWith(bench, [isVolume, isOf('mP'), isOf('h1')]) >= HEAVY.series.length,
        work: async (hands) => {
          const [a, b] = pairOf(hands);
          for (const ml of habits.series ?? HEAVY.series) {
            const steps = weighedMethod(plan, () => [ml, HEAVY.all - ml], {
              from: [a + 1, b + 1],
              ...{ rounds: 1, rinses: 1, washes: 2, washMl: 5 },
            });
            for (const { work } of steps) await work(hands);
            for (const [i, { type, isAway }] of hands.view().vessels.entries())
              if (type === 'beaker' && !isAway) await hands.act({ kind: 'away', vessel: i + 1 });
          }
        },
      },
    ];
  const series = habits.series ?? SERIES;
  const reads = plan.thermometer ? [isVolume, isOf('T')] : [isVolume];
  const mixing: Method<Bench, Hands>[number] = {
    key: 'series',
    does: `Make ${SERIES.length} mixtures of ${ALL} mL. Record ${plan.thermometer ? 'how warm each becomes, and its volumes' : 'the volumes of each'}.`,
    how: [
      `Use the pipette, and a clean tube for each: 1 + 9, 2 + 8 and so on, up to 9 + 1 mL.`,
      ...(plan.thermometer
        ? ['Put the thermometer in at once after mixing. Record when the display has come to rest.']
        : []),
      'Write on each tube what is in it.',
    ],
    isDone: (bench) => trialsWith(bench, reads) >= SERIES.length,
    work: async (hands) => {
      for (const ml of series) await mixes(hands, ml);
    },
  };
  return [
    which,
    ...(plan.thermometer
      ? [
          {
            key: 'before',
            does: 'Record the temperature of one of the two bottles before you mix.',
            isDone: (bench: Bench) => standing(bench).some((r) => r.which === 'T0'),
            work: async (hands: Hands) => {
              const { act, view } = hands;
              await act({ kind: 'dip', tool: 'thermometer', into: pairOf(hands)[0] + 1 }, 2);
              await act({ kind: 'recordTool', trial: view().recordableTrial, which: 'T0' }, REST_S);
              await act({ kind: 'takeOut', tool: 'thermometer' }, 1);
            },
          },
        ]
      : []),
    mixing,
    ...(plan.slip
      ? [
          {
            key: 'left',
            does: `Hand over ${portionMl} mL of each mixture for analysis. Record what the slips say.`,
            how: [
              `The slips are there after ${ANALYSED_S / 60} minutes.`,
              'A slip says how much of each solution has not reacted: in mmol, in your portion.',
              'The whole mixture has as many times more as it is larger than the portion.',
            ],
            isDone: (bench: Bench) => trialsWith(bench, [isVolume, isOf('p'), isSlip]) >= SERIES.length,
            work: async (hands: Hands) => {
              const { act, view } = hands;
              for (const vessel of tubes(hands)) await act({ kind: 'slip', vessel, ml: portionMl }, 5);
              await act({ kind: 'wait' }, ANALYSED_S + 20);
              for (const [i, { trial }] of view().slips.entries()) {
                await act({ kind: 'recordSlip', trial, slip: i + 1, which: 'p' }, 1);
                for (const side of pairOf(hands))
                  await act({ kind: 'recordSlip', trial, slip: i + 1, which: LEFT_SLOTS[side] ?? 'nA' }, 1);
              }
            },
          },
        ]
      : plan.colorimeter && !plan.thermometer
        ? [
            {
              key: 'left',
              does: 'Read in the colorimeter how much of the coloured one is left in each mixture.',
              how: [
                'Type the wavelength of light that it takes away. Set the zero with water in the cuvette.',
                'A solid that is afloat makes it read too high. Let it come to lie first.',
              ],
              isDone: (bench: Bench) => trialsWith(bench, [isVolume, isOf('A')]) >= SERIES.length,
              work: (hands: Hands) => readSeries(hands, pairOf(hands), blanks),
            },
          ]
        : []),
  ];
}
