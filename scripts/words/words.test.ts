import { describe, expect, it } from 'vitest';
import { BOOK_PARTS, BOOK_PART_IDS } from '../../core/databook/book';
import { GLOSSARY } from '../../core/words/glossary';
import { COMMON, isAmong } from './common';
import { saidIn } from './texts';

/** All that students are told, as it stands in the source, for a reader of fifteen who has English as a second language. */

const MOST_WORDS = 20;

const SAID = saidIn(
  [
    'core/practicals/**/*.ts',
    'core/report/*.ts',
    'core/instruments/*.ts',
    'core/words/*.ts',
    'app/bench/**/*.ts*',
    'app/notebook/**/*.ts*',
    'app/routes/run*.tsx',
    'app/routes/work.tsx',
    'app/routes/join.tsx',
    'app/routes/return.tsx',
  ],
  /test|suite|search-words|careful-students|statistics|kinds\/settings|setup|core\/practicals\/(?:settings-parts|look-alikes)/,
);

const TRADE = new Set(
  GLOSSARY.flatMap(({ term, also }) => [term, ...also])
    .flatMap((words) => words.toLowerCase().split(/[\s-]+/))
    .map((word) => word.replace(/’s$/, '')),
);

/** What is typed into a calculator, units, the name of a constant, the name of the house. */
const NOT_READ = new Set(['sqrt', 'exp', 'mol', 'mmol', 'avogadro’s', 'fen']);

/** Names of substances and what they are found under: the data book says what they are. */
const NAMES = new Set(
  BOOK_PART_IDS.flatMap((id) => BOOK_PARTS[id].tables())
    .flatMap(({ rows }) => rows.map(([name]) => name ?? ''))
    .join(' ')
    .toLowerCase()
    .match(/[a-z]{3,}/g),
);

const sentencesOf = (text: string) =>
  text
    // A list of names is read name by name.
    .replace(/:(?: [^,.;:]+,){2,}[^.;:]*/g, ': names')
    .split(/(?<=[.?!])\s+/);

/** Words in small letters: what has a capital within, a number or a sign is a formula or a unit. */
const wordsOf = (text: string) =>
  text
    .split(/[\s—–…/,]+/)
    .map((word) => word.replace(/^[^\p{L}]+|[^\p{L}]+$/gu, ''))
    .flatMap((word) => word.split('-'))
    .filter((word) => /^\p{L}[\p{Ll}’']+$/u.test(word) && word.length > 2);

const isKnown = (word: string) =>
  NOT_READ.has(word.toLowerCase()) || isAmong(COMMON, word) || isAmong(TRADE, word) || isAmong(NAMES, word);

describe('what students are told', () => {
  it('is found in the source', () => expect(SAID.length).toBeGreaterThan(2_500));

  it('has at most twenty words in a sentence', () => {
    const long = SAID.flatMap(({ file, line, text }) =>
      sentencesOf(text)
        .filter((sentence) => sentence.split(/\s+/).length > MOST_WORDS)
        .map((sentence) => `${file}:${line} ${sentence}`),
    );
    expect(long).toEqual([]);
  });

  it('has words that are common, or stand in the glossary', () => {
    const strange = SAID.flatMap(({ file, line, text }) =>
      wordsOf(text)
        .filter((word) => !isKnown(word))
        .map((word) => `${word} (${file}:${line})`),
    );
    expect(strange).toEqual([]);
  });
});

describe('the glossary', () => {
  it.each(GLOSSARY)('says what “$term” is', ({ term, says }) => {
    expect(says).toMatch(/^[A-Z].*\.$/);
    const strange = wordsOf(says).filter((word) => !isKnown(word));
    expect(strange).toEqual([]);
    for (const sentence of sentencesOf(says)) expect(sentence.split(/\s+/).length).toBeLessThanOrEqual(MOST_WORDS);
    expect(says.toLowerCase()).not.toMatch(new RegExp(`^(?:an? |the )?${term}\\b`));
  });

  it('has each form once, by alphabet, and none that nobody is told', () => {
    const forms = GLOSSARY.flatMap(({ term, also }) => [term, ...also]);
    expect(new Set(forms).size).toBe(forms.length);
    const terms = GLOSSARY.map(({ term }) => term);
    expect(terms).toEqual([...terms].sort((a, b) => a.localeCompare(b, 'en')));
    const told = SAID.filter(({ file }) => !file.includes('words/'))
      .map(({ text }) => text.toLowerCase())
      .join(' ');
    expect(terms.filter((term) => !told.includes(term))).toEqual([]);
  });
});

it('tells words of the trade from common ones', () => {
  expect(isAmong(COMMON, 'Stirred')).toBe(true);
  expect(isKnown('titrant')).toBe(true);
  expect(isKnown('stoichiometry')).toBe(false);
});
