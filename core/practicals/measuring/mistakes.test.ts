import { describe, expect, it } from 'vitest';
import { waterDensity } from '../../chemistry/water';
import { densityAt, liquidOf } from '../../databook/liquids';
import { vesselOf } from '../../databook/vessels';
import { PRACTICALS } from '../registry';
import type { Act } from './acts';
import { SINKER } from './bench';
import type { Sample } from './sample';
import { ALUMINIUM_PIECES, blockOf, expectShare, moved, rehearsed, type AnyPractical, type Run } from './testing';

/** Each wrong way that a bench of measuring allows: planted, worked out by closed form, and told by its name. */

const displacement = PRACTICALS.displacement;
const liquids = PRACTICALS['liquid-density'];
const WATER = waterDensity(20);
const VOLUMES = ALUMINIUM_PIECES.lots[0]?.volumesMl ?? [];
const volumeOfFirst = (count: number) => VOLUMES.slice(0, count).reduce((sum, ml) => sum + ml, 0);

/** Acts one after the other, each after what it takes a display to rest; a reading is what stands there. */
type Step = Act | 'V' | 'V1' | 'V2' | 'm' | 'm1' | 'm2';

const following = (
  practical: AnyPractical,
  sample: Sample,
  steps: readonly Step[],
  more: { setup?: object; trial?: number } = {},
) =>
  rehearsed(
    practical,
    async ({ act, view }) => {
      const { trial = 1 } = more;
      for (const step of steps) {
        if (typeof step !== 'string') {
          await act(step, 3);
          continue;
        }
        if (step.startsWith('m')) await act({ kind: 'recordMass', trial, which: step as 'm' }, 3);
        else {
          const { n } = view().look;
          const seen = view().vessels[n - 1];
          const text = seen?.engraved ?? (view().levels[n - 1] as number).toFixed(2);
          await act({ kind: 'eye', mm: 0 });
          await act({ kind: 'record', trial, which: step as 'V', text });
        }
      }
    },
    { sample, ...more },
  );

/** Names the cause first, and as large as the closed form says; nothing else that large is left over. */
function expectNamed(run: Run, key: string, expected: number) {
  const result = moved(run, 'densityA');
  expect([result.first, result.shares.slice(0, 3).map(({ key: k, share }) => `${k} ${share.toFixed(3)}`)]).toEqual([
    key,
    expect.anything(),
  ]);
  expectShare(result.share(key), expected);
  expect(Math.abs(result.rest)).toBeLessThan(0.1 * Math.abs(expected));
  return result;
}

