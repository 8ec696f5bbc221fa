import { recordShown } from '../recording-acts';
import { z } from 'zod';
import { fixed, short } from '../../analysis/quantity';
import { kelvinOf } from '../../physics/kinetic';
import { actsOn, actTable, type ActOf } from '../act-table';
import { trialNumber } from '../common-acts';
import type { Outcome } from '../contract';
import { done, isAmount, refuse } from '../hands';
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
  type Slot,
} from './plan';
import { counterTexts } from './texts';

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

function pin(bench: Bench, { nm3 }: { nm3: number }): Outcome<Bench> {
  const { plan, fitted, nowPs } = bench;
  const [least, most] = [volumeOf(plan, LEAST_NM), volumeOf(plan, plan.topNm)];
  if (!isAmount(nm3, least, most)) return refuse(`The pin can hold a volume from ${least} to ${most} nm³.`);
  const pinNm = nm3 / plan.edgeNm / plan.edgeNm;
  if (pinNm === fitted.pinNm) return refuse('The pin holds that volume already.');
  return done(changed(bench, { atPs: nowPs, pinNm }, { pinNm, loadKPa: null }));
}

function load(bench: Bench, { kPa }: { kPa: number }): Outcome<Bench> {
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
  if (kelvin < 1) return refuse('They do not have so much energy: they would be colder than 1 K.');
  if (kelvin > MOST_K) return refuse(`They would be hotter than ${MOST_K} K, which the cylinder cannot take.`);
  return done(changed(bench, { atPs: nowPs, heatZJ: sign * zJ }, { givenZJ: fitted.givenZJ + sign * zJ }));
}

/** Why they cannot be let fly for so long, if they cannot. */
function standing(bench: Bench, ps: number): string | null {
  if (running(bench)) return GOING;
  return bench.particlePs + ps * bench.fitted.count > MOST_PARTICLE_PS ? FLOWN : null;
}

function run(bench: Bench, { ps }: { ps: number }): Outcome<Bench> {
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
  return ps > 0 ? done(letFly(bench, ps, true)) : refuse('No particle will come to the piston for a long time.');
}

function refill(bench: Bench): Outcome<Bench> {
  const { plan, sample, seed, fills, stretch, timeS } = bench;
  if (fills >= MOST_FILLS)
    return refuse(`It was filled ${MOST_FILLS} times. No more is possible: go on with this filling, or begin anew.`);
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
  if (counted.wasDriven) return 'The pin still moved the piston in this stretch: let them fly again, and record that.';
  if (counted.wasAtStop) return 'The piston lay against its upper stop: the load did not hold the pressure.';
  if (fitted.jacketK !== null && T !== null && fitted.count >= 50 && Math.abs(T / fitted.jacketK - 1) > 0.1)
    return `They had ${fixed(T, 0)} K in the mean of this stretch. Their jacket has ${short(fitted.jacketK)} K.`;
  return undefined;
}

function record(bench: Bench, { trial, which }: { trial: number; which: Slot }): Outcome<Bench> {
  const { plan, counted, stretch, fitted } = bench;
  const [text, value] = [counterTexts(counted, [which])[which], counted.values[which]];
  if (!SLOTS_OF[plan.gear].includes(which)) return refuse('There is no such counter at this cylinder.');
  if (text === undefined || value === null) return refuse(NOTHING);
  return recordShown(
    bench,
    { trial, which },
    { last: dueTrial(bench), text, shown: value, note: remark(bench) },
    { run: stretch.number, fitted, isDisturbed: counted.wasDriven || counted.wasAtStop },
  );
}

const act = actsOn<Bench>();
const ACTS = {
  jacket: act(
    { kelvin: z.number() },
    (bench, { kelvin }) => jacket(bench, kelvin),
    ({ kelvin }) => `put a jacket of ${short(kelvin)} K around the cylinder`,
  ),
  bare: act({}, (bench) => jacket(bench, null), 'took the jacket off'),
  pin: act({ nm3: z.number() }, pin, ({ nm3 }) => `pinned the piston at ${short(nm3)} nm³`),
  load: act(
    { kPa: z.number() },
    load,
    ({ kPa }) => `let a load of ${short(kPa)} kPa press on the piston, the pin being out`,
  ),
  letIn: act(
    { count: z.number() },
    (bench, { count }) => valve(bench, count),
    ({ count }) => `let ${short(count)} particles in`,
  ),
  letOut: act(
    { count: z.number() },
    (bench, { count }) => valve(bench, -count),
    ({ count }) => `let ${short(count)} particles out`,
  ),
  heat: act(
    { zJ: z.number() },
    (bench, { zJ }) => heat(bench, zJ, 1),
    ({ zJ }) => `gave them ${short(zJ)} zJ`,
  ),
  cool: act(
    { zJ: z.number() },
    (bench, { zJ }) => heat(bench, zJ, -1),
    ({ zJ }) => `took ${short(zJ)} zJ from them`,
  ),
  run: act({ ps: z.number() }, run, ({ ps }) => `let them fly for ${short(ps)} ps`),
  next: act({}, next, 'let them fly to the next impact on the piston'),
  refill: act({}, refill, 'filled the cylinder afresh'),
  record: act(
    { trial: trialNumber, which: z.enum(SLOT_IDS) },
    record,
    ({ trial, which }) => `recorded the ${SLOTS[which].short}, trial ${trial}`,
  ),
};
export type OwnAct = ActOf<typeof ACTS>;
const own = actTable<Bench, typeof ACTS>(ACTS);

export const OWN_ACTS: typeof own = {
  ...own,
  perform: (bench, what) =>
    bench.changes.length >= MOST_CHANGES && what.kind !== 'record' && what.kind !== 'refill'
      ? refuse('Nothing more can be done to this filling. Fill the cylinder afresh.')
      : own.perform(bench, what),
};
