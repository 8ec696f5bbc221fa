import { expect, it } from 'vitest';
import { touched } from './touched';

const bench = (things: Record<string, string>) => new Map(Object.entries(things));

it('goes to what is spoken of, in that order, then to what has changed', () => {
  const before = bench({ flask: 'empty', pipette: 'full', burette: 'a', balance: '0.00' });
  const after = bench({ flask: 'some', pipette: 'empty', burette: 'a', balance: '0.01' });
  expect(touched(before, after, 'let the pipette run into the flask')).toEqual(['pipette', 'flask', 'balance']);
});

it('goes to what is read, though nothing of it changes', () => {
  const stands = bench({ burette: 'a', flask: 'b' });
  expect(touched(stands, stands, 'read the burette, trial 1 first: 0.05')).toEqual(['burette']);
  expect(touched(stands, stands, 'waited')).toEqual([]);
});

it('goes to what comes and what goes', () => {
  expect(touched(bench({ 'tray-cup': 'x' }), bench({ 'cup-1': 'y' }), 'took one')).toEqual(['tray-cup', 'cup-1']);
});
