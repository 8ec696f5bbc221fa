import type { SourceKey } from './sources';

/** Ions whose conductivity is tabulated: limiting molar conductivity at 25 °C, S cm² mol⁻¹ of the whole ion. */
export const IONS = {
  H: 349.65, OH: 198, Na: 50.08, K: 73.48, Ca: 118.94, Mg: 106, Cl: 76.31, NO3: 71.42, ClO4: 67.3, Br: 78.1,
} as const; // prettier-ignore
export type Ion = keyof typeof IONS;

/**
 * The same for the forms of acids and bases, by the solute and the charge of the form. What is not here is an organic ion of
 * middling size: {@link ORGANIC}.
 */
export const FORMS: Readonly<Record<string, Readonly<Record<number, number>>>> = {
  'acetic-acid': { [-1]: 40.9 },
  'formic-acid': { [-1]: 54.6 },
  'propanoic-acid': { [-1]: 35.8 },
  'lactic-acid': { [-1]: 38.8 },
  'benzoic-acid': { [-1]: 32.4 },
  'salicylic-acid': { [-1]: 36 },
  'chloroacetic-acid': { [-1]: 42.2 },
  'cyanoacetic-acid': { [-1]: 43.4 },
  'sulfuric-acid': { [-1]: 52, [-2]: 160 },
  'sodium-hydrogensulfate': { [-1]: 52, [-2]: 160 },
  'oxalic-acid': { [-1]: 40.2, [-2]: 148.2 },
  'malonic-acid': { [-2]: 127 },
  'succinic-acid': { [-2]: 117.6 },
  'tartaric-acid': { [-2]: 119.2 },
  'citric-acid': { [-3]: 210.6 },
  'phosphoric-acid': { [-1]: 33, [-2]: 114, [-3]: 278.4 },
  'carbonic-acid': { [-1]: 44.5, [-2]: 138.6 },
  'sodium-carbonate': { [-1]: 44.5, [-2]: 138.6 },
  'sodium-hydrogencarbonate': { [-1]: 44.5, [-2]: 138.6 },
  ammonia: { [1]: 73.5 },
  methylamine: { [1]: 58.7 },
  ethylamine: { [1]: 47.2 },
};

/** An organic ion without a value of its own, for each unit of its charge. */
export const ORGANIC = 36;

export const IONS_SOURCE: SourceKey = 'crcIons';
