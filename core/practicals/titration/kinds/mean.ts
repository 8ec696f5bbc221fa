import { repeats } from '../../../analysis/repeats';
import type { Slip } from '../../contract';
import type { Measured } from '../kind';

/** Mean of what each trial gives; undefined where none gives anything. */
export function meanOf(measured: readonly Measured[], of: (trial: Measured) => number | null): number | undefined {
  const values = measured.map(of).filter((value) => value !== null && Number.isFinite(value));
  return repeats(values as number[])?.mean;
}

/** A record of results without those that are not there. */
export const present = (results: Readonly<Record<string, number | undefined>>): Record<string, number> =>
  Object.fromEntries(Object.entries(results).filter(([, value]) => value !== undefined)) as Record<string, number>;

/** mmol of what was titrated, from titre and strength of the titrant. */
export const mmolOf = (trial: Measured, molPerL: number): number | null =>
  trial.titreMl === null ? null : (trial.titreMl * molPerL) / trial.stage;

/** Wrong ratios: every other number of protons, taken for the right one or turned upside down. */
export function ratioSlips(quantity: string, measured: readonly Measured[], power: 1 | -1): Slip[] {
  const stage = measured[0]?.stage ?? 1;
  const factors = [1, 2, 3].flatMap((other) => [stage / other, stage * other]).filter((factor) => factor !== 1);
  return [...new Set(factors)].map((factor) => ({
    key: 'ratio',
    label: 'The ratio in which they react',
    quantity,
    factor: factor ** power,
  }));
}
