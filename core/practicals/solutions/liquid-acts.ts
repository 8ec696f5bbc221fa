import { fixed } from '../../analysis/quantity';
import { part, mixed, solutionFrom, together, type Contents } from '../../chemistry/contents';
import type { Outcome } from '../contract';
import { done, handChance, handError, isAmount, refuse } from '../hands';
import {
  emptyVessel,
  isOwn,
  nameOf,
  ripeNow,
  vesselAt,
  warmerNow,
  withVessel,
  asItIs,
  type Bench,
  type Measured,
  type Poured,
  type Vessel,
} from './bench';
import { advance, drawn } from './flow';
import type { VESSEL_TYPES } from './plan';
import { bottleMl } from './plan';
import { fizzedOut } from './solids/fizz';
import { solidsIn } from './look';
import { CLOTS, MOST, VESSELS_HERE } from './vessels';

/** Acts on liquids: dropping, measuring, pouring, stirring, emptying; vessels that come and go. */

/** mL of a drop, and how much one differs from another, as a part. */
export const DROP_ML = 0.05;
const DROP_PART = 0.04;
const MOST_DROPS = 40;
/** What an act takes, s. */
const TAKES_S = { drops: 2, pipette: 15, cylinder: 12, eye: 4, stir: 5, empty: 10 } as const;
/** Heat that warms a millilitre by a degree, J. */
export const J_PER_ML_K = 4.18;

/** Standard deviation of what a hand makes of an amount, mL. */
export function handMl(by: Measured, ml: number): number {
  if (by === 'pipette') return 0.012 + 0.001 * ml;
  return by === 'cylinder' ? 0.1 + 0.01 * ml : 0.15 * ml;
}
/** The most that one goes with each way, mL, and the least that can be told by it. */
const REACH_ML = {
  pipette: { least: 0.1, most: 10 },
  cylinder: { least: 1, most: 25 },
  eye: { least: 0.5, most: 60 },
} as const;

export const NONE = 'There is no such vessel on the bench.';

/** Two different things that something can go between, or why not. */
export function between(
  bench: Bench,
  from: number,
  to: number,
): { source: Vessel; target: Vessel } | { refusal: string } {
  const [source, target] = [vesselAt(bench, from), vesselAt(bench, to)];
  if (!source || !target) return { refusal: NONE };
  if (from === to) return { refusal: 'It cannot be poured into itself. Choose another vessel.' };
  if (!isOwn(target))
    return {
      refusal: 'What goes into a bottle spoils all that is in it. Put it into a vessel of your own.',
    };
  if (source.contents.volumeMl <= 0.001) return { refusal: 'It is empty: there is nothing to take.' };
  return { source, target };
}

/** So many times as much of one as of the other is an excess. */
const EXCESS = 3;

/** Pairs that have come together, with those of a vessel. */
function triedIn(bench: Bench, number: number): readonly string[] {
  const byBottle = new Map<number, number>();
  for (const { from, ml } of bench.vessels[number - 1]?.poured ?? [])
    if (from <= bench.sample.bottles.length) byBottle.set(from, (byBottle.get(from) ?? 0) + ml);
  if (byBottle.size !== 2) return bench.tried;
  const key = [...byBottle.keys()].sort((a, b) => a - b).join(' ');
  const [a = 0, b = 0] = byBottle.values();
  const now = Math.max(a, b) >= EXCESS * Math.min(a, b) ? [key, `${key} much`] : [key];
  const more = now.filter((one) => !bench.tried.includes(one));
  return more.length === 0 ? bench.tried : [...bench.tried, ...more];
}

/** What is poured, before it is known what really comes. */
type Meant = Omit<Poured, 'trueMl'>;

/** What comes into a vessel out of another one, out of a paper or the wash bottle. */
interface Coming {
  contents: Contents;
  /** K over the room. */
  warmerK: number;
  /** mol of each bottle's substance in it. */
  brought: readonly number[];
  /** How ripe the solid in it is. */
  ripe: number;
  poured: Poured;
}

