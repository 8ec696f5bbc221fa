import { mixed, solutionFrom } from '../../../chemistry/contents';
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

/** How much equal volumes of both, each in the middle of its range, warm where they are in the ratio that reacts, K. */
function warmsBy({ sides }: BenchReaction): number {
  const [one, two] = sides.map(({ id, from, to, count }) => ({ id, molar: Math.sqrt(from * to), count })) as [
    Taken,
    Taken,
  ];
  const volume = two.molar / two.count / (one.molar / one.count + two.molar / two.count);
  const parts = [solutionFrom(one.id, one.molar, volume), solutionFrom(two.id, two.molar, 1 - volume)] as const;
  return mixed(...parts).heatJ / J_PER_ML_K;
}
interface Taken {
  id: string;
  molar: number;
  count: number;
}

/** Wavelengths that are tried, nm; a coloured one absorbs so much at one of them that it is followed well, and what comes of it next to nothing. */
const TRIED_NM = [400, 420, 440, 460, 480, 500, 520, 540, 560, 580, 600, 620, 640] as const;
const FOLLOWED = { least: 0.3, most: 2.2 } as const;
const HARDLY = 0.03;

/** Whether one of the two is coloured and what they become is not: what of it is left can be followed by its colour. */
function isFollowedByColour({ sides }: BenchReaction): boolean {
  const [one, two] = sides.map(({ id, from, to, count }) => ({ id, molar: Math.sqrt(from * to), count })) as [
    Taken,
    Taken,
  ];
  const volume = two.molar / two.count / (one.molar / one.count + two.molar / two.count);
  const both = mixed(solutionFrom(one.id, one.molar, volume), solutionFrom(two.id, two.molar, 1 - volume)).contents;
  return TRIED_NM.some((nm) => {
    const alone = [one, two].map(({ id, molar }) => absorbanceOf(solutionFrom(id, molar, 1), nm, 1));
    const [most, least] = [Math.max(...alone), Math.min(...alone)];
    return most > FOLLOWED.least && most < FOLLOWED.most && Math.max(least, absorbanceOf(both, nm, 1)) < HARDLY * most;
  });
}

/** Those that can be told by what is on the tray, and beside which enough other solutions can stand. */
export const drawable = (setup: Chosen): BenchReaction[] =>
  reactionsIn(setup).filter(
    (one) =>
      one.others.length >= Number(setup.bottles) - 2 &&
      (setup.tools.includes('slip') ||
        (setup.tools.includes('thermometer') && warmsBy(one) > WARMS_K) ||
        (setup.tools.includes('colorimeter') && isFollowedByColour(one))),
  );
