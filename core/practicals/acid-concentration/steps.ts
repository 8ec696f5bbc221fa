import type { Step } from '../contract';
import { levelOf, type Bench } from './bench';
import { trialsOf } from './trials';

export const STEP_KEYS = ['fill', 'sample', 'indicator', 'first', 'last', 'again'] as const;

const LABELS: Record<(typeof STEP_KEYS)[number], string> = {
  fill: 'Fill the burette with titrant, to the scale',
  sample: 'Pipette the sample into the flask',
  indicator: 'Add two or three drops of one indicator',
  first: 'Read the burette and record it',
  last: 'Titrate until the colour stays; read and record again',
  again: 'Empty the flask and do it again until two titres agree',
};

/** The method, each step done when the bench shows it or the student has ticked it; in no forced order. */
export function stepsOf(bench: Bench): Step[] {
  const live = bench.readings.filter((r) => r.struck === null);
  const titres = trialsOf(bench).trials.filter((trial) => trial.titre !== null).length;
  const level = levelOf(bench);
  const shown: Record<(typeof STEP_KEYS)[number], boolean> = {
    fill: (level >= -0.01 && level < 49) || live.length > 0,
    sample: bench.sampledTrials.length > 0,
    indicator: bench.indicatorMl > 0,
    first: live.some((r) => r.which === 'first'),
    last: live.some((r) => r.which === 'last'),
    again: titres >= 2,
  };
  return STEP_KEYS.map((key) => ({
    key,
    label: LABELS[key],
    done: shown[key] || bench.ticked.includes(key),
  }));
}
