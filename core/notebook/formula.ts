import type { FunctionNode, MathNode, OperatorNode, SymbolNode, ParenthesisNode } from 'mathjs';
import { joinThousands, parseTyped } from '../analysis/quantity';
import { COLUMN_FUNCTIONS, FUNCTIONS, negative, ofColumn, power, product, sum } from './formula-arithmetic';
import { LIMITS } from './limits';
import { CannotCompute, lastOf, type Quantity } from './quantity-value';
import { BARE, parseFormula, unitOf } from './units';

/** What the symbols of a formula stand for. */
export interface Meaning {
  /** The one value of a symbol where the formula stands. @throws CannotCompute */
  value(symbol: string): Quantity | undefined;
  /** All values of a column that count, for means and the like. */
  values(symbol: string): readonly Quantity[] | undefined;
  /** One term, such as "mean(V)", moved by so much, in SI units: for the propagation of its uncertainty. */
  moved?: { term: string; by: number };
  /** Hears of each node that is worked out, so that whoever asks can stop at a limit. @throws CannotCompute */
  spend?(nodes: number): void;
}

export interface Formula {
  /** How many nodes its tree has: what working it out once costs. */
  nodes: number;
  /** Symbols that stand for something else than a unit or a function. */
  symbols: string[];
  /** Terms over a whole column, such as "mean(V)". */
  terms: { term: string; evaluate: (meaning: Meaning) => Quantity }[];
  /** @throws CannotCompute with the sentence for the student */
  evaluate(meaning: Meaning): Quantity;
}

type Step = (meaning: Meaning) => Quantity;

/** A number that is part of no name; what stands before it is taken along, since older browsers cannot look back. */
const NUMBER = /(^|[^\p{L}\p{N}_.,])((?:\d+(?:[.,]\d+)?|[.,]\d+)(?:[eE][+-]?\d{1,3})?)(?![\p{N}.,])/gu;
const HELD = /^held(\d+)_$/;
/** Numbers side by side that are no thousands; 5 1/s is five per second. */
const TWO_NUMBERS = /held\d+_\s+held\d+_(?!\s*\/)/;
const CAN = `A formula can use + - * / ^, brackets, and ${[...Object.keys(FUNCTIONS), ...COLUMN_FUNCTIONS].join(', ')}.`;

/**
 * Reads a formula such as `c_T * (V_2 - V_1) / 25.00 mL`. mathjs parses it; the values are worked out here, so that
 * digits and units go along. A whole number without decimals is exact; one with decimals has the digits it is written with.
 *
 * @throws CannotCompute when it cannot be read
 */
export function readFormula(text: string): Formula {
  if (text.trim() === '') throw new CannotCompute('There is no formula yet.');
  if (text.length > LIMITS.formula)
    throw new CannotCompute(`A formula has ${LIMITS.formula} signs at most. Work part of it out by itself first.`);
  const literals: Quantity[] = [];
  const plain = joinThousands(text.normalize('NFC'))
    .replace(/[−–]/gu, '-')
    .replace(/[·×⋅]/gu, '*')
    .replace(/[÷:]/gu, '/')
    .replace(/²/gu, '^2')
    .replace(/³/gu, '^3')
    .replace(/°C/gu, ' degC')
    .replace(NUMBER, (_, before: string, number: string) => {
      literals.push(literal(number));
      return `${before} held${literals.length - 1}_ `;
    });
  if (TWO_NUMBERS.test(plain))
    throw new CannotCompute('A sign is missing between two numbers that stand side by side.');
  if (/[=;,[\]{}"'?&|!<>\\]/u.test(plain)) throw new CannotCompute(CAN);
  let tree: MathNode;
  try {
    tree = parseFormula(plain);
  } catch {
    throw new CannotCompute(`“${text.slice(0, 60)}” cannot be read as a formula. Is a bracket or a sign missing?`);
  }
  const found: Found = { literals, symbols: new Set(), terms: new Map(), nodes: 0 };
  const evaluate = compile(tree, found, 0);
  return {
    nodes: found.nodes,
    symbols: [...found.symbols],
    terms: [...found.terms].map(([term, evaluate]) => ({ term, evaluate })),
    evaluate: (meaning) => {
      meaning.spend?.(found.nodes);
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
  nodes: number;
}

/**
 * A step for each node of the tree, which works its operands out once each; what is not on this list cannot be written
 * in a formula.
 */
function compile(node: MathNode, found: Found, depth: number): Step {
  found.nodes++;
  if (depth > LIMITS.formulaDepth || found.nodes > LIMITS.formulaNodes)
    throw new CannotCompute('This formula is too deep to follow. Work part of it out by itself first.');
  const down = (inner: MathNode) => compile(inner, found, depth + 1);
  if (isParenthesis(node)) return down(node.content);
  if (isSymbol(node)) return symbolStep(node.name, found);
  if (isOperator(node)) {
    const [a, b] = node.args.map(down) as [Step, Step?];
    if (!b && node.fn === 'unaryPlus') return a;
    if (!b && node.fn === 'unaryMinus') return (m) => negative(a(m));
    if (b && node.fn === 'add') return (m) => sum(a(m), b(m), 1);
    if (b && node.fn === 'subtract') return (m) => sum(a(m), b(m), -1);
    if (b && node.fn === 'multiply') return isWith(node) ? withUnit(node, a, b) : (m) => product(a(m), b(m), 1);
    if (b && node.fn === 'divide') return (m) => product(a(m), b(m), -1);
    if (b && node.fn === 'pow') return (m) => power(a(m), b(m));
  }
  if (isFunction(node)) return functionStep(node, found, depth);
  throw new CannotCompute(CAN);
}

/** Whether a product is a number with °C behind it, which is a temperature and not a multiple of one. */
const isWith = (node: OperatorNode) => {
  const [number, unit] = node.args;
  return number && unit && isSymbol(number) && HELD.test(number.name) && isSymbol(unit) && unit.name === 'degC';
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
      throw new CannotCompute(`“${name.slice(0, 24)}” is neither a column, a result, a constant nor a unit here.`);
    return value;
  };
}

function functionStep(node: FunctionNode, found: Found, depth: number): Step {
  const name = isSymbol(node.fn) ? node.fn.name : '';
  const [argument] = node.args;
  if (HELD.test(name)) throw new CannotCompute('Write * between a number and a bracket.');
  if (!argument || node.args.length !== 1) throw new CannotCompute(`${name} takes one value.`);
  if (COLUMN_FUNCTIONS.includes(name)) {
    if (!isSymbol(argument) || HELD.test(argument.name))
      throw new CannotCompute(`${name} takes the symbol of a column.`);
    const symbol = argument.name;
    found.symbols.add(symbol);
    const term = `${name}(${symbol})`;
    const evaluate: Step = (meaning) => {
      const values = meaning.values(symbol);
      if (!values) throw new CannotCompute(`“${symbol.slice(0, 24)}” is not the symbol of a column.`);
      if (values.length === 0) throw new CannotCompute(`Column ${symbol} holds no value that counts yet.`);
      const value = ofColumn(name, values);
      return meaning.moved?.term === term ? { ...value, si: value.si + meaning.moved.by } : value;
    };
    found.terms.set(term, evaluate);
    return evaluate;
  }
  if (Object.hasOwn(FUNCTIONS, name)) {
    const inner = compile(argument, found, depth + 1);
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
