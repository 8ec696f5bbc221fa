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
  iso835: 'ISO 835:2007, Laboratory glassware: graduated pipettes',
  iso3507: 'ISO 3507:1999, Laboratory glassware: pyknometers',
  iso3819: 'ISO 3819:2015, Laboratory glassware: beakers',
  iso4788: 'ISO 4788:2005, Laboratory glassware: graduated measuring cylinders',
  iso13385: 'ISO 13385-1:2019, Geometrical product specifications: callipers',
  kell: 'G. S. Kell, J. Chem. Eng. Data 20 (1975) 97: Density, thermal expansivity and compressibility of liquid water',
  crcInorganic:
    'CRC Handbook of Chemistry and Physics, 97th ed., section 4: Physical constants of inorganic compounds (density near 20 °C)',
  crcAlloys: 'CRC Handbook of Chemistry and Physics, 97th ed., section 12: Commercial metals and alloys',
  crcSolids:
    'CRC Handbook of Chemistry and Physics, 97th ed., section 15: Density of various solids (the middle of a range where a range is given)',
  crcLiquids:
    'CRC Handbook of Chemistry and Physics, 97th ed., section 3: Physical constants of organic compounds; section 6: Thermal expansion of liquids',
  crcElementHeats: 'CRC Handbook of Chemistry and Physics, 97th ed., section 4: Heat capacity of the elements at 25 °C',
  crcLiquidHeats:
    'CRC Handbook of Chemistry and Physics, 97th ed., section 5: Standard thermodynamic properties of chemical substances (liquids at 25 °C)',
  crcFormation:
    'CRC Handbook of Chemistry and Physics, 97th ed., section 5: Standard thermodynamic properties of chemical substances (enthalpies of formation at 25 °C)',
  crcFreezing:
    'CRC Handbook of Chemistry and Physics, 97th ed., section 15: Cryoscopic constants; section 3: melting points; section 6: heat capacities (of solids rounded)',
  crcFusion:
    'CRC Handbook of Chemistry and Physics, 97th ed., section 6: Enthalpy of fusion; the cryoscopic constant follows from it',
  eutectics:
    'CRC Handbook of Chemistry and Physics, 97th ed. (salts, urea with water); F. E. Young, F. T. Jones, J. Phys. Colloid Chem. 53 (1949) 1334; F. E. Young, J. Phys. Chem. 61 (1957) 616 (sugars)',
  crcSolutions:
    'CRC Handbook of Chemistry and Physics, 97th ed., section 5: Concentrative properties of aqueous solutions (20 °C)',
  parker:
    'V. B. Parker, Thermal Properties of Aqueous Uni-univalent Electrolytes, NSRDS-NBS 2 (1965); solubilities: CRC Handbook, 97th ed., sections 4 and 5',
  thermogravimetry:
    'C. Duval, Inorganic Thermogravimetric Analysis, 2nd ed., Elsevier 1963 (order of steps, where they begin; rates chosen for Fen so that they fit)',
  stability:
    'A. E. Martell, R. M. Smith, NIST Critically Selected Stability Constants of Metal Complexes, NIST Database 46; solubility products besides: CRC Handbook, 97th ed., section 5; copper(II) with ammonia: Lange’s Handbook of Chemistry, 15th ed., section 8',
  ionSpectra:
    'A. B. P. Lever, Inorganic Electronic Spectroscopy, 2nd ed., Elsevier 1984; J. N. Butler, Ionic Equilibrium, Wiley 1998 (halide complexes): bands rounded, their widths chosen for Fen so that they fit',
  buck: 'A. L. Buck, J. Appl. Meteorol. 20 (1981) 1527: vapour pressure of water, with the constants of 1996',
  reid: 'R. C. Reid, J. M. Prausnitz, B. E. Poling, The Properties of Gases and Liquids, 4th ed., McGraw-Hill 1987: critical constants, acentric factors; vapour pressures: Lange’s Handbook of Chemistry, 15th ed., section 5',
  polymers: 'J. Brandrup, E. H. Immergut, E. A. Grulke, Polymer Handbook, 4th ed., Wiley 1999 (the middle of a range)',
  model: 'Model value chosen for Fen: what is seen or made, not tabulated',
} as const;

export type SourceKey = keyof typeof SOURCES;
