import { recordShown } from '../recording-acts';
import { z } from 'zod';
import { changedLoad, displayed, isUnsettled, type Weighed } from '../../instruments/weighing';
import { actsOn } from '../act-table';
import { trialNumber } from '../common-acts';
import type { Outcome } from '../contract';
import { recordedEarly, showsNoMass, tared } from '../on-balance';
import type { About, Bench } from './bench';
import { dryG, molIn, saltIn, sampleG, waterG } from './crucible';
import { HEATED, SLOT_IDS, SLOTS, type Slot } from './plan';

/** What the balance shows and what is recorded of it. */

/** What the air that rises from something hot takes off its weight, g for each kelvin over the room. */
const LIFT_G_PER_K = 2.5e-4;
/** So much warmer than the room it is seen to drift, K. */
const DRIFTS_K = 4;

/** Whether what is weighed is so warm that the display is seen to creep. */
export const drifts = ({ crucible, sample }: Bench): boolean => crucible.tempC - sample.roomC > DRIFTS_K;

function loadOf(bench: Bench): number {
  const { crucible, sample, off } = bench;
  if (crucible.at !== 'pan') return 0;
  const lift = off.includes('hot') ? 0 : LIFT_G_PER_K * Math.max(crucible.tempC - sample.roomC, 0);
  // What was in a cracked one is lost.
  const inIt = crucible.isCracked ? 0 : sampleG(saltIn(bench), crucible);
  const lid = crucible.lid === 'off' ? 0 : crucible.lidG;
  return crucible.massG + lid + crucible.dampG + crucible.sootG + inIt - lift;
}

export const weighedOn = (bench: Bench): Weighed => ({
  balance: bench.balance,
  pan: bench.pan,
  loadG: loadOf(bench),
  timeS: bench.timeS,
  seed: bench.seed,
  exact: bench.off.includes('balance'),
  atOnce: bench.off.includes('settling'),
});

/** A bench whose load has changed by an act goes on from what showed. */
export function weighedAnew(before: Bench, after: Bench): Bench {
  const then = loadOf(before);
  if (before.crucible.at === after.crucible.at && before.crucible.lid === after.crucible.lid && loadOf(after) === then)
    return after;
  const weighings = after.pan.weighings + 1;
  return { ...after, pan: { ...after.pan, ...changedLoad(before.pan, then, after.timeS), weighings } };
}

const aboutNow = (bench: Bench): About => {
  const { crucible, crucibles } = bench;
  const salt = saltIn(bench);
  return {
    crucible: crucibles,
    lid: crucible.lid,
    lidG: crucible.lidG,
    sampleG: sampleG(salt, crucible),
    waterG: waterG(salt, crucible),
    dryG: dryG(salt, crucible),
    dampG: crucible.dampG,
    sootG: crucible.sootG,
  };
};

/** What the mass on the pan would be recorded as; null when nothing is there. */
export function dueSlot(bench: Bench): Slot | null {
  const { crucible } = bench;
  if (crucible.at !== 'pan') return null;
  if (molIn(crucible) === 0) return 'm0';
  return crucible.heatings === 0 ? 'm1' : (HEATED[Math.min(crucible.heatings, HEATED.length) - 1] ?? 'h5');
}

/** The trial that a reading belongs to: each crucible has one of its own. */
export function trialNow({ readings, trial, crucibles }: Bench): number {
  const own = readings.findLast((r) => r.struck === null && r.about.crucible === crucibles);
  if (own) return own.trial;
  return readings.some((r) => r.struck === null && r.trial === trial) ? trial + 1 : trial;
}

const tare = (bench: Bench): Outcome<Bench> => tared(bench, weighedOn(bench));

function recordMass(bench: Bench, { trial, which }: { trial: number; which: Slot }): Outcome<Bench> {
  const weighed = weighedOn(bench);
  const refusal = showsNoMass(weighed);
  if (refusal) return refusal;
  const shown = loadOf(bench) - bench.pan.tareG;
  const isHot = bench.crucible.at === 'pan' && drifts(bench);
  const creeping = isHot ? 'The display was still creeping up when this was recorded.' : undefined;
  const note = recordedEarly(isUnsettled(bench.pan, bench.timeS)) ?? creeping;
  return recordShown(
    { ...bench, crucible: { ...bench.crucible, isHeated: false } },
    { trial, which },
    { last: trialNow(bench), text: displayed(weighed), shown, note },
    { instrument: SLOTS[which].instrument, about: aboutNow(bench) },
  );
}

const act = actsOn<Bench>();
export const WEIGHING_ACTS = {
  tare: act({}, tare, 'tared the balance'),
  recordMass: act(
    { trial: trialNumber, which: z.enum(SLOT_IDS) },
    recordMass,
    ({ trial, which }) => `recorded the ${SLOTS[which].label}, trial ${trial}`,
  ),
};
