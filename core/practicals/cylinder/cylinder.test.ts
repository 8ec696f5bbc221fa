import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BOLTZMANN_ZJ_PER_K, energyAt, kelvinOf } from '../../physics/kinetic';
import { countedOf, uncertaintyOfMean } from './counting';
import { BIN, BINS, Flying } from './flying';
import { pointsOf } from './laws';
import { JACKET_K, LOAD_KPA, PS_PER_S, RUN_PS, type Slot } from './plan';
import { rowsOf } from './rows';
import { sharesOf, theoryOf } from './spread';
import { begun } from './testing';
import type { View } from './view';

/** A gas under a piston: what the server lets fly, what a browser does from the view, what is held, and what can be done to it. */

/** All by a view alone, as the browser's worker finds it. */
function replayed(view: View, ps: number): Flying {
  if (!view.filling) throw new Error('no browser may let it fly');
  const flying = Flying.filled(view.filling).listen();
  for (const change of view.changes) {
    flying.to(change.atPs);
    flying.change(change);
  }
  flying.to(ps);
  return flying;
}
const placesOf = (flying: Flying) => {
  const places = new Float64Array(3 * flying.count);
  flying.places(places);
  return places;
};

const act = fc.oneof(
  fc.record({ kind: fc.constant('run' as const), ps: fc.double({ min: 1, max: 120, noNaN: true }) }),
  fc.record({ kind: fc.constant('jacket' as const), kelvin: fc.integer({ min: 50, max: 900 }) }),
  fc.constant({ kind: 'bare' as const }),
  fc.record({ kind: fc.constant('pin' as const), nm3: fc.integer({ min: 4000, max: 27_000 }) }),
  fc.record({ kind: fc.constant('load' as const), kPa: fc.integer({ min: 10, max: 400 }) }),
  fc.record({ kind: fc.constantFrom('letIn' as const, 'letOut' as const), count: fc.integer({ min: 1, max: 60 }) }),
  fc.record({ kind: fc.constantFrom('heat' as const, 'cool' as const), zJ: fc.integer({ min: 1, max: 200 }) }),
  fc.constant({ kind: 'next' as const }),
  fc.constant({ kind: 'refill' as const }),
);

/** What the counters show now. */
const shows = (run: ReturnType<typeof begun>, slot: Slot) => Number(run.view().counters[slot]);