/** How ripe a solid is of which a part lay there, a part came, and the rest has just fallen: what is fine of each adds up. */
function ripeOf(all: number, parts: readonly { gPerMl: number; ripe: number }[]): number {
  if (!(all > 0)) return 0;
  const known = parts.reduce((sum, { gPerMl }) => sum + gPerMl, 0);
  const scale = known > all ? all / known : 1;
  const fine = parts.reduce((sum, { gPerMl, ripe }) => sum + scale * gPerMl * Math.exp(-ripe), 0);
  return -Math.log((fine + Math.max(all - known, 0)) / all);
}
const solidOf = (contents: Contents): number =>
  solidsIn(contents).reduce((sum, { gPerL }) => sum + gPerL, 0) * contents.volumeMl;

/** What comes into a vessel reacts there, and warms it; what it cannot hold runs over. */
export function received(bench: Bench, to: number, coming: Coming): { bench: Bench; spiltMl: number } {
  const target = bench.vessels[to - 1] as Vessel;
  const { contents: taken } = coming;
  const warmB = warmerNow(bench, target);
  const { contents, heatJ, gasMol } = mixed(target.contents, taken);
  const warmerK =
    contents.volumeMl > 0
      ? (taken.volumeMl * coming.warmerK + target.contents.volumeMl * warmB + heatJ / J_PER_ML_K) / contents.volumeMl
      : 0;
  const ripe = ripeOf(solidOf(contents), [
    { gPerMl: solidOf(target.contents), ripe: ripeNow(bench, target) },
    { gPerMl: solidOf(taken), ripe: coming.ripe },
  ]);
  const brim = VESSELS_HERE[target.type].brimMl;
  const spiltMl = Math.max(contents.volumeMl - brim, 0);
  const over = part(contents, contents.volumeMl > 0 ? spiltMl / contents.volumeMl : 0);
  const stays = spiltMl > 0 ? brim / contents.volumeMl : 1;
  const after = withVessel(bench, to, {
    contents: spiltMl > 0 ? part(contents, stays) : contents,
    brought: bench.sample.bottles.map((_, i) => stays * ((target.brought[i] ?? 0) + (coming.brought[i] ?? 0))),
    warmerK,
    warmAtS: bench.timeS,
    ripe,
    mixedAtS: bench.timeS,
    bubbledMolPerL: contents.volumeMl > 0 ? gasMol / (contents.volumeMl / 1000) : 0,
    poured: [...target.poured, coming.poured],
  });
  return {
    bench: {
      ...after,
      tried: triedIn(after, to),
      waste: spiltMl > 0 ? together(bench.waste, over) : bench.waste,
      goneMol: bench.goneMol + gasMol,
    },
    spiltMl,
  };
}

/** So many mL out of one vessel into another. */
function pass(bench: Bench, from: number, to: number, ml: number, poured: Meant): { bench: Bench; spiltMl: number } {
  const source = bench.vessels[from - 1] as Vessel;
  const { taken, left } = drawn(bench, source, ml);
  const went = source.contents.volumeMl > 0 ? taken.volumeMl / source.contents.volumeMl : 0;
  const given = withVessel(bench, from, { contents: left, brought: source.brought.map((mol) => mol * (1 - went)) });
  return received(given, to, {
    contents: taken,
    warmerK: warmerNow(bench, source),
    brought: source.brought.map((mol) => mol * went),
    ripe: ripeNow(bench, source),
    poured: { ...poured, trueMl: taken.volumeMl },
  });
}

const MOST_POURED = 60;

function passed(
  bench: Bench,
  from: number,
  to: number,
  wanted: number,
  poured: Meant,
  seconds: number,
): Outcome<Bench> {
  const { source, target } = between(bench, from, to) as { source: Vessel; target: Vessel };
  if (target.poured.length >= MOST_POURED) return refuse('Too many things have gone into it. Take a clean vessel.');
  const short = source.contents.volumeMl < wanted - 1e-9;
  const { bench: after, spiltMl } = pass(bench, from, to, wanted, poured);
  const note =
    spiltMl > 0.01
      ? `It ran over: about ${fixed(Math.max(spiltMl, 0.1), 1)} mL were spilt.`
      : short
        ? 'That was all that there was in it.'
        : undefined;
  return done(advance(after, seconds), note);
}

