import { expect } from 'vitest';
import { vapourPressureKPa } from '../../../physics/vapour';
import type { Bench } from '../bench';
import { moved, worked, type HeatId, type Run } from '../testing';

/** What the tests of planted faults share. */

export const inside = (run: Run) => run.bench().inside() as Bench;

/** What a reading of a run says. */
export const of = (run: Run, slot: string, trial = 1) =>
  Number(run.view().readings.find((r) => r.trial === trial && r.slot === slot && r.struck === null)?.text);

export const expectShare = (actual: number, expected: number) => {
  expect(Math.abs(expected)).toBeGreaterThan(0);
  expect(Math.abs(actual / expected - 1)).toBeLessThan(0.1);
};

/** How far along an exchange with one conductance is. */
export const part = (wPerK: number, seconds: number, jPerK: number) => 1 - Math.exp((-wPerK * seconds) / jPerK);

/** Heat that what dries off under the lid of a vessel takes along, W: by its vapour pressure, into air half as damp as it could be. */
export function driedW(innerDiameterMm: number, warmC: number, roomC: number): number {
  const areaCm2 = 0.06 * (Math.PI / 4) * (innerDiameterMm / 10) ** 2;
  return areaCm2 * 2.7e-6 * (vapourPressureKPa(warmC) - 0.5 * vapourPressureKPa(roomC)) * (2501 - 2.42 * warmC);
}

export interface Planted {
  what: string;
  id: HeatId;
  quantity: string;
  cause: string;
  setup?: object;
  sample?: object;
  habits: Parameters<typeof worked>[2];
  /** How many trials are worked: one where it is left out. */
  trials?: number;
  /** The change of the value by the closed form of the fault. */
  size(run: Run, value: number): number;
}

/** A fault is told as what it is, with the size of its closed form, and all causes together account for the value. */
export async function tellsPlanted(
  { id, quantity, cause, setup, sample, habits, trials, size }: Planted,
  usual: object,
) {
  const start = { setup: setup ?? usual, sample: sample as never, seed: 'planted' };
  const run = await worked(id, start, habits, trials ?? 1);
  const { share, value, trueValue, shares, together, rest } = moved(run, quantity);
  expectShare(share(cause), size(run, value));
  const told = [...shares, ...(together ?? [])].reduce((sum, one) => sum + one.share, 0);
  expect(told + rest).toBeCloseTo(value - trueValue, 9);
  expect(Math.abs(rest)).toBeLessThan(0.1 * Math.abs(share(cause)) + 0.02 * Math.abs(trueValue));
}
