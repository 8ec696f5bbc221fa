import { LIQUIDS } from '../liquids';
import { MATERIALS } from '../materials';
import { cited, columns, type BookTable } from './table';

/** What a density is looked up in. */
export const densityTables = (): BookTable[] => [
  {
    title: 'Solids, by density near 20 °C',
    columns: columns('Material', '=Density / g cm⁻³', 'Looks', 'Source'),
    rows: [...MATERIALS]
      .sort((a, b) => a.densityGPerMl - b.densityGPerMl)
      .map(({ name, densityGPerMl, decimals, look, source }) => [
        name,
        densityGPerMl.toFixed(decimals),
        look,
        cited(source),
      ]),
  },
  {
    title: 'Liquids, by density at 20 °C',
    note: 'Near 20 °C the density at another temperature t is ρ₂₀ (1 − β (t − 20 °C)). For water: Kell’s equation, 0.99821 g/mL at 20 °C, 0.99705 at 25 °C.',
    columns: columns('Liquid', '=Density / g mL⁻¹', '=Expansion β / 10⁻³ K⁻¹', 'Source'),
    rows: [...LIQUIDS]
      .sort((a, b) => a.density20GPerMl - b.density20GPerMl)
      .map(({ name, density20GPerMl, expansionPerKK, source }) => [
        name,
        density20GPerMl.toFixed(4),
        expansionPerKK?.toFixed(2) ?? 'by equation',
        cited(source),
      ]),
  },
];
