import type { Chance } from '../../random';
import type { Method, MethodStep } from '../method';
import { levelOf, type Bench } from './bench';
import {
  addsIndicator,
  bringsSample,
  calibrates,
  dilutes,
  dissolves,
  fills,
  logs,
  reads,
  runsCurve,
  tipsIn,
  titrates,
  warms,
  weighsOut,
  type Filling,
  type Habits,
  type Hands,
} from './by-hand';
import { curvesOf, hasCurve, hasLikeGrams, hasLikeTitres, isReady, isStandardised } from './methods/agreeing';
import type { Plan } from './plan';
import { trialsOf } from './trials';
import type { View } from './view';

/** The way to a titre that agrees with another: a quick trial, then careful ones; or two curves where a probe lies on the tray. */

type Step = MethodStep<Bench, Hands>;
/** A part of each trial, and what has to go into the flask that it is a part at all. */
interface Part extends Pick<Step, 'key' | 'does' | 'how' | 'isDone'> {
  of?: Filling[number];
  each(hands: Hands, filling: Filling): Promise<void>;
}

/** Careful trials; how far before the expected end point fast running stops, mL; and how far the lines of a curve lie apart, mL. */
const [CAREFUL, IN_TIME_ML, BACK_IN_TIME_ML, EVERY_ML] = [2, 1.7, 4, 0.5];
/** Beyond that pH, or below it, nothing more is seen to go; what a cell is run to, mL. */
const [BASIC_PH, ACIDIC_PH, MOST_ML] = [11.6, 2.2, 46];
/** Grams where neither card nor brief says how much. */
const GRAMS = 0.3;

const PERFECT: Habits = { indicator: '', trials: CAREFUL, readingErrorMl: 0, lateDrops: 0 };

/** Indicators by what is in the flask at the end: a base that is in excess by a drop, or an acid. */
const SUITED = {
  base: ['phenolphthalein', 'thymolphthalein', 'cresol-red', 'phenol-red'],
  acid: ['methyl-red', 'bromocresol-green', 'methyl-orange', 'bromophenol-blue'],
};
function suited({ indicators, titrantName, endsBasic }: Plan): string {
  const wanted = SUITED[(endsBasic ?? titrantName.includes('hydroxide')) ? 'base' : 'acid'];
  return wanted.find((id) => indicators.some((one) => one.id === id)) ?? indicators[0]?.id ?? '';
}

const live = ({ readings }: Bench) => readings.filter((r) => r.struck === null);
const has = (bench: Bench, which: string) => live(bench).some((r) => r.which === which);
const portioned = ({ portions }: Bench) => Object.values(portions).some((count) => count > 0);
/** Trials that were begun at the burette, and were not left out. */
const begun = (bench: Bench) =>
  trialsOf(bench).trials.filter(({ first, last, leftOut }) => leftOut === null && (first ?? last) !== null);

