import type { Solid, Species, System } from '../chemistry/speciation';
import type { SolidLook } from './solid-looks';
import type { SourceKey } from './sources';

/** Ions, what they bind to, and the solids that fall of them: formation constants and solubility products at 25 °C and no ionic strength. */

interface IonEntry {
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
  { id: 'Fe2', formula: 'Fe^2+', charge: 2 }, { id: 'Mn', formula: 'Mn^2+', charge: 2 }, { id: 'Cr', formula: 'Cr^3+', charge: 3 },
  { id: 'Cu1', formula: 'Cu^+', charge: 1 }, { id: 'MnO4', formula: 'MnO4^-', charge: -1 }, { id: 'I2', formula: 'I2', charge: 0 },
  { id: 'S2O3', formula: 'S2O3^2-', charge: -2 }, { id: 'S4O6', formula: 'S4O6^2-', charge: -2 },
  { id: 'Na', formula: 'Na^+', charge: 1 }, { id: 'K', formula: 'K^+', charge: 1 }, { id: 'NO3', formula: 'NO3^-', charge: -1 },
] as const satisfies readonly IonEntry[]; // prettier-ignore
export type ComponentId = (typeof COMPONENTS)[number]['id'];

export type Of = Readonly<Partial<Record<ComponentId, number>>>;

interface Bound {
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
  bound('Fe(SCN)2^+', { Fe: 1, SCN: 2 }, 4.64), bound('CuOH^+', { Cu: 1, H: -1 }, -7.5), bound('Cu(NH3)^2+', { Cu: 1, NH3: 1 }, 4.31),
  bound('Cu(NH3)2^2+', { Cu: 1, NH3: 2 }, 7.98), bound('Cu(NH3)3^2+', { Cu: 1, NH3: 3 }, 11.02), bound('Cu(NH3)4^2+', { Cu: 1, NH3: 4 }, 13.32),
  bound('Zn(NH3)^2+', { Zn: 1, NH3: 1 }, 2.31), bound('Zn(NH3)2^2+', { Zn: 1, NH3: 2 }, 4.6), bound('Zn(NH3)3^2+', { Zn: 1, NH3: 3 }, 6.97),
  bound('Zn(NH3)4^2+', { Zn: 1, NH3: 4 }, 9.27),
  bound('FeSO4^+', { Fe: 1, SO4: 1 }, 4.05), bound('FeCl^2+', { Fe: 1, Cl: 1 }, 1.48), bound('FeCl2^+', { Fe: 1, Cl: 2 }, 2.13),
  bound('AlSO4^+', { Al: 1, SO4: 1 }, 3.89), bound('Al(SO4)2^-', { Al: 1, SO4: 2 }, 4.92), bound('FeSO4', { Fe2: 1, SO4: 1 }, 2.25),
  bound('MnSO4', { Mn: 1, SO4: 1 }, 2.25), bound('FeC2O4^+', { Fe: 1, C2O4: 1 }, 9.15), bound('Fe(C2O4)2^-', { Fe: 1, C2O4: 2 }, 15.45),
  bound('Fe(C2O4)3^3-', { Fe: 1, C2O4: 3 }, 19.83), bound('AlC2O4^+', { Al: 1, C2O4: 1 }, 7.26), bound('Al(C2O4)2^-', { Al: 1, C2O4: 2 }, 13.0),
  bound('Al(C2O4)3^3-', { Al: 1, C2O4: 3 }, 17.09), bound('CuC2O4', { Cu: 1, C2O4: 1 }, 6.23), bound('Cu(C2O4)2^2-', { Cu: 1, C2O4: 2 }, 10.27),
  bound('ZnC2O4', { Zn: 1, C2O4: 1 }, 4.87), bound('Zn(C2O4)2^2-', { Zn: 1, C2O4: 2 }, 7.65), bound('FeC2O4', { Fe2: 1, C2O4: 1 }, 3.97),
  bound('PbC2O4', { Pb: 1, C2O4: 1 }, 4.91), bound('Pb(C2O4)2^2-', { Pb: 1, C2O4: 2 }, 6.76), bound('BaC2O4', { Ba: 1, C2O4: 1 }, 2.31),
  bound('SrC2O4', { Sr: 1, C2O4: 1 }, 2.54), bound('AgC2O4^-', { Ag: 1, C2O4: 1 }, 2.41), bound('CuCO3', { Cu: 1, CO3: 1 }, 6.77),
  bound('Cu(CO3)2^2-', { Cu: 1, CO3: 2 }, 10.2), bound('ZnCO3', { Zn: 1, CO3: 1 }, 4.76), bound('PbCO3', { Pb: 1, CO3: 1 }, 6.53),
  bound('CaCO3', { Ca: 1, CO3: 1 }, 3.2), bound('MgCO3', { Mg: 1, CO3: 1 }, 2.92), bound('BaCO3', { Ba: 1, CO3: 1 }, 2.71),
  bound('SrCO3', { Sr: 1, CO3: 1 }, 2.81), bound('PbI2', { Pb: 1, I: 2 }, 3.15), bound('PbI3^-', { Pb: 1, I: 3 }, 3.92),
  bound('PbI4^2-', { Pb: 1, I: 4 }, 4.47), bound('PbBr2', { Pb: 1, Br: 2 }, 2.6), bound('PbNO3^+', { Pb: 1, NO3: 1 }, 1.17),
  bound('AgI2^-', { Ag: 1, I: 2 }, 11.7), bound('AgSCN', { Ag: 1, SCN: 1 }, 4.8), bound('Ag(SCN)2^-', { Ag: 1, SCN: 2 }, 8.23),
  bound('AgSO4^-', { Ag: 1, SO4: 1 }, 1.3), bound('AgOH', { Ag: 1, H: -1 }, -12.0), bound('Ag(OH)2^-', { Ag: 1, H: -2 }, -24.0),
  bound('MgOH^+', { Mg: 1, H: -1 }, -11.4), bound('CaOH^+', { Ca: 1, H: -1 }, -12.7), bound('FeOH^+', { Fe2: 1, H: -1 }, -9.4),
  bound('Cu(OH)2', { Cu: 1, H: -2 }, -16.2), bound('Cu(OH)4^2-', { Cu: 1, H: -4 }, -39.6), bound('CrOH^2+', { Cr: 1, H: -1 }, -3.57),
  bound('Cr(OH)2^+', { Cr: 1, H: -2 }, -9.84), bound('Cr(OH)4^-', { Cr: 1, H: -4 }, -27.4), bound('MnOH^+', { Mn: 1, H: -1 }, -10.6),
  bound('I3^-', { I2: 1, I: 1 }, 2.86),
]; // prettier-ignore

