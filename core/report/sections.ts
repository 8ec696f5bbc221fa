/** The parts of a report, in order. */
export const SECTIONS = [
  { when: 'before', title: 'Before the bench' },
  { when: 'result', title: 'Result' },
  { when: 'after', title: 'Afterwards' },
] as const;
