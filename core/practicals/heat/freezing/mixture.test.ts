import { describe, expect, it } from 'vitest';
import { FREEZING, freezingOf, LOOK_ALIKE_IDS, lookAlikeOf } from '../../../databook/freezing';
import type { Act } from '../acts';
import { freezePure, freezeSamples, freezeSolution } from './student';
import { expectShare, inside, of } from '../reading/planted-testing';
import { verdictOn } from '../../../report/verdict';
import { HEATS } from '..';
import { begun, moved, type HeatId, type Run } from '../testing';

/** Two samples and their mixture, series that were got ready, and what else stands on the tray of a tube: against closed forms. */

const wait = (run: Run, seconds: number) => run.hands.act({ kind: 'wait' }, seconds);
const does = (run: Run, ...acts: Act[]) => acts.forEach((act) => run.hands.act(act));
/** Why there is nothing to be handed in yet. */
const unready = (run: Run) => {
  const checked = run.bench().check({});
  return checked.ok ? undefined : checked.problems.find(({ field }) => field === 'readings')?.sentence;
};
const FINE = { thermometer: 'digital 0.01' };

/** Where a mixture of so many grams begins to freeze if it is ideal, by the heat of fusion of the one that comes first. */
function idealC(first: string, firstG: number, second: string, secondG: number): number {
  const [a, b] = [freezingOf(first), freezingOf(second)];
  const of = (one: typeof a, g: number, other: typeof a, h: number) => {
    const part = g / one.molarMassGPerMol / (g / one.molarMassGPerMol + h / other.molarMassGPerMol);
    const perMol = (8.314462618 * (one.freezesC + 273.15) ** 2 * one.molarMassGPerMol) / (1000 * one.kfKKgPerMol);
    return 1 / (1 / (one.freezesC + 273.15) - (8.314462618 * Math.log(part)) / perMol) - 273.15;
  };
  return Math.max(of(a, firstG, b, secondG), of(b, secondG, a, firstG));
}

