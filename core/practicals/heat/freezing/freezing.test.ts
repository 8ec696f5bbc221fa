import { describe, expect, it } from 'vitest';
import { dissolvingOf, freezingOf } from '../../../databook/freezing';
import { fusionJPerG } from '../../../physics/freezing';
import type { Act } from '../acts';
import type { Bench } from '../bench';
import { freezePure, freezeSolution, type FreezingHabits } from './student';
import { frozenAt } from './frozen-at';
import { expectShare } from '../reading/planted-testing';
import { begun, moved, type Run } from '../testing';

/** What freezes in a tube: against closed forms, with planted faults, and the wrong way. */

const inside = (run: Run) => run.bench().inside() as Bench;
const wait = (run: Run, seconds: number) => run.hands.act({ kind: 'wait' }, seconds);
const does = (run: Run, ...acts: Act[]) => acts.forEach((act) => run.hands.act(act));
const EXACT = { thermometer: 'digital 0.01', readability: '0.0001' };
const { freezesC } = freezingOf('dichlorobenzene');
const of = (run: Run, slot: string) =>
  Number(run.view().readings.findLast((r) => r.slot === slot && r.struck === null)?.text);

async function solution(habits: FreezingHabits = {}, setup: object = EXACT): Promise<Run> {
  const run = begun('molar-mass-by-freezing', { setup, seed: 'planted' });
  await freezeSolution(run.hands, freezesC, habits);
  return run;
}
/** What the log shows of a freezing, by its number. */
function shown(run: Run, melts: number) {
  const { tube, logBegunS } = inside(run);
  const own = run.view().logged.filter((line) => line.trial === String(melts));
  const frozen = tube?.runs.find((one) => one.melts === melts);
  return frozenAt(
    own.map(({ t, T }) => ({ x: Number(t), y: Number(T) })),
    (frozen?.atS ?? NaN) - (logBegunS ?? NaN),
  );
}

