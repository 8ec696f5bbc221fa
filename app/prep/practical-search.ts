/** A practical as it is offered to be set. */
export interface Offered {
  id: string;
  title: string;
  summary: string;
  /** What it is about, in words. */
  subject: string;
  /** Other words that it is looked for by: what is on its tray, what its report asks for. */
  words: string;
}

const plain = (text: string) => text.toLowerCase().normalize('NFKD').replace(/\p{M}/gu, '');

/** Practicals that have every word of a text, by subject, in the order in which they come; all of them for an empty text. */
export function foundPracticals<P extends Offered>(
  practicals: readonly P[],
  text: string,
): { subject: string; entries: P[] }[] {
  const words = plain(text).split(/\s+/u).filter(Boolean);
  const found = practicals.filter((one) => {
    // From the beginning of a word on: “tin” is no part of “heating”.
    const all = ` ${plain(`${one.title} ${one.summary} ${one.subject} ${one.words}`).replace(/[^\p{L}\p{N}]+/gu, ' ')}`;
    return words.every((word) => all.includes(` ${word.replace(/[^\p{L}\p{N}]+/gu, ' ').trim()}`));
  });
  const subjects = [...new Set(practicals.map(({ subject }) => subject))];
  return subjects.flatMap((subject) => {
    const entries = found.filter((one) => one.subject === subject);
    return entries.length > 0 ? [{ subject, entries }] : [];
  });
}
