import type { TypedNumber } from '../analysis/quantity';
import { unitOf, sameDimensions, usualUnit, type KnownUnit } from '../notebook/units';
import { readNumberAnswer, statedOf } from './answer';
import type { AskOf, SampleQuantity } from './asks';
import type { One } from './checked-item';
import { digitsNote, coarsestPlaceOf, placeOf, type Support } from './digits';

/** A number that was handed in: its unit, its digits, and how near it comes. */

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
  const here = wanted
    ? `${kind ? `A ${kind} here is` : 'It is'} in ${wanted}.`
    : 'Here a number stands alone, without a unit.';
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

/** A number held against its true value, by the question's own bands; what it cannot be gets a sentence. */
export function checkNumber(
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
  const stated = statedOf(answer);
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
  const half = 0.5 * coarsestPlaceOf(number);
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
      // Of what is exactly nothing no percent can be told: it is right or wrong all the same.
      ...(exact && trueValue === 0 ? { difference: value } : {}),
      half: allowed,
      ...(stated === null ? {} : { stated: stated * (unit.factor / own.factor) }),
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
