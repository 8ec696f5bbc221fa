import { describe, expect, it } from 'vitest';
import { BENCH_SOLUTIONS } from '../../databook/bench-solutions';
import { settledIn } from '../../chemistry/contents';
import { verdictOn } from '../../report/verdict';
import type { Act } from './acts';
import { mixSeries, nameBottles } from './practised-student';
import type { Sample } from './sample';
import { begun, moved, type Run } from './testing';

/** The bench of solutions: what acts do, what is refused, what is told, and what mistakes come to. */

const bottle = (id: Sample['bottles'][number]['id'], molPerL: number): Sample['bottles'][number] => ({
  id,
  molPerL,
  says: `${molPerL} mol/L`,
});
const SILVER: Partial<Sample> = {
  bottles: [
    bottle('sodium-nitrate', 0.1),
    bottle('silver-nitrate', 0.12),
    bottle('barium-chloride', 0.1),
    bottle('potassium-nitrate', 0.15),
  ],
  reaction: 'silver-barium-chloride',
};
const silver = (setup: object = {}) =>
  begun('which-react', { setup: { reactions: ['silver-barium-chloride'], ...setup }, sample: SILVER });
/** The first tube that is taken: after four bottles, water and twelve wells. */
const TUBE = 18;

const put = (from: number, to: number, ml: number, by: 'pipette' | 'cylinder' | 'eye' = 'pipette'): Act => ({
  kind: 'measure',
  from,
  to,
  ml,
  by,
});

