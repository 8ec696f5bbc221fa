import { changedLoad, displayed, isUnsettled, type Weighed } from '../../../instruments/weighing';
import type { BalancePiece } from '../../../instruments/balance';
import { gramsIn } from '../../../chemistry/weight';
import { chance } from '../../../random';
import type { Outcome } from '../../contract';
import { done, refuse } from '../../hands';
import { recordedEarly, showsNoMass, tared } from '../../on-balance';
import { shownReading, withRecorded } from '../../recordings';
import { nameOf, warmerNow, withVessel, type About, type Bench, type Vessel } from '../bench';
import type { MASS_SLOTS } from '../plan';
import { DRIED_SLOTS, SLOTS, slotsOf, type MassSlot } from '../plan';
import { trialFor } from '../trials';
import { WEIGHS_G } from '../vessels';
import { fizzNow } from './fizz';
import { onPaper, paperG, type Paper } from './paper';
import { PAPER_NAMES } from './paper-kinds';
import { boatTrial, paperTrial } from './solid-trials';
import { staysDissolvedG } from './left-behind';

/** The balance: what lies on it, what it shows, what is recorded. Masses in g. */

/** What the air that rises from something warm takes off its weight, g for each kelvin over the room: of a vessel, of a paper. */
const LIFT_G_PER_K = { vessel: 2.5e-4, paper: 1e-4 } as const;
/** So much warmer than the room it is seen to drift, K. */
const DRIFTS_K = 4;

/** What lies on the pan. */
type OnPan =
  | { what: 'paper'; number: number; paper: Paper }
  | { what: 'vessel'; number: number; vessel: Vessel }
  | { what: 'boat' };

export function onPan({ papers, vessels, boat }: Bench): OnPan | null {
  const at = papers.findIndex((paper) => paper.at === 'pan');
  if (at >= 0) return { what: 'paper', number: at + 1, paper: papers[at] as Paper };
  const place = vessels.findIndex((vessel) => vessel.at === 'pan');
  if (place >= 0) return { what: 'vessel', number: place + 1, vessel: vessels[place] as Vessel };
  return boat.at === 'pan' ? { what: 'boat' } : null;
}

/** What an empty vessel weighs: each one something else, g. */
function emptyG({ seed, vessels }: Pick<Bench, 'seed' | 'vessels'>, number: number): number {
  const ways = WEIGHS_G[vessels[number - 1]?.type ?? 'well'];
  return ways ? ways.g + ways.by * (2 * chance(seed, `vessel ${number} weighs`).uniform() - 1) : 0;
}

/** How much warmer than the room what is weighed is, K. */
function warmerOnPan(bench: Bench, on: OnPan): number {
  if (on.what === 'paper') return on.paper.warmerK;
  return on.what === 'vessel' ? warmerNow(bench, on.vessel) : 0;
}

function liftG(bench: Bench, on: OnPan): number {
  if (bench.off.includes('hot') || on.what === 'boat') return 0;
  return LIFT_G_PER_K[on.what] * Math.max(warmerOnPan(bench, on), 0);
}

function loadOf(bench: Bench): number {
  const on = onPan(bench);
  if (!on) return 0;
  if (on.what === 'boat') return bench.boat.g + bench.boat.solidG;
  if (on.what === 'paper') return paperG(on.paper) - liftG(bench, on);
  const { vessel, number } = on;
  return emptyG(bench, number) + gramsIn(vessel.contents) + fizzNow(bench, vessel) - liftG(bench, on);
}

const weighedOn = (bench: Bench & { balance: BalancePiece }): Weighed => ({
  balance: bench.balance,
  pan: bench.pan,
  loadG: loadOf(bench),
  timeS: bench.timeS,
  seed: bench.seed,
  exact: bench.off.includes('balance'),
  atOnce: bench.off.includes('settling'),
});

const hasBalance = (bench: Bench): bench is Bench & { balance: BalancePiece } => bench.balance !== null;

/** What the display says; null where there is no balance. */
export const balanceShows = (bench: Bench): string | null => (hasBalance(bench) ? displayed(weighedOn(bench)) : null);

const keyOf = (on: OnPan | null): string => (on ? `${on.what} ${'number' in on ? on.number : ''}` : '');

/** A bench whose load has changed by an act goes on from what showed. */
export function weighedAnew(before: Bench, after: Bench): Bench {
  if (!after.balance) return after;
  const then = loadOf(before);
  // What leaves by itself while an act takes its time is followed by the display without a jump.
  const now = loadOf({ ...after, timeS: before.timeS });
  if (keyOf(onPan(before)) === keyOf(onPan(after)) && Math.abs(now - then) < 1e-6) return after;
  return {
    ...after,
    pan: { ...after.pan, ...changedLoad(before.pan, then, after.timeS), weighings: after.pan.weighings + 1 },
  };
}

/** Whether what is weighed is so warm that the display is seen to creep. */
const creeps = (bench: Bench, on: OnPan): boolean =>
  warmerOnPan(bench, on) > DRIFTS_K || (on.what === 'vessel' && fizzNow(bench, on.vessel) > 0.002);

