import { describe, expect, it } from 'vitest';
import {
  lampFuelOf,
  openKJPerG,
  sealedKJPerG,
  solidFuelOf,
  wireJPerCm,
  fuseWireOf,
} from '../../../databook/combustion';
import { heatVesselOf, SEALED_VESSEL } from '../../../databook/heat-vessels';
import { waterDensity } from '../../../chemistry/water';
import { verdictOn } from '../../../report/verdict';
import type { Act } from '../acts';
import type { Bench } from '../bench';
import { burnLamp, burnPellet } from './student';
import { burntPart } from './sealed';
import { begun, worked, type Run } from '../testing';

/** What burns: against closed forms, and the wrong way. */

const inside = (run: Run) => run.bench().inside() as Bench;
const wait = (run: Run, seconds: number) => run.hands.act({ kind: 'wait' }, seconds);
const does = (run: Run, ...acts: Act[]) => acts.forEach((act) => run.hands.act(act));
const EXACT = { losses: false, thermometer: 'digital 0.01' };
const TIP_J_PER_K = 0.6;

/** Everything in and under water, ready to be fired. */
function ready(run: Run, { of = 'unknown', g = 0.5, cm = 10, bar = 28, bends = true, closes = true } = {}) {
  does(run, { kind: 'press', of: of as 'unknown', g }, { kind: 'place', to: 'vessel' });
  if (cm > 0) does(run, { kind: 'wire', cm });
  if (bends) does(run, { kind: 'bend' });
  if (closes) does(run, { kind: 'seal', closed: true });
  if (bar > 0) does(run, { kind: 'fill', bar });
  does(run, { kind: 'pour', bottle: 1, to: 'cup', ml: 700 }, { kind: 'thermometer', n: 1, at: 'cup' });
  does(run, { kind: 'sink', to: 'pail' }, { kind: 'stir', vessel: 'cup', how: 'motor' });
}

const pailJPerK = (run: Run) => {
  const { vessels, sample, sealed } = inside(run);
  const water = vessels.cup.liquid.volumeMl * waterDensity(sample.roomC) * 4.18;
  return water + vessels.cup.wallJPerK + (sealed?.jPerK ?? NaN) + TIP_J_PER_K;
};

