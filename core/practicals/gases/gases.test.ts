import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { GAS_CRITICAL, vapourOf } from '../../databook/vapours';
import { condensesC, GAS_CONSTANT, kelvin, secondVirial } from '../../physics/gas-law';
import { vapourPressureKPa } from '../../physics/vapour';
import { KPA_PER_MM } from '../../physics/over-water';
import { gPerMolHydrogen, ribbonOf } from '../../databook/ribbons';
import { bathAfter, bathBoilsC } from './bath';
import { gasMl, heightMm } from './collected';
import { enclosedKPa } from './enclosed';
import { AIR_PART, freeMl, vapourIn } from './free';
import { bringBath } from './by-hand';
import { workWithGas } from './practised-student';
import { begun } from './testing';

/** The bench of gases, against what is known of it in closed form. */

describe('a syringe joined to a gauge', () => {
  it('holds the law of pressure and volume once the gas is as warm as the room', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 30, max: 100, noNaN: true }), { minLength: 1, maxLength: 8 }),
        fc.integer({ min: 0, max: 40 }),
        (places, index) => {
          const run = begun('pressure-volume', { index });
          run.act({ kind: 'joint', to: 'off' });
          run.act({ kind: 'plunger', ml: 70 });
          run.act({ kind: 'joint', to: 'home' });
          const { plungerMl, sample } = run.inside();
          const product = sample.roomKPa * (plungerMl + sample.innerMl);
          for (const ml of places) {
            run.act({ kind: 'plunger', ml });
            run.wait(60);
            const now = run.inside();
            expect(enclosedKPa(now) * (now.plungerMl + sample.innerMl)).toBeCloseTo(product, 6);
            expect(now.gasMol).toBeCloseTo(product / (GAS_CONSTANT * kelvin(sample.roomC)), 12);
          }
        },
      ),
      { numRuns: 40 },
    );
  });

  it('shows too much at first when it is pressed together, as a gas that gives no heat away would, and too little drawn out', () => {
    const run = begun('pressure-volume');
    run.act({ kind: 'plunger', ml: 80 });
    run.act({ kind: 'joint', to: 'home' });
    run.wait(60);
    const { plungerMl: wide, sample } = run.inside();
    run.act({ kind: 'plunger', ml: 40 });
    const at = (seconds: number) => {
      run.wait(seconds);
      return Number(run.view().gauge);
    };
    const [first, last] = [at(0), at(60)];
    expect(first).toBeGreaterThan(last + 5);
    const { plungerMl: narrow } = run.inside();
    const adiabatic = kelvin(sample.roomC) * ((wide + sample.innerMl) / (narrow + sample.innerMl)) ** 0.4;
    // Two seconds pass while it is pressed: four steps of an exponential with 1.6 s.
    const expected = sample.roomC + (adiabatic - kelvin(sample.roomC)) * Math.exp(-2 / 1.6);
    run.act({ kind: 'plunger', ml: 80 });
    run.wait(60);
    run.act({ kind: 'plunger', ml: 40 });
    expect(run.inside().gasC).toBeCloseTo(expected, -0.5);
    run.wait(60);
    run.act({ kind: 'plunger', ml: 100 });
    expect(at(0)).toBeLessThan(at(60));
  });

  it('loses gas where the tube sits lightly, to the room and no further, and none where it sits home', () => {
    for (const home of [false, true]) {
      const run = begun('pressure-volume');
      run.act({ kind: 'joint', to: 'off' });
      run.act({ kind: 'plunger', ml: 70 });
      run.act({ kind: 'joint', to: home ? 'home' : 'loose' });
      run.act({ kind: 'plunger', ml: 50 });
      run.wait(30);
      const before = enclosedKPa(run.inside());
      run.wait(120);
      const { sample } = run.inside();
      const over = (enclosedKPa(run.inside()) - sample.roomKPa) / (before - sample.roomKPa);
      expect(over).toBeCloseTo(home ? 1 : Math.exp(-0.004 * 120), 3);
      run.wait(6000);
      if (!home) expect(enclosedKPa(run.inside())).toBeCloseTo(sample.roomKPa, 2);
    }
  });

  it('throws the tube off when it is pressed too far, and takes up the room’s air again', () => {
    const run = begun('pressure-volume', { sample: { innerMl: 6 } });
    run.act({ kind: 'joint', to: 'off' });
    run.act({ kind: 'plunger', ml: 100 });
    run.act({ kind: 'joint', to: 'home' });
    expect(run.act({ kind: 'plunger', ml: 5 })).toMatch(/jumped off/);
    expect(run.view().joint).toBe('off');
    expect(enclosedKPa(run.inside())).toBe(run.inside().sample.roomKPa);
    expect(run.act({ kind: 'plunger', ml: 1e9 })).toMatch(/^The plunger can be set from/);
    expect(run.act({ kind: 'plunger', ml: 0 })).toMatch(/^The plunger can be set from/);
  });

  it('begins a trial when the plunger was moved, and corrects a reading while it was not', () => {
    const run = begun('pressure-volume');
    const { hands } = run;
    void hands.act({ kind: 'recordShown', trial: 1, which: 'p' });
    void hands.act({ kind: 'recordShown', trial: 1, which: 'p' });
    expect(run.view().recordableTrial).toBe(1);
    void hands.act({ kind: 'plunger', ml: 45 });
    expect(run.view().recordableTrial).toBe(2);
    expect(run.act({ kind: 'recordShown', trial: 3, which: 'p' })).toBe('Trial 2 comes before trial 3.');
    void hands.act({ kind: 'record', trial: 2, which: 'vol', text: '45.1' });
    expect(run.view().slots.map(({ slot, due }) => `${slot} ${due}`)).toEqual([
      'bar 1',
      'room 1',
      'open 1',
      'vol 2',
      'p 2',
    ]);
    for (const [text, sentence] of [
      ['', /^Type what you read/],
      ['plenty', /is not a number/],
      ['45 L', /divided in mL/],
      ['450', /goes from 0 to 100 mL/],
    ] as const)
      expect(run.act({ kind: 'record', trial: 2, which: 'vol', text })).toMatch(sentence);
    expect(run.act({ kind: 'record', trial: 2, which: 'p', text: '3' })).toMatch(/shown by its instrument/);
    expect(run.act({ kind: 'recordShown', trial: 2, which: 'vol' })).toMatch(/read by eye/);
    expect(run.act({ kind: 'recordShown', trial: 2, which: 't' })).toMatch(/^No temperature of the bath is read here/);
    expect(run.act({ kind: 'heat', to: 3 })).toMatch(/no bath/);
  });
});