describe('vessels', () => {
  it('tell on asking what was put in, never what is there now', () => {
    const run = silver();
    run.does({ kind: 'take', type: 'tube' }, put(2, TUBE, 4), put(3, TUBE, 2, 'cylinder'), {
      kind: 'drops',
      from: 5,
      to: TUBE,
      drops: 3,
    });
    expect(run.view().vessels[TUBE - 1]?.poured).toEqual([
      { from: 'bottle B', amount: '4.00 mL' },
      { from: 'bottle C', amount: '2.0 mL' },
      { from: 'water', amount: '3 drops' },
    ]);
    run.does({ kind: 'empty', vessel: TUBE });
    expect(run.view().vessels[TUBE - 1]).toMatchObject({ poured: [], ml: 0, solid: null });
  });

  it('let a solid fall by itself: what is poured off then is clear, and the solid stays', () => {
    const run = silver();
    run.does({ kind: 'take', type: 'tube' }, { kind: 'take', type: 'tube' }, put(2, TUBE, 6), put(3, TUBE, 4));
    expect(run.view().moves[TUBE]?.afloat).toBeGreaterThanOrEqual(7);
    const solid = () =>
      settledIn((run.inside().vessels[TUBE - 1] as { contents: Parameters<typeof settledIn>[0] }).contents).solids[
        'silver-chloride'
      ] ?? 0;
    const before = solid();
    run.wait(400);
    expect(run.view().moves[TUBE]).toBeUndefined();
    run.does(put(TUBE, TUBE + 1, 5, 'eye'));
    expect(run.view().vessels[TUBE]?.solid).toBeNull();
    expect(solid() / before).toBeGreaterThan(0.999);
    // Stirred up, it goes along.
    run.does({ kind: 'stir', vessel: TUBE }, { kind: 'take', type: 'tube' }, put(TUBE, TUBE + 2, 2));
    expect(run.view().vessels[TUBE + 1]?.solid).not.toBeNull();
  });

  it('warm by what reacts in them, and cool again', () => {
    const run = begun('which-react', {
      setup: { tools: ['thermometer'] },
      sample: {
        bottles: [
          bottle('hydrochloric-acid', 0.4),
          bottle('sodium-hydroxide', 0.4),
          bottle('sodium-nitrate', 0.1),
          bottle('potassium-nitrate', 0.1),
        ],
        reaction: 'hydrochloric-acid',
      },
    });
    // Without a plate, tubes come right after the water.
    run.does({ kind: 'take', type: 'tube' }, put(1, 6, 8), put(2, 6, 8), { kind: 'dip', tool: 'thermometer', into: 6 });
    run.wait(12);
    const warmer = Number(run.view().shows.thermometer) - run.sample.roomC;
    // 55.8 kJ/mol on twice the volume: 2.67 K, less what it lost since.
    expect(warmer).toBeGreaterThan(2.4);
    expect(warmer).toBeLessThan(2.72);
    run.wait(3000);
    expect(Number(run.view().shows.thermometer) - run.sample.roomC).toBeLessThan(0.15);
  });

  it('hold twenty-four and no more, each with its label, and are never mixed up', () => {
    const run = silver();
    for (let i = 0; i < 18; i++) run.does({ kind: 'take', type: 'tube' });
    for (let i = 0; i < 6; i++) run.does({ kind: 'take', type: 'beaker' });
    expect(run.act({ kind: 'take', type: 'tube' })).toBe('The rack holds 18 tubes. Put one back first, or empty one.');
    expect(run.act({ kind: 'take', type: 'beaker' })).toMatch(/room for 6 beakers/);
    for (let i = 0; i < 24; i++) run.does({ kind: 'name', vessel: TUBE + i, text: `mix ${i + 1}` });
    for (let i = 0; i < 24; i++) run.does({ kind: 'drops', from: 1 + (i % 4), to: TUBE + i, drops: 5 });
    run
      .view()
      .vessels.slice(TUBE - 1)
      .forEach(({ label, poured }, i) => {
        expect(label).toBe(`mix ${i + 1}`);
        expect(poured).toEqual([{ from: `bottle ${'ABCD'[i % 4]}`, amount: '5 drops' }]);
      });
    run.does({ kind: 'away', vessel: TUBE + 3 }, { kind: 'take', type: 'tube' });
    expect(run.view().vessels[TUBE + 2]).toMatchObject({ label: '', poured: [], isAway: false });
  });

  it.each<[Act, RegExp]>([
    [put(2, 3, 5), /spoils all that is in it/],
    [put(2, 2, 5), /into itself/],
    [put(2, 6, 5), /use the dropper/],
    [put(2, TUBE, 0), /pipette gives 0.1 to 10 mL/],
    [put(2, TUBE, 1e9), /pipette gives/],
    [put(2, TUBE, 200, 'eye'), /By eye one pours/],
    [put(2, 59, 5), /no such vessel/],
    [put(TUBE, 6, 5), /It is empty/],
    [{ kind: 'drops', from: 2, to: 6, drops: 2.5 }, /whole numbers/],
    [{ kind: 'drops', from: 2, to: 6, drops: -3 }, /1 to 40 drops/],
    [{ kind: 'name', vessel: TUBE, text: 'x'.repeat(300) }, /room for 24 characters/],
    [{ kind: 'empty', vessel: 2 }, /has to last/],
    [{ kind: 'away', vessel: 6 }, /stays where it is/],
    [{ kind: 'stir', vessel: TUBE }, /nothing to stir/],
    [{ kind: 'dip', tool: 'probe', into: TUBE }, /no pH meter/],
    [{ kind: 'dip', tool: 'thermometer', into: TUBE }, /too little in it/],
    [{ kind: 'dip', tool: 'thermometer', into: 6 }, /too small for it/],
    [{ kind: 'takeOut', tool: 'thermometer' }, /in no vessel/],
    [{ kind: 'paper', vessel: TUBE }, /It is empty/],
    [{ kind: 'slip', vessel: TUBE, ml: 2 }, /less than that in it/],
    [{ kind: 'slip', vessel: TUBE, ml: 400 }, /what the pipette takes/],
    [{ kind: 'slip', vessel: 6, ml: 1 }, /out of a tube or a beaker/],
    [{ kind: 'more', bottle: 2 }, /as much in bottle B as it was given/],
    [{ kind: 'more', bottle: TUBE }, /Only a bottle/],
    [{ kind: 'recordTool', trial: 1, which: 'T' }, /in no vessel/],
    [{ kind: 'recordSlip', trial: 1, slip: 1, which: 'nA' }, /no such slip/],
    [{ kind: 'recordVolume', trial: 1, vessel: TUBE, which: 'vA' }, /Nothing came into it/],
    [{ kind: 'recordVolume', trial: 1, vessel: 2, which: 'vA' }, /of a vessel of your own/],
    [{ kind: 'recordVolume', trial: 1, vessel: TUBE, which: 'vH' }, /no such bottle/],
  ])('answer %j with a sentence, and stay as they were', (act, sentence) => {
    const run = silver();
    run.does({ kind: 'take', type: 'tube' });
    const before = JSON.stringify(run.inside());
    expect(run.act(act)).toMatch(sentence);
    expect(JSON.stringify(run.inside())).toBe(before);
  });

  it('run over with what they cannot hold, and give no more than there is', () => {
    const run = silver();
    run.does({ kind: 'take', type: 'tube' }, put(2, TUBE, 20, 'cylinder'));
    expect(run.act(put(3, TUBE, 10))).toMatch(/It ran over: about [4-7]\.\d mL were spilt/);
    expect(run.view().vessels[TUBE - 1]?.ml).toBe(24);
    run.does({ kind: 'drops', from: 4, to: 6, drops: 20 });
    expect(run.act({ kind: 'drops', from: 6, to: TUBE, drops: 40 })).toMatch(/It ran over|all that there was/);
  });

  it('are filled again on asking, which the teacher reads', () => {
    const run = silver();
    run.does({ kind: 'take', type: 'beaker' }, put(2, TUBE, 50, 'eye'));
    expect(run.act({ kind: 'more', bottle: 2 })).toBe('Bottle B is full again.');
    expect(run.bench().record().truth).toContainEqual({ label: 'Asked for more of a bottle', text: '1 time' });
    expect(run.view().vessels[1]?.ml).toBe(150);
  });
});

