/** Enthalpies of formation at 25 °C, kJ/mol: of ions and complexes in water (of H⁺ 0 by convention), of solids that fall, of water (`crcFormation` of the sources). */
export const IONS_KJ_PER_MOL: Readonly<Record<string, number>> = {
  'H^+': 0, 'OH^-': -230.0, H2O: -285.8, 'Ag^+': 105.6, 'Pb^2+': -1.7, 'Ba^2+': -537.6, 'Sr^2+': -545.8, 'Ca^2+': -542.8,
  'Mg^2+': -466.9, 'Zn^2+': -153.9, 'Cu^2+': 64.8, 'Cu^+': 71.7, 'Al^3+': -531.0, 'Fe^3+': -48.5, 'Fe^2+': -89.1, 'Mn^2+': -220.8,
  'Cr^3+': -236.0, 'Cl^-': -167.2, 'Br^-': -121.6, 'I^-': -55.2, 'SCN^-': 76.4, 'CrO4^2-': -881.2, 'SO4^2-': -909.3,
  'CO3^2-': -677.1, 'C2O4^2-': -825.1, NH3: -80.3, 'Na^+': -240.1, 'K^+': -252.4, 'NO3^-': -207.4, 'MnO4^-': -541.4, I2: 22.6,
  'S2O3^2-': -652.3, 'S4O6^2-': -1224.2, 'HCO3^-': -692.0, H2CO3: -699.7, 'HSO4^-': -887.3, 'HCrO4^-': -878.2,
  'Cr2O7^2-': -1490.3, 'HC2O4^-': -818.4, 'NH4^+': -132.5, 'Ag(NH3)2^+': -111.3, 'Cu(NH3)4^2+': -348.5, 'Zn(NH3)4^2+': -533.5,
  'AlOH^2+': -767.0, 'Al(OH)4^-': -1502.5, 'FeOH^2+': -290.8, 'I3^-': -51.5, 'CaOH^+': -764.4, 'MgOH^+': -689.9,
}; // prettier-ignore

/** Of solids by their id, and of the gas that leaves. */
export const SOLIDS_KJ_PER_MOL: Readonly<Record<string, number>> = {
  'silver-chloride': -127.0, 'silver-bromide': -100.4, 'silver-iodide': -61.8, 'silver-thiocyanate': 87.9, 'silver-chromate': -731.7,
  'silver-carbonate': -505.8, 'silver-oxalate': -673.2, 'silver-sulfate': -715.9, 'silver-oxide': -31.1, 'copper-iodide': -67.8,
  'lead-chloride': -359.4, 'lead-bromide': -278.7, 'lead-iodide': -175.5, 'lead-chromate': -930.9, 'lead-sulfate': -920.0,
  'lead-carbonate': -699.1, 'lead-oxalate': -851.4, 'lead-hydroxide': -514.6, 'barium-sulfate': -1473.2, 'barium-chromate': -1446.0,
  'barium-carbonate': -1213.0, 'barium-hydroxide-8': -3342.2, 'strontium-sulfate': -1453.1, 'strontium-carbonate': -1220.1,
  'calcium-sulfate-2': -2022.6, 'calcium-carbonate': -1207.6, 'calcium-oxalate-1': -1674.9, 'calcium-hydroxide': -985.2,
  'aluminium-hydroxide': -1276.0, 'zinc-hydroxide': -641.9, 'zinc-carbonate': -812.8, 'copper-hydroxide': -449.8,
  'copper-carbonate': -1051.4, 'magnesium-hydroxide': -924.5, 'iron-hydroxide': -823.0, 'iron2-hydroxide': -569.0,
  'iron2-carbonate': -740.6, 'chromium-hydroxide': -1064.0, 'manganese-hydroxide': -695.4, iodine: 0, 'carbon-dioxide': -393.5,
}; // prettier-ignore
