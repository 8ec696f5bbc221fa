/** Units that go together; a student chooses among one family and some of another kind, since the choice is a question too. */
const FAMILIES = [
  ['mol/L', 'mol dm⁻³', 'mmol/L', 'mol/mL'],
  ['mL', 'L', 'cm³', 'µL'],
  ['g', 'mg', 'kg'],
  ['mol', 'mmol'],
  ['g/mL', 'g/cm³', 'kg/m³', 'g/L'],
  ['g/mol', 'kg/mol'],
  ['°C', 'K'],
  ['s', 'min', 'h'],
  ['kPa', 'Pa', 'atm', 'bar', 'mmHg'],
  ['J', 'kJ'],
  ['J/mol', 'kJ/mol'],
  ['J g⁻¹ K⁻¹', 'J mol⁻¹ K⁻¹', 'kJ kg⁻¹ K⁻¹'],
  ['cm', 'mm', 'm'],
  ['%'],
];

const OTHERS = ['mL', 'mol', 'g', 'mol/L', 'g/L'];

/** Units to offer beside a number that is asked for in one of them. */
export function unitOptions(wanted: string): string[] {
  const family = FAMILIES.find((units) => units.includes(wanted)) ?? [wanted];
  return [...new Set([wanted, ...family, ...OTHERS])].filter(Boolean);
}

/** Every unit of the families, for a teacher or a column to choose from. */
export const ALL_UNITS = [...new Set(FAMILIES.flat())];
