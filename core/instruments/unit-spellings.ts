/** Spellings of units that are one and the same. */
const SPELLINGS: Readonly<Record<string, readonly string[]>> = {
  mL: ['cm3', 'cm³', 'cm^3'],
  '°C': ['C', 'degC', 'deg C', '° C', 'º C', 'ºC'],
};

/** Whether a unit as somebody typed it is this one, however it is spelled. */
export function isUnit(typed: string, unit: string): boolean {
  const small = typed.trim().toLowerCase();
  return [unit, ...(SPELLINGS[unit] ?? [])].some((one) => one.toLowerCase() === small);
}