export function drops(
  bench: Bench,
  { from, to, drops: count }: { from: number; to: number; drops: number },
): Outcome<Bench> {
  if (!(Number.isInteger(count) && count >= 1 && count <= MOST_DROPS))
    return refuse(`A dropper gives 1 to ${MOST_DROPS} drops at a time, in whole numbers.`);
  const both = between(bench, from, to);
  if ('refusal' in both) return both;
  const { error, bench: drawnBench } = handError(bench, DROP_PART * Math.sqrt(count));
  const ml = Math.max(count + error, 0) * DROP_ML;
  return passed(drawnBench, from, to, ml, { from, ml: count * DROP_ML, by: 'drops' }, TAKES_S.drops);
}

/** What a hand is off by: pouring by eye is a cause of its own, beside the unsteadiness of a hand that measures. */
function measuredError(bench: Bench, by: Measured, deviation: number): { error: number; bench: Bench } {
  if (by !== 'eye') return handError(bench, deviation);
  const { source, bench: drawnBench } = handChance(bench);
  const error = Math.max(-3, Math.min(3, source.normal())) * deviation;
  return { error: bench.off.includes('eye') ? 0 : error, bench: drawnBench };
}

export function measure(
  bench: Bench,
  { from, to, ml, by }: { from: number; to: number; ml: number; by: 'pipette' | 'cylinder' | 'eye' },
): Outcome<Bench> {
  if (!bench.plan.measures) return refuse('There are only droppers at this bench.');
  const both = between(bench, from, to);
  if ('refusal' in both) return both;
  const { least, most } = REACH_ML[by];
  if (!isAmount(ml, least, most))
    return refuse(
      by === 'eye' ? `By eye one pours ${least} to ${most} mL.` : `The ${by} gives ${least} to ${most} mL at a time.`,
    );
  if (both.target.type === 'well') return refuse('A well holds a few drops: use the dropper.');
  if (both.source.type === 'well') return refuse('There is too little in a well for that: use the dropper.');
  const { error, bench: drawnBench } = measuredError(bench, by, handMl(by, ml));
  const scale = by === 'pipette' ? 1 + bench.pipetteError : 1;
  const wanted = Math.max(ml * scale + error, 0.01);
  return passed(drawnBench, from, to, wanted, { from, ml, by }, TAKES_S[by]);
}

/** Stirring lets a part of the gas that is on its way out come at once. */
const STIRRED = 0.7;

export function stir(bench: Bench, { vessel: number }: { vessel: number }): Outcome<Bench> {
  const vessel = vesselAt(bench, number);
  if (!vessel) return refuse(NONE);
  if (!isOwn(vessel)) return refuse('The bottles are mixed well.');
  if (vessel.contents.volumeMl <= 0) return refuse('It is empty: there is nothing to stir.');
  const now = asItIs(bench, vessel);
  const clots = solidsIn(vessel.contents)[0]?.entry.form === 'curdy' ? CLOTS : 0;
  const stirred = withVessel(bench, number, {
    ...now,
    ripe: now.ripe + clots,
    tipped: fizzedOut(bench, vessel, STIRRED),
    mixedAtS: bench.timeS,
    bubbledMolPerL: 0,
  });
  return done(advance(stirred, TAKES_S.stir));
}

/** Emptied, rinsed and dried: a clean vessel again, and a mixture of its own. */
function cleared(bench: Bench, number: number): Bench {
  const vessel = bench.vessels[number - 1] as Vessel;
  const { label, at } = vessel;
  const clean = withVessel(bench, number, { ...emptyVessel(vessel.type), label, at, warmAtS: bench.timeS });
  const out = (tool: Bench['tools']['probe']) => (tool.into === number ? { ...tool, into: null } : tool);
  return {
    ...clean,
    tools: { thermometer: out(bench.tools.thermometer), probe: out(bench.tools.probe), cell: out(bench.tools.cell) },
    paper: bench.paper?.vessel === number ? null : bench.paper,
    waste: together(bench.waste, vessel.contents),
  };
}

