import type { FunctionNode, MathNode, OperatorNode, SymbolNode, ParenthesisNode } from 'mathjs';
import { parseTyped } from '../analysis/quantity';
import { CannotCompute, digitsOf, lastOf, type Quantity } from './quantity-value';
import { BARE, isBare, parseFormula, sameDimensions, unitOf, usualUnit, type Dimensions } from './units';

/** What the symbols of a formula stand for. */
export interface Meaning {
  /** The one value of a symbol where the formula stands. @throws CannotCompute */
  value(symbol: string): Quantity | undefined;
  /** All values of a column that count, for means and the like. */
  values(symbol: string): readonly Quantity[] | undefined;
  /** One term, such as "mean(V)", moved by so much, in SI units: for the propagation of its uncertainty. */
  moved?: { term: string; by: number };
}

export interface Formula {
  /** Symbols that stand for something else than a unit or a function. */
  symbols: string[];
  /** Terms over a whole column, such as "mean(V)". */
  terms: { term: string; evaluate: (meaning: Meaning) => Quantity }[];
  /** @throws CannotCompute with the sentence for the student */
  evaluate(meaning: Meaning): Quantity;
}

type Step = (meaning: Meaning) => Quantity;

const exact = (si: number): Quantity => ({ si, dimensions: BARE, last: 0 });
const kind = (dimensions: Dimensions) => (isBare(dimensions) ? 'a bare number' : usualUnit(dimensions));

/** Sums: the same dimensions, and no digit beyond the coarser of the two. Two temperatures give a difference. */
function sum(a: Quantity, b: Quantity, sign: 1 | -1): Quantity {
  if (!sameDimensions(a.dimensions, b.dimensions)) {
    const verb = sign === 1 ? 'added to' : 'subtracted from';
    const [first, second] = sign === 1 ? [a, b] : [b, a];
    throw new CannotCompute(
      `${capital(kind(first.dimensions))} cannot be ${verb} ${kind(second.dimensions)}.`,
    );
  }
  const both = a.difference && b.difference;
  const difference = both || (sign === -1 && !a.difference && !b.difference);
  const celsius = !difference && (a.celsius || b.celsius);
  return {
    si: a.si + sign * b.si,
    dimensions: a.dimensions,
    last: Math.max(a.last, b.last),
    ...(difference ? { difference } : {}),
    ...(celsius ? { celsius } : {}),
  };
}

const capital = (text: string) => (/^a /.test(text) ? `A${text.slice(1)}` : text);

/** Degrees Celsius count from a zero that is not nothing: times two they are not twice as warm. */
function factor(a: Quantity): Quantity {
  if (a.celsius)
    throw new CannotCompute(
      'A temperature in °C cannot be multiplied or divided. Give it in K first, in a column or a result of its own; a difference of temperatures is in K too.',
    );
  return a;
}

/** Products: as many digits as the one with fewer. */
function product(a: Quantity, b: Quantity, sign: 1 | -1): Quantity {
  [a, b].forEach(factor);
  if (sign === -1 && b.si === 0) throw new CannotCompute('This divides by zero.');
  const si = sign === 1 ? a.si * b.si : a.si / b.si;
  return {
    si,
    dimensions: a.dimensions.map((power, i) => power + sign * (b.dimensions[i] as number)),
    last: lastOf(si, Math.min(digitsOf(a), digitsOf(b))),
    difference: true,
  };
}

function power(a: Quantity, b: Quantity): Quantity {
  factor(a);
  if (!isBare(b.dimensions)) throw new CannotCompute('An exponent is a bare number.');
  const si = a.si ** b.si;
  if (!Number.isFinite(si)) throw new CannotCompute('This power has no value.');
  if (b.last === 0)
    return {
      si,
      dimensions: a.dimensions.map((p) => p * b.si),
      last: lastOf(si, digitsOf(a)),
      difference: true,
    };
  if (!isBare(a.dimensions)) throw new CannotCompute('Only a bare number can be raised to a measured power.');
  // As with logarithms, the decimals of the exponent are the digits of the result.
  return { si, dimensions: BARE, last: lastOf(si, Math.max(-Math.log10(b.last), 1)) };
}

