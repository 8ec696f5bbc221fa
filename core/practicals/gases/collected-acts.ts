import { z } from 'zod';
import { short } from '../../analysis/quantity';
import { gramsPerMol } from '../../chemistry/molar-mass';
import { ribbonOf } from '../../databook/ribbons';
import { actsOn } from '../act-table';
import type { Outcome } from '../contract';
import { done, handError, isAmount, refuse } from '../hands';
import type { Bench, Collected } from './bench';
import { freshTube } from './collected';
import { advance } from './flow';
import { weighedAnew } from './injector';
import { LIFT_MM } from './pieces';

/** What is done with a strip of metal and the gas tube. */

/** A strip that is cut: between these, mg, and how exactly. */
const CUT_MG = { least: 10, most: 300 } as const;
const HAND = 0.06;
const HAND_MM = 1.5;
const NONE_HERE = 'There is no gas tube at this bench.';

const inTube = (bench: Bench, change: Partial<Collected>, takesS: number, note?: string): Outcome<Bench> =>
  bench.collected === null
    ? refuse(NONE_HERE)
    : done(advance(weighedAnew(bench, { ...bench, collected: { ...bench.collected, ...change } }), takesS), note);

function cut(bench: Bench, { mg }: { mg: number }): Outcome<Bench> {
  const { collected } = bench;
  if (!collected) return refuse(NONE_HERE);
  if (collected.strip?.at === 'tube') return refuse('There is a strip in the tube. For another one take a fresh tube.');
  if (collected.strip?.at === 'pan') return refuse('Take the strip off the balance first.');
  if (!isAmount(mg, CUT_MG.least, CUT_MG.most)) return refuse(`Cut between ${CUT_MG.least} and ${CUT_MG.most} mg.`);
  const hand = handError(bench, HAND);
  const g = (mg / 1000) * (1 + hand.error);
  const spentG = collected.spentG + (collected.strip?.g ?? 0);
  return inTube(hand.bench, { strip: { g, at: 'mat' }, spentG, cutG: collected.cutG + g }, 5);
}

export function weighStrip(bench: Bench, on: boolean): Outcome<Bench> {
  const strip = bench.collected?.strip;
  if (!strip) return refuse('No strip is cut yet.');
  if (strip.at === 'tube') return refuse('The strip is in the tube.');
  if ((strip.at === 'pan') === on)
    return refuse(on ? 'The strip is on the balance already.' : 'The strip lies beside the balance already.');
  return inTube(bench, { strip: { ...strip, at: on ? 'pan' : 'mat' } }, 2);
}

function hang(bench: Bench): Outcome<Bench> {
  const { collected, sample } = bench;
  const strip = collected?.strip;
  if (!collected || !strip || sample.metalId === null) return refuse('No strip is cut yet.');
  if (strip.at === 'tube') return refuse('It hangs in the tube already.');
  if (strip.at === 'pan') return refuse('Take the strip off the balance first.');
  const { symbol, hydrogen } = ribbonOf(sample.metalId);
  return inTube(bench, { strip: { ...strip, at: 'tube' }, pendingMol: (hydrogen * strip.g) / gramsPerMol(symbol) }, 3);
}

function lift(bench: Bench, { mm }: { mm: number }): Outcome<Bench> {
  const { collected } = bench;
  if (!collected) return refuse(NONE_HERE);
  if (!isAmount(mm, LIFT_MM.least, LIFT_MM.most))
    return refuse(`Its top can be from ${LIFT_MM.least} to ${LIFT_MM.most} mm over the water.`);
  const hand = handError(bench, HAND_MM);
  const topMm = Math.min(Math.max(mm + hand.error, LIFT_MM.least), LIFT_MM.most);
  return inTube({ ...hand.bench, moves: bench.moves + 1 }, { tube: { ...collected.tube, topMm } }, 2);
}

export function freshOne(bench: Bench): Outcome<Bench> {
  const { collected, sample, seed, fills } = bench;
  if (!collected) return refuse(NONE_HERE);
  const isSpent = collected.strip?.at === 'tube';
  const spentG = collected.spentG + (isSpent ? (collected.strip?.g ?? 0) : 0);
  const kept = { scale: collected.scale, strip: isSpent ? null : collected.strip, spentG, cutG: collected.cutG };
  return done(advance({ ...bench, fills: fills + 1, collected: freshTube(sample, seed, fills + 1, kept) }, 10));
}

const act = actsOn<Bench>();
export const COLLECTED_ACTS = {
  cut: act({ mg: z.number() }, cut, ({ mg }) => `cut a strip of about ${short(mg)} mg`),
  hang: act({}, hang, 'hung the strip into the tube'),
  lift: act({ mm: z.number() }, lift, ({ mm }) => `set the top of the tube to ${short(mm)} mm over the water`),
};
