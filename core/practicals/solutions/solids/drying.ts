import { WATER_G_PER_ML } from '../../../chemistry/contents';
import { lossOf } from '../../../databook/weighed-solids';
import { solidGrams } from '../../../chemistry/weight';
import { airDampG, type Paper } from './paper';
import { thereAtS, type Oven } from './oven';

/**
 * What time does to a paper with a solid on it: water dries off, damp of the air comes and goes, a solid goes over to its other form, a paper
 * scorches, all cools. In closed form, so that it does not matter how time is split. Times in s; all rates are model values.
 */
export interface Around {
  oven: Oven;
  roomC: number;
  /** Times as damp as usual air. */
  humid: number;
}

/** Water that goes in a second, g, while it is wet: in an oven by its temperature, else by where it lies. */
const OVEN_G_PER_S = 0.002;
const OVEN_PER_K = 0.025;
const AIR_G_PER_S: Record<Exclude<Paper['at'], 'oven'>, number> = {
  mat: 3e-5,
  pan: 3e-5,
  funnel: 1e-5,
  desiccator: 1.5e-5,
  away: 0,
};
/** Less water than this goes the slower the less there is, g. */
export const LAST_G = 0.25;
/** Damp goes in an oven, and comes in the air, to a third in so long. */
const DAMP_GOES_S = 240;
const DAMP_COMES_S = 900;
/** Warmth falls to a third in so long: in an oven towards its own. */
const COOLS_S: Record<Paper['at'], number> = { oven: 90, mat: 100, pan: 100, funnel: 60, desiccator: 220, away: 60 };
/** A loss is three quarters of the way to over in so long at the temperature at which it is soon over. */
const TURNS_S = 300;
const TURNS_K = 15;
/** Cellulose goes by a third in an hour at this temperature, and faster by so much for each of these steps. */
const SCORCHES_C = 220;
const SCORCHES_K = 18;
const SCORCHES_FROM_C = 150;
const MOST_SCORCHED = 0.7;

const driesGPerS = (paper: Paper, atC: number): number =>
  paper.at === 'oven' ? OVEN_G_PER_S * Math.exp(OVEN_PER_K * (atC - 105)) : AIR_G_PER_S[paper.at];

/** Water after some seconds at a rate: evenly first, then as there is less and less. */
function waterAfter(waterG: number, perS: number, seconds: number): number {
  if (waterG <= 0 || perS <= 0) return waterG;
  const evenS = Math.max(waterG - LAST_G, 0) / perS;
  if (seconds <= evenS) return waterG - perS * seconds;
  return Math.min(waterG, LAST_G) * Math.exp((-(seconds - evenS) * perS) / LAST_G);
}

/** How fast the solid goes over to its other form, 1/s: none where it has none, or is too cold for it. */
function turnsPerS(paper: Paper, atC: number): number {
  if (paper.at !== 'oven' || paper.held.volumeMl <= 0) return 0;
  const loss = Object.keys(solidGrams(paper.held)).flatMap((id) => lossOf(id) ?? [])[0];
  if (!loss || atC <= loss.fromC) return 0;
  return Math.exp((atC - loss.doneC) / TURNS_K) / TURNS_S;
}

const scorchesPerS = (paper: Paper, atC: number): number =>
  paper.at !== 'oven' || paper.of !== 'cellulose' || atC < SCORCHES_FROM_C
    ? 0
    : Math.exp((atC - SCORCHES_C) / SCORCHES_K) / 3600;

/** A stretch in which nothing about it changes but the time. @param atC what dries it */
function stretch(paper: Paper, seconds: number, atC: number, { oven, roomC, humid }: Around): Paper {
  const perS = driesGPerS(paper, atC);
  const evenS = perS > 0 ? Math.max(paper.waterG - LAST_G, 0) / perS : Infinity;
  // What is wet is no hotter than its water lets it be.
  const drySeconds = Math.max(seconds - evenS, 0);
  const isOven = paper.at === 'oven';
  const towards = isOven ? 0 : airDampG(paper, humid);
  const takesS = paper.at === 'desiccator' ? Infinity : isOven ? DAMP_GOES_S : DAMP_COMES_S;
  const there = isOven ? oven.setC - roomC : 0;
  const near = (from: number, to: number, s: number) => to + (from - to) * Math.exp(-seconds / s);
  const left = (part: number, rate: number) => (1 - part) * Math.exp(-rate * drySeconds);
  return {
    ...paper,
    waterG: waterAfter(paper.waterG, perS, seconds),
    dampG: takesS === Infinity ? paper.dampG : near(paper.dampG, towards, takesS),
    warmerK: near(paper.warmerK, there, COOLS_S[paper.at]),
    turned: 1 - left(paper.turned, turnsPerS(paper, atC)),
    scorched: Math.min(1 - left(paper.scorched, scorchesPerS(paper, atC)), MOST_SCORCHED),
  };
}

/** A paper after so many seconds from a moment on. */
export function driedFor(paper: Paper, fromS: number, seconds: number, around: Around): Paper {
  if (paper.at === 'away' || !(seconds > 0)) return paper;
  if (paper.at !== 'oven') return stretch(paper, seconds, around.roomC, around);
  // While it comes to another temperature, the oven dries as at the lower of the two.
  const { oven } = around;
  const before = Math.min(Math.max(thereAtS(oven) - fromS, 0), seconds);
  const underway = before > 0 ? stretch(paper, before, Math.min(oven.fromC, oven.setC), around) : paper;
  return seconds > before ? stretch(underway, seconds - before, oven.setC, around) : underway;
}

/** What it is wet with goes with what comes on it: as much as has not dried. */
export const wetMl = ({ waterG }: Paper): number => waterG / WATER_G_PER_ML;
