import { z } from 'zod';
import { fixed } from '../../../analysis/quantity';
import { fitLine, valueAt, type LineFit } from '../../../analysis/line-fit';
import { KELVIN_AT_ZERO } from '../../../physics/gas-law';
import { askFor, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import { slotColumn, trialsTable } from '../../tables';
import type { Kind } from '../kind';
import { BULB_ML, NECK_ML } from '../pieces';
import { SLOTS_OF, slotsOf, type GaugeKind, type Plan } from '../plan';
import { pressureOf } from '../pressures';
import { valueOf, type Row } from '../rows';
import { surroundingsOf } from '../sample';
import { bandsIn, CAUSES, common, gaugeWords, rising } from './parts';

const setupSchema = z.object({
  ...common,
  bandsZeroC: bandsIn('°C', [3, 6, 12], 60, 'For absolute zero. For instance 3, 6: within 3 °C, 6 °C.').meta({
    label: 'Tolerance bands of absolute zero',
  }),
  bandsJarC: bandsIn('°C', [0.5, 1, 2], 20, 'For the jar. For instance 0.5, 1: within 0.5 °C, 1 °C.').meta({
    label: 'Tolerance bands of the jar',
  }),
});
type Setup = z.infer<typeof setupSchema>;

const ZERO = { key: 'absoluteZero', label: 'Temperature at which the line meets pressure zero', unit: '°C', digits: 3 };
const JAR = { key: 'jar', label: 'Temperature of the cold jar', unit: '°C', digits: 3 };

const planOf = ({ gauge, unit }: Setup): Plan => ({
  family: 'gases',
  gear: 'bulb',
  gauge,
  unit,
  syringes: [],
  balance: null,
});

type Pressure = (row: Row, slot: 'p' | 'pj') => number | undefined;

/** The line of P against t, where it meets zero, and the temperature that the pressure in the jar stands for. */
function found(
  rows: readonly Row[],
  gauge: GaugeKind,
  pressure: Pressure = (row, slot) => pressureOf(row, slot, gauge),
): { fit?: LineFit; zero?: number; jar?: number } {
  const points = rows.flatMap((row) => {
    const [t, kPa] = [valueOf(row, 't'), pressure(row, 'p')];
    return t !== undefined && kPa !== undefined ? [{ x: t, y: kPa }] : [];
  });
  const fit = points.length < 3 ? undefined : fitLine(points);
  if (!fit || Math.abs(fit.slope) < 1e-6) return {};
  const jars = rows.flatMap((row) => {
    const kPa = pressure(row, 'pj');
    return kPa === undefined ? [] : [(kPa - fit.intercept) / fit.slope];
  });
  return {
    fit,
    zero: -fit.intercept / fit.slope,
    ...(jars.length > 0 && { jar: jars.reduce((a, b) => a + b, 0) / jars.length }),
  };
}

export const pressureTemperature: Kind<Setup> = {
  id: 'pressure-temperature',
  title: 'Pressure and temperature of a gas',
  summary:
    'Air in a glass bulb, from ice to boiling. Where would its pressure be nothing, and how cold is a jar that no thermometer can measure?',
  setup: setupSchema,
  moves: [CAUSES.leak, CAUSES.lag, CAUSES.zero, CAUSES.gauge, CAUSES.barometer, CAUSES.probe, CAUSES.neck],
  room: () => 300,
  draw: (_, seed, index) => ({ ...surroundingsOf(seed, index), jarC: -drawnValue(6, 18, seed, index) }),
  plan: planOf,
  brief: (setup) => ({
    question: [
      'A jar with cold brine stands in the cellar of the light. No thermometer of the station goes so low.',
      'A glass bulb with air and a gauge can be one. How does its pressure change with temperature?',
      'Find absolute zero, and how cold the jar is.',
    ],
    working: [
      ...gaugeWords(setup.gauge, setup.unit),
      'Draw P against t, and a straight line through the points.',
      'Where the line comes to P = 0, far to the left, there is absolute zero.',
      'The same line tells the temperature of the jar from the pressure there.',
    ],
    know: [`${NECK_ML} mL of the ${BULB_ML} mL of gas are in the neck. They stay as warm as the room.`],
  }),
  tables: (setup) => {
    const slots = slotsOf(planOf(setup));
    return [
      trialsTable(
        'rows',
        'Measurements',
        SLOTS_OF.bulb.map((slot) => slotColumn(slot, slots)),
        (['p', 'p_j'] as const).map((symbol, i) => ({
          name: i === 0 ? 'pressure' : 'pressure, jar',
          symbol: i === 0 ? 'P' : 'P_j',
          unit: setup.unit,
          formula: setup.gauge === 'absolute' ? `${symbol} - (p_0 - P_r)` : `${symbol} - p_0 + P_r`,
        })),
        { x: 't', y: 'c0' },
      ),
    ];
  },
  quantities: () => [
    { ...ZERO, kind: 'number', few: true },
    { ...JAR, kind: 'number' },
  ],
  truths: (_, { jarC }) => ({ absoluteZero: -KELVIN_AT_ZERO, jar: jarC }),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'Why may the tube not be pulled off between two points?',
        options: [
          'Another amount of gas would be enclosed',
          'The gauge would lose its zero',
          'The bulb would break',
          'The bath would cool down',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: the bulb is warmed from 20 °C to 40 °C. Its pressure becomes',
            options: ['a little larger', 'twice as large', 'larger by the same as from 40 °C to 60 °C'],
          }
        : null,
      results: [
        {
          ...askFor(ZERO, [], 'Where your line meets pressure zero, with its uncertainty.'),
          bandsInUnit: rising(setup.bandsZeroC),
        },
        { ...askFor(JAR, [], 'By your line, from the pressure in the jar.'), bandsInUnit: rising(setup.bandsJarC) },
      ],
      working: 'The line through your points, and how far it had to be drawn beyond them.',
      evidence: {
        help: 'How far do your points lie from the line? How much does absolute zero move when the line is turned a little?',
        words: ['line'],
      },
      aims: [
        'Draw a line far beyond the points, and say how sure that is',
        'Wait until two things are equally warm',
        'Make a thermometer out of a gas',
      ],
    }),
  results: ({ gauge }, _, rows) => {
    const { zero, jar } = found(rows, gauge);
    return { ...(zero !== undefined && { absoluteZero: zero }), ...(jar !== undefined && { jar }) };
  },
  hints: () => ({
    absoluteZero: 'It lies far from your points: more of them near ice and near boiling make the line surer.',
    jar: 'The gauge’s last digit limits the result most. Read the jar again.',
  }),
  slips: ({ gauge }, _, rows) => {
    const right = found(rows, gauge);
    const raw = found(rows, gauge, valueOf);
    const at = (quantity: string, wrong: number | undefined, of: number | undefined) =>
      wrong !== undefined && of ? { quantity, factor: wrong / of } : null;
    const crossed = right.fit && valueAt(right.fit, 0) / right.fit.slope;
    const slips = [
      {
        key: 'raw',
        label: 'What the gauge shows taken for the pressure',
        at: at('absoluteZero', raw.zero, right.zero),
      },
      { key: 'sign', label: 'The sign left out', at: at('absoluteZero', crossed, right.zero) },
      {
        key: 'kelvin',
        label: 'K for °C',
        at: at('jar', right.jar === undefined ? undefined : right.jar + KELVIN_AT_ZERO, right.jar),
      },
    ];
    return slips.flatMap(({ at: moved, ...slip }) =>
      moved && Math.abs(moved.factor - 1) > 1e-3 ? [{ ...slip, ...moved }] : [],
    );
  },
  truth: (_, { jarC, zeroKPa }) => [
    { label: 'Temperature of the cold jar', text: `${fixed(jarC, 2)} °C` },
    { label: 'The gauge shows too much', text: `${fixed(zeroKPa, 2)} kPa` },
  ],
  pool: () => ({ absoluteZero: 'absolute zero' }),
  needs: ['absoluteZero'],
  symbols: { absoluteZero: 't₀', jar: 't' },
  nothingYet:
    'There is no line yet. Record temperature and pressure at three temperatures at least. Record the gauge open to the room, and the barometer.',
};
