import { condensesC, kelvin, saturatedKPa, secondVirial } from '../../physics/gas-law';
import { printedFormula } from '../../chemistry/formula';
import { gramsPerMol } from '../../chemistry/molar-mass';
import { vapourPressureKPa } from '../../physics/vapour';
import { gasName, GASES } from '../gases';
import { RIBBONS } from '../ribbons';
import { GAS_CRITICAL, VAPOURS } from '../vapours';
import { cited, columns, type BookTable } from './table';

const minus = (text: string) => text.replace('-', '\u2212');
/** Temperatures at which vapour pressures are given, °C. */
const AT_C = [20, 30, 40, 50, 60, 70, 80] as const;
const ROOM_C = 25;
const ROOM_KPA = 100;

/** Gases by the mass of their particles. */
export const gasTables = (): BookTable[] => [
  {
    title: 'Gases, by molar mass',
    columns: columns('Gas', '~Formula', '=Molar mass / g mol⁻¹', 'Source'),
    rows: [...GASES]
      .sort((a, b) => a.molarMassGPerMol - b.molarMassGPerMol)
      .map(({ name, formula, molarMassGPerMol, source }) => [name, formula, String(molarMassGPerMol), cited(source)]),
  },
  {
    title: 'Vapours: where they condense',
    note: 'A vapour among other gases condenses where its own part of the pressure is the vapour pressure over its liquid.',
    columns: columns(
      'Liquid',
      '~Formula',
      '=Boils at 101.3 kPa / °C',
      '=Condenses at 90 kPa / °C',
      '=at 80 kPa / °C',
      'Source',
    ),
    rows: VAPOURS.map(({ name, formula, boilsC, antoine, source }) => [
      name,
      formula,
      boilsC.toFixed(1),
      condensesC(antoine, 90).toFixed(1),
      condensesC(antoine, 80).toFixed(1),
      cited(source),
    ]),
  },
  {
    title: 'Vapours: pressure over the liquid, kPa',
    columns: columns('Liquid', ...AT_C.map((celsius) => `=${celsius} °C`), 'Source'),
    rows: VAPOURS.map(({ name, antoine, source }) => [
      name,
      ...AT_C.map((celsius) => saturatedKPa(antoine, celsius).toFixed(1)),
      cited(source),
    ]),
  },
  {
    title: 'Vapours: molar mass and density',
    columns: columns('Liquid', '~Formula', '=Molar mass / g mol⁻¹', '=Liquid, 20 °C / g mL⁻¹', 'Source'),
    rows: VAPOURS.map(({ name, formula, gPerMol, gPerMl, source }) => [
      name,
      formula,
      String(gPerMol),
      gPerMl.toFixed(3),
      cited(source),
    ]),
  },
  {
    title: 'How gases depart from the ideal one',
    note: `By corresponding states, from critical temperature and pressure: how much the volume differs from that of an ideal gas at ${ROOM_KPA} kPa.`,
    columns: columns(
      'Gas',
      '=Critical temperature / K',
      '=Critical pressure / MPa',
      `=Volume, ${ROOM_C} °C / %`,
      'Source',
    ),
    rows: Object.entries(GAS_CRITICAL).map(([id, critical]) => [
      gasName(id),
      String(critical.tempK),
      String(critical.pressureMPa),
      minus(((100 * secondVirial(critical, kelvin(ROOM_C)) * ROOM_KPA) / (8314.46 * kelvin(ROOM_C))).toFixed(2)),
      cited('reid'),
    ]),
  },
  {
    title: 'Water vapour over water',
    columns: columns('Temperature / °C', '=Vapour pressure / kPa', '=/ mmHg', 'Source'),
    rows: Array.from({ length: 21 }, (_, i) => 10 + i).map((celsius) => [
      String(celsius),
      vapourPressureKPa(celsius).toFixed(3),
      ((760 * vapourPressureKPa(celsius)) / 101.325).toFixed(1),
      cited('buck'),
    ]),
  },
  {
    title: 'Hydrogen of metals in acid',
    columns: columns('Metal', 'Equation', '=Hydrogen / mol for a mole', '=Molar mass of the metal / g mol⁻¹', 'Source'),
    rows: RIBBONS.map(({ name, symbol, equation, hydrogen }) => [
      name,
      printedFormula(equation).replace('->', '→'),
      String(hydrogen),
      gramsPerMol(symbol).toFixed(3),
      cited('iupacWeights'),
    ]),
  },
];
