import { ELEMENTS } from './elements';

/** What a particle or a substance is made of. */
export interface Composition {
  /** Atoms of each element, by its symbol; electrons as "e". */
  atoms: Readonly<Record<string, number>>;
  charge: number;
}

/** Why a formula cannot be read, as a sentence. */
export class NoFormula extends Error {}

const LOWERED = '₀₁₂₃₄₅₆₇₈₉';
const RAISED = '⁰¹²³⁴⁵⁶⁷⁸⁹';

/** A formula as it is printed: its numbers lowered, but those before a part of it. */
export const printedFormula = (formula: string): string =>
  formula.replace(/(?<=[A-Za-z)\]])\d+/gu, (digits) => [...digits].map((digit) => LOWERED[Number(digit)]).join(''));

/** A formula as it can be typed on any keyboard: numbers on the line, a caret before a raised charge, a dot before crystal water. */
export const typedFormula = (text: string): string =>
  text
    .replace(/[₀-₉]/gu, (digit) => String(LOWERED.indexOf(digit)))
    .replace(
      /[⁰¹²³⁴⁵⁶⁷⁸⁹]*[⁺⁻]/gu,
      (run) =>
        `^${[...run].map((sign) => (sign === '⁺' ? '+' : sign === '⁻' ? '-' : String(RAISED.indexOf(sign)))).join('')}`,
    )
    .replace(/−/gu, '-')
    .replace(/[*•⋅.]/gu, '·')
    .trim();

/** Its charge, cut off its end. "Ca2+" is a single element with two charges, "NH4+" four hydrogens and one charge. */
function withoutCharge(text: string): { body: string; charge: number } {
  const raised = /^(.*?)\^(\d*)([+-])$/u.exec(text);
  if (raised) return { body: raised[1] ?? '', charge: Number(raised[2] || 1) * (raised[3] === '+' ? 1 : -1) };
  const plain = /^(.*?)(\d*)([+-])$/u.exec(text);
  if (!plain) return { body: text, charge: 0 };
  const [, before = '', digits = '', sign] = plain;
  const one = sign === '+' ? 1 : -1;
  // A single element, or a complex in square brackets.
  if (/^(?:[A-Z][a-z]?|.*\])$/u.test(before) && digits.length <= 1)
    return { body: before, charge: one * Number(digits || 1) };
  // The last of two digits or more is the charge: SO42-.
  if (digits.length > 1) return { body: before + digits.slice(0, -1), charge: one * Number(digits.at(-1)) };
  return { body: before + digits, charge: one };
}

/** The longest formula that is read, and how deep its brackets may lie. */
const LONGEST = 80;
const DEEPEST = 6;

/**
 * Reads a formula: H2O, Ca(OH)2, CuSO4·5H2O, SO4^2-, Fe3+, e-.
 * @throws NoFormula with a sentence
 */
export function compositionOf(written: string): Composition {
  const text = typedFormula(written);
  if (text.length > LONGEST) throw new NoFormula('This formula is too long to be read.');
  const { body, charge } = withoutCharge(text);
  if (body === 'e') return { atoms: { e: 1 }, charge };
  if (body === '') throw new NoFormula('A formula is missing.');
  const atoms: Record<string, number> = {};
  for (const part of body.split('·')) {
    const [, times = '', rest = ''] = /^(\d{0,4})(.*)$/u.exec(part) ?? [];
    addGroup(rest, Number(times || 1), atoms, written, 0);
  }
  return { atoms, charge };
}

function addGroup(text: string, times: number, atoms: Record<string, number>, whole: string, depth: number): void {
  const wrong = new NoFormula(`“${whole.slice(0, 30)}” cannot be read as a formula.`);
  if (text === '' || depth > DEEPEST) throw wrong;
  let rest = text;
  while (rest !== '') {
    const bracket = /^[([]/u.test(rest) ? closingAt(rest) : 0;
    if (bracket > 0) {
      const count = /^\d{0,4}/u.exec(rest.slice(bracket + 1))?.[0] ?? '';
      addGroup(rest.slice(1, bracket), times * Number(count || 1), atoms, whole, depth + 1);
      rest = rest.slice(bracket + 1 + count.length);
      continue;
    }
    const [all, symbol = '', count = ''] = /^([A-Z][a-z]?)(\d{0,4})/u.exec(rest) ?? [];
    if (all === undefined) throw wrong;
    if (!ELEMENTS.has(symbol)) throw new NoFormula(`“${symbol}” is no element.`);
    if (count === '0') throw wrong;
    atoms[symbol] = (atoms[symbol] ?? 0) + times * Number(count || 1);
    rest = rest.slice(all.length);
  }
}

/** Where the bracket that a text begins with is closed; 0 when it is not. */
function closingAt(text: string): number {
  let open = 0;
  for (let i = 0; i < text.length; i++) {
    if (/[([]/u.test(text[i] as string)) open++;
    else if (/[)\]]/u.test(text[i] as string) && --open === 0) return i;
  }
  return 0;
}
