import type { SourceKey } from './sources';

/** Bands in which ions and complexes absorb visible light: what colour they have, and what a colorimeter shows of them. */
interface Band {
  /** Middle, nm. */
  at: number;
  /** Molar absorptivity there, L mol⁻¹ cm⁻¹. */
  per: number;
  /** Standard deviation of the band, nm. */
  width: number;
}
const band = (at: number, per: number, width: number): Band => ({ at, per, width });

const COPPER = [band(810, 12, 130)];
const OXALATO = [band(330, 2000, 50)];

/** By formula; what stands nowhere here is colourless. Middles and heights after spectra, widths chosen so that they fit. */
export const ION_BANDS: Readonly<Record<string, readonly Band[]>> = {
  'Cu^2+': COPPER, CuSO4: COPPER, 'CuOH^+': COPPER, CuC2O4: [band(730, 25, 110)], 'Cu(C2O4)2^2-': [band(690, 40, 100)],
  CuCO3: [band(750, 30, 110)], 'Cu(CO3)2^2-': [band(680, 40, 100)], 'Cu(OH)2': COPPER, 'Cu(OH)4^2-': [band(640, 40, 90)],
  'Cu(NH3)^2+': [band(740, 18, 110)], 'Cu(NH3)2^2+': [band(680, 30, 100)], 'Cu(NH3)3^2+': [band(640, 42, 95)], 'Cu(NH3)4^2+': [band(600, 55, 85)],
  'FeOH^2+': [band(340, 900, 45)], 'Fe(OH)2^+': [band(360, 1200, 45)], 'FeCl^2+': [band(340, 1800, 45)], 'FeCl2^+': [band(350, 2400, 45)],
  'FeSO4^+': [band(305, 2200, 50)], 'FeSCN^2+': [band(450, 4700, 45)], 'Fe(SCN)2^+': [band(470, 7000, 45)],
  'FeC2O4^+': OXALATO, 'Fe(C2O4)2^-': OXALATO, 'Fe(C2O4)3^3-': OXALATO, 'Fe^2+': [band(420, 0.6, 40), band(950, 1.1, 150)], FeSO4: [band(420, 0.6, 40), band(950, 1.1, 150)],
  'CrO4^2-': [band(370, 4800, 35)], 'HCrO4^-': [band(350, 1560, 40), band(440, 350, 55)], 'Cr2O7^2-': [band(352, 3000, 40), band(440, 700, 60)],
  'MnO4^-': [band(525, 2400, 35)], I2: [band(460, 750, 55)], 'I3^-': [band(353, 26400, 40)],
  'Cr^3+': [band(408, 16, 40), band(575, 13, 45)], 'CrOH^2+': [band(420, 20, 40), band(580, 16, 45)], 'Cr(OH)4^-': [band(425, 25, 40), band(600, 25, 50)],
}; // prettier-ignore

export const ION_COLOURS_SOURCE: SourceKey = 'ionSpectra';
