import { expect, it } from 'vitest';
import type { Act } from './acts';
import type { Sample } from './sample';
import { MOST_LINES } from './seen-log';
import { begun, type Run } from './testing';

/** What the bench remembers of what vessels showed. */

const bottle = (id: Sample['bottles'][number]['id'], molPerL = 0.1) => ({ id, molPerL, says: `${molPerL} mol/L` });
const run = (): Run =>
  begun('which-bottle', {
    sample: {
      bottles: [
        bottle('silver-nitrate'),
        bottle('barium-chloride'),
        bottle('sodium-carbonate', 0.5),
        bottle('hydrochloric-acid', 1),
      ],
    },
  });
/** The first well: after four bottles and water. */
const WELL = 6;
const drop = (from: number, drops: number, to = WELL): Act => ({ kind: 'drops', from, to, drops });
const lines = (of: Run) => (of.view().seen ?? []).map(({ where, put, showed }) => [where, put, showed]);

it('is a line whenever what shows is another, and stays when the vessel is emptied', () => {
  const bench = run();
  bench.does(drop(1, 2), drop(1, 2));
  expect(lines(bench), 'one bottle alone').toEqual([]);
  bench.does(drop(2, 2));
  const solid = [
    'well 1',
    '4 drops of bottle A, 2 drops of bottle B',
    'much solid, white, in curds; colourless liquid',
  ];
  expect(lines(bench)).toEqual([solid]);
  // More of the same that shows nothing else, and what happens to an empty well, are none.
  bench.does(drop(2, 1), { kind: 'rinsePlate' }, drop(1, 1));
  expect(lines(bench)).toEqual([solid]);
});

it('tells gas once, though it stopped long ago, and what paper and nose told', () => {
  const bench = run();
  bench.does(drop(3, 3), drop(4, 6));
  bench.wait(600);
  expect(bench.view().moves[WELL]?.bubbles ?? false).toBe(false);
  bench.does({ kind: 'stir', vessel: WELL }, { kind: 'paper', vessel: WELL }, { kind: 'smell', vessel: WELL });
  expect(lines(bench).map(([, , showed]) => showed)).toEqual([
    'gas; colourless liquid',
    expect.stringMatching(/^The paper turns/),
    'It has no smell.',
  ]);
  const jar = begun('runs-out');
  jar.does({ kind: 'take', type: 'beaker' }, { kind: 'measure', from: 1, to: 3, ml: 10, by: 'pipette' });
  jar.does({ kind: 'scoop', g: 0.5 }, { kind: 'tip', to: 3 }, { kind: 'stir', vessel: 3 });
  expect(lines(jar)).toEqual([
    ['beaker 1', '10.00 mL of bottle A, solid out of the jar', expect.stringMatching(/^gas; /)],
  ]);
});

it('ends with a sentence, so that no bench grows for ever', () => {
  const bench = run();
  for (let i = 0; i < MOST_LINES + 5; i++) bench.does({ kind: 'smell', vessel: 1 });
  expect(lines(bench)).toHaveLength(MOST_LINES);
  expect(lines(bench).at(-1)?.[2]).toContain('This list is full');
  expect(lines(bench).at(-2)?.[2]).toBe('It has no smell.');
});
