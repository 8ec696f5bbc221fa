import {
  FUSE_WIRES,
  LAMP_FUELS,
  combustionKJPerMol,
  molarMassOf,
  openKJPerG,
  sealedKJPerG,
  SOLID_FUELS,
  wireJPerCm,
} from '../combustion';
import { DISSOLVING, FREEZING } from '../freezing';
import { HEAT_VESSEL_TOLERANCE, CUPS } from '../heat-vessels';
import { SALTS, solutionJPerG } from '../salts';
import { fusionJPerG } from '../../physics/freezing';
import { fixed } from '../../analysis/quantity';
import { SOLUTES, WATER_IONISES_KJ } from '../solutes';
import { LIQUID_HEATS, METAL_HEATS, type SpecificHeat } from '../specific-heats';
import { cited, columns, type BookTable } from './table';

const rows = (heats: readonly SpecificHeat[]) =>
  [...heats]
    .sort((a, b) => b.jPerGK - a.jPerGK)
    .map(({ name, jPerGK, decimals, source }) => [name, jPerGK.toFixed(decimals), cited(source)]);

const byName = <T extends { name: string }>(all: readonly T[]): T[] =>
  [...all].sort((a, b) => a.name.localeCompare(b.name, 'en'));

/** What it takes to warm a substance, and what burns. */
export const heatTables = (): BookTable[] => [
  {
    title: 'Metals, by specific heat capacity at 25 °C',
    columns: columns('Metal', '=c / J g⁻¹ K⁻¹', 'Source'),
    rows: rows(METAL_HEATS),
  },
  {
    title: 'Liquids, by specific heat capacity at 25 °C',
    columns: columns('Liquid', '=c / J g⁻¹ K⁻¹', 'Source'),
    rows: rows(LIQUID_HEATS),
  },
  {
    title: 'Salts that dissolve, at 25 °C in much water',
    columns: columns('Salt', '=ΔH / kJ mol⁻¹', '=J for a gram', '=M / g mol⁻¹', '=Dissolves, g in 100 g', 'Source'),
    rows: byName(SALTS).map((salt) => [
      `${salt.name}, ${salt.formula}`,
      fixed(salt.enthalpyKJPerMol, 2),
      fixed(solutionJPerG(salt), 0),
      salt.molarMassGPerMol.toFixed(2),
      String(salt.solubilityG),
      cited(salt.source),
    ]),
  },
  {
    title: 'Acids and bases, by the heat of giving a proton, 25 °C',
    columns: columns('Acid, or the base with its proton', '=Step', '=ΔH / kJ mol⁻¹', 'Source'),
    rows: [
      ['water', '1', fixed(WATER_IONISES_KJ, 2), cited('goldberg')],
      ...SOLUTES.filter(({ kind }) => kind.startsWith('weak')).flatMap(({ name, enthalpiesKJPerMol, source }) =>
        enthalpiesKJPerMol.flatMap((kJ, i) =>
          kJ === null
            ? []
            : [
                [
                  `${name}${enthalpiesKJPerMol.length > 1 ? `, ${i + 1}` : ''}`,
                  String(i + 1),
                  fixed(kJ, 2),
                  cited(source),
                ],
              ],
        ),
      ),
    ],
  },
  {
    title: 'Vessels for heat',
    columns: columns('Vessel, with stirrer and thermometer', '=C / J K⁻¹', '=Tolerance', 'Source'),
    rows: CUPS.map(({ name, jPerK, source }) => [
      name.replace(/^./, (first) => first.toUpperCase()),
      String(jPerK),
      `± ${100 * HEAT_VESSEL_TOLERANCE} %`,
      cited(source),
    ]),
  },
  {
    title: 'Fuels and fuse wires: what burns in a sealed vessel',
    note: 'Heat at constant volume and 25 °C, carbon to carbon dioxide, nitrogen as nitrogen, the water a liquid. It follows from the enthalpies of formation of the source.',
    columns: columns('Solid', '~Formula', '=q / kJ g⁻¹', '=ΔH of burning / kJ mol⁻¹', '=M / g mol⁻¹', 'Source'),
    rows: byName(SOLID_FUELS).map((fuel) => [
      fuel.name,
      fuel.formula,
      fixed(sealedKJPerG(fuel), 2),
      fixed(-combustionKJPerMol(fuel), 0),
      molarMassOf(fuel).toFixed(2),
      cited(fuel.source),
    ]),
  },
  {
    title: 'Fuse wires',
    columns: columns('Wire', '=Diameter / mm', '=q / J cm⁻¹', 'Source'),
    rows: FUSE_WIRES.map((wire) => [
      wire.name,
      wire.diameterMm.toFixed(1),
      fixed(wireJPerCm(wire), 1),
      cited(wire.source),
    ]),
  },
  {
    title: 'Fuels for lamps',
    note: 'In the open, where the water of the flame leaves as steam; and where it becomes a liquid, which is more.',
    columns: columns('Liquid', '~Formula', '=q, steam / kJ g⁻¹', '=q, liquid / kJ g⁻¹', '=M / g mol⁻¹', 'Source'),
    rows: byName(LAMP_FUELS).map((fuel) => [
      fuel.name,
      fuel.formula,
      fixed(openKJPerG(fuel), 2),
      fixed(combustionKJPerMol(fuel) / molarMassOf(fuel), 2),
      molarMassOf(fuel).toFixed(2),
      cited(fuel.source),
    ]),
  },
  {
    title: 'What freezes',
    note: 'The heat of fusion is the one that belongs to the cryoscopic constant, which is R T² / ΔH: measured ones differ from it by some hundredths.',
    columns: columns(
      'Substance',
      '~Formula',
      '=T_f / °C',
      '=K_f / K kg mol⁻¹',
      '=ΔH / J g⁻¹',
      '=M / g mol⁻¹',
      'Source',
    ),
    rows: [...FREEZING]
      .sort((a, b) => a.freezesC - b.freezesC)
      .map((one) => [
        one.name,
        one.formula,
        fixed(one.freezesC, 2),
        String(one.kfKKgPerMol),
        fixed(fusionJPerG(one), 0),
        one.molarMassGPerMol.toFixed(2),
        cited(one.source),
      ]),
  },
  {
    title: 'What is dissolved in them',
    columns: columns(
      'Substance',
      '~Formula',
      '=M / g mol⁻¹',
      'Goes into',
      '=Freezes with water at / °C',
      '=Melts alone at / °C',
      '=ΔH / kJ mol⁻¹',
      'Source',
    ),
    rows: byName(DISSOLVING).map((one) => [
      one.name,
      one.formula,
      one.molarMassGPerMol.toFixed(2),
      `${one.into === 'water' ? 'water' : 'the others'}${one.splitsInto > 1 ? `, as ${one.splitsInto} ions` : one.pairsKgPerMol ? '; in pairs where nothing else bonds it' : ''}`,
      'eutecticC' in one.alone ? fixed(one.alone.eutecticC, 1) : '–',
      'meltsC' in one.alone ? fixed(one.alone.meltsC, 2) : '–',
      'meltsC' in one.alone ? fixed(one.alone.fusionKJPerMol, 1) : '–',
      `${cited(one.source)}; ${cited('eutecticC' in one.alone ? 'eutectics' : 'crcFusion')}`,
    ]),
  },
];
