import { fixed } from '../../../analysis/quantity';
import { mixed, WATER_G_PER_ML, type Contents } from '../../../chemistry/contents';
import { gramsPerMol } from '../../../chemistry/molar-mass';
import { carbonateOf, protonsTaken, type Carbonate } from '../../../databook/weighed-solids';
import type { Outcome } from '../../contract';
import { done, handError, isAmount, refuse } from '../../hands';
import type { VESSEL_PLACES } from '../bench';
import { asItIs, isOwn, nameOf, vesselAt, withVessel, type Bench, type Vessel } from '../bench';
import { advance } from '../flow';
import { J_PER_ML_K, NONE } from '../liquid-acts';
import { CO2_G_PER_MOL } from './left-behind';
import { fizzNow, vapourWith } from './fizz';
import { commonTrial } from './solid-trials';
import { trialFor } from '../trials';
import { onPan } from './weighing';

/** A solid out of its jar into the boat, and out of the boat into a vessel; where vessels and boat are put. */

const BOAT_G = { least: 0.05, most: 6 } as const;
/** What a spatula is off by, as a part, and what stays in the boat. */
const SPATULA = 0.04;
const STAYS = 0.004;

const NO_JAR = 'There is no jar with a solid at this bench.';

export function scoop(bench: Bench, { g }: { g: number }): Outcome<Bench> {
  if (!bench.sample.jar) return refuse(NO_JAR);
  const { least, most } = BOAT_G;
  if (!isAmount(g, least, most)) return refuse(`The spatula and the boat take ${least} to ${most} g at a time.`);
  const { boat } = bench;
  if (!boat.isTipped && boat.solidG + g > most) return refuse(`The boat holds ${most} g. Tip it into a vessel first.`);
  const { error, bench: drawn } = handError(bench, SPATULA * g);
  const solidG = boat.solidG + Math.max(g + error, 0.01);
  const next = { ...boat, solidG, ...(boat.isTipped && { isTipped: false, trial: null }) };
  return done(advance({ ...drawn, boat: next }, 15));
}

/** Protons of acid that nothing has taken yet, mol: each carbonate that is dissolved keeps two. */
const acidLeft = ({ amounts }: Contents): number => (amounts.H ?? 0) - 2 * (amounts.CO3 ?? 0);

/** A solid tipped in: as much as the acid uses up first, whose gas leaves and does not come back, and then the rest of it. */
function tippedIn(contents: Contents, carbonate: Carbonate, mol: number) {
  const first = Math.min(Math.max(acidLeft(contents) / protonsTaken(carbonate), 0), mol);
  let now = contents;
  let [gasMol, heatJ] = [0, 0];
  for (const part of [first, mol - first]) {
    const amounts = Object.fromEntries(Object.entries(carbonate.of).map(([id, n]) => [id, n * part]));
    const next = mixed(now, { volumeMl: 0, amounts });
    gasMol += next.gasMol;
    heatJ += next.heatJ;
    now = next.contents;
  }
  return { contents: now, gasMol, heatJ };
}

