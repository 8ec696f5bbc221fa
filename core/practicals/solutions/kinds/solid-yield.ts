import { z } from 'zod';
import { fixed } from '../../../analysis/quantity';
import { mixed, solutionFrom } from '../../../chemistry/contents';
import { benchSolutionOf } from '../../../databook/bench-solutions';
import { WEIGHED_IDS, WEIGHED_SOLIDS, weighedOf } from '../../../databook/weighed-solids';
import { chance, shuffled, type Chance } from '../../../random';
import { askFor, askName, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import { bands } from '../../settings-parts';
import type { Kind } from '../kind';
import { taskVolumes, weighedMethod, type Mixing } from '../methods/weighed';
import { VOLUME_SLOTS } from '../plan';
import type { Row } from '../rows';
import { roomOf, type Sample } from '../sample';
import { couldFall, weighedG, weighedGPerMol } from '../solids/left-behind';
import { common, meanOf, nameOfBottle, planFor, solidG, tablesFor } from './weighed-parts';

const setupSchema = z.object({
  solids: z
    .array(z.enum(WEIGHED_IDS))
    .min(1, 'Choose at least one solid.')
    .default([
      'silver-chloride',
      'silver-chromate',
      'silver-aluminium',
      'barium-sulfate',
      'barium-chromate',
      'calcium-carbonate',
    ])
    .meta({
      label: 'Solids that may be drawn',
      help: 'Each student has one of them, with concentrations and volumes of their own.',
      options: Object.fromEntries(WEIGHED_SOLIDS.map(({ id, name }) => [id, name])),
    }),
  ...common,
  bandsPercent: bands([2, 4, 8]),
});
type Setup = z.infer<typeof setupSchema>;

const FIRST = { key: 'first', label: 'What runs out first' };
const THEORY = { key: 'theory', label: 'Mass that can fall at most', unit: 'g', digits: 3 };
const YIELD = { key: 'yield', label: 'Yield', unit: '%', digits: 3 };
const BOTTLES = ['Bottle A', 'Bottle B'];

/** How much of one there is to that of the other, at the least and at the most. */
const EXCESS = { least: 1.25, most: 1.8 } as const;
const LEAST_G = 0.3;
const MOST_ML = 75;
/** So much of it falls at least: the rest stays dissolved. */
const FALLS = 0.99;

const molOf = (bottles: Sample['bottles'], volumes: readonly number[]): number[] =>
  bottles.map(({ molPerL }, i) => (molPerL * (volumes[i] ?? 0)) / 1000);

/** Volumes in whole millilitres of which one side runs out well before the other, and enough falls to be weighed. */
function drawnVolumes(id: string, bottles: Sample['bottles'], source: Chance): [number, number] {
  const asked = { weighed: { id, volumes: null }, bottles };
  let best: [number, number] = [20, 20];
  for (let i = 0; i < 400; i++) {
    const volumes: [number, number] = [12 + Math.floor(30 * source.uniform()), 12 + Math.floor(30 * source.uniform())];
    if (volumes[0] + volumes[1] > MOST_ML) continue;
    const mol = molOf(bottles, volumes);
    const could = couldFall(asked, mol);
    const other = couldFall(
      asked,
      mol.map((one, at) => (at === could?.first ? Infinity : one)),
    );
    if (!could || !other) continue;
    best = volumes;
    const excess = other.mol / could.mol;
    const grams = could.mol * weighedGPerMol(asked);
    if (excess < EXCESS.least || excess > EXCESS.most || grams < LEAST_G) continue;
    const [a, b] = bottles.map((one, at) => solutionFrom(one.id, one.molPerL, volumes[at] as number));
    const sample = { ...asked, reaction: null, task: null, jar: null, roomC: 20 };
    if (a && b && weighedG(mixed(a, b).contents, sample) > FALLS * grams) return volumes;
  }
  return best;
}

/** Of one mixture by what was recorded of it: what could fall, mol. */
function couldIn({ readings }: Row, sample: Sample): number | undefined {
  const volumes = VOLUME_SLOTS.slice(0, 2).map((slot) => readings[slot]?.value ?? NaN);
  const could = couldFall(sample, molOf(sample.bottles, volumes));
  return could && Number.isFinite(could.mol) ? could.mol : undefined;
}

const MIXING: Mixing = {
  does: 'Measure your own volumes of A and B into a beaker, and stir. Record both volumes.',
  how: ['The pipette takes 10 mL at the most: use it several times.'],
};

export const solidYield: Kind<Setup> = {
  id: 'solid-yield',
  title: 'A solid from two solutions',
  summary:
    'Two solutions are mixed, the solid is filtered, washed, dried and weighed. What ran out first, and how much solid came?',
  setup: setupSchema,
  room: () => 400,
  draw: (setup, seed, index) => {
    const order = shuffled(setup.solids.length, chance(seed, 'solids'));
    const id = setup.solids[order[index % order.length] as number] as string;
    const { sides } = weighedOf(id);
    const source = chance(seed, `volumes ${index}`);
    const bottles = shuffled(2, source).map((at) => {
      const side = sides[at] as (typeof sides)[number];
      const molPerL = Number(drawnValue(0.1, 0.2, `${seed} ${index} ${at}`, index).toPrecision(3));
      return { id: side.id, molPerL, says: `${benchSolutionOf(side.id).name}, ${molPerL.toPrecision(3)} mol/L` };
    });
    const volumes = drawnVolumes(id, bottles, source);
    return {
      roomC: roomOf(seed, index),
      bottles,
      reaction: null,
      weighed: { id, volumes },
      jar: null,
      task: `Yours: ${volumes[0]} mL of A with ${volumes[1]} mL of B, and the solid is ${weighedOf(id).name}.`,
    };
  },
  plan: planFor,
  brief: () => ({
    question: [
      'Two solutions of known concentration give a solid. Your own volumes stand over the bench.',
      'Which of the two runs out first? What mass can come of them at most, and what came?',
    ],
    working: [
      'Work out both amounts: concentration times volume.',
      'The equation tells which runs out first, and the amount of the solid.',
      'Its mass follows by its molar mass. That is the most that can come.',
      'The yield is the mass that you weighed, as percent of that.',
    ],
    know: ['A yield above 100 % is no success. Ask what else lay on the balance.'],
  }),
  tables: (setup) => tablesFor(planFor(setup)),
  quantities: () => [
    { ...FIRST, kind: 'name', options: BOTTLES, few: true },
    { ...THEORY, kind: 'number' },
    { ...YIELD, kind: 'number', few: true },
  ],
  truths: (_, sample) => {
    const could = couldFall(sample, molOf(sample.bottles, sample.weighed?.volumes ?? []));
    return {
      first: BOTTLES[could?.first ?? 0] ?? '',
      theory: (could?.mol ?? NaN) * weighedGPerMol(sample),
      yield: 100,
    };
  },
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'Which of the two solutions decides how much solid can fall?',
        options: [
          'The one of whose substance the amount, by the equation, is used up first',
          'The one of which less was measured by volume',
          'The one with the smaller concentration',
          'Both alike',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: if twice as much is taken of the solution that is in excess,',
            options: ['as much solid falls as before', 'twice as much solid falls', 'somewhat more solid falls'],
          }
        : null,
      results: [
        askName(FIRST.label, BOTTLES, 'With your own volumes.'),
        askFor(THEORY, [1, 2, 4], 'Of the solid as it falls, with the water of its crystals.'),
        askFor(YIELD, setup.bandsPercent, 'What you weighed, as a part of that.'),
      ].map((ask) => (ask.kind === 'name' ? { ...ask, key: FIRST.key, quantity: FIRST.key } : ask)),
      working: 'The amounts of both, what runs out, the mass that can fall, and the mass that did.',
      evidence: { help: 'What made your yield differ from 100 %, and which way?', words: ['mass'] },
      aims: ['Say which of two runs out first', 'Filter, wash and dry to constant mass', 'Say what a yield tells'],
    }),
  results: (_, sample, rows) => {
    const theory = meanOf(rows, (row) => {
      const mol = couldIn(row, sample);
      return mol === undefined ? undefined : mol * weighedGPerMol(sample);
    });
    const part = meanOf(rows, (row) => {
      const [mol, solid] = [couldIn(row, sample), solidG(row)];
      return mol === undefined || !solid ? undefined : (100 * solid.g) / (mol * weighedGPerMol(sample, solid.isTurned));
    });
    return { ...(theory !== undefined && { theory }), ...(part !== undefined && { yield: part }) };
  },
  hints: () => ({ yield: 'A second mixture would tell how well yours agree.' }),
  needs: ['yield'],
  slips: (_, sample, rows) => {
    const [row] = rows.filter((one) => solidG(one) && couldIn(one, sample));
    if (!row) return [];
    const volumes = VOLUME_SLOTS.slice(0, 2).map((slot) => row.readings[slot]?.value ?? NaN);
    const mol = molOf(sample.bottles, volumes);
    const could = couldFall(sample, mol);
    const other = couldFall(
      sample,
      mol.map((one, at) => (at === could?.first ? Infinity : one)),
    );
    const factor = could && other ? other.mol / could.mol : 1;
    const solid = solidG(row) as { g: number };
    const mP = row.readings.mP?.value ?? 0;
    return [
      { key: 'other', label: 'The one in excess taken for the one that runs out', quantity: THEORY.key, factor },
      {
        key: 'other',
        label: 'The one in excess taken for the one that runs out',
        quantity: YIELD.key,
        factor: 1 / factor,
      },
      {
        key: 'paper',
        label: 'The mass of the paper not taken off',
        quantity: YIELD.key,
        factor: (solid.g + mP) / solid.g,
      },
    ];
  },
  truth: (_, sample) => {
    const could = couldFall(sample, molOf(sample.bottles, sample.weighed?.volumes ?? []));
    const grams = (could?.mol ?? NaN) * weighedGPerMol(sample);
    return [
      { label: 'What falls', text: weighedOf(sample.weighed?.id ?? '').equation },
      {
        label: 'With the volumes asked for',
        text: `${nameOfBottle(sample, could?.first ?? 0)} runs out first, ${fixed(grams, 4)} g can fall`,
      },
    ];
  },
  symbols: { theory: 'm_max', yield: 'yield' },
  nothingYet: 'There is no yield yet: record the volumes, the paper, and the paper with its dried solid.',
  method: (plan) => weighedMethod(plan, ({ view }) => taskVolumes(view()), {}, MIXING),
};
