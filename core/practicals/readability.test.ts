import { fleschKincaid } from 'flesch-kincaid';
import { syllable } from 'syllable';
import { describe, expect, it } from 'vitest';
import { PRACTICALS, type AnyPractical } from './registry';

/** What students read is for a reader of fifteen who has English as a second language. */

/** A list of names is read name by name. */
const withoutLists = (text: string) => text.replace(/:(?: [^,.;:]+,){2,}[^.;:]*/g, ': names');
const sentencesOf = (text: string) => withoutLists(text).split(/(?<=[.?!])\s+(?=[A-Z“])/);
/** What is said in words: formulas, numbers and units are not read as such. */
const wordsOf = (text: string) => text.split(/\s+/).filter((word) => /^[“(]?[A-Za-z’'-]{2,}|^[aAI]$/.test(word));

function gradeOf(texts: readonly string[]): number {
  const words = texts.flatMap(wordsOf).map((word) => word.replace(/[^A-Za-z’'-]/g, ''));
  return fleschKincaid({
    sentence: texts.flatMap(sentencesOf).length,
    word: words.length,
    syllable: words.reduce((sum, word) => sum + syllable(word), 0),
  });
}

const MOST_WORDS = 20;
const practicals = Object.values(PRACTICALS) as unknown as AnyPractical[];

const briefs = practicals.map((practical) => ({ id: practical.id, ...practical.brief(practical.setup.parse({})) }));
type Told = (typeof briefs)[number];
const textsOf = ({ question, method, working, know }: Told) => [
  ...question,
  ...method.flatMap(({ does, how }) => [does, ...how]),
  ...working,
  ...know,
];

describe('a brief', () => {
  it.each(briefs)('of $id can be read after eight years of school', (brief) =>
    expect(gradeOf(textsOf(brief))).toBeLessThanOrEqual(8),
  );

  it.each(briefs.filter(({ method }) => method.length > 0))(
    'of $id has short sentences, and one for each thing to do',
    (brief) => {
      const long = textsOf(brief)
        .flatMap(sentencesOf)
        .filter((sentence) => sentence.split(/\s+/).length > MOST_WORDS);
      expect(long).toEqual([]);
      for (const { does } of brief.method) expect(does).toMatch(/^[A-Z].*\.$/);
    },
  );
});

it('tells a text for children from one for scholars', () => {
  expect(gradeOf(['Put the salt in. Weigh it again.'])).toBeLessThan(3);
  expect(
    gradeOf([
      'Considerable stoichiometric deviations inevitably characterise determinations of hygroscopic precipitates.',
    ]),
  ).toBeGreaterThan(15);
});
