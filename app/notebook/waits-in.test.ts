import { expect, it } from 'vitest';
import { PRACTICALS } from '@core/practicals/registry';
import { waitsIn } from './waits-in';

it('finds how long a step says to wait, each once, in seconds', () => {
  expect(waitsIn(['Turn the plate down and wait 4 minutes.', 'Let it cool for 25 minutes. Wait 15 seconds.'])).toEqual([
    240, 1500, 15,
  ]);
  expect(waitsIn(['Wait 4 minutes.', 'Again, wait 4 minutes.'])).toEqual([240]);
  expect(waitsIn(['Wait until the display stands still.', 'Take 5 minutes of patience.'])).toEqual([]);
});

it('finds it in the briefs that say so, and none so long that nobody would press it', () => {
  const all = Object.values(PRACTICALS).map(({ id, setup, brief }) => ({
    id,
    waits: brief(setup.parse({})).method.flatMap(({ does, how }) => waitsIn([does, ...how])),
  }));
  expect(all.find(({ id }) => id === 'water-in-hydrate')?.waits).toContain(1500);
  for (const { id, waits } of all) for (const seconds of waits) expect(seconds, id).toBeLessThanOrEqual(3600);
});
