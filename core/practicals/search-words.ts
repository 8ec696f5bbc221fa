import { z } from 'zod';
import type { PracticalId } from './registry';

/** Words that teachers look for a practical by, and that stand neither in its title nor in its settings. */

const TITRATION = 'titration acid base neutralisation burette pipette indicator end point equivalence concentration';
const CALORIMETRY = 'calorimetry calorimeter enthalpy heat temperature thermometer';
const KINETIC = 'kinetic theory particle model molecules Maxwell Boltzmann';

const WORDS: Readonly<Record<PracticalId, string>> = {
  'acid-concentration': `${TITRATION} standard solution molarity`,
  'base-concentration': `${TITRATION} alkali molarity`,
  'polyprotic-acid': `${TITRATION} pH curve polyprotic diprotic`,
  'percent-by-mass': `${TITRATION} purity percentage mass balance`,
  'standardised-base': `${TITRATION} standardisation primary standard`,
  'unknown-acid': `${TITRATION} molar mass pKa acid constant half equivalence Henderson Hasselbalch`,
  'back-titration': `${TITRATION} carbonate antacid excess eggshell limestone`,
  'unknown-in-burette': `${TITRATION} stoichiometry`,
  'reading-a-scale': 'measuring cylinder meniscus parallax significant figures uncertainty volume',
  'regular-solids': 'density ruler calliper volume mass balance',
  displacement: 'density Archimedes displacement measuring cylinder volume mass slope',
  'liquid-density': 'density pycnometer density bottle measuring cylinder mass',
  'water-in-hydrate':
    'hydrate crystal water crucible burner heating constant mass empirical formula stoichiometry gravimetric',
  'which-hydrate': 'hydrate crystal water crucible burner colour dehydration gravimetric',
  'part-of-hydrate': 'hydrate mixture percentage crucible burner gravimetric',
  'which-react': 'stoichiometry limiting reagent precipitation mole ratio continuous variation Job',
  'which-bottle': 'precipitation qualitative analysis ions identification spot plate solubility',
  'solid-yield': 'stoichiometry limiting reagent percentage yield precipitation filtration gravimetric',
  'solid-found': 'gravimetric analysis precipitation filtration stoichiometry concentration',
  'runs-out': 'stoichiometry limiting reagent carbonate carbon dioxide gas mole ratio',
  'two-portions': `${CALORIMETRY} mixing heat capacity cup`,
  'metal-by-heat': `${CALORIMETRY} specific heat capacity`,
  'salt-by-heat': `${CALORIMETRY} dissolution solution endothermic exothermic`,
  'acid-with-base': `${CALORIMETRY} neutralisation exothermic`,
  'acid-by-temperature': `${CALORIMETRY} thermometric titration`,
  'pellet-in-oxygen': `${CALORIMETRY} combustion bomb food energy`,
  'lamp-fuels': `${CALORIMETRY} combustion alcohol fuel spirit burner`,
  'freezing-point': 'melting freezing cooling curve pure substance supercooling plateau',
  'molar-mass-by-freezing': 'freezing point depression cryoscopy colligative molar mass',
  'mixture-melting': 'melting point mixed melting depression identity purity eutectic',
  'pressure-volume': 'Boyle gas law syringe pressure volume',
  'volume-temperature': 'Charles Gay-Lussac gas law absolute zero syringe condensation',
  'pressure-temperature': 'Gay-Lussac Amontons gas law absolute zero gas thermometer',
  'vapour-molar-mass': 'Dumas ideal gas law molar mass volatile liquid',
  'gas-over-water': 'hydrogen metal acid Dalton partial pressure eudiometer molar volume stoichiometry',
  'one-particle': `${KINETIC} temperature energy speed`,
  'light-and-heavy': `${KINETIC} Graham effusion diffusion`,
  'one-law': `${KINETIC} Boyle Charles Gay-Lussac Avogadro ideal gas law piston`,
  'where-pressure-comes-from': `${KINETIC} pressure impact momentum piston`,
  'one-to-many': `${KINETIC} distribution statistics fluctuation`,
};

/** Names of what can be chosen, as far as a schema tells them: substances, vessels, instruments. */
function optionsIn(schema: unknown): string[] {
  if (typeof schema !== 'object' || schema === null) return [];
  return Object.entries(schema).flatMap(([key, value]) => {
    if ((key === 'enum' || key === 'const') && Array.isArray(value))
      return value.filter((one) => typeof one === 'string');
    if (key === 'options' && typeof value === 'object' && value !== null) return Object.values(value).map(String);
    if (key === 'label' && typeof value === 'string') return [value];
    return typeof value === 'object' ? optionsIn(value) : [];
  });
}

/** All that a practical is looked for by, beside its title and summary; each word once. */
export function searchWords(id: PracticalId, setup: z.ZodType, quantities: readonly string[]): string {
  const options = optionsIn(z.toJSONSchema(setup, { io: 'input' }));
  const words = [WORDS[id], ...quantities, ...options].join(' ').replaceAll('-', ' ').split(/\s+/);
  return [...new Set(words.map((word) => word.replace(/[(),;:]/g, '')).filter((word) => word.length > 2))].join(' ');
}
