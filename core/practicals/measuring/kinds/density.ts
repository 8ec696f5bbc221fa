import { LIQUIDS } from '../../../databook/liquids';
import { MATERIALS, materialOf, type Material } from '../../../databook/materials';
import { chance, shuffled } from '../../../random';
import type { Ask, SampleQuantity, Truths } from '../../../report/asks';
import { namesLeftOpen, pairObjection, type Likeness } from '../../look-alikes';
import type { Found } from '../../uncertainty';
import { askFor, askName, reportOf } from '../../report-parts';
import { LETTERS } from '../plan';
import type { Kind } from '../kind';
import type { Lot } from '../sample';
import { coarsestOf, densityFrom, pairOf, type Pair } from '../pairs';
import type { Row } from '../rows';

/** What the practicals share whose result is the density of unknowns, and a name for each. */

export const lettersFor = (unknowns: string) => LETTERS.slice(0, Number(unknowns));

/** Which of the pool a student is given: all different as far as the pool goes, and drawn or the same for everyone. */
export function chosenFrom(
  pool: readonly string[],
  count: number,
  isDrawn: boolean,
  seed: string,
  index: number,
): string[] {
  const order = shuffled(pool.length, chance(seed, isDrawn ? `pool ${index}` : 'pool'));
  return Array.from({ length: count }, (_, i) => pool[order[i % pool.length] as number] as string);
}

const sorted = (names: string[]) => [...names].sort((a, b) => a.localeCompare(b, 'en'));
/** All that the data book names: the pool of the teacher would narrow it down. */
export const SOLID_NAMES = sorted(MATERIALS.map(({ name }) => name));
export const LIQUID_NAMES = sorted(LIQUIDS.map(({ name }) => name));

type DensityQuantity = Extract<SampleQuantity, { kind: 'number' }>;

const densityQuantity = (letter: string, unit: string): DensityQuantity => ({
  key: `density${letter}`,
  label: `Density of ${letter}`,
  kind: 'number',
  unit,
  digits: 3,
});

function densityQuantities(letters: string[], unit: string, names: string[]): SampleQuantity[] {
  return letters.flatMap((letter): SampleQuantity[] => [
    densityQuantity(letter, unit),
    { key: `name${letter}`, label: `What ${letter} is`, kind: 'name', options: names },
  ]);
}

const ofLot = (rows: readonly Row[], lot: number): Pair[] =>
  rows.filter((row) => row.lot === lot).flatMap((row) => pairOf(row) ?? []);

function densityResults(rows: readonly Row[], letters: string[], bySlope: boolean): Readonly<Record<string, number>> {
  const results: Record<string, number> = {};
  letters.forEach((letter, lot) => {
    const density = densityFrom(ofLot(rows, lot), bySlope);
    if (density !== undefined) results[`density${letter}`] = density;
  });
  return results;
}

const coarsestReadings = (rows: readonly Row[], letters: string[]): Readonly<Record<string, string>> =>
  Object.fromEntries(letters.map((letter, lot) => [`density${letter}`, coarsestOf(ofLot(rows, lot))]));

/** Mass by volume the wrong way round. */
const upsideDown = (rows: readonly Row[], letters: string[], bySlope: boolean) =>
  Object.entries(densityResults(rows, letters, bySlope)).map(([quantity, density]) => ({
    key: 'upside-down',
    label: 'Volume divided by mass, in place of mass by volume',
    quantity,
    factor: 1 / density ** 2,
  }));

/** What a class's table and a run's page tell the teacher of the unknowns: names first, densities second. */
export function unknownsTruth(
  lots: readonly { letter: string; name: string; density: string; more: string }[],
  unit: string,
): { label: string; text: string }[] {
  const each = (text: (lot: (typeof lots)[number]) => string) =>
    lots.map((lot) => (lots.length > 1 ? `${lot.letter} ${text(lot)}` : text(lot))).join(', ');
  return [
    { label: 'What it is', text: each((lot) => lot.name) },
    { label: 'Density', text: `${each((lot) => lot.density)} ${unit}` },
    ...lots.map((lot) => ({ label: lot.letter, text: lot.more })),
  ];
}

/** True densities and names of solids that were drawn. */
const solidTruths = (letters: readonly string[], lots: readonly Lot[]): Truths =>
  Object.fromEntries(
    letters.flatMap((letter, i) => {
      const material = materialOf(lots[i]?.materialId ?? '');
      return [
        [`density${letter}`, material.densityGPerMl],
        [`name${letter}`, material.name],
      ];
    }),
  );

/** Which material each density is one of. */
const solidPools = (letters: readonly string[], lots: readonly Lot[]) =>
  Object.fromEntries(lots.map(({ materialId }, i) => [`density${letters[i]}`, materialOf(materialId).name]));

/** What the teacher reads of solids that were drawn. */
const solidsTruth = (letters: readonly string[], lots: readonly Lot[], more: (lot: Lot) => string) =>
  unknownsTruth(
    lots.map((lot, i) => {
      const { name, densityGPerMl, decimals } = materialOf(lot.materialId);
      return { letter: letters[i] ?? '', name, density: densityGPerMl.toFixed(decimals), more: more(lot) };
    }),
    'g/cm³',
  );

