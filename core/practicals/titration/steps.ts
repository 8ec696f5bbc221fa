import type { Step } from '../contract';
import { levelOf, type Bench } from './bench';
import { trialsOf } from './trials';

export const STEP_KEYS = [
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

function labelOf(key: StepKey, { plan }: Bench): string {
  const labels: Record<StepKey, string> = {
    calibrate:
      plan.probe === 'conductivity'
        ? 'Where you use the cell: calibrate it in the standard'
        : 'Where you use the probe: calibrate it in two buffers',
    weigh: `Weigh out from the ${plan.jar?.name}; record what the balance shows`,
    fill: 'Fill the burette with titrant, to the scale',
    tip: 'Tip it into the flask and dissolve it; weigh the boat again',
    dilute: `Dilute one pipette of the sample to ${plan.diluteToMl} mL in the volumetric flask`,
    sample: plan.supplied
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
        ? 'Titrate until the colour stays, or well beyond the last step; read and record again'
        : 'Titrate until the colour stays; read and record again',
    again:
      plan.probe !== 'none'
        ? 'Empty the flask and do it again until two results agree'
        : 'Empty the flask and do it again until two titres agree',
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

/** The method, each step done when the bench shows it or the student has ticked it; in no forced order. */
export function stepsOf(bench: Bench): Step[] {
  const live = bench.readings.filter((r) => r.struck === null);
  const titres = trialsOf(bench).trials.filter((trial) => trial.titre !== null).length;
  const curves = new Set(bench.logged.map((line) => line.trial)).size;
  const level = levelOf(bench);
  const has = (which: string) => live.some((r) => r.which === which);
  const shown: Record<StepKey, boolean> = {
    calibrate: bench.probe.calibration.length >= 2 || bench.probe.cellFactor !== null,
    weigh: has('boat'),
    fill: (level >= -0.01 && level < 49) || live.some((r) => r.which === 'first'),
    tip: bench.boat.changes > 1 || has('left'),
    sample: Object.keys(bench.portions).length > 0,
    dilute: bench.volumetric.madeUp,
    warm: has('last'),
    indicator: bench.indicatorMl > 0 || bench.logged.length > 0,
    first: has('first'),
    last: has('last') || bench.logged.length > 20,
    again: titres >= 2 || curves >= 2,
  };
  return STEP_KEYS.filter((key) => applies(key, bench)).map((key) => ({
    key,
    label: labelOf(key, bench),
    done: shown[key] || bench.ticked.includes(key),
  }));
}
