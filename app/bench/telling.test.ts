import { describe, expect, it } from 'vitest';
import { PRACTICALS, type AnyLabels, type AnyView } from '@core/practicals/registry';
import { heard as heardMeasuring, told as toldMeasuring } from './measuring/tell';
import { heard as heardTitration, told as toldTitration } from './titration/tell';
import { heard as heardParticles, told as toldParticles, type Thing as ParticleThing } from './particles/things';
import type { Thing as MeasuringThing } from './measuring/things';
import type { Thing as TitrationThing } from './titration/things';

/** What a bench tells in words: whatever a student does there is heard, and no more than an eye sees. */

function bench(id: keyof typeof PRACTICALS, setup: object = {}, seed = 'ear') {
  const practical = PRACTICALS[id];
  const chosen = practical.setup.parse(setup);
  let now = practical.open(chosen, practical.sample(chosen, seed, 0), seed).advance(0);
  const labels: AnyLabels = practical.labels(chosen);
  const told = (before: AnyView, after: AnyView): string[] => {
    if (before.family === 'measuring' && after.family === 'measuring' && labels.family === 'measuring')
      return toldMeasuring(before, after, labels);
    if (before.family === 'titration' && after.family === 'titration' && labels.family === 'titration')
      return toldTitration(before, after, labels);
    if (before.family === 'particles' && after.family === 'particles') return toldParticles(before, after);
    throw new Error('another family');
  };
  const act = (...acts: object[]): string => {
    const before = now.view();
    for (const one of acts) {
      const outcome = now.perform(practical.readAct(one));
      if ('refusal' in outcome) throw new Error(outcome.refusal);
      now = outcome.bench.advance(4);
    }
    return told(before, now.view()).join(' ');
  };
  const hear = (thing: string): string => {
    const view = now.view();
    if (view.family === 'measuring') return heardMeasuring(thing as MeasuringThing, view);
    if (view.family === 'particles') return heardParticles(thing as ParticleThing, view);
    if (labels.family !== 'titration') throw new Error('another family');
    return heardTitration(thing as TitrationThing, view, labels);
  };
  return { act, hear, secrets: () => now.secrets() };
}

describe('a bench of measuring, heard', () => {
  it('tells what was poured, weighed, looked at and recorded', () => {
    const { act, hear } = bench('liquid-density', { liquids: ['water'], drawn: false });
    expect(hear('vessel:4')).toBe('50 mL cylinder 4, empty');
    expect(act({ kind: 'pour', from: 1, to: 4, ml: 30 })).toMatch(/50 mL cylinder 4: liquid near (29|30|31) mL\./);
    expect(act({ kind: 'weigh', vessel: 4 })).toMatch(
      /50 mL cylinder 4: liquid near \d+ mL, on the balance\. The balance shows \d+\.\d\d g\./,
    );
    expect(hear('balance')).toMatch(/^balance, shows \d+\.\d\d g$/);
    expect(act({ kind: 'recordMass', trial: 1, which: 'm2' })).toMatch(
      /^Recorded: mass with the liquid, trial 1, \d+\.\d\d g\.$/,
    );
    act({ kind: 'look', at: 'vessel', n: 4 });
    expect(act({ kind: 'eye', mm: 0 })).toBe('The eye is level with the surface.');
    expect(act({ kind: 'eye', mm: -12 })).toBe('The eye is 12 millimetres below the surface.');
    expect(act({ kind: 'record', trial: 1, which: 'V', text: '30.2' })).toBe('Recorded: volume, trial 1, 30.2 mL.');
    expect(act({ kind: 'strike', trial: 1, which: 'V', reason: 'misread' })).toBe('Struck out: volume, trial 1.');
    expect(act({ kind: 'count', trial: 1, counts: false, reason: 'spilt' })).toBe('Trial 1 is left out.');
    expect(act({ kind: 'offPan' })).toMatch(/The balance shows (minus )?0\.\d\d g\./);
    expect(act({ kind: 'pour', from: 1, to: 6, ml: 26 }, { kind: 'stopper', vessel: 6, on: true })).toMatch(
      /density bottle 6: holds liquid, stoppered/,
    );
  });

  it('tells of pieces, the sinker, bubbles and tools', () => {
    const { act, hear } = bench('displacement', { solids: ['lead'], drawn: false });
    expect(hear('lot:1')).toMatch(/^A: small pieces, grey metal, 30 of 30 on the dish$/);
    expect(act({ kind: 'squirt', into: 2, ml: 20 }, { kind: 'put', lot: 1, count: 4, into: 2, how: 'drop' })).toMatch(
      /50 mL cylinder 2: liquid near \d+ mL, 4 pieces of A in it.*A: 26 of 30 on the dish/,
    );
    expect(act({ kind: 'sinker', vessel: 2, on: true })).toMatch(/The sinker is in vessel 2/);
    expect(act({ kind: 'fish', vessel: 2 })).toMatch(/A: 30 of 30 on the dish, wet/);
    const solid = bench('regular-solids', { shapes: ['block'], solids: ['brass'] });
    expect(solid.act({ kind: 'measure', lot: 1, tool: 'calliper', along: 'width' })).toBe(
      'The calliper holds the width of A.',
    );
    expect(solid.act({ kind: 'closeJaws' })).toBe('The jaws of the calliper are closed on nothing.');
    expect(solid.hear('calliper')).toBe('vernier calliper, its jaws closed');
  });

  it('says no more than an eye sees from there: no level finer than a division', () => {
    const { act, hear } = bench('reading-a-scale');
    act({ kind: 'pour', from: 1, to: 5, ml: 11.37 });
    expect(hear('vessel:5')).toMatch(/liquid near \d+ mL$/);
  });
});