/** How a solid falls: in flakes that clot, as a dust that stays afloat, as a jelly in flocks, as crystals that glitter. */
export type Form = 'curdy' | 'fine' | 'flocks' | 'crystals';

export interface SolidEntry {
  id: string;
  formula: string;
  of: Of;
  logKsp: number;
  /** What is seen of it as it falls. */
  look: SolidLook;
  form: Form;
}
const solid = (id: string, formula: string, of: Of, logKsp: number, look: SolidLook, form: Form): SolidEntry => ({
  id,
  formula,
  of,
  logKsp,
  look,
  form,
});

/** Hydroxides are given by what dissolves them: the metal less the protons that it takes. */
export const SOLIDS_THAT_FALL: readonly SolidEntry[] = [
  solid('silver-chloride', 'AgCl', { Ag: 1, Cl: 1 }, -9.75, 'white', 'curdy'), solid('silver-bromide', 'AgBr', { Ag: 1, Br: 1 }, -12.3, 'cream', 'curdy'),
  solid('silver-iodide', 'AgI', { Ag: 1, I: 1 }, -16.08, 'pale yellow', 'curdy'), solid('silver-thiocyanate', 'AgSCN', { Ag: 1, SCN: 1 }, -11.97, 'white', 'curdy'),
  solid('silver-chromate', 'Ag2CrO4', { Ag: 2, CrO4: 1 }, -11.95, 'brick red', 'fine'), solid('silver-carbonate', 'Ag2CO3', { Ag: 2, CO3: 1 }, -11.07, 'pale yellow', 'fine'),
  solid('silver-oxalate', 'Ag2C2O4', { Ag: 2, C2O4: 1 }, -11.27, 'white', 'fine'), solid('silver-sulfate', 'Ag2SO4', { Ag: 2, SO4: 1 }, -4.92, 'white', 'crystals'),
  solid('silver-oxide', 'Ag2O', { Ag: 2, H: -2 }, 12.6, 'brown', 'fine'), solid('copper-iodide', 'CuI', { Cu1: 1, I: 1 }, -11.9, 'cream', 'fine'),
  solid('lead-chloride', 'PbCl2', { Pb: 1, Cl: 2 }, -4.77, 'white', 'crystals'), solid('lead-bromide', 'PbBr2', { Pb: 1, Br: 2 }, -5.18, 'white', 'crystals'),
  solid('lead-iodide', 'PbI2', { Pb: 1, I: 2 }, -8.05, 'golden yellow', 'crystals'), solid('lead-chromate', 'PbCrO4', { Pb: 1, CrO4: 1 }, -12.6, 'yellow', 'fine'),
  solid('lead-sulfate', 'PbSO4', { Pb: 1, SO4: 1 }, -7.79, 'white', 'fine'), solid('lead-carbonate', 'PbCO3', { Pb: 1, CO3: 1 }, -13.13, 'white', 'fine'),
  solid('lead-oxalate', 'PbC2O4', { Pb: 1, C2O4: 1 }, -9.07, 'white', 'fine'), solid('lead-hydroxide', 'Pb(OH)2', { Pb: 1, H: -2 }, 8.15, 'white', 'flocks'),
  solid('lead-thiocyanate', 'Pb(SCN)2', { Pb: 1, SCN: 2 }, -4.7, 'white', 'crystals'), solid('barium-sulfate', 'BaSO4', { Ba: 1, SO4: 1 }, -9.98, 'white', 'fine'),
  solid('barium-chromate', 'BaCrO4', { Ba: 1, CrO4: 1 }, -9.67, 'yellow', 'fine'), solid('barium-carbonate', 'BaCO3', { Ba: 1, CO3: 1 }, -8.57, 'white', 'fine'),
  solid('barium-oxalate-1', 'BaC2O4·H2O', { Ba: 1, C2O4: 1 }, -6.8, 'white', 'fine'), solid('barium-hydroxide-8', 'Ba(OH)2·8H2O', { Ba: 1, H: -2 }, 24.4, 'white', 'crystals'),
  solid('strontium-sulfate', 'SrSO4', { Sr: 1, SO4: 1 }, -6.62, 'white', 'fine'), solid('strontium-carbonate', 'SrCO3', { Sr: 1, CO3: 1 }, -9.27, 'white', 'fine'),
  solid('strontium-oxalate-1', 'SrC2O4·H2O', { Sr: 1, C2O4: 1 }, -6.8, 'white', 'fine'), solid('strontium-chromate', 'SrCrO4', { Sr: 1, CrO4: 1 }, -4.65, 'yellow', 'crystals'),
  solid('calcium-sulfate-2', 'CaSO4·2H2O', { Ca: 1, SO4: 1 }, -4.61, 'white', 'crystals'), solid('calcium-carbonate', 'CaCO3', { Ca: 1, CO3: 1 }, -8.48, 'white', 'fine'),
  solid('calcium-oxalate-1', 'CaC2O4·H2O', { Ca: 1, C2O4: 1 }, -8.75, 'white', 'fine'), solid('calcium-hydroxide', 'Ca(OH)2', { Ca: 1, H: -2 }, 22.8, 'white', 'fine'),
  solid('aluminium-hydroxide', 'Al(OH)3', { Al: 1, H: -3 }, 10.8, 'white', 'flocks'), solid('zinc-hydroxide', 'Zn(OH)2', { Zn: 1, H: -2 }, 11.5, 'white', 'flocks'),
  solid('zinc-carbonate', 'ZnCO3', { Zn: 1, CO3: 1 }, -9.84, 'white', 'fine'), solid('zinc-oxalate-2', 'ZnC2O4·2H2O', { Zn: 1, C2O4: 1 }, -8.86, 'white', 'fine'),
  solid('copper-hydroxide', 'Cu(OH)2', { Cu: 1, H: -2 }, 8.68, 'pale blue', 'flocks'), solid('copper-carbonate', 'Cu2(OH)2CO3', { Cu: 2, CO3: 1, H: -2 }, -5.3, 'blue green', 'flocks'),
  solid('copper-oxalate', 'CuC2O4', { Cu: 1, C2O4: 1 }, -9.35, 'pale blue', 'fine'), solid('copper-chromate', 'CuCrO4', { Cu: 1, CrO4: 1 }, -5.44, 'brown', 'fine'),
  solid('magnesium-hydroxide', 'Mg(OH)2', { Mg: 1, H: -2 }, 16.85, 'white', 'flocks'), solid('magnesium-carbonate-3', 'MgCO3·3H2O', { Mg: 1, CO3: 1 }, -5.62, 'white', 'crystals'),
  solid('magnesium-oxalate-2', 'MgC2O4·2H2O', { Mg: 1, C2O4: 1 }, -5.32, 'white', 'crystals'), solid('iron-hydroxide', 'Fe(OH)3', { Fe: 1, H: -3 }, 3.2, 'rust brown', 'flocks'),
  solid('iron2-hydroxide', 'Fe(OH)2', { Fe2: 1, H: -2 }, 12.9, 'dirty green', 'flocks'), solid('iron2-carbonate', 'FeCO3', { Fe2: 1, CO3: 1 }, -10.5, 'grey green', 'fine'),
  solid('iron2-oxalate-2', 'FeC2O4·2H2O', { Fe2: 1, C2O4: 1 }, -6.5, 'yellow', 'fine'), solid('chromium-hydroxide', 'Cr(OH)3', { Cr: 1, H: -3 }, 9.0, 'grey green', 'flocks'),
  solid('manganese-hydroxide', 'Mn(OH)2', { Mn: 1, H: -2 }, 15.2, 'cream', 'flocks'), solid('iodine', 'I2', { I2: 1 }, -2.87, 'dark grey', 'crystals'),
]; // prettier-ignore

/** What leaves as a gas, where it comes to the pressure of the room: as a solid, by its product at 1 atm (Henry's law, 25 °C). */
export const GAS_THAT_LEAVES = {
  id: 'carbon-dioxide',
  formula: 'CO2',
  of: { CO3: 1, H: 2 } as Of,
  logKsp: -18.15,
} as const;

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
  const gases = order.includes('CO3') ? [GAS_THAT_LEAVES] : [];
  const solids: Solid[] = [...falling, ...gases].map(({ of, logKsp }) => ({ makeup: makeup(of), logKsp }));
  const system: System = { species, solids, components: order.length, tempC };
  return {
    system,
    order,
    bounds,
    formulas: [...own.map(({ formula }) => formula), ...bounds.map(({ formula }) => formula)],
    falling,
  };
}
