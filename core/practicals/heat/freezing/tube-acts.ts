import type { STIRS, TUBE_PLACES, Tube } from '../bodies';
import type { Outcome } from '../../contract';
import { done, handError, isAmount, refuse } from '../../hands';
import { TAKES_S } from '../act-parts';
import type { Bench } from '../bench';
import { advance } from '../going-on/flow';
import {
  begins,
  drawnUntil,
  filledG,
  freezesNowC,
  freshTube,
  frozenPart,
  settledAt,
  soluteGIn,
  soluteJ,
  tubeJ,
} from './tube';
import { begunAnew } from '../mixing/vessel-acts';
import { freezingOf } from '../../../databook/freezing';

/** What is done with the test tube. */

const NONE = 'There is no test tube at this bench.';
const LEAST_G = 2;
const MOST_G = 40;
/** How closely a spatula or a pipette gives what is wanted, as a part of it. */
const FILLS = 0.03;
/** More than this frozen holds stirrer and thermometer fast, as a part. */
const HOLDS = 0.7;

const withTube = (bench: Bench, change: Partial<Tube>): Bench => ({
  ...bench,
  tube: bench.tube && { ...bench.tube, ...change },
});

export const isHeldFast = (bench: Bench): boolean => bench.tube !== null && frozenPart(bench, bench.tube) > HOLDS;

export function charge(bench: Bench, { g, of = 1 }: { g: number; of?: number | undefined }): Outcome<Bench> {
  const { tube, plan } = bench;
  if (!tube) return refuse(NONE);
  if (of > (plan.tube?.jars.length ?? 0)) return refuse('There is no such jar on the tray.');
  if (tube.at === 'bath' || tube.at === 'cold') return refuse('Take the tube out of the bath first.');
  if (!isAmount(g, LEAST_G, MOST_G)) return refuse(`Put between ${LEAST_G} and ${MOST_G} g into the tube.`);
  if (plan.tube?.isSolution && filledG(tube) > 0) return refuse('There is some in it already. Empty it first.');
  if ((of === 1 ? tube.substanceG : tube.otherG) > 0)
    return refuse('There is some of it in already. Empty the tube first.');
  if (filledG(tube) + g > MOST_G) return refuse(`The tube holds ${MOST_G} g. Put in less.`);
  const hand = handError(bench, FILLS);
  const grams = g * (1 + hand.error);
  const isFirst = filledG(tube) === 0;
  const filled = isFirst ? firstIn(bench, tube, of, grams) : secondIn(bench, tube, of, grams);
  // The glass goes on from where it was: what comes is of the room.
  const goneJ = bench.goneJ + tubeJ(bench, tube) - tubeJ(bench, filled);
  return done(advance({ ...withTube(hand.bench, filled), goneJ, tubeInG: bench.tubeInG + grams }, TAKES_S.tip));
}

const inJar = ({ sample }: Bench, of: number) =>
  freezingOf((of === 1 ? sample.freezingId : sample.otherFreezingId) ?? '');
const withGrams = (tube: Tube, of: number, grams: number): Tube =>
  of === 1 ? { ...tube, substanceG: grams } : { ...tube, otherG: grams };

/** An empty tube with something in it that is as warm as the room: solid or molten. */
function firstIn(bench: Bench, tube: Tube, of: number, grams: number): Tube {
  const { roomC } = bench.sample;
  const isSolid = roomC < inJar(bench, of).freezesC;
  const melts = isSolid ? tube.melts : tube.melts + 1;
  return {
    ...withGrams(tube, of, grams),
    tempC: roomC,
    frozenG: isSolid ? grams : 0,
    frozenMol: 0,
    hasCrystals: isSolid,
    melts,
    hazard: 0,
    until: drawnUntil(bench.seed, melts),
  };
}

/** A second one on top of it, solid: all comes to one temperature, and what melts where the two touch melts. */
function secondIn(bench: Bench, tube: Tube, of: number, grams: number): Tube {
  const { sample } = bench;
  const came = withGrams(tube, of, grams);
  const isSame = sample.otherFreezingId === sample.freezingId;
  const perMol = isSame ? Infinity : freezingOf(sample.otherFreezingId ?? '').molarMassGPerMol;
  // What was frozen of the one that was there alone, and all of the one that comes.
  const frozen: Tube = isSame
    ? { ...came, frozenG: tube.frozenG + grams }
    : of === 1
      ? { ...came, frozenG: grams, frozenMol: tube.frozenG / perMol }
      : { ...came, frozenMol: grams / perMol };
  const { solidJPerGK, liquidJPerGK } = inJar(bench, of);
  const jPerGK = of === 1 || isSame ? solidJPerGK : liquidJPerGK;
  return settledAt(bench, { ...frozen, hasCrystals: true }, jPerGK * grams * (sample.roomC - tube.tempC));
}