interface Unknowns {
  unknowns: string;
}

/** How near to one another densities may lie that the tray tells apart, as a part: twice the best uncertainty of a careful student. */
export const TOLD_APART = {
  displacement: 0.012,
  calliper: 0.008,
  ruler: 0.016,
  cylinder: 0.009,
  'density bottle': 0.0015,
};

const likeness = ({ name, look, densityGPerMl }: Material): Likeness => ({
  name,
  look,
  values: { density: densityGPerMl },
});

/** Why two of a pool are not to be given out together. */
export function objectionTo(field: string, pool: readonly Likeness[], apart: number, more: string) {
  const sentence = pairObjection(pool, (_, value) => apart * value, more);
  return sentence === null ? [] : [{ field, sentence }];
}

export const solidObjections = (ids: readonly string[], apart: number) =>
  objectionTo(
    'solids',
    ids.map((id) => likeness(materialOf(id))),
    apart,
    'Leave one of them out.',
  );

/** Names that densities so uncertain leave open, of candidates that look like what was given. */
export function densitiesLeftOpen(
  letters: readonly string[],
  candidates: readonly Likeness[],
  looks: readonly string[],
  { results, uncertainties }: Found,
) {
  return Object.fromEntries(
    letters.map((letter, i) => {
      const [density, uncertainty] = [results[`density${letter}`], uncertainties[`density${letter}`]];
      const values: Record<string, number> = density === undefined ? {} : { density };
      // Two standard uncertainties: about one in twenty lies further off.
      return [
        `name${letter}`,
        namesLeftOpen(candidates, { name: '', look: looks[i] ?? '', values }, () => 2 * (uncertainty ?? 0)),
      ];
    }),
  );
}

/** How densities of unknowns follow from trials: the same for all that ask for them. */
export const densityKind = <Setup extends Unknowns>(
  unit: string,
  names: string[],
  bySlope = false,
): Pick<Kind<Setup>, 'room' | 'quantities' | 'results' | 'hints' | 'slips'> => ({
  room: () => 5000,
  quantities: ({ unknowns }) => densityQuantities(lettersFor(unknowns), unit, names),
  results: ({ unknowns }, _, rows) => densityResults(rows, lettersFor(unknowns), bySlope),
  hints: ({ unknowns }, rows) => coarsestReadings(rows, lettersFor(unknowns)),
  slips: ({ unknowns }, _, rows) => upsideDown(rows, lettersFor(unknowns), bySlope),
});

/** The same of solids, which are drawn from the data book. @param more what else the teacher reads of each */
export const solidDensityKind = <Setup extends Unknowns>(
  more: (lot: Lot) => string,
  bySlope = false,
): ReturnType<typeof densityKind<Setup>> & Pick<Kind<Setup>, 'truths' | 'truth' | 'pool' | 'leftOpen'> => ({
  ...densityKind<Setup>('g/cm³', SOLID_NAMES, bySlope),
  truths: ({ unknowns }, { lots }) => solidTruths(lettersFor(unknowns), lots),
  truth: ({ unknowns }, { lots }) => solidsTruth(lettersFor(unknowns), lots, more),
  pool: ({ unknowns }, { lots }) => solidPools(lettersFor(unknowns), lots),
  leftOpen: ({ unknowns }, { lots }, found) =>
    densitiesLeftOpen(
      lettersFor(unknowns),
      MATERIALS.map(likeness),
      lots.map(({ materialId }) => materialOf(materialId).look),
      found,
    ),
});

interface Parts {
  letters: string[];
  unit: string;
  names: string[];
  bandsPercent: readonly number[];
  hypothesis: boolean;
  question: { label: string; options: string[] };
  measured: { label: string; options: [right: string, ...wrong: string[]] };
  resultHelp: string;
  aims: string[];
  more?: Ask[];
}

/** The report that comes with a density: before the bench, the densities and names, and after it. */
export function densityReport(parts: Parts): Ask[] {
  const report = reportOf({
    measured: parts.measured,
    hypothesis: parts.hypothesis ? parts.question : null,
    results: [
      ...parts.letters.flatMap((letter): Ask[] => [
        askFor(densityQuantity(letter, parts.unit), parts.bandsPercent, parts.resultHelp),
        {
          ...askName(
            `What is ${letter}?`,
            parts.names,
            'Compare with the data book, and think of what your uncertainty leaves open.',
          ),
          key: `name${letter}`,
          quantity: `name${letter}`,
        },
      ]),
      ...(parts.more ?? []),
    ],
    working: 'A few lines: the volume, the mass, the density with its digits, and how uncertain it is.',
    evidence: {
      help: `Which readings support the name, and which other names can you not rule out?${parts.hypothesis ? ' Come back to your hypothesis.' : ''}`,
      words: ['density'],
    },
    aims: parts.aims,
  });
  return report;
}
