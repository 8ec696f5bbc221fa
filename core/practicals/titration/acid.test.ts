import { checkReport, type Answers } from '../../report/check';
import { describe, expect, it } from 'vitest';
import { chance } from '../../random';
import { isRefusal } from '../contract';
import { TITRATIONS } from '.';
import type { Act } from './acts';
import type { Bench } from './bench';
import { workThrough, type Perform } from './practised-student';

const practical = TITRATIONS.acid;
const setup = practical.setup.parse({});
const labelsOf = practical.labels;

/** A bench driven as the server drives it; throws on a refusal. */
function driver(start: Bench) {
  let bench = start;
  const send: Perform = async (act, afterS = 0) => {
    bench = practical.advance(bench, afterS);
    const outcome = practical.perform(bench, act);
    if (isRefusal(outcome)) throw new Error(outcome.refusal);
    bench = outcome.bench;
    return practical.view(bench);
  };
  return { send, bench: () => bench };
}

function refusalOf(bench: Bench, act: Act): string {
  const outcome = practical.perform(bench, act);
  if (!isRefusal(outcome)) throw new Error(`${act.kind} was not refused`);
  return outcome.refusal;
}

function after(bench: Bench, ...acts: Act[]): Bench {
  return acts.reduce((now, act) => {
    const outcome = practical.perform(now, act);
    if (isRefusal(outcome)) throw new Error(outcome.refusal);
    return outcome.bench;
  }, bench);
}

const hydrochloric = { soluteId: 'hydrochloric-acid', molPerL: 0.1 };
const exact = () => practical.begin(setup, hydrochloric, 'exact', ['glassware', 'hands']);

describe('a titration by someone who sees only the view', () => {
  it.each([
    ['hydrochloric-acid', 'phenolphthalein'],
    ['hydrochloric-acid', 'bromothymol-blue'],
    ['acetic-acid', 'phenolphthalein'],
    ['lactic-acid', 'phenolphthalein'],
  ])('finds %s with %s to within two drops, glassware and hands as in life', async (soluteId, indicator) => {
    for (const seed of ['a', 'b', 'c', 'd']) {
      const sample = { soluteId, molPerL: practical.sample(setup, seed, 3).molPerL };
      const { send } = driver(practical.begin(setup, sample, seed));
      const habits = { indicator, trials: 2, readingErrorMl: 0.01, lateDrops: 0 };
      const { molPerL } = await workThrough(send, labelsOf(setup), habits, chance(seed, 'student'));
      expect(molPerL).not.toBeNull();
      // Two drops in about 25 mL, with the tolerances of burette and pipette: 0.7 %.
      expect(Math.abs((molPerL as number) / sample.molPerL - 1)).toBeLessThan(0.007);
    }
  });

  it('is led astray by the wrong indicator, as in life: acetic acid with methyl orange', async () => {
    const { send } = driver(practical.begin(setup, { soluteId: 'acetic-acid', molPerL: 0.1 }, 'x'));
    const habits = { indicator: 'methyl-orange', trials: 1, readingErrorMl: 0, lateDrops: 0 };
    const { molPerL } = await workThrough(send, labelsOf(setup), habits, chance('x', 'student'));
    expect(molPerL as number).toBeLessThan(0.09);
  });

  it('can miss the end point: ten drops too many are ten drops too many', async () => {
    const results = await Promise.all(
      [0, 10].map(async (lateDrops) => {
        const { send } = driver(exact());
        const habits = { indicator: 'phenolphthalein', trials: 1, readingErrorMl: 0, lateDrops };
        return (await workThrough(send, labelsOf(setup), habits, chance('y', 'student'))).molPerL as number;
      }),
    );
    const excessMl = ((results[1] as number) - (results[0] as number)) * 250;
    expect(excessMl).toBeGreaterThan(0.4);
    expect(excessMl).toBeLessThan(0.6);
  });
});

