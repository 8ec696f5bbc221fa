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
];
