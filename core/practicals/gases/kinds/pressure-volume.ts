import { z } from 'zod';
import { fixed, significant } from '../../../analysis/quantity';
import { fitLine } from '../../../analysis/line-fit';
import { GAS_CONSTANT, kelvin } from '../../../physics/gas-law';
import { askFor, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import { slotColumn, trialsTable } from '../../tables';
import type { Kind } from '../kind';
import { PRESSURE_UNITS, SLOTS_OF, slotsOf, type GaugeKind, type Plan, type PressureUnit } from '../plan';
import { pressureOf, zeroOf } from '../pressures';
import { valueOf, type Row } from '../rows';
import { surroundingsOf } from '../sample';
import { bands, bandsIn, CAUSES, celsiusForKelvin, common, gaugeWords, rising } from './parts';

const setupSchema = z.object({
  ...common,
  bandsMl: bandsIn('mL', [0.3, 0.6, 1.2], 20, 'For the coil’s volume. For instance 0.3, 0.6: within 0.3 mL, 0.6 mL.'),
  bandsPercent: bands([2, 4, 8]).meta({ label: 'Tolerance bands of the amount of gas', unit: '%' }),
});
type Setup = z.infer<typeof setupSchema>;

const INNER = { key: 'inner', label: 'Volume inside the coil', unit: 'mL', digits: 3 };
const AMOUNT = { key: 'amount', label: 'Amount of gas that was enclosed', unit: 'mmol', digits: 3 };
/** A zero error with as many digits as the gauge's unit allows. */
const zeroIn = (unit: PressureUnit) => ({ key: 'zero', label: 'What the gauge shows too much', unit, digits: 2 });
/** Zero errors within these count, kPa. */
const ZERO_BANDS_KPA = [0.2, 0.4, 0.8];

const planOf = ({ gauge, unit }: Setup): Plan => ({
  family: 'gases',
  gear: 'syringe',
  gauge,
  unit,
  syringes: [],
  balance: null,
});

interface Point {
  ml: number;
  kPa: number;
}

/** Points of a volume with its pressure, by how the pressure is worked out. */
function pointsOf(rows: readonly Row[], pressure: (row: Row) => number | undefined): Point[] {
  return rows.flatMap((row) => {
    const [ml, kPa] = [valueOf(row, 'vol'), pressure(row)];
    return ml !== undefined && kPa !== undefined && kPa > 0 ? [{ ml, kPa }] : [];
  });
}

/** V against 1/P: V = C/P − V₀. Undefined for fewer than three points, or where all stand at one volume. */
function lineOf(points: readonly Point[]): { inner: number; product: number } | undefined {
  const fit = points.length < 3 ? undefined : fitLine(points.map(({ ml, kPa }) => ({ x: 1 / kPa, y: ml })));
  return fit && { inner: -fit.intercept, product: fit.slope };
}

const meanOf = (values: readonly (number | undefined)[]): number | undefined => {
  const there = values.filter((value) => value !== undefined);
  return there.length === 0 ? undefined : there.reduce((a, b) => a + b, 0) / there.length;
};

function found(rows: readonly Row[], gauge: GaugeKind, pressure = (row: Row) => pressureOf(row, 'p', gauge)) {
  const line = lineOf(pointsOf(rows, pressure));
  const roomC = meanOf(rows.map((row) => valueOf(row, 'room')));
  const mmol = line && roomC !== undefined ? (1000 * line.product) / (GAS_CONSTANT * kelvin(roomC)) : undefined;
  return { line, roomC, mmol, zeroKPa: meanOf(rows.map((row) => zeroOf(row, gauge))) };
}

export const pressureVolume: Kind<Setup> = {
  id: 'pressure-volume',
  title: 'Pressure and volume of a gas',
  summary:
    'Press air together in a syringe and read its pressure. The line tells what a coil of pipe holds that has no scale.',
  setup: setupSchema,
  moves: [CAUSES.leak, CAUSES.lag, CAUSES.zero, CAUSES.gauge, CAUSES.barometer, CAUSES.scale],
  room: () => 400,
  draw: (_, seed, index) => ({
    ...surroundingsOf(seed, index),
    innerMl: drawnValue(5, 18, seed, index),
  }),
  plan: planOf,
  brief: (setup) => ({
    question: [
      'The fog signal of Sallow Point is blown through a coil of thin pipe. No water must get into the coil.',
      'How much does the coil hold inside? You find it with air, a syringe and a gauge.',
    ],
    working: [
      ...gaugeWords(setup.gauge, setup.unit),
      'All of the gas is in the syringe and in the coil: P (V + V₀) = n R T.',
      'So V = n R T · (1/P) − V₀. Draw V against 1/P: it is a straight line.',
      'Where the line meets the axis of V is the volume of the coil, with a minus.',
      'The slope gives the amount of gas. With P in kPa and V in mL, P V is in mJ.',
    ],
    know: ['The gas that you enclosed stays the same. Only its volume and its pressure change.'],
  }),
  tables: (setup) => {
    const slots = slotsOf(planOf(setup));
    return [
      trialsTable(
        'rows',
        'Measurements',
        SLOTS_OF.syringe.map((slot) => slotColumn(slot, slots)),
        [
          {
            name: 'pressure',
            symbol: 'P',
            unit: setup.unit,
            formula: setup.gauge === 'absolute' ? 'p - (p_0 - P_r)' : 'p - p_0 + P_r',
          },
          { name: '1 / pressure', symbol: 'x', unit: `1/${setup.unit}`, formula: '1 / P' },
        ],
        { x: 'c1', y: 'vol' },
      ),
    ];
  },
  quantities: ({ unit }) => [
    { ...INNER, kind: 'number' },
    { ...AMOUNT, kind: 'number' },
    { ...zeroIn(unit), kind: 'number' },
  ],
  truths: ({ unit }, { innerMl, zeroKPa }, bench) => {
    const point = bench.readings.find(
      (r) => r.which === 'p' && r.struck === null && bench.leftOut[r.trial] === undefined,
    );
    return {
      inner: innerMl,
      amount: 1000 * (point?.about.mol ?? bench.gasMol),
      zero: zeroKPa / PRESSURE_UNITS[unit].kPa,
    };
  },
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'Which graph of your readings is a straight line, though the coil’s volume is not known?',
        options: ['V against 1/P', 'P against V', 'P against 1/V', 'P · V against V'],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: you halve the volume that the syringe shows. The pressure then becomes',
            options: ['less than twice as large', 'exactly twice as large', 'more than twice as large'],
          }
        : null,
      results: [
        {
          ...askFor(INNER, [], 'Where the line of V against 1/P meets the axis of V, with its uncertainty.'),
          bandsInUnit: rising(setup.bandsMl),
        },
        {
          ...askFor(
            zeroIn(setup.unit),
            [],
            'Open to the room, beside the barometer. Less than nothing when it shows too little.',
          ),
          bandsInUnit: rising(
            ZERO_BANDS_KPA.map((kPa) => Number(significant(kPa / PRESSURE_UNITS[setup.unit].kPa, 1))),
          ),
        },
        askFor(AMOUNT, setup.bandsPercent, 'From the slope of the line, at the temperature of the room.'),
      ],
      working:
        'How you came from the gauge to the pressure. Slope and intercept of the line, and what follows from them.',
      evidence: {
        help: 'Do your points lie on one line at both ends? What would a leak have done to them, and what a wrong zero?',
        words: ['line'],
      },
      aims: [
        'Turn a curve into a straight line',
        'Find from a line what no scale shows',
        'Tell one error of an instrument from another',
      ],
    }),
  results: ({ gauge, unit }, _, rows) => {
    const { line, mmol, zeroKPa } = found(rows, gauge);
    return {
      ...(line && { inner: line.inner }),
      ...(mmol !== undefined && { amount: mmol }),
      ...(zeroKPa !== undefined && { zero: zeroKPa / PRESSURE_UNITS[unit].kPa }),
    };
  },
  hints: () => ({
    inner: 'The volumes, read to a tenth of a division, limit the result most. Take more points, and further apart.',
    amount: 'The scale of the syringe and the span of the gauge limit the result most. No more points mend that.',
  }),
  slips: ({ gauge }, _, rows) => {
    const right = found(rows, gauge);
    const raw = found(rows, gauge, (row) => valueOf(row, 'p'));
    const factor = (quantity: string, wrong: number | undefined, of: number | undefined) =>
      wrong !== undefined && of ? { quantity, factor: wrong / of } : null;
    const points = pointsOf(rows, (row) => pressureOf(row, 'p', gauge));
    const products = meanOf(points.map(({ ml, kPa }) => ml * kPa));
    const slips = [
      {
        key: 'raw',
        label: 'What the gauge shows taken for the pressure',
        at: factor('inner', raw.line?.inner, right.line?.inner),
      },
      { key: 'sign', label: 'The intercept with its minus', at: factor('inner', -1, 1) },
      {
        key: 'celsius',
        label: '°C for K',
        at: right.roomC === undefined ? null : factor('amount', 1, celsiusForKelvin(right.roomC)),
      },
      {
        key: 'product',
        label: 'P · V of the syringe alone, without the coil',
        at: factor('amount', products, right.line?.product),
      },
    ];
    return slips.flatMap(({ at, ...slip }) => (at && Math.abs(at.factor - 1) > 1e-3 ? [{ ...slip, ...at }] : []));
  },
  truth: (_, { innerMl, zeroKPa }) => [
    { label: 'Volume inside the coil', text: `${fixed(innerMl, 2)} mL` },
    { label: 'The gauge shows too much', text: `${fixed(zeroKPa, 2)} kPa` },
  ],
  needs: ['inner'],
  symbols: { inner: 'V₀', amount: 'n', zero: 'zero' },
  nothingYet:
    'There is no line yet. Record volume and pressure at three places of the plunger at least. Record the gauge open to the room, and the barometer.',
};