describe('solids by displacement: what goes wrong is named, with its size', () => {
  const fill: Step[] = [
    { kind: 'squirt', into: 1, ml: 12 },
    { kind: 'look', at: 'vessel', n: 1 },
  ];
  const onBalance: Step[] = [{ kind: 'weigh', vessel: 1 }, { kind: 'tare' }];
  const put = (count: number, how: 'lower' | 'tied' = 'lower'): Step => ({
    kind: 'put',
    lot: 1,
    count,
    into: 1,
    how,
  });
  const knocks: Step[] = Array.from({ length: 6 }, () => ({ kind: 'knock', vessel: 1 }) as const);
  const of = (sample: Sample, steps: readonly Step[]) => following(displacement, sample, steps);
  const wax: Sample = {
    ...ALUMINIUM_PIECES,
    lots: [{ materialId: 'polypropylene', shape: { kind: 'lumps' }, volumesMl: [1.2, 1.3, 1.4] }],
  };
  const V12 = volumeOfFirst(12);

  it('nothing, where nothing went wrong: the brief’s cumulative series leaves causes that are there and a small rest', async () => {
    const run = await rehearsed(
      displacement,
      async ({ act, view }) => {
        for (const step of [...fill, ...onBalance]) await act(step as Act, 3);
        await act({ kind: 'eye', mm: 0 });
        await act({ kind: 'record', trial: 1, which: 'V1', text: (view().levels[0] as number).toFixed(2) });
        for (let trial = 1; trial <= 6; trial++) {
          await act({ kind: 'put', lot: 1, count: 4, into: 1, how: 'lower' });
          await act({ kind: 'recordMass', trial, which: 'm' }, 3);
          // A tenth of a division too high in the last three: a reading error of the student's own.
          await act({
            kind: 'record',
            trial,
            which: 'V2',
            text: ((view().levels[0] as number) + (trial > 3 ? 0.05 : 0)).toFixed(2),
          });
        }
      },
      { sample: ALUMINIUM_PIECES },
    );
    const { share, rest, trueValue } = moved(run, 'densityA');
    // Least squares on six equal steps: 0.05 mL more in the last three tilts the line by 0.05 · 4.5 / 17.5 of a step.
    const step = volumeOfFirst(24) / 6;
    expectShare(share('reading'), (-2.7 * 0.05 * 4.5) / 17.5 / step);
    expect(share('air')).toBeLessThan(0);
    expect(Math.abs(rest / trueValue)).toBeLessThan(0.002);
  });

  it('a sinker that was in the second reading alone', async () => {
    const run = await of(ALUMINIUM_PIECES, [
      ...fill,
      'V1',
      { kind: 'weighPieces', lot: 1, count: 12 },
      'm',
      { kind: 'sinker', vessel: 1, on: true },
      put(12),
      ...knocks,
      'V2',
    ]);
    expectNamed(run, 'sinker', 2.7 * (V12 / (V12 + SINKER.volumeMl) - 1));
  });

  it('a sinker that lay in the cylinder on the balance, too: its mass and its volume', async () => {
    const run = await of(ALUMINIUM_PIECES, [
      ...fill,
      'V1',
      ...onBalance,
      { kind: 'sinker', vessel: 1, on: true },
      put(12),
      ...knocks,
      'm',
      'V2',
    ]);
    expectNamed(run, 'sinker', (2.7 * V12 + SINKER.massG) / (V12 + SINKER.volumeMl) - 2.7);
  });

  it('pieces that floated', async () => {
    const run = await of(wax, [...fill, 'V1', { kind: 'weighPieces', lot: 1, count: 3 }, 'm', put(3), 'V2']);
    // Only their own weight of water is pushed aside: the density comes out as that of water.
    expectNamed(run, 'floating', WATER - 0.905);
  });

  it('tied to the sinker in the water they float in, they are under it all', async () => {
    const run = await of(wax, [
      ...fill,
      { kind: 'sinker', vessel: 1, on: true },
      'V1',
      { kind: 'weighPieces', lot: 1, count: 3 },
      'm',
      put(3),
      { kind: 'tie', vessel: 1 },
      'V2',
    ]);
    const { value, share } = moved(run, 'densityA');
    expect(Math.abs(value / 0.905 - 1)).toBeLessThan(0.02);
    expect(share('floating')).toBe(0);
  });

  it('a heap that the water does not cover', async () => {
    const run = await of(ALUMINIUM_PIECES, [
      { kind: 'squirt', into: 1, ml: 4 },
      { kind: 'look', at: 'vessel', n: 1 },
      'V1',
      { kind: 'weighPieces', lot: 1, count: 30 },
      'm',
      put(30),
      ...knocks,
      'V2',
    ]);
    const water = Number(run.bench.view().readings.find(({ slot }) => slot === 'V1')?.text);
    const all = volumeOfFirst(30);
    // Three fifths of a heap are solid: the surface stands at water / 0.4, and so much more than before is read.
    expectNamed(run, 'uncovered', (2.7 * all) / (water / 0.4 - water) - 2.7);
  });

  it('water that was let in between the two readings', async () => {
    const run = await of(ALUMINIUM_PIECES, [
      ...fill,
      'V1',
      { kind: 'squirt', into: 1, ml: 2 },
      { kind: 'weighPieces', lot: 1, count: 12 },
      'm',
      put(12),
      ...knocks,
      'V2',
    ]);
    expectNamed(run, 'between', 2.7 * (V12 / (V12 + 2) - 1));
  });

  it('a volume before that was read in another filling of the cylinder', async () => {
    // By the tap, which runs at 0.8 mL/s: hands err in every squirt, and that would be told as well.
    const run3s = (times: number): Step[] => [
      { kind: 'tap', into: 1, opening: 'trickle' },
      ...Array.from({ length: times - 1 }, () => ({ kind: 'wait' }) as const),
      { kind: 'tap', into: 1, opening: 'off' },
    ];
    const run = await of(ALUMINIUM_PIECES, [
      ...run3s(5),
      { kind: 'look', at: 'vessel', n: 1 },
      'V1',
      { kind: 'empty', vessel: 1 },
      ...run3s(4),
      { kind: 'weighPieces', lot: 1, count: 12 },
      'm',
      put(12),
      ...knocks,
      'V2',
    ]);
    const [before, after] = ['V1', 'V2'].map((slot) =>
      Number(run.bench.view().readings.find((r) => r.slot === slot)?.text),
    );
    const { value } = expectNamed(run, 'between', (2.7 * V12) / ((after as number) - (before as number)) - 2.7);
    expect(value).toBeGreaterThan(3);
  });

  it('a balance that was not tared with the cylinder on it', async () => {
    const run = await of(ALUMINIUM_PIECES, [
      ...fill,
      'V1',
      { kind: 'weigh', vessel: 1 },
      put(12),
      ...knocks,
      'm',
      'V2',
    ]);
    const water = Number(run.bench.view().readings.find(({ slot }) => slot === 'V1')?.text) * WATER;
    const { massG } = vesselOf('cylinder-25');
    // The cylinder's own mass is within some hundredths of the catalogue's.
    expectNamed(run, 'zero', (massG + water) / V12);
  });

  it('a mass of the last handful where the mass of all is wanted', async () => {
    const run = await of(ALUMINIUM_PIECES, [
      ...fill,
      'V1',
      put(12),
      ...knocks,
      { kind: 'weighPieces', lot: 1, count: 6 },
      'm',
      put(6),
      ...knocks,
      'V2',
    ]);
    const [six, all] = [volumeOfFirst(18) - V12, volumeOfFirst(18)];
    expectNamed(run, 'pieces', 2.7 * (six / all - 1));
  });

  it('a mass recorded before the display had come to rest', async () => {
    const run = await rehearsed(
      displacement,
      async ({ act, view }) => {
        for (const step of [...fill]) await act(step as Act, 3);
        await act({ kind: 'eye', mm: 0 });
        await act({ kind: 'record', trial: 1, which: 'V1', text: (view().levels[0] as number).toFixed(2) });
        await act({ kind: 'weighPieces', lot: 1, count: 12 }, 3);
        await act({ kind: 'recordMass', trial: 1, which: 'm' }, 0.25);
        await act({ kind: 'put', lot: 1, count: 12, into: 1, how: 'lower' }, 3);
        for (let i = 0; i < 6; i++) await act({ kind: 'knock', vessel: 1 });
        await act({ kind: 'record', trial: 1, which: 'V2', text: (view().levels[0] as number).toFixed(2) });
      },
      { sample: ALUMINIUM_PIECES },
    );
    const shown = Number(run.bench.view().readings.find(({ slot }) => slot === 'm')?.text);
    expectNamed(run, 'settling', (shown - 2.7 * V12) / V12);
  });
});

