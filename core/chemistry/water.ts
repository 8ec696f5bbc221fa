/** Properties of water that the acid-base model stands on. All functions take °C and hold from 0 to 100 °C. */

const KELVIN = 273.15;

/**
 * Density of air-free water, g/mL.
 * Source: G. S. Kell, J. Chem. Eng. Data 20 (1975) 97, at 101.325 kPa.
 */
export function waterDensity(tempC: number): number {
  const t = tempC;
  const numerator =
    999.83952 + t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 - t * 280.54253e-12))));
  return numerator / (1 + 16.87985e-3 * t) / 1000;
}

/**
 * pKw of water at its own vapour pressure or 101.325 kPa.
 * Source: W. L. Marshall and E. U. Franck, J. Phys. Chem. Ref. Data 10 (1981) 295, with Kell's density.
 */
export function pKw(tempC: number): number {
  const T = tempC + KELVIN;
  const logDensity = Math.log10(waterDensity(tempC));
  const logKw =
    -4.098 - 3245.2 / T + 2.2362e5 / T ** 2 - 3.984e7 / T ** 3 + (13.957 - 1262.3 / T + 8.5641e5 / T ** 2) * logDensity;
  return -logKw;
}

/** Relative permittivity of water. Source: C. G. Malmberg and A. A. Maryott, J. Res. NBS 56 (1956) 1. */
function waterPermittivity(tempC: number): number {
  return 87.74 - 0.40008 * tempC + 9.398e-4 * tempC ** 2 - 1.41e-6 * tempC ** 3;
}

/** Debye-Hückel coefficient A for log10 γ, (L/mol)^½. A = 1.8248·10⁶ ρ^½ (εT)^(−3/2). */
export function debyeHuckelA(tempC: number): number {
  const T = tempC + KELVIN;
  return (1.8248e6 * Math.sqrt(waterDensity(tempC))) / (waterPermittivity(tempC) * T) ** 1.5;
}

/**
 * pKa at a temperature from its value at 25 °C and the enthalpy of dissociation (van 't Hoff, ΔCp = 0).
 * @param enthalpyKJPerMol enthalpy of dissociation in kJ/mol
 */
export function pKaAt(pKa25: number, enthalpyKJPerMol: number, tempC: number): number {
  const R = 8.314462618e-3;
  const T = tempC + KELVIN;
  return pKa25 + (enthalpyKJPerMol / (R * Math.LN10)) * (1 / T - 1 / 298.15);
}