describe('the flask', () => {
  const titrated = (ml: number, extra: Act[] = []) =>
    after(
      exact(),
      { kind: 'fill', toMl: 0 },
      { kind: 'drawSample' },
      { kind: 'drainPipette' },
      { kind: 'indicator', id: 'phenolphthalein', drops: 3 },
      ...extra,
      { kind: 'keepSwirling', on: true },
      { kind: 'letIn', ml },
      { kind: 'wait' },
    );
  const colour = (bench: Bench) => practical.view(practical.advance(bench, 10)).colour;

  it('is colourless two drops before the end point and pink two drops after', () => {
    const pale = colour(titrated(24.9));
    const pink = colour(titrated(25.1));
    expect(255 - pale[1]).toBeLessThan(6);
    expect(255 - pink[1]).toBeGreaterThan(45);
  });

  it('takes the same titrant however much water is added', () => {
    const excess = 25.2;
    const dry = after(titrated(excess));
    const wet = after(titrated(excess, [{ kind: 'water', ml: 50 }]));
    const base = (bench: Bench) => bench.flask.mixed.amounts['sodium-hydroxide'] ?? 0;
    const settled = (bench: Bench) => base(practical.advance(bench, 60));
    expect(settled(wet)).toBeCloseTo(settled(dry), 12);
    expect(practical.view(wet).levelMl).toBe(practical.view(dry).levelMl);
  });

  it('shows a cloud where titrant falls into a still flask, and loses it by swirling', () => {
    const still = after(titrated(10), { kind: 'keepSwirling', on: false }, { kind: 'letIn', ml: 1 });
    const cloud = practical.view(still).cloud;
    expect(255 - (cloud?.colour[1] ?? 255)).toBeGreaterThan(60);
    expect(practical.view(practical.advance(still, 4)).cloud).not.toBeNull();
    const swirled = practical.advance(after(still, { kind: 'swirl' }), 4);
    expect(practical.view(swirled).cloud).toBeNull();
    expect(practical.view(swirled).colour[1]).toBeGreaterThan(248);
  });
});

describe('the burette', () => {
  it('lets fall what it shows: the flask gains the difference of two readings', () => {
    const filled = after(exact(), { kind: 'fill', toMl: 0 }, { kind: 'tap', opening: 'stream' });
    const later = after(practical.advance(filled, 12), { kind: 'tap', opening: 'closed' });
    const fallen = later.flask.mixed.volumeMl + later.flask.plume.volumeMl + later.burette.hanging.volumeMl;
    expect(fallen).toBeGreaterThan(10);
    expect(Math.abs(practical.view(later).levelMl - fallen)).toBeLessThan(0.003);
  });

  it('runs over when poured past its rim, and the spill is in the waste', () => {
    const poured = practical.advance(after(exact(), { kind: 'pour', on: true }), 30);
    const outcome = practical.perform(poured, { kind: 'pour', on: false });
    expect(outcome).toHaveProperty('note', expect.stringContaining('ran over'));
    expect(poured.waste.volumeMl).toBeGreaterThan(20);
  });

  it('is diluted by the water it was rinsed with, and not by titrant', () => {
    const molar = (liquid: 'water' | 'titrant') => {
      const bench = after(exact(), { kind: 'rinseBurette', with: liquid }, { kind: 'fill', toMl: 0 });
      return (1000 * (bench.burette.liquid.amounts['sodium-hydroxide'] ?? 0)) / bench.burette.liquid.volumeMl;
    };
    expect(molar('titrant')).toBeCloseTo(0.1, 10);
    expect(molar('water')).toBeLessThan(0.0999);
  });
});

describe('readings', () => {
  const ready = after(exact(), { kind: 'fill', toMl: 0 });
  const record = (text: string): Act => ({ kind: 'record', trial: 1, which: 'first', text });

  it.each([
    ['', /Type what you read/],
    ['full', /not a number/],
    ['0.10 L', /divided in mL/],
    ['50.5', /goes from 0 to 50 mL/],
    ['-3', /goes from 0 to 50 mL/],
    ['1e300', /goes from 0 to 50 mL/],
  ])('refuses “%s” with a sentence and keeps nothing', (text, sentence) => {
    expect(refusalOf(ready, record(text))).toMatch(sentence);
  });

  it('says whether the digits fit, keeps the reading all the same, and takes a decimal comma', () => {
    expect(practical.perform(ready, record('0.1'))).toHaveProperty(
      'note',
      expect.stringContaining('one digit further'),
    );
    expect(practical.perform(ready, record('0.123'))).toHaveProperty('note', expect.stringContaining('nothing finer'));
    const bench = after(ready, record('0,10 mL'));
    expect(bench.readings[0]).toMatchObject({ text: '0.10', value: 0.1, digitsNote: null });
  });

  it('keeps what was read before when it is read again', () => {
    const bench = after(ready, record('0.10'), record('0.15'));
    expect(practical.view(bench).readings.map((r) => [r.text, r.struck])).toEqual([
      ['0.10', 'read again'],
      ['0.15', null],
    ]);
  });
});

