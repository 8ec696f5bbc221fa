import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { GASES } from '../../databook/gases';
import { flownTo, type Flight } from '../../physics/flight';
import { PRACTICALS, type AnyBench } from '../registry';
import { actsOf } from '../testing';
import { verdictOn } from '../../report/verdict';
import { psAt, roomOf } from './plan';

const practical = PRACTICALS['one-particle'];

function begun(setup: object = {}, seed = 'one', index = 0) {
  const chosen = practical.setup.parse(setup);
  const sample = practical.sample(chosen, seed, index) as { gasId: string; startK: number };
  let bench: AnyBench = practical.open(chosen, sample, seed);
  const act = (json: object): string | undefined => {
    const outcome = bench.perform(practical.readAct(json));
    if ('refusal' in outcome) return outcome.refusal;
    bench = outcome.bench.advance(3);
    return outcome.note;
  };
  const view = () => {
    const seen = bench.view();
    if (seen.family !== 'particles') throw new Error('another family');
    return seen;
  };
  const row = (trial: number) => ['T', 'E', 'v'].forEach((which) => act({ kind: 'record', trial, which }));
  return { act, view, row, sample, bench: () => bench };
}

/** Does what the brief says, to the letter: the temperature of the card, twice it, then energy given and taken. */
function byTheBrief(seed: string, index: number, setup: object = {}) {
  const run = begun(setup, seed, index);
  const { startK } = run.sample;
  run.act({ kind: 'putIn', kelvin: startK });
  run.row(1);
  run.act({ kind: 'bring', kelvin: 2 * startK });
  run.row(2);
  for (let trial = 3; trial <= 10; trial++) {
    run.act(trial % 3 === 0 ? { kind: 'take', zJ: 1.7 } : { kind: 'give', zJ: 2.1 });
    run.row(trial);
  }
  return run;
}

describe('one particle in a vessel', () => {
  it.each(GASES.map(({ id, name, molarMassGPerMol }) => [id, name, molarMassGPerMol] as const))(
    'by the brief, a particle of %s is found to be one',
    (gasId, name, molarMass) => {
      const run = byTheBrief('brief', 3, { gases: [gasId] });
      const { steps, gauges } = run.view();
      expect(steps.every(({ done }) => done)).toBe(true);
      // What a student works out from the first two rows and the slope, by the readings alone.
      const value = (trial: number, slot: string) =>
        Number(run.view().readings.find((r) => r.trial === trial && r.slot === slot)?.text);
      const mass = (2 * value(2, 'E') * 1e-21 * 6.02214e23 * 1000) / value(2, 'v') ** 2;
      const answers = {
        energyFactor: { text: (value(2, 'E') / value(1, 'E')).toFixed(2) },
        speedFactor: { text: (value(2, 'v') / value(1, 'v')).toFixed(2) },
        perKelvin: {
          text: ((value(2, 'E') - value(1, 'E')) / (value(2, 'T') - value(1, 'T'))).toPrecision(3),
          unit: 'zJ/K',
        },
        molarMass: { text: mass.toPrecision(3), unit: 'g/mol' },
        name: { text: name },
      };
      const asks = practical.asks(practical.setup.parse({})).filter(({ key }) => key in answers);
      const checked = run.bench().check(answers, asks);
      expect(checked.ok && checked.items.map((item) => verdictOn(item))).toEqual([
        'within 1 %',
        'within 1 %',
        'within 1 %',
        'within 1 %',
        'right',
      ]);
      expect(mass / molarMass).toBeCloseTo(1, 2);
      expect(gauges?.T).toMatch(/^\d+\.\d$/);
    },
  );

  it('gives the energy that is given, and takes what is there and no more', () => {
    const { act, view } = begun({ gases: ['argon'] });
    expect(act({ kind: 'give', zJ: 1 })).toBe('The vessel is empty. Put a particle in first.');
    expect(act({ kind: 'record', trial: 1, which: 'T' })).toBe('The vessel is empty. Put a particle in first.');
    act({ kind: 'putIn', kelvin: 290 });
    // 3/2 · 1.380649·10⁻²³ J/K · 290 K
    expect(view().gauges).toMatchObject({ T: '290.0', E: '6.006' });
    act({ kind: 'give', zJ: 6.006 });
    expect(view().gauges?.E).toBe('12.012');
    act({ kind: 'take', zJ: 9.009 });
    expect(view().gauges?.T).toBe('145.0');
    expect(act({ kind: 'take', zJ: 4 })).toBe('It has only 3.003 zJ: no more than that can be taken.');
    expect(act({ kind: 'give', zJ: 61 })).toMatch(/hotter than 3000 K/);
    expect(act({ kind: 'bring', kelvin: 3001 })).toMatch(/from 0 to 3000 K/);
    act({ kind: 'bring', kelvin: 0 });
    expect(view().gauges).toEqual({ T: '0.0', E: '0.000', v: '0.0' });
    // Stood still, it goes on the way that it was going when it is given energy again.
    const way = view().flight?.direction;
    act({ kind: 'clock', stopped: true });
    act({ kind: 'give', zJ: 5 });
    expect(view().flight?.direction).toEqual(way);
    expect(view().gauges?.E).toBe('5.000');
    // A stopped clock does not stop a reading.
    expect(act({ kind: 'record', trial: 1, which: 'E' })).toBeUndefined();
  });

  it('has its first step done at the temperature of the card, and at no other', () => {
    const { act, view, row, sample } = begun();
    const first = () => view().steps[0]?.done;
    act({ kind: 'putIn', kelvin: 1.1 * sample.startK });
    row(1);
    expect(first()).toBe(false);
    act({ kind: 'bring', kelvin: sample.startK });
    row(2);
    expect(first()).toBe(true);
  });

  it('corrects a reading that is the same again, and begins a trial for another', () => {
    const { act, view, row } = begun();
    const due = () => view().slots.map((slot) => slot.due);
    act({ kind: 'putIn', kelvin: 250 });
    expect(due()).toEqual([1, 1, 1]);
    row(1);
    expect(due()).toEqual([1, 1, 1]);
    act({ kind: 'give', zJ: 1 });
    expect(due()).toEqual([2, 2, 2]);
    expect(act({ kind: 'record', trial: 3, which: 'E' })).toBe('Trial 2 comes before trial 3.');
  });

  it('is not ready to be handed in from one temperature alone', () => {
    const run = begun();
    run.act({ kind: 'putIn', kelvin: 250 });
    run.row(1);
    run.row(2);
    const told = () => {
      const checked = run.bench().check({});
      return checked.ok ? '' : checked.problems.map(({ sentence }) => sentence).join(' ');
    };
    expect(told()).toMatch(/two temperatures/);
    run.act({ kind: 'bring', kelvin: 500 });
    run.row(2);
    expect(told()).not.toMatch(/two temperatures/);
  });

  it.each([
    ['the speed taken to double', 'speedFactor', 2, 'asEnergy'],
    ['the half forgotten', 'molarMass', 0.5, 'half'],
    ['kT for 3/2 kT', 'perKelvin', 2 / 3, 'onlyKT'],
  ])('tells %s as the mistake that it is', (_what, quantity, factor, key) => {
    const run = byTheBrief('slip', 0);
    const truth = run.bench().truths()[quantity] as number;
    const value = quantity === 'speedFactor' ? factor : truth * factor;
    const setup = practical.setup.parse({});
    const readings = (trial: number) => ['T', 'E', 'v'].map((which) => ({ kind: 'record', trial, which }));
    const log = [{ kind: 'putIn', kelvin: 300 }, ...readings(1), { kind: 'bring', kelvin: 600 }, ...readings(2)];
    const [moved] = practical.influences(
      { setup, sample: run.sample, seed: 'slip' },
      log.map((act, i) => ({ atS: i, act })),
      [{ quantity, value, trueValue: truth }],
    );
    expect(moved?.shares[0]?.key).toBe(key);
    expect(Math.abs(moved?.rest ?? 1)).toBeLessThan(0.01 * truth);
  });
});

