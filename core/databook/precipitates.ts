import type { Solid, Species, System } from '../chemistry/speciation';
import type { SourceKey } from './sources';

/** Ions, what they bind to, and the solids that fall of them: formation constants and solubility products at 25 °C and no ionic strength. */

export interface IonEntry {
  id: string;
  formula: string;
  charge: number;
}

/** What everything else is made of. Protons come first: bases and hydroxides are made by taking them away. */
export const COMPONENTS = [
  { id: 'H', formula: 'H^+', charge: 1 }, { id: 'Ag', formula: 'Ag^+', charge: 1 }, { id: 'Pb', formula: 'Pb^2+', charge: 2 },
  { id: 'Ba', formula: 'Ba^2+', charge: 2 }, { id: 'Sr', formula: 'Sr^2+', charge: 2 }, { id: 'Ca', formula: 'Ca^2+', charge: 2 },
  { id: 'Mg', formula: 'Mg^2+', charge: 2 }, { id: 'Zn', formula: 'Zn^2+', charge: 2 }, { id: 'Cu', formula: 'Cu^2+', charge: 2 },
  { id: 'Al', formula: 'Al^3+', charge: 3 }, { id: 'Fe', formula: 'Fe^3+', charge: 3 },
  { id: 'Cl', formula: 'Cl^-', charge: -1 }, { id: 'Br', formula: 'Br^-', charge: -1 }, { id: 'I', formula: 'I^-', charge: -1 },
  { id: 'SCN', formula: 'SCN^-', charge: -1 }, { id: 'CrO4', formula: 'CrO4^2-', charge: -2 }, { id: 'SO4', formula: 'SO4^2-', charge: -2 },
  { id: 'CO3', formula: 'CO3^2-', charge: -2 }, { id: 'C2O4', formula: 'C2O4^2-', charge: -2 }, { id: 'NH3', formula: 'NH3', charge: 0 },
  { id: 'Na', formula: 'Na^+', charge: 1 }, { id: 'K', formula: 'K^+', charge: 1 }, { id: 'NO3', formula: 'NO3^-', charge: -1 },
] as const satisfies readonly IonEntry[]; // prettier-ignore
export type ComponentId = (typeof COMPONENTS)[number]['id'];

export type Of = Readonly<Partial<Record<ComponentId, number>>>;

export interface Bound {
  formula: string;
  of: Of;
  logK: number;
}
const bound = (formula: string, of: Of, logK: number): Bound => ({ formula, of, logK });