function bare(a: Quantity, name: string): number {
  if (!isBare(a.dimensions)) {
    const unit = usualUnit(a.dimensions);
    throw new CannotCompute(`${name} needs a bare number, not ${unit}. Divide by 1 ${unit} first.`);
  }
  return a.si;
}

function logarithm(a: Quantity, name: string, value: (x: number) => number): Quantity {
  const x = bare(a, name);
  if (x <= 0) throw new CannotCompute(`${name} needs a number above zero.`);
  return { si: value(x), dimensions: BARE, last: a.last === 0 ? 0 : 10 ** -digitsOf(a) };
}

/** Functions of one value, with the digits that are taught for them. */
const FUNCTIONS: Record<string, (a: Quantity) => Quantity> = {
  sqrt: (a) => {
    if (a.si < 0) throw new CannotCompute('There is no square root of a negative number.');
    return power(a, exact(0.5));
  },
  abs: (a) => ({ ...a, si: Math.abs(a.si) }),
  ln: (a) => logarithm(a, 'ln', Math.log),
  log10: (a) => logarithm(a, 'log10', Math.log10),
  lg: (a) => logarithm(a, 'lg', Math.log10),
  exp: (a) => {
    const si = Math.exp(bare(a, 'exp'));
    return { si, dimensions: BARE, last: a.last === 0 ? 0 : lastOf(si, Math.max(-Math.log10(a.last), 1)) };
  },
};

/** Functions of all values of a column that count. */
const OF_COLUMN: Record<string, (values: readonly Quantity[]) => Quantity> = {
  mean: (values) => {
    const si = values.reduce((total, value) => total + value.si, 0) / values.length;
    // Each value's own uncertainty, taken as independent; what the repeats tell of it is se.
    const squares = values.reduce((total, value) => total + (value.error ?? 0) ** 2, 0);
    const error = squares > 0 ? Math.sqrt(squares) / values.length : undefined;
    return { ...like(values), si, last: coarsest(values), ...(error === undefined ? {} : { error }) };
  },
  sum: (values) => ({ ...like(values), si: values.reduce((total, value) => total + value.si, 0), last: coarsest(values) }), // prettier-ignore
  sd: (values) => {
    if (values.length < 2) throw new CannotCompute('A standard deviation needs at least two values.');
    const si = deviation(values);
    return { ...like(values), si, last: lastOf(si, 2), difference: true };
  },
  se: (values) => {
    const sd = (OF_COLUMN['sd'] as (values: readonly Quantity[]) => Quantity)(values);
    const si = sd.si / Math.sqrt(values.length);
    return { ...sd, si, last: lastOf(si, 2) };
  },
  spread: (values) => {
    const all = values.map((value) => value.si);
    return { ...like(values), si: Math.max(...all) - Math.min(...all), last: coarsest(values), difference: true }; // prettier-ignore
  },
  min: (values) => values.reduce((least, value) => (value.si < least.si ? value : least)),
  max: (values) => values.reduce((most, value) => (value.si > most.si ? value : most)),
  count: (values) => exact(values.length),
};

const like = (values: readonly Quantity[]) => values[0] as Quantity;
const coarsest = (values: readonly Quantity[]) => Math.max(...values.map((value) => value.last));

function deviation(values: readonly Quantity[]): number {
  const mean = values.reduce((total, value) => total + value.si, 0) / values.length;
  return Math.sqrt(values.reduce((total, value) => total + (value.si - mean) ** 2, 0) / (values.length - 1));
}

const NUMBER = /(?<![\p{L}\p{N}_.,])(\d+(?:[.,]\d+)?|[.,]\d+)(?:[eE]([+-]?\d{1,3}))?(?![\p{N}.,])/gu;
const HELD = /^held(\d+)_$/;
const CAN = `A formula can use + - * / ^, brackets, and ${[...Object.keys(FUNCTIONS), ...Object.keys(OF_COLUMN)].join(', ')}.`; // prettier-ignore

