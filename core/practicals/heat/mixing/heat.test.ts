import { describe, expect, it } from 'vitest';
import { waterDensity } from '../../../chemistry/water';
import { CUPS, heatVesselOf } from '../../../databook/heat-vessels';
import { saltOf } from '../../../databook/salts';
import { METAL_HEATS } from '../../../databook/specific-heats';
import { commonTempC } from '../../../physics/heat';
import { verdictOn } from '../../../report/verdict';
import type { Bench } from '../bench';
import { begun, worked, type HeatId, type Run } from '../testing';

/** The hidden state of a run's bench. */
const inside = (run: Run) => run.bench().inside() as Bench;
const wait = (run: Run, seconds: number) => run.hands.act({ kind: 'wait' }, seconds);

const WATER_J_PER_G_K = 4.18;
const TIP_J_PER_K = 0.6;
const EXACT = { losses: false, thermometer: 'digital 0.01' };

/** The liquid, the wall and the tip of the thermometer that stands in the cup, as bodies, by hand. */
function inCup(bench: Bench) {
  const { cup } = bench.vessels;
  return [
    { tempC: cup.liquidC, jPerK: cup.liquid.volumeMl * waterDensity(bench.sample.roomC) * WATER_J_PER_G_K },
    { tempC: cup.wallC, jPerK: cup.wallJPerK },
    { tempC: bench.thermometers[0]?.tipC ?? NaN, jPerK: TIP_J_PER_K },
  ];
}

function cupWithWater(run: Run, ml: number) {
  run.hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml });
  run.hands.act({ kind: 'thermometer', n: 1, at: 'cup' });
  run.hands.act({ kind: 'stir', vessel: 'cup', how: 'hand' });
}

describe('heat that stays', () => {
  it.each(METAL_HEATS.filter(({ id }) => ['magnesium', 'copper', 'lead', 'tungsten'].includes(id)))(
    'brings $name and water to the temperature of the closed form',
    ({ id, jPerGK }) => {
      const run = begun('metal-by-heat', { setup: { ...EXACT, metals: [id] } });
      run.hands.act({ kind: 'warm', what: 'bath', tempC: 80 });
      run.hands.act({ kind: 'put', piece: 1, to: 'bath' });
      cupWithWater(run, 90);
      wait(run, 1200);
      const before = inside(run);
      run.hands.act({ kind: 'put', piece: 1, to: 'cup' });
      wait(run, 3600);
      const metal = { tempC: 80, jPerK: (before.sample.metal?.piecesG[0] ?? NaN) * jPerGK };
      expect(Math.abs(inside(run).vessels.cup.liquidC - commonTempC([metal, ...inCup(before)]))).toBeLessThan(1e-6);
    },
  );

  it.each(CUPS)('brings two portions of water in a $name there too', ({ id, jPerK }) => {
    const run = begun('two-portions', { setup: { ...EXACT, vessel: id } });
    run.hands.act({ kind: 'pour', bottle: 1, to: 'beaker', ml: 70 });
    run.hands.act({ kind: 'warm', what: 'bath', tempC: 55 });
    run.hands.act({ kind: 'seat', at: 'bath' });
    cupWithWater(run, 80);
    wait(run, 3600);
    const before = inside(run);
    const own = inCup(before);
    // What the data book says of the vessel counts the tip in.
    expect((own[1]?.jPerK ?? 0) + TIP_J_PER_K).toBeCloseTo(jPerK * before.sample.capacity, 9);
    run.hands.act({ kind: 'tipOver', from: 'beaker', to: 'cup', ml: 999 });
    wait(run, 3600);
    const after = inside(run);
    const pouredMl = after.vessels.cup.liquid.volumeMl - before.vessels.cup.liquid.volumeMl;
    const warm = {
      tempC: before.vessels.beaker.liquidC,
      jPerK: pouredMl * waterDensity(before.sample.roomC) * WATER_J_PER_G_K,
    };
    expect(warm.tempC).toBeCloseTo(55, 6);
    expect(Math.abs(after.vessels.cup.liquidC - commonTempC([warm, ...own]))).toBeLessThan(1e-6);
  });

  it.each(['ammonium-nitrate', 'sodium-acetate', 'sodium-acetate-3-water', 'lithium-chloride'])(
    'takes from the water what %s takes up when it dissolves',
    (saltId) => {
      const run = begun('salt-by-heat', { setup: EXACT, sample: { saltId } });
      cupWithWater(run, 90);
      wait(run, 600);
      run.hands.act({ kind: 'scoop', g: 5 });
      const before = inside(run);
      run.hands.act({ kind: 'tip' });
      run.hands.act({ kind: 'tapBoat' });
      wait(run, 3600);
      const after = inside(run);
      expect(after.vessels.cup.lyingMol).toBe(0);
      const { molarMassGPerMol, enthalpyKJPerMol } = saltOf(saltId);
      const mol = before.boat.saltG / molarMassGPerMol;
      const bodies = inCup(before);
      const all = bodies.reduce((sum, { jPerK }) => sum + jPerK, 0);
      const closed = commonTempC(bodies) - (1000 * mol * enthalpyKJPerMol) / all;
      expect(Math.abs(after.vessels.cup.liquidC - closed)).toBeLessThan(1e-6);
    },
  );
});