describe('a bath', () => {
  it('stands at zero while there is ice, boils where the room lets it, and keeps its heat between', () => {
    const boils = bathBoilsC(101.325);
    expect(boils).toBeCloseTo(100, 1);
    let bath = { tempC: 20, iceG: 500, heat: 0, sensedC: 20 };
    for (let i = 0; i < 2400; i++) bath = bathAfter(bath, 0.5, 20, boils);
    expect(bath.iceG).toBeGreaterThan(0);
    expect(bath.tempC).toBeLessThan(0.4);
    // What melted took up what the water gave, and what came from the room: 900 g from 20 °C is 225 g of ice.
    expect(500 - bath.iceG).toBeGreaterThan(220);
    expect(500 - bath.iceG).toBeLessThan(420);
    bath = { ...bath, iceG: 0, heat: 10 };
    for (let i = 0; i < 4000; i++) bath = bathAfter(bath, 0.5, 20, boils);
    expect(bath.tempC).toBe(boils);
    // Turned down it falls to where the plate gives what the vessel loses: 70 W a step, 2.2 W/K.
    bath = { ...bath, heat: 1 };
    for (let i = 0; i < 80000; i++) bath = bathAfter(bath, 0.5, 20, boils);
    expect(bath.tempC).toBeCloseTo(20 + 70 / 2.2, 3);
  });
});