export function empty(bench: Bench, { vessel: number }: { vessel: number }): Outcome<Bench> {
  const vessel = vesselAt(bench, number);
  if (!vessel) return refuse(NONE);
  if (!isOwn(vessel)) return refuse('What is in a bottle has to last. It is not poured away.');
  return done(advance(cleared(bench, number), TAKES_S.empty));
}

/** All wells of the plate rinsed at once. */
export function rinsePlate(bench: Bench): Outcome<Bench> {
  if (!bench.plan.spotPlate) return refuse('There is no spot plate at this bench.');
  const wells = bench.vessels.flatMap(({ type }, i) => (type === 'well' ? [i + 1] : []));
  return done(advance(wells.reduce(cleared, bench), TAKES_S.empty));
}

export function take(bench: Bench, { type }: { type: (typeof VESSEL_TYPES)[number] }): Outcome<Bench> {
  if (!bench.plan.vessels.includes(type)) return refuse(`There is no ${type} on the tray today.`);
  const standing = bench.vessels.filter((one) => one.type === type && !one.isAway).length;
  if (standing >= MOST[type])
    return refuse(
      type === 'tube'
        ? `The rack holds ${MOST.tube} tubes. Put one back first, or empty one.`
        : `There is room for ${MOST.beaker} beakers. Put one back first, or empty one.`,
    );
  // One that was put back is had again, clean.
  const back = bench.vessels.findIndex((one) => one.type === type && one.isAway);
  if (back >= 0) return done(withVessel(bench, back + 1, { ...emptyVessel(type), isAway: false }));
  return done({ ...bench, vessels: [...bench.vessels, emptyVessel(type)] });
}

export function away(bench: Bench, { vessel: number }: { vessel: number }): Outcome<Bench> {
  const vessel = vesselAt(bench, number);
  if (!vessel) return refuse(NONE);
  if (vessel.type !== 'tube' && vessel.type !== 'beaker')
    return refuse('It stays where it is. Only what came from the tray goes back to it.');
  return done(withVessel(cleared(bench, number), number, { label: '', at: 'bench', isAway: true }));
}

const LONGEST_LABEL = 24;

export function label(bench: Bench, { vessel: number, text }: { vessel: number; text: string }): Outcome<Bench> {
  const vessel = vesselAt(bench, number);
  if (!vessel) return refuse(NONE);
  if (vessel.type === 'water') return refuse('The water has its label already.');
  const written = text.trim();
  if (written.length > LONGEST_LABEL)
    return refuse(`A label has room for ${LONGEST_LABEL} characters. Write less on it.`);
  return done(withVessel(bench, number, { label: written }));
}

/** A bottle as full as it was given, however much was used: told to the teacher in the log. */
export function more(bench: Bench, { bottle }: { bottle: number }): Outcome<Bench> {
  const vessel = vesselAt(bench, bottle);
  const own = bench.sample.bottles[bottle - 1];
  if (!vessel || vessel.type !== 'bottle' || !own) return refuse('Only a bottle can be filled again.');
  const ml = bottleMl(bench.plan) - vessel.contents.volumeMl;
  if (ml < 0.005) return refuse(`There is as much in ${nameOf(bench, bottle)} as it was given to you with.`);
  const fresh = solutionFrom(own.id, own.molPerL, ml);
  const filled = withVessel(bench, bottle, {
    contents: together(vessel.contents, fresh),
    brought: vessel.brought.map((mol, i) => (i === bottle - 1 ? mol + (own.molPerL * ml) / 1000 : mol)),
  });
  return done(
    { ...filled, taken: together(bench.taken, fresh), mores: bench.mores + 1 },
    `${nameOf(bench, bottle).replace(/^./, (c) => c.toUpperCase())} is full again.`,
  );
}
