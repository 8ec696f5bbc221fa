import type { Ask } from '../report/asks';

/** The report that comes with a practical: before the bench, the results, and after it. */

interface Parts {
  measured: { label: string; options: [right: string, ...wrong: string[]] };
  /** Null where no hypothesis is asked for. */
  hypothesis: { label: string; options: string[] } | null;
  results: Ask[];
  working: string;
  evidence: { help: string; words: string[] };
  aims: string[];
}

type NumberAsk = Extract<Ask, { kind: 'number' }>;

/** A number to be found, held against the sample. */
export const askFor = (
  quantity: { key: string; label: string; unit: string; digits: number },
  bandsPercent: readonly number[],
  help = '',
): NumberAsk => ({
  when: 'result',
  required: true,
  kind: 'number',
  key: quantity.key,
  label: quantity.label,
  help,
  quantity: quantity.key,
  unit: quantity.unit,
  expected: null,
  digits: quantity.digits,
  bandsPercent: [...bandsPercent].sort((a, b) => a - b),
  bandsInUnit: [],
});

export const askRatio = (label: string, help = ''): Ask => ({
  when: 'result',
  required: true,
  kind: 'ratio',
  key: 'ratio',
  label,
  help,
  quantity: 'ratio',
  right: null,
});

export const askName = (label: string, options: string[], help = ''): Extract<Ask, { kind: 'name' }> => ({
  when: 'result',
  required: true,
  kind: 'name',
  key: 'name',
  label,
  help,
  quantity: 'name',
  options,
  right: null,
});

export function reportOf({ measured, hypothesis, results, working, evidence, aims }: Parts): Ask[] {
  const before = { when: 'before', required: true } as const;
  const after = { when: 'after', required: true } as const;
  const [right, ...wrong] = measured.options;
  return [
    {
      ...before,
      kind: 'choice',
      key: 'measured',
      label: measured.label,
      help: '',
      options: inOrder(right, wrong),
      right,
      ownWords: false,
    },
    ...(hypothesis
      ? [
          {
            ...before,
            kind: 'choice' as const,
            key: 'hypothesis',
            label: hypothesis.label,
            options: hypothesis.options,
            right: null,
            ownWords: true,
            help: 'Choose one or write your own, before you begin. You come back to it at the end.',
          },
        ]
      : []),
    ...results,
    {
      when: 'result',
      required: true,
      kind: 'text',
      key: 'working',
      label: 'Working',
      help: working,
      leastWords: 4,
      words: [],
    },
    {
      ...after,
      kind: 'text',
      key: 'claim',
      label: 'Claim',
      leastWords: 6,
      words: [],
      help: hypothesis
        ? 'What do you say about your sample, and was your hypothesis right?'
        : 'What do you say about your sample?',
    },
    {
      ...after,
      kind: 'text',
      key: 'reasoning',
      label: 'Evidence and reasoning',
      help: evidence.help,
      leastWords: 12,
      words: evidence.words,
    },
    {
      ...after,
      kind: 'choice',
      key: 'aim',
      label: 'Which of these can you do best by now?',
      help: '',
      options: aims,
      right: null,
      ownWords: true,
    },
    {
      ...after,
      kind: 'text',
      key: 'aimWhy',
      label: 'How do you know?',
      leastWords: 6,
      words: [],
      help: 'One sentence about what you did that shows it.',
    },
  ];
}

/** The right answer does not always stand first: its place follows from its length, the same for everyone. */
function inOrder(right: string, wrong: string[]): string[] {
  const place = right.length % (wrong.length + 1);
  return [...wrong.slice(0, place), right, ...wrong.slice(place)];
}
