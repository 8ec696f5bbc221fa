import { describe, expect, it } from 'vitest';
import { parseTyped } from '../../analysis/quantity';
import { PRACTICALS } from '../registry';
import type { Bench } from './bench';
import { byIndicator, expectShare, moved, rehearsed, type AnyPractical, type Deviation, type Run } from './testing';
import type { Habits } from './practised-student';

/** Each wrong way that the bench of titration allows: planted, worked out by closed form, and told by its name. */

/** A kind, its sample, how it is done well, and how much its result changes with the titre: d ln(result) for 1 mL. */
interface Case {
  practical: AnyPractical;
  sample: object;
  habits: Partial<Habits>;
  quantity: string;
  perMl: (run: Run) => number;
}

/** Titres of the trials that count, mL. */
const titres = ({ bench }: Run): number[] =>
  bench.view().trials.flatMap(({ titre, counts }) => (titre !== null && counts ? [Number(titre)] : []));
const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const direct = (run: Run) => 1 / mean(titres(run));
const inverse = (run: Run) => -1 / mean(titres(run));
/** 25 mL of acid of 0.3 mol/L are 50 mL of titrant of 0.15 mol/L; what is left over is titrated. */
const left = (run: Run) => -1 / (50 - mean(titres(run)));

const ACID = { soluteId: 'acetic-acid', molPerL: 0.09876 };
const KINDS: [name: string, one: Case][] = [
  [
    'an acid',
    { practical: PRACTICALS['acid-concentration'], sample: ACID, habits: {}, quantity: 'concentration', perMl: direct },
  ],
  [
    'a base',
    {
      practical: PRACTICALS['base-concentration'],
      sample: { soluteId: 'ammonia', molPerL: 0.1034 },
      habits: { indicator: 'methyl-red' },
      quantity: 'concentration',
      perMl: direct,
    },
  ],
  [
    'a powder',
    {
      practical: PRACTICALS['percent-by-mass'],
      sample: { solidId: 'sulfamic-acid', percent: 81.2 },
      habits: { grams: 0.3, weighsBack: true },
      quantity: 'percent',
      perMl: direct,
    },
  ],
  [
    'a label that is not trusted',
    {
      practical: PRACTICALS['standardised-base'],
      sample: { ...ACID, titrantMolPerL: 0.1043 },
      habits: { grams: 0.5, weighsBack: true },
      quantity: 'base',
      perMl: (run) => inverse({ ...run }),
    },
  ],
  [
    'which acid it is',
    {
      practical: PRACTICALS['unknown-acid'],
      sample: { solidId: 'mandelic-acid', titrantMolPerL: 0.1012 },
      habits: { grams: 0.35, weighsBack: true },
      quantity: 'molarMass',
      perMl: inverse,
    },
  ],
  [
    'a back titration',
    {
      practical: PRACTICALS['back-titration'],
      sample: { solidId: 'calcium-carbonate', percent: 88.8 },
      habits: { grams: 0.25, weighsBack: true },
      quantity: 'percent',
      perMl: left,
    },
  ],
];

const worked = ({ practical, sample, habits }: Case, more: Deviation = {}, own: Partial<Habits> = {}) =>
  rehearsed(practical, sample, byIndicator({ ...habits, ...own }), more);

/** What a change of every titre by so many mL makes of a result, as a part of the true value. */
const byMl = (one: Case, run: Run, ml: number) => one.perMl(run) * ml;