describe('heat that goes', () => {
  it('follows Newton’s law under a lid, by the conductances of the data book', () => {
    const run = begun('two-portions', { setup: { vessel: 'vacuum-flask', thermometer: 'digital 0.01' } });
    run.hands.act({ kind: 'pour', bottle: 1, to: 'beaker', ml: 180 });
    run.hands.act({ kind: 'warm', what: 'bath', tempC: 32 });
    run.hands.act({ kind: 'seat', at: 'bath' });
    wait(run, 3000);
    run.hands.act({ kind: 'tipOver', from: 'beaker', to: 'cup', ml: 999 });
    run.hands.act({ kind: 'stir', vessel: 'cup', how: 'hand' });
    run.hands.act({ kind: 'lid', vessel: 'cup', on: true });
    wait(run, 900);
    const overC: number[] = [];
    for (let i = 0; i < 3; i++) {
      overC.push(inside(run).vessels.cup.liquidC - inside(run).sample.roomC);
      wait(run, 3600);
    }
    const [a, b, c] = overC as [number, number, number];
    // Twice as long, twice the logarithm; to a hundredth, for a little evaporates under the lid as well.
    expect(Math.log(a / c) / Math.log(a / b)).toBeCloseTo(2, 1);
    const { outsideWPerK, insideWPerK, topWPerK } = heatVesselOf('vacuum-flask');
    const through = 1 / (1 / outsideWPerK + 1 / insideWPerK) + topWPerK.lid;
    const jPerK = 180 * WATER_J_PER_G_K + heatVesselOf('vacuum-flask').jPerK;
    const rate = Math.log(a / b) / 3600;
    expect(rate / (through / jPerK)).toBeGreaterThan(1);
    expect(rate / (through / jPerK)).toBeLessThan(1.25);
  });

  it('is less under a lid, less in a flask, more in an open beaker', () => {
    const leftC = (vessel: string, lid: boolean) => {
      const run = begun('two-portions', { setup: { vessel } });
      run.hands.act({ kind: 'pour', bottle: 1, to: 'beaker', ml: 150 });
      run.hands.act({ kind: 'warm', what: 'bath', tempC: 80 });
      run.hands.act({ kind: 'seat', at: 'bath' });
      wait(run, 1500);
      run.hands.act({ kind: 'tipOver', from: 'beaker', to: 'cup', ml: 999 });
      if (lid) run.hands.act({ kind: 'lid', vessel: 'cup', on: true });
      expect(run.view().vessels.cup.steams).toBe(!lid);
      wait(run, 1200);
      return inside(run).vessels.cup.liquidC;
    };
    const [open, covered, flask, beaker] = [
      leftC('foam-cup', false),
      leftC('foam-cup', true),
      leftC('vacuum-flask', true),
      leftC('glass-beaker', false),
    ];
    expect(covered - open).toBeGreaterThan(4);
    expect(flask).toBeGreaterThan(covered);
    expect(open).toBeGreaterThan(beaker);
    expect(beaker).toBeGreaterThan(25);
  });

  it('lets water boil at the pressure of the day and no hotter, whatever it is set to', () => {
    const run = begun('metal-by-heat', { sample: { boilsC: 98.87 } });
    expect(run.act({ kind: 'warm', what: 'bath', tempC: 100 })).toBe('It can get no hotter than water boils today.');
    wait(run, 400);
    expect(inside(run).bath.tempC).toBe(98.87);
    expect(run.view().bath).toEqual({ setC: 100, boils: true, warms: false });
  });
});