describe('a tube that freezes', () => {
  it('takes as long as its heat of fusion has to go out, by the conductance of its jacket', () => {
    const run = begun('freezing-point', { setup: { losses: false }, sample: { freezingId: 'naphthalene' } });
    does(
      run,
      { kind: 'charge', g: 15 },
      { kind: 'thermometer', n: 1, at: 'tube' },
      { kind: 'warm', what: 'bath', tempC: 97 },
    );
    does(run, { kind: 'warm', what: 'cold', tempC: 50 }, { kind: 'jacket', on: true }, { kind: 'tubeTo', at: 'bath' });
    wait(run, 7200);
    does(run, { kind: 'tubeStir', how: 'motor' }, { kind: 'tubeTo', at: 'cold' });
    for (let i = 0; i < 100 && (inside(run).tube?.frozenG ?? 0) === 0; i++) wait(run, 10);
    const before = inside(run);
    wait(run, 300);
    const grew = (inside(run).tube?.frozenG ?? NaN) - (before.tube?.frozenG ?? NaN);
    // 0.12 W/K over the difference of the two, which stands still.
    const joules = 0.12 * (freezingOf('naphthalene').freezesC - 50) * 300;
    expect(grew / (joules / fusionJPerG(freezingOf('naphthalene')))).toBeCloseTo(1, 2);
    expect(inside(run).tube?.tempC).toBeCloseTo(80.26, 6);
  });

  it('cools below its freezing point until a crystal comes, of itself or from the jar, and then rises to it', () => {
    const run = begun('freezing-point', { sample: { freezingId: 'phenol' } });
    does(
      run,
      { kind: 'charge', g: 12 },
      { kind: 'thermometer', n: 1, at: 'tube' },
      { kind: 'warm', what: 'bath', tempC: 60 },
    );
    does(run, { kind: 'warm', what: 'cold', tempC: 30 }, { kind: 'jacket', on: true }, { kind: 'tubeTo', at: 'bath' });
    wait(run, 3600);
    expect(run.act({ kind: 'seed' })).toMatch(/melts away/);
    does(run, { kind: 'tubeTo', at: 'cold' });
    while ((inside(run).tube?.tempC ?? 0) > 40.89) wait(run, 1);
    const { tube } = inside(run);
    expect(tube?.frozenG).toBe(0);
    expect(run.view().tube?.frozen).toBe(0);
    expect(run.act({ kind: 'seed' })).toBeUndefined();
    wait(run, 1);
    expect(inside(run).tube?.frozenG).toBeGreaterThan(0);
    expect(inside(run).tube?.tempC).toBeCloseTo(40.89, 2);
    expect(run.act({ kind: 'seed' })).toMatch(/crystals in it already/);
  });

  it('comes of itself the sooner the more it is stirred, and never above its freezing point', () => {
    const depth = (how: 'off' | 'motor', seed: string) => {
      const run = begun('freezing-point', { sample: { freezingId: 'phenol' }, seed });
      does(
        run,
        { kind: 'charge', g: 12 },
        { kind: 'warm', what: 'bath', tempC: 60 },
        { kind: 'warm', what: 'cold', tempC: 25 },
      );
      does(run, { kind: 'tubeTo', at: 'bath' });
      wait(run, 1800);
      does(run, { kind: 'jacket', on: true }, { kind: 'tubeStir', how }, { kind: 'tubeTo', at: 'cold' });
      let lowest = Infinity;
      for (let i = 0; i < 900 && (inside(run).tube?.frozenG ?? 0) === 0; i++) {
        wait(run, 2);
        if ((inside(run).tube?.frozenG ?? 0) === 0) lowest = Math.min(lowest, inside(run).tube?.tempC ?? Infinity);
      }
      return 40.89 - lowest;
    };
    const mean = (how: 'off' | 'motor') =>
      Array.from({ length: 12 }, (_, i) => depth(how, `seed ${i}`)).reduce((a, b) => a + b, 0) / 12;
    const [still, stirred] = [mean('off'), mean('motor')];
    expect(stirred).toBeGreaterThan(0);
    expect(still).toBeGreaterThan(stirred);
  });

  it('freezes lower by K_f times the molality, a little less than that, and tells the molar mass', async () => {
    const run = await solution();
    const [pure = NaN, lower = NaN] = [shown(run, 1)?.tempC, shown(run, 2)?.tempC];
    const solute = dissolvingOf(run.sample.dissolvingId ?? '');
    const molality =
      (1000 * (of(run, 'm') - of(run, 'mb'))) / solute.molarMassGPerMol / (of(run, 'm2') - of(run, 'm1'));
    expect(Math.abs(pure - freezesC)).toBeLessThan(0.1);
    expect((pure - lower) / (7.57 * molality)).toBeGreaterThan(0.95);
    expect((pure - lower) / (7.57 * molality)).toBeLessThan(1.01);
    const { value, trueValue } = moved(run, 'molarMass');
    expect(trueValue).toBe(solute.molarMassGPerMol);
    expect(Math.abs(value / trueValue - 1)).toBeLessThan(0.05);
    expect(run.view().steps.filter(({ done }) => !done)).toEqual([]);
  });
});

describe('a second tube', () => {
  it('has masses and freezings of its own, and takes none from the first', async () => {
    const run = await solution();
    const alone = moved(run, 'molarMass').value;
    does(run, { kind: 'warm', what: 'bath', tempC: 65 }, { kind: 'tubeTo', at: 'bath' });
    wait(run, 1800);
    does(run, { kind: 'tubeTo', at: 'stand' }, { kind: 'emptyTube' });
    // Another amount of solvent, weighed, and nothing dissolved in it yet: the first tube keeps its own.
    does(run, { kind: 'weigh', what: 'tube', piece: 1 });
    run.hands.act({ kind: 'recordMass', trial: 2, which: 'm1' }, 3);
    does(run, { kind: 'charge', g: 25 });
    run.hands.act({ kind: 'recordMass', trial: 2, which: 'm2' }, 3);
    expect(moved(run, 'molarMass').value).toBeCloseTo(alone, 9);
  });
});

