import { parseTyped } from '@core/analysis/quantity';
import { imbalance, readEquation } from '@core/chemistry/chemical-equation';
import { gridText } from '@core/report/grid';
import { reportSchema, type Ask, type AskKind, type AskOf, type SampleQuantity } from '@core/report/asks';

/** A question while a teacher is writing it: every field as typed. */
export interface AskDraft {
  key: string;
  kind: AskKind;
  label: string;
  help: string;
  when: Ask['when'];
  required: boolean;
  /** The sample's quantity that it is checked against; empty for none. */
  quantity: string;
  unit: string;
  expected: string;
  digits: string;
  bands: string;
  /** Of a grid, one row and one column a line. */
  rows: string;
  columns: string;
  /** One option a line. */
  options: string;
  right: string;
  ownWords: boolean;
  leastWords: string;
  words: string;
}

export const KINDS: { kind: AskKind; label: string; when: Ask['when'] }[] = [
  { kind: 'number', label: 'A number', when: 'result' },
  { kind: 'name', label: 'A name from a list', when: 'result' },
  { kind: 'ratio', label: 'A whole-number ratio', when: 'result' },
  { kind: 'equation', label: 'A chemical equation', when: 'result' },
  { kind: 'grid', label: 'A grid of things and observations', when: 'result' },
  { kind: 'choice', label: 'A choice', when: 'before' },
  { kind: 'text', label: 'A short text', when: 'after' },
  { kind: 'sketch', label: 'A sketch', when: 'result' },
  { kind: 'table', label: 'A table', when: 'result' },
  { kind: 'graph', label: 'A graph', when: 'result' },
];

/** A new question of a kind, checked against what the sample knows where there is such a quantity. */
export function newDraft(kind: AskKind, key: string, quantities: readonly SampleQuantity[]): AskDraft {
  const quantity = quantities.find((entry) => entry.kind === kind);
  return {
    key,
    kind,
    label: quantity?.label ?? '',
    help: '',
    when: KINDS.find((entry) => entry.kind === kind)?.when ?? 'result',
    required: true,
    quantity: quantity?.key ?? '',
    unit: quantity?.kind === 'number' ? quantity.unit : '',
    expected: '',
    digits: quantity?.kind === 'number' ? String(quantity.digits) : '',
    bands: kind === 'number' ? '1; 3; 10' : '',
    rows: quantity?.kind === 'grid' ? quantity.rows.join('\n') : '',
    columns: quantity?.kind === 'grid' ? quantity.columns.join('\n') : '',
    options: quantity && 'options' in quantity ? quantity.options.join('\n') : '',
    right: '',
    ownWords: false,
    leastWords: kind === 'text' ? '8' : '0',
    words: '',
  };
}

const text = (value: number | null) => (value === null ? '' : String(value));

export function draftOf(ask: Ask): AskDraft {
  return {
    key: ask.key,
    kind: ask.kind,
    label: ask.label,
    help: ask.help,
    when: ask.when,
    required: ask.required,
    quantity: ('quantity' in ask ? ask.quantity : null) ?? '',
    unit: ask.kind === 'number' ? ask.unit : '',
    expected: ask.kind === 'number' ? text(ask.expected) : '',
    digits: ask.kind === 'number' ? text(ask.digits) : '',
    bands: ask.kind === 'number' ? bandsTyped(ask) : '',
    rows: ask.kind === 'grid' ? ask.rows.join('\n') : '',
    columns: ask.kind === 'grid' ? ask.columns.join('\n') : '',
    options: 'options' in ask ? ask.options.join('\n') : '',
    right: ask.kind === 'grid' ? (ask.right ?? '').replaceAll('\t', '; ') : (('right' in ask ? ask.right : null) ?? ''),
    ownWords: ask.kind === 'choice' && ask.ownWords,
    leastWords: ask.kind === 'text' ? String(ask.leastWords) : '0',
    words: ask.kind === 'text' ? ask.words.join(', ') : '',
  };
}

/** Texts between these marks, without empty ones. Drafts that a browser kept may lack what a question had not then. */
const parts = (typed: string | undefined, marks: RegExp) =>
  (typed ?? '')
    .split(marks)
    .map((part) => part.trim())
    .filter(Boolean);

/** A number as typed, null for none; what is no number stays text, and the schema says so. */
const numberIn = (typed: string): number | string | null =>
  typed.trim() === '' ? null : (parseTyped(typed)?.value ?? typed);