function partsOf(plan: Plan, habits: Habits, hand: Chance | null): Part[] {
  const byProbe = plan.probe !== 'none';
  const bottle = plan.diluteToMl === null ? plan.bottle?.name : 'volumetric flask';
  const grams = plan.aboutG ?? GRAMS;
  const warm: Part[] = plan.warm
    ? [
        {
          key: 'warm',
          does: 'Warm the flask until all has dissolved, and no more gas comes.',
          how: ['Carbon dioxide that stays would spoil the end point.'],
          isDone: (bench) => live(bench).some((r) => r.which === 'last' && isReady(bench, r)),
          each: (hands) => warms(hands, habits),
        },
      ]
    : [];
  const solid: Part[] = plan.jar
    ? [
        {
          key: 'weigh',
          of: 'solid',
          does: `Weigh out about ${grams} g from the ${plan.jar.name}. Record what the balance shows.`,
          isDone: (bench) => has(bench, 'boat'),
          each: (hands) => weighsOut(hands, habits.grams ?? grams),
        },
        {
          key: 'tip',
          of: 'solid',
          // Where acid has to come first, it cannot dissolve yet.
          does: plan.warm
            ? 'Tip it into the flask. Weigh the boat again, and record.'
            : 'Tip it into the flask, and dissolve it in water. Weigh the boat again, and record.',
          how: ['What stays on the boat is not in the flask.'],
          isDone: (bench) => {
            const isDissolved =
              Object.keys(bench.flask.undissolved).length === 0 && (bench.tips[bench.trial]?.inG ?? 0) > 0;
            const isRead = live(bench).some((r) => r.which === 'last' && isReady(bench, r));
            return has(bench, 'left') && (plan.warm || isDissolved || isRead || bench.logged.length > 0);
          },
          each: async (hands, filling) => {
            await tipsIn(hands, habits);
            if (!filling.includes('bottle')) await dissolves(hands, plan);
          },
        },
      ]
    : [];
  const sample: Part[] = plan.bottle
    ? [
        {
          key: 'sample',
          of: 'bottle',
          does: plan.supplied
            ? `Take a flask with its ${plan.pipetteMl.toFixed(2)} mL.`
            : `Pipette ${plan.pipetteMl.toFixed(2)} mL from the ${bottle} into the flask.`,
          isDone: portioned,
          each: async (hands, filling) => {
            await bringsSample(hands, plan);
            if (filling.includes('solid')) await dissolves(hands, plan);
          },
        },
      ]
    : [];
  const fill: Part = {
    key: 'fill',
    does: 'Rinse the burette with titrant, and fill it to the scale.',
    how: plan.mishaps ? ['Take the funnel out. Let a bubble in the tip run out.'] : [],
    isDone: (bench) =>
      (levelOf(bench) >= -0.01 && levelOf(bench) < 49) || has(bench, 'first') || bench.logged.length > 0,
    each: (hands) => fills(hands, habits),
  };
  const first: Part = {
    key: 'first',
    does: 'Read the burette, and record it.',
    how: ['Bring your eye level. Read at the bottom of the meniscus, to a tenth of a division.'],
    isDone: (bench) => {
      const all = begun(bench);
      return all.length > 0 && all.every((trial) => trial.first !== null || hasCurve(bench, trial.number));
    },
    each: (hands) => reads(hands, 'first', habits, hand),
  };
  if (byProbe)
    return [
      fill,
      ...solid,
      ...sample,
      ...warm,
      {
        key: 'log',
        does: `Put the probe into the flask, and log every ${EVERY_ML} mL.`,
        how: ['The probe has to be under water: add some. Swirl all the time.', 'Start the log anew for each curve.'],
        isDone: (bench) => bench.logged.length > 0 || bench.indicatorMl > 0,
        each: (hands) => logs(hands, EVERY_ML),
      },
      {
        key: 'curve',
        does: `Run titrant in, ${EVERY_ML} mL at a time, until you are well beyond the last step.`,
        how: [
          plan.probe === 'pH'
            ? 'After each, wait until the pH stands still. The steepest place is an equivalence point.'
            : 'There are two straight lines. Where they cross is the equivalence point.',
        ],
        isDone: (bench) => curvesOf(bench) > 0 || has(bench, 'last'),
        each: (hands) => {
          const isOver = ({ meter }: View) =>
            plan.probe === 'pH' && beyond(Number(meter?.replace('\u2212', '-') ?? NaN));
          const beyond = (pH: number) => pH > BASIC_PH || (!plan.titrantName.includes('hydroxide') && pH < ACIDIC_PH);
          return runsCurve(hands, EVERY_ML, MOST_ML, isOver);
        },
      },
    ];
  return [
    fill,
    first,
    ...solid,
    ...sample,
    ...warm,
    {
      key: 'indicator',
      does: 'Add two or three drops of one indicator.',
      how: ['What is in the flask at the end, and is that neutral? Choose the indicator by that.'],
      isDone: (bench) => bench.indicatorMl > 0,
      each: (hands) => addsIndicator(hands, habits.indicator || suited(plan)),
    },
    {
      key: 'last',
      does: 'Run titrant in until the colour has changed for good. Read again, and record.',
      how: [
        'Swirl all the time. The first trial may be quick: it shows about where the end point is.',
        'Later, slow down in time. Go drop by drop.',
      ],
      isDone: (bench) => {
        const all = begun(bench);
        return has(bench, 'last') && all.every((trial) => trial.last !== null || hasCurve(bench, trial.number));
      },
      each: async (hands, filling) => {
        await titrates(hands, nearMl(hands, plan, filling), habits);
        await reads(hands, 'last', habits, hand);
      },
    },
  ];
}

const gramsNow = ({ trials, trial }: View) => Number(trials[trial - 1]?.mass ?? NaN);
/** Where fast running stops: by the quick trial of the same portion; null where there is none yet. */
function nearMl({ view }: Hands, plan: Plan, filling: Filling): number | null {
  const isSolid = filling.includes('solid');
  const rough = view().trials.find(
    ({ leftOut, titre, mass }) => leftOut !== null && titre !== null && (mass !== null) === isSolid,
  );
  if (!rough) return null;
  const titre = Number(rough.titre);
  // In a back titration more solid leaves less to titrate: a student aims lower then, and drop by drop.
  if (plan.warm) return titre - BACK_IN_TIME_ML;
  return (isSolid ? (titre * gramsNow(view())) / Number(rough.mass) : titre) - IN_TIME_ML;
}

async function doesTrial(parts: readonly Part[], hands: Hands, filling: Filling, leavesOut?: string): Promise<void> {
  for (const { key, of, each } of parts)
    if (key !== leavesOut && (of === undefined || filling.includes(of))) await each(hands, filling);
}

