import { mixed, solutionFrom, type Contents } from '../../../chemistry/contents';
import { solidGrams } from '../../../chemistry/weight';
import { absorbanceOf } from '../../../chemistry/ion-colour';
import { reactionOf, type BenchReaction } from '../../../databook/bench-reactions';
import { J_PER_ML_K } from '../liquid-acts';

/** Which reactions a setup can give out: those that its tray can tell, beside enough solutions that do nothing. */

interface Chosen {
  reactions: readonly string[];
  bottles: string;
  tools: readonly string[];
}

export const reactionsIn = ({ reactions }: Chosen): BenchReaction[] => reactions.flatMap((id) => reactionOf(id) ?? []);
/** A mixture has to warm by so much for its bend to be found by a thermometer alone, K. */
const WARMS_K = 0.2;

interface Taken {
  id: string;
  molar: number;
  count: number;
}

/** Parts of a millilitre in which both run out together, each in the middle of its range, or so many times as strong. */
function inRatio({ sides }: BenchReaction, times = 1): [Contents, Contents] {
  const [one, two] = sides.map(({ id, from, to, count }) => ({ id, molar: times * Math.sqrt(from * to), count })) as [
    Taken,
    Taken,
  ];
  const volume = two.molar / two.count / (one.molar / one.count + two.molar / two.count);
  return [solutionFrom(one.id, one.molar, volume), solutionFrom(two.id, two.molar, 1 - volume)];
}

/** How much a mixture in which both run out warms, K. */
const warmsBy = (reaction: BenchReaction): number => mixed(...inRatio(reaction)).heatJ / J_PER_ML_K;
/** Wavelengths that are tried, nm; a coloured one absorbs so much at one of them that it is followed well, and what comes of it next to nothing. */
const TRIED_NM = [400, 420, 440, 460, 480, 500, 520, 540, 560, 580, 600, 620, 640] as const;
const FOLLOWED = { least: 0.3, most: 2.2 } as const;
const HARDLY = 0.03;

/** Whether one of the two is coloured and what they become is not: what of it is left can be followed by its colour. */
function isFollowedByColour(reaction: BenchReaction): boolean {
  const both = mixed(...inRatio(reaction)).contents;
  const bottles = reaction.sides.map(({ id, from, to }) => solutionFrom(id, Math.sqrt(from * to), 1));
  return TRIED_NM.some((nm) => {
    const alone = bottles.map((bottle) => absorbanceOf(bottle, nm, 1));
    const [most, least] = [Math.max(...alone), Math.min(...alone)];
    return most > FOLLOWED.least && most < FOLLOWED.most && Math.max(least, absorbanceOf(both, nm, 1)) < HARDLY * most;
  });
}

/** Of 40 mL in which both run out so much has to fall to be weighed, g; and hardly any of it may stay dissolved, as against a stronger mixture. */
const WEIGHED_G = 0.15;
const FALLS = 0.985;
const STRONGER = 10;

/** Whether a solid falls of which enough can be weighed, and that is washed without loss. */
function isWeighed(reaction: BenchReaction): boolean {
  const grams = (times: number) => {
    const parts = inRatio(reaction, times);
    return Object.values(solidGrams(mixed(...parts).contents)).reduce((sum, one) => sum + one, 0);
  };
  const usual = 40 * grams(1);
  return usual > WEIGHED_G && usual > (FALLS * 40 * grams(STRONGER)) / STRONGER;
}

/** Those that can be told by what is on the tray, and beside which enough other solutions can stand. */
export const drawable = (setup: Chosen): BenchReaction[] =>
  reactionsIn(setup).filter(
    (one) =>
      one.others.length >= Number(setup.bottles) - 2 &&
      (setup.tools.includes('slip') ||
        (setup.tools.includes('thermometer') && warmsBy(one) > WARMS_K) ||
        (setup.tools.includes('colorimeter') && isFollowedByColour(one)) ||
        (setup.tools.includes('filter') && isWeighed(one))),
  );
