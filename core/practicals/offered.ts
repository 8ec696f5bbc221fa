import { PRACTICALS, type PracticalId } from './registry';
import { searchWords } from './search-words';
import { SUBJECTS, type Subject } from './subjects';

/** What can be set, by subject, with the words that each is looked for by. */
export function offered() {
  const order = Object.keys(SUBJECTS) as Subject[];
  return Object.values(PRACTICALS)
    .map(({ id, title, summary, subject, setup, quantities }) => ({
      id,
      title,
      summary,
      subject: SUBJECTS[subject],
      words: searchWords(
        id as PracticalId,
        setup,
        quantities(setup.parse({})).map(({ label }) => label),
      ),
      order: order.indexOf(subject),
    }))
    .sort((a, b) => a.order - b.order)
    .map(({ order: _, ...practical }) => practical);
}