describe('what a portion tells', () => {
  it('is the amount that has not reacted, of the portion and not of the whole, after three minutes', () => {
    const run = silver();
    // 8 mL of 0.12 mol/L silver, 2 mL of 0.1 mol/L barium chloride: 0.96 mmol less 2 · 0.2 mmol are left in 10 mL.
    run.does({ kind: 'take', type: 'tube' }, put(2, TUBE, 8), put(3, TUBE, 2), { kind: 'slip', vessel: TUBE, ml: 2 });
    expect(run.view().slips[0]).toMatchObject({ left: null, ml: '2.00', trial: 1, bottles: [2, 3] });
    // Volumes that are recorded after a portion was taken are still those that were poured.
    run.does({ kind: 'recordVolume', trial: 1, vessel: TUBE, which: 'vB' });
    expect(Math.abs((run.inside().readings[0]?.shown ?? NaN) - 8)).toBeLessThan(0.2);
    expect(run.act({ kind: 'recordSlip', trial: 1, slip: 1, which: 'nB' })).toBe(
      'This portion is still with the analysis.',
    );
    run.wait(200);
    const [a, b, c, d] = (run.view().slips[0]?.left ?? []).map(Number) as [number, number, number, number];
    expect(Math.abs(b - (0.96 - 0.4) / 5)).toBeLessThan(0.004);
    expect([a, c, d]).toEqual([0, 0, 0]);
    expect(run.act({ kind: 'recordSlip', trial: 2, slip: 1, which: 'nB' })).toBe('This slip belongs to trial 1.');
    // What was emptied meanwhile keeps its trial, and the next mixture there is another.
    run.does({ kind: 'empty', vessel: TUBE }, put(3, TUBE, 5));
    expect(run.view().vessels[TUBE - 1]?.trial).toBe(2);
    run.does({ kind: 'recordSlip', trial: 1, slip: 1, which: 'nB' });
    expect(run.view().readings.at(-1)).toMatchObject({ trial: 1, slot: 'nB' });
    expect(run.view().vessels[TUBE - 1]?.trial).toBe(2);
  });
});