describe('two samples', () => {
  it.each(LOOK_ALIKE_IDS.map((id) => [id, ...lookAlikeOf(id)] as const))(
    '%s: a mixture melts where an ideal solution does, far below each of them',
    async (_, first, second) => {
      const run = begun('mixture-melting', { setup: FINE, sample: { freezingId: first, otherFreezingId: second } });
      await freezeSamples(run.hands);
      const { solventG = NaN, otherG = NaN } = inside(run).tube?.runs.at(-1) ?? {};
      const truths = run.bench().truths();
      expect(truths['mixture']).toBeCloseTo(idealC(first, solventG, second, otherG), 6);
      expect(truths['name']).toBe('two different substances');
      const found = moved(run, 'mixture');
      expect(Math.abs(found.value - found.trueValue)).toBeLessThan(0.6);
      expect(freezingOf(first).freezesC - found.value).toBeGreaterThan(5);
      expect(moved(run, 'sampleA').value).toBeCloseTo(freezingOf(first).freezesC, 0);
      expect(run.view().steps.filter(({ done }) => !done)).toEqual([]);
    },
  );

  it('of one substance melt together as each by itself', async () => {
    const run = begun('mixture-melting', { setup: FINE, sample: { freezingId: 'phenol', otherFreezingId: 'phenol' } });
    await freezeSamples(run.hands);
    expect(run.bench().truths()).toMatchObject({ name: 'the same substance', fall: 0 });
    expect(Math.abs(moved(run, 'fall').value)).toBeLessThan(0.1);
  });

  it('halt a second time where all the rest freezes together', () => {
    const [first, second] = ['biphenyl', 'stearic-acid'];
    const run = begun('mixture-melting', { setup: FINE, sample: { freezingId: first, otherFreezingId: second } });
    does(run, { kind: 'charge', g: 8 }, { kind: 'charge', g: 6, of: 2 }, { kind: 'thermometer', n: 1, at: 'tube' });
    does(run, { kind: 'warm', what: 'bath', tempC: 85 }, { kind: 'tubeTo', at: 'bath' });
    wait(run, 1800);
    does(run, { kind: 'warm', what: 'cold', tempC: 30 }, { kind: 'tubeTo', at: 'cold' });
    does(run, { kind: 'tubeStir', how: 'motor' });
    const temps: number[] = [];
    for (let i = 0; i < 400 && run.view().tube?.frozen !== 10; i++) {
      wait(run, 5);
      temps.push(inside(run).tube?.tempC ?? NaN);
    }
    const last = temps.slice(-8, -2);
    expect(Math.max(...last) - Math.min(...last)).toBeLessThan(1e-6);
    // There both liquidus lines meet: what is left has the one composition at which both come out.
    const at = (part: number) => idealC(first, part, second, 1 - part);
    let lowest = Infinity;
    for (let part = 0.01; part < 1; part += 0.0005) lowest = Math.min(lowest, at(part));
    expect(last[0]).toBeCloseTo(lowest, 1);
  });

  it('cool by melting where they touch, and keep all heat: nothing is lost when the second comes on top of the first', () => {
    const run = begun('mixture-melting', {
      setup: { losses: false },
      sample: { freezingId: 'phenol', otherFreezingId: 'phenyl-salicylate', roomC: 21 },
    });
    does(run, { kind: 'charge', g: 8, of: 2 });
    const before = run.bench().accounts()['J'] as number;
    does(run, { kind: 'charge', g: 8 });
    expect(inside(run).tube?.tempC).toBeLessThan(21);
    expect(run.view().tube?.frozen).toBeLessThan(10);
    expect(run.bench().accounts()['J']).toBeCloseTo(before, 6);
  });

  it('have a sentence for each wrong way of filling', () => {
    const run = begun('mixture-melting');
    const refused = (act: Act, words: RegExp) => expect(run.act(act)).toMatch(words);
    refused({ kind: 'charge', g: 10, of: 3 }, /no such jar/);
    refused({ kind: 'charge', g: 0, of: 2 }, /between 2 and 40 g/);
    does(run, { kind: 'charge', g: 30 });
    refused({ kind: 'charge', g: 5 }, /some of it in already/);
    refused({ kind: 'charge', g: 30, of: 2 }, /holds 40 g/);
    refused({ kind: 'ready' }, /Nothing has been got ready/);
    // Both by themselves, and nothing of a mixture: there is no answer to be handed in yet.
    expect(unready(run)).toMatch(/mixture/);
  });
});

describe('a series that was got ready', () => {
  it.each(['freezing-point', 'molar-mass-by-freezing', 'mixture-melting'] as HeatId[])(
    '%s: has all that a student would have read, of their own sample, and once',
    (id) => {
      const run = begun(id, { setup: { isReady: true }, seed: 'ready', index: 2 });
      expect(run.act({ kind: 'ready' })).toMatch(/A practised hand has worked \d+ minutes/);
      expect(run.view().steps.filter(({ done }) => !done)).toEqual([]);
      expect(unready(run)).toBeUndefined();
      const quantity = { 'freezing-point': 'freezes', 'mixture-melting': 'mixture' }[id as string] ?? 'molarMass';
      const { value, trueValue } = moved(run, quantity);
      expect(Math.abs(value / trueValue - 1)).toBeLessThan(0.06);
      expect(run.act({ kind: 'ready' })).toMatch(/something in the log already/);
      const other = begun(id, { setup: { isReady: true }, seed: 'ready', index: 3 });
      other.act({ kind: 'ready' });
      expect(other.view().logged.map(({ T }) => T)).not.toEqual(run.view().logged.map(({ T }) => T));
    },
  );

  it('can be had of every substance and every solvent of the data book', () => {
    for (const { id, kind } of FREEZING) {
      const pure = begun('freezing-point', { setup: { isReady: true }, sample: { freezingId: id } });
      expect(pure.act({ kind: 'ready' }), id).toMatch(/has worked/);
      expect(pure.view().steps.filter(({ done }) => !done)).toEqual([]);
      const solutes = kind === 'water' ? ['urea', 'sucrose'] : ['camphor', 'benzil'];
      const dissolved = begun('molar-mass-by-freezing', { setup: { isReady: true, solvent: id, solutes } });
      expect(dissolved.act({ kind: 'ready' }), id).toMatch(/has worked/);
      expect(
        dissolved.view().steps.filter(({ done }) => !done),
        id,
      ).toEqual([]);
    }
  });

  it('is not to be had at a bench where something has been begun, nor when the clock is stopped does it stand still', () => {
    const run = begun('freezing-point', { setup: { isReady: true } });
    does(run, { kind: 'charge', g: 10 });
    expect(run.act({ kind: 'ready' })).toMatch(/as it was at the start/);
    const stopped = begun('freezing-point', { setup: { isReady: true } });
    does(stopped, { kind: 'clock', stopped: true }, { kind: 'ready' });
    expect(stopped.view().logged.length).toBeGreaterThan(30);
    expect(stopped.view().paused).toBe(true);
  });
});

