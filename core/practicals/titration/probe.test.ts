import { describe, expect, it } from 'vitest';
import { derivative } from '../../analysis/derivative';
import { sensedAfter } from '../../instruments/lag';
import { meteredPh, NERNST_MV, potentialMv } from '../../instruments/ph-probe';
import { settle } from '../../chemistry/solution';
import { isRefusal } from '../contract';
import type { Act } from './acts';
import type { Bench } from './bench';
import { TITRATIONS } from './index';

const practical = TITRATIONS.acid;
const setup = practical.setup.parse({ probe: 'pH' });
const begin = (soluteId: string, molPerL: number, off: string[] = [], seed = 'probe test') =>
  practical.begin(setup, { soluteId, molPerL }, seed, off);

/** Acts one after the other, each followed by so many seconds. */
function after(bench: Bench, ...acts: [Act, number?][]): Bench {
  return acts.reduce((now, [act, seconds = 0]) => {
    const outcome = practical.perform(now, act);
    if (isRefusal(outcome)) throw new Error(outcome.refusal);
    return practical.advance(outcome.bench, seconds);
  }, bench);
}
const refusal = (bench: Bench, act: Act) => {
  const outcome = practical.perform(bench, act);
  return isRefusal(outcome) ? outcome.refusal : undefined;
};
const shown = (bench: Bench) => Number(practical.view(bench).meter?.replace('−', '-'));
const truePh = (bench: Bench) => settle(bench.flask.mixed, { tempC: 25, activities: setup.activities }).pH;

const CALIBRATED: [Act, number?][] = [
  [{ kind: 'probe', place: 'buffer 7.00' }, 12],
  [{ kind: 'calibrate' }],
  [{ kind: 'probe', place: 'buffer 4.01' }, 12],
  [{ kind: 'calibrate' }],
];
const SAMPLE: [Act, number?][] = [
  [{ kind: 'fill', toMl: 0.5 }],
  [{ kind: 'drawSample' }],
  [{ kind: 'drainPipette' }],
  [{ kind: 'keepSwirling', on: true }],
  [{ kind: 'probe', place: 'flask' }, 12],
];

describe('a pH electrode and its meter', () => {
  it('gives the Nernst slope, and the meter takes it back', () => {
    const perfect = { offsetMv: 0, slope: 1, responseS: 1 };
    expect(potentialMv(perfect, 4) - potentialMv(perfect, 7)).toBeCloseTo(3 * NERNST_MV, 9);
    expect(meteredPh(potentialMv(perfect, 3.21), [])).toBeCloseTo(3.21, 9);
    const worn = { offsetMv: 14, slope: 0.94, responseS: 1 };
    const point = (pH: number) => ({ pH, mV: potentialMv(worn, pH) });
    expect(meteredPh(potentialMv(worn, 7), [])).toBeCloseTo(7 - 14 / NERNST_MV, 9);
    expect(meteredPh(potentialMv(worn, 7), [point(7)])).toBeCloseTo(7, 9);
    expect(meteredPh(potentialMv(worn, 2), [point(7), point(4.01)])).toBeCloseTo(2, 9);
  });

  it('follows with a lag of first order', () => {
    const piece = { offsetMv: 0, slope: 1, responseS: 2 };
    expect(sensedAfter(7, 3, 2, piece.responseS)).toBeCloseTo(3 + 4 / Math.E, 12);
    expect(sensedAfter(sensedAfter(7, 3, 0.7, piece.responseS), 3, 1.3, piece.responseS)).toBeCloseTo(
      3 + 4 / Math.E,
      12,
    );
  });
});