/** Source of all constants: {@link CONSTANTS_SOURCE}. */
export const BOUND: readonly Bound[] = [
  bound('OH^-', { H: -1 }, -13.995), bound('HCO3^-', { CO3: 1, H: 1 }, 10.329), bound('H2CO3', { CO3: 1, H: 2 }, 16.681),
  bound('HSO4^-', { SO4: 1, H: 1 }, 1.987), bound('HCrO4^-', { CrO4: 1, H: 1 }, 6.51), bound('Cr2O7^2-', { CrO4: 2, H: 2 }, 14.54),
  bound('HC2O4^-', { C2O4: 1, H: 1 }, 4.266), bound('H2C2O4', { C2O4: 1, H: 2 }, 5.518), bound('NH4^+', { NH3: 1, H: 1 }, 9.244),
  bound('AgCl', { Ag: 1, Cl: 1 }, 3.31), bound('AgCl2^-', { Ag: 1, Cl: 2 }, 5.25), bound('AgBr', { Ag: 1, Br: 1 }, 4.38),
  bound('AgBr2^-', { Ag: 1, Br: 2 }, 7.34), bound('Ag(NH3)^+', { Ag: 1, NH3: 1 }, 3.31), bound('Ag(NH3)2^+', { Ag: 1, NH3: 2 }, 7.22),
  bound('PbCl^+', { Pb: 1, Cl: 1 }, 1.55), bound('PbCl2', { Pb: 1, Cl: 2 }, 2.2), bound('PbCl3^-', { Pb: 1, Cl: 3 }, 1.8),
  bound('PbBr^+', { Pb: 1, Br: 1 }, 1.7), bound('PbI^+', { Pb: 1, I: 1 }, 1.94), bound('PbSO4', { Pb: 1, SO4: 1 }, 2.69),
  bound('PbOH^+', { Pb: 1, H: -1 }, -7.6), bound('Pb(OH)2', { Pb: 1, H: -2 }, -17.09), bound('Pb(OH)3^-', { Pb: 1, H: -3 }, -28.09),
  bound('CaSO4', { Ca: 1, SO4: 1 }, 2.36), bound('MgSO4', { Mg: 1, SO4: 1 }, 2.26), bound('SrSO4', { Sr: 1, SO4: 1 }, 2.3),
  bound('BaSO4', { Ba: 1, SO4: 1 }, 2.13), bound('ZnSO4', { Zn: 1, SO4: 1 }, 2.34), bound('CuSO4', { Cu: 1, SO4: 1 }, 2.36),
  bound('CaC2O4', { Ca: 1, C2O4: 1 }, 3.19), bound('MgC2O4', { Mg: 1, C2O4: 1 }, 3.62),
  bound('AlOH^2+', { Al: 1, H: -1 }, -5.0), bound('Al(OH)2^+', { Al: 1, H: -2 }, -10.1), bound('Al(OH)3', { Al: 1, H: -3 }, -16.8),
  bound('Al(OH)4^-', { Al: 1, H: -4 }, -22.7), bound('ZnOH^+', { Zn: 1, H: -1 }, -9.0), bound('Zn(OH)2', { Zn: 1, H: -2 }, -17.79),
  bound('Zn(OH)3^-', { Zn: 1, H: -3 }, -28.09), bound('Zn(OH)4^2-', { Zn: 1, H: -4 }, -40.49), bound('FeOH^2+', { Fe: 1, H: -1 }, -2.19),
  bound('Fe(OH)2^+', { Fe: 1, H: -2 }, -5.67), bound('Fe(OH)4^-', { Fe: 1, H: -4 }, -21.6), bound('FeSCN^2+', { Fe: 1, SCN: 1 }, 3.02),
  bound('Fe(SCN)2^+', { Fe: 1, SCN: 2 }, 4.64), bound('CuOH^+', { Cu: 1, H: -1 }, -7.5), bound('Cu(NH3)^2+', { Cu: 1, NH3: 1 }, 4.02),
  bound('Cu(NH3)2^2+', { Cu: 1, NH3: 2 }, 7.4), bound('Cu(NH3)3^2+', { Cu: 1, NH3: 3 }, 10.2), bound('Cu(NH3)4^2+', { Cu: 1, NH3: 4 }, 12.27),
  bound('Zn(NH3)4^2+', { Zn: 1, NH3: 4 }, 9.27),
]; // prettier-ignore

export interface SolidEntry {
  id: string;
  formula: string;
  of: Of;
  logKsp: number;
  /** What is seen of it as it falls. */
  look: string;
}
const solid = (id: string, formula: string, of: Of, logKsp: number, look: string): SolidEntry => ({
  id,
  formula,
  of,
  logKsp,
  look,
});

