import { fixed } from '../../analysis/quantity';
import { NOTHING, together } from '../../chemistry/contents';
import { absorbanceOf } from '../../chemistry/ion-colour';
import { chance } from '../../random';
import type { Outcome } from '../contract';
import { done, isAmount, refuse } from '../hands';
import { isOwn, vesselAt, withVessel, type Bench } from './bench';
import { advance, afloat, drawn } from './flow';
import { solidsIn } from './look';
import { trialOf } from './trials';

/** A colorimeter: a cuvette of one centimetre, a wavelength that is typed, a zero that is set with whatever is in the cuvette. */

const CUVETTE_ML = 3;
const CUVETTE_CM = 1;
const SPECTRUM_NM = { least: 380, most: 750 } as const;
/** What a gram of solid afloat in a litre scatters, as absorbance. Model value. */
const SCATTERS = 0.6;
/** Air in place of water, as absorbance. Model value. */
const AIR = 0.05;
/** More than this it cannot tell. */
const MOST = 2.5;
const NOISE = 0.0015;

export const TOO_DARK = 'too dark';
const NONE = 'There is no colorimeter at this bench.';

/** What the cell absorbs in all, before the zero is taken off. */
function wholeAbsorbance({ colorimeter }: Bench): number {
  const { contents, cloudGPerL, nm, own } = colorimeter;
  const towardsRed = (nm - SPECTRUM_NM.least) / (SPECTRUM_NM.most - SPECTRUM_NM.least);
  const itself = own[0] + (own[1] - own[0]) * towardsRed;
  if (contents.volumeMl <= 0) return itself + AIR;
  return itself + absorbanceOf(contents, nm, CUVETTE_CM) + SCATTERS * cloudGPerL;
}

/** What it shows, finer than it tells. */
export const absorbanceShown = (bench: Bench): number => wholeAbsorbance(bench) - bench.colorimeter.zero;

/** Its display: a word where too little light comes through. */
export function displayedAbsorbance(bench: Bench): string {
  if (wholeAbsorbance(bench) > MOST) return TOO_DARK;
  const look = `absorbance ${Math.floor(bench.timeS)} ${bench.colorimeter.nm}`;
  const noise = bench.off.includes('wavering')
    ? 0
    : NOISE * Math.max(-3, Math.min(3, chance(bench.seed, look).normal()));
  return fixed(absorbanceShown(bench) + noise, 3);
}

export function fillCuvette(bench: Bench, { vessel: number }: { vessel: number }): Outcome<Bench> {
  if (!bench.plan.colorimeter) return refuse(NONE);
  const vessel = vesselAt(bench, number);
  if (!vessel) return refuse('There is no such vessel on the bench.');
  if (vessel.type === 'well') return refuse('A well holds too little for the cuvette.');
  if (vessel.contents.volumeMl < CUVETTE_ML) return refuse(`The cuvette takes ${CUVETTE_ML} mL: there is less in it.`);
  const solid = solidsIn(vessel.contents).reduce((sum, { gPerL }) => sum + gPerL, 0) * afloat(bench, vessel);
  const { taken, left } = drawn(bench, vessel, CUVETTE_ML);
  const went = taken.volumeMl / vessel.contents.volumeMl;
  // A mixture is a trial from now on; what a bottle holds is none.
  const { trial, bench: named } = isOwn(vessel) ? trialOf(bench, number) : { trial: null, bench };
  const given = withVessel(named, number, { contents: left, brought: vessel.brought.map((mol) => mol * (1 - went)) });
  const { colorimeter } = bench;
  const filled = { ...colorimeter, contents: taken, cloudGPerL: solid, vessel: number, trial };
  return done(advance({ ...given, waste: together(bench.waste, colorimeter.contents), colorimeter: filled }, 15));
}

export function emptyCuvette(bench: Bench): Outcome<Bench> {
  if (!bench.plan.colorimeter) return refuse(NONE);
  const { colorimeter, waste } = bench;
  if (colorimeter.vessel === null) return refuse('The cuvette is empty.');
  const cleared = { ...colorimeter, contents: NOTHING, cloudGPerL: 0, vessel: null, trial: null };
  return done({ ...bench, waste: together(waste, colorimeter.contents), colorimeter: cleared });
}

export function wavelength(bench: Bench, { nm }: { nm: number }): Outcome<Bench> {
  if (!bench.plan.colorimeter) return refuse(NONE);
  const { least, most } = SPECTRUM_NM;
  if (!isAmount(nm, least, most)) return refuse(`It goes from ${least} to ${most} nm.`);
  return done({ ...bench, colorimeter: { ...bench.colorimeter, nm: Math.round(nm) } });
}

/** Takes what it shows off whatever comes after. */
export function blank(bench: Bench): Outcome<Bench> {
  if (!bench.plan.colorimeter) return refuse(NONE);
  if (wholeAbsorbance(bench) > MOST) return refuse('Too little light comes through for a zero to be set.');
  const { colorimeter } = bench;
  const note =
    colorimeter.vessel === null
      ? 'The zero is that of an empty cuvette: water lets more light through than air in it.'
      : undefined;
  return done({ ...bench, colorimeter: { ...colorimeter, zero: wholeAbsorbance(bench) } }, note);
}
