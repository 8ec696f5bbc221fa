import { z } from 'zod';
import { short } from '../../analysis/quantity';
import { kelvin, KELVIN_AT_ZERO, pressureIn } from '../../physics/gas-law';
import { actsOn } from '../act-table';
import type { Outcome } from '../contract';
import { done, handError, isAmount, refuse } from '../hands';
import type { Bench } from './bench';
import { asOpen, barrelParts } from './enclosed';
import { advance } from './flow';
import { turned } from './free';
import { SYRINGE_ML } from './pieces';
import { JOINTS, PLACES } from './plan';

type Joint = (typeof JOINTS)[number];

/** What is done with what holds the gas. */

/** How exactly a hand sets a plunger, mL; how long it takes, s. */
const HAND_ML = 0.35;
const TAKES_S = 2;
/** At so much over the room's pressure the tube jumps off: pushed on lightly, and pushed home, kPa. */
const JUMPS_KPA = { loose: 90, home: 190 } as const;
/** Less than this is no room for a gas, mL. */
const LEAST_ML = 1;
/** Heat capacities of air at constant pressure and at constant volume, as their ratio. Source: CRC Handbook, 97th ed., section 6. */
const AIR_HEAT_RATIO = 1.4;
const HOTTEST_K = 900;

const NO_JOINT = 'There is no tube to be taken off here: what holds the gas is closed.';
const OPENED = 'The gas is open to the room now. Closed again, it is another amount, and a new row of points.';
const JUMPED = `The tube has jumped off with a bang. Push it on again, home, and do not press so far. ${OPENED}`;

function joint(bench: Bench, { to }: { to: Joint }): Outcome<Bench> {
  if (bench.plan.gear !== 'syringe' && bench.plan.gear !== 'bulb') return refuse(NO_JOINT);
  if (bench.joint === to)
    return refuse(
      { off: 'The tube is off already.', loose: 'It sits lightly already.', home: 'It is pushed home already.' }[to],
    );
  if (to === 'loose' && bench.joint === 'home') return refuse('It sits firmly. Pull it off first.');
  const moves = bench.moves + 1;
  if (to === 'off') {
    const isFilled = bench.readings.some(({ about, struck }) => struck === null && about.fill === bench.fills);
    return done(advance(asOpen({ ...bench, joint: to, moves }), TAKES_S), isFilled ? OPENED : undefined);
  }
  const fills = bench.joint === 'off' ? bench.fills + 1 : bench.fills;
  return done(advance({ ...bench, joint: to, fills, moves }, TAKES_S));
}

function plunger(bench: Bench, { ml }: { ml: number }): Outcome<Bench> {
  if (bench.plan.gear !== 'syringe') return refuse('No plunger is moved by hand here: gas and room push it.');
  if (!isAmount(ml, LEAST_ML, SYRINGE_ML))
    return refuse(`The plunger can be set from ${LEAST_ML} to ${SYRINGE_ML} mL.`);
  const hand = handError(bench, HAND_ML);
  // By its own scale, which ends where the barrel does.
  const to = Math.min(Math.max(ml + hand.error, LEAST_ML), SYRINGE_ML) * (1 + bench.scale);
  const moved = { ...hand.bench, plungerMl: to, moves: bench.moves + 1 };
  if (bench.joint === 'off') return done(advance(asOpen(moved), TAKES_S));
  const inner = bench.sample.innerMl;
  // Pressed together at once it warms, drawn out it cools, as a gas that gives no heat away: T V^(γ−1) stays.
  const ratio = ((bench.plungerMl + inner) / (to + inner)) ** (AIR_HEAT_RATIO - 1);
  const warmK = Math.min(kelvin(bench.gasC) * ratio, HOTTEST_K);
  const gasC = bench.off.includes('lag') ? bench.gasC : warmK - KELVIN_AT_ZERO;
  const pressed = { ...moved, gasC };
  // By the pressure that stays when it has cooled: that holds the joint.
  const stays = pressureIn(pressed.gasMol, barrelParts({ ...pressed, gasC: bench.sample.roomC }));
  if (stays - bench.sample.roomKPa > JUMPS_KPA[bench.joint])
    return done(advance(asOpen({ ...pressed, joint: 'off', gasC: bench.sample.roomC }), TAKES_S), JUMPED);
  return done(advance(pressed, TAKES_S));
}

const TO = { air: 'hangs in the air', bath: 'is in the bath', jar: 'is in the jar' } as const;

function put(bench: Bench, { at }: { at: (typeof PLACES)[number] }): Outcome<Bench> {
  if (bench.plan.gear !== 'bulb') return refuse('There is no bulb at this bench.');
  if (bench.at === at) return refuse(`The bulb ${TO[at]} already.`);
  return done(advance({ ...bench, at, moves: bench.moves + 1 }, TAKES_S));
}

function turn(bench: Bench, { n }: { n: number }): Outcome<Bench> {
  const free = bench.free[n - 1];
  if (!free) return refuse('There is no such syringe in the bath.');
  const now = turned(free, bench.sample.roomKPa, bench.off);
  const all = bench.free.map((one, i) => (i === n - 1 ? now : one));
  return done(advance({ ...bench, free: all, moves: bench.moves + 1 }, 1));
}

const JOINED: Record<Joint, string> = {
  off: 'pulled the tube off',
  loose: 'pushed the tube on lightly',
  home: 'pushed the tube home',
};
const PUT = { air: 'out into the air', bath: 'into the bath', jar: 'into the cold jar' } as const;

const act = actsOn<Bench>();
export const GAS_ACTS = {
  joint: act({ to: z.enum(JOINTS) }, joint, ({ to }) => JOINED[to]),
  plunger: act({ ml: z.number() }, plunger, ({ ml }) => `set the plunger to ${short(ml)} mL`),
  put: act({ at: z.enum(PLACES) }, put, ({ at }) => `put the bulb ${PUT[at]}`),
  turn: act({ n: z.number().int().min(1).max(4) }, turn, ({ n }) => `turned the plunger of syringe ${n}`),
};