describe('a bench that is left alone', () => {
  const left = (acts: readonly object[] = []) => {
    const run = begun('two-portions', { setup: { thermometer: 'digital 0.01' } });
    run.hands.act({ kind: 'pour', bottle: 1, to: 'beaker', ml: 150 });
    run.hands.act({ kind: 'warm', what: 'bath', tempC: 70 });
    run.hands.act({ kind: 'seat', at: 'bath' });
    run.hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: 80 });
    run.hands.act({ kind: 'thermometer', n: 1, at: 'beaker' });
    for (const act of acts) run.hands.act(act as never);
    return run.bench();
  };

  it('is the same six hours later, however often it was looked at on the way', () => {
    for (const acts of [[], [{ kind: 'log', everyS: 7 }]]) {
      const once = left(acts).advance(21_600).inside() as Bench;
      let often = left(acts);
      for (const seconds of [1, 1799.25, 0.5, 3, 1000.125, 4, 4, 8, 7000, 3, 3.5]) often = often.advance(seconds);
      expect(
        often.advance(21_600 - (often.inside() as Bench).timeS + (left(acts).inside() as Bench).timeS).inside(),
      ).toEqual(once);
    }
  });

  it('goes in long steps as it would in short ones', () => {
    const long = left().advance(14_400).inside() as Bench;
    let short = left();
    // An act now and then keeps the steps short.
    for (let i = 0; i < 9; i++) {
      const outcome = short.advance(1600).perform({ kind: 'lid', vessel: 'cup', on: true });
      const off = 'bench' in outcome ? outcome.bench.perform({ kind: 'lid', vessel: 'cup', on: false }) : outcome;
      if ('bench' in off) short = off.bench;
    }
    const fine = short.inside() as Bench;
    expect(fine.timeS).toBe(long.timeS);
    for (const key of ['cup', 'beaker'] as const)
      expect(Math.abs(fine.vessels[key].liquidC - long.vessels[key].liquidC)).toBeLessThan(0.02);
    expect(Math.abs(fine.vapourG / long.vapourG - 1)).toBeLessThan(0.01);
  });

  it('is as it is at that moment when something is done at it again', () => {
    const outcome = left().advance(7203.5).perform({ kind: 'recordTemp', trial: 1, which: 'Th' });
    if ('refusal' in outcome) throw new Error(outcome.refusal);
    const bench = outcome.bench.inside() as Bench;
    expect(bench.timeS - bench.steppedS).toBeLessThan(0.5);
  });
});