export function tip(bench: Bench, { to }: { to: number }): Outcome<Bench> {
  const { jar } = bench.sample;
  if (!jar) return refuse(NO_JAR);
  const vessel = vesselAt(bench, to);
  if (!vessel) return refuse(NONE);
  if (!isOwn(vessel) || vessel.type === 'well') return refuse('Tip it into a vessel of your own.');
  if (bench.boat.isTipped || bench.boat.solidG <= 0) return refuse('The boat is empty: put something into it first.');
  if (vessel.contents.volumeMl < 1)
    return refuse('There is nothing in it that the solid could react with. Pour the acid in first.');
  const carbonate = carbonateOf(jar);
  const staysG = STAYS * bench.boat.solidG;
  const mol = (bench.boat.solidG - staysG) / gramsPerMol(carbonate.formula);
  const { contents, gasMol, heatJ } = tippedIn(vessel.contents, carbonate, mol);
  const now = asItIs(bench, vessel);
  const vapourMol = gasMol * vapourWith(bench.sample.roomC);
  const vapourG = vapourMol * gramsPerMol('H2O');
  const before = vessel.tipped ?? { mol: 0, goneMol: 0, vapourG: 0 };
  const own = commonTrial(bench, to, bench.boat.trial);
  const after = withVessel(bench, to, {
    ...now,
    contents: { ...contents, volumeMl: contents.volumeMl - vapourG / WATER_G_PER_ML },
    warmerK: now.warmerK + heatJ / J_PER_ML_K / contents.volumeMl,
    mixedAtS: bench.timeS,
    bubbledMolPerL: gasMol / (contents.volumeMl / 1000),
    trial: own,
    tipped: {
      mol: before.mol + mol,
      fizzG: fizzNow(bench, vessel) + gasMol * CO2_G_PER_MOL,
      sinceS: bench.timeS,
      fizzesS: carbonate.fizzesS,
      goneMol: before.goneMol + gasMol,
      vapourG: before.vapourG + vapourG,
    },
  });
  const note =
    bench.boat.trial !== null && own !== bench.boat.trial
      ? `The boat was weighed for trial ${bench.boat.trial}, and ${nameOf(bench, to)} is trial ${own ?? trialFor(bench, to)}: move its mass there in the notebook.`
      : undefined;
  return done(
    advance(
      {
        ...after,
        boat: { ...bench.boat, solidG: staysG, isTipped: true, trial: own ?? bench.boat.trial },
        goneMol: bench.goneMol + gasMol,
        tippedIn: bench.tippedIn + mol,
      },
      5,
    ),
    note,
  );
}

const MOST_ON_PLATE = 3;
const WHERE = { pan: 'on the balance', plate: 'on the hot plate', funnel: 'under the funnel' } as const;

/** Number of the vessel under the funnel; 0 where none is. */
export const under = ({ vessels }: Pick<Bench, 'vessels'>): number =>
  vessels.findIndex(({ at }) => at === 'funnel') + 1;

/** How long it has stood on the hot plate in all, s. */
const hotS = ({ timeS }: Bench, { at, hotS: before, warmAtS }: Vessel): number =>
  before + (at === 'plate' ? timeS - warmAtS : 0);

export function placeVessel(
  bench: Bench,
  { vessel: number, at }: { vessel: number; at: (typeof VESSEL_PLACES)[number] },
): Outcome<Bench> {
  const vessel = vesselAt(bench, number);
  if (!vessel) return refuse(NONE);
  if (at !== 'bench' && vessel.type !== 'beaker') return refuse(`Only a beaker stands ${WHERE[at]}.`);
  if (vessel.at === at) return refuse('It is there already.');
  if (at === 'pan' && !bench.balance) return refuse('There is no balance at this bench.');
  if (at === 'plate' && !bench.plan.hotPlate) return refuse('There is no hot plate at this bench.');
  if (at === 'pan' && onPan(bench)) return refuse('Something is on the balance. Take it off first.');
  if (at === 'funnel' && bench.plan.papers.length === 0) return refuse('There is no funnel at this bench.');
  if (at === 'funnel' && under(bench) > 0) return refuse('A beaker stands under the funnel. Take it away first.');
  if (at === 'plate' && bench.vessels.filter((one: Vessel) => one.at === 'plate').length >= MOST_ON_PLATE)
    return refuse(`There is room for ${MOST_ON_PLATE} beakers on the hot plate.`);
  return done(advance(withVessel(bench, number, { ...asItIs(bench, vessel), at, hotS: hotS(bench, vessel) }), 4));
}

export function placeBoat(bench: Bench, { at }: { at: 'bench' | 'pan' }): Outcome<Bench> {
  if (!bench.sample.jar) return refuse(NO_JAR);
  if (bench.boat.at === at) return refuse('It is there already.');
  if (at === 'pan' && onPan(bench)) return refuse('Something is on the balance. Take it off first.');
  return done(advance({ ...bench, boat: { ...bench.boat, at } }, 4));
}

/** What a boat holds, as an eye tells it. */
export const seenInBoat = ({ boat }: Bench): string =>
  boat.solidG < 0.02 ? 'empty' : `about ${fixed(boat.solidG, 1)} g`;