describe('the colorimeter', () => {
  const CHROMATE: Partial<Sample> = {
    bottles: [
      bottle('potassium-chromate', 0.02),
      bottle('silver-nitrate', 0.1),
      bottle('sodium-nitrate', 0.1),
      bottle('potassium-nitrate', 0.1),
    ],
    reaction: 'silver-chromate',
  };
  /** Tubes come right after the water where there is no plate. */
  const FIRST = 6;
  const yellow = () => begun('which-react', { setup: { tools: ['slip', 'colorimeter'] }, sample: CHROMATE });
  const shown = (run: ReturnType<typeof yellow>) => Number(run.view().absorbance?.replace('\u2212', '-'));

  it('follows Beer and Lambert once its zero is set with water, and is off by what it is itself before', () => {
    const run = yellow();
    run.does({ kind: 'wavelength', nm: 440 }, { kind: 'take', type: 'tube' }, put(1, FIRST, 1), put(5, FIRST, 9), {
      kind: 'fillCuvette',
      vessel: FIRST,
    });
    // 0.002 mol/L of chromate, 4800 L/(mol cm) at 370 nm in a band of 35 nm: 650 at 440.
    const right = 0.002 * 4800 * Math.exp(-(((440 - 370) / 35) ** 2) / 2);
    const before = shown(run);
    expect(before - right).toBeGreaterThan(0.03);
    run.does({ kind: 'fillCuvette', vessel: 5 }, { kind: 'blank' }, { kind: 'fillCuvette', vessel: FIRST });
    expect(Math.abs(shown(run) / right - 1)).toBeLessThan(0.02);
    run.does({ kind: 'recordAbsorbance', trial: 1 });
    expect(run.view().readings.at(-1)).toMatchObject({ slot: 'A', trial: 1, unit: '' });
    // At a wavelength that it does not absorb there is nothing.
    run.does({ kind: 'wavelength', nm: 700 });
    expect(Math.abs(shown(run))).toBeLessThan(0.05);
  });

  it('reads too high while a solid is afloat, and the clear liquid when it has come to lie', () => {
    const run = yellow();
    run.does({ kind: 'wavelength', nm: 440 }, { kind: 'fillCuvette', vessel: 5 }, { kind: 'blank' });
    run.does({ kind: 'take', type: 'tube' }, put(1, FIRST, 8), put(2, FIRST, 1), {
      kind: 'fillCuvette',
      vessel: FIRST,
    });
    const cloudy = run.view().absorbance;
    run.wait(6000);
    run.does({ kind: 'fillCuvette', vessel: FIRST });
    // 0.16 mmol of chromate less half of 0.1 mmol of silver, in 9 mL.
    const right = ((0.16 - 0.05) / 9) * 4800 * Math.exp(-(((440 - 370) / 35) ** 2) / 2);
    expect(cloudy === 'too dark' || Number(cloudy) > 1.1 * right).toBe(true);
    run.does({ kind: 'wavelength', nm: 470 });
    const at470 = ((0.16 - 0.05) / 9) * 4800 * Math.exp(-(((470 - 370) / 35) ** 2) / 2);
    expect(Math.abs(shown(run) / at470 - 1)).toBeLessThan(0.08);
  });

  it('keeps the trial of what is in it, and answers each wrong move with a sentence', () => {
    const run = yellow();
    expect(run.act({ kind: 'recordAbsorbance', trial: 1 })).toMatch(/Fill the cuvette/);
    expect(run.act({ kind: 'emptyCuvette' })).toBe('The cuvette is empty.');
    expect(run.act({ kind: 'wavelength', nm: 5 })).toBe('It goes from 380 to 750 nm.');
    expect(run.act({ kind: 'fillCuvette', vessel: FIRST })).toMatch(/no such vessel/);
    expect(run.act({ kind: 'blank' })).toMatch(/that of an empty cuvette/);
    run.does({ kind: 'take', type: 'tube' }, { kind: 'fillCuvette', vessel: 1 });
    expect(run.act({ kind: 'fillCuvette', vessel: FIRST })).toMatch(/takes 3 mL/);
    expect(run.act({ kind: 'recordAbsorbance', trial: 1 })).toMatch(/none of your mixtures/);
    run.does({ kind: 'wavelength', nm: 380 });
    expect(run.view().absorbance).toBe('too dark');
    run.does(
      put(1, FIRST, 5),
      { kind: 'fillCuvette', vessel: FIRST },
      { kind: 'empty', vessel: FIRST },
      put(2, FIRST, 5),
    );
    expect(run.act({ kind: 'recordAbsorbance', trial: 1 })).toMatch(/Too little light/);
    expect(run.act({ kind: 'recordAbsorbance', trial: 2 })).toBe('What is in the cuvette is of trial 1.');
    expect(run.view().vessels[FIRST - 1]?.trial).toBe(2);
    expect(silver().act({ kind: 'fillCuvette', vessel: 2 })).toBe('There is no colorimeter at this bench.');
  });
});

