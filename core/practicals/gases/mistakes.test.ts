import { describe, expect, it } from 'vitest';
import { vapourOf } from '../../databook/vapours';
import { GAS_CONSTANT, kelvin, saturatedKPa, secondVirial } from '../../physics/gas-law';
import { fitLine } from '../../analysis/line-fit';
import { vapourPressureKPa } from '../../physics/vapour';
import { KPA_PER_MM } from '../../physics/over-water';
import { workWithGas, type Habits } from './practised-student';
import { freeMl } from './free';
import { VOLUME_SLOTS } from './plan';
import { begun, moved } from './testing';

/** Each mistake planted in a run, and what Fen says that it moved, against a closed form or the same run without it. */

const within = (told: number, expected: number, part = 0.1) =>
  expect(Math.abs(told - expected), `${told} for ${expected}`).toBeLessThan(part * Math.abs(expected) + 0.005);

describe('what moved a result at the syringe', () => {
  it('tells what a zero did that was not read', async () => {
    const run = begun('pressure-volume', { sample: { zeroKPa: 4 } });
    await workWithGas(run.hands, run.plan, { open: false });
    const { share, value } = moved(run, 'inner');
    const points = run.inside().readings;
    // The same line with the zero taken off each pressure.
    const pairs = points.flatMap((r) => {
      const p = points.find((one) => one.which === 'p' && one.trial === r.trial);
      return r.which === 'vol' && p ? [{ x: 1 / (p.value - 4), y: r.value }] : [];
    });
    within(share('zero'), value + (fitLine(pairs)?.intercept ?? NaN));
    expect(Math.abs(share('zero'))).toBeGreaterThan(1);
  });

  it('tells what a tube did that was not pushed home', async () => {
    const run = begun('pressure-volume', { sample: { innerMl: 8 } });
    await workWithGas(run.hands, run.plan, { home: false, fromMl: 70, toMl: 45, waitS: 25 });
    const tight = begun('pressure-volume', { sample: { innerMl: 8 } });
    await workWithGas(tight.hands, tight.plan, { fromMl: 70, toMl: 45, waitS: 25 });
    const { share, value } = moved(run, 'inner');
    const [leaked, whole] = [value, tight.results()['inner'] ?? NaN];
    expect(Math.abs(leaked - whole)).toBeGreaterThan(2);
    within(share('leak'), leaked - whole, 0.12);
  });

  it('tells what a gas did that was read while it was warm', async () => {
    const run = begun('pressure-volume');
    await workWithGas(run.hands, run.plan, { waitS: 0, points: 4 });
    const { share, shares } = moved(run, 'inner');
    expect(Math.abs(share('lag'))).toBeGreaterThan(0.1);
    expect(shares[0]?.key).toBe('lag');
  });
});

describe('what moved a result at the bulb', () => {
  it('tells what a pressure did that was read before the gas was warm', async () => {
    const run = begun('pressure-temperature');
    await workWithGas(run.hands, run.plan, { waitS: 8 });
    const { share } = moved(run, 'absoluteZero');
    expect(Math.abs(share('lag'))).toBeGreaterThan(3);
    const patient = begun('pressure-temperature');
    await workWithGas(patient.hands, patient.plan);
    expect(Math.abs(moved(patient, 'absoluteZero').share('lag'))).toBeLessThan(0.5);
  });

  it('tells what the neck did, to a tenth of its closed form', async () => {
    const run = begun('pressure-temperature');
    await workWithGas(run.hands, run.plan);
    const { share } = moved(run, 'absoluteZero');
    const room = kelvin(run.inside().sample.roomC);
    const line = (neck: number) => {
      const points = run
        .inside()
        .readings.filter(({ which }) => which === 'p')
        .map(({ about }) => ({
          x: about.bathC,
          y: (0.0104 * GAS_CONSTANT) / (250 / kelvin(about.bathC) + neck / room),
        }));
      const fit = fitLine(points);
      return fit ? -fit.intercept / fit.slope : NaN;
    };
    within(share('neck'), line(0.4) - line(0));
  });
});