/** Bands as they are typed: bare or with % they are percent, with the unit of the question they are in it. */
function bandsIn({ bands, unit, kind }: AskDraft): {
  bandsPercent: (number | string)[];
  bandsInUnit: (number | string)[];
} {
  const bandsPercent: (number | string)[] = [];
  const bandsInUnit: (number | string)[] = [];
  for (const part of parts(bands, /;/)) {
    const typed = parseTyped(part);
    if (kind === 'number' && typed && unit !== '' && typed.unit.replace(/\s/g, '') === unit.replace(/\s/g, ''))
      bandsInUnit.push(typed.value);
    else bandsPercent.push(...parts(part.replace(/%/g, ' '), /\s+/).map((one) => parseTyped(one)?.value ?? one));
  }
  return { bandsPercent, bandsInUnit };
}

const bandsTyped = ({
  bandsPercent,
  bandsInUnit,
  unit,
}: Pick<AskOf<'number'>, 'bandsPercent' | 'bandsInUnit' | 'unit'>) =>
  bandsInUnit.length > 0 ? bandsInUnit.map((band) => `${band} ${unit}`).join('; ') : bandsPercent.join('; ');

/** The right cells as they are typed: a line for each row, cells with ; between. */
const cellsTyped = ({ right }: AskDraft): string[][] =>
  parts(right, /\n/).map((line) => line.split(';').map((cell) => cell.trim()));

/** What is wrong with the cells that are to be right. */
function gridMistake(draft: AskDraft, options: readonly string[]): string | null {
  const [rows, columns, cells] = [parts(draft.rows, /\n/), parts(draft.columns, /\n/), cellsTyped(draft)];
  if (cells.length !== rows.length || cells.some((row) => row.length !== columns.length))
    return `Give ${rows.length} lines of ${columns.length}, with ; between, or none at all.`;
  const stranger = cells.flat().find((cell) => !options.includes(cell));
  return stranger === undefined ? null : `“${stranger}” is not among what can stand in a cell.`;
}

function equationMistake(typed: string): string | null {
  const read = readEquation(typed);
  return 'sentence' in read ? read.sentence : imbalance(read);
}

/** Mistakes by "number of the question.field". */
export type DraftMistakes = Record<string, string>;

/** What was composed as a report, or what is wrong with it, each mistake at its field. */
export function reportFrom(drafts: readonly AskDraft[]): { report: Ask[] } | { mistakes: DraftMistakes } {
  const asks = drafts.map((draft) => ({
    ...draft,
    quantity: draft.quantity || null,
    expected: numberIn(draft.expected),
    digits: numberIn(draft.digits),
    ...bandsIn(draft),
    rows: parts(draft.rows, /\n/),
    columns: parts(draft.columns, /\n/),
    options: parts(draft.options, /\n/),
    right: (draft.kind === 'grid' ? gridText(cellsTyped(draft)) : draft.right.trim()) || null,
    leastWords: numberIn(draft.leastWords) ?? 0,
    words: parts(draft.words, /[,;\n]/),
  }));
  const parsed = reportSchema.safeParse(asks);
  const mistakes: DraftMistakes = {};
  const FIELDS: Record<string, string> = { bandsPercent: 'bands', bandsInUnit: 'bands' };
  for (const { path, message } of parsed.error?.issues ?? []) {
    const [index, field] = path;
    const name = FIELDS[String(field)] ?? String(field ?? '');
    mistakes[index === undefined ? 'form' : `${String(index)}.${name}`] ??= /^(Invalid|Expected)/.test(message)
      ? 'This is not a number.'
      : message;
  }
  for (const [i, draft] of drafts.entries()) {
    const { bandsPercent, bandsInUnit } = bandsIn(draft);
    if (draft.kind === 'number' && bandsPercent.length > 0 && bandsInUnit.length > 0)
      mistakes[`${i}.bands`] = `Give all bands in percent, or all in ${draft.unit}.`;
    const options = parts(draft.options, /\n/);
    const wrong =
      draft.right.trim() === ''
        ? null
        : draft.kind === 'grid'
          ? gridMistake(draft, options)
          : draft.kind === 'equation'
            ? equationMistake(draft.right)
            : null;
    if (wrong) mistakes[`${i}.right`] = wrong;
    const isList = draft.kind === 'name' || draft.kind === 'choice';
    if (isList && draft.right !== '' && !options.includes(draft.right.trim()))
      mistakes[`${i}.right`] = 'The right answer is not among the options.';
  }
  return parsed.success && Object.keys(mistakes).length === 0 ? { report: parsed.data } : { mistakes };
}