describe('a pellet in oxygen', () => {
  it.each(['naphthalene', 'sucrose', 'urea', 'stearic-acid'])('of %s warms all by its heat of the data book', (id) => {
    const run = begun('pellet-in-oxygen', { setup: EXACT, sample: { solidFuelId: id } });
    ready(run, { g: 0.4 });
    wait(run, 600);
    const before = inside(run).vessels.cup.liquidC;
    const grams = inside(run).pellet?.g ?? NaN;
    run.hands.act({ kind: 'fire' });
    wait(run, 3600);
    const { vessels, burnt, sealed } = inside(run);
    const joules =
      1000 * sealedKJPerG(solidFuelOf(id)) * grams + (burnt?.wireCm ?? NaN) * wireJPerCm(fuseWireOf('iron-wire'));
    expect(Math.abs(vessels.cup.liquidC - before - joules / pailJPerK(run))).toBeLessThan(1e-6);
    expect(sealed?.soot).toBe(false);
    expect(inside(run).pellet).toBeNull();
  });

  it('has as heat capacity of all but the water what a standard tells', async () => {
    // Read when all is as warm: what is left are the last digits, of 6 K and of 0.75 g.
    const atRest = { readsAfterS: 400 };
    const run = await worked('pellet-in-oxygen', { setup: { ...EXACT, readability: '0.0001' } }, atRest, 2, atRest);
    const { sample } = run;
    const whole = (SEALED_VESSEL.jPerK + heatVesselOf('pail').jPerK) * sample.capacity;
    const truths = run.bench().truths();
    expect(truths['capacity']).toBeCloseTo(whole, 9);
    expect(inside(run).vessels.cup.wallJPerK + (inside(run).sealed?.jPerK ?? NaN) + TIP_J_PER_K).toBeCloseTo(whole, 9);
    // And that is what the readings come to.
    const told = run.bench().record().results.join('; ');
    expect(Math.abs(Number(/C = ([\d.]+)/.exec(told)?.[1]) / whole - 1)).toBeLessThan(0.02);
    const perGram = sealedKJPerG(solidFuelOf(sample.solidFuelId ?? ''));
    expect(Math.abs(Number(/q = ([\d.]+)/.exec(told)?.[1]) / perGram - 1)).toBeLessThan(0.005);
  });

  it('burns to the end with three times the oxygen, leaves soot with less, and hardly burns in air', () => {
    const stepWith = (bar: number) => {
      const run = begun('pellet-in-oxygen', { setup: EXACT, sample: { solidFuelId: 'sucrose' }, seed: 'soot' });
      ready(run, { g: 1, bar });
      const before = inside(run).vessels.cup.liquidC;
      run.hands.act({ kind: 'fire' });
      wait(run, 1800);
      return { step: inside(run).vessels.cup.liquidC - before, soot: inside(run).sealed?.soot, run };
    };
    const [full, half, air] = [stepWith(30), stepWith(8), stepWith(0)];
    expect([full.soot, half.soot, air.soot]).toEqual([false, true, true]);
    // 12 mol for a mole of sucrose: 9.2 bar of oxygen at 20 °C in 150 mL are 0.0569 mol for 0.0351.
    const grams = inside(half.run).burnt?.g ?? NaN;
    const { roomC } = half.run.sample;
    const times = (8.21e5 * 150e-6) / (8.314462618 * (roomC + 273.15)) / ((12 * grams) / 342.297);
    expect(half.step / full.step).toBeCloseTo(burntPart(times), 2);
    expect(air.step / full.step).toBeLessThan(0.05);
    // It is seen when it is opened, and said.
    does(half.run, { kind: 'sink', to: 'stand' }, { kind: 'vent' });
    expect(half.run.view().sealed?.soot).toBe(false);
    expect(half.run.act({ kind: 'seal', closed: false })).toMatch(/soot/);
    expect(half.run.view().sealed?.soot).toBe(true);
  });

  it('stays as it is where the wire does not touch: only the wire burns', () => {
    const run = begun('pellet-in-oxygen', { setup: EXACT });
    ready(run, { bends: false });
    const before = inside(run).vessels.cup.liquidC;
    expect(run.act({ kind: 'fire' })).toMatch(/burnt through/);
    wait(run, 1800);
    const wireJ = (inside(run).burnt?.wireCm ?? NaN) * wireJPerCm(fuseWireOf('iron-wire'));
    expect(inside(run).vessels.cup.liquidC - before).toBeCloseTo(wireJ / pailJPerK(run), 6);
    expect(wireJ / pailJPerK(run)).toBeLessThan(0.06);
    expect(inside(run).pellet?.at).toBe('vessel');
    // Nobody sees it from outside: neither the wire nor the pellet are told.
    expect(run.view().sealed).toMatchObject({ wire: 'none', pellet: null, wireText: null });
    expect(run.act({ kind: 'fire' })).toMatch(/stays dark/);
  });

  it.each(['opened', 'emptied'])(
    'is fired anew in the trial that its mass was recorded in, where the vessel was %s first',
    (first) => {
      const run = begun('pellet-in-oxygen', { setup: EXACT });
      does(run, { kind: 'weigh', what: 'cup', piece: 1 });
      run.hands.act({ kind: 'recordMass', trial: 1, which: 'm1' }, 3);
      does(
        run,
        { kind: 'offPan' },
        { kind: 'press', of: 'standard', g: 0.7 },
        { kind: 'weigh', what: 'pellet', piece: 1 },
      );
      run.hands.act({ kind: 'recordMass', trial: 1, which: 'ms' }, 3);
      const fires = (bends: boolean) => {
        does(
          run,
          { kind: 'place', to: 'vessel' },
          { kind: 'wire', cm: 10 },
          { kind: 'recordLength', trial: 1, which: 'L1' },
        );
        if (bends) does(run, { kind: 'bend' });
        does(
          run,
          { kind: 'seal', closed: true },
          { kind: 'fill', bar: 28 },
          { kind: 'pour', bottle: 1, to: 'cup', ml: 700 },
        );
        does(run, { kind: 'weigh', what: 'cup', piece: 1 });
        run.hands.act({ kind: 'recordMass', trial: 1, which: 'm2' }, 3);
        does(run, { kind: 'offPan' }, { kind: 'sink', to: 'pail' }, { kind: 'stir', vessel: 'cup', how: 'motor' });
        if (run.view().thermometers[0]?.at !== 'cup') does(run, { kind: 'thermometer', n: 1, at: 'cup' });
        run.hands.act({ kind: 'recordTemp', trial: 1, which: 'T1' }, 300);
        does(run, { kind: 'fire' });
        run.hands.act({ kind: 'recordTemp', trial: 1, which: 'T2' }, 400);
        does(run, { kind: 'sink', to: 'stand' });
      };
      fires(false);
      if (first === 'emptied') does(run, { kind: 'empty', vessel: 'cup' });
      does(run, { kind: 'vent' }, { kind: 'seal', closed: false }, { kind: 'place', to: 'dish' }, { kind: 'clean' });
      if (first === 'opened') does(run, { kind: 'empty', vessel: 'cup' });
      fires(true);
      does(run, { kind: 'vent' }, { kind: 'seal', closed: false }, { kind: 'recordLength', trial: 1, which: 'L2' });
      const live = run.view().readings.filter(({ struck }) => struck === null);
      expect(new Set(live.map(({ trial }) => trial))).toEqual(new Set([1]));
      const whole = (SEALED_VESSEL.jPerK + heatVesselOf('pail').jPerK) * run.sample.capacity;
      const told = Number(/C = ([\d.]+)/.exec(run.bench().record().results.join('; '))?.[1]);
      expect(Math.abs(told / whole - 1)).toBeLessThan(0.03);
    },
  );

  it.each([
    ['no wire', { cm: 0, bends: false }],
    ['a vessel that is open', { closes: false, bar: 0 }],
  ])('does nothing with %s, and says what the switch shows', (_, how) => {
    const run = begun('pellet-in-oxygen', { setup: EXACT });
    ready(run, how);
    const before = inside(run).vessels.cup.liquidC;
    expect(run.act({ kind: 'fire' })).toMatch(/stays dark/);
    wait(run, 600);
    expect(Math.abs(inside(run).vessels.cup.liquidC - before)).toBeLessThan(0.01);
    expect(inside(run).pellet).not.toBeNull();
  });

  it('is wet where the vessel was lowered open, until it is cleaned', () => {
    const run = begun('pellet-in-oxygen', { setup: EXACT });
    does(
      run,
      { kind: 'press', of: 'unknown', g: 0.5 },
      { kind: 'place', to: 'vessel' },
      { kind: 'wire', cm: 10 },
      { kind: 'bend' },
    );
    does(run, { kind: 'pour', bottle: 1, to: 'cup', ml: 700 });
    expect(run.act({ kind: 'sink', to: 'pail' })).toMatch(/water runs in/);
    does(
      run,
      { kind: 'sink', to: 'stand' },
      { kind: 'seal', closed: true },
      { kind: 'fill', bar: 25 },
      { kind: 'sink', to: 'pail' },
    );
    expect(run.act({ kind: 'fire' })).toMatch(/stays dark/);
    does(run, { kind: 'sink', to: 'stand' }, { kind: 'vent' });
    expect(run.act({ kind: 'seal', closed: false })).toMatch(/Water runs out/);
    does(run, { kind: 'clean' });
    expect(inside(run).sealed).toMatchObject({ isFlooded: false, wire: 'none' });
    expect(inside(run).pellet).toBeNull();
  });

  it('has a sentence for each wrong order and amount, and nothing is lost by it', () => {
    const run = begun('pellet-in-oxygen');
    const refused = (act: Act, words: RegExp) => expect(run.act(act)).toMatch(words);
    refused({ kind: 'bend' }, /no wire/);
    refused({ kind: 'place', to: 'vessel' }, /no pellet/);
    refused({ kind: 'fire' }, /under water alone/);
    refused({ kind: 'vent' }, /not under pressure/);
    refused({ kind: 'clean' }, /clean and empty/);
    refused({ kind: 'recordLength', trial: 1, which: 'L1' }, /No wire/);
    refused({ kind: 'recordLength', trial: 1, which: 'L2' }, /No wire has burnt/);
    for (const g of [0, 1e9, -5]) refused({ kind: 'press', of: 'unknown', g }, /between 0.1 and 1.2 g/);
    for (const cm of [0, 1e9, -5]) refused({ kind: 'wire', cm }, /between 2 and 20 cm/);
    does(run, { kind: 'press', of: 'unknown', g: 0.5 });
    refused({ kind: 'press', of: 'standard', g: 0.5 }, /a pellet already/);
    refused({ kind: 'weigh', what: 'boat', piece: 1 }, /no weighing boat/);
    refused({ kind: 'flame', n: 1, to: 'lit' }, /no such lamp/);
    does(run, { kind: 'seal', closed: true });
    for (const bar of [0, 31, 1e9, -5]) refused({ kind: 'fill', bar }, /between 1 and 30 bar/);
    refused({ kind: 'place', to: 'vessel' }, /closed/);
    does(run, { kind: 'fill', bar: 10 });
    refused({ kind: 'fill', bar: 10 }, /as much pressure/);
    refused({ kind: 'seal', closed: false }, /Let the gas out/);
    does(run, { kind: 'pour', bottle: 1, to: 'cup', ml: 700 }, { kind: 'sink', to: 'pail' });
    refused({ kind: 'vent' }, /under water/);
    refused({ kind: 'empty', vessel: 'cup' }, /Lift it out/);
    refused({ kind: 'fresh', type: 'pail' }, /Lift it out/);
    refused({ kind: 'pour', bottle: 1, to: 'cup', ml: 800 }, /run over/);
    expect(run.view().readings).toEqual([]);
    expect(inside(run).pellet?.g).toBeCloseTo(0.5, 1);
  });

  it('gives each burning a trial of its own, and what is found out after one goes to that one', async () => {
    const run = await worked('pellet-in-oxygen', { setup: EXACT }, {}, 3);
    const trials = (slot: string) =>
      run
        .view()
        .readings.filter((r) => r.slot === slot && r.struck === null)
        .map((r) => r.trial);
    expect(trials('ms')).toEqual([1]);
    expect(trials('m')).toEqual([2, 3]);
    for (const slot of ['L1', 'T1', 'T2', 'L2', 'm2']) expect(trials(slot)).toEqual([1, 2, 3]);
    expect(trials('m1')).toEqual([1]);
    expect(run.view().steps.every(({ done }) => done)).toBe(true);
    // With the last burning over, all that is made ready is for the next.
    const due = Object.fromEntries(run.view().slots.map(({ slot, due }) => [slot, due]));
    expect(due).toMatchObject({ m: 4, L1: 4, L2: 3 });
  });

  it('is recorded for the next trial while the last stands in the pail, and its wire for the last', () => {
    const run = begun('pellet-in-oxygen', { setup: EXACT });
    ready(run, { of: 'standard', g: 0.7 });
    does(run, { kind: 'recordTemp', trial: 1, which: 'T1' }, { kind: 'fire' });
    wait(run, 300);
    does(run, { kind: 'press', of: 'unknown', g: 0.5 }, { kind: 'weigh', what: 'pellet', piece: 1 });
    const due = (slot: string) => run.view().slots.find((one) => one.slot === slot)?.due;
    expect([due('m'), due('T2'), due('L2')]).toEqual([2, 1, 1]);
    run.hands.act({ kind: 'recordMass', trial: 2, which: 'm' }, 3);
    expect([due('m'), due('T2'), due('L2')]).toEqual([2, 1, 1]);
    does(
      run,
      { kind: 'recordTemp', trial: 1, which: 'T2' },
      { kind: 'sink', to: 'stand' },
      { kind: 'empty', vessel: 'cup' },
    );
    does(run, { kind: 'vent' }, { kind: 'seal', closed: false }, { kind: 'recordLength', trial: 1, which: 'L2' });
    expect([due('m'), due('T1'), due('L2')]).toEqual([2, 2, 1]);
  });
});