describe('every kind of titration, with one thing done wrong', { timeout: 60_000 }, () => {
  it.each(KINDS)('2 mL past the end point are named: %s', async (_, one) => {
    const [right, late] = [await worked(one), await worked(one, {}, { lateDrops: 40 })];
    const [before, after] = [moved(right, one.quantity), moved(late, one.quantity)];
    expect(after.shares[0]?.key).toBe('overshoot');
    // A drop of this bench, forty times; the standard of an untrusted label is the first of two series.
    const { dropMl } = (late.bench as unknown as { inside(): Bench }).inside().burette;
    expectShare(after.part('overshoot') - before.part('overshoot'), byMl(one, late, 40 * dropMl));
  });

  it.each(KINDS)('a burette that was rinsed with water is named: %s', async (_, one) => {
    const run = await worked(one, { change: (act) => (act.kind === 'rinseBurette' ? { ...act, with: 'water' } : act) });
    // 0.15 mL of water cling to the wall and thin 51.7 mL of titrant: each titre is larger by as much.
    expectShare(moved(run, one.quantity).part('rinsing'), byMl(one, run, (mean(titres(run)) * 0.15) / 51.7));
  });

  it.each(KINDS)('no indicator is named: %s', async (_, one) => {
    // Let in until the scale says thirty-three and something, then given up.
    const run = await worked(one, {
      change: (act, view) =>
        act.kind === 'indicator' || ((act.kind === 'drop' || act.kind === 'letIn') && view.levelMl > 33)
          ? { kind: 'swirl' }
          : act,
    });
    const { shares, off, part } = moved(run, one.quantity);
    expect(shares[0]?.key).toBe('blind');
    // Nothing else moves it by more than glassware does: what is off is this.
    expect(Math.abs(part('blind') - off)).toBeLessThan(0.1 * Math.abs(off));
    expect(part('overshoot')).toBe(0);
  });

  it.each(KINDS)('a flask that was not swirled is named: %s', async (_, one) => {
    // Swirled as long as it runs fast, and then drop after drop without: what is not mixed in is past the end point.
    const run = await worked(one, {
      before: (act, view) => (act.kind === 'drop' && view.swirling ? [{ kind: 'keepSwirling', on: false }] : []),
    });
    const { shares, part } = moved(run, one.quantity);
    const named = [...shares].filter(({ key }) => ['swirl', 'overshoot', 'blind'].includes(key))[0]?.key;
    expect(named).toBe('swirl');
    const ends = (run.bench as unknown as { inside(): Bench })
      .inside()
      .readings.filter(({ which, struck }) => which === 'last' && struck === null);
    const { titrant } = (run.bench as unknown as { inside(): Bench }).inside().stock;
    const careful = ends.filter(({ trial }) => run.bench.view().trials[trial - 1]?.counts);
    const unmixed = careful.map(({ flask }) => (1000 * (flask.plume.amounts[titrant.soluteId] ?? 0)) / titrant.molPerL);
    expect(mean(unmixed)).toBeGreaterThan(0.2);
    expectShare(part('swirl'), byMl(one, run, mean(unmixed)));
  });
});

describe('what only some kinds allow', { timeout: 60_000 }, () => {
  const acid = (molPerL: number, more: Deviation, habits: Partial<Habits> = {}) =>
    rehearsed(PRACTICALS['acid-concentration'], { ...ACID, molPerL }, byIndicator(habits), more);
  const powder = KINDS[2]?.[1] as Case;

  it('a second portion on top of the first', async () => {
    const run = await acid(0.0496, {
      setup: { fromMolPerL: 0.04, toMolPerL: 0.06 },
      before: (act) => (act.kind === 'indicator' ? [{ kind: 'drawSample' }, { kind: 'drainPipette' }] : []),
    });
    const { shares, part } = moved(run, 'concentration');
    expect(shares[0]?.key).toBe('portions');
    expectShare(part('portions'), 1);
  });

  it('a flask without the sample', async () => {
    const run = await rehearsed(PRACTICALS['acid-concentration'], ACID, async (perform) => {
      await perform({ kind: 'rinseBurette', with: 'titrant' });
      await perform({ kind: 'fill', toMl: 0.3 });
      await perform({ kind: 'record', trial: 1, which: 'first', text: '0.30' });
      await perform({ kind: 'water', ml: 25 });
      await perform({ kind: 'indicator', id: 'phenolphthalein', drops: 3 });
      await perform({ kind: 'letIn', ml: 0.3 });
      const view = await perform({ kind: 'swirl' });
      await perform({ kind: 'record', trial: 1, which: 'last', text: view.levelMl.toFixed(2) });
    });
    const { shares, off, part } = moved(run, 'concentration');
    expect(off).toBeLessThan(-0.9);
    expect(shares[0]?.key).toBe('noSample');
    expectShare(part('noSample'), off);
  });

  it('a sample that was to be diluted and was not', async () => {
    const run = await acid(0.152, {
      setup: { fromMolPerL: 0.03, toMolPerL: 0.06, dilution: 'to 100 mL' },
      change: (act) => (act.kind === 'drawDiluted' ? { kind: 'drawSample' } : act),
    });
    const { shares, part } = moved(run, 'concentration');
    expect(shares[0]?.key).toBe('undiluted');
    expectShare(part('undiluted'), 3);
  });

  it.each([
    ['run out over the waste', [{ kind: 'runOut' }], 0.5],
    ['filled up', [{ kind: 'fill', toMl: -1.2 }], -1.5],
  ] as const)('a burette that was %s after its first reading', async (_, acts, ml) => {
    const run = await acid(ACID.molPerL, { before: (act) => (act.kind === 'drawSample' ? [...acts] : []) });
    const { shares, part } = moved(run, 'concentration');
    expect(shares[0]?.key).toBe('refilled');
    expectShare(part('refilled'), ml / ((ACID.molPerL * 25) / 0.1));
  });

  it('more solid on the boat after its mass was recorded', async () => {
    const run = await worked(powder, { before: (act) => (act.kind === 'tip' ? [{ kind: 'weigh', g: 0.1 }] : []) });
    const { shares, part } = moved(run, 'percent');
    expect(shares[0]?.key).toBe('tipped');
    // A tenth of a gram by spatula on three tenths, within 3 % of each.
    expectShare(part('tipped'), 0.1 / 0.3);
  });

  it('solid that had not dissolved', async () => {
    const run = await rehearsed(
      PRACTICALS['percent-by-mass'],
      { solidId: 'sulfamic-acid', percent: 81.2 },
      async (perform) => {
        await perform({ kind: 'rinseBurette', with: 'titrant' });
        let view = await perform({ kind: 'fill', toMl: 0.3 });
        await perform({ kind: 'wipeTip' });
        await perform({ kind: 'record', trial: 1, which: 'first', text: view.levelMl.toFixed(2) });
        await perform({ kind: 'weigh', g: 0.3 });
        await perform({ kind: 'recordMass', which: 'boat' });
        await perform({ kind: 'water', ml: 30 });
        await perform({ kind: 'indicator', id: 'phenolphthalein', drops: 3 });
        await perform({ kind: 'tip' });
        await perform({ kind: 'recordMass', which: 'left' });
        // Fast and without patience: the flask turns pink while solid lies in it.
        await perform({ kind: 'letIn', ml: 12 });
        view = await perform({ kind: 'swirl' });
        view = await perform({ kind: 'wait' }, 1);
        await perform({ kind: 'record', trial: 1, which: 'last', text: view.levelMl.toFixed(2) });
      },
    );
    const bench = (run.bench as unknown as { inside(): Bench }).inside();
    const sum = (amounts: Readonly<Record<string, number>>) => amounts['sulfamic-acid'] ?? 0;
    const part =
      sum(bench.flask.undissolved) /
      (sum(bench.flask.undissolved) + sum(bench.flask.mixed.amounts) + sum(bench.flask.plume.amounts));
    expect(part).toBeGreaterThan(0.05);
    expectShare(moved(run, 'percent').part('undissolved'), -part);
  });

  it('a value that was rounded as the readings allow is rounded, and not worked wrongly', async () => {
    const run = await acid(ACID.molPerL, {});
    const { practical, setup, sample, seed, acts } = run;
    const { fromReadings } = moved(run, 'concentration');
    const rounded = parseTyped((fromReadings as number).toFixed(4));
    const [told] = practical.influences({ setup, sample, seed }, acts, [
      { quantity: 'concentration', value: rounded?.value as number, trueValue: ACID.molPerL, half: 0.00005 },
    ]);
    expect(told?.shares.map(({ key }) => key)).toContain('rounding');
    expect(told?.shares.map(({ key }) => key)).not.toContain('working');
  });
});