describe('a gas under a piston', { timeout: 120_000 }, () => {
  it('flies in the browser, from the view alone, to the last bit as on the server, whatever is done', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(act, fc.integer({ min: 0, max: 40 })), { minLength: 1, maxLength: 14 }), (acts) => {
        const run = begun('one-law', { sample: { count: 40 } });
        for (const [one, seconds] of acts) {
          run.act(one);
          run.act({ kind: 'wait' }, seconds);
          const { flying, nowPs, counted, energyZJ, suppliedZJ, beganZJ } = run.inside();
          const other = replayed(run.view(), nowPs);
          expect(placesOf(other)).toEqual(placesOf(flying));
          expect(other.heightNm).toBe(flying.heightNm);
          expect(countedOf(other)).toEqual(counted);
          expect(other.spread()).toEqual(flying.spread());
          expect(energyZJ - suppliedZJ - beganZJ).toBeCloseTo(0, 4);
        }
      }),
      { numRuns: 25 },
    );
  });

  it('stands when its stretch is over, however long nobody looks', () => {
    const run = begun('one-law');
    run.act({ kind: 'run', ps: 100 });
    run.act({ kind: 'wait' }, 6 * 3600);
    expect(run.inside().nowPs).toBe(100);
    expect(run.bench().running).toBe(false);
  });

  it('has its counters begin anew at whatever is changed', () => {
    const run = begun('one-law');
    run.act({ kind: 'run', ps: 100 });
    run.act({ kind: 'wait' }, 10);
    expect(shows(run, 'd')).toBe(40);
    run.act({ kind: 'jacket', kelvin: 500 });
    expect(run.view().counters).toEqual({});
    run.act({ kind: 'wait' }, 5);
    expect(shows(run, 'd')).toBe(20);
  });

  it('is warmer by the heat it is given, and no heat is given where a jacket holds the temperature', () => {
    const run = begun('one-law', { sample: { count: 100 } });
    const before = run.inside().flying.kelvin;
    run.act({ kind: 'heat', zJ: 150 });
    expect(run.inside().flying.kelvin - before).toBeCloseTo(150 / (1.5 * BOLTZMANN_ZJ_PER_K * 100), 6);
    run.act({ kind: 'cool', zJ: 150 });
    expect(run.inside().flying.kelvin).toBeCloseTo(before, 6);
    expect(run.act({ kind: 'cool', zJ: 1e5 })).toMatch(/^They do not have so much energy/);
    expect(run.act({ kind: 'heat', zJ: 1e5 })).toMatch(/^They would be hotter than 3000 K/);
    run.act({ kind: 'jacket', kelvin: 300 });
    expect(run.act({ kind: 'heat', zJ: 10 })).toMatch(/^The jacket holds the temperature/);
    expect(run.view().held).toContain('the temperature (jacket of 300 K)');
    run.act({ kind: 'bare' });
    expect(run.view().held).toContain('Nothing holds the temperature');
  });

  it('says what is held, and which law the one thing that was changed belongs to', () => {
    const run = begun('one-law');
    const stretch = () => {
      run.act({ kind: 'run', ps: 40 });
      run.act({ kind: 'wait' }, 11);
      const { recordableTrial: trial } = run.view();
      for (const which of ['P', 'V', 'T', 'N', 'd'] as const) run.act({ kind: 'record', trial, which });
    };
    const since = () => run.view().since;
    expect(since()).toBe('');
    run.act({ kind: 'jacket', kelvin: 300 });
    run.act({ kind: 'pin', nm3: 20_000 });
    stretch();
    expect(since()).toBe('Nothing else is fitted than in trial 1.');
    run.act({ kind: 'pin', nm3: 15_000 });
    expect(since()).toBe('Since trial 1 you changed the volume alone: pressure against volume.');
    run.act({ kind: 'jacket', kelvin: 400 });
    expect(since()).toBe(
      'Since trial 1 you changed the volume and temperature: no law of one thing alone can be seen from that.',
    );
    run.act({ kind: 'pin', nm3: 20_000 });
    expect(since()).toBe('Since trial 1 you changed the temperature alone: pressure against temperature.');
    stretch();
    run.act({ kind: 'letIn', count: 20 });
    expect(since()).toBe('Since trial 2 you changed the number alone: pressure against number.');
    run.act({ kind: 'load', kPa: 60 });
    run.act({ kind: 'letOut', count: 20 });
    expect(since()).toBe('Since trial 2 the load holds the piston in place of the pin.');
    expect(run.view().held).toMatch(
      /^Held: the pressure \(load of 60 kPa\), the temperature \(jacket of 400 K\) and the number .* The volume is free\.$/,
    );
    stretch();
    run.act({ kind: 'jacket', kelvin: 350 });
    expect(since()).toBe('Since trial 3 you changed the temperature alone: volume against temperature.');
    run.act({ kind: 'jacket', kelvin: 400 });
    run.act({ kind: 'load', kPa: 90 });
    expect(since()).toBe('Since trial 3 you changed the pressure alone: volume against pressure.');
    run.act({ kind: 'load', kPa: 60 });
    run.act({ kind: 'letIn', count: 5 });
    expect(since()).toBe('Since trial 3 you changed the number alone: volume against number.');
    run.act({ kind: 'bare' });
    stretch();
    run.act({ kind: 'heat', zJ: 50 });
    expect(since()).toBe('Since trial 4 you changed the temperature alone: volume against temperature.');
  });

  it('counts as points of a law only what was held as that law asks', () => {
    const run = begun('one-law', { sample: { count: 60 } });
    const stretch = (one: Parameters<typeof run.act>[0]) => {
      run.act(one);
      for (let i = 0; i < 2; i++) {
        run.act({ kind: 'run', ps: 200 });
        run.act({ kind: 'wait' }, 51);
      }
      const { recordableTrial: trial } = run.view();
      for (const which of ['P', 'V', 'T', 'N', 'd'] as const) run.act({ kind: 'record', trial, which });
    };
    const trialsOf = (law: Parameters<typeof pointsOf>[0]) =>
      pointsOf(law, rowsOf(run.inside())).map(({ trial }) => trial);
    stretch({ kind: 'pin', nm3: 20_000 });
    expect(trialsOf('pressure-volume')).toEqual([]);
    stretch({ kind: 'jacket', kelvin: 300 });
    stretch({ kind: 'pin', nm3: 12_000 });
    stretch({ kind: 'pin', nm3: 8000 });
    expect(trialsOf('pressure-volume')).toEqual([2, 3, 4]);
    stretch({ kind: 'jacket', kelvin: 500 });
    expect(trialsOf('pressure-volume')).toEqual([2, 3, 4]);
    expect(trialsOf('pressure-temperature')).toEqual([4, 5]);
    stretch({ kind: 'load', kPa: 40 });
    stretch({ kind: 'jacket', kelvin: 300 });
    expect(trialsOf('volume-temperature')).toEqual([6, 7]);
    expect(trialsOf('pressure-temperature')).toEqual([4, 5]);
    stretch({ kind: 'letOut', count: 20 });
    expect(trialsOf('volume-number')).toEqual([7, 8]);
    // A load that the gas lifts to the stop holds nothing, and that is said.
    run.act({ kind: 'load', kPa: 3 });
    run.act({ kind: 'run', ps: 400 });
    run.act({ kind: 'wait' }, 101);
    const { recordableTrial: trial } = run.view();
    expect(run.act({ kind: 'record', trial, which: 'P' })).toMatch(/lay against its upper stop/);
    expect(rowsOf(run.inside()).find((row) => row.trial === trial)?.isDisturbed).toBe(true);
  });

  it('says when it was recorded too soon', () => {
    const run = begun('one-law');
    const record = () => run.act({ kind: 'record', trial: run.view().recordableTrial, which: 'T' });
    run.act({ kind: 'pin', nm3: 20_000 });
    run.act({ kind: 'run', ps: 30 });
    run.act({ kind: 'wait' }, 4);
    expect(record()).toMatch(/^They were still flying/);
    run.act({ kind: 'wait' }, 10);
    expect(record()).toMatch(/^The pin still moved the piston/);
    run.act({ kind: 'run', ps: 200 });
    run.act({ kind: 'wait' }, 51);
    run.act({ kind: 'jacket', kelvin: 900 });
    run.act({ kind: 'run', ps: 30 });
    run.act({ kind: 'wait' }, 8);
    expect(record()).toMatch(/^They had .* Their jacket has/);
  });

  it('says what cannot be done, and bounds what anybody can make it work', () => {
    const run = begun('where-pressure-comes-from');
    for (const [one, sentence] of [
      [{ kind: 'run', ps: 0 }, /^Let them fly for 1 to 500 ps/],
      [{ kind: 'run', ps: 1e9 }, /^Let them fly for 1 to 500 ps/],
      [{ kind: 'jacket', kelvin: 0 }, /^The jacket can be from 50 to 1500 K/],
      [{ kind: 'jacket', kelvin: -300 }, /^The jacket can be from 50 to 1500 K/],
      [{ kind: 'bare' }, /^There is no jacket/],
      [{ kind: 'pin', nm3: 0 }, /^The pin can hold a volume from 3600 to 27000 nm³/],
      [{ kind: 'pin', nm3: -5000 }, /^The pin can hold/],
      [{ kind: 'pin', nm3: 27_000 }, /^The pin holds that volume already/],
      [{ kind: 'load', kPa: 0 }, /^The load can press with 2 to 400 kPa/],
      [{ kind: 'letIn', count: 1e9 }, /the cylinder holds 1 to 1000\.$/],
      [{ kind: 'letIn', count: 0.5 }, /^Type a whole number/],
      [{ kind: 'letIn', count: 0 }, /^Type at least one/],
      [{ kind: 'letOut', count: 1000 }, /the cylinder holds 1 to 1000\.$/],
      [{ kind: 'heat', zJ: 0 }, /^Give or take at least/],
      [{ kind: 'record', trial: 1, which: 'P' }, /^The counters show nothing/],
      [{ kind: 'record', trial: 1, which: 'E' }, /^There is no such counter/],
    ] as const)
      expect(run.act(one)).toMatch(sentence);
    run.act({ kind: 'run', ps: 50 });
    expect(run.act({ kind: 'run', ps: 50 })).toMatch(/^They are flying/);
    expect(run.act({ kind: 'next' })).toMatch(/^They are flying/);
    run.act({ kind: 'wait' }, 20);
    run.act({ kind: 'record', trial: 1, which: 'P' });
    expect(run.act({ kind: 'record', trial: 3, which: 'P' })).toBe('Trial 1 comes before trial 3.');
    run.act({ kind: 'load', kPa: 100 });
    expect(run.act({ kind: 'next' })).toMatch(/^Pin the piston first/);
    // The hardest load on the coldest gas of the most: P A / 2 m v of them come to the piston, some thirty in a ps.
    const pressed = begun('one-law', { sample: { count: 1000, gasId: 'neon' } });
    pressed.act({ kind: 'jacket', kelvin: JACKET_K.least });
    pressed.act({ kind: 'load', kPa: LOAD_KPA.most });
    for (let i = 0; i < 2; i++) {
      pressed.act({ kind: 'run', ps: RUN_PS.most });
      pressed.act({ kind: 'wait' }, RUN_PS.most / PS_PER_S + 1);
    }
    expect(pressed.inside().flying.impacts().count).toBeGreaterThan(5000);
    expect(pressed.inside().flying.impacts().count).toBeLessThan(25_000);
    // What one filling flies has an end, whatever is in it; and so have the fillings.
    const many = begun('one-to-many');
    many.act({ kind: 'letIn', count: 999 });
    let flown = 0;
    while (many.act({ kind: 'run', ps: RUN_PS.most }) === undefined) {
      flown++;
      many.act({ kind: 'wait' }, RUN_PS.most / PS_PER_S + 1);
    }
    expect(flown).toBe(8);
    expect(many.act({ kind: 'run', ps: RUN_PS.most })).toMatch(/^This filling has flown as long as it may/);
    for (let fill = 2; fill <= 12; fill++) expect(many.act({ kind: 'refill' })).toBeUndefined();
    expect(many.act({ kind: 'refill' })).toMatch(/^It was filled 12 times/);
  });

  it('goes from impact to impact on the pinned piston, and shows each alone', () => {
    const run = begun('where-pressure-comes-from');
    run.act({ kind: 'run', ps: 100 });
    run.act({ kind: 'wait' }, 26);
    expect(run.view().counters).toMatchObject({ d: '100' });
    expect(run.view().counters.q).toBeUndefined();
    for (let i = 0; i < 5; i++) {
      run.act({ kind: 'next' });
      run.act({ kind: 'wait' }, 130);
      const { flying } = run.inside();
      expect(Object.keys(run.view().counters).sort()).toEqual(['q', 'u']);
      const { last } = flying.impacts();
      const places = placesOf(flying);
      // The one that is named touches the piston.
      expect(places[3 * (last?.body ?? 0) + 2]).toBeCloseTo(flying.heightNm + flying.radiusNm, 6);
      expect(shows(run, 'q') / (2 * shows(run, 'u'))).toBeCloseTo(flying.gPerMol / 602.214076, 2);
    }
  });
});