describe('a fuel in a lamp', () => {
  it.each(['methanol', 'hexane', 'acetone'])('of %s gives can and water all its heat where nothing is lost', (id) => {
    const run = begun('lamp-fuels', { setup: EXACT, sample: { lampFuelIds: ['ethanol', id] } });
    does(run, { kind: 'pour', bottle: 1, to: 'cup', ml: 200 }, { kind: 'thermometer', n: 1, at: 'cup' });
    does(run, { kind: 'stir', vessel: 'cup', how: 'motor' }, { kind: 'stand', n: 2, at: 'can' });
    const before = inside(run);
    does(run, { kind: 'flame', n: 2, to: 'lit' });
    wait(run, 180);
    does(run, { kind: 'flame', n: 2, to: 'capped' });
    wait(run, 3600);
    const after = inside(run);
    const grams = (before.lamps[1]?.fuelG ?? NaN) - (after.lamps[1]?.fuelG ?? NaN);
    const { cleanPart } = lampFuelOf(id);
    const { cup } = after.vessels;
    const jPerK = cup.liquid.volumeMl * waterDensity(run.sample.roomC) * 4.18 + cup.wallJPerK + TIP_J_PER_K;
    const step = (1000 * grams * openKJPerG(lampFuelOf(id)) * cleanPart) / jPerK;
    expect(Math.abs(cup.liquidC - before.vessels.cup.liquidC - step)).toBeLessThan(1e-6);
  });

  it('boils the water and no hotter, runs dry, and goes out by itself', () => {
    const run = begun('lamp-fuels', { setup: { thermometer: 'digital 0.01' } });
    does(
      run,
      { kind: 'pour', bottle: 1, to: 'cup', ml: 60 },
      { kind: 'stand', n: 1, at: 'can' },
      { kind: 'flame', n: 1, to: 'lit' },
    );
    wait(run, 1500);
    expect(inside(run).vessels.cup.liquidC).toBeCloseTo(run.sample.boilsC, 1);
    wait(run, 4 * 3600);
    const { lamps, vessels } = inside(run);
    expect(lamps[0]).toMatchObject({ state: 'open', fuelG: 0 });
    expect(vessels.cup.liquid.volumeMl).toBeLessThan(60);
    expect(run.act({ kind: 'flame', n: 1, to: 'lit' })).toMatch(/no fuel/);
    does(run, { kind: 'refill', n: 1 }, { kind: 'flame', n: 1, to: 'lit' });
  });

  it('is lit under an empty can, on the balance and beside the other one: each has its sentence', () => {
    const run = begun('lamp-fuels');
    expect(run.act({ kind: 'stand', n: 1, at: 'can' })).toBeUndefined();
    expect(run.act({ kind: 'flame', n: 1, to: 'lit' })).toMatch(/no water in the can/);
    expect(run.act({ kind: 'stand', n: 2, at: 'can' })).toMatch(/other lamp/);
    wait(run, 300);
    const { wallC } = inside(run).vessels.cup;
    expect(wallC).toBeGreaterThan(80);
    // Water that is poured in then is what is warmed: the trial has begun.
    expect(run.view().isMixed).toBe(false);
    does(run, { kind: 'pour', bottle: 1, to: 'cup', ml: 100 });
    expect(run.view().isMixed).toBe(true);
    expect(run.act({ kind: 'weigh', what: 'lamp', piece: 2 })).toBeUndefined();
    expect(run.act({ kind: 'flame', n: 2, to: 'lit' })).toMatch(/grows lighter/);
    expect(run.act({ kind: 'refill', n: 2 })).toMatch(/burns/);
    expect(run.act({ kind: 'flame', n: 2, to: 'open' })).toMatch(/wick dries/);
    for (const mm of [0, 1e9, -5]) expect(run.act({ kind: 'gap', mm })).toMatch(/15 to 120 mm/);
    expect(run.act({ kind: 'press', of: 'unknown', g: 0.5 })).toMatch(/no sealed vessel/);
  });

  it('gives less to the can from further off, and more within a screen', async () => {
    const caught = async (habits: object) => {
      const run = await worked('lamp-fuels', { setup: { thermometer: 'digital 0.01' }, seed: 'far' }, {}, 1, habits);
      return run.bench().truths()['caught'] as number;
    };
    const [near, far, bare] = [
      await caught({ gapMm: 30 }),
      await caught({ gapMm: 90 }),
      await caught({ gapMm: 30, screen: false }),
    ];
    expect(near).toBeGreaterThan(1.8 * far);
    expect(near).toBeGreaterThan(1.1 * bare);
  });

  it('knows each lamp by its own readings, before and after, in the trial that it burnt in', async () => {
    const run = await worked('lamp-fuels', {}, {}, 3);
    const trials = (slot: string) =>
      run
        .view()
        .readings.filter((r) => r.slot === slot && r.struck === null)
        .map((r) => r.trial);
    expect([trials('k1'), trials('k2'), trials('b1'), trials('b2')]).toEqual([[1], [1], [2, 3], [2, 3]]);
    expect(run.view().steps.every(({ done }) => done)).toBe(true);
  });
});

