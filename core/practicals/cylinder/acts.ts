import { z } from 'zod';
import { fixed, short } from '../../analysis/quantity';
import { kelvinOf } from '../../physics/kinetic';
import type { Names } from '../common-acts';
import { trialNumber } from '../common-acts';
import type { Outcome } from '../contract';
import { done, isAmount, refuse } from '../hands';
import { shownReading, withRecorded } from '../recordings';
import { trialOfStretch } from '../stretches';
import { changed, filled, letFly, running, type Bench } from './bench';
import {
  COUNT,
  JACKET_K,
  LEAST_NM,
  LOAD_KPA,
  MOST_CHANGES,
  MOST_FILLS,
  MOST_K,
  MOST_PARTICLE_PS,
  RUN_PS,
  SLOTS,
  SLOTS_OF,
  SLOT_IDS,
  volumeOf,
} from './plan';
import { counterTexts } from './texts';

export const actSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('jacket'), kelvin: z.number() }),
  z.object({ kind: z.literal('bare') }),
  z.object({ kind: z.literal('pin'), nm3: z.number() }),
  z.object({ kind: z.literal('load'), kPa: z.number() }),
  z.object({ kind: z.literal('letIn'), count: z.number() }),
  z.object({ kind: z.literal('letOut'), count: z.number() }),
  z.object({ kind: z.literal('heat'), zJ: z.number() }),
  z.object({ kind: z.literal('cool'), zJ: z.number() }),
  z.object({ kind: z.literal('run'), ps: z.number() }),
  z.object({ kind: z.literal('next') }),
  z.object({ kind: z.literal('refill') }),
  z.object({ kind: z.literal('record'), trial: trialNumber, which: z.enum(SLOT_IDS) }),
]);
export type OwnAct = z.infer<typeof actSchema>;
type Of<K extends OwnAct['kind']> = Extract<OwnAct, { kind: K }>;

const GOING = 'They are flying: wait until this stretch is over, then let them fly on.';
const FLOWN = 'This filling has flown as long as it may. Fill the cylinder afresh.';
const NOTHING = 'The counters show nothing: let them fly first.';
const LEAST_ZJ = 0.001;

function jacket(bench: Bench, kelvin: number | null): Outcome<Bench> {
  if (kelvin !== null && !isAmount(kelvin, JACKET_K.least, JACKET_K.most))
    return refuse(`The jacket can be from ${JACKET_K.least} to ${JACKET_K.most} K.`);
  if (kelvin === bench.fitted.jacketK)
    return refuse(kelvin === null ? 'There is no jacket around it.' : 'The jacket is that warm already.');
  return done(changed(bench, { atPs: bench.nowPs, jacketK: kelvin }, { jacketK: kelvin }));
}

function pin(bench: Bench, { nm3 }: Of<'pin'>): Outcome<Bench> {
  const { plan, fitted, nowPs } = bench;
  const [least, most] = [volumeOf(plan, LEAST_NM), volumeOf(plan, plan.topNm)];
  if (!isAmount(nm3, least, most)) return refuse(`The pin can hold a volume from ${least} to ${most} nm³.`);
  const pinNm = nm3 / plan.edgeNm / plan.edgeNm;
  if (pinNm === fitted.pinNm) return refuse('The pin holds that volume already.');
  return done(changed(bench, { atPs: nowPs, pinNm }, { pinNm, loadKPa: null }));
}

function load(bench: Bench, { kPa }: Of<'load'>): Outcome<Bench> {
  if (!isAmount(kPa, LOAD_KPA.least, LOAD_KPA.most))
    return refuse(`The load can press with ${LOAD_KPA.least} to ${LOAD_KPA.most} kPa.`);
  if (kPa === bench.fitted.loadKPa) return refuse('The load presses with that already.');
  return done(changed(bench, { atPs: bench.nowPs, loadKPa: kPa }, { loadKPa: kPa, pinNm: null }));
}

function valve(bench: Bench, change: number): Outcome<Bench> {
  const { fitted, nowPs, flying } = bench;
  const count = fitted.count + change;
  if (!Number.isInteger(change)) return refuse('Type a whole number of particles.');
  if (change === 0) return refuse('Type at least one particle.');
  if (!isAmount(count, COUNT.least, COUNT.most))
    return refuse(`There are ${fitted.count}: the cylinder holds ${COUNT.least} to ${COUNT.most}.`);
  const kelvin = Math.min(Math.max(fitted.jacketK ?? flying.kelvin, 1), MOST_K);
  return done(changed(bench, { atPs: nowPs, count, kelvin }, { count }));
}

function heat(bench: Bench, zJ: number, sign: 1 | -1): Outcome<Bench> {
  const { fitted, flying, nowPs } = bench;
  if (fitted.jacketK !== null)
    return refuse('The jacket holds the temperature: take it off before you give or take heat.');
  if (!isAmount(zJ, LEAST_ZJ, Number.MAX_SAFE_INTEGER)) return refuse('Give or take at least a thousandth of a zJ.');
  const kelvin = flying.kelvin + (sign * kelvinOf(zJ)) / fitted.count;
  if (kelvin < 1) return refuse('So much they have not: they would be colder than 1 K.');
  if (kelvin > MOST_K) return refuse(`They would be hotter than ${MOST_K} K, which the cylinder does not bear.`);
  return done(changed(bench, { atPs: nowPs, heatZJ: sign * zJ }, { givenZJ: fitted.givenZJ + sign * zJ }));
}

/** Why they cannot be let fly for so long, if they cannot. */
function standing(bench: Bench, ps: number): string | null {
  if (running(bench)) return GOING;
  return bench.particlePs + ps * bench.fitted.count > MOST_PARTICLE_PS ? FLOWN : null;
}

