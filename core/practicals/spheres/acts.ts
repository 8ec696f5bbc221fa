import { recordShown } from '../recording-acts';
import { z } from 'zod';
import { short } from '../../analysis/quantity';
import { actsOn, actTable, type ActOf } from '../act-table';
import { trialNumber } from '../common-acts';
import type { Outcome } from '../contract';
import { done, isAmount, refuse } from '../hands';
import { nextStretch, trialOfStretch } from '../stretches';
import { filled, running, seenOf, type Bench } from './bench';
import { counterText, countersOf } from './counters';
import type { Change } from './flying';
import { FILLINGS, JACKET_K, MOST_CHANGES, MOST_FILLS, MOST_PS, RUN_PS, SLOT_IDS, SLOTS, type Slot } from './plan';

const GOING = 'They are flying: wait until this stretch is over, then let them fly on.';

/** With something done to them now. */
function changed(bench: Bench, change: Change, more: Partial<Bench>): Outcome<Bench> {
  if (bench.changes.length >= MOST_CHANGES)
    return refuse('Nothing more can be done to this filling. Take a fresh one.');
  const flying = bench.flying.copy();
  flying.change(change);
  return done({ ...bench, ...more, ...seenOf(flying), changes: [...bench.changes, change] });
}

function jacket(bench: Bench, kelvin: number | null): Outcome<Bench> {
  if (kelvin !== null && !isAmount(kelvin, JACKET_K.least, JACKET_K.most))
    return refuse(`The jacket can be from ${JACKET_K.least} to ${JACKET_K.most} K.`);
  if (kelvin === bench.jacketK)
    return refuse(kelvin === null ? 'There is no jacket around it.' : 'The jacket is that warm already.');
  return changed(bench, { atPs: bench.nowPs, jacketK: kelvin }, { jacketK: kelvin });
}

function hole(bench: Bench, { open }: { open: boolean }): Outcome<Bench> {
  if (bench.isOpen === open) return refuse(open ? 'The hole is open already.' : 'The hole is shut already.');
  return changed(bench, { atPs: bench.nowPs, isOpen: open }, { isOpen: open });
}

function run(bench: Bench, { ps }: { ps: number }): Outcome<Bench> {
  if (running(bench)) return refuse(GOING);
  if (!isAmount(ps, RUN_PS.least, RUN_PS.most))
    return refuse(`Let them fly for ${RUN_PS.least} to ${RUN_PS.most} ps at once.`);
  if (bench.nowPs + ps > MOST_PS) return refuse(`This filling has flown ${MOST_PS} ps. Take a fresh one.`);
  const next = nextStretch(bench.run, bench.timeS, bench.nowPs, ps);
  return changed(bench, { atPs: bench.nowPs, runPs: ps }, { run: next });
}

function refill(bench: Bench, { of }: { of?: (typeof FILLINGS)[number] | undefined }): Outcome<Bench> {
  const { plan, sample, seed, fills, run: last, timeS } = bench;
  if (fills >= MOST_FILLS)
    return refuse(`It was filled ${MOST_FILLS} times. No more is possible: go on with this filling, or begin anew.`);
  const next = { number: last.number, beganS: timeS, fromPs: 0, toPs: 0 };
  return done({ ...bench, ...filled(plan, sample, seed, fills + 1, of), run: next });
}

export const dueTrial = ({ readings, trial, run }: Bench): number => trialOfStretch(readings, trial, run);

function record(bench: Bench, { trial, which }: { trial: number; which: Slot }): Outcome<Bench> {
  const [text, all] = [counterText(bench, which), countersOf(bench)];
  if (all === null) return refuse('The counters show nothing: let them fly first.');
  const value = all[which];
  if (text === null || value === null)
    return refuse('That gas is not in the vessel: there is nothing to record of it.');
  const note = running(bench) ? 'They were still flying: the mean is that of the stretch so far.' : undefined;
  return recordShown(
    bench,
    { trial, which },
    { last: dueTrial(bench), text, shown: value, note },
    { run: bench.run.number, there: bench.tally.there },
  );
}

const FILLED = { both: '', helium: ', with helium alone', other: ', with the other gas alone' } as const;

const act = actsOn<Bench>();
const ACTS = {
  jacket: act(
    { kelvin: z.number() },
    (bench, { kelvin }) => jacket(bench, kelvin),
    ({ kelvin }) => `put a jacket of ${short(kelvin)} K around the vessel`,
  ),
  bare: act({}, (bench) => jacket(bench, null), 'took the jacket off'),
  hole: act({ open: z.boolean() }, hole, ({ open }) => (open ? 'opened the hole' : 'shut the hole')),
  run: act({ ps: z.number() }, run, ({ ps }) => `let them fly for ${short(ps)} ps`),
  refill: act(
    { of: z.enum(FILLINGS).optional() },
    refill,
    ({ of = 'both' }) => `filled the vessel afresh${FILLED[of]}`,
  ),
  record: act(
    { trial: trialNumber, which: z.enum(SLOT_IDS) },
    record,
    ({ trial, which }) => `recorded the ${SLOTS[which].short}, trial ${trial}`,
  ),
};
export type OwnAct = ActOf<typeof ACTS>;
export const OWN_ACTS = actTable<Bench, typeof ACTS>(ACTS);
