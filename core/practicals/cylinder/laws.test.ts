import { describe, inject, it } from 'vitest';
import { LAWS } from './plan';
import { findLaw } from './practised-student';
import { everyoneFinds } from './statistics';

describe('each law, by ten points of careful students', { timeout: 600_000 }, () => {
  // In every run one of them; five students of each setting follow the method in the contract suite.
  it.each(inject('isLong') ? LAWS : LAWS.slice(0, 1))(
    '%s: factor, slope and k are as sure as they say',
    async (law) => {
      await everyoneFinds('one-law', { law }, (hands) => findLaw(hands, law), ['factor', 'slope', 'constant']);
    },
  );
});
