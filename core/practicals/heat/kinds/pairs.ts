import { SOLUTES, type Solute } from '../../../databook/solutes';
import type { Sample } from '../sample';

/** Acids and bases that give heat: those of whose reaction the data book knows all heats, with one proton to give or to take. */

const hasHeat = ({ pKas, enthalpiesKJPerMol }: Solute) =>
  enthalpiesKJPerMol.length === pKas.length && enthalpiesKJPerMol.every((kJ) => kJ !== null);

const solubleTo = (solute: Solute) => solute.solubleToMolPerL ?? Infinity;

const idsOf = (isOne: (solute: Solute) => boolean) =>
  SOLUTES.filter(
    (solute) => isOne(solute) && hasHeat(solute) && Math.abs(solute.protons) === 1 && solubleTo(solute) > 2,
  ).map(({ id }) => id) as [string, ...string[]];

export const ACID_IDS = idsOf(({ kind }) => kind.endsWith('acid'));
export const BASE_IDS = idsOf(({ kind }) => kind.endsWith('base'));

/** What a litre in a bottle holds of the one thing that is dissolved in it, mol. */
export const molPerLIn = ({ bottles }: Sample, index: number): number =>
  Object.values(bottles[index]?.molPerL ?? {})[0] ?? 0;