describe('the ratio', () => {
  it('is found by a series whatever reacts, and by hand from what the brief says', async () => {
    const run = silver();
    await mixSeries(run.hands, run.plan, { series: [2, 4, 5, 6, 8], pair: [1, 2] });
    // As the brief has it: what went in less what is left, whole mixture over portion.
    const value = (slot: string, trial: number) =>
      Number(run.view().readings.find((r) => r.slot === slot && r.trial === trial)?.text);
    const used = [1, 2, 3, 4, 5].map((trial) => {
      const whole = (value('vB', trial) + value('vC', trial)) / value('p', trial);
      return [
        0.12 * value('vB', trial) - whole * value('nB', trial),
        0.1 * value('vC', trial) - whole * value('nC', trial),
      ] as const;
    });
    const ratio = used.reduce((sum, [b]) => sum + b, 0) / used.reduce((sum, [, c]) => sum + c, 0);
    expect(ratio).toBeCloseTo(run.results()['ratio'] as number, 9);
    expect(Math.abs(ratio - 2)).toBeLessThan(0.06);
    const answer = (text: string) => ({ text });
    const checked = run.bench().check({
      measured: answer('In that in which their amounts are in the ratio of the coefficients'),
      hypothesis: answer('the same amount reacts'),
      ratio: answer(ratio.toPrecision(3)),
      kA: answer('0'),
      kB: answer('2'),
      kC: answer('1'),
      kD: answer('0'),
      working: answer('what went in less what was left'),
      claim: answer('silver and chloride react as two to one here'),
      reasoning: answer('the amount left over of the others was all that had gone in, in each of the mixtures'),
      aim: answer('Tell an amount from a concentration'),
      aimWhy: answer('I did it with the slips of each mixture'),
    });
    if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
    // Who follows the brief to the letter is judged right, in each of the numbers.
    const verdicts = checked.items.flatMap((item) => (item.kind === 'number' ? [verdictOn(item)] : []));
    expect(verdicts).toEqual([expect.stringMatching(/^within \d %/), 'right', 'right', 'right', 'right']);
  });

  it('moves by what was poured by eye, as far as the volumes that really came say', async () => {
    const run = silver();
    await mixSeries(run.hands, run.plan, { series: [2, 4, 6, 8], pair: [1, 2], by: 'eye' });
    const { share, value } = moved(run);
    // The same sum with the volumes that really went in, in place of those that were meant.
    const rows = [1, 2, 3, 4].map((trial) => {
      const of = (slot: string) => run.inside().readings.find((r) => r.trial === trial && r.which === slot);
      return {
        b: of('vB'),
        c: of('vC'),
        p: of('p')?.value ?? NaN,
        nb: of('nB')?.value ?? NaN,
        nc: of('nC')?.value ?? NaN,
      };
    });
    const ratioBy = (ml: (r: (typeof rows)[number]['b']) => number) => {
      const sums = rows.map(({ b, c, p, nb, nc }) => {
        const whole = (ml(b) + ml(c)) / p;
        return [0.12 * ml(b) - whole * nb, 0.1 * ml(c) - whole * nc] as const;
      });
      return sums.reduce((sum, [b]) => sum + b, 0) / sums.reduce((sum, [, c]) => sum + c, 0);
    };
    const planted = ratioBy((r) => r?.value ?? NaN) - ratioBy((r) => r?.about.trueValue ?? NaN);
    expect(value).toBeCloseTo(
      ratioBy((r) => r?.value ?? NaN),
      9,
    );
    expect(Math.abs(planted)).toBeGreaterThan(0.02);
    expect(Math.abs(share('eye') - planted)).toBeLessThan(0.1 * Math.abs(planted) + 0.005);
  });

  it('is another by the factor that is known beforehand where volumes are taken for amounts, or it stands upside down', async () => {
    const run = silver();
    await mixSeries(run.hands, run.plan, { pair: [1, 2] });
    const truth = run.results()['ratio'] as number;
    const ask = (value: number) =>
      run.practical.influences({ setup: run.setup, sample: run.sample, seed: run.seed }, run.acts, [
        { quantity: 'ratio', value, trueValue: 2 },
      ])[0];
    const named = (value: number) =>
      ask(value)
        ?.shares.filter(({ share }) => Math.abs(share) > 0.1)
        .map(({ key }) => key);
    expect(named(truth * (0.1 / 0.12))).toContain('volumes');
    expect(named(1 / truth)).toContain('upsideDown');
    // Two that do not react give no ratio at all.
    const other = silver();
    await mixSeries(other.hands, other.plan, { pair: [0, 3] });
    expect(other.results()).toEqual({});
  });

  it('is asked for with whole coefficients, 0 for what does not react, and with the equation where labels tell', () => {
    const run = silver({ isNamed: true });
    expect(run.bench().truths()).toMatchObject({
      ratio: 2,
      kA: 0,
      kB: 2,
      kC: 1,
      kD: 0,
      equation: '2 AgNO3 + BaCl2 -> 2 AgCl + Ba(NO3)2',
    });
    expect(run.practical.asks(run.setup).map(({ key }) => key)).toContain('equation');
    expect(run.practical.asks(silver().setup).map(({ key }) => key)).not.toContain('equation');
  });

  const byColour = (reactions: string[], seed: string) =>
    begun('which-react', { seed, setup: { reactions, tools: ['colorimeter', 'plate'], bottles: '3' } });

  it.each(['iron-permanganate', 'iodine-thiosulfate', 'silver-chromate'])(
    'is found by the colour that is left alone, and a forgotten blank does not move where the lines cross: %s',
    async (id) => {
      const [careful, forgot] = [byColour([id], 'colour'), byColour([id], 'colour')];
      await mixSeries(careful.hands, careful.plan);
      await mixSeries(forgot.hands, forgot.plan, { blanks: false });
      const truth = careful.bench().truths()['ratio'] as number;
      const read = (run: Run) =>
        run
          .view()
          .readings.filter(({ slot }) => slot === 'A')
          .map(({ text }) => Number(text.replace('\u2212', '-')));
      // Each reads lower by what air in the place of water takes off.
      const lower = read(careful).map((absorbance, i) => absorbance - (read(forgot)[i] ?? NaN));
      expect(Math.min(...lower)).toBeGreaterThan(0.03);
      expect(Math.max(...lower)).toBeLessThan(0.07);
      for (const run of [careful, forgot])
        expect(Math.abs((run.results()['ratio'] as number) / truth - 1)).toBeLessThan(0.05);
      expect(careful.view().steps.every(({ done }) => done)).toBe(true);
    },
  );

  it('is not set where the tray cannot tell it', () => {
    const { setup, objections } = silver().practical;
    expect(
      objections(setup.parse({ reactions: ['magnesium-hydroxide'], tools: ['thermometer'] }))[0]?.sentence,
    ).toMatch(/warms enough/);
    expect(objections(setup.parse({ reactions: ['silver-oxalate'], bottles: '5' }))[0]?.sentence).toMatch(
      /fewer bottles/,
    );
    expect(setup.safeParse({ tools: ['paper'] }).success).toBe(false);
    // A solid of its own colour, clear above: nothing for a colorimeter.
    expect(objections(setup.parse({ reactions: ['barium-sulfate'], tools: ['colorimeter'] }))[0]?.sentence).toMatch(
      /loses its colour/,
    );
  });
});

