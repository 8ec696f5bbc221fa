import { gramsPerMol } from '../../chemistry/molar-mass';
import { SOLIDS_THAT_FALL, type Form, type SolidEntry } from '../../databook/precipitates';
import type { SolidLook } from '../../databook/solid-looks';
import { colourChanged } from '../../chemistry/colour';
import { mixed, settledIn, solutionFrom, type Contents } from '../../chemistry/contents';
import { liquidRgb, merelyMixedRgb } from '../../chemistry/ion-colour';

/** What an eye tells of a mixture: its solid, its colour, whether it gives off gas. No finer, and without names. */

/** From so much on everyone sees a solid, and below so much nobody does, g/L. */
const SEEN_G_PER_L = 0.3;
const UNSEEN_G_PER_L = 0.03;
/** So much gas is seen to bubble, mol/L; less than that not. */
const BUBBLES_MOL_PER_L = 0.002;
/** How deep a drop on the plate is looked through, mm. */
const DROP_DEPTH_MM = 6;

const solidOf = new Map(SOLIDS_THAT_FALL.map((one) => [one.id, { ...one, gPerMol: gramsPerMol(one.formula) }]));

/** The solids in a mixture, g/L, the most first. */
export function solidsIn(contents: Contents): { entry: SolidEntry; gPerL: number }[] {
  if (contents.volumeMl <= 0) return [];
  const { solids, litres } = settledIn(contents);
  return Object.entries(solids)
    .map(([id, mol]) => {
      const entry = solidOf.get(id) as SolidEntry & { gPerMol: number };
      return { entry, gPerL: (mol * entry.gPerMol) / litres };
    })
    .sort((a, b) => b.gPerL - a.gPerL);
}

export interface SeenSolid {
  /** Looks of what lies there, each with its part in tenths, in the order of their names. */
  looks: readonly { look: SolidLook; tenths: number }[];
  form: Form;
  /** 1 a trace, 2 some, 3 much, 4 thick. */
  much: number;
}

const LEVELS_G_PER_L = [0.8, 3, 10] as const;

/** The solid that is seen; null where there is none. */
export function seenSolid(contents: Contents): SeenSolid | null {
  const all = solidsIn(contents);
  const gPerL = all.reduce((sum, one) => sum + one.gPerL, 0);
  const first = all[0];
  if (!first || gPerL < SEEN_G_PER_L) return null;
  const byLook = new Map<SolidLook, number>();
  for (const { entry, gPerL: own } of all) byLook.set(entry.look, (byLook.get(entry.look) ?? 0) + own / gPerL);
  const looks = [...byLook]
    .map(([look, part]) => ({ look, tenths: Math.round(10 * part) }))
    // A tenth of another colour nobody sees.
    .filter(({ tenths }) => tenths > 1)
    .sort((a, b) => (a.look < b.look ? -1 : 1));
  return { looks, form: first.entry.form, much: 1 + LEVELS_G_PER_L.filter((level) => gPerL > level).length };
}

/** What is noticed of two solutions put together, as it can be ticked. */
export const OBSERVED = [
  'nothing to be seen',
  'white or pale solid',
  'yellow solid',
  'red or brown solid',
  'blue or green solid',
  'gas',
  'gas and a solid',
  'another colour',
] as const;
export type Observed = (typeof OBSERVED)[number];

export const SOLID_CLASS: Record<SolidLook, Observed> = {
  white: 'white or pale solid',
  cream: 'white or pale solid',
  'pale yellow': 'white or pale solid',
  yellow: 'yellow solid',
  'golden yellow': 'yellow solid',
  'brick red': 'red or brown solid',
  brown: 'red or brown solid',
  'rust brown': 'red or brown solid',
  'dark grey': 'red or brown solid',
  'pale blue': 'blue or green solid',
  'blue green': 'blue or green solid',
  'dirty green': 'blue or green solid',
  'grey green': 'blue or green solid',
};

/** What is seen of a mixture, and whether people would differ about it: a trace, or two colours at once. */
export interface Observation {
  seen: Observed;
  isFaint: boolean;
}

/** A second colour of the solid that nobody overlooks, as a part of the first. */
const SECOND = 0.3;

/** What is noticed when two solutions have come together. */
export function observed(a: Contents, b: Contents): Observation {
  const { contents, gasMol } = mixed(a, b);
  const solids = solidsIn(contents);
  const gPerL = solids.reduce((sum, one) => sum + one.gPerL, 0);
  const gas = gasMol / (contents.volumeMl / 1000);
  const classes = solids.map(({ entry, gPerL: own }) => ({ seen: SOLID_CLASS[entry.look], gPerL: own }));
  const first = classes[0];
  const isMixed = classes.some(({ seen, gPerL: own }) => seen !== first?.seen && own > SECOND * (first?.gPerL ?? 0));
  const isFaint =
    isMixed ||
    (gPerL > UNSEEN_G_PER_L && gPerL < 3 * SEEN_G_PER_L) ||
    (gas > BUBBLES_MOL_PER_L / 10 && gas < 3 * BUBBLES_MOL_PER_L);
  const solid = first && gPerL >= SEEN_G_PER_L ? first.seen : null;
  if (gas >= BUBBLES_MOL_PER_L) return { seen: solid ? 'gas and a solid' : 'gas', isFaint };
  if (solid) return { seen: solid, isFaint };
  const [before, after] = [merelyMixedRgb(a, b, DROP_DEPTH_MM), liquidRgb(contents, DROP_DEPTH_MM)];
  return { seen: colourChanged(before, after) ? 'another colour' : 'nothing to be seen', isFaint };
}

/** So many drops of one and of the other, of bottles of these concentrations. */
export const dropsOf = (id: string, molPerL: number, drops: number): Contents =>
  solutionFrom(id, molPerL, 0.05 * drops);
