import { z } from 'zod';
import { short } from '../../analysis/quantity';
import { chance } from '../../random';
import { anyDirection, anyPlace } from '../../physics/flight';
import { energyAt } from '../../physics/kinetic';
import type { Names } from '../common-acts';
import { trialNumber } from '../common-acts';
import type { Outcome } from '../contract';
import { done, isAmount, refuse } from '../hands';
import { shownReading, withRecorded } from '../recordings';
import { stateOf, withEnergy, type Bench } from './bench';
import { gaugeText } from './gauges';
import { MOST_K, psAt, roomOf, SLOT_KEYS, SLOTS, type Slot } from './plan';

export const actSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('putIn'), kelvin: z.number() }),
  z.object({ kind: z.literal('bring'), kelvin: z.number() }),
  z.object({ kind: z.literal('give'), zJ: z.number() }),
  z.object({ kind: z.literal('take'), zJ: z.number() }),
  z.object({ kind: z.literal('record'), trial: trialNumber, which: z.enum(SLOT_KEYS) }),
]);
export type OwnAct = z.infer<typeof actSchema>;
type Of<K extends OwnAct['kind']> = Extract<OwnAct, { kind: K }>;

const EMPTY = 'The vessel is empty. Put a particle in first.';
const TEMPERATURES = `The vessel bears temperatures from 0 to ${MOST_K} K.`;
const LEAST_ZJ = 0.001;

/** One in place of the one that was there: from anywhere, in any direction, with the mean energy of a temperature. */
function putIn(bench: Bench, { kelvin }: Of<'putIn'>): Outcome<Bench> {
  if (!isAmount(kelvin, 0, MOST_K)) return refuse(TEMPERATURES);
  const puts = bench.puts + 1;
  const source = chance(bench.seed, `particle ${puts}`);
  const room = roomOf(bench.plan);
  const sincePs = psAt(bench.timeS);
  const flight = { at: anyPlace(source, room), direction: anyDirection(source), speed: 0, sincePs, hits: 0 };
  return done(withEnergy({ ...bench, puts }, flight, energyAt(kelvin)));
}

function bring(bench: Bench, { kelvin }: Of<'bring'>): Outcome<Bench> {
  if (!bench.flight) return refuse(EMPTY);
  if (!isAmount(kelvin, 0, MOST_K)) return refuse(TEMPERATURES);
  return done(withEnergy(bench, bench.flight, energyAt(kelvin)));
}

function change(bench: Bench, zJ: number, sign: 1 | -1): Outcome<Bench> {
  if (!bench.flight) return refuse(EMPTY);
  if (!isAmount(zJ, LEAST_ZJ, energyAt(MOST_K)))
    return refuse('Give or take at least a thousandth of a zJ, and no more than the vessel bears.');
  const energy = stateOf(bench).E + sign * zJ;
  if (energy < 0) return refuse(`It has only ${gaugeText(bench, 'E')} zJ: no more than that can be taken.`);
  if (energy > energyAt(MOST_K))
    return refuse(`It would be hotter than ${MOST_K} K then, which the vessel does not bear.`);
  return done(withEnergy(bench, bench.flight, energy));
}

/** What a gauge shows, as it shows it. */
function record(bench: Bench, { trial, which }: Of<'record'>): Outcome<Bench> {
  if (!bench.flight) return refuse(EMPTY);
  if (trial > bench.trial + 1) return refuse(`Trial ${bench.trial + 1} comes before trial ${trial}.`);
  return done(
    withRecorded(bench, shownReading(bench, { trial, which }, gaugeText(bench, which), stateOf(bench)[which])),
  );
}

export function perform(bench: Bench, act: OwnAct): Outcome<Bench> {
  switch (act.kind) {
    case 'putIn':
      return putIn(bench, act);
    case 'bring':
      return bring(bench, act);
    case 'give':
      return change(bench, act.zJ, 1);
    case 'take':
      return change(bench, act.zJ, -1);
    case 'record':
      return record(bench, act);
  }
}

/** An act as a line of the teacher's log. */
export function describe(act: OwnAct): string {
  switch (act.kind) {
    case 'putIn':
      return `put a particle in, with the energy of ${short(act.kelvin)} K`;
    case 'bring':
      return `brought it to ${short(act.kelvin)} K`;
    case 'give':
      return `gave it ${short(act.zJ)} zJ`;
    case 'take':
      return `took ${short(act.zJ)} zJ from it`;
    case 'record':
      return `recorded the ${SLOTS[act.which].short}, trial ${act.trial}`;
  }
}

export const NAMES: Names = {
  reading: (which) => `the ${(SLOTS[which as Slot] as (typeof SLOTS)[Slot] | undefined)?.short ?? 'reading'}`,
  step: (key) =>
    `of ${{ put: 'putting the particle in', double: 'doubling the temperature' }[key] ?? 'reading ten times'}`,
};
