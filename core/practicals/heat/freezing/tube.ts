import { aloneOf, dissolvingOf, freezingOf, type Freezing } from '../../../databook/freezing';
import { eutecticOf, nucleatesPerS, soluteFreezesC, type Solute } from '../../../physics/freezing';
import { meltFreezesC, meltJ, meltJPerK, NO_CRYSTALS, settled, type Crystals, type Melt } from '../../../physics/melt';
import { chance } from '../../../random';
import type { Bench } from '../bench';
import type { Loose } from '../going-on/going';
import type { Melted, Tube } from '../bodies';

/** A test tube in which a substance is melted and frozen, any number of times, pure or with something dissolved in it. */

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
  otherG: 0,
  lyingG: 0,
  soluteMol: 0,
  frozenG: 0,
  frozenMol: 0,
  tempC: roomC,
  hasCrystals: false,
  hazard: 0,
  until: drawnUntil(seed, 0),
  melts: 0,
  runs: [],
  meltings: [],
});

const soluteMolarMass = ({ sample }: Pick<Bench, 'sample'>): number =>
  sample.dissolvingId ? dissolvingOf(sample.dissolvingId).molarMassGPerMol : 1;

/** Grams of solute in a tube, dissolved or not. */
export const soluteGIn = (bench: Pick<Bench, 'sample'>, { lyingG, soluteMol }: Tube): number =>
  lyingG + soluteMol * soluteMolarMass(bench);

/** What is melted in a tube, beside a solute that was weighed into it, g. */
export const filledG = ({ substanceG, otherG }: Pick<Tube, 'substanceG' | 'otherG'>): number => substanceG + otherG;

const asSolute = (one: Freezing): Solute => ({
  id: `${one.id}, melted`,
  splitsInto: 1,
  pairsKgPerMol: null,
  alone: aloneOf(one),
});

/** What is in a tube, as far as its heat goes: of two that are melted together the second counts as what is dissolved. */
export function meltIn({ sample }: Pick<Bench, 'sample'>, tube: Tube): Melt {
  const { substanceG, otherG, soluteMol } = tube;
  const restJPerK = GLASS_J_PER_K + SOLUTE_J_PER_G_K * soluteGIn({ sample }, tube);
  const first = freezingOf(sample.freezingId ?? '');
  const other = otherG > 0 && sample.otherFreezingId ? freezingOf(sample.otherFreezingId) : first;
  if (substanceG > 0 && other !== first)
    return {
      solvent: first,
      solute: asSolute(other),
      solventG: substanceG,
      soluteMol: otherG / other.molarMassGPerMol,
      restJPerK: restJPerK + otherG * other.liquidJPerGK,
    };
  const solute = sample.dissolvingId ? dissolvingOf(sample.dissolvingId) : null;
  return { solvent: other, solute, solventG: filledG(tube), soluteMol, restJPerK };
}

const crystalsIn = ({ frozenG, frozenMol }: Tube): Crystals => ({ solventG: frozenG, soluteMol: frozenMol });

export const tubeJPerK = (bench: Pick<Bench, 'sample'>, tube: Tube): number =>
  filledG(tube) > 0 ? meltJPerK(meltIn(bench, tube), tube.frozenG) : GLASS_J_PER_K;

export const tubeJ = (bench: Pick<Bench, 'sample'>, tube: Tube): number =>
  filledG(tube) > 0 ? meltJ(meltIn(bench, tube), tube.tempC, crystalsIn(tube)) : GLASS_J_PER_K * tube.tempC;

/** What part of all that is in it is frozen, beside a solute that was weighed in. */
export function frozenPart({ sample }: Pick<Bench, 'sample'>, tube: Tube): number {
  const all = filledG(tube);
  if (all === 0) return 0;
  const isTwo = tube.substanceG > 0 && tube.otherG > 0 && sample.otherFreezingId !== sample.freezingId;
  const otherG =
    isTwo && sample.otherFreezingId ? tube.frozenMol * freezingOf(sample.otherFreezingId).molarMassGPerMol : 0;
  return (tube.frozenG + otherG) / all;
}

/** Heat that a gram of solute of the room brings along, J. */
export const soluteJ = (grams: number, tempC: number): number => SOLUTE_J_PER_G_K * grams * tempC;

/** Where it would freeze as it is, °C. */
export const freezesNowC = (bench: Pick<Bench, 'sample'>, tube: Tube): number =>
  meltFreezesC(meltIn(bench, tube), crystalsIn(tube));