/** Leaves the quick trial out, and does as many careful ones. */
async function doesAgain(
  parts: readonly Part[],
  hands: Hands,
  filling: Filling,
  { plan, trials }: { plan: Plan; trials: number },
  leavesOut?: string,
): Promise<void> {
  const { act, view } = hands;
  if (plan.probe === 'none') await act({ kind: 'count', trial: view().trial, counts: false, reason: 'rough trial' });
  for (let n = 0; n < trials; n++) {
    await act({ kind: 'emptyFlask' });
    await doesTrial(parts, hands, filling, leavesOut);
  }
}

/** @param habits how a student works @param hand chance of its eye; none where it reads as it is */
export function methodOf(plan: Plan, habits: Habits = PERFECT, hand: Chance | null = null): Method<Bench, Hands> {
  const parts = partsOf(plan, habits, hand);
  const byProbe = plan.probe !== 'none';
  const standardised = isStandardised(plan);
  const filling: Filling = standardised
    ? ['solid']
    : [...(plan.jar ? (['solid'] as const) : []), ...(plan.bottle ? (['bottle'] as const) : [])];
  const again = { plan, trials: byProbe ? 1 : habits.trials };
  const own = parts
    .filter(({ of }) => of === undefined || filling.includes(of))
    .map(({ each, of: _, ...told }): Step => ({ ...told, work: (hands) => each(hands, filling) }));
  const calibrate: Step = {
    key: 'calibrate',
    does: plan.probe === 'conductivity' ? 'Calibrate the cell in the standard.' : 'Calibrate the probe in two buffers.',
    how: ['Wait 15 seconds in each before you calibrate. Before that, the meter shows a wrong number.'],
    isDone: ({ probe }) => probe.calibration.length >= 2 || probe.cellFactor !== null,
    work: (hands) => calibrates(hands, plan),
  };
  const dilute: Step = {
    key: 'dilute',
    does: `Let one pipette of the sample run into the volumetric flask. Make it up to ${plan.diluteToMl} mL.`,
    how: ['The sample is too strong as it is. From now on, pipette from the volumetric flask.'],
    isDone: ({ volumetric }) => volumetric.madeUp,
    work: dilutes,
  };
  const before = [...(byProbe ? [calibrate] : []), ...(plan.diluteToMl === null ? [] : [dilute])];
  const [grams, titres] = ['two results for each gram lie within 1 %', 'two titres lie within 0.10 mL'];
  const rough = byProbe ? [] : ['Leave the quick trial out. Empty the flask, and fill the burette again.'];
  const agrees = (bench: Bench) => (plan.jar ? hasLikeGrams(bench) : hasLikeTitres(bench));
  if (!standardised)
    return [
      ...before,
      ...own,
      {
        key: 'again',
        does: byProbe
          ? 'Empty the flask, and log a second curve.'
          : `Do it again with care, until ${plan.jar ? grams : titres}.`,
        how: rough,
        isDone: (bench) => curvesOf(bench) >= 2 || agrees(bench),
        work: (hands, leavesOut) => doesAgain(parts, hands, filling, again, leavesOut),
      },
    ];
  const isSampleTitrated = (bench: Bench) =>
    trialsOf(bench).trials.some(
      ({ titre, mass, number }) =>
        mass === null && (bench.portions[number] ?? 0) > 0 && (titre !== null || hasCurve(bench, number)),
    );
  const sample: Filling = ['bottle'];
  return [
    ...before,
    ...own,
    {
      key: 'standards',
      does: byProbe
        ? 'Empty the flask, and log a second curve of the standard.'
        : `Do it again with care, until ${grams}.`,
      how: rough,
      isDone: (bench) => hasLikeGrams(bench) || curvesOf(bench) >= 2,
      work: (hands, leavesOut) => doesAgain(parts, hands, filling, again, leavesOut),
    },
    {
      key: 'sample',
      does: `Pipette ${plan.pipetteMl.toFixed(2)} mL from the ${plan.bottle?.name} into a clean flask, and titrate it.`,
      how: ['Empty the flask first. On top of the standard it would be no sample of its own.'],
      isDone: isSampleTitrated,
      work: async (hands, leavesOut) => {
        await hands.act({ kind: 'emptyFlask' });
        await doesTrial(parts, hands, sample, leavesOut);
      },
    },
    {
      key: 'again',
      does: byProbe ? 'Log a second curve of the sample.' : `Titrate the sample again, until ${titres}.`,
      isDone: (bench) => (hasLikeTitres(bench) || curvesOf(bench) >= 4) && isSampleTitrated(bench),
      work: (hands, leavesOut) =>
        leavesOut === 'sample' ? undefined : doesAgain(parts, hands, sample, again, leavesOut),
    },
  ];
}