describe('the conductivity cell', () => {
  it('shows what the ions there conduct, off by its own part, and the same part each time', () => {
    const run = begun('which-react', {
      seed: 'cell',
      setup: { tools: ['slip', 'cell'] },
      sample: {
        bottles: [0.1, 0.05].flatMap((molPerL) => [
          { id: 'sodium-chloride', molPerL, says: '' },
          { id: 'potassium-nitrate', molPerL, says: '' },
        ]),
      },
    });
    const shown = (into: number) => {
      run.does({ kind: 'dip', tool: 'cell', into });
      run.wait(5);
      return Number(run.view().shows.cell);
    };
    // Molar conductivities of the tables, S cm² mol⁻¹: 106.69 and 120.34 at a tenth of a mole in a litre.
    const [salt, nitre] = [shown(1) / 10.669, shown(2) / 12.034];
    for (const part of [salt, nitre]) expect(Math.abs(part - 1)).toBeLessThan(0.18);
    expect(Math.abs(salt / nitre - 1)).toBeLessThan(0.06);
    // At half the concentration a little more than half as much.
    expect(shown(3) / (10.669 * salt)).toBeGreaterThan(0.5);
    run.does({ kind: 'take', type: 'tube' }, { kind: 'measure', from: 1, to: 6, ml: 5, by: 'pipette' });
    expect(run.act({ kind: 'recordTool', trial: 1, which: 'K' })).toMatch(/none of your mixtures/);
    shown(6);
    run.does({ kind: 'recordTool', trial: 1, which: 'K' });
    expect(run.view().readings.at(-1)).toMatchObject({ slot: 'K', unit: 'mS/cm' });
    run.does({ kind: 'takeOut', tool: 'cell' });
    expect(run.act({ kind: 'recordTool', trial: 1, which: 'K' })).toMatch(/The conductivity cell is in no vessel/);
    expect(begun('which-react', { seed: 'cell' }).act({ kind: 'dip', tool: 'cell', into: 1 })).toMatch(
      /There is no conductivity cell/,
    );
  });
});