describe('a bulb in a bath', () => {
  it('goes with the temperature as the law says, its neck at the room’s', async () => {
    const run = begun('pressure-temperature');
    run.act({ kind: 'joint', to: 'home' });
    run.act({ kind: 'put', at: 'bath' });
    await bringBath(run.hands, 60, 900);
    const { gasC, gasMol, sample } = run.inside();
    const closed = (gasMol * GAS_CONSTANT) / (250 / kelvin(gasC) + 0.4 / kelvin(sample.roomC));
    expect(enclosedKPa(run.inside())).toBeCloseTo(closed, 9);
    expect(gasC).toBeCloseTo(run.inside().bath.tempC, 0);
  });

  it('begins a trial when temperature and pressure of one are there, and for the jar', () => {
    const run = begun('pressure-temperature');
    const due = () => Object.fromEntries(run.view().slots.map(({ slot, due: at }) => [slot, at]));
    // Read again at the same temperature it is corrected; at another one it begins a row.
    expect(run.act({ kind: 'recordShown', trial: 1, which: 'p' })).toMatch(/not in the bath/);
    run.act({ kind: 'recordShown', trial: 1, which: 't' });
    run.act({ kind: 'recordShown', trial: 1, which: 't' });
    expect(due()).toMatchObject({ t: 1, p: 1, pj: 2 });
    run.act({ kind: 'heat', to: 10 });
    run.wait(60);
    expect(due()).toMatchObject({ t: 2, p: 2, pj: 2 });
    run.act({ kind: 'recordShown', trial: 2, which: 'p' });
    run.act({ kind: 'heat', to: 0 });
    run.wait(5);
    expect(due()).toMatchObject({ t: 2, pj: 3 });
    run.act({ kind: 'recordShown', trial: 2, which: 't' });
    run.act({ kind: 'put', at: 'jar' });
    run.wait(200);
    run.act({ kind: 'recordShown', trial: 3, which: 'pj' });
    expect(due()).toMatchObject({ bar: 1, t: 4, p: 4, pj: 3 });
    expect(run.act({ kind: 'put', at: 'jar' })).toMatch(/already/);
    expect(run.act({ kind: 'plunger', ml: 20 })).toMatch(/No plunger/);
    expect(run.act({ kind: 'turn', n: 1 })).toMatch(/no such syringe/);
    for (const g of [0, 1e9, -20]) expect(run.act({ kind: 'ice', g })).toMatch(/of ice/);
    for (const to of [-1, 11, 1e9]) expect(run.act({ kind: 'heat', to })).toMatch(/from 0 to 10/);
  });
});