describe('more on the tray', () => {
  it('a second solvent, in which an acid stays whole, tells the molar mass that the first hides', async () => {
    const solutes = ['benzoic-acid', 'biphenyl', 'docosane'];
    const setup = { ...FINE, readability: '0.0001', solvent: 'dichlorobenzene', second: 'diphenylamine', solutes };
    const run = begun('molar-mass-by-freezing', { setup, sample: { dissolvingId: 'benzoic-acid' }, seed: 'pairs' });
    const open = () => HEATS.molarMass.leftOpen?.(run.setup as never, run.sample, inside(run))['name'];
    await freezeSolution(run.hands, freezingOf('dichlorobenzene').freezesC, { grams: 16, soluteG: 0.4 });
    const alone = moved(run, 'molarMass').value;
    expect(alone / 122.12).toBeGreaterThan(1.3);
    expect(open()).toEqual(['benzoic acid']);
    does(run, { kind: 'warm', what: 'bath', tempC: 80 }, { kind: 'tubeTo', at: 'bath' });
    wait(run, 1800);
    does(run, { kind: 'tubeTo', at: 'stand' }, { kind: 'emptyTube' });
    const second: Run['hands'] = {
      view: run.hands.view,
      act: (act, afterS) => run.hands.act(act.kind === 'charge' ? { ...act, of: 2 } : act, afterS),
    };
    await freezeSolution(second, freezingOf('diphenylamine').freezesC, { grams: 16, soluteG: 0.4 });
    expect(Math.abs(moved(run, 'molarMass').value / 122.12 - 1)).toBeLessThan(0.06);
    expect(open()).toEqual(['benzoic acid']);
  });

  it('objects to a pool in which a pair weighs as much as something whole, unless a second solvent tells them apart', () => {
    const run = begun('molar-mass-by-freezing');
    const says = (more: object) =>
      run.practical.objections(run.practical.setup.parse({ solvent: 'naphthalene', ...more }));
    // Benzoic acid in pairs seems to weigh what benzil weighs, or camphor.
    const apparent = ['benzoic-acid', 'benzil', 'docosane'];
    expect(says({ solutes: apparent })[0]?.sentence).toMatch(/benzoic acid|benzil/);
    expect(says({ solutes: apparent, second: 'diphenylamine' })).toEqual([]);
    expect(() => run.practical.setup.parse({ second: 'dichlorobenzene' })).toThrow(/second solvent is the first/);
    expect(() => run.practical.setup.parse({ second: 'water' })).toThrow(/does not dissolve in water/);
    expect(() => run.practical.setup.parse({ second: 'naphthalene' })).toThrow(/among the solutes/);
  });

  it('another thermometer in the second freezing is named, with the difference of the two', async () => {
    const setup = { ...FINE, readability: '0.0001', twoThermometers: true };
    const run = begun('molar-mass-by-freezing', { setup, seed: 'planted' });
    let tipped = false;
    const swapping: Run['hands'] = {
      view: () => {
        const view = run.hands.view();
        return tipped
          ? { ...view, thermometers: [view.thermometers[1] ?? view.thermometers[0]].flatMap((one) => one ?? []) }
          : view;
      },
      act: async (act, afterS) => {
        await run.hands.act(act, afterS);
        if (act.kind !== 'tip') return;
        tipped = true;
        await run.hands.act({ kind: 'thermometer', n: 2, at: 'tube' });
        await run.hands.act({ kind: 'thermometer', n: 1, at: 'stand' });
      },
    };
    await freezeSolution(swapping, freezingOf('dichlorobenzene').freezesC);
    const { value, share } = moved(run, 'molarMass');
    const [one, two] = inside(run).thermometers.map(({ piece }) => piece.errorC) as [number, number];
    const [m, mb, m1, m2] = ['m', 'mb', 'm1', 'm2'].map((slot) => of(run, slot)) as [number, number, number, number];
    const depression = (1000 * 7.57 * (m - mb)) / (m2 - m1) / value;
    // The second reads too high by what it is off more: the depression is too small by that.
    expectShare(share('swapped'), value - (value * depression) / (depression + two - one));
  });

  it('a bath that is too cold is named by how far the crossing lies from where it began to freeze', async () => {
    const run = begun('freezing-point', { setup: FINE, sample: { freezingId: 'naphthalene' }, seed: 'cold' });
    await freezePure(run.hands, 1, { bathC: 0, stirs: false, everyS: 3 });
    const { value, share } = moved(run, 'freezes');
    const error = inside(run).thermometers[0]?.piece.errorC ?? NaN;
    expect(Math.abs(share('lines'))).toBeGreaterThan(0.02);
    expect(share('lines')).toBeCloseTo(value - (80.26 + error), 6);
  });

  it('melt goes with a thermometer that is taken out, and is named as what was not weighed', async () => {
    const run = begun('molar-mass-by-freezing', { setup: { ...FINE, readability: '0.0001' }, seed: 'clings' });
    let lost = 0;
    const wasting: Run['hands'] = {
      view: run.hands.view,
      act: async (act, afterS) => {
        await run.hands.act(act, afterS);
        if (act.kind !== 'tubeTo' || act.at !== 'stand' || lost > 0) return;
        const before = inside(run).tube?.substanceG ?? NaN;
        for (let i = 0; i < 20; i++) {
          await run.hands.act({ kind: 'thermometer', n: 1, at: 'stand' });
          await run.hands.act({ kind: 'thermometer', n: 1, at: 'tube' });
        }
        lost = before - (inside(run).tube?.substanceG ?? NaN);
      },
    };
    await freezeSolution(wasting, freezingOf('dichlorobenzene').freezesC);
    expect(lost).toBeGreaterThan(0.8);
    const { value, share } = moved(run, 'molarMass');
    const weighed = of(run, 'm2') - of(run, 'm1');
    expectShare(share('portion'), value * (1 - weighed / (weighed - lost)));
  });
});

it('the same or not, done by the brief to the letter, has every step done and is judged right', async () => {
  for (const index of [1, 2]) {
    const run = begun('mixture-melting', { seed: 'brief', index, setup: FINE });
    await freezeSamples(run.hands);
    expect(run.view().steps.filter(({ done }) => !done)).toEqual([]);
    const own = HEATS.mixture.results(run.setup as never, run.sample, inside(run));
    const answers = {
      sampleA: { text: (own['sampleA'] ?? NaN).toFixed(1), unit: '°C' },
      mixture: { text: (own['mixture'] ?? NaN).toFixed(1), unit: '°C' },
      name: { text: String(run.bench().truths()['name']) },
    };
    const asks = run.practical.asks(run.setup).filter(({ key }) => key in answers);
    const checked = run.bench().check(answers, asks);
    if (!checked.ok) throw new Error(checked.problems.map(({ sentence }) => sentence).join(' '));
    for (const item of checked.items) expect(verdictOn(item)).toMatch(/^(within (0\.5|1) °C|right)/u);
  }
});