/** What a mass would be recorded as, and for which trial. */
function slotFor(bench: Bench, on: OnPan): { which: MassSlot; trial: number } {
  if (on.what === 'boat') return { which: bench.boat.isTipped ? 'mE' : 'mB', trial: boatTrial(bench) };
  if (on.what === 'vessel') return { which: on.vessel.tipped ? 'm2' : 'm1', trial: trialFor(bench, on.number) };
  const { paper, number } = on;
  const round = Math.min(Math.max(paper.rounds, 1), DRIED_SLOTS.length);
  const which = paper.from === null ? 'mP' : (DRIED_SLOTS[round - 1] as MassSlot);
  return { which, trial: paperTrial(bench, number) };
}

/** What the mass on the pan would be recorded as; null when nothing is there, or nothing that is asked for. */
export function dueMass(bench: Bench): { which: MassSlot; trial: number } | null {
  const on = onPan(bench);
  const due = on && slotFor(bench, on);
  return due && slotsOf(bench.plan).includes(due.which) ? due : null;
}

/** What is wrong with what is on the pan, by cause: closed forms of what is there and should not be, or should be and is not. */
function wrongG(bench: Bench, on: OnPan): Record<string, number> {
  if (on.what === 'boat') return {};
  if (on.what === 'vessel') {
    const { tipped } = on.vessel;
    if (!tipped) return {};
    return {
      fizz: fizzNow(bench, on.vessel),
      stays: staysDissolvedG(bench, on.vessel),
      vapour: -tipped.vapourG,
    };
  }
  const { paper } = on;
  const { turnedG, saltsG, solidG } = onPaper(paper);
  // What is over for less than half is wrong by what is gone, and for more by what is not.
  const whole = paper.turned > 0 ? turnedG / paper.turned : 0;
  const turned = solidG > 0 && paper.turned > 0.5 ? whole - turnedG : -turnedG;
  const { through, clings, dissolved, washed } = paper.missing;
  return {
    wet: paper.waterG,
    damp: paper.dampG,
    scorched: -paper.scorched * paper.dryG,
    salts: saltsG,
    form: turned,
    through: -through,
    clings: -clings,
    dissolved: -dissolved,
    washed: -washed,
  };
}

const aboutPan = (bench: Bench, on: OnPan): About => ({
  vessel: on.what === 'boat' ? 0 : on.number,
  trueValue: loadOf(bench),
  by: null,
  wrongG: wrongG(bench, on),
  ...(on.what === 'paper' ? { isTurned: on.paper.turned > 0.5 } : {}),
});

const NO_BALANCE = 'There is no balance at this bench.';

/** A paper or vessel that something is recorded of belongs to that trial. */
function asTrial(bench: Bench, on: OnPan, trial: number): Bench {
  if (on.what === 'boat') return { ...bench, boat: { ...bench.boat, trial } };
  if (on.what === 'vessel') return withVessel(bench, on.number, { trial });
  const papers = bench.papers.map((paper, i) => (i === on.number - 1 ? { ...paper, trial, isWeighed: true } : paper));
  return { ...bench, papers };
}

export const nameOnPan = (bench: Bench, on: OnPan): string =>
  on.what === 'boat'
    ? 'the boat'
    : on.what === 'vessel'
      ? nameOf(bench, on.number)
      : `${PAPER_NAMES[on.paper.of]} ${on.number}`;

export function tare(bench: Bench): Outcome<Bench> {
  if (!hasBalance(bench)) return refuse(NO_BALANCE);
  return tared(bench, weighedOn(bench));
}

export function recordMass(
  bench: Bench,
  { trial, which }: { trial: number; which: (typeof MASS_SLOTS)[number] },
): Outcome<Bench> {
  if (!hasBalance(bench)) return refuse(NO_BALANCE);
  const on = onPan(bench);
  const due = dueMass(bench);
  if (!on) return refuse('Nothing is on the balance: put on what is to be weighed.');
  if (!due) return refuse(`What is on the balance is ${nameOnPan(bench, on)}: its mass is not asked for here.`);
  if (due.which !== which)
    return refuse(`What is on the balance is ${nameOnPan(bench, on)}: that is the ${SLOTS[due.which].label}.`);
  if (due.trial !== trial) return refuse(`What is on the balance is of trial ${due.trial}.`);
  const weighed = weighedOn(bench);
  const refusal = showsNoMass(weighed, 'Take something lighter.');
  if (refusal) return refusal;
  const shown = loadOf(bench) - bench.pan.tareG;
  const entry = { ...shownReading(bench, { trial, which }, displayed(weighed), shown), about: aboutPan(bench, on) };
  const creeping = creeps(bench, on) ? 'The display was still creeping when this was recorded.' : undefined;
  const note = recordedEarly(isUnsettled(bench.pan, bench.timeS)) ?? creeping;
  return done(asTrial(withRecorded(bench, entry), on, trial), note);
}
