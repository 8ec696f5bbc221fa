import { describe, expect, it } from 'vitest';
import { gramsPerMol } from '../../chemistry/molar-mass';
import { hydrateGPerMol, hydrateOf, HYDRATES, WATER_G_PER_MOL } from '../../databook/hydrates';
import { stageG } from '../../physics/drying';
import type { Act } from './acts';
import { molIn, saltIn } from './crucible';
import { dryOut } from './practised-student';
import { verdictOn } from '../../report/verdict';
import { begun, dried, moved, type HydrateId } from './testing';

/** Hydrates at the bench: against closed forms, with faults planted, and the wrong way. */

const FINE = { balance: '0.0001', damp: 'dry' };
const DRYING = HYDRATES.filter(({ dry }) => dry !== null);

const expectShare = (actual: number, expected: number) => {
  expect(Math.abs(expected)).toBeGreaterThan(0);
  expect(Math.abs(actual / expected - 1)).toBeLessThan(0.1);
};
const reading = (run: ReturnType<typeof begun>, slot: string) =>
  Number(run.view().readings.findLast((r) => r.slot === slot && r.struck === null)?.text);
/** What the readings come to. */
const found = (run: ReturnType<typeof begun>, quantity: string) => run.results()[quantity] ?? NaN;
/** The masses as they were recorded, and what they come to. */
const masses = (run: ReturnType<typeof begun>) => {
  const last = ['h5', 'h4', 'h3', 'h2', 'h1'].find((slot) => Number.isFinite(reading(run, slot))) ?? 'h1';
  return { m0: reading(run, 'm0'), m1: reading(run, 'm1'), dry: reading(run, last) };
};
const waters = (id: string, { m0, m1, dry }: { m0: number; m1: number; dry: number }) =>
  (m1 - dry) / WATER_G_PER_MOL / ((dry - m0) / gramsPerMol(hydrateOf(id).dryFormula));

describe('a student who knows the method', () => {
  it.each(DRYING)('dries $name to its last water, and finds how much there was', async ({ id, waters: truth }) => {
    const run = await dried('water-in-hydrate', { setup: { ...FINE, hydrates: [id] } });
    expect(run.bench().truths()).toEqual({ waters: truth });
    expect(Math.abs(waters(id, masses(run)) / truth - 1)).toBeLessThan(0.02);
    expect(run.view().steps.filter(({ done }) => !done)).toEqual([]);
    expect(run.view().crucible.isCracked).toBe(false);
  });

  it('finds the part of a mixture, and the part that an unknown loses', async () => {
    const mixed = await dried('part-of-hydrate', { setup: FINE, index: 3 });
    expect(Math.abs(found(mixed, 'part') - Number(mixed.bench().truths()['part']))).toBeLessThan(0.6);
    const unknown = await dried('which-hydrate', { setup: FINE, sample: { hydrateId: 'cobalt-chloride-6' } });
    expect(Math.abs(found(unknown, 'part') - 45.43)).toBeLessThan(0.3);
  });

  it('never dries magnesium chloride in the open, and is told by how much its acid moved the result', async () => {
    const run = await dried(
      'water-in-hydrate',
      { setup: { ...FINE, hydrates: ['magnesium-chloride-6'] } },
      { lid: 'on' },
    );
    const { value, share, trueValue } = moved(run, 'waters');
    expect(Math.abs(value / trueValue - 1)).toBeGreaterThan(0.1);
    const { crucible } = run.inside();
    const salt = saltIn(run.inside());
    const sum = (stage: number) => crucible.rings.reduce((all, ring) => all + (ring.amounts[stage] ?? 0), 0);
    // Every mole that became Mg(OH)Cl or MgO is lighter than dry magnesium chloride by what went as acid less the water that it kept.
    const lighterG =
      sum(3) * (gramsPerMol('MgCl2') - gramsPerMol('Mg(OH)Cl')) + sum(4) * (gramsPerMol('MgCl2') - gramsPerMol('MgO'));
    const now = masses(run);
    // What is left is heavier by that without it; water that is still in it stays.
    const without = waters(salt.id, { ...now, dry: now.dry + lighterG });
    expectShare(share('broken'), value - without);
  });
});

