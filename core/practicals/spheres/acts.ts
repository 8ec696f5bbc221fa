import { z } from 'zod';
import { short } from '../../analysis/quantity';
import type { Names } from '../common-acts';
import { trialNumber } from '../common-acts';
import type { Outcome } from '../contract';
import { done, isAmount, refuse } from '../hands';
import { shownReading, withRecorded } from '../recordings';
import { nextStretch, trialOfStretch } from '../stretches';
import { filled, running, seenOf, type Bench } from './bench';
import { counterText, countersOf } from './counters';
import type { Change } from './flying';
import { FILLINGS, JACKET_K, MOST_CHANGES, MOST_FILLS, MOST_PS, RUN_PS, SLOT_IDS, SLOTS } from './plan';

export const actSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('jacket'), kelvin: z.number() }),
  z.object({ kind: z.literal('bare') }),
  z.object({ kind: z.literal('hole'), open: z.boolean() }),
  z.object({ kind: z.literal('run'), ps: z.number() }),
  z.object({ kind: z.literal('refill'), of: z.enum(FILLINGS).optional() }),
  z.object({ kind: z.literal('record'), trial: trialNumber, which: z.enum(SLOT_IDS) }),
]);
export type OwnAct = z.infer<typeof actSchema>;
type Of<K extends OwnAct['kind']> = Extract<OwnAct, { kind: K }>;

const GOING = 'They are flying: wait until this stretch is over, then let them fly on.';

/** With something done to them now. */
function changed(bench: Bench, change: Change, more: Partial<Bench>): Outcome<Bench> {
  if (bench.changes.length >= MOST_CHANGES) return refuse('So much was done to this filling. Take a fresh one.');
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

function hole(bench: Bench, { open }: Of<'hole'>): Outcome<Bench> {
  if (bench.isOpen === open) return refuse(open ? 'The hole is open already.' : 'The hole is shut already.');
  return changed(bench, { atPs: bench.nowPs, isOpen: open }, { isOpen: open });
}

function run(bench: Bench, { ps }: Of<'run'>): Outcome<Bench> {
  if (running(bench)) return refuse(GOING);
  if (!isAmount(ps, RUN_PS.least, RUN_PS.most))
    return refuse(`Let them fly for ${RUN_PS.least} to ${RUN_PS.most} ps at once.`);
  if (bench.nowPs + ps > MOST_PS) return refuse(`This filling has flown ${MOST_PS} ps. Take a fresh one.`);
  const next = nextStretch(bench.run, bench.timeS, bench.nowPs, ps);
  return changed(bench, { atPs: bench.nowPs, runPs: ps }, { run: next });
}

function refill(bench: Bench, { of }: Of<'refill'>): Outcome<Bench> {
  const { plan, sample, seed, fills, run: last, timeS } = bench;
  if (fills >= MOST_FILLS)
    return refuse(`It was filled ${MOST_FILLS} times: that has to do. Go on with this filling, or begin anew.`);
  const next = { number: last.number, beganS: timeS, fromPs: 0, toPs: 0 };
  return done({ ...bench, ...filled(plan, sample, seed, fills + 1, of), run: next });
}

export const dueTrial = ({ readings, trial, run }: Bench): number => trialOfStretch(readings, trial, run);

function record(bench: Bench, { trial, which }: Of<'record'>): Outcome<Bench> {
  const [text, all] = [counterText(bench, which), countersOf(bench)];
  if (all === null) return refuse('The counters show nothing: let them fly first.');
  const value = all[which];
  if (text === null || value === null)
    return refuse('That gas is not in the vessel: there is nothing to record of it.');
  const last = dueTrial(bench);
  if (trial > last) return refuse(`Trial ${last} comes before trial ${trial}.`);
  const entry = {
    ...shownReading(bench, { trial, which }, text, value),
    run: bench.run.number,
    there: bench.tally.there,
  };
  const note = running(bench) ? 'They were still flying: the mean is that of the stretch so far.' : undefined;
  return done(withRecorded(bench, entry), note);
}

export function perform(bench: Bench, act: OwnAct): Outcome<Bench> {
  switch (act.kind) {
    case 'jacket':
      return jacket(bench, act.kelvin);
    case 'bare':
      return jacket(bench, null);
    case 'hole':
      return hole(bench, act);
    case 'run':
      return run(bench, act);
    case 'refill':
      return refill(bench, act);
    case 'record':
      return record(bench, act);
  }
}

/** An act as a line of the teacher's log. */
export function describe(act: OwnAct): string {
  switch (act.kind) {
    case 'jacket':
      return `put a jacket of ${short(act.kelvin)} K around the vessel`;
    case 'bare':
      return 'took the jacket off';
    case 'hole':
      return act.open ? 'opened the hole' : 'shut the hole';
    case 'run':
      return `let them fly for ${short(act.ps)} ps`;
    case 'refill':
      return `filled the vessel afresh${{ both: '', helium: ', with helium alone', other: ', with the other gas alone' }[act.of ?? 'both']}`;
    case 'record':
      return `recorded the ${SLOTS[act.which].short}, trial ${act.trial}`;
  }
}

export const NAMES: Names = {
  reading: (which) => `the ${(SLOTS as Record<string, { short: string } | undefined>)[which]?.short ?? 'reading'}`,
  step: (key) =>
    `of ${{ first: 'the first stretch', three: 'three temperatures', leak: 'the hole' }[key] ?? 'the method'}`,
};
