import { recordShown } from '../recording-acts';
import { z } from 'zod';
import { short } from '../../analysis/quantity';
import { chance } from '../../random';
import { anyDirection, anyPlace } from '../../physics/flight';
import { energyAt } from '../../physics/kinetic';
import { actsOn, actTable, type ActOf } from '../act-table';
import { trialNumber } from '../common-acts';
import type { Outcome } from '../contract';
import { done, isAmount, refuse } from '../hands';
import { stateOf, withEnergy, type Bench } from './bench';
import { gaugeText } from './gauges';
import { MOST_K, psAt, roomOf, SLOT_KEYS, SLOTS, type Slot } from './plan';

const EMPTY = 'The vessel is empty. Put a particle in first.';
const TEMPERATURES = `The vessel can take temperatures from 0 to ${MOST_K} K.`;
const LEAST_ZJ = 0.001;

/** One in place of the one that was there: from anywhere, in any direction, with the mean energy of a temperature. */
function putIn(bench: Bench, { kelvin }: { kelvin: number }): Outcome<Bench> {
  if (!isAmount(kelvin, 0, MOST_K)) return refuse(TEMPERATURES);
  const puts = bench.puts + 1;
  const source = chance(bench.seed, `particle ${puts}`);
  const room = roomOf(bench.plan);
  const sincePs = psAt(bench.timeS);
  const flight = { at: anyPlace(source, room), direction: anyDirection(source), speed: 0, sincePs, hits: 0 };
  return done(withEnergy({ ...bench, puts }, flight, energyAt(kelvin)));
}

function bring(bench: Bench, { kelvin }: { kelvin: number }): Outcome<Bench> {
  if (!bench.flight) return refuse(EMPTY);
  if (!isAmount(kelvin, 0, MOST_K)) return refuse(TEMPERATURES);
  return done(withEnergy(bench, bench.flight, energyAt(kelvin)));
}

function change(bench: Bench, zJ: number, sign: 1 | -1): Outcome<Bench> {
  if (!bench.flight) return refuse(EMPTY);
  if (!isAmount(zJ, LEAST_ZJ, energyAt(MOST_K)))
    return refuse('Give or take at least a thousandth of a zJ, and no more than the vessel can take.');
  const energy = stateOf(bench).E + sign * zJ;
  if (energy < 0) return refuse(`It has only ${gaugeText(bench, 'E')} zJ: no more than that can be taken.`);
  if (energy > energyAt(MOST_K))
    return refuse(`It would be hotter than ${MOST_K} K then, which the vessel cannot take.`);
  return done(withEnergy(bench, bench.flight, energy));
}

/** What a gauge shows, as it shows it. */
function record(bench: Bench, { trial, which }: { trial: number; which: Slot }): Outcome<Bench> {
  if (!bench.flight) return refuse(EMPTY);
  const [text, shown] = [gaugeText(bench, which), stateOf(bench)[which]];
  return recordShown(bench, { trial, which }, { last: bench.trial + 1, text, shown }, {});
}

const act = actsOn<Bench>();
const ACTS = {
  putIn: act({ kelvin: z.number() }, putIn, (of) => `put a particle in, with the energy of ${short(of.kelvin)} K`),
  bring: act({ kelvin: z.number() }, bring, ({ kelvin }) => `brought it to ${short(kelvin)} K`),
  give: act(
    { zJ: z.number() },
    (bench, { zJ }) => change(bench, zJ, 1),
    ({ zJ }) => `gave it ${short(zJ)} zJ`,
  ),
  take: act(
    { zJ: z.number() },
    (bench, { zJ }) => change(bench, zJ, -1),
    ({ zJ }) => `took ${short(zJ)} zJ from it`,
  ),
  record: act(
    { trial: trialNumber, which: z.enum(SLOT_KEYS) },
    record,
    ({ trial, which }) => `recorded the ${SLOTS[which].short}, trial ${trial}`,
  ),
};
export type OwnAct = ActOf<typeof ACTS>;
export const OWN_ACTS = actTable<Bench, typeof ACTS>(ACTS);