describe('a capped syringe in a bath', () => {
  const held = (id: string, mol: number) => ({
    gasId: 'air',
    gasMol: AIR_PART * mol,
    vapourId: id,
    vapourMol: (1 - AIR_PART) * mol,
  });

  it('holds less vapour the colder it is, in equilibrium with its liquid, and condenses where its part says', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('pentane', 'cyclopentane', 'hexane', 'cyclohexane', 'acetone'),
        fc.double({ min: 96, max: 104, noNaN: true }),
        fc.double({ min: 0, max: 99, noNaN: true }),
        (id, kPa, celsius) => {
          const free = held(id, 0.003);
          const dew = condensesC(vapourOf(id).antoine, (1 - AIR_PART) * kPa);
          const vapour = vapourIn(free, kPa, celsius);
          if (celsius > dew + 1e-6) expect(vapour).toBe(free.vapourMol);
          if (celsius < dew - 1e-6) {
            expect(vapour).toBeLessThan(free.vapourMol);
            // Dalton: its part of the amounts is its part of the pressure.
            const part = vapour / (vapour + free.gasMol);
            expect(condensesC(vapourOf(id).antoine, part * kPa)).toBeCloseTo(celsius, 6);
          }
          expect(freeMl(free, kPa, celsius)).toBeLessThan(freeMl(free, kPa, celsius + 1));
        },
      ),
    );
  });

  it('goes without a step through where it condenses, and far above it as a gas does', () => {
    const free = held('pentane', 0.003);
    const dew = condensesC(vapourOf('pentane').antoine, 90);
    expect(freeMl(free, 100, dew + 1e-7) - freeMl(free, 100, dew - 1e-7)).toBeLessThan(1e-3);
    const ideal = (0.003 * GAS_CONSTANT * kelvin(100)) / 100;
    expect(freeMl(free, 100, 100, true)).toBeCloseTo(ideal, 9);
    // The vapour departs by some 2 % there, which is less than it departs near its liquid.
    const departs = (celsius: number) => freeMl(free, 100, celsius) / freeMl(free, 100, celsius, true) - 1;
    expect(departs(100)).toBeGreaterThan(-0.03);
    expect(departs(100)).toBeLessThan(-0.01);
    expect(departs(40)).toBeLessThan(departs(100));
  });

  it('is held back by its grease when it is warmed, by so much of the pressure, until it is turned', async () => {
    const run = begun('volume-temperature');
    await bringBath(run.hands, 60, 900);
    const { free, sample, bath } = run.inside();
    for (const one of free) {
      const there = freeMl(one, sample.roomKPa, one.gasC);
      const stuck = freeMl(one, sample.roomKPa + one.stickKPa, one.gasC);
      expect(one.ml).toBeGreaterThanOrEqual(stuck - 1e-9);
      expect(one.ml).toBeLessThan(there);
    }
    for (let n = 1; n <= 4; n++) run.act({ kind: 'turn', n });
    run.inside().free.forEach((one) => {
      expect(one.ml).toBeCloseTo(freeMl(one, sample.roomKPa, one.gasC), 2);
      expect(one.gasC).toBeCloseTo(bath.tempC, 0);
    });
    expect(run.act({ kind: 'joint', to: 'off' })).toMatch(/closed/);
  });
});

describe('a syringe into which a liquid is injected', () => {
  const injected = async (more: object = {}) => {
    const run = begun('vapour-molar-mass', more);
    await bringBath(run.hands, 100, 300);
    run.act({ kind: 'turn', n: 1 });
    return run;
  };

  it('holds all that was injected as a vapour, at the volume of a real gas, once nothing moves', async () => {
    const run = await injected({ sample: { vapourId: 'pentane' } });
    run.act({ kind: 'draw', ml: 0.4 });
    const before = run.inside().injector?.liquidG ?? NaN;
    run.act({ kind: 'inject', ml: 0.2 });
    const spent = before - (run.inside().injector?.liquidG ?? NaN) - (run.inside().injector?.evaporatedG ?? NaN);
    run.wait(300);
    run.act({ kind: 'turn', n: 1 });
    const { free, sample } = run.inside();
    const one = free[0] as (typeof free)[number];
    const { gPerMol, critical } = vapourOf('pentane');
    // All but what the open needle gave off in the three seconds of it is there.
    expect(one.vapourMol * gPerMol).toBeCloseTo(spent, 2);
    const tempK = kelvin(one.gasC);
    const closed =
      ((one.gasMol + one.vapourMol) * GAS_CONSTANT * tempK) / sample.roomKPa +
      one.vapourMol * secondVirial(critical, tempK) +
      one.gasMol * secondVirial(GAS_CRITICAL['air'] as (typeof GAS_CRITICAL)[string], tempK);
    expect(one.ml).toBeCloseTo(closed, 2);
  });

  it('takes what does not fit past its plunger, and is emptied to a little air', async () => {
    const run = await injected({ sample: { vapourId: 'acetone' } });
    run.act({ kind: 'draw', ml: 1 });
    run.act({ kind: 'inject', ml: 0.5 });
    run.wait(200);
    expect(run.view().plungers[0]).toBeGreaterThan(105);
    expect(run.act({ kind: 'record', trial: 1, which: 'v1', text: '106' })).toMatch(/goes from 0 to 100 mL/);
    expect(run.view().slots.find(({ slot }) => slot === 'v1')?.due).toBe(1);
    run.act({ kind: 'record', trial: 1, which: 'v0', text: '9.0' });
    run.act({ kind: 'empty' });
    expect(run.view().plungers[0]).toBeLessThan(16);
    expect(run.inside().free[0]?.vapourMol).toBe(0);
    expect(run.view().slots.find(({ slot }) => slot === 'v0')?.due).toBe(2);
  });

  it('says what cannot be done with the injector, and weighs it as it is', () => {
    const run = begun('vapour-molar-mass');
    for (const [act, sentence] of [
      [{ kind: 'inject', ml: 0.2 }, /^Its needle is stoppered/],
      [{ kind: 'draw', ml: 5 }, /^Draw between 0.05 and 1 mL/],
      [{ kind: 'stopper', on: true }, /stoppered already/],
      [{ kind: 'weigh', on: false }, /beside the balance already/],
      [{ kind: 'joint', to: 'off' }, /closed/],
      [{ kind: 'put', at: 'bath' }, /no bulb/],
    ] as const)
      expect(run.act(act)).toMatch(sentence);
    run.act({ kind: 'stopper', on: false });
    expect(run.act({ kind: 'inject', ml: 0.2 })).toMatch(/^The injector is empty/);
    run.act({ kind: 'draw', ml: 0.9 });
    expect(run.act({ kind: 'draw', ml: 0.9 })).toMatch(/holds 1 mL/);
    expect(run.act({ kind: 'recordShown', trial: 1, which: 'm1' })).toMatch(/nothing on the balance/);
    run.act({ kind: 'stopper', on: true });
    run.act({ kind: 'weigh', on: true });
    expect(run.act({ kind: 'inject', ml: 0.2 })).toMatch(/off the balance first/);
    run.wait(10);
    const { injector } = run.inside();
    const there = (injector?.emptyG ?? 0) + (injector?.liquidG ?? 0) + (injector?.stopperG ?? 0);
    expect(Number(run.view().balance)).toBeCloseTo(there, 2);
    run.act({ kind: 'tare' });
    run.wait(5);
    expect(Math.abs(Number(run.view().balance))).toBeLessThan(0.005);
    for (const id of ['pressure-volume', 'volume-temperature'])
      for (const act of [
        { kind: 'draw', ml: 0.2 },
        { kind: 'tare' },
        { kind: 'empty' },
        { kind: 'inject', ml: 0.2 },
      ] as const)
        expect(begun(id).act(act)).toMatch(/^(There is no|The syringes of this bath)/);
  });
});

