/** Where the numbers of the data book come from; entries name these by key. */
export const SOURCES = {
  crcAcids:
    'CRC Handbook of Chemistry and Physics, 97th ed., section 5: Dissociation constants of inorganic acids and bases; of organic acids and bases (25 °C)',
  goldberg:
    'R. N. Goldberg, N. Kishore, R. M. Lennen, J. Phys. Chem. Ref. Data 31 (2002) 231: Thermodynamic quantities for the ionization reactions of buffers (25 °C)',
  crcIons:
    'CRC Handbook of Chemistry and Physics, 97th ed., section 5: Ionic conductivity and diffusion at infinite dilution (25 °C)',
  christensen:
    'J. J. Christensen, L. D. Hansen, R. M. Izatt, Handbook of Proton Ionization Heats, Wiley 1976 (enthalpies of the acids not in Goldberg)',
  lange: "Lange's Handbook of Chemistry, 15th ed., section 8: Indicators for aqueous acid-base titrations",
  iupacWeights: 'IUPAC, Standard atomic weights 2021, conventional values',
  iso385: 'ISO 385:2005, Laboratory glassware: burettes',
  iso1042: 'ISO 1042:1998, Laboratory glassware: one-mark volumetric flasks',
  iso648: 'ISO 648:2008, Laboratory glassware: single-volume pipettes',
  model: 'Model value chosen for Fen: a colour is seen, not tabulated',
} as const;

export type SourceKey = keyof typeof SOURCES;