describe('what the hands do', () => {
  it('takes a piece out wet from the bath and dry from the block', () => {
    const run = begun('metal-by-heat', { setup: { heating: 'boiling water and dry block' } });
    run.hands.act({ kind: 'warm', what: 'bath', tempC: 90 });
    run.hands.act({ kind: 'warm', what: 'block', tempC: 90 });
    run.hands.act({ kind: 'put', piece: 1, to: 'bath' });
    run.hands.act({ kind: 'put', piece: 2, to: 'block' });
    wait(run, 600);
    run.hands.act({ kind: 'put', piece: 1, to: 'tongs' });
    run.hands.act({ kind: 'put', piece: 2, to: 'tongs' });
    expect(run.view().pieces.map(({ wet }) => wet)).toEqual([true, false, false]);
    expect(run.act({ kind: 'dry', piece: 1 })).toBeUndefined();
    expect(run.act({ kind: 'dry', piece: 1 })).toBe('The piece is dry already.');
    // The smaller one cools the faster.
    const hot = inside(run).pieces.map(({ tempC }) => tempC);
    wait(run, 60);
    const cooled = inside(run).pieces.map(({ tempC }, i) => (hot[i] as number) - tempC);
    expect(cooled[1]).toBeGreaterThan(cooled[0] as number);
    expect(run.view().running).toBe(true);
  });

  it('weighs what is warm as lighter, and salt with the water that it went into', () => {
    const run = begun('salt-by-heat', { sample: { saltId: 'potassium-iodide' } });
    run.hands.act({ kind: 'scoop', g: 9 });
    const salt = inside(run).boat.saltG;
    run.hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: 60 });
    run.hands.act({ kind: 'weigh', what: 'cup', piece: 1 });
    wait(run, 4);
    const before = Number(run.view().balance);
    run.hands.act({ kind: 'tip' });
    run.hands.act({ kind: 'tapBoat' });
    run.hands.act({ kind: 'stir', vessel: 'cup', how: 'motor' });
    run.hands.act({ kind: 'lid', vessel: 'cup', on: true });
    wait(run, 300);
    expect(Number(run.view().balance) - before).toBeCloseTo(salt, 1);
    expect(run.view().vessels.cup.lying).toBe(0);
  });

  it('dissolves no more than the water holds at its temperature', () => {
    const run = begun('salt-by-heat', { sample: { saltId: 'potassium-chlorate' } });
    run.hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: 50 });
    run.hands.act({ kind: 'stir', vessel: 'cup', how: 'motor' });
    run.hands.act({ kind: 'scoop', g: 20 });
    run.hands.act({ kind: 'tip' });
    wait(run, 3600);
    const { cup } = inside(run).vessels;
    const dissolvedG = (cup.liquid.amounts['potassium-chlorate'] ?? 0) * saltOf('potassium-chlorate').molarMassGPerMol;
    // 5.0 g in 100 g at 10 °C and 7.1 g at 20 °C: Seidell and Linke, Solubilities, 4th ed.
    const published = 5 + (2.1 * (cup.liquidC - 10)) / 10;
    expect((dissolvedG / 50) * 100).toBeGreaterThan(0.9 * published);
    expect((dissolvedG / 50) * 100).toBeLessThan(1.1 * published);
    expect(run.view().vessels.cup.lying).toBeGreaterThan(5);
  });

  it('dissolves coarse grains slower, and to the same end', () => {
    const dissolvedOf = (grain: string, seconds: number) => {
      const run = begun('salt-by-heat', { setup: { grain, losses: false }, sample: { saltId: 'sodium-nitrate' } });
      run.hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: 80 });
      run.hands.act({ kind: 'stir', vessel: 'cup', how: 'hand' });
      run.hands.act({ kind: 'scoop', g: 6 });
      run.hands.act({ kind: 'tip' });
      wait(run, seconds);
      return inside(run).vessels.cup.liquid.amounts['sodium-nitrate'] ?? 0;
    };
    expect(dissolvedOf('coarse', 10) / dissolvedOf('fine', 10)).toBeLessThan(0.5);
    expect(dissolvedOf('coarse', 1800)).toBeCloseTo(dissolvedOf('fine', 1800), 9);
  });

  it('begins a trial with each fresh cup, and corrects within one', () => {
    const run = begun('metal-by-heat');
    const due = () => run.view().recordableTrial;
    run.hands.act({ kind: 'weigh', what: 'piece', piece: 1 });
    run.hands.act({ kind: 'recordMass', trial: 1, which: 'm' }, 3);
    run.hands.act({ kind: 'offPan' });
    run.hands.act({ kind: 'fresh', type: 'glass-beaker' });
    // The mass of the metal holds for all trials, and begins none.
    expect(due()).toBe(1);
    run.hands.act({ kind: 'weigh', what: 'cup', piece: 1 });
    run.hands.act({ kind: 'recordMass', trial: 1, which: 'm1' }, 3);
    run.hands.act({ kind: 'recordMass', trial: 1, which: 'm1' });
    expect(run.view().readings.filter(({ struck }) => struck !== null)).toHaveLength(1);
    expect(due()).toBe(1);
    run.hands.act({ kind: 'offPan' });
    run.hands.act({ kind: 'fresh', type: 'foam-cup' });
    expect(due()).toBe(2);
    expect(run.act({ kind: 'recordMass', trial: 3, which: 'm1' })).toBe('Trial 2 comes before trial 3.');
  });

  it('begins a trial with a cup that was emptied after something was combined in it, and none before', () => {
    const run = begun('acid-with-base');
    const fill = (bottle: number) => run.hands.act({ kind: 'pour', bottle, to: 'cup', ml: 40 });
    fill(1);
    run.hands.act({ kind: 'record', trial: 1, which: 'VA', text: '40.00' });
    run.hands.act({ kind: 'empty', vessel: 'cup' });
    expect(run.view().recordableTrial).toBe(1);
    expect(run.act({ kind: 'record', trial: 1, which: 'VA', text: '40.00' })).toMatch(/^Nothing of it/u);
    fill(1);
    fill(2);
    run.hands.act({ kind: 'record', trial: 1, which: 'VB', text: '40.00' });
    run.hands.act({ kind: 'empty', vessel: 'cup' });
    expect(run.view().recordableTrial).toBe(2);
    expect(run.view().isMixed).toBe(false);
  });

  it('logs every so many seconds, one count for all trials, and what it shows is what is recorded', () => {
    const run = begun('salt-by-heat');
    expect(run.act({ kind: 'log', everyS: 5 })).toBe('Put a thermometer into something before you log.');
    run.hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: 60 });
    run.hands.act({ kind: 'thermometer', n: 1, at: 'cup' });
    expect(run.act({ kind: 'log', everyS: 0.5 })).toBe('Log every 1 to 60 s, in whole seconds.');
    expect(run.act({ kind: 'log', everyS: 61 })).toBe('Log every 1 to 60 s, in whole seconds.');
    run.hands.act({ kind: 'log', everyS: 10 });
    wait(run, 60);
    run.hands.act({ kind: 'log', everyS: 0 });
    const { logged } = run.view();
    expect(logged.map(({ t }) => Number(t))).toEqual([0, 10, 20, 30, 40, 50]);
    expect(logged.every(({ T, U, trial }) => /^\d\d\.\d$/u.test(T) && U === '' && trial === '1')).toBe(true);
    expect(run.act({ kind: 'log', everyS: 0 })).toBe('Nothing is being logged.');
    run.hands.act({ kind: 'log', everyS: 1 });
    wait(run, 9000);
    expect(run.view().logged).toHaveLength(3600);
    expect(run.act({ kind: 'log', everyS: 1 })).toBe('The log is full: it holds 3600 lines.');
  });

  it('is read by eye where the thermometer is of glass', () => {
    const run = begun('salt-by-heat', { setup: { thermometer: 'glass 0.2' } });
    expect(run.act({ kind: 'log', everyS: 5 })).toMatch(/^A glass thermometer cannot be logged/u);
    expect(run.act({ kind: 'recordTemp', trial: 1, which: 'T1' })).toMatch(/^A glass thermometer is read by eye/u);
    const column = run.view().thermometers[0]?.columnC ?? NaN;
    expect(Math.abs(column * 100 - Math.round(column * 100))).toBeLessThan(1e-9);
    expect(run.act({ kind: 'record', trial: 1, which: 'T1', text: '21.4' })).toMatch(/one digit further, to 0\.02 °C/u);
    expect(run.act({ kind: 'record', trial: 1, which: 'T1', text: '294 K' })).toMatch(/divided in °C, not “K”/u);
    expect(run.act({ kind: 'record', trial: 1, which: 'T1', text: '210' })).toMatch(/goes from -5 to 105 °C/u);
    expect(run.act({ kind: 'record', trial: 1, which: 'T1', text: '' })).toMatch(/^Type what you read/u);
  });
});

