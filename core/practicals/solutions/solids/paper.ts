import { NOTHING, type Contents } from '../../../chemistry/contents';
import { gramsPerMol } from '../../../chemistry/molar-mass';
import { saltsG, solidFormula, solidGrams } from '../../../chemistry/weight';
import { lossOf } from '../../../databook/weighed-solids';
import { chance } from '../../../random';
import type { PaperKind } from './paper-kinds';

/** A paper that a solid is filtered off with, dried on and weighed on. Masses in g. */

export const PAPER_PLACES = ['mat', 'funnel', 'pan', 'oven', 'desiccator'] as const;
export type PaperPlace = (typeof PAPER_PLACES)[number];

/** Where the solid went that is not on the paper, g: for what moved a result, never for a view. */
interface Missing {
  through: number;
  clings: number;
  dissolved: number;
  washed: number;
}

export interface Paper {
  of: PaperKind;
  /** As dry as it can be, g. */
  dryG: number;
  /** What it took out of the air, g. */
  dampG: number;
  /** Part of it that was charred away. */
  scorched: number;
  /** The solid on it, with the liquid that it was wet with last. */
  held: Contents;
  /** What is left of that liquid, g. */
  waterG: number;
  /** Part of the solid that went over to its other form. */
  turned: number;
  at: PaperPlace | 'away';
  warmerK: number;
  /** The trial that it is weighed for; null before. */
  trial: number | null;
  /** Number of the vessel that was filtered through it first. */
  from: number | null;
  /** How often it was put to dry with its solid, each time after it was weighed. */
  rounds: number;
  isWeighed: boolean;
  missing: Missing;
  /** How long what it holds had stood on the hot plate, s, and what it was washed with, mL. */
  hotS: number;
  washedMl: number;
}

/** What one weighs, what part of that it takes up of usual air, and what it keeps of a liquid, mL. Model values. */
export const PAPER_WAYS: Record<PaperKind, { g: number; damp: number; keepsMl: number }> = {
  cellulose: { g: 0.92, damp: 0.055, keepsMl: 1.4 },
  glass: { g: 0.31, damp: 0.003, keepsMl: 0.9 },
};

/** What it comes to hold of the damp of the air. @param humid times as damp as usual */
export const airDampG = ({ of, dryG }: Pick<Paper, 'of' | 'dryG'>, humid: number): number =>
  PAPER_WAYS[of].damp * dryG * humid;

export function freshPaper(of: PaperKind, seed: string, number: number, humid: number): Paper {
  const dryG = PAPER_WAYS[of].g * (1 + 0.03 * (2 * chance(seed, `paper ${number}`).uniform() - 1));
  return {
    of,
    dryG,
    dampG: airDampG({ of, dryG }, humid),
    scorched: 0,
    held: NOTHING,
    waterG: 0,
    turned: 0,
    at: 'mat',
    warmerK: 0,
    trial: null,
    from: null,
    rounds: 0,
    isWeighed: false,
    missing: { through: 0, clings: 0, dissolved: 0, washed: 0 },
    hotS: 0,
    washedMl: 0,
  };
}

interface OnPaper {
  /** The solid as it falls, g, and what it lost by going over to its other form. */
  solidG: number;
  turnedG: number;
  /** Salts that were dissolved in what it was wet with. */
  saltsG: number;
}

/** What lies on it beside water. */
export function onPaper({ held, turned }: Paper): OnPaper {
  let [solidG, turnedG] = [0, 0];
  for (const [id, grams] of Object.entries(solidGrams(held))) {
    solidG += grams;
    const loss = lossOf(id);
    if (loss) turnedG += turned * grams * (1 - gramsPerMol(loss.formula) / gramsPerMol(solidFormula(id)));
  }
  return { solidG, turnedG, saltsG: saltsG(held) };
}

export const paperG = (paper: Paper): number => {
  const { solidG, turnedG, saltsG: salts } = onPaper(paper);
  return paper.dryG * (1 - paper.scorched) + paper.dampG + paper.waterG + solidG - turnedG + salts;
};