/** How fast a solute dissolves, 1/s. */
const DISSOLVES = { off: 1 / 240, hand: 1 / 35, motor: 1 / 25 };
/** Less than so much of it is seen no more, g. */
const LAST_G = 1e-4;

/** Whether it holds no more of the solute: so warm, or as much as the eutectic has. */
function isSaturated(bench: Pick<Bench, 'sample'>, tube: Tube): boolean {
  const { solvent, solute, solventG, soluteMol } = meltIn(bench, tube);
  if (!solute || soluteMol <= 0) return false;
  const molality = (1000 * soluteMol) / (solventG - tube.frozenG);
  return 'eutecticC' in solute.alone
    ? molality >= eutecticOf(solvent, solute).molality
    : soluteFreezesC(solvent, solute, molality) >= tube.tempC;
}

function dissolves(bench: Pick<Bench, 'sample'>, tube: Loose<Tube>, stepS: number): void {
  if (tube.lyingG <= 0 || tube.frozenG >= filledG(tube) / 2 || isSaturated(bench, tube)) return;
  const grams = tube.lyingG < LAST_G ? tube.lyingG : tube.lyingG * -Math.expm1(-DISSOLVES[tube.stir] * stepS);
  const before = tubeJ(bench, tube);
  tube.lyingG = grams === tube.lyingG ? 0 : tube.lyingG - grams;
  tube.soluteMol += grams / soluteMolarMass(bench);
  // It dissolves without heat of its own.
  settles(meltIn(bench, tube), tube, before);
}

/** The temperature and what is frozen, of so much heat. */
function settles(melt: Melt, tube: Loose<Tube>, joules: number): void {
  if (tube.hasCrystals) {
    const { tempC, frozen } = settled(melt, joules, crystalsIn(tube));
    tube.tempC = tempC;
    tube.frozenG = frozen.solventG;
    tube.frozenMol = frozen.soluteMol;
  } else {
    tube.tempC = (joules - meltJ(melt, 0, NO_CRYSTALS)) / meltJPerK(melt, 0);
    tube.frozenG = 0;
    tube.frozenMol = 0;
  }
}

/** A tube with crystals in it, with so much more heat than it has. */
export function settledAt(bench: Around, tube: Tube, moreJ: number): Tube {
  const now = { ...tube };
  settles(meltIn(bench, tube), now, tubeJ(bench, tube) + moreJ);
  if (now.frozenG > 0 || now.frozenMol > 0) return now;
  return { ...now, melts: now.melts + 1, hasCrystals: false, hazard: 0, until: drawnUntil(bench.seed, now.melts + 1) };
}

/** A step of what goes on in a tube by itself, once its heat has come and gone. */
export function freezes(bench: Around, tube: Loose<Tube>, stepS: number, timeS: number): void {
  if (filledG(tube) <= 0) return;
  dissolves(bench, tube, stepS);
  if (!tube.hasCrystals) {
    const belowK = freezesNowC(bench, tube) - tube.tempC;
    tube.hazard += nucleatesPerS(belowK, tube.stir !== 'off') * stepS;
    if (tube.hazard < tube.until) return;
    begins(bench, tube, timeS);
  }
  const melt = meltIn(bench, tube);
  settles(melt, tube, meltJ(melt, tube.tempC, crystalsIn(tube)));
  if (tube.frozenG > 0 || tube.frozenMol > 0) return;
  molten(bench, tube, timeS);
}

type Around = Pick<Bench, 'sample' | 'seed' | 'cups' | 'thermometers'>;

/** What there is in a tube, and which thermometer stands in it. */
function moment({ sample, cups, thermometers }: Around, tube: Tube, atS: number): Melted {
  const { melts, substanceG, otherG } = tube;
  const by = thermometers.findIndex(({ at }) => at === 'tube');
  const soluteG = soluteGIn({ sample }, tube);
  return { melts, cup: cups, atS, solventG: substanceG, otherG, soluteG, by: by < 0 ? null : by };
}

/** The first crystals. */
export function begins(bench: Around, tube: Loose<Tube>, atS: number): void {
  tube.hasCrystals = true;
  const { soluteMol, lyingG } = tube;
  tube.runs = [...tube.runs, { ...moment(bench, tube, atS), soluteMol, lyingG }];
}

/** The last crystal has gone. */
function molten(bench: Around, tube: Loose<Tube>, atS: number): void {
  tube.meltings = [...tube.meltings, moment(bench, tube, atS)];
  tube.melts += 1;
  tube.hasCrystals = false;
  tube.hazard = 0;
  tube.until = drawnUntil(bench.seed, tube.melts);
}