describe('the wrong way', () => {
  it.each<[HeatId, object, RegExp]>([
    ['salt-by-heat', { kind: 'scoop', g: 0 }, /^Take between 0\.01 and 40 g/u],
    ['salt-by-heat', { kind: 'scoop', g: 1e9 }, /^Take between 0\.01 and 40 g/u],
    ['salt-by-heat', { kind: 'scoop', g: -5 }, /^Take between 0\.01 and 40 g/u],
    ['salt-by-heat', { kind: 'tip' }, /^The boat is empty/u],
    ['salt-by-heat', { kind: 'warm', what: 'bath', tempC: 60 }, /^There is no hot bath/u],
    ['salt-by-heat', { kind: 'fresh', type: 'metal-can' }, /^There is no metal can on the tray/u],
    ['metal-by-heat', { kind: 'warm', what: 'bath', tempC: -5 }, /^The hot bath can be set from 15 to 100 °C/u],
    ['metal-by-heat', { kind: 'warm', what: 'block', tempC: 90 }, /^There is no dry block/u],
    ['metal-by-heat', { kind: 'put', piece: 7, to: 'cup' }, /^There is no such piece/u],
    ['metal-by-heat', { kind: 'tipOver', from: 'beaker', to: 'cup', ml: 10 }, /^There is no second vessel/u],
    ['metal-by-heat', { kind: 'pour', bottle: 1, to: 'cup', ml: 1e9 }, /^Pour between 0\.05 and 230 mL/u],
    ['metal-by-heat', { kind: 'pour', bottle: 1, to: 'cup', ml: 229 }, /would run over/u],
    ['metal-by-heat', { kind: 'pour', bottle: 3, to: 'cup', ml: 10 }, /^There is no such bottle/u],
    ['metal-by-heat', { kind: 'recordMass', trial: 1, which: 'm3' }, /is not read here/u],
    ['metal-by-heat', { kind: 'empty', vessel: 'cup' }, /is empty already/u],
    ['metal-by-heat', { kind: 'offPan' }, /^Nothing is on the balance/u],
    ['two-portions', { kind: 'tipOver', from: 'beaker', to: 'cup', ml: 50 }, /^Nothing is in it/u],
    ['two-portions', { kind: 'tipOver', from: 'cup', to: 'cup', ml: 50 }, /^It cannot be poured into itself/u],
    ['two-portions', { kind: 'scoop', g: 5 }, /^There is no salt/u],
  ])('%s: %j is answered with a sentence', (id, act, sentence) => {
    const run = begun(id);
    const before = run.bench().inside();
    expect(run.act(act as never)).toMatch(sentence);
    expect(run.bench().inside()).toEqual(before);
  });

  it('lets metal into an empty cup, salt into a dry one, and everything before a baseline', () => {
    const metal = begun('metal-by-heat');
    expect(metal.act({ kind: 'put', piece: 1, to: 'cup' })).toMatch(/^There is nothing in the cup/u);
    metal.hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: 60 });
    wait(metal, 30);
    const salt = begun('salt-by-heat');
    salt.hands.act({ kind: 'scoop', g: 4 });
    expect(salt.act({ kind: 'tip' })).toBe('It lies in the dry cup.');
    salt.hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: 60 });
    wait(salt, 600);
    for (const run of [metal, salt]) {
      const { cup } = inside(run).vessels;
      expect(Number.isFinite(cup.liquidC)).toBe(true);
      expect(run.bench().check({}).ok).toBe(false);
    }
    // Unstirred, most of it has dissolved in ten minutes, and not all.
    expect(inside(salt).vessels.cup.lyingMol).toBeGreaterThan(0);
  });

  it('tells of a thermometer in air, a wet piece, a display that moves, and a cup that was thrown away', () => {
    const run = begun('metal-by-heat');
    expect(run.act({ kind: 'thermometer', n: 1, at: 'cup' })).toMatch(/^Its tip is not covered/u);
    run.hands.act({ kind: 'look', n: 2 });
    expect(run.act({ kind: 'recordTemp', trial: 1, which: 'Th' })).toMatch(/on its stand/u);
    run.hands.act({ kind: 'weigh', what: 'cup', piece: 1 });
    expect(run.act({ kind: 'recordMass', trial: 1, which: 'm1' })).toMatch(/had not come to rest/u);
    run.hands.act({ kind: 'offPan' });
    run.hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: 60 });
    expect(run.act({ kind: 'fresh', type: 'foam-cup' })).toMatch(/poured away/u);
    run.hands.act({ kind: 'warm', what: 'bath', tempC: 100 });
    wait(run, 300);
    expect(run.act({ kind: 'thermometer', n: 2, at: 'bath' })).toBeUndefined();
    expect(run.act({ kind: 'recordTemp', trial: 2, which: 'Th' })).toMatch(/still following/u);
  });
});