describe('what is in the crucible', () => {
  it('turns from the rim inwards, and is drawn as the amounts say', () => {
    const run = begun('water-in-hydrate');
    run.does({ kind: 'fill', g: 3 }, { kind: 'lid', to: 'off' }, { kind: 'put', at: 'gauze', by: 'tongs' });
    run.does({ kind: 'gas', to: 4 }, { kind: 'air', to: 2.8 }, { kind: 'light' });
    const salt = hydrateOf('copper-sulfate-5');
    let wasAhead = false;
    for (let i = 0; i < 80; i++) {
      run.wait(5);
      const { rings } = run.inside().crucible;
      const water = (ring: (typeof rings)[number]) =>
        ring.amounts.reduce((sum, mol, stage) => sum + mol * [5, 3, 1, 0, 0][stage]!, 0) /
        ring.amounts.reduce((a, b) => a + b, 0);
      const left = rings.map(water);
      for (let r = 1; r < left.length; r++) expect(left[r - 1]).toBeLessThanOrEqual((left[r] ?? NaN) + 1e-4);
      if ((left[0] ?? 5) < 2 && (left[3] ?? 0) > 4) wasAhead = true;
      // Each ring's colours are the parts of its mass at each stage, in tenths.
      run.view().crucible.rings.forEach((seen, r) => {
        const grams = (rings[r]?.amounts ?? []).map((mol, stage) => stageG(salt, stage, mol));
        const all = grams.reduce((a, b) => a + b, 0);
        for (const { look, tenths } of seen) {
          const of = grams.reduce((sum, g, stage) => sum + (salt.stages[stage]?.look === look ? g : 0), 0);
          expect(Math.abs(tenths - (10 * of) / all)).toBeLessThanOrEqual(0.5 + 1e-9);
        }
      });
    }
    expect(wasAhead).toBe(true);
  });

  it('goes black when copper sulfate is overheated, and red when iron sulfate is', () => {
    for (const [hydrateId, look] of [
      ['copper-sulfate-5', 'black'],
      ['iron-sulfate-7', 'red-brown'],
    ] as const) {
      const run = begun('water-in-hydrate', { sample: { hydrateId } });
      run.does({ kind: 'fill', g: 2 }, { kind: 'lid', to: 'off' }, { kind: 'put', at: 'triangle', by: 'tongs' });
      run.does({ kind: 'gas', to: 3 }, { kind: 'air', to: 2 }, { kind: 'light' });
      run.wait(300);
      run.does({ kind: 'gas', to: 10 }, { kind: 'air', to: 9.5 });
      run.wait(3000);
      expect(run.view().crucible.glows).toBe(true);
      expect(run.view().crucible.rings[0]?.map((one) => one.look)).toContain(look);
    }
  });

  it('spits where it melts in its own water and is heated fast, and less under a lid', () => {
    const spat = (lid: 'on' | 'ajar' | 'off') => {
      const run = begun('water-in-hydrate', { sample: { hydrateId: 'sodium-acetate-3' } });
      run.does({ kind: 'fill', g: 4 }, { kind: 'put', at: 'triangle', by: 'tongs' });
      if (lid !== 'on') run.does({ kind: 'lid', to: lid });
      run.does({ kind: 'gas', to: 5 }, { kind: 'air', to: 3.6 }, { kind: 'light' });
      let seen = false;
      for (let i = 0; i < 40; i++) {
        run.wait(5);
        seen ||= run.view().crucible.spits;
      }
      const { crucible } = run.inside();
      const mol = crucible.spat.reduce((a, b) => a + b, 0);
      expect(mol + molIn(crucible)).toBeCloseTo(run.inside().takenMol, 12);
      return { mol, seen };
    };
    const [on, ajar, off] = [spat('on'), spat('ajar'), spat('off')];
    expect(off.seen).toBe(true);
    expect(off.mol).toBeGreaterThan(ajar.mol);
    expect(ajar.mol).toBeGreaterThan(on.mol);
  });
});