describe('what counters say of a stretch', () => {
  it('is as sure as theory says where looks hang together', () => {
    // Looks of which each keeps a part of the one before: the mean of n of them wavers by √((1 + a)/(1 − a)/n).
    let seed = 7;
    const uniform = () => (seed = (seed * 16_807) % 2_147_483_647) / 2_147_483_647;
    const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
    for (const keeps of [0, 0.6, 0.85]) {
      const rounds = 600;
      let square = 0;
      for (let round = 0; round < rounds; round++) {
        let value = normal();
        const looks = Array.from(
          { length: 250 },
          () => (value = keeps * value + Math.sqrt(1 - keeps * keeps) * normal()),
        );
        square += (uncertaintyOfMean(looks) ?? 0) ** 2 / rounds;
      }
      const right = Math.sqrt((1 + keeps) / (1 - keeps) / 250);
      expect(Math.abs(Math.sqrt(square) / right - 1)).toBeLessThan(0.15);
    }
    expect(uncertaintyOfMean([1, 2, 3])).toBeNull();
  });

  it('holds spreads against what theory says, whose parts come to one and have the known means', () => {
    for (const of of ['speed', 'energy'] as const) {
      const theory = theoryOf(of);
      expect(theory).toHaveLength(BINS);
      expect(theory.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12);
      expect(theory[BINS - 1]).toBeGreaterThan(0);
    }
    // Means √(8/π) of the speeds and 3/2 of the energies, by middles of parts; those beyond count little.
    const meanOf = (of: 'speed' | 'energy') =>
      theoryOf(of).reduce((sum, share, bin) => sum + share * (bin + 0.5) * BIN[of], 0);
    expect(meanOf('speed')).toBeCloseTo(Math.sqrt(8 / Math.PI), 2);
    expect(Math.abs(meanOf('energy') - 1.5)).toBeLessThan(0.02);
    // Part of the energies above 3 kT: erfc √3 + 2 √(3/π) e⁻³.
    const above = theoryOf('energy')
      .slice(3 / BIN.energy)
      .reduce((sum, share) => sum + share, 0);
    expect(100 * above).toBeCloseTo(11.161, 1);
    expect(sharesOf([0, 0])).toEqual([0, 0]);
    expect(sharesOf([1, 3])).toEqual([0.25, 0.75]);
  });

  it('finds a thousand at a temperature spread as theory says, by a chi-squared test of looks far apart', () => {
    const run = begun('one-to-many', { sample: { kelvin: 300 } });
    run.act({ kind: 'jacket', kelvin: 300 });
    run.act({ kind: 'letIn', count: 999 });
    for (let i = 0; i < 2; i++) {
      run.act({ kind: 'run', ps: 300 });
      run.act({ kind: 'wait' }, 80);
    }
    const { flying } = run.inside();
    expect(Math.abs(kelvinOf(energyAt(300)) - 300)).toBeLessThan(1e-9);
    for (const of of ['speed', 'energy'] as const) {
      const counts = flying.spread()[of === 'speed' ? 'speeds' : 'energies'];
      const [theory, shares] = [theoryOf(of), sharesOf(counts)];
      // Looks 2 ps apart hang together: of 150 some ten are new.
      const independent = 10 * 1000;
      let chi = 0;
      let parts = 0;
      theory.forEach((share, bin) => {
        if (share * independent < 20) return;
        chi += (independent * ((shares[bin] ?? 0) - share) ** 2) / share;
        parts++;
      });
      // Beyond three times the degrees of freedom would be another spread.
      expect(chi / parts).toBeLessThan(3);
      const wrong = theory.map((share, bin) => ((theory[bin + 1] ?? share) - share) ** 2 / share);
      expect((independent * wrong.reduce((sum, one) => sum + one, 0)) / parts).toBeGreaterThan(3);
    }
  });
});