/**
 * Reads a formula such as `c_T * (V_2 - V_1) / 25.00 mL`. mathjs parses it; the values are worked out here, so that
 * digits and units go along. A whole number without decimals is exact; one with decimals has the digits it is written with.
 *
 * @throws CannotCompute when it cannot be read
 */
export function readFormula(text: string): Formula {
  if (text.trim() === '') throw new CannotCompute('There is no formula yet.');
  const literals: Quantity[] = [];
  const plain = text
    .normalize('NFC')
    .replace(/[−–]/gu, '-')
    .replace(/[·×⋅]/gu, '*')
    .replace(/[÷:]/gu, '/')
    .replace(/²/gu, '^2')
    .replace(/³/gu, '^3')
    .replace(/°C/gu, ' degC')
    .replace(NUMBER, (number) => {
      literals.push(literal(number));
      return ` held${literals.length - 1}_ `;
    });
  if (/[=;,[\]{}"'?&|!<>\\]/u.test(plain)) throw new CannotCompute(CAN);
  let tree: MathNode;
  try {
    tree = parseFormula(plain);
  } catch {
    throw new CannotCompute(
      `“${text.slice(0, 60)}” cannot be read as a formula. Is a bracket or a sign missing?`,
    );
  }
  const found: Found = { literals, symbols: new Set(), terms: new Map() };
  const evaluate = compile(tree, found);
  return {
    symbols: [...found.symbols],
    terms: [...found.terms].map(([term, evaluate]) => ({ term, evaluate })),
    evaluate: (meaning) => {
      const value = evaluate(meaning);
      if (!Number.isFinite(value.si)) throw new CannotCompute('This has no finite value.');
      return value;
    },
  };
}

/** A number in a formula: whole ones count, others were measured. */
function literal(text: string): Quantity {
  const typed = parseTyped(text);
  if (!typed) throw new CannotCompute(`“${text}” is not a number.`);
  const isCount = /^\d+$/.test(text);
  return { si: typed.value, dimensions: BARE, last: isCount ? 0 : lastOf(typed.value, typed.significant) };
}

const isSymbol = (node: MathNode): node is SymbolNode => node.type === 'SymbolNode';
const isOperator = (node: MathNode): node is OperatorNode => node.type === 'OperatorNode';
const isFunction = (node: MathNode): node is FunctionNode => node.type === 'FunctionNode';
const isParenthesis = (node: MathNode): node is ParenthesisNode => node.type === 'ParenthesisNode';

/** What a formula turns out to hold while it is compiled. */
interface Found {
  literals: readonly Quantity[];
  symbols: Set<string>;
  terms: Map<string, Step>;
}

/** A step for each node of the tree; what is not on this list cannot be written in a formula. */
function compile(node: MathNode, found: Found): Step {
  const down = (inner: MathNode) => compile(inner, found);
  if (isParenthesis(node)) return down(node.content);
  if (isSymbol(node)) return symbolStep(node.name, found);
  if (isOperator(node)) {
    const [a, b] = node.args.map(down) as [Step, Step?];
    if (!b && node.fn === 'unaryPlus') return a;
    if (!b && node.fn === 'unaryMinus') return (m) => ({ ...a(m), si: -a(m).si });
    if (b && node.fn === 'add') return (m) => sum(a(m), b(m), 1);
    if (b && node.fn === 'subtract') return (m) => sum(a(m), b(m), -1);
    if (b && node.fn === 'multiply')
      return isWith(node) ? withUnit(node, a, b) : (m) => product(a(m), b(m), 1);
    if (b && node.fn === 'divide') return (m) => product(a(m), b(m), -1);
    if (b && node.fn === 'pow') return (m) => power(a(m), b(m));
  }
  if (isFunction(node)) return functionStep(node, found);
  throw new CannotCompute(CAN);
}

/** Whether a product is a number with °C behind it, which is a temperature and not a multiple of one. */
const isWith = (node: OperatorNode) => {
  const [number, unit] = node.args;
  return (
    number && unit && isSymbol(number) && HELD.test(number.name) && isSymbol(unit) && unit.name === 'degC'
  );
};

function withUnit(_node: OperatorNode, number: Step, unit: Step): Step {
  return (m) => {
    const { si, last } = number(m);
    return { si: si + 273.15, dimensions: unit(m).dimensions, last, celsius: true };
  };
}

function symbolStep(name: string, { literals, symbols }: Found): Step {
  const held = HELD.exec(name);
  if (held) {
    const value = literals[Number(held[1])] as Quantity;
    return () => value;
  }
  symbols.add(name);
  const unit = unitOf(name === 'degC' ? '°C' : name);
  const asUnit = unit && { si: unit.factor, dimensions: unit.dimensions, last: 0, difference: true };
  return (meaning) => {
    const value = meaning.value(name) ?? asUnit;
    if (!value)
      throw new CannotCompute(
        `“${name.slice(0, 24)}” is neither a column, a result, a constant nor a unit here.`,
      );
    return value;
  };
}

function functionStep(node: FunctionNode, found: Found): Step {
  const name = isSymbol(node.fn) ? node.fn.name : '';
  const [argument] = node.args;
  if (HELD.test(name)) throw new CannotCompute('Write * between a number and a bracket.');
  if (!argument || node.args.length !== 1) throw new CannotCompute(`${name} takes one value.`);
  if (Object.hasOwn(OF_COLUMN, name)) {
    if (!isSymbol(argument) || HELD.test(argument.name))
      throw new CannotCompute(`${name} takes the symbol of a column.`);
    const symbol = argument.name;
    found.symbols.add(symbol);
    const term = `${name}(${symbol})`;
    const evaluate: Step = (meaning) => {
      const values = meaning.values(symbol);
      if (!values) throw new CannotCompute(`“${symbol.slice(0, 24)}” is not the symbol of a column.`);
      if (values.length === 0) throw new CannotCompute(`Column ${symbol} holds no value that counts yet.`);
      const value = (OF_COLUMN[name] as (values: readonly Quantity[]) => Quantity)(values);
      return meaning.moved?.term === term ? { ...value, si: value.si + meaning.moved.by } : value;
    };
    found.terms.set(term, evaluate);
    return evaluate;
  }
  if (Object.hasOwn(FUNCTIONS, name)) {
    const inner = compile(argument, found);
    return (meaning) => (FUNCTIONS[name] as (a: Quantity) => Quantity)(inner(meaning));
  }
  // A symbol before a bracket is a product that lacks its sign.
  if (/^[\p{L}_][\p{L}\p{N}_]*$/u.test(name))
    throw new CannotCompute(
      `“${name.slice(0, 24)}” is not a function here. For a product, write * before the bracket.`,
    );
  throw new CannotCompute(CAN);
}

/**
 * A formula with its uncertainty to first order: each symbol that has one is moved up and down by it, and the changes
 * are added as squares. A symbol that stands twice is moved in both places at once.
 * Source: JCGM 100:2008 (GUM), 5.1.2, with the numerical derivative of 5.1.3 note 2.
 */
export function evaluateWithError(formula: Formula, meaning: Meaning): Quantity {
  const value = formula.evaluate(meaning);
  const causes: { error: number; moved: (by: number) => Meaning }[] = [];
  const inTerms = new Set(formula.terms.map(({ term }) => term.replace(/^\w+\(|\)$/gu, '')));
  for (const symbol of formula.symbols) {
    const own = inTerms.has(symbol) ? undefined : meaning.value(symbol);
    if (!own?.error) continue;
    const moved = (by: number): Meaning => ({
      ...meaning,
      value: (name) => (name === symbol ? { ...own, si: own.si + by } : meaning.value(name)),
    });
    causes.push({ error: own.error, moved });
  }
  for (const { term, evaluate } of formula.terms) {
    const { error } = evaluate(meaning);
    if (error) causes.push({ error, moved: (by) => ({ ...meaning, moved: { term, by } }) });
  }
  if (causes.length === 0) return value;
  const squares = causes.map(({ error, moved }) => {
    const change = formula.evaluate(moved(error)).si - formula.evaluate(moved(-error)).si;
    return (change / 2) ** 2;
  });
  return { ...value, error: Math.sqrt(squares.reduce((total, square) => total + square, 0)) };
}