describe('a planted fault of freezing', () => {
  it('of solute left on the boat is what it was', async () => {
    // A hundredth and a half of the solute: of one log that is hardly more than its wavering, so several are taken.
    const parts: number[] = [];
    for (const seed of ['a', 'b', 'c', 'd', 'e']) {
      const run = begun('molar-mass-by-freezing', { setup: EXACT, seed });
      // The boat is weighed before there is anything in it, and not again.
      does(run, { kind: 'weigh', what: 'boat', piece: 1 });
      run.hands.act({ kind: 'recordMass', trial: 1, which: 'mb' }, 3);
      does(run, { kind: 'offPan' });
      await freezeSolution(run.hands, freezesC, { reweighs: false, everyS: 1 });
      const { value, share } = moved(run, 'molarMass');
      parts.push(share('boat') / (value * (inside(run).boat.clingsG / (of(run, 'm') - of(run, 'mb')))));
    }
    expectShare(parts.reduce((a, b) => a + b, 0) / parts.length, 1);
  });

  it('of solute that had not dissolved is what was missing in the melt', async () => {
    const run = await solution({ dissolvesS: 1, stirs: false });
    const frozen = inside(run).tube?.runs.at(-1);
    expect(frozen?.lyingG).toBeGreaterThan(0.01);
    const { value, share } = moved(run, 'molarMass');
    const missing = (frozen?.lyingG ?? NaN) / (frozen?.soluteG ?? NaN);
    // As much smaller is the depression, and so much larger the molar mass.
    expectShare(share('undissolved'), value * missing);
  });

  it('of a second portion of solute that was not weighed is what it added', async () => {
    const run = begun('molar-mass-by-freezing', { setup: EXACT, seed: 'planted' });
    let isAdded = false;
    const adding = {
      view: run.hands.view,
      act: async (act: Act, afterS?: number) => {
        await run.hands.act(act, afterS);
        if (isAdded || act.kind !== 'recordMass' || act.which !== 'mb') return;
        isAdded = true;
        for (const one of [
          { kind: 'offPan' },
          { kind: 'scoop', g: 0.1 },
          { kind: 'tip' },
          { kind: 'weigh', what: 'boat', piece: 1 },
        ] as Act[])
          await run.hands.act(one);
      },
    };
    await freezeSolution(adding, freezesC);
    const { value, share } = moved(run, 'molarMass');
    const weighed = of(run, 'm') - of(run, 'mb');
    const really = inside(run).tube?.runs.at(-1)?.soluteG ?? NaN;
    expect(really / weighed).toBeGreaterThan(1.1);
    expectShare(share('solute'), value * (1 - really / weighed));
  });

  it('of the head is told by its name: solution for solvent, kilograms, pairs, the dip', async () => {
    const run = await solution();
    const { value, trueValue } = moved(run, 'molarMass');
    const tell = (wrong: number) =>
      run.practical
        .influences(run, run.acts, [{ quantity: 'molarMass', value: wrong, trueValue }])[0]
        ?.shares.map(({ key }) => key);
    const [solvent, solute] = [of(run, 'm2') - of(run, 'm1'), of(run, 'm') - of(run, 'mb')];
    expect(tell((value * solvent) / (solvent + solute))).toContain('solution');
    expect(tell(value / 1000)).toContain('gram');
    const pure = begun('freezing-point', { setup: { thermometer: 'digital 0.01' }, seed: 'dip' });
    await freezePure(pure.hands, 1);
    const dip = shown(pure, 1)?.dipC ?? NaN;
    const [told] = pure.practical.influences(pure, pure.acts, [
      { quantity: 'freezes', value: dip, trueValue: pure.bench().truths()['freezes'] as number },
    ]);
    expect(told?.shares.map(({ key }) => key)).toContain('dip');
  });

  it('an acid that goes in pairs tells nearly twice its molar mass, and a salt in water half of its own', async () => {
    for (const [solvent, solutes, part, bath] of [
      ['dichlorobenzene', ['benzoic-acid', 'biphenyl'], 0.6, freezesC],
      ['water', ['sodium-chloride', 'sucrose'], 2, 0],
    ] as const) {
      const run = begun('molar-mass-by-freezing', {
        setup: { ...EXACT, solvent, solutes },
        sample: { freezingId: solvent, dissolvingId: solutes[0] },
      });
      await freezeSolution(run.hands, bath, { grams: 16, soluteG: solvent === 'water' ? 0.4 : 0.6 });
      const { value, trueValue } = moved(run, 'molarMass');
      expect(trueValue / value / part).toBeGreaterThan(0.85);
      expect(trueValue / value / part).toBeLessThan(1.15);
      const [told] = run.practical.influences(run, run.acts, [{ quantity: 'molarMass', value: trueValue, trueValue }]);
      expect(told?.shares.map(({ key }) => key)).toContain('particles');
    }
  });
});