describe('the check', () => {
  const { bench } = (() => {
    const first = after(exact(), { kind: 'fill', toMl: 0 }, { kind: 'record', trial: 1, which: 'first', text: '0.00' });
    return {
      bench: after(first, { kind: 'letIn', ml: 25 }, { kind: 'record', trial: 1, which: 'last', text: '25.00' }),
    };
  })();
  const working = { text: 'n = cV; 1:1; c = 0.1000 mol/L' };
  const written = Object.fromEntries(
    [
      ['measured', 'The volume of titrant that just reacts with the sample'],
      ['hypothesis', 'my own guess'],
      ['claim', 'It is a tenth of a mole per litre.'],
      ['reasoning', 'The titre was the same as the volume of the sample, and so is the amount.'],
      ['aim', 'Read a burette to a tenth of a division'],
      ['aimWhy', 'I read it twice and it agreed.'],
    ].map(([key = '', text = '']) => [key, { text }]),
  );
  const handedIn = (on: typeof bench, answers: Answers) => {
    const checked = checkReport({
      asks: practical.asks(setup),
      answers,
      quantities: practical.quantities(setup),
      truths: practical.truths(setup, hydrochloric, on),
    });
    const sentence = checked.ok ? practical.unready(setup, hydrochloric, on) : undefined;
    return sentence ? { ok: false, problems: [{ field: 'readings', sentence }] } : checked;
  };
  const held = (text: string, unit?: string, on = bench) =>
    handedIn(on, { ...written, concentration: { text, unit }, working });

  it.each([
    ['0.1000', 'mol/L', 0.5],
    ['0,1004 mol dm^-3', undefined, 0.5],
    ['100.9', 'mmol/L', 1],
    ['0.0975', 'mol/L', 3],
    ['0.11', 'mol/L', null],
  ])('places %s %s in band %s', (text, unit, bandPercent) => {
    expect(held(text, unit)).toMatchObject({
      ok: true,
      items: [
        { key: 'measured', right: true },
        { key: 'concentration', bandPercent },
      ],
    });
  });

  it.each([
    ['', 'mol/L', /Type the value.*concentration of the acid/],
    ['0.1', '', /without a unit/],
    ['about a tenth', 'mol/L', /not a number/],
    ['25', 'mL', /unit of volume/],
  ])('refuses “%s” with unit “%s”', (text, unit, sentence) => {
    expect(held(text, unit)).toMatchObject({
      ok: false,
      problems: [{ sentence: expect.stringMatching(sentence) }],
    });
  });

  it('refuses a result that stands on no reading', () => {
    expect(held('0.1', 'mol/L', exact())).toMatchObject({ ok: false, problems: [{ field: 'readings' }] });
  });
});

describe('setup and samples', () => {
  it('gives sixty students sixty values that differ to three digits', () => {
    for (const seed of ['s1', 's2', 's3']) {
      const texts = Array.from({ length: 60 }, (_, i) => practical.sample(setup, seed, i).molPerL.toPrecision(3));
      expect(new Set(texts).size).toBe(60);
    }
  });

  it.each([
    [{ fromMolPerL: 0.1, toMolPerL: 0.09 }, /above the lower end/],
    [{ fromMolPerL: 0.1, toMolPerL: 0.11 }, /different values/],
    [{ fromMolPerL: 0.1, toMolPerL: 0.5 }, /burette holds 50 mL/],
    [{ acids: ['benzoic-acid'] }, /dissolves only/],
    [{ acids: [] }, /at least one acid/],
  ])('refuses %o with a sentence', (change, sentence) => {
    const result = practical.setup.safeParse(change);
    expect(result.error?.issues.map((issue) => issue.message).join(' ')).toMatch(sentence);
  });
});