describe('regular solids', () => {
  it('the mass of one piece with the edges of another', async () => {
    const [one] = blockOf('copper').lots;
    const two: Sample = {
      ...blockOf('copper'),
      lots: [
        one as NonNullable<typeof one>,
        { materialId: 'aluminium', shape: { kind: 'sphere', diameter: 20 }, volumesMl: [(Math.PI * 8000) / 6000] },
      ],
    };
    const run = await rehearsed(
      PRACTICALS['regular-solids'],
      async ({ act, view }) => {
        await act({ kind: 'weighPieces', lot: 2, count: 1 });
        await act({ kind: 'recordMass', trial: 1, which: 'm' }, 3);
        for (const [along, which] of [
          ['length', 'l'],
          ['width', 'w'],
          ['height', 'h'],
        ] as const) {
          await act({ kind: 'measure', lot: 1, tool: 'calliper', along });
          await act({ kind: 'record', trial: 1, which, text: (view().held?.toMm as number).toFixed(2) });
        }
      },
      { sample: two, setup: { unknowns: '2' } },
    );
    const volume = one?.volumesMl[0] as number;
    expectNamed(run, 'pieces', (2.7 * Math.PI * 8) / 6 / volume - 8.96);
  });
});

describe('liquids: what goes wrong is named, with its size', () => {
  const ethanol: Sample = { tempC: 20, lots: [], bottles: [{ liquidId: 'ethanol', volumeMl: 230 }], targetMl: null };
  const RHO = densityAt(liquidOf('ethanol'), 20);
  // Vessels after the bottle: cylinders of 10, 25 and 50 mL, a beaker, the density bottle.
  const [TEN, TWENTY_FIVE, FIFTY, BOTTLE] = [2, 3, 4, 6];
  const weigh = (vessel: number, which: Step): Step[] => [{ kind: 'weigh', vessel }, which, { kind: 'offPan' }];
  const look = (n: number): Step => ({ kind: 'look', at: 'vessel', n });
  const pour = (to: number, ml: number): Step => ({ kind: 'pour', from: 1, to, ml });
  const of = (steps: readonly Step[], sample = ethanol, setup = {}) => following(liquids, sample, steps, { setup });
  const engraved = (run: Run) => Number(run.bench.view().readings.find(({ slot }) => slot === 'V')?.text);
  const stopper = (on: boolean): Step => ({ kind: 'stopper', vessel: BOTTLE, on });

  it('nothing, where nothing went wrong', async () => {
    const run = await of([...weigh(FIFTY, 'm1'), pour(FIFTY, 42), look(FIFTY), 'V', ...weigh(FIFTY, 'm2')]);
    const { value, rest, share } = moved(run, 'densityA');
    expect(Math.abs(value / RHO - 1)).toBeLessThan(0.015);
    expect(Math.abs(rest)).toBeLessThan(0.001);
    for (const key of ['portion', 'vessel', 'film', 'zero', 'stopper', 'underStopper', 'wet'])
      expect(Math.abs(share(key))).toBeLessThan(1e-9);
  });

  it('a density bottle weighed without its stopper, too full', async () => {
    const run = await of([...weigh(BOTTLE, 'm1'), pour(BOTTLE, 26.4), look(BOTTLE), 'V', ...weigh(BOTTLE, 'm2')]);
    const masses = run.bench
      .view()
      .readings.filter(({ slot }) => slot?.startsWith('m'))
      .map(({ text }) => Number(text));
    expectNamed(run, 'stopper', ((masses[1] as number) - (masses[0] as number)) / engraved(run) - RHO);
  });

  it('air under the stopper', async () => {
    const run = await of([
      ...weigh(BOTTLE, 'm1'),
      pour(BOTTLE, 20),
      stopper(true),
      look(BOTTLE),
      'V',
      ...weigh(BOTTLE, 'm2'),
    ]);
    const expected = (20 * RHO) / engraved(run) - RHO;
    expectNamed(run, 'underStopper', expected);
    expect(expected / RHO).toBeLessThan(-0.19);
  });

  it('a bottle that was wet outside', async () => {
    const run = await of(
      [...weigh(BOTTLE, 'm1'), pour(BOTTLE, 26.2), stopper(true), look(BOTTLE), 'V', ...weigh(BOTTLE, 'm2')],
      ethanol,
      { readability: '0.001' },
    );
    // What clings to the glass when the stopper goes in: 0.06 mL.
    expectNamed(run, 'wet', (0.06 * RHO) / engraved(run));
  });

  it('the film of water that a rinsed cylinder keeps', async () => {
    const run = await of(
      [
        ...weigh(TEN, 'm1'),
        { kind: 'squirt', into: TEN, ml: 6 },
        { kind: 'empty', vessel: TEN },
        pour(TEN, 4),
        look(TEN),
        'V',
        ...weigh(TEN, 'm2'),
      ],
      ethanol,
      { readability: '0.001' },
    );
    const volume = engraved(run);
    const film = vesselOf('cylinder-10').filmMl;
    // The film is in the volume and in the mass: what it changes is the density of a part.
    expectNamed(run, 'film', (film * (WATER - RHO)) / volume);
  });

  it('a wet vessel that was weighed as empty', async () => {
    const run = await of(
      [
        pour(TEN, 6),
        { kind: 'empty', vessel: TEN },
        ...weigh(TEN, 'm1'),
        pour(TEN, 4),
        look(TEN),
        'V',
        ...weigh(TEN, 'm2'),
      ],
      ethanol,
      { readability: '0.001' },
    );
    expectNamed(run, 'film', (-vesselOf('cylinder-10').filmMl * RHO) / engraved(run));
  });

  it('liquid poured on between the volume and the mass', async () => {
    const run = await of([
      ...weigh(FIFTY, 'm1'),
      pour(FIFTY, 30),
      look(FIFTY),
      'V',
      pour(FIFTY, 5),
      ...weigh(FIFTY, 'm2'),
    ]);
    expectNamed(run, 'portion', (5 * RHO) / 30);
  });

  it('a vessel weighed as empty that was not', async () => {
    const run = await of([
      pour(FIFTY, 10),
      ...weigh(FIFTY, 'm1'),
      pour(FIFTY, 30),
      look(FIFTY),
      'V',
      ...weigh(FIFTY, 'm2'),
    ]);
    expectNamed(run, 'portion', (-10 * RHO) / 40);
  });

  it('one vessel empty and another full', async () => {
    const run = await of([...weigh(TWENTY_FIVE, 'm1'), pour(FIFTY, 40), look(FIFTY), 'V', ...weigh(FIFTY, 'm2')]);
    const expected = (vesselOf('cylinder-50').massG - vesselOf('cylinder-25').massG) / 40;
    expectNamed(run, 'vessel', expected);
  });

  it('a balance that was tared with the full vessel on it', async () => {
    const run = await of([
      ...weigh(FIFTY, 'm1'),
      pour(FIFTY, 40),
      look(FIFTY),
      'V',
      { kind: 'tare' },
      { kind: 'weigh', vessel: TEN },
      { kind: 'tare' },
      { kind: 'offPan' },
      ...weigh(FIFTY, 'm2'),
    ]);
    expectNamed(run, 'zero', -vesselOf('cylinder-10').massG / 40);
  });
});
