import { describe, expect, it } from 'vitest';
import type { OpenPractical } from '../live-bench';
import { PRACTICALS, type PracticalId } from '../registry';
import { runOf } from '../testing-run';
import type { OwnAct } from './acts';
import type { Bench } from './bench';
import type { Plan } from './plan';
import type { Moving, View } from './view';

/** The step line of a titration says what its own practical asks for, and ticks what was done. */

const begun = (id: PracticalId, setup: object = {}) => {
  const run = runOf<OwnAct, object, Bench, View, Moving, Plan>(
    PRACTICALS[id] as unknown as OpenPractical<View, Moving, Plan>,
    { seed: 'steps', setup },
  );
  const step = (key: string) => run.view().steps.find((one) => one.key === key);
  const due = () => run.view().steps.find(({ done }) => !done)?.key;
  /** A titration by eye of whatever is in the flask, to so many mL. */
  const titrated = (trial: number, ml: number) => {
    run.does({ kind: 'fill', toMl: 1 });
    const at = () => run.view().levelMl.toFixed(2);
    run.does({ kind: 'record', trial, which: 'first', text: at() });
    run.does({ kind: 'letIn', ml });
    run.does({ kind: 'record', trial, which: 'last', text: at() });
  };
  const weighed = (g: number) =>
    run.does(
      { kind: 'wipeBoat' },
      { kind: 'weigh', g },
      { kind: 'recordMass', which: 'boat' },
      { kind: 'tip' },
      { kind: 'recordMass', which: 'left' },
    );
  const pipetted = () => run.does({ kind: 'drawSample' }, { kind: 'drainPipette' });
  return { ...run, step, due, titrated, weighed, pipetted };
};
const indicator = { kind: 'indicator', id: 'phenolphthalein', drops: 2 } as const;

describe('the step line of a titration', () => {
  it('brings the sample after the standard, into a flask of its own, and ticks it by its titre alone', () => {
    const run = begun('standardised-base');
    expect(
      run
        .view()
        .steps.map(({ key }) => key)
        .slice(-3),
    ).toEqual(['standards', 'sample', 'again']);
    expect(run.step('sample')?.label).toMatch(/into a clean flask/);
    run.weighed(0.5);
    run.does({ kind: 'water', ml: 40 }, indicator);
    run.does({ kind: 'keepSwirling', on: true });
    run.wait(200);
    run.titrated(1, 20);
    expect(run.due()).toBe('standards');
    // On top of the standard it is no sample of its own.
    run.pipetted();
    expect(run.step('sample')?.done).toBe(false);
    run.does({ kind: 'emptyFlask' });
    run.pipetted();
    run.does(indicator);
    expect(run.step('sample')?.done).toBe(false);
    run.titrated(2, 20);
    expect(run.step('sample')?.done).toBe(true);
  });

  it('asks for results for each gram where portions are weighed, and for titres where they are pipetted', () => {
    expect(begun('unknown-acid', { probe: 'none' }).step('again')?.label).toMatch(/each gram lie within 1 %$/);
    expect(begun('percent-by-mass').step('again')?.label).toMatch(/each gram lie within 1 %$/);
    expect(begun('acid-concentration').step('again')?.label).toMatch(/two titres lie within 0\.10 mL$/);
    expect(begun('standardised-base').step('standards')?.label).toMatch(/each gram lie within 1 %$/);
    expect(begun('standardised-base').step('again')?.label).toMatch(/two titres lie within 0\.10 mL$/);
  });

  it('has a powder that only acid dissolves tipped in before the acid comes', () => {
    const run = begun('back-titration');
    expect(run.step('tip')?.label).not.toMatch(/dissolve/);
    run.weighed(0.3);
    expect(run.step('tip')?.done).toBe(true);
    expect(run.step('warm')?.done).toBe(false);
  });

  it('says nothing of a colour that stays where it goes', () => {
    for (const id of ['unknown-in-burette', 'acid-concentration'] as const)
      expect(begun(id).step('last')?.label).toMatch(/until the colour has changed for good/);
  });

  it('is not held up by a portion that was weighed and never titrated', () => {
    const run = begun('percent-by-mass');
    const whole = (trial: number, g: number, ml: number) => {
      run.weighed(g);
      run.does({ kind: 'water', ml: 40 }, indicator, { kind: 'keepSwirling', on: true });
      run.wait(200);
      run.titrated(trial, ml);
      run.does({ kind: 'emptyFlask' });
    };
    run.weighed(0.2);
    run.does({ kind: 'emptyFlask' });
    whole(run.view().trial, 0.4, 12);
    const mass = (trial: number) =>
      run
        .view()
        .readings.reduce(
          (sum, { slot, text, trial: of, struck }) =>
            of !== trial || struck !== null
              ? sum
              : sum + (slot === 'boat' ? Number(text) : slot === 'left' ? -Number(text) : 0),
          0,
        );
    const first = run.view().trial - 1;
    const second = run.view().trial;
    run.weighed(0.4);
    run.does({ kind: 'water', ml: 40 }, indicator, { kind: 'keepSwirling', on: true });
    run.wait(200);
    run.titrated(second, (12 * mass(second)) / mass(first));
    expect(run.step('again')?.done).toBe(true);
  });
});

it('has no curve as long as its steepest place is not passed', () => {
  const run = begun('polyprotic-acid', { acids: ['maleic-acid'] });
  run.does({ kind: 'rinseBurette', with: 'titrant' }, { kind: 'fill', toMl: 0.5 });
  run.pipetted();
  run.does({ kind: 'water', ml: 20 }, { kind: 'probe', place: 'flask' }, { kind: 'keepSwirling', on: true });
  run.wait(15);
  run.does({ kind: 'log', every: 0.1, by: 'mL' });
  const runsIn = (ml: number, times: number) => {
    for (let i = 0; i < times; i++) {
      run.does({ kind: 'letIn', ml });
      run.wait(6);
    }
  };
  runsIn(0.1, 25);
  expect(run.view().logged.length).toBeGreaterThan(20);
  expect(run.step('log')?.done).toBe(true);
  expect(run.step('curve')?.done).toBe(false);
  runsIn(0.8, 55);
  expect(run.step('curve')?.done).toBe(true);
});