describe('a balance beside it', () => {
  it('comes to rest while the clock runs for nothing else', () => {
    const run = begun('gas-over-water');
    run.act({ kind: 'cut', mg: 50 });
    expect(run.bench().running).toBe(false);
    run.act({ kind: 'weigh', on: true });
    run.act({ kind: 'weigh', on: false });
    run.act({ kind: 'weigh', on: true });
    run.wait(4);
    expect(run.bench().running).toBe(false);
    expect(Number(run.view().balance)).toBeCloseTo(run.inside().collected?.strip?.g ?? NaN, 3);
    const needle = begun('vapour-molar-mass');
    needle.act({ kind: 'weigh', on: true });
    needle.wait(5);
    needle.act({ kind: 'stopper', on: false });
    // A second after its stopper is taken off on the pan it is still on its way.
    expect(needle.bench().running).toBe(true);
  });
});

describe('a gas tube over water', () => {
  const begin = (sample: object = {}) => begun('gas-over-water', { sample });

  it('takes up all that the metal gives, damp and under its column, wherever the tube stands', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('magnesium', 'aluminium', 'zinc', 'iron'),
        fc.integer({ min: 10, max: 25 }),
        fc.integer({ min: 10, max: 175 }),
        (metalId, mg, mm) => {
          const run = begin({ metalId });
          run.act({ kind: 'cut', mg });
          const { g } = run.inside().collected?.strip ?? { g: NaN };
          run.act({ kind: 'hang' });
          run.wait(1800);
          run.act({ kind: 'lift', mm });
          run.wait(300);
          const { collected, sample } = run.inside();
          const mol = g / gPerMolHydrogen(ribbonOf(metalId));
          expect((collected?.hydrogenMol ?? NaN) / mol).toBeCloseTo(1, 6);
          // The hydrogen's own pressure and that of the air, of the vapour, of the column make up the room's.
          const ml = gasMl(run.inside());
          const dry = ((mol + (collected?.airMol ?? NaN)) * GAS_CONSTANT * kelvin(sample.waterC)) / ml;
          const sum = dry + vapourPressureKPa(sample.waterC) + KPA_PER_MM * heightMm(run.inside());
          expect(sum).toBeCloseTo(sample.roomKPa, 3);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('is warm while the metal dissolves, and lets out what it cannot hold', () => {
    const run = begin({ metalId: 'magnesium' });
    run.act({ kind: 'cut', mg: 100 });
    run.act({ kind: 'hang' });
    run.wait(20);
    expect(run.inside().collected?.gasC).toBeGreaterThan(run.inside().sample.waterC + 1);
    expect(run.view().tube?.fizzes).toBe(true);
    run.wait(1200);
    expect(run.inside().collected?.gasC).toBeCloseTo(run.inside().sample.waterC, 6);
    expect(run.view().plungers[0]).toBeGreaterThan(54);
    expect(run.view().plungers[0]).toBeLessThan(57);
    expect(run.act({ kind: 'record', trial: 1, which: 'v1', text: '56' })).toMatch(/goes from 0 to 50 mL/);
  });

  it('says what cannot be done, and begins a trial with each fresh tube', () => {
    const run = begin();
    for (const [act, sentence] of [
      [{ kind: 'hang' }, /^No strip is cut yet/],
      [{ kind: 'weigh', on: true }, /^No strip is cut yet/],
      [{ kind: 'cut', mg: 1e9 }, /^Cut between 10 and 300 mg/],
      [{ kind: 'lift', mm: -3 }, /^Its top can be from 10 to 175 mm/],
      [{ kind: 'heat', to: 3 }, /no bath/],
      [{ kind: 'joint', to: 'off' }, /no tube to be taken off/],
      [{ kind: 'plunger', ml: 20 }, /No plunger/],
      [{ kind: 'draw', ml: 0.2 }, /no injector/],
    ] as const)
      expect(run.act(act)).toMatch(sentence);
    run.act({ kind: 'cut', mg: 30 });
    run.act({ kind: 'weigh', on: true });
    expect(run.act({ kind: 'hang' })).toMatch(/off the balance first/);
    expect(run.act({ kind: 'cut', mg: 30 })).toMatch(/off the balance first/);
    run.act({ kind: 'recordShown', trial: 1, which: 'm' });
    run.act({ kind: 'weigh', on: false });
    run.act({ kind: 'hang' });
    expect(run.act({ kind: 'hang' })).toMatch(/hangs in the tube already/);
    expect(run.act({ kind: 'cut', mg: 30 })).toMatch(/take a fresh tube/);
    expect(run.act({ kind: 'weigh', on: true })).toMatch(/is in the tube/);
    run.act({ kind: 'record', trial: 1, which: 'h', text: '-4' });
    expect(run.act({ kind: 'record', trial: 1, which: 'h', text: '4 cm' })).toMatch(/divided in mm/);
    run.act({ kind: 'empty' });
    expect(run.view().recordableTrial).toBe(2);
    expect(run.view().tube).toMatchObject({ strip: null, fizzes: false });
    expect(begun('pressure-volume').act({ kind: 'cut', mg: 30 })).toMatch(/no gas tube/);
  });
});

describe('a student who follows the brief to the letter', () => {
  it.each(['absolute', 'over'] as const)('finds the coil with a gauge of the kind %s, in every unit', async (gauge) => {
    for (const unit of ['kPa', 'bar', 'atm', 'mmHg'] as const) {
      const run = begun('pressure-volume', { setup: { gauge, unit }, index: 3 });
      await workWithGas(run.hands, run.plan);
      const [truths, results] = [run.bench().truths(), run.results()];
      expect(Math.abs((results['inner'] ?? 0) - Number(truths['inner']))).toBeLessThan(0.5);
      expect((results['amount'] ?? 0) / Number(truths['amount'])).toBeCloseTo(1, 1);
    }
  });
});
