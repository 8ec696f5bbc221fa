import { z } from 'zod';
import type { TypedNumber } from '../analysis/quantity';
import { readNumberAnswer } from './answer';
import { digitsNote, lastPlaceOf, placeOf, type Support } from './digits';
import type { Notebook } from '../notebook/document';
import { unitOf, sameDimensions, usualUnit, type KnownUnit } from '../notebook/units';
import type { Ask, AskOf, SampleQuantity, Truths } from './asks';

/** What a student hands in, as typed. */
export type Answers = Readonly<Record<string, { text: string; unit?: string }>>;

/** One answer held against the sample. Hidden until the teacher's rules allow it. */
export const checkedItemSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('number'),
    key: z.string(),
    /** In `unit`. */
    value: z.number(),
    trueValue: z.number().nullable(),
    unit: z.string(),
    /** (value − true)/true, percent. */
    differencePercent: z.number().nullable(),
    /** The narrowest band that holds the value, percent; null when none does. 0 of what is exact and right. */
    bandPercent: z.number().nullable(),
    /** value − true, in `unit`, where the bands are in the unit itself; null where they are in percent. */
    difference: z.number().nullable().default(null),
    /** The narrowest of such bands that holds the value; null when none does. */
    bandInUnit: z.number().nullable().default(null),
    /** So much of the value is rounding at most, of digits that Fen would have it rounded to. In `unit`. */
    half: z.number().default(0),
    /** Whether the band holds the value only as far as its last digit goes. */
    byRounding: z.boolean().default(false),
    /** Whether it is right or wrong, and nothing between. */
    exact: z.boolean().default(false),
    digitsNote: z.string().nullable(),
  }),
  z.object({
    kind: z.literal('match'),
    key: z.string(),
    right: z.boolean().nullable(),
    trueText: z.string().nullable(),
    /** Of a name that is not the right one: whether the readings do not rule it out. */
    isOpen: z.boolean().default(false),
    /** Of the right name: others that the readings do not rule out. */
    others: z.array(z.string()).default([]),
  }),
]);
export type CheckedItem = z.infer<typeof checkedItemSchema>;
export type CheckedNumber = Extract<CheckedItem, { kind: 'number' }>;

/** Why a report cannot be handed in: the key of an ask, or `readings`, and the sentence. */
export interface Problem {
  field: string;
  sentence: string;
}

export type Checked = { ok: true; items: CheckedItem[] } | { ok: false; problems: Problem[] };

interface Case {
  asks: readonly Ask[];
  answers: Answers;
  quantities: readonly SampleQuantity[];
  truths: Truths;
  /** By quantity, where the readings tell it; the report's own number of digits holds otherwise. */
  support?: Readonly<Record<string, Support>>;
  /** Names that the readings do not rule out, by quantity. */
  leftOpen?: Readonly<Record<string, readonly string[]>>;
  notebook?: Notebook;
}

type One = { item?: CheckedItem } | { sentence: string };

/**
 * Holds a report against the sample. Every answer that cannot be taken gives a sentence and its field, and what was left
 * out though it was asked for is one of those. Whether an answer can be taken is decided by what the ask says and never
 * by the truth: otherwise a refusal would tell something before anything is handed in.
 */
export function checkReport({
  asks,
  answers,
  quantities,
  truths,
  support = {},
  leftOpen = {},
  notebook,
}: Case): Checked {
  const items: CheckedItem[] = [];
  const problems: Problem[] = [];
  for (const ask of asks) {
    const answer = answers[ask.key];
    const text = answer?.text.trim() ?? '';
    if (text === '') {
      if (ask.required) problems.push({ field: ask.key, sentence: missing(ask) });
      continue;
    }
    const truth = 'quantity' in ask && ask.quantity !== null ? truths[ask.quantity] : undefined;
    const known = {
      quantities,
      notebook,
      support: 'quantity' in ask ? support[ask.quantity ?? ''] : undefined,
      leftOpen: 'quantity' in ask ? (leftOpen[ask.quantity ?? ''] ?? []) : [],
    };
    const one = checkOne(ask, text, answer?.unit, truth, known);
    if ('sentence' in one) problems.push({ field: ask.key, sentence: one.sentence });
    else if (one.item) items.push(one.item);
  }
  return problems.length > 0 ? { ok: false, problems } : { ok: true, items };
}

function missing(ask: Ask): string {
  switch (ask.kind) {
    case 'number':
      return `Type the value that you found: ${lower(ask.label)}.`;
    case 'name':
    case 'choice':
      return `Choose an answer to “${ask.label}”.`;
    case 'ratio':
      return `Give the ratio in whole numbers with a colon between: ${lower(ask.label)}.`;
    case 'text':
      return `“${ask.label}” is still empty.`;
    case 'sketch':
      return `A sketch is asked for: ${lower(ask.label)}. Draw one in Working and choose it here.`;
    case 'table':
    case 'graph':
      return `A ${ask.kind} is asked for: ${lower(ask.label)}. Choose one from your notebook.`;
  }
}

const lower = (label: string) => (/^[A-Z][a-z]/.test(label) ? label.charAt(0).toLowerCase() + label.slice(1) : label);