describe('a bench of titration, heard', () => {
  it('tells what the burette, the flask and the pipette come to', () => {
    const { act, hear } = bench('acid-concentration', { acids: ['hydrochloric-acid'] });
    expect(hear('burette')).toBe('burette, empty');
    expect(act({ kind: 'fill', toMl: 1 })).toMatch(/Burette: level near 1 mL/);
    expect(act({ kind: 'drawSample' })).toContain('The pipette is filled to its mark, 25 mL.');
    expect(act({ kind: 'drainPipette' })).toMatch(/The pipette has run out\. Flask: about 25 mL, colourless\./);
    expect(act({ kind: 'indicator', id: 'phenolphthalein', drops: 3 })).toContain('3 drops of phenolphthalein');
    expect(act({ kind: 'keepSwirling', on: true })).toContain('swirled');
    expect(act({ kind: 'letIn', ml: 40 })).toMatch(
      /Burette: level near 41 mL.*Flask: about 65 mL, (deep |faint )?pink/,
    );
    expect(hear('flask')).toMatch(
      /^conical flask, about 65 mL, (deep |faint )?pink, 3 drops of phenolphthalein, swirled$/,
    );
    expect(act({ kind: 'record', trial: 1, which: 'last', text: '41.02' })).toBe(
      'Recorded: last reading, trial 1, 41.02 mL.',
    );
    expect(act({ kind: 'emptyFlask' })).toMatch(/Trial 2 begins\. .*Flask: empty/);
  });
});

describe('a bench of particles, heard', () => {
  it('tells what the gauges show, what was recorded, and how often it hit', () => {
    const { act, hear } = bench('one-particle', { gases: ['neon'] });
    expect(hear('vessel')).toBe('vessel, empty');
    expect(hear('v')).toBe('speed gauge, shows nothing');
    expect(act({ kind: 'putIn', kelvin: 300 })).toMatch(
      /^A particle is in the vessel\. The gauges show temperature 300\.0 K, energy 6\.213 zJ, speed 608\.\d m\/s\.$/,
    );
    expect(act({ kind: 'record', trial: 1, which: 'v' })).toMatch(/^Recorded: speed, trial 1, 608\.\d m\/s\.$/);
    expect(act({ kind: 'wait' })).toBe('');
    expect(hear('vessel')).toMatch(/^vessel, with a particle that has hit its walls \d+ times$/);
  });
});
