import fc from 'fast-check';
import { expect, it } from 'vitest';
import { GLOSSARY } from './glossary';
import { termsIn } from './terms-in';

const termsOf = (text: string, met?: Set<string>) =>
  termsIn(text, met).flatMap(({ text: form, term }) => (term ? [[form, term]] : []));

it('finds words of the trade in whatever form they stand, the longest first, each once', () => {
  expect(termsOf('Titrate it: the titres tell the molar mass. Titrate again.')).toEqual([
    ['Titrate', 'titrate'],
    ['titres', 'titre'],
    ['molar mass', 'molar mass'],
  ]);
  const met = new Set(['titre']);
  expect(termsOf('Two titres and a slope.', met)).toEqual([['slope', 'slope']]);
  expect([...met]).toEqual(['titre', 'slope']);
});

it('leaves parts of other words and of units alone', () => {
  expect(termsOf('Database, mole-like, 5 mol/L, baseless')).toEqual([]);
});

it('loses nothing of a text', () => {
  const words = fc.constantFrom(...GLOSSARY.flatMap(({ term, also }) => [term, ...also]), ' ', ', ', 'x', '·', '(');
  fc.assert(
    fc.property(fc.array(fc.oneof(words, fc.string()), { maxLength: 30 }), (parts) => {
      const text = parts.join('');
      expect(
        termsIn(text)
          .map((piece) => piece.text)
          .join(''),
      ).toBe(text);
    }),
  );
});
