import { BOUND, COMPONENTS, GAS_THAT_LEAVES, SOLIDS_THAT_FALL } from './precipitates';

/** Reactions in water, as equations of what reacts: their constants follow from those of ions, complexes and solids. */
interface Reaction {
  equation: string;
  /** What is noticed. */
  seen: string;
}
const at = (equation: string, seen: string): Reaction => ({ equation, seen });

export const REACTIONS: readonly Reaction[] = [
  at('Ag^+ + Cl^- -> AgCl(s)', 'white, curdy; dissolves in ammonia'), at('Ag^+ + Br^- -> AgBr(s)', 'cream, curdy'),
  at('Ag^+ + I^- -> AgI(s)', 'pale yellow, curdy; not dissolved by ammonia'), at('Ag^+ + SCN^- -> AgSCN(s)', 'white, curdy'),
  at('2 Ag^+ + CrO4^2- -> Ag2CrO4(s)', 'brick red'), at('2 Ag^+ + CO3^2- -> Ag2CO3(s)', 'pale yellow'),
  at('2 Ag^+ + C2O4^2- -> Ag2C2O4(s)', 'white'), at('2 Ag^+ + SO4^2- -> Ag2SO4(s)', 'white crystals, out of strong solutions alone'),
  at('2 Ag^+ + 2 OH^- -> Ag2O(s) + H2O', 'brown'), at('Pb^2+ + 2 Cl^- -> PbCl2(s)', 'white needles; dissolves in much water'),
  at('Pb^2+ + 2 Br^- -> PbBr2(s)', 'white crystals'), at('Pb^2+ + 2 I^- -> PbI2(s)', 'golden yellow'),
  at('Pb^2+ + CrO4^2- -> PbCrO4(s)', 'yellow'), at('Pb^2+ + SO4^2- -> PbSO4(s)', 'white, fine'),
  at('Pb^2+ + CO3^2- -> PbCO3(s)', 'white'), at('Pb^2+ + C2O4^2- -> PbC2O4(s)', 'white'),
  at('Pb^2+ + 2 OH^- -> Pb(OH)2(s)', 'white; dissolves in much base'), at('Ba^2+ + SO4^2- -> BaSO4(s)', 'white, fine; not dissolved by acid'),
  at('Ba^2+ + CrO4^2- -> BaCrO4(s)', 'yellow'), at('Ba^2+ + CO3^2- -> BaCO3(s)', 'white; dissolves in acid with gas'),
  at('Sr^2+ + SO4^2- -> SrSO4(s)', 'white, fine'), at('Sr^2+ + CO3^2- -> SrCO3(s)', 'white'),
  at('Ca^2+ + SO4^2- + 2 H2O -> CaSO4·2H2O(s)', 'white needles, out of strong solutions alone'), at('Ca^2+ + CO3^2- -> CaCO3(s)', 'white; dissolves in acid with gas'),
  at('Ca^2+ + C2O4^2- + H2O -> CaC2O4·H2O(s)', 'white'), at('Ca^2+ + 2 OH^- -> Ca(OH)2(s)', 'white, out of strong solutions alone'),
  at('Mg^2+ + 2 OH^- -> Mg(OH)2(s)', 'white flocks; not dissolved by base'), at('Mg^2+ + CO3^2- + 3 H2O -> MgCO3·3H2O(s)', 'white'),
  at('Al^3+ + 3 OH^- -> Al(OH)3(s)', 'white jelly'), at('Al(OH)3(s) + OH^- -> Al(OH)4^-', 'dissolves again, clear'),
  at('Zn^2+ + 2 OH^- -> Zn(OH)2(s)', 'white jelly'), at('Zn(OH)2(s) + 2 OH^- -> Zn(OH)4^2-', 'dissolves again, clear'),
  at('Zn(OH)2(s) + 4 NH3 -> Zn(NH3)4^2+ + 2 OH^-', 'dissolves again, clear'), at('Zn^2+ + C2O4^2- + 2 H2O -> ZnC2O4·2H2O(s)', 'white'),
  at('Cu^2+ + 2 OH^- -> Cu(OH)2(s)', 'pale blue flocks'), at('Cu(OH)2(s) + 4 NH3 -> Cu(NH3)4^2+ + 2 OH^-', 'dissolves again, deep blue'),
  at('2 Cu^2+ + CO3^2- + 2 OH^- -> Cu2(OH)2CO3(s)', 'blue green'), at('Cu^2+ + C2O4^2- -> CuC2O4(s)', 'pale blue'),
  at('Fe^3+ + 3 OH^- -> Fe(OH)3(s)', 'rust brown jelly'), at('Fe^3+ + SCN^- -> FeSCN^2+', 'blood red'),
  at('Fe^2+ + 2 OH^- -> Fe(OH)2(s)', 'dirty green'), at('Fe^2+ + C2O4^2- + 2 H2O -> FeC2O4·2H2O(s)', 'yellow'),
  at('Cu^+ + I^- -> CuI(s)', 'cream, in a brown liquid'), at('AgCl(s) + 2 NH3 -> Ag(NH3)2^+ + Cl^-', 'dissolves again, clear'),
  at('Ag2O(s) + 4 NH3 + H2O -> 2 Ag(NH3)2^+ + 2 OH^-', 'dissolves again, clear'), at('2 CrO4^2- + 2 H^+ -> Cr2O7^2- + H2O', 'from yellow to orange'),
  at('H^+ + OH^- -> H2O', 'it becomes warm'), at('NH4^+ + OH^- -> NH3 + H2O', 'a sharp smell'),
  at('CO3^2- + 2 H^+ -> CO2(g) + H2O', 'gas without a smell'), at('I2 + I^- -> I3^-', 'brown'),
]; // prettier-ignore

interface Term {
  times: number;
  formula: string;
}
const termOf = (text: string): Term => {
  const [, times = '', formula = ''] = /^(?:(\d+) )?(\S+)$/u.exec(text.trim()) ?? [];
  return { times: Number(times || 1), formula };
};

/** log₁₀ of the constant by which one thing is made of components; undefined of what stands nowhere here. */
function logOf(formula: string): number | undefined {
  if (formula === 'H2O' || COMPONENTS.some((one) => one.formula === formula)) return 0;
  if (formula === `${GAS_THAT_LEAVES.formula}(g)`) return -GAS_THAT_LEAVES.logKsp;
  if (formula.endsWith('(s)')) {
    const solid = SOLIDS_THAT_FALL.find((one) => `${one.formula}(s)` === formula);
    return solid && -solid.logKsp;
  }
  return BOUND.find((one) => one.formula === formula)?.logK;
}

/** log₁₀ of the constant of a reaction at 25 °C. @throws RangeError for something that has none */
export function logKOf(equation: string): number {
  const sides = equation.split(' -> ').map((side) => side.split(' + ').map(termOf));
  return sides.reduce((sum, side, i) => {
    const sign = i === 0 ? -1 : 1;
    return side.reduce((all, { times, formula }) => {
      const log = logOf(formula);
      if (log === undefined) throw new RangeError(`no constant of ${formula}`);
      return all + sign * times * log;
    }, sum);
  }, 0);
}
