/** Constants for the calculator, by symbol. */
interface Constant {
  symbol: string;
  name: string;
  value: number;
  /** Significant digits; null for a constant that is exact by definition. */
  digits: number | null;
  unit: string;
  source: string;
}

const SI = 'BIPM, The International System of Units, 9th ed., 2019: exact by definition';

export const CONSTANTS: readonly Constant[] = [
  { symbol: 'N_A', name: 'Avogadro constant', value: 6.02214076e23, digits: null, unit: '1/mol', source: SI },
  { symbol: 'R', name: 'gas constant', value: 8.31446261815324, digits: null, unit: 'J mol⁻¹ K⁻¹', source: SI },
  { symbol: 'k_B', name: 'Boltzmann constant', value: 1.380649e-23, digits: null, unit: 'J/K', source: SI },
  { symbol: 'F', name: 'Faraday constant', value: 96485.33212, digits: null, unit: 'C/mol', source: SI },
  { symbol: 'g_n', name: 'standard acceleration of free fall', value: 9.80665, digits: null, unit: 'm/s²', source: SI },
  { symbol: 'pi', name: 'circle constant', value: Math.PI, digits: null, unit: '', source: 'mathematics' },
  {
    symbol: 'c_w', name: 'specific heat capacity of water at 25 °C', value: 4.18, digits: 3, unit: 'J g⁻¹ K⁻¹',
    source: 'IAPWS-95: 4.1813 J/(g K) at 25 °C, given here to the digits that hold from 10 to 60 °C',
  },
  {
    symbol: 'rho_w', name: 'density of water at 25 °C', value: 0.99705, digits: 5, unit: 'g/mL',
    source: 'G. S. Kell, J. Chem. Eng. Data 20 (1975) 97',
  },
]; // prettier-ignore
