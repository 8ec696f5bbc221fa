import { HEAT_VESSEL_TOLERANCE, HEAT_VESSELS } from '../heat-vessels';
import { SALTS, solutionJPerG } from '../salts';
import { fixed } from '../../analysis/quantity';
import { SOLUTES, WATER_IONISES_KJ } from '../solutes';
import { LIQUID_HEATS, METAL_HEATS, type SpecificHeat } from '../specific-heats';
import { cited, columns, type BookTable } from './table';

const rows = (heats: readonly SpecificHeat[]) =>
  [...heats]
    .sort((a, b) => b.jPerGK - a.jPerGK)
    .map(({ name, jPerGK, decimals, source }) => [name, jPerGK.toFixed(decimals), cited(source)]);

/** What it takes to warm a substance. */
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
    rows: [...SALTS]
      .sort((a, b) => a.name.localeCompare(b.name, 'en'))
      .map((salt) => [
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
    rows: HEAT_VESSELS.map(({ name, jPerK, source }) => [
      name.replace(/^./, (first) => first.toUpperCase()),
      String(jPerK),
      `± ${100 * HEAT_VESSEL_TOLERANCE} %`,
      cited(source),
    ]),
  },
];