/** Hydroxides are given by what dissolves them: the metal less the protons that it takes. */
export const SOLIDS_THAT_FALL: readonly SolidEntry[] = [
  solid('silver-chloride', 'AgCl', { Ag: 1, Cl: 1 }, -9.75, 'white'), solid('silver-bromide', 'AgBr', { Ag: 1, Br: 1 }, -12.3, 'cream'),
  solid('silver-iodide', 'AgI', { Ag: 1, I: 1 }, -16.08, 'pale yellow'), solid('silver-chromate', 'Ag2CrO4', { Ag: 2, CrO4: 1 }, -11.95, 'brick red'),
  solid('silver-carbonate', 'Ag2CO3', { Ag: 2, CO3: 1 }, -11.07, 'pale yellow'), solid('lead-chloride', 'PbCl2', { Pb: 1, Cl: 2 }, -4.77, 'white'),
  solid('lead-bromide', 'PbBr2', { Pb: 1, Br: 2 }, -5.18, 'white'), solid('lead-iodide', 'PbI2', { Pb: 1, I: 2 }, -8.05, 'golden yellow'),
  solid('lead-chromate', 'PbCrO4', { Pb: 1, CrO4: 1 }, -12.6, 'yellow'), solid('lead-sulfate', 'PbSO4', { Pb: 1, SO4: 1 }, -7.79, 'white'),
  solid('lead-carbonate', 'PbCO3', { Pb: 1, CO3: 1 }, -13.13, 'white'), solid('barium-sulfate', 'BaSO4', { Ba: 1, SO4: 1 }, -9.98, 'white'),
  solid('barium-chromate', 'BaCrO4', { Ba: 1, CrO4: 1 }, -9.67, 'pale yellow'), solid('barium-carbonate', 'BaCO3', { Ba: 1, CO3: 1 }, -8.57, 'white'),
  solid('strontium-sulfate', 'SrSO4', { Sr: 1, SO4: 1 }, -6.62, 'white'), solid('strontium-carbonate', 'SrCO3', { Sr: 1, CO3: 1 }, -9.27, 'white'),
  solid('calcium-sulfate-2', 'CaSO4·2H2O', { Ca: 1, SO4: 1 }, -4.61, 'white'), solid('calcium-carbonate', 'CaCO3', { Ca: 1, CO3: 1 }, -8.48, 'white'),
  solid('calcium-oxalate-1', 'CaC2O4·H2O', { Ca: 1, C2O4: 1 }, -8.75, 'white'), solid('aluminium-hydroxide', 'Al(OH)3', { Al: 1, H: -3 }, 10.8, 'white'),
  solid('zinc-hydroxide', 'Zn(OH)2', { Zn: 1, H: -2 }, 11.5, 'white'), solid('copper-hydroxide', 'Cu(OH)2', { Cu: 1, H: -2 }, 8.68, 'pale blue'),
  solid('magnesium-hydroxide', 'Mg(OH)2', { Mg: 1, H: -2 }, 16.85, 'white'), solid('iron-hydroxide', 'Fe(OH)3', { Fe: 1, H: -3 }, 3.2, 'rust brown'),
]; // prettier-ignore

export const CONSTANTS_SOURCE: SourceKey = 'stability';

const chargeOf = (of: Of): number => COMPONENTS.reduce((sum, { id, charge }) => sum + charge * (of[id] ?? 0), 0);

/** A system of the components that are named and of all that they can form, with what each place in it stands for. */
export function systemOf(ids: readonly ComponentId[], tempC = 25) {
  const order: ComponentId[] = ['H', ...ids.filter((id) => id !== 'H')];
  const isOf = (of: Of) => (Object.keys(of) as ComponentId[]).every((id) => order.includes(id));
  const makeup = (of: Of) => order.map((id) => of[id] ?? 0);
  const bounds = BOUND.filter(({ of }) => isOf(of));
  const falling = SOLIDS_THAT_FALL.filter(({ of }) => isOf(of));
  const own = order.map((id) => COMPONENTS.find((one) => one.id === id) as IonEntry);
  const species: Species[] = [
    ...own.map(({ charge }, i): Species => ({ makeup: order.map((_, j) => (i === j ? 1 : 0)), logK: 0, charge })),
    ...bounds.map(({ of, logK }): Species => ({ makeup: makeup(of), logK, charge: chargeOf(of) })),
  ];
  const solids: Solid[] = falling.map(({ of, logKsp }) => ({ makeup: makeup(of), logKsp }));
  const system: System = { species, solids, components: order.length, tempC };
  return { system, order, formulas: [...own.map(({ formula }) => formula), ...bounds.map(({ formula }) => formula)], falling };
} // prettier-ignore