describe('what moved a molar mass', () => {
  it('tells what a stopper did that was there once, by what it weighs', async () => {
    const run = begun('vapour-molar-mass');
    await workWithGas(run.hands, run.plan, { stoppers: false, stoppersLast: true });
    const { share } = moved(run, 'molarMass');
    const rows = run.inside().readings.filter(({ which }) => which === 'm1' || which === 'm2');
    const grams = [1, 2, 3].map((trial) => {
      const of = (which: string) => rows.find((r) => r.trial === trial && r.which === which)?.value ?? NaN;
      return of('m1') - of('m2');
    });
    const stopperG = run.inside().injector?.stopperG ?? NaN;
    // It weighs more than the liquid, so that less than nothing seems to have gone.
    expect(grams.every((one) => one < 0)).toBe(true);
    const value = run.results()['molarMass'] ?? NaN;
    const meanOff = grams.reduce((sum, one) => sum + stopperG / one, 0) / grams.length;
    within(share('stopper'), value * -meanOff, 0.12);
  });

  it('tells what an open needle gave off while it was weighed', async () => {
    const run = begun('vapour-molar-mass', { sample: { vapourId: 'pentane' }, setup: { balance: '0.0001' } });
    await workWithGas(run.hands, run.plan, { stoppers: false });
    const { share, value } = moved(run, 'molarMass');
    const { readings, sample } = run.inside();
    const mean = [1, 2, 3].map((trial) => {
      const of = (which: string) => readings.find((r) => r.trial === trial && r.which === which);
      const [first, last] = [of('m1'), of('m2')];
      if (!first || !last) throw new Error('not weighed');
      // 1.2 µg a second for each kPa over the liquid, from one weighing to the other.
      const gone = 1.2e-6 * saturatedKPa(vapourOf('pentane').antoine, sample.roomC) * (last.atS - first.atS);
      return gone / (first.value - last.value);
    });
    within(share('needle'), (value * mean.reduce((a, b) => a + b, 0)) / 3, 0.15);
  });

  it('tells what vapours do that are not ideal, by the second virial coefficient', async () => {
    const run = begun('vapour-molar-mass', { sample: { vapourId: 'hexane' } });
    await workWithGas(run.hands, run.plan);
    const { share, trueValue } = moved(run, 'molarMass');
    const { sample, bath } = run.inside();
    const tempK = kelvin(bath.tempC);
    const part = (secondVirial(vapourOf('hexane').critical, tempK) * sample.roomKPa) / (GAS_CONSTANT * tempK);
    within(share('real'), trueValue * (1 / (1 + part) - 1));
  });
});

describe('what moved the hydrogen of a gram', () => {
  const worked = async (habits: Habits) => {
    const run = begun('gas-over-water', { sample: { metalId: 'zinc' } });
    await workWithGas(run.hands, run.plan, habits);
    return run;
  };

  it('tells what a level did that was left out, by the column that hung there', async () => {
    const run = await worked({ levels: false, stripMg: 80, waitS: 1500 });
    const { share, value } = moved(run, 'perMol');
    const { readings, sample } = run.inside();
    const parts = readings.flatMap(({ which, about }) => {
      if (which !== 'v1' || !about.overWater) return [];
      const dry = sample.roomKPa - vapourPressureKPa(sample.waterC);
      return [1 - dry / (dry - KPA_PER_MM * about.overWater.mm)];
    });
    expect(parts).toHaveLength(3);
    within(share('level'), (value * parts.reduce((a, b) => a + b, 0)) / 3);
  });

  it('tells what air did that was left in, by how much of it there was', async () => {
    const run = await worked({ readsAir: false, stripMg: 60 });
    const { share, value } = moved(run, 'perMol');
    const parts = run
      .inside()
      .readings.flatMap(({ which, about, value: ml }) =>
        which === 'v1' && about.overWater ? [1 - ml / (ml - about.overWater.airMl)] : [],
      );
    within(share('air'), (value * parts.reduce((a, b) => a + b, 0)) / 3);
  });

  it('tells what a gas did that was read while metal was left and it was warm', async () => {
    const run = await worked({ waitS: 60, stripMg: 90 });
    expect(moved(run, 'perMol').shares[0]?.key).toBe('lag');
    expect(moved(run, 'perMol').share('lag')).toBeGreaterThan(5);
  });
});

describe('what moved a result in the bath', () => {
  it('tells what carbon dioxide did that is not ideal', async () => {
    const run = begun('volume-temperature', { setup: { gases: ['carbon-dioxide', 'helium', 'argon'], named: true } });
    await workWithGas(run.hands, run.plan);
    const { share } = moved(run, 'absoluteZero');
    // Measured, a mole of it expands by 0.003726 of its volume at 0 °C for each degree to 100 °C (1 atm): zero at −268.4 °C, a third of 4.8.
    expect(share('real')).toBeGreaterThan(1);
    expect(share('real')).toBeLessThan(2.4);
    expect(Object.keys(run.bench().truths())).not.toContain('odd');
  });

  it('tells what grease did to plungers that were not turned, to a tenth of the lines without it', async () => {
    const run = begun('volume-temperature', { setup: { gases: ['helium', 'argon', 'nitrogen'], named: true } });
    await workWithGas(run.hands, run.plan, { turns: false });
    const { share, value } = moved(run, 'absoluteZero');
    const { readings, free, sample } = run.inside();
    const at = (trial: number) => readings.find((r) => r.which === 't' && r.trial === trial);
    const zeros = VOLUME_SLOTS.slice(0, 3).map((slot, place) => {
      const one = free[place] as (typeof free)[number];
      // Where room and gas push alike, read with the same errors of the eye.
      const points = readings.flatMap((r) => {
        const t = at(r.trial);
        if (r.which !== slot || !t) return [];
        const ml = freeMl(one, sample.roomKPa, r.about.bathC) / (1 + one.scale);
        return [{ x: t.value, y: ml + r.value - r.shown }];
      });
      const fit = fitLine(points);
      return fit ? -fit.intercept / fit.slope : NaN;
    });
    const without = zeros.reduce((sum, zero) => sum + zero, 0) / 3;
    expect(Math.abs(value - without)).toBeGreaterThan(0.5);
    within(share('stick'), value - without);
  });
});
