import { dissolvingOf, freezingOf } from '../../databook/freezing';
import { meltFreezesC, meltJ, meltJPerK, nucleatesPerS, settled, type Melt } from '../../physics/freezing';
import { chance } from '../../random';
import type { Bench, Stir } from './bench';
import type { Loose } from './going';

/** A test tube in which a substance is melted and frozen, any number of times, pure or with something dissolved in it. */

export const TUBE_PLACES = ['stand', 'bath', 'cold'] as const;

/** A melt that froze, at the moment at which its first crystals came: what there was then. */
export interface Frozen {
  /** Which melting it was, from 1: lines of the log are of the same number. */
  melts: number;
  /** Which tube of the run it was in: what was weighed belongs to one. */
  cup: number;
  /** By the bench clock, s. */
  atS: number;
  solventG: number;
  soluteMol: number;
  lyingG: number;
  /** Solute that was ever put in, g. */
  soluteG: number;
}

export interface Tube {
  at: (typeof TUBE_PLACES)[number] | 'pan';
  jacket: boolean;
  stir: Stir;
  massG: number;
  substanceG: number;
  /** Solute that lies there undissolved, g, and that is dissolved, mol. */
  lyingG: number;
  soluteMol: number;
  frozenG: number;
  tempC: number;
  /** Whether there are crystals in it: without them it cools below where it freezes. */
  hasCrystals: boolean;
  /** How much chance of crystals has gone by, and how much of it there has to be. */
  hazard: number;
  until: number;
  /** How often it was molten whole. */
  melts: number;
  runs: readonly Frozen[];
}

/** Of the glass and the stirrer, J/K; of a gram of a solute, J/K. */
const GLASS_J_PER_K = 13;
const SOLUTE_J_PER_G_K = 1.4;

/** How much of chance it takes until crystals come of themselves: an exponential number, its mean 1. */
export const drawnUntil = (seed: string, melts: number): number =>
  -Math.log(1 - Math.min(chance(seed, `crystals ${melts}`).uniform(), 0.999));

export const freshTube = (roomC: number, seed: string, number: number): Tube => ({
  at: 'stand',
  jacket: false,
  stir: 'off',
  massG: 24 + 3 * chance(seed, `tube ${number}`).uniform(),
  substanceG: 0,
  lyingG: 0,
  soluteMol: 0,
  frozenG: 0,
  tempC: roomC,
  hasCrystals: false,
  hazard: 0,
  until: drawnUntil(seed, 0),
  melts: 0,
  runs: [],
});

const soluteMolarMass = ({ sample }: Pick<Bench, 'sample'>): number =>
  sample.dissolvingId ? dissolvingOf(sample.dissolvingId).molarMassGPerMol : 1;

/** Grams of solute in a tube, dissolved or not. */
export const soluteGIn = (bench: Pick<Bench, 'sample'>, { lyingG, soluteMol }: Tube): number =>
  lyingG + soluteMol * soluteMolarMass(bench);

/** What is in a tube, as far as its heat goes. */
export function meltIn(bench: Pick<Bench, 'sample'>, tube: Tube): Melt {
  const { sample } = bench;
  return {
    solvent: freezingOf(sample.freezingId ?? ''),
    solute: sample.dissolvingId ? dissolvingOf(sample.dissolvingId) : null,
    solventG: tube.substanceG,
    soluteMol: tube.soluteMol,
    restJPerK: GLASS_J_PER_K + SOLUTE_J_PER_G_K * soluteGIn(bench, tube),
  };
}

export const tubeJPerK = (bench: Pick<Bench, 'sample'>, tube: Tube): number =>
  tube.substanceG > 0 ? meltJPerK(meltIn(bench, tube), tube.frozenG) : GLASS_J_PER_K;

export const tubeJ = (bench: Pick<Bench, 'sample'>, tube: Tube): number =>
  tube.substanceG > 0 ? meltJ(meltIn(bench, tube), tube.tempC, tube.frozenG) : GLASS_J_PER_K * tube.tempC;

/** Heat that a gram of solute of the room brings along, J. */
export const soluteJ = (grams: number, tempC: number): number => SOLUTE_J_PER_G_K * grams * tempC;

/** Where it would freeze as it is, °C. */
export const freezesNowC = (bench: Pick<Bench, 'sample'>, tube: Tube): number =>
  meltFreezesC(meltIn(bench, tube), tube.frozenG);

/** How fast a solute dissolves, 1/s. */
const DISSOLVES = { off: 1 / 240, hand: 1 / 35, motor: 1 / 25 };
/** Less than so much of it is seen no more, g. */
const LAST_G = 1e-4;

function dissolves(bench: Pick<Bench, 'sample'>, tube: Loose<Tube>, stepS: number): void {
  if (tube.lyingG <= 0 || tube.frozenG >= tube.substanceG / 2) return;
  const grams = tube.lyingG < LAST_G ? tube.lyingG : tube.lyingG * -Math.expm1(-DISSOLVES[tube.stir] * stepS);
  const before = tubeJ(bench, tube);
  tube.lyingG = grams === tube.lyingG ? 0 : tube.lyingG - grams;
  tube.soluteMol += grams / soluteMolarMass(bench);
  // It dissolves without heat of its own.
  settles(bench, tube, before);
}

/** The temperature and what is frozen, of so much heat. */
function settles(bench: Pick<Bench, 'sample'>, tube: Loose<Tube>, joules: number): void {
  const melt = meltIn(bench, tube);
  if (tube.hasCrystals) {
    const { tempC, frozenG } = settled(melt, joules, tube.frozenG);
    tube.tempC = tempC;
    tube.frozenG = frozenG;
  } else {
    tube.tempC = (joules - meltJ(melt, 0, 0)) / meltJPerK(melt, 0);
    tube.frozenG = 0;
  }
}

/** A step of what goes on in a tube by itself, once its heat has come and gone. */
export function freezes(
  bench: Pick<Bench, 'sample' | 'seed' | 'cups'>,
  tube: Loose<Tube>,
  stepS: number,
  timeS: number,
): void {
  if (tube.substanceG <= 0) return;
  dissolves(bench, tube, stepS);
  if (!tube.hasCrystals) {
    const belowK = freezesNowC(bench, tube) - tube.tempC;
    tube.hazard += nucleatesPerS(belowK, tube.stir !== 'off') * stepS;
    if (tube.hazard < tube.until) return;
    begins(bench, tube, timeS);
  }
  settles(bench, tube, tubeJ(bench, tube));
  if (tube.frozenG > 0) return;
  molten(bench, tube);
}

/** The first crystals. */
export function begins(bench: Pick<Bench, 'sample' | 'cups'>, tube: Loose<Tube>, atS: number): void {
  tube.hasCrystals = true;
  const { melts, substanceG, soluteMol, lyingG } = tube;
  tube.runs = [
    ...tube.runs,
    { melts, cup: bench.cups, atS, solventG: substanceG, soluteMol, lyingG, soluteG: soluteGIn(bench, tube) },
  ];
}

/** The last crystal has gone. */
export function molten({ seed }: Pick<Bench, 'seed'>, tube: Loose<Tube>): void {
  tube.melts += 1;
  tube.hasCrystals = false;
  tube.hazard = 0;
  tube.until = drawnUntil(seed, tube.melts);
}