describe('a planted fault', () => {
  const setup = FINE;
  const id = 'copper-sulfate-5';

  it('of water that was still in it is what was left, for who stops when the colour has changed', async () => {
    const run = await dried('water-in-hydrate', { setup }, { rounds: 1, heatS: 90, gas: 4, air: 3 });
    const leftG = run.inside().readings.at(-1)?.about.waterG ?? NaN;
    expect(leftG).toBeGreaterThan(0.01);
    const now = masses(run);
    const { value, share } = moved(run, 'waters');
    expectShare(share('water'), value - waters(id, { ...now, dry: now.dry - leftG }));
    expect(
      run
        .bench()
        .record()
        .truth.find(({ label }) => label.startsWith('Water still'))?.text,
    ).toContain('g');
  });

  it('of overheating is the sulfur trioxide that went', async () => {
    const run = await dried('water-in-hydrate', { setup }, { rounds: 2, on: 'triangle', gas: 10, air: 9, heatS: 500 });
    const gone = run.inside().gone['SO3'] ?? 0;
    expect(gone).toBeGreaterThan(1e-4);
    const now = masses(run);
    const { value, share } = moved(run, 'waters');
    expectShare(share('broken'), value - waters(id, { ...now, dry: now.dry + gone * gramsPerMol('SO3') }));
  });

  it('of soot is its mass', async () => {
    // The last heating is with a yellow flame: what is there then is still there when it is weighed.
    const run = await dried('water-in-hydrate', { setup }, { rounds: 1, gas: 8, air: 1, on: 'triangle', heatS: 2400 });
    const sootG = run.inside().crucible.sootG;
    expect(sootG).toBeGreaterThan(0.02);
    const now = masses(run);
    const { value, share } = moved(run, 'waters');
    const clean = waters(id, { ...now, dry: now.dry - sootG });
    expectShare(share('soot'), value - clean);
  });

  it('of a hot crucible on the balance is what the rising air carried', async () => {
    const run = begun('water-in-hydrate', { setup });
    const lifts: number[] = [];
    const hands: typeof run.hands = {
      view: run.hands.view,
      act: (act, afterS) => {
        run.hands.act({ kind: 'wait' }, afterS);
        if (act.kind === 'recordMass') lifts.push(2.5e-4 * (run.inside().crucible.tempC - run.sample.roomC));
        return run.hands.act(act);
      },
    };
    await dryOut(hands, run.plan, { rounds: 1, coolS: 400 });
    const [empty = NaN, full = NaN, heated = NaN] = lifts;
    expect(heated).toBeGreaterThan(0.004);
    const { m0, m1, dry } = masses(run);
    const { value, share } = moved(run, 'waters');
    expectShare(share('hot'), value - waters(id, { m0: m0 + empty, m1: m1 + full, dry: dry + heated }));
  });

  it('of the lid at one weighing and not at the others is its mass', async () => {
    const run = await dried('water-in-hydrate', { setup }, { emptyLid: 'off' });
    const { lidG } = run.inside().crucible;
    const now = masses(run);
    const { value, share } = moved(run, 'waters');
    expectShare(share('lid'), value - waters(id, { m0: now.m0, m1: now.m1 - lidG, dry: now.dry - lidG }));
  });

  it('of a crucible that was not dry is the damp that it lost', async () => {
    const run = await dried('water-in-hydrate', { setup }, { heatsEmpty: false });
    const damp = run.inside().readings.map(({ about }) => about.dampG);
    const now = masses(run);
    const { value, share } = moved(run, 'waters');
    const [first = 0, second = 0, last = 0] = [damp[0], damp[1], damp.at(-1)];
    expect(first).toBeGreaterThan(0.015);
    const without = waters(id, { m0: now.m0 - first, m1: now.m1 - second, dry: now.dry - last });
    expectShare(share('dampCrucible'), value - without);
  });

  it('of damp air is what the dried salt took up while it cooled', async () => {
    const run = begun('water-in-hydrate', { setup: { ...FINE, damp: 'damp', desiccator: false } });
    await dryOut(run.hands, run.plan, { rounds: 2, coolS: 900 });
    // Left open for an hour, and weighed again.
    run.does({ kind: 'put', at: 'mat', by: 'tongs' }, { kind: 'lid', to: 'off' });
    run.wait(3600);
    run.does({ kind: 'lid', to: 'on' }, { kind: 'put', at: 'pan', by: 'tongs' });
    run.hands.act({ kind: 'recordMass', trial: 1, which: 'h3' }, 4);
    const abouts = run.inside().readings.map(({ about }) => about);
    const tookG = abouts.at(-1)?.waterG ?? NaN;
    expect(tookG).toBeGreaterThan(0.005);
    const [empty = 0, full = 0, last = 0] = [abouts[0], abouts[1], abouts.at(-1)].map((about) => about?.dampG ?? NaN);
    const { m0, m1, dry } = masses(run);
    const { value, share, shares } = moved(run, 'waters');
    // Each weighing without the damp of its porcelain, the last without what the salt took up besides.
    expectShare(share('air'), value - waters(id, { m0: m0 - empty, m1: m1 - full, dry: dry - last - tookG }));
    expect(shares[0]?.key).toMatch(/air|water/);
  });

  it('of spitting is the salt that was lost', async () => {
    const hydrateId = 'sodium-carbonate-10';
    const habits = { on: 'triangle', gas: 5, air: 3.8, lid: 'off', gentle: false } as const;
    const run = await dried('water-in-hydrate', { setup: { ...FINE, hydrates: [hydrateId] } }, habits);
    const { crucible } = run.inside();
    const mol = crucible.spat.reduce((a, b) => a + b, 0);
    expect(mol).toBeGreaterThan(1e-4);
    const dryG = mol * gramsPerMol('Na2CO3');
    const now = masses(run);
    const { value, share } = moved(run, 'waters');
    // Had it stayed, its dry salt would be there still.
    expectShare(share('spits'), value - waters(hydrateId, { ...now, dry: now.dry + dryG }));
  });

  it('of the head is told by its name: the wrong mass, the crucible left in, the molar mass of the hydrate, upside down', async () => {
    const run = await dried('water-in-hydrate', { setup });
    const { value, trueValue } = moved(run, 'waters');
    const tell = (wrong: number) =>
      run.practical
        .influences(run, run.acts, [{ quantity: 'waters', value: wrong, trueValue }])[0]
        ?.shares.map(({ key }) => key);
    const { m0, m1, dry } = masses(run);
    const perMol = gramsPerMol('CuSO4');
    expect(tell((m1 - dry) / WATER_G_PER_MOL / ((m1 - m0) / perMol))).toContain('wrongMass');
    expect(tell((m1 - dry) / WATER_G_PER_MOL / (dry / perMol))).toContain('crucible');
    expect(tell((value * hydrateGPerMol(hydrateOf(id))) / perMol)).toContain('hydrate');
    expect(tell(1 / value)).toContain('inverted');
  });
});

