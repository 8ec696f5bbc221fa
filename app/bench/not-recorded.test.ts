import { describe, expect, it } from 'vitest';
import { PRACTICALS } from '@core/practicals/registry';
import { notRecorded } from './not-recorded';

/** A crucible on the balance at the first trial, with its readings so far. */
function crucible(recorded: boolean) {
  const practical = PRACTICALS['water-in-hydrate'];
  const setup = practical.setup.parse({});
  let bench = practical.open(setup, practical.sample(setup, 'lost', 1), 'lost');
  const acts = [
    { kind: 'put', at: 'pan', by: 'hand' },
    ...(recorded ? [{ kind: 'recordMass', trial: 1, which: 'm0' }] : []),
  ];
  for (const act of acts) {
    const outcome = bench.perform(practical.readAct(act));
    if ('refusal' in outcome) throw new Error(outcome.refusal);
    bench = outcome.bench;
  }
  return bench.view();
}

describe('what an act would take away', () => {
  it('is asked about while it is not recorded, by its name and trial', () =>
    expect(notRecorded(crucible(false), ['m0'])).toEqual({
      sentence: 'The mass of the empty crucible of trial 1 is not recorded yet, and cannot be had back then.',
      verb: 'Go on',
    }));

  it('is not asked about once it is recorded, nor where it is never read', () => {
    expect(notRecorded(crucible(true), ['m0'])).toBeNull();
    expect(notRecorded(crucible(false), ['T1'])).toBeNull();
    expect(notRecorded(crucible(false), [])).toBeNull();
  });
});