describe('a mixture that the solver cannot bring to rest', () => {
  it('is a sentence and no error, and nothing was done', () => {
    const bottle = (id: 'silver-nitrate' | 'ammonia' | 'sodium-nitrate') => ({ id, molPerL: 1e30, says: '' });
    const run = begun('which-react', {
      seed: 'no rest',
      sample: {
        bottles: [bottle('silver-nitrate'), bottle('ammonia'), bottle('sodium-nitrate'), bottle('sodium-nitrate')],
      },
    });
    run.does({ kind: 'take', type: 'tube' });
    const before = run.inside();
    expect(run.act({ kind: 'measure', from: 1, to: 18, ml: 3, by: 'pipette' })).toMatch(/more than Fen can work out/);
    expect(run.inside()).toBe(before);
  });
});

describe('steps and what can be handed in', () => {
  it('follow what was tried, and keep it when the plate is rinsed', () => {
    const run = begun('which-bottle', { seed: 'steps' });
    const done = () =>
      run
        .view()
        .steps.filter((step) => step.done)
        .map(({ key }) => key);
    const answers = run.bench().check({});
    expect(answers.ok ? [] : answers.problems.map(({ sentence }) => sentence)).toContain(
      'Nothing has been put together yet: try two bottles in a well first.',
    );
    expect(done()).toEqual([]);
    run.does({ kind: 'drops', from: 1, to: 8, drops: 4 }, { kind: 'drops', from: 2, to: 8, drops: 4 });
    expect(done()).toEqual([]);
    for (let a = 1; a <= 6; a++)
      for (let b = a + 1; b <= 6; b++)
        run.does(
          { kind: 'rinsePlate' },
          { kind: 'drops', from: a, to: 8, drops: 4 },
          { kind: 'drops', from: b, to: 8, drops: 4 },
        );
    expect(done()).toEqual(['pairs']);
    run.does({ kind: 'drops', from: 6, to: 8, drops: 10 }, { kind: 'rinsePlate' });
    expect(done()).toEqual(['pairs', 'excess']);
    // Three together are no pair.
    const other = begun('which-bottle', { seed: 'steps' });
    other.does({ kind: 'drops', from: 1, to: 8, drops: 1 }, { kind: 'drops', from: 1, to: 8, drops: 1 });
    expect(other.view().steps[0]?.done).toBe(false);
  });

  it('go by mixtures that were recorded, each whole', async () => {
    const run = silver();
    const done = () =>
      run
        .view()
        .steps.filter((step) => step.done)
        .map(({ key }) => key);
    await mixSeries(run.hands, run.plan, { series: [1, 2, 3, 4, 5, 6, 7, 8], pair: [1, 2] });
    expect(done()).toEqual(['before']);
    await mixSeries(run.hands, run.plan, { series: [9], pair: [1, 2] });
    expect(done()).toEqual(['before', 'series', 'left']);
  });
});

describe('nothing hidden', () => {
  const words = BENCH_SOLUTIONS.flatMap(({ id, name, formula }) => [id, name, formula]).filter(
    (word) => word.length > 3,
  );

  it('stands in a view: no name, no formula, no id, whatever was done', async () => {
    const run = silver();
    await mixSeries(run.hands, run.plan, { series: [3, 7] });
    const told = JSON.stringify([run.view(), run.bench().frame(), run.plan]);
    for (const word of words) expect(told).not.toContain(word);
    const other = begun('which-bottle', { index: 3 });
    await nameBottles(other.hands, other.plan);
    const { task, ...view } = other.view();
    expect(task).toMatch(/in no order/);
    const rest = JSON.stringify([view, other.bench().frame(), other.plan]);
    for (const word of words) expect(rest).not.toContain(word);
  });

  it('can be told from letters: benches that differ in the order of clear bottles alone begin the same', () => {
    const [one, two] = [
      [0, 1, 2, 3],
      [3, 1, 0, 2],
    ].map((order) => {
      const all = ['sodium-nitrate', 'silver-nitrate', 'barium-chloride', 'potassium-nitrate'] as const;
      const bottles = order.map((i) => bottle(all[i] as (typeof all)[number], 0.1));
      return JSON.stringify(begun('which-react', { sample: { ...SILVER, bottles } }).view());
    });
    expect(one).toBe(two);
  });
});