describe('steps of a titration', { timeout: 60_000 }, () => {
  const done = (run: Run) => Object.fromEntries(run.bench.steps().map(({ key, done: isDone }) => [key, isDone]));

  it.each(KINDS)('are all done by who follows the brief: %s', async (_, one) => {
    // By indicator: the probe is left in its box, and need not be calibrated. It is done again until two results agree.
    let steps: Record<string, boolean> = {};
    for (let trials = 2; trials <= 4 && !steps['again']; trials++) {
      const { calibrate: _probe, ...now } = done(await worked(one, {}, { trials }));
      steps = now;
    }
    expect(Object.values(steps).every(Boolean), JSON.stringify(steps)).toBe(true);
  });

  it('are open while two titres do not agree, or one is read only once', async () => {
    const acid = KINDS[0]?.[1] as Case;
    // Every second last reading is two millilitres off.
    const apart = await worked(acid, {
      change: (act) =>
        act.kind === 'record' && act.which === 'last' && act.trial % 2 === 0
          ? { ...act, text: (Number(act.text) + 2).toFixed(2) }
          : act,
    });
    expect(done(apart)).toMatchObject({ again: false, last: true });
    const once = await worked(acid, {
      change: (act) => (act.kind === 'record' && act.which === 'last' && act.trial === 3 ? { kind: 'wait' } : act),
    });
    expect(done(once)).toMatchObject({ again: false });
  });

  it('are open while the standard alone is done, the boat was not weighed again, or gas is left', async () => {
    const standard = KINDS[3]?.[1] as Case;
    const half = await rehearsed(standard.practical, standard.sample, (perform, plan) =>
      byIndicator(standard.habits)(perform, { ...plan, bottle: null }),
    );
    expect(done(half)).toMatchObject({ again: false, sample: false });
    expect(done(await worked(KINDS[2]?.[1] as Case, {}, { weighsBack: false }))).toMatchObject({ tip: false });
    expect(done(await worked(KINDS[5]?.[1] as Case, {}, { warms: false }))).toMatchObject({ warm: false });
  });
});
