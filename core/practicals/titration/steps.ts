import type { Step } from '../contract';
import { levelOf, type Bench, type KeptReading } from './bench';
import { gasOf } from './solid';
import type { Plan } from './plan';
import { trialsOf } from './trials';

const STEP_KEYS = [
  'calibrate',
  'weigh',
  'fill',
  'tip',
  'dilute',
  'sample',
  'warm',
  'indicator',
  'first',
  'last',
  'again',
] as const;
type StepKey = (typeof STEP_KEYS)[number];

/** A base that is found by a weighed standard first, and then used on the sample. */
const isStandardised = ({ jar, bottle, warm }: Plan): boolean => jar !== null && bottle !== null && !warm;

/** What has to agree: titres of like portions, what belongs to a gram where portions were weighed, or each in its series. */
const agreeing = (plan: Plan): 'titres' | 'perGram' | 'both' =>
  isStandardised(plan) ? 'both' : plan.jar ? 'perGram' : 'titres';
const AGREEING = {
  titres: 'titres lie within 0.10 mL',
  perGram: 'trials give the same for each gram, within 1 %',
  both: 'standards agree within 1 % for each gram, and two titres within 0.10 mL',
} as const;

function labelOf(key: StepKey, { plan }: Bench): string {
  const labels: Record<StepKey, string> = {
    calibrate:
      plan.probe === 'conductivity'
        ? 'Where you use the cell: calibrate it in the standard'
        : 'Where you use the probe: calibrate it in two buffers',
    weigh: `Weigh out from the ${plan.jar?.name}; record what the balance shows`,
    fill: 'Fill the burette with titrant, to the scale',
    // Where acid has to come first, it cannot dissolve yet.
    tip: plan.warm
      ? 'Tip it into the flask; weigh the boat again'
      : 'Tip it into the flask and dissolve it; weigh the boat again',
    dilute: `Dilute one pipette of the sample to ${plan.diluteToMl} mL in the volumetric flask`,
    sample: isStandardised(plan)
      ? `When two results for the standard agree: pipette from the ${plan.bottle?.name} into a clean flask, and titrate it`
      : plan.supplied
        ? `Take a flask with its ${plan.pipetteMl.toFixed(2)} mL`
        : `Pipette from the ${plan.diluteToMl === null ? plan.bottle?.name : 'volumetric flask'} into the flask`,
    warm: 'Warm the flask until all has dissolved and gas no longer comes',
    indicator:
      plan.probe !== 'none'
        ? 'Add two or three drops of indicator, or put the probe in and log'
        : 'Add two or three drops of one indicator',
    first: 'Read the burette and record it',
    last:
      plan.probe !== 'none'
        ? 'Titrate until the colour has changed for good, or well beyond the last step; read and record again'
        : 'Titrate until the colour has changed for good; read and record again',
    again:
      plan.probe !== 'none'
        ? `Do it again until two curves are logged, or two ${AGREEING[agreeing(plan)]}`
        : `Empty the flask and do it again until two ${AGREEING[agreeing(plan)]}`,
  };
  return labels[key];
}

function applies(key: StepKey, { plan }: Bench): boolean {
  if (key === 'calibrate') return plan.probe !== 'none';
  if (key === 'weigh' || key === 'tip') return plan.jar !== null;
  if (key === 'sample') return plan.bottle !== null;
  if (key === 'warm') return plan.warm;
  if (key === 'dilute') return plan.diluteToMl !== null;
  return true;
}

/** Titres agree when they lie so near to one another, mL; results of weighed portions, as a part of them. */
const AGREE_ML = 0.1;
const AGREE_PART = 0.01;

const agree = (values: readonly number[], within: (a: number) => number): boolean =>
  values.some((a, i) => values.some((b, j) => j > i && Math.abs(a - b) <= within(a) + 1e-9));

const hasCurve = ({ logged }: Bench, trial: number): boolean => logged.some((line) => line.trial === trial);

/** Whether trials that count, all of them read twice, have two results that agree: of each series where there are two. */
function isRepeated(bench: Bench): boolean {
  const { plan, stock } = bench;
  const { trials } = trialsOf(bench);
  // A portion that was weighed and never titrated is half of nothing: it counts nowhere.
  const isHalf = ({ first, last, leftOut }: (typeof trials)[number]) =>
    leftOut === null && (first === null) !== (last === null);
  if (trials.some((trial) => isHalf(trial) && !hasCurve(bench, trial.number))) return false;
  const counting = trials.filter((trial) => trial.counts);
  const weighed = counting.flatMap(({ titre, mass, number }) => {
    if (mass === null || !(Number(mass) > 0)) return [];
    // Acid that was left over, where that is what is titrated: what was used is the rest.
    const added = plan.warm
      ? ((bench.portions[number] ?? 0) * plan.pipetteMl * (Object.values(stock.bottle)[0] ?? 0)) / stock.titrant.molPerL
      : 0;
    return [Math.abs(Number(titre) - added) / Number(mass)];
  });
  const pipetted = counting.filter(({ mass }) => mass === null).map(({ titre }) => Number(titre));
  const curves = new Set(bench.logged.map((line) => line.trial)).size >= 2;
  const [solids, portions] = [agree(weighed, (a) => AGREE_PART * a), agree(pipetted, () => AGREE_ML)];
  if (curves) return true;
  if (plan.jar && plan.bottle && !plan.warm) return solids && portions;
  return plan.jar ? solids : portions;
}

/** Acid or base of a solid that is in solution, and no carbon dioxide with it, when a last reading was taken. */
const isReady = (bench: Bench, reading: KeptReading): boolean =>
  Object.keys(reading.flask.undissolved).length === 0 &&
  (!bench.plan.warm || (gasOf(reading.flask.mixed.amounts)['carbonic-acid'] ?? 0) < 1e-5);

/** The method, each step done when the bench shows it or the student has ticked it; in no forced order. */
export function stepsOf(bench: Bench): Step[] {
  const live = bench.readings.filter((r) => r.struck === null);
  const level = levelOf(bench);
  const has = (which: string) => live.some((r) => r.which === which);
  const ready = live.filter((r) => r.which === 'last').some((r) => isReady(bench, r));
  const isDissolved = Object.keys(bench.flask.undissolved).length === 0 && (bench.tips[bench.trial]?.inG ?? 0) > 0;
  const shown: Record<StepKey, boolean> = {
    calibrate: bench.probe.calibration.length >= 2 || bench.probe.cellFactor !== null,
    weigh: has('boat'),
    fill: (level >= -0.01 && level < 49) || live.some((r) => r.which === 'first'),
    tip: has('left') && (bench.plan.warm || isDissolved || ready),
    sample: isStandardised(bench.plan)
      ? trialsOf(bench).trials.some(
          ({ titre, mass, number }) =>
            mass === null && (bench.portions[number] ?? 0) > 0 && (titre !== null || hasCurve(bench, number)),
        )
      : Object.keys(bench.portions).length > 0,
    dilute: bench.volumetric.madeUp,
    warm: ready,
    indicator: bench.indicatorMl > 0 || bench.logged.length > 0,
    first: has('first'),
    last: has('last') || bench.logged.length > 20,
    again: isRepeated(bench),
  };
  const keys = STEP_KEYS.filter((key) => applies(key, bench));
  // The sample comes after the standard.
  const inOrder = isStandardised(bench.plan)
    ? [...keys.filter((key) => key !== 'sample' && key !== 'again'), 'sample' as const, 'again' as const]
    : keys;
  return inOrder.map((key) => ({
    key,
    label: labelOf(key, bench),
    done: shown[key] || bench.ticked.includes(key),
  }));
}
