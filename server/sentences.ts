/** What was asked for is not there, or not for this person. Both are told alike. */
export class NotFound extends Error {}

/**
 * Something a person can meet: the sentence says what happened and what to do; `field` is where it belongs, and `closed`
 * where nothing more can be done.
 */
export class Refused extends Error {
  constructor(
    sentence: string,
    readonly field: string = 'form',
    /** Where several things are wrong: all of them, this one first. */
    readonly all: readonly { field: string; sentence: string }[] = [],
  ) {
    super(sentence);
  }
}

/** A name as typed, without stray space or control characters. */
export function cleanName(typed: string, what: string, field: string): string {
  const name = typed.normalize('NFC').replace(/\p{C}/gu, '').replace(/\s+/g, ' ').trim();
  if (name === '') throw new Refused(`Type ${what}.`, field);
  if (name.length > 60)
    throw new Refused(`${what[0]?.toUpperCase()}${what.slice(1)} can be at most 60 characters long.`, field);
  return name;
}

/** A run whose setup or sample this release cannot read. */
export class Unreadable extends Refused {
  constructor() {
    super(
      'This run was begun under an earlier version of Fen, and this one cannot read its bench. What was handed in is kept; ask your teacher for a new run.',
      'closed',
    );
  }
}
