import { TERMS, type Term } from './terms';

/** A piece of a text: a word of the trade that the glossary explains, or what stands between. */
export interface Piece {
  text: string;
  term?: Term;
}

const BY_FORM = new Map(
  (Object.keys(TERMS) as Term[]).flatMap((term) =>
    [term, ...TERMS[term]].map((form) => [form.toLowerCase(), term] as const),
  ),
);
const escaped = (form: string) => form.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
/** The longest first, so that a molar mass is not a mass; whole words, and no part of a unit or a word with a hyphen. */
const FORMS = new RegExp(
  `(?<![\\p{L}\\p{N}-])(?:${[...BY_FORM.keys()]
    .sort((a, b) => b.length - a.length)
    .map(escaped)
    .join('|')})(?![\\p{L}\\p{N}-])`,
  'giu',
);

/**
 * A text in pieces, those of them with a word that the glossary explains. Joined they are the text.
 * @param met terms that were explained before and are not again; those found here are added
 */
export function termsIn(text: string, met: Set<string> = new Set()): Piece[] {
  const pieces: Piece[] = [];
  let from = 0;
  for (const { 0: form, index } of text.matchAll(FORMS)) {
    const term = BY_FORM.get(form.toLowerCase());
    if (!term || met.has(term)) continue;
    met.add(term);
    if (index > from) pieces.push({ text: text.slice(from, index) });
    pieces.push({ text: form, term });
    from = index + form.length;
  }
  if (from < text.length) pieces.push({ text: text.slice(from) });
  return pieces;
}