function checkOne(
  ask: Ask,
  text: string,
  unit: string | undefined,
  truth: number | string | undefined,
  {
    quantities,
    notebook,
    support,
    leftOpen,
  }: Pick<Case, 'quantities' | 'notebook'> & { support: Support | undefined; leftOpen: readonly string[] },
): One {
  switch (ask.kind) {
    case 'number':
      return checkNumber(ask, text, unit, truth, quantities, support);
    case 'name':
      if (!ask.options.includes(text)) return { sentence: `“${text.slice(0, 40)}” is not on the list.` };
      return match(ask.key, text, typeof truth === 'string' ? truth : ask.right, leftOpen);
    case 'choice':
      if (!ask.ownWords && !ask.options.includes(text)) return { sentence: `Choose one of the answers offered.` };
      return ask.right === null ? {} : match(ask.key, text, ask.right);
    case 'ratio': {
      const ratio = readRatio(text);
      if (!ratio)
        return {
          sentence: `“${text.slice(0, 40)}” is not a ratio. Write whole numbers with a colon between them.`,
        };
      const right = readRatio(typeof truth === 'string' ? truth : (ask.right ?? ''));
      return match(ask.key, ratio, right ?? null);
    }
    case 'text':
      return checkText(ask, text);
    case 'sketch':
      return among(text, notebook?.sketches, 'sketch');
    case 'table':
      return among(text, notebook?.tables, 'table');
    case 'graph':
      return among(text, notebook?.graphs, 'graph');
  }
}

function match(key: string, text: string, right: string | null, leftOpen: readonly string[] = []): One {
  const isRight = right === null ? null : text === right;
  const isOpen = isRight === false && leftOpen.includes(text);
  const others = isRight ? leftOpen.filter((name) => name !== text) : [];
  return { item: { kind: 'match', key, right: isRight, trueText: right, isOpen, others } };
}

function among(id: string, list: readonly { id: string }[] | undefined, what: string): One {
  if (list && !list.some((item) => item.id === id))
    return { sentence: `The ${what} that was chosen here is no longer in the notebook. Choose another.` };
  return {};
}