function run(bench: Bench, { ps }: Of<'run'>): Outcome<Bench> {
  if (!isAmount(ps, RUN_PS.least, RUN_PS.most))
    return refuse(`Let them fly for ${RUN_PS.least} to ${RUN_PS.most} ps at once.`);
  const why = standing(bench, ps);
  return why ? refuse(why) : done(letFly(bench, ps));
}

/** Until the next impact on the piston. */
function next(bench: Bench): Outcome<Bench> {
  const why = standing(bench, RUN_PS.most);
  if (why) return refuse(why);
  if (bench.fitted.pinNm === null) return refuse('Pin the piston first: an impact moves it as long as the pin is out.');
  const ps = bench.flying.nextImpactPs(bench.nowPs + RUN_PS.most) - bench.nowPs;
  return ps > 0 ? done(letFly(bench, ps, true)) : refuse('None of them comes to the piston for a long time.');
}

function refill(bench: Bench): Outcome<Bench> {
  const { plan, sample, seed, fills, stretch, timeS } = bench;
  if (fills >= MOST_FILLS)
    return refuse(`It was filled ${MOST_FILLS} times: that has to do. Go on with this filling, or begin anew.`);
  return done({
    ...bench,
    ...filled(plan, sample, seed, fills + 1),
    stretch: { ...stretch, beganS: timeS, fromPs: 0, toPs: 0 },
  });
}

export const dueTrial = ({ readings, trial, stretch }: Bench): number => trialOfStretch(readings, trial, stretch);

/** What is worth saying of a stretch that is recorded. */
function remark(bench: Bench): string | undefined {
  const { counted, fitted } = bench;
  const { T } = counted.values;
  if (running(bench)) return 'They were still flying: the mean is that of the stretch so far.';
  if (counted.wasDriven)
    return 'The pin was still taking the piston to its place in this stretch: let them fly once more, and record that.';
  if (counted.wasAtStop) return 'The piston lay against its upper stop: the load did not hold the pressure.';
  if (fitted.jacketK !== null && T !== null && fitted.count >= 50 && Math.abs(T / fitted.jacketK - 1) > 0.1)
    return `They were not as warm as their jacket yet: ${fixed(T, 0)} K in the mean of the stretch, the jacket ${short(fitted.jacketK)} K.`;
  return undefined;
}

function record(bench: Bench, { trial, which }: Of<'record'>): Outcome<Bench> {
  const { plan, counted, stretch, fitted } = bench;
  const [text, value] = [counterTexts(counted, [which])[which], counted.values[which]];
  if (!SLOTS_OF[plan.gear].includes(which)) return refuse('There is no such counter at this cylinder.');
  if (text === undefined || value === null) return refuse(NOTHING);
  const last = dueTrial(bench);
  if (trial > last) return refuse(`Trial ${last} comes before trial ${trial}.`);
  const isDisturbed = counted.wasDriven || counted.wasAtStop;
  const entry = { ...shownReading(bench, { trial, which }, text, value), run: stretch.number, fitted, isDisturbed };
  return done(withRecorded(bench, entry), remark(bench));
}

export function perform(bench: Bench, act: OwnAct): Outcome<Bench> {
  if (bench.changes.length >= MOST_CHANGES && act.kind !== 'record' && act.kind !== 'refill')
    return refuse('So much was done to this filling. Fill the cylinder afresh.');
  switch (act.kind) {
    case 'jacket':
      return jacket(bench, act.kelvin);
    case 'bare':
      return jacket(bench, null);
    case 'pin':
      return pin(bench, act);
    case 'load':
      return load(bench, act);
    case 'letIn':
      return valve(bench, act.count);
    case 'letOut':
      return valve(bench, -act.count);
    case 'heat':
      return heat(bench, act.zJ, 1);
    case 'cool':
      return heat(bench, act.zJ, -1);
    case 'run':
      return run(bench, act);
    case 'next':
      return next(bench);
    case 'refill':
      return refill(bench);
    case 'record':
      return record(bench, act);
  }
}

/** An act as a line of the teacher's log. */
export function describe(act: OwnAct): string {
  switch (act.kind) {
    case 'jacket':
      return `put a jacket of ${short(act.kelvin)} K around the cylinder`;
    case 'bare':
      return 'took the jacket off';
    case 'pin':
      return `pinned the piston at ${short(act.nm3)} nm³`;
    case 'load':
      return `let a load of ${short(act.kPa)} kPa press on the piston, the pin being out`;
    case 'letIn':
      return `let ${short(act.count)} particles in`;
    case 'letOut':
      return `let ${short(act.count)} particles out`;
    case 'heat':
      return `gave them ${short(act.zJ)} zJ`;
    case 'cool':
      return `took ${short(act.zJ)} zJ from them`;
    case 'run':
      return `let them fly for ${short(act.ps)} ps`;
    case 'next':
      return 'let them fly to the next impact on the piston';
    case 'refill':
      return 'filled the cylinder afresh';
    case 'record':
      return `recorded the ${SLOTS[act.which].short}, trial ${act.trial}`;
  }
}

const STEP_NAMES: Readonly<Record<string, string>> = {
  fit: 'fitting what the card says',
  first: 'the first stretch',
  ten: 'ten stretches',
  one: 'single impacts',
  heat: 'heating',
  squeeze: 'squeezing',
  add: 'adding',
  numbers: 'all numbers',
};
export const NAMES: Names = {
  reading: (which) => `the ${(SLOTS as Record<string, { short: string } | undefined>)[which]?.short ?? 'reading'}`,
  step: (key) => `of ${STEP_NAMES[key] ?? 'the method'}`,
};
