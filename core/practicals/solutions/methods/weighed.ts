import type { Method } from '../../method';
import { isConstantMass, sameWithinG } from '../../on-balance';
import { countingTrials, standingIn } from '../../standing';
import { humidity, type Bench } from '../bench';
import { lastTaken, measured, numberAt, recordPan, taken, type Hands, type Measured } from '../by-hand';
import { DRIED_SLOTS, VOLUME_SLOTS, type Plan } from '../plan';
import { airDampG, onPaper, PAPER_WAYS, type PaperPlace } from '../solids/paper';
import type { PaperKind } from '../solids/paper-kinds';
import type { View } from '../view';

/** The way from two solutions to the mass of what falls: a dry paper, a coarse solid, filtered, washed, dried to constant mass. */

/** Ways of doing it otherwise; a careful student has none of them. */
export interface SolidHabits {
  of?: PaperKind;
  ovenC?: number;
  /** Whether the paper is dried before it is weighed, how long the solid is kept hot, and how long it is dried, s. */
  driesPaper?: boolean;
  digestsS?: number;
  driesS?: number;
  /** Whether it is let cool, and where. */
  cools?: PaperPlace | 'not';
  rinses?: number;
  washes?: number;
  washMl?: number;
  by?: Measured;
  /** Bottles that it is mixed of, by their numbers. */
  from?: readonly [number, number];
  /** How often it is dried. */
  rounds?: number;
}

/** The volumes that a student was asked to mix, by their own task. */
export function taskVolumes({ task }: Pick<View, 'task'>): [number, number] {
  const [, a, b] = /(\d+) mL of A with (\d+) mL of B/u.exec(task ?? '') ?? [];
  return [Number(a ?? 20), Number(b ?? 30)];
}

const HALF_HOUR_S = 1800;
/** A paper is dry that holds less than this part of what it takes up of the air; a solid is washed that would dry with less salts than this, g. */
const DRIED_PART = 0.6;
const WASHED_G = 0.004;
/** A solid is coarse that stood on the hot plate so long, s; it is washed with so much water, mL. */
const [HOT_S, LEAST_WASH_ML] = [1500, 15];
/** Two masses are the same within two of the balance's last digits, or this, g. */
const SAME_G = 0.003;

const standing = ({ readings }: Bench) => readings.filter(({ struck }) => struck === null);
const has = (bench: Bench, which: string) => standing(bench).some((r) => r.which === which);
const filtered = ({ papers }: Bench) => papers.filter(({ from }) => from !== null);
/** As far as it had been dried when it was weighed. */
function isDried(bench: Bench): boolean {
  const airG = airDampG({ of: 'cellulose', dryG: PAPER_WAYS.cellulose.g }, humidity(bench));
  return standing(bench).some(
    ({ which, about }) => which === 'mP' && (about.wrongG?.['damp'] ?? 0) < DRIED_PART * airG,
  );
}
const isRipe = ({ papers, vessels }: Bench) =>
  papers.some(({ hotS }) => hotS >= HOT_S) || vessels.some(({ hotS }) => hotS >= HOT_S);
const isConstant = (bench: Bench, withinG: number) =>
  countingTrials(bench).some((trial) =>
    isConstantMass(
      DRIED_SLOTS.flatMap((slot) => standingIn(bench, trial, slot)?.value ?? []),
      withinG,
    ),
  );

async function cools({ act }: Hands, paper: number, plan: Plan, how: SolidHabits['cools']): Promise<void> {
  const at = how ?? (plan.desiccator ? 'desiccator' : 'mat');
  if (at === 'not') return;
  await act({ kind: 'placePaper', paper, at }, 2);
  await act({ kind: 'wait' }, at === 'desiccator' ? HALF_HOUR_S : 500);
}

/** What is measured of both: in words, and in mL. */
export interface Mixing {
  does: string;
  how: readonly string[];
}