/** Whole numbers in lowest terms: "2:4" is "1 : 2". @returns undefined when it is no ratio */
export function readRatio(text: string): string | undefined {
  const parts = text.split(/[:/]|\bto\b/u).map((part) => Number(part.trim() || NaN));
  if (parts.length < 2 || parts.length > 4 || !parts.every((part) => Number.isInteger(part) && part > 0 && part < 1000))
    return undefined;
  const divisor = parts.reduce((a, b) => gcd(a, b));
  return parts.map((part) => part / divisor).join(' : ');
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

function checkText(ask: AskOf<'text'>, text: string): One {
  const words = text.split(/\s+/u).filter((word) => /[\p{L}\p{N}]/u.test(word));
  if (words.length < ask.leastWords) {
    const count = words.length === 1 ? 'one word' : `${words.length} words`;
    return { sentence: `“${ask.label}” has ${count}; at least ${ask.leastWords} are asked for.` };
  }
  const plain = text.toLowerCase();
  const unused = ask.words.filter((word) => !plain.includes(word.toLowerCase()));
  if (unused.length > 0) return { sentence: `“${ask.label}” does not use ${list(unused)} yet.` };
  return {};
}

const list = (words: string[]) => words.map((word) => `“${word}”`).join(words.length === 2 ? ' and ' : ', ');

const KINDS: Record<string, string> = {
  mL: 'volume',
  g: 'mass',
  mol: 'amount',
  s: 'time',
  m: 'length',
  K: 'temperature',
  'mol/L': 'concentration',
  'g/mL': 'density',
  'g/mol': 'molar mass',
  kPa: 'pressure',
  J: 'energy',
  'J/mol': 'molar energy',
  'J g⁻¹ K⁻¹': 'specific heat capacity',
};

const kindOf = (unit: KnownUnit): string | undefined => KINDS[usualUnit(unit.dimensions)];

/** The unit that goes with a number: typed behind it or chosen, and the same if both. */
function unitFor(
  number: TypedNumber,
  chosen: string | undefined,
  wanted: string,
): { factor: number; offset: number } | { sentence: string } {
  const own = unitOf(wanted) as KnownUnit;
  const typed = number.unit || chosen?.trim() || '';
  if (typed === '' && wanted !== '') return { sentence: `A number without a unit says nothing. Give it in ${wanted}.` };
  const known = unitOf(typed);
  const kind = kindOf(own);
  const here = `${kind ? `A ${kind} here is` : 'It is'} in ${wanted || 'bare numbers'}.`;
  if (!known)
    return { sentence: `“${typed.slice(0, 20)}” is not a unit${kind ? ` of ${kind}` : ''} that Fen knows. ${here}` };
  if (!sameDimensions(known.dimensions, own.dimensions)) {
    const what = typed === '%' ? 'a percentage' : kindOf(known);
    return {
      sentence: `“${typed}” is ${what ? (what === 'a percentage' ? what : `a unit of ${what}`) : 'a unit of another kind'}. ${here}`,
    };
  }
  const other = number.unit && chosen ? unitOf(chosen) : undefined;
  if (other && (other.factor !== known.factor || !sameDimensions(other.dimensions, known.dimensions)))
    return { sentence: `You typed ${number.unit} and chose ${chosen}. Keep one of them.` };
  return known;
}

/** Significant digits of a number as it was handed in; those of its uncertainty do not count. */
export const digitsHandedIn = (text: string): number => readNumberAnswer(text, '')?.number.significant ?? 1;

function checkNumber(
  ask: AskOf<'number'>,
  text: string,
  chosen: string | undefined,
  truth: number | string | undefined,
  quantities: readonly SampleQuantity[],
  support: Support | undefined,
): One {
  const answer = readNumberAnswer(text, ask.unit);
  if (!answer) return { sentence: `“${text.slice(0, 40)}” is not a number.` };
  const { number } = answer;
  const unit = unitFor(number, chosen, ask.unit);
  if ('sentence' in unit) return unit;
  const own = unitOf(ask.unit) as KnownUnit;
  const value = (number.value * unit.factor + unit.offset - own.offset) / own.factor;
  const quantity = quantities.find((entry) => entry.key === ask.quantity);
  const known = quantity?.kind === 'number' ? quantity : undefined;
  const trueValue = typeof truth === 'number' && known ? convert(truth, known.unit, ask.unit) : ask.expected;
  /** From the unit of the quantity to the one that was typed. */
  const scale = (unitOf(known?.unit ?? ask.unit)?.factor ?? own.factor) / unit.factor;
  const typedSupport = support && { ...support, uncertainty: support.uncertainty * scale };
  const half = 0.5 * lastPlaceOf(number);
  const allowed = Math.min(half, roundingAllowed(number, typedSupport, ask.digits)) * (unit.factor / own.factor);
  const exact = known?.exact ?? false;
  const held = heldAgainst(value, trueValue, exact ? NO_BANDS : ask, allowed);
  const isRight = exact && trueValue !== null && Math.abs(value - trueValue) <= 1e-6 * Math.abs(trueValue);
  return {
    item: {
      kind: 'number',
      key: ask.key,
      value,
      trueValue,
      unit: ask.unit,
      ...held,
      ...(isRight ? { bandPercent: 0 } : {}),
      half: allowed,
      exact,
      digitsNote: exact
        ? null
        : digitsNote({
            ...answer,
            support: typedSupport ?? null,
            digits: ask.digits,
            unit: number.unit || chosen || ask.unit,
          }),
    },
  };
}

/**
 * How much of a difference can be rounding that Fen would ask for: no answer is judged worse for it.
 * @returns in the unit that was typed
 */
function roundingAllowed(number: TypedNumber, support: Support | undefined, digits: number | null): number {
  if (support) return support.uncertainty > 0 ? 0.5 * placeOf(support.uncertainty) : 0;
  if (digits === null || digits < 3 || number.value === 0) return 0;
  return 0.5 * 10 ** (Math.floor(Math.log10(Math.abs(number.value))) - digits + 1);
}

type Bands = Pick<AskOf<'number'>, 'bandsPercent' | 'bandsInUnit'>;
const NO_BANDS: Bands = { bandsPercent: [], bandsInUnit: [] };

/** How far a value is from the true one, and the narrowest band that holds it, with what its last digit leaves open. */
function heldAgainst(value: number, trueValue: number | null, { bandsPercent, bandsInUnit }: Bands, allowed: number) {
  const nothing = {
    differencePercent: null,
    bandPercent: null,
    difference: null,
    bandInUnit: null,
    byRounding: false,
  };
  if (trueValue === null) return nothing;
  const difference = value - trueValue;
  const differencePercent = trueValue === 0 ? null : (difference / trueValue) * 100;
  if (bandsInUnit.length > 0) {
    const { band, byRounding } = narrowest(bandsInUnit, Math.abs(difference), allowed);
    return { ...nothing, differencePercent, difference, bandInUnit: band, byRounding };
  }
  if (differencePercent === null) return nothing;
  const open = (allowed / Math.abs(trueValue)) * 100;
  const { band, byRounding } = narrowest(bandsPercent, Math.abs(differencePercent), open);
  return { ...nothing, differencePercent, bandPercent: band, byRounding };
}

/** The narrowest band that holds a difference, and whether only as far as so much of it may be rounding. */
function narrowest(bands: readonly number[], size: number, rounding: number) {
  const inOrder = [...bands].sort((a, b) => a - b);
  // A value that stands at the very edge of a band is in it, whatever the last bit of a subtraction says.
  const holds = (left: number) => inOrder.find((band) => left <= band * (1 + 1e-9)) ?? null;
  const band = holds(size - rounding);
  return { band, byRounding: band !== null && band !== holds(size) };
}

/** @returns null when one is no unit or they are of different kinds */
export function convert(value: number, from: string, to: string): number | null {
  const a = unitOf(from);
  const b = unitOf(to);
  if (!a || !b || !sameDimensions(a.dimensions, b.dimensions)) return null;
  return (value * a.factor + a.offset - b.offset) / b.factor;
}
