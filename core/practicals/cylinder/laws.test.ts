import { describe, it } from 'vitest';
import { LAWS } from './plan';
import { findLaw } from './practised-student';
import { everyoneFinds } from './statistics';

describe('each law, by ten points of careful students', { timeout: 600_000 }, () => {
  it.each(LAWS)('%s: factor, slope and k are as sure as they say', async (law) => {
    await everyoneFinds('one-law', { law }, (hands) => findLaw(hands, law), ['factor', 'slope', 'constant']);
  });
});