describe('a careful student’s report', () => {
  it.each(['pellet-in-oxygen', 'lamp-fuels'] as const)(
    'of %s has the name right and its values in a band',
    async (id) => {
      const run = begun(id, { seed: 'careful', index: 3 });
      const plan = run.practical.labels(run.setup);
      for (const trial of [1, 2])
        if (id === 'pellet-in-oxygen') await burnPellet(run.hands, plan, trial, trial === 1 ? 'standard' : 'unknown');
        else await burnLamp(run.hands, plan, trial, trial as 1 | 2);
      const truths = run.bench().truths();
      const found = run.bench().record().results.join('; ');
      const perGram = Number(/q = ([\d.]+)/.exec(found)?.[1]).toFixed(id === 'lamp-fuels' ? 1 : 2);
      const answers = { perGram: { text: perGram, unit: 'kJ/g' }, name: { text: String(truths['name']) } };
      const checked = run.bench().check(
        answers,
        run.practical.asks(run.setup).filter(({ key }) => key in answers),
      );
      if (!checked.ok) throw new Error(checked.problems.map(({ sentence }) => sentence).join(' '));
      const verdicts = checked.items.map((item) => verdictOn(item));
      expect(verdicts).toHaveLength(2);
      for (const verdict of verdicts) expect(verdict).toMatch(/^(within [\d.]+ %|right)/u);
    },
  );
});