describe('the wrong way', () => {
  it('has a sentence for each wrong order and amount, or its consequence', () => {
    const run = begun('water-in-hydrate', { setup: { desiccator: false } });
    const refused = (act: Act, words: RegExp) => expect(run.act(act)).toMatch(words);
    refused({ kind: 'light' }, /no gas/);
    for (const to of [-1, 11, 1e9]) refused({ kind: 'gas', to }, /from 0 to 10/);
    refused({ kind: 'put', at: 'desiccator', by: 'tongs' }, /no desiccator/);
    for (const g of [0, 1e6, -2]) refused({ kind: 'fill', g }, /between 0.2 and 8 g/);
    refused({ kind: 'recordMass', trial: 2, which: 'm0' }, /Trial 1 comes before/);
    run.does({ kind: 'fill', g: 2 });
    refused({ kind: 'fill', g: 2 }, /some in it already/);
    run.does({ kind: 'put', at: 'triangle', by: 'hand' }, { kind: 'gas', to: 1 }, { kind: 'air', to: 4 });
    refused({ kind: 'light' }, /flares up and goes out/);
    run.wait(30);
    expect(run.act({ kind: 'air', to: 0.8 })).toMatch(/Gas has come out/);
    run.does({ kind: 'light' }, { kind: 'gas', to: 2.5 }, { kind: 'air', to: 1.8 });
    run.wait(240);
    // It looks as it did, and burns the fingers; the tongs hold it.
    expect(run.view().crucible.glows).toBe(false);
    expect(run.act({ kind: 'put', at: 'pan', by: 'hand' })).toMatch(/It is hot/);
    expect(run.view().crucible.at).toBe('triangle');
    expect(run.act({ kind: 'put', at: 'pan', by: 'tongs' })).toMatch(/still warm/);
    expect(run.act({ kind: 'recordMass', trial: 1, which: 'h1' }, 5)).toMatch(/creeping up/);
    expect(run.act({ kind: 'air', to: 9 })).toMatch(/gone out/);
    refused({ kind: 'fresh' }, /hot/);
    expect(
      run
        .bench()
        .record()
        .truth.map(({ text }) => text),
    ).toContain('once');
  });

  it('cracks a crucible that is heated too fast from cold, and a fresh one begins another trial', () => {
    const run = begun('water-in-hydrate');
    run.does({ kind: 'put', at: 'pan', by: 'tongs' });
    run.hands.act({ kind: 'recordMass', trial: 1, which: 'm0' }, 4);
    run.does({ kind: 'fill', g: 2 }, { kind: 'put', at: 'triangle', by: 'tongs' });
    run.does({ kind: 'gas', to: 10 }, { kind: 'air', to: 9.5 }, { kind: 'light' });
    run.wait(20);
    expect(run.view().crucible.isCracked).toBe(true);
    run.does({ kind: 'gas', to: 0 }, { kind: 'fresh' });
    expect(run.view().crucible.isCracked).toBe(false);
    run.does({ kind: 'put', at: 'pan', by: 'tongs' });
    expect(run.view().recordableTrial).toBe(2);
  });
});

it.each<[HydrateId, string, string]>([
  ['water-in-hydrate', 'waters', ''],
  ['which-hydrate', 'part', '%'],
  ['part-of-hydrate', 'part', '%'],
])('%s, done by the brief to the letter, has every step done and is judged right', async (id, quantity, unit) => {
  const run = await dried(id, { seed: 'brief', index: 2 });
  expect(run.view().steps.filter(({ done }) => !done)).toEqual([]);
  const asks = run.practical.asks(run.setup);
  const name = asks.find((ask) => 'quantity' in ask && ask.quantity === 'name');
  const answers = {
    [quantity]: { text: found(run, quantity).toPrecision(3), unit },
    ...(name ? { name: { text: String(run.bench().truths()['name']) } } : {}),
  };
  const checked = run.bench().check(
    answers,
    asks.filter(({ key }) => key in answers),
  );
  if (!checked.ok) throw new Error(checked.problems.map(({ sentence }) => sentence).join(' '));
  for (const item of checked.items) expect(verdictOn(item)).toMatch(/^(within (1|2) %|right)/u);
});