export function emptyTube(bench: Bench): Outcome<Bench> {
  const { tube, sample, seed } = bench;
  if (!tube) return refuse(NONE);
  if (filledG(tube) === 0) return refuse('The tube is empty already.');
  if (tube.at === 'bath' || tube.at === 'cold') return refuse('Take the tube out of the bath first.');
  if (frozenPart(bench, tube) > 0) return refuse('It is frozen fast. Melt it first.');
  const next: Tube = {
    ...freshTube(sample.roomC, seed, bench.cups + 1),
    runs: tube.runs,
    meltings: tube.meltings,
    melts: tube.melts,
  };
  const gone = tubeJ(bench, tube) - tubeJ(bench, next);
  const now = begunAnew(bench, bench.cups + 1);
  return done({
    ...now,
    tube: next,
    goneJ: bench.goneJ + gone,
    tubeOutG: bench.tubeOutG + filledG(tube),
    soluteOutG: bench.soluteOutG + soluteGIn(bench, tube),
  });
}

export function tubeTo(bench: Bench, { at }: { at: (typeof TUBE_PLACES)[number] }): Outcome<Bench> {
  const { tube, pan } = bench;
  if (!tube) return refuse(NONE);
  if (tube.at === at) return refuse(at === 'stand' ? 'It hangs on its stand already.' : 'It is in there already.');
  const off = pan.on === 'tube' ? { ...pan, on: null } : pan;
  const note = at !== 'stand' && filledG(tube) === 0 ? 'There is nothing in the tube yet.' : undefined;
  return done(advance({ ...withTube(bench, { at }), pan: off }, TAKES_S.carry), note);
}

export function jacket(bench: Bench, { on }: { on: boolean }): Outcome<Bench> {
  if (!bench.tube) return refuse(NONE);
  if (bench.tube.jacket === on) return refuse(on ? 'The air jacket is around it already.' : 'It has no jacket on.');
  return done(advance(withTube(bench, { jacket: on }), TAKES_S.carry));
}

export function tubeStir(bench: Bench, { how }: { how: (typeof STIRS)[number] }): Outcome<Bench> {
  const { tube } = bench;
  if (!tube) return refuse(NONE);
  if (how !== 'off' && isHeldFast(bench)) return refuse('The stirrer is frozen in. Melt it first.');
  const note = filledG(tube) === 0 && how !== 'off' ? 'There is nothing in it to be stirred yet.' : undefined;
  return done(withTube(bench, { stir: how }), note);
}

/** A crystal of the same substance on the tip of a glass rod. */
export function seed(bench: Bench): Outcome<Bench> {
  const { tube } = bench;
  if (!tube) return refuse(NONE);
  if (filledG(tube) === 0) return refuse('There is nothing in the tube yet.');
  if (tube.hasCrystals) return refuse('There are crystals in it already.');
  if (tube.tempC >= freezesNowC(bench, tube)) return done(advance(bench, 1), 'The crystal melts away: it is too warm.');
  const next = { ...tube };
  begins(bench, next, bench.timeS);
  return done(advance({ ...bench, tube: next }, 1));
}

/** What is in the weighing boat, into the tube. */
export function tippedIn(bench: Bench, grams: number): Bench {
  const { tube, sample } = bench;
  if (!tube) return bench;
  const before = tubeJ(bench, tube) + soluteJ(grams, sample.roomC);
  const next = { ...tube, lyingG: tube.lyingG + grams };
  // As warm as all together; what is frozen stays so until it dissolves.
  const apart = tubeJ({ sample }, { ...next, tempC: 0 });
  const jPerK = tubeJ({ sample }, { ...next, tempC: 1 }) - apart;
  return {
    ...bench,
    goneJ: bench.goneJ - soluteJ(grams, sample.roomC),
    tube: { ...next, tempC: (before - apart) / jPerK },
  };
}

/** Melt that clings to a thermometer that is taken out, g. */
const CLINGS_G = 0.06;

/** Some of what is molten goes with a thermometer. */
export function clungTo(bench: Bench): Bench {
  const { tube } = bench;
  if (!tube || filledG(tube) === 0) return bench;
  const moltenG = filledG(tube) * (1 - frozenPart(bench, tube));
  const part = Math.min(CLINGS_G, moltenG / 2) / filledG(tube);
  if (part <= 0) return bench;
  const left: Tube = {
    ...tube,
    substanceG: tube.substanceG * (1 - part),
    otherG: tube.otherG * (1 - part),
    soluteMol: tube.soluteMol * (1 - part),
  };
  return {
    ...bench,
    tube: left,
    goneJ: bench.goneJ + tubeJ(bench, tube) - tubeJ(bench, left),
    tubeOutG: bench.tubeOutG + part * filledG(tube),
    soluteOutG: bench.soluteOutG + soluteGIn(bench, tube) - soluteGIn(bench, left),
  };
}