/** @param volumes mL of both, as a student takes them from the card @param mixing how the step that mixes them is told */
export function weighedMethod(
  plan: Plan,
  volumes: (hands: Hands) => readonly [number, number],
  habits: SolidHabits = {},
  mixing: Mixing = { does: 'Mix both in a beaker, and record the volumes.', how: [] },
): Method<Bench, Hands> {
  const { of = plan.papers[0] ?? 'cellulose', ovenC = 105, driesPaper = true } = habits;
  const { digestsS = HALF_HOUR_S, driesS = 2 * HALF_HOUR_S, rinses = 2, washes = 3, washMl = 10 } = habits;
  const { by = 'pipette', rounds = DRIED_SLOTS.length, from = [1, 2] } = habits;
  const withinG = sameWithinG(plan.balance, SAME_G);
  const paperOf = ({ view }: Hands) => numberAt(view().papers.length - 1, 'paper');
  const withSolid = ({ view }: Hands) =>
    numberAt(
      view().vessels.findLastIndex(({ type, isAway, solid }) => type === 'beaker' && !isAway && solid !== null),
      'solid in a beaker',
    );
  const weighs = async (hands: Hands, as?: (typeof DRIED_SLOTS)[number]) => {
    const paper = paperOf(hands);
    await hands.act({ kind: 'placePaper', paper, at: 'pan' }, 3);
    await recordPan(hands, as);
    await hands.act({ kind: 'placePaper', paper, at: 'mat' }, 1);
  };
  const dries = async (hands: Hands, seconds: number, as: (typeof DRIED_SLOTS)[number]) => {
    const paper = paperOf(hands);
    await hands.act({ kind: 'placePaper', paper, at: 'oven' }, 3);
    await hands.act({ kind: 'wait' }, seconds);
    await cools(hands, paper, plan, habits.cools);
    await weighs(hands, as);
  };
  const cooling = plan.desiccator
    ? 'Let it cool in the desiccator for half an hour.'
    : 'Let it cool on its mat for eight minutes.';
  return [
    {
      key: 'paper',
      does: 'Dry a paper for half an hour in the oven. Let it cool, weigh it, and record it.',
      how: [
        'Set the oven to 105 °C. A paper holds damp of the air, and that has mass.',
        `${cooling} Over something warm the air rises, and it reads too light.`,
        'Each mixture is a trial, and has a paper of its own.',
      ],
      isDone: isDried,
      work: async (hands) => {
        await hands.act({ kind: 'setOven', tempC: ovenC }, 2);
        await hands.act({ kind: 'takePaper', of }, 2);
        const paper = paperOf(hands);
        if (driesPaper) {
          await hands.act({ kind: 'placePaper', paper, at: 'oven' }, 400);
          await hands.act({ kind: 'wait' }, HALF_HOUR_S);
          await cools(hands, paper, plan, habits.cools);
        }
        await weighs(hands);
      },
    },
    {
      key: 'series',
      ...mixing,
      isDone: (bench) => has(bench, 'vA'),
      work: async (hands) => {
        const { act, view } = hands;
        const beaker = await taken(hands, 'beaker');
        const ml = volumes(hands);
        await measured(hands, from[0], beaker, ml[0], by);
        await measured(hands, from[1], beaker, ml[1], by);
        await act({ kind: 'stir', vessel: beaker }, 2);
        const trial = view().vessels[beaker - 1]?.trial ?? 1;
        for (const bottle of from)
          await act({ kind: 'recordVolume', trial, vessel: beaker, which: VOLUME_SLOTS[bottle - 1] ?? 'vA' }, 1);
      },
    },
    ...(plan.hotPlate
      ? [
          {
            key: 'digest',
            does: 'Keep the beaker on the hot plate for half an hour.',
            how: ['A fresh solid is so fine that a part runs through the paper. Kept hot, it becomes coarse.'],
            isDone: isRipe,
            work: async (hands: Hands) => {
              if (digestsS <= 0) return;
              const vessel = withSolid(hands);
              await hands.act({ kind: 'placeVessel', vessel, at: 'plate' }, 2);
              await hands.act({ kind: 'wait' }, digestsS);
              await hands.act({ kind: 'placeVessel', vessel, at: 'bench' }, 2);
            },
          },
        ]
      : []),
    {
      key: 'filter',
      does: 'Put the paper into the funnel, and a clean beaker under it. Filter, and rinse the beaker twice.',
      how: [
        'A part of the solid clings to the glass. Rinse it through the paper with 8 mL of water each time.',
        'If what runs through is cloudy, the solid was too fine. Pour it through again.',
      ],
      isDone: (bench) => filtered(bench).length > 0,
      work: async (hands) => {
        const { act } = hands;
        const vessel = withSolid(hands);
        const under = await taken(hands, 'beaker');
        await act({ kind: 'placeVessel', vessel: under, at: 'funnel' }, 2);
        await act({ kind: 'placePaper', paper: paperOf(hands), at: 'funnel' }, 2);
        await act({ kind: 'filter', from: vessel }, 5);
        for (let i = 0; i < rinses; i++) await act({ kind: 'rinse', from: vessel, ml: 8 }, 3);
      },
    },
    {
      key: 'wash',
      does: 'Wash the solid on the paper with three portions of water, 10 mL each.',
      how: [
        'Salts that were dissolved beside it would dry with it. They have mass.',
        'More water is worse: it dissolves some of the solid.',
      ],
      isDone: (bench) =>
        filtered(bench).some((paper) => paper.washedMl >= LEAST_WASH_ML && onPaper(paper).saltsG < WASHED_G),
      work: async (hands) => {
        const { act, view } = hands;
        const under = lastTaken(hands, 'beaker');
        // The beaker under the funnel is emptied where it would run over.
        for (let i = 0; i < washes; i++) {
          if ((view().vessels[under - 1]?.ml ?? 0) + washMl > 100) await act({ kind: 'empty', vessel: under }, 5);
          await act({ kind: 'wash', ml: washMl }, 3);
        }
      },
    },
    {
      key: 'dry',
      does: 'Dry it for an hour in the oven at 105 °C. Let it cool, weigh it, and record it.',
      how: [
        cooling,
        'The clock can run sixty times as fast: then an hour takes a minute.',
        ...(plan.papers.includes('cellulose') ? ['Above 150 °C filter paper scorches.'] : []),
      ],
      isDone: (bench) => has(bench, 'h1'),
      work: async (hands) => {
        if (rounds > 0) await dries(hands, driesS, DRIED_SLOTS[0]);
      },
    },
    {
      key: 'again',
      does: `Dry it for another half hour and weigh again, until two masses lie within ${withinG} g.`,
      how: ['What looks dry can hold water, and water has mass.'],
      isDone: (bench) => isConstant(bench, withinG),
      work: async (hands) => {
        const masses = () =>
          DRIED_SLOTS.flatMap((slot) => {
            const own = hands.view().readings.findLast((r) => r.slot === slot && r.struck === null);
            return own ? [Number(own.text)] : [];
          });
        for (const slot of DRIED_SLOTS.slice(1, rounds)) {
          await dries(hands, HALF_HOUR_S, slot);
          if (isConstantMass(masses(), withinG)) return;
        }
      },
    },
  ];
}
