import { compositionOf, NoFormula, typedFormula, type Composition } from './formula';

/** A chemical equation as people type it: read, balanced or not, the same as another or not. */

/** One substance of a side with its number, which can be a fraction. */
interface Term {
  times: number;
  over: number;
  composition: Composition;
}
export interface ChemicalEquation {
  left: readonly Term[];
  right: readonly Term[];
}

const ARROW = /<?-+>|<?=+>?|[→⟶⇌⇄]/u;
const STATES = /\((?:s|l|g|aq)\)/gu;
const FRACTIONS: Record<string, string> = { '½': '1/2', '⅓': '1/3', '¼': '1/4', '¾': '3/4', '⅔': '2/3' };

/** The longest equation that is read. */
const LONGEST = 300;

/** A plus between two substances: with space around it, or right before the next. One with space only behind it is a charge. */
const BETWEEN = /\s+\+\s*|\+(?=\s*[A-Z[(\d½⅓¼¾⅔])/u;

/** @returns the equation, or why it cannot be read, as a sentence */
export function readEquation(written: string): ChemicalEquation | { sentence: string } {
  if (written.length > LONGEST) return { sentence: 'This equation is too long to be read.' };
  const sides = written.replace(STATES, '').split(ARROW);
  if (sides.length !== 2) return { sentence: 'Write an equation with one arrow, such as 2 H2 + O2 -> 2 H2O.' };
  try {
    const [left = [], right = []] = sides.map((side) => side.trim().split(BETWEEN).map(termOf));
    return { left, right };
  } catch (error) {
    if (error instanceof NoFormula) return { sentence: error.message };
    throw error;
  }
}

function termOf(written: string): Term {
  const text = typedFormula(written.replace(/[½⅓¼¾⅔]/gu, (sign) => `${FRACTIONS[sign]} `).replace(/\s+/gu, ' '));
  const [, times = '', over = '', formula = ''] = /^(?:(\d{1,4})(?:\/(\d{1,3}))?\s*)?(.*)$/u.exec(text) ?? [];
  const number = { times: Number(times || 1), over: Number(over || 1) };
  if (number.times === 0 || number.over === 0) throw new NoFormula('A substance cannot stand there zero times.');
  return { ...number, composition: compositionOf(formula.replace(/\s/gu, '')) };
}

/** A composition in one way of writing it: the same atoms and the same charge are the same substance. */
const nameOf = ({ atoms, charge }: Composition): string =>
  `${Object.entries(atoms)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([symbol, count]) => `${symbol}${count}`)
    .join(' ')} ${charge}`;

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** Whole numbers of each substance on each side, in lowest terms. */
function inLowestTerms({ left, right }: ChemicalEquation): Map<string, number>[] {
  const terms = [...left, ...right];
  const common = terms.reduce((all, { over }) => (all * over) / gcd(all, over), 1);
  const whole = [left, right].map((side) => {
    const counts = new Map<string, number>();
    for (const { times, over, composition } of side) {
      const name = nameOf(composition);
      counts.set(name, (counts.get(name) ?? 0) + (times * common) / over);
    }
    return counts;
  });
  const shared = whole.flatMap((side) => [...side.values()]).reduce(gcd, 0);
  return whole.map((side) => new Map([...side].map(([name, count]) => [name, count / shared])));
}

/** Whether two equations say the same: the same substances on the same sides in the same ratio, in any order. */
export function sameEquation(a: ChemicalEquation, b: ChemicalEquation): boolean {
  const [one, other] = [inLowestTerms(a), inLowestTerms(b)];
  return one.every((side, i) => {
    const there = other[i] as Map<string, number>;
    return side.size === there.size && [...side].every(([name, count]) => there.get(name) === count);
  });
}

/** What is not balanced, as a sentence; null when all is. */
export function imbalance({ left, right }: ChemicalEquation): string | null {
  const totals = (side: readonly Term[]) => {
    const sum: Record<string, number> = {};
    for (const { times, over, composition } of side) {
      const { e: _electrons, ...atoms } = composition.atoms;
      for (const [symbol, count] of Object.entries({ ...atoms, charge: composition.charge }))
        sum[symbol] = (sum[symbol] ?? 0) + (times * count) / over;
    }
    return sum;
  };
  const [before, after] = [totals(left), totals(right)];
  const wrong = [...new Set([...Object.keys(before), ...Object.keys(after)])].find(
    (symbol) => Math.abs((before[symbol] ?? 0) - (after[symbol] ?? 0)) > 1e-9,
  );
  if (wrong === undefined) return null;
  const [one, other] = [before[wrong] ?? 0, after[wrong] ?? 0].map((count) =>
    String(Number(count.toFixed(2))).replace('-', '−'),
  );
  return wrong === 'charge'
    ? `It is not balanced: the charge is ${one} on the left and ${other} on the right.`
    : `It is not balanced: there are ${one} ${wrong} on the left and ${other} on the right.`;
}