describe('the probe at the bench', () => {
  it('is off by a believable amount until it is calibrated in two buffers', () => {
    const errors = Array.from({ length: 40 }, (_, i) => {
      const raw = after(begin('hydrochloric-acid', 0.1, [], `seed ${i}`), ...SAMPLE);
      const calibrated = after(begin('hydrochloric-acid', 0.1, [], `seed ${i}`), ...CALIBRATED, ...SAMPLE);
      return [shown(raw) - truePh(raw), shown(calibrated) - truePh(calibrated)] as const;
    });
    const size = (of: 0 | 1) => errors.map((pair) => Math.abs(pair[of]));
    expect(Math.max(...size(0))).toBeGreaterThan(0.15);
    expect(Math.max(...size(0))).toBeLessThan(0.8);
    // Noise of 0.15 mV at each of three looks, carried from 4 to 1 by the slope: some hundredths at most.
    expect(Math.max(...size(1))).toBeLessThan(0.04);
  });

  it('shows nothing where its tip is dry, and says what it cannot do', () => {
    const bench = begin('acetic-acid', 0.1);
    expect(practical.view(bench).meter).toBeNull();
    expect(refusal(bench, { kind: 'recordMeter' })).toMatch(/shows nothing/);
    expect(refusal(bench, { kind: 'calibrate' })).toMatch(/in a buffer/);
    expect(refusal(bench, { kind: 'log', every: 0.5, by: 'mL' })).toMatch(/into the flask/);
    const dry = after(bench, [{ kind: 'probe', place: 'flask' }, 5]);
    expect(practical.view(dry).meter).toBeNull();
    expect(refusal(dry, { kind: 'log', every: 0.5, by: 'mL' })).toMatch(/Fill the burette/);
    expect(refusal(after(dry, [{ kind: 'fill', toMl: 0.5 }]), { kind: 'log', every: 99, by: 'mL' })).toMatch(
      /0.02 to 10/,
    );
    const without = practical.begin(practical.setup.parse({}), { soluteId: 'acetic-acid', molPerL: 0.1 }, 's');
    for (const act of [
      { kind: 'probe', place: 'flask' },
      { kind: 'recordMeter' },
      { kind: 'calibrate' },
      { kind: 'log', every: 1, by: 'mL' },
    ] as const)
      expect(refusal(without, act)).toMatch(/no probe on the tray/);
  });

  it('shows the buffer’s pH as soon as it is calibrated in it', () => {
    const bench = after(begin('acetic-acid', 0.1), ...CALIBRATED.slice(0, 2));
    expect(Math.abs(shown(bench) - 7)).toBeLessThan(0.02);
  });

  it('records what the meter shows, and says when it was still moving', () => {
    const still = after(begin('acetic-acid', 0.1), ...CALIBRATED, ...SAMPLE);
    const recorded = after(still, [{ kind: 'recordMeter' }]);
    const [reading] = practical.view(recorded).readings;
    expect(reading).toMatchObject({ instrument: 'pH meter', slot: 'pH', text: practical.view(still).meter });
    const moved = practical.perform(practical.advance(after(still, [{ kind: 'probe', place: 'buffer 10.01' }]), 0.6), {
      kind: 'recordMeter',
    });
    expect(moved).toMatchObject({ note: expect.stringContaining('still moving') });
  });

  it.each([
    ['hydrochloric-acid', 0.1],
    ['acetic-acid', 0.09],
    ['formic-acid', 0.11],
  ])('logs a curve of %s whose steepest place is the equivalence point', (soluteId, molPerL) => {
    let bench = after(begin(soluteId, molPerL, ['glassware', 'hands']), ...CALIBRATED, ...SAMPLE);
    bench = after(bench, [{ kind: 'log', every: 0.2, by: 'mL' }, 3]);
    for (let i = 0; i < 150; i++) bench = after(bench, [{ kind: 'letIn', ml: 0.2 }, 4]);
    const points = practical.view(bench).logged.map((line) => ({ x: Number(line['V']), y: Number(line['pH']) }));
    expect(points.length).toBeGreaterThan(140);
    expect(points.length).toBeLessThanOrEqual(152);
    const steepest = derivative(points, 1).reduce((best, point) => (point.y > best.y ? point : best));
    const equivalence = (molPerL * 25) / 0.1;
    expect(Math.abs(steepest.x - equivalence)).toBeLessThan(0.3);
    // Halfway, a weak acid shows its pKa: with activities some hundredths below the tabulated one.
    const half = points.reduce((near, point) =>
      Math.abs(point.x - equivalence / 2) < Math.abs(near.x - equivalence / 2) ? point : near,
    );
    const pKa = { 'acetic-acid': 4.756, 'formic-acid': 3.752 }[soluteId];
    if (pKa !== undefined) expect(half.y).toBeGreaterThan(pKa - 0.2);
    if (pKa !== undefined) expect(half.y).toBeLessThan(pKa + 0.08);
  });

  it('logs by time too, in a buffer as it settles, at the seconds that were asked for', () => {
    const bench = after(
      begin('acetic-acid', 0.1),
      ...CALIBRATED,
      [{ kind: 'probe', place: 'buffer 10.01' }, 1],
      [{ kind: 'log', every: 2, by: 's' }, 30],
    );
    const { logged } = practical.view(bench);
    const times = logged.map((line) => Number(line['t']));
    expect(times.length).toBeGreaterThanOrEqual(15);
    times.forEach((time, i) => expect(Math.abs(time - 2 * i)).toBeLessThanOrEqual(0.25));
    expect(Math.abs(Number(logged.at(-1)?.['pH']) - 10.01)).toBeLessThan(0.04);
  });

  it('logs while the titrant runs by itself, a line for each volume due, and stops when told', () => {
    let bench = after(begin('hydrochloric-acid', 0.1), ...CALIBRATED, ...SAMPLE, [
      { kind: 'log', every: 0.5, by: 'mL' },
      3,
    ]);
    bench = after(bench, [{ kind: 'tap', opening: 'fast drops' }, 40]);
    const { logged } = practical.view(bench);
    const volumes = logged.map((line) => Number(line['V']));
    expect(volumes.length).toBeGreaterThan(5);
    volumes.slice(1).forEach((volume, i) => expect(volume - (volumes[i] as number)).toBeGreaterThan(0.2));
    const stopped = after(bench, [{ kind: 'log', every: 0, by: 'mL' }, 20]);
    expect(practical.view(stopped).logged).toHaveLength(practical.view(bench).logged.length);
  });

  it('ends a log by volume with its flask, so that the next curve begins at its own volume; one by time goes on', () => {
    const logging = (by: 'mL' | 's') =>
      after(begin('hydrochloric-acid', 0.1), ...CALIBRATED, ...SAMPLE, [{ kind: 'log', every: 1, by }, 3]);
    const emptied = practical.perform(logging('mL'), { kind: 'emptyFlask' });
    if (isRefusal(emptied)) throw new Error(emptied.refusal);
    expect(emptied.note).toContain('log by volume has ended');
    expect(emptied.bench.probe.log).toBeNull();
    expect(after(logging('s'), [{ kind: 'emptyFlask' }]).probe.log).toMatchObject({ by: 's' });
  });
});