it.each<[HeatId, string, string]>([
  ['metal-by-heat', 'specificHeat', 'J g⁻¹ K⁻¹'],
  ['salt-by-heat', 'perGram', 'J/g'],
  ['two-portions', 'capacity', 'J/K'],
])('%s, done by the brief to the letter, has every step done and is judged right', async (id, quantity, unit) => {
  const run = await worked(id, { seed: 'brief', index: 2 }, { logs: true });
  expect(run.view().steps.filter(({ done }) => !done)).toEqual([]);
  const asks = run.practical.asks(run.setup);
  const value = run.practical.influences(run, run.acts, [{ quantity, value: 0, trueValue: 1 }])[0]
    ?.fromReadings as number;
  const name = asks.find((ask) => 'quantity' in ask && ask.quantity === 'name');
  const answers = {
    [quantity]: { text: value.toPrecision(2), unit },
    ...(name ? { name: { text: String(run.bench().truths().name) } } : {}),
  };
  const checked = run.bench().check(
    answers,
    asks.filter(({ key }) => key in answers),
  );
  if (!checked.ok) throw new Error(checked.problems.map(({ sentence }) => sentence).join(' '));
  for (const item of checked.items) expect(verdictOn(item)).toMatch(/^(within (3 %|5 %|5 J\/K)|right)$/u);
});
