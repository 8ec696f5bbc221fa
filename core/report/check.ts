import { imbalance, readEquation, sameEquation } from '../chemistry/chemical-equation';
import { checkNumber } from './check-number';
import { cellsRight, gridOf } from './grid';
import type { Support } from './digits';
import type { Notebook } from '../notebook/document';
import type { Ask, AskOf, SampleQuantity, Truths } from './asks';
import type { CheckedItem, One } from './checked-item';

/** What a student hands in, as typed. */
export type Answers = Readonly<Record<string, { text: string; unit?: string }>>;

/** Why a report cannot be handed in: the key of an ask, or `readings`, and the sentence. */
interface Problem {
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
    case 'equation':
      return `Write the equation: ${lower(ask.label)}.`;
    case 'grid':
      return `Fill the grid in: ${lower(ask.label)}.`;
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
    case 'equation':
      return checkEquation(ask, text, typeof truth === 'string' ? truth : ask.right);
    case 'grid':
      return checkGrid(ask, text, typeof truth === 'string' ? truth : ask.right);
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
  return { item: { kind: 'match', key, right: isRight, trueText: right, isOpen, others, note: null } };
}

/** Read by its substances and their ratio; one that says the same is right. Whether it is balanced is told. */
function checkEquation({ key }: AskOf<'equation'>, text: string, right: string | null): One {
  const read = readEquation(text);
  if ('sentence' in read) return { sentence: read.sentence };
  const known = right === null ? undefined : readEquation(right);
  const note = imbalance(read);
  const isRight = known && !('sentence' in known) ? sameEquation(read, known) : note === null;
  return { item: { kind: 'match', key, right: isRight, trueText: right, isOpen: false, others: [], note } };
}

/** Every cell has to be filled in, with one of what is offered. */
function checkGrid(ask: AskOf<'grid'>, text: string, right: string | null): One {
  const grid = gridOf(text, ask);
  for (const [i, row] of grid.entries())
    for (const [j, cell] of row.entries()) {
      const place = ask.columns.length > 1 ? `“${ask.rows[i]}”, “${ask.columns[j]}”` : `“${ask.rows[i]}”`;
      if (cell === '') return { sentence: `Nothing stands at ${place} yet.` };
      if (!ask.options.includes(cell)) return { sentence: `“${cell.slice(0, 40)}” at ${place} is not on the list.` };
    }
  const cells = ask.rows.length * ask.columns.length;
  const held = right === null ? { right: null, of: cells } : cellsRight(grid, gridOf(right, ask));
  return { item: { kind: 'grid', key: ask.key, ...held, trueText: right } };
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