describe('what moves in the browser', () => {
  const setup = practical.setup.parse({});
  const steps = fc.array(fc.tuple(actsOf(practical, setup), fc.double({ min: 0, max: 9, noNaN: true })), {
    maxLength: 25,
  });

  it('is told whole: from any view, the particle flies on as it does on the server, to the last bit', () => {
    fc.assert(
      fc.property(
        fc.nat(50).map(String),
        steps,
        fc.double({ min: 0, max: 400, noNaN: true }),
        (seed, sequence, later) => {
          let bench: AnyBench = practical.open(setup, practical.sample(setup, seed, 0), seed);
          for (const [act, seconds] of sequence) {
            const outcome = bench.advance(seconds).perform(act);
            if (!('refusal' in outcome)) bench = outcome.bench;
          }
          const told = JSON.parse(JSON.stringify(bench.view())) as {
            flight: Flight | null;
            timeS: number;
            paused: boolean;
          };
          const then = bench.advance(later).view();
          if (then.family !== 'particles') throw new Error('another family');
          expect(then.movesInBrowser).toBe(true);
          const flown = told.flight && flownTo(told.flight, psAt(then.timeS), roomOf({ edgeNm: 10 }));
          expect(flown).toEqual(then.flight);
          // Time alone changes nothing else: no frame has to be sent.
          expect({ ...then, timeS: 0, flight: null }).toEqual({ ...bench.view(), timeS: 0, flight: null });
        },
      ),
      { numRuns: 200 },
    );
  });

  it('is cheap to make up for: six hours at once take no more walls than a budget', () => {
    const run = begun({ gases: ['hydrogen'], edgeNm: 6 });
    run.act({ kind: 'putIn', kelvin: 3000 });
    const view = run
      .bench()
      .advance(6 * 3600)
      .view();
    expect(view.family === 'particles' && view.flight?.hits).toBeLessThan(250_000);
  });
});