describe('the wrong way', () => {
  it('has a sentence for each wrong order and amount, or its consequence', () => {
    const run = begun('freezing-point', { sample: { freezingId: 'naphthalene' } });
    const refused = (act: Act, words: RegExp) => expect(run.act(act)).toMatch(words);
    for (const g of [0, 1e9, -5]) refused({ kind: 'charge', g }, /between 2 and 40 g/);
    for (const tempC of [1e6, -300]) refused({ kind: 'warm', what: 'cold', tempC }, /from −30 to 60 °C/);
    refused({ kind: 'emptyTube' }, /empty already/);
    refused({ kind: 'seed' }, /nothing in the tube/);
    refused({ kind: 'jacket', on: false }, /no jacket/);
    refused({ kind: 'weigh', what: 'tube', piece: 1 }, /no balance/);
    expect(run.act({ kind: 'tubeTo', at: 'cold' })).toMatch(/nothing in the tube yet/);
    refused({ kind: 'charge', g: 10 }, /out of the bath first/);
    does(run, { kind: 'tubeTo', at: 'stand' }, { kind: 'charge', g: 10 });
    refused({ kind: 'charge', g: 10 }, /some of it in already/);
    refused({ kind: 'emptyTube' }, /Melt it first/);
    refused({ kind: 'tubeStir', how: 'motor' }, /frozen in/);
    // The thermometer goes into what is solid, and stays there until it is molten.
    does(run, { kind: 'thermometer', n: 1, at: 'tube' });
    refused({ kind: 'thermometer', n: 1, at: 'cold' }, /frozen in/);
    refused({ kind: 'recordTemp', trial: 1, which: 'T1' }, /not read here/);
    does(run, { kind: 'warm', what: 'bath', tempC: 97 }, { kind: 'tubeTo', at: 'bath' });
    wait(run, 3600);
    does(run, { kind: 'thermometer', n: 1, at: 'bath' }, { kind: 'log', everyS: 10 });
    wait(run, 600);
    // A log of the bath has no freezing in it, and makes no result.
    expect(run.view().steps.find(({ key }) => key === 'Tf')?.done).toBe(false);
    expect(run.bench().record().results).toEqual([]);
    expect(run.view().logged.every(({ T }) => Number.isFinite(Number(T)))).toBe(true);
  });

  it('makes no number of a log that began when all was frozen', () => {
    const run = begun('freezing-point', { sample: { freezingId: 'naphthalene' } });
    does(
      run,
      { kind: 'charge', g: 10 },
      { kind: 'thermometer', n: 1, at: 'tube' },
      { kind: 'warm', what: 'cold', tempC: 20 },
    );
    does(run, { kind: 'tubeTo', at: 'cold' }, { kind: 'log', everyS: 5 });
    wait(run, 1800);
    expect(run.bench().record().results).toEqual([]);
  });

  it('finds no solution where the solute was forgotten: both freezings are of the pure solvent', async () => {
    const run = begun('molar-mass-by-freezing', { setup: EXACT, seed: 'planted' });
    const forgetful: Run['hands'] = {
      view: run.hands.view,
      act: (act, afterS) => (act.kind === 'tip' ? undefined : run.hands.act(act, afterS)),
    };
    await freezeSolution(forgetful, freezesC);
    expect(inside(run).tube?.runs.map(({ soluteG }) => soluteG)).toEqual([0, 0]);
    expect(run.bench().record().results).toEqual([]);
    expect(
      run
        .view()
        .steps.filter(({ done }) => !done)
        .map(({ key }) => key),
    ).toEqual(['Tf']);
  });
});

describe('where a log shows that it freezes', () => {
  it('is found on a level plateau whichever of its last digits is the highest, however late', () => {
    // 0.08 K a second down to 57.2, then level at 58.1 for as long as a ready series is followed, with one higher digit somewhere.
    for (let late = 175; late <= 310; late += 5) {
      const log = Array.from({ length: 63 }, (_, i) => {
        const x = 5 * i;
        if (x <= 160) return { x, y: Number((70 - 0.08 * x).toFixed(1)) };
        return { x, y: x === late ? 58.2 : 58.1 };
      });
      const found = frozenAt(log, 160);
      expect(found?.tempC, `highest at ${late} s`).toBeCloseTo(58.1, 1);
    }
  });
});
