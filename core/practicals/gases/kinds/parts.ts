import { z } from 'zod';
import { KELVIN_AT_ZERO } from '../../../physics/gas-law';
import { bands, hypothesisFirst } from '../../settings-parts';
import type { Cause } from '../../contract';
import { PRESSURE_UNIT_IDS, type GaugeKind, type PressureUnit } from '../plan';

/** Settings, sentences and causes that the practicals of gases share. */

export const common = {
  gauge: z
    .enum(['absolute', 'over'])
    .default('absolute')
    .meta({
      label: 'Gauge',
      help: 'One shows the pressure itself. The other shows how much it is over that of the room, and the barometer’s is added.',
      options: { absolute: 'shows the pressure itself', over: 'shows what is over the room’s pressure' },
    }),
  unit: z.enum(PRESSURE_UNIT_IDS).default('kPa').meta({ label: 'Unit of pressure' }),
  hypothesis: hypothesisFirst(true),
};
export { bands };

/** Bands in a unit of their own, where percent mean nothing. */
export const bandsIn = (unit: string, those: number[], most: number, help: string) =>
  z
    .array(z.number().positive('A band is a number above 0.').max(most, `A band is at most ${most} ${unit}.`))
    .min(1, 'Give at least one tolerance band.')
    .max(4, 'Give at most four tolerance bands.')
    .default(those)
    .meta({ label: 'Tolerance bands', unit, help });

export const rising = (all: readonly number[]): number[] => [...all].sort((a, b) => a - b);

export const gaugeWords = (gauge: GaugeKind, unit: PressureUnit): string[] =>
  gauge === 'absolute'
    ? [
        `The gauge shows the pressure in ${unit}. It is off by the same amount everywhere: that is its zero error.`,
        'Open to the room it should show what the barometer shows. The difference is the zero error.',
      ]
    : [
        `The gauge shows in ${unit} how far the pressure is over that of the room.`,
        'Open to the room it should show nothing. What it shows then is its zero error, everywhere the same.',
        'The pressure is what it shows, less the zero error, and the pressure of the room added.',
      ];

export const CAUSES = {
  leak: { key: 'leak', label: 'Gas that leaked where the tube sat lightly' },
  lag: { key: 'lag', label: 'Read before the gas was as warm as what is around it' },
  zero: { key: 'zero', label: 'The zero of the gauge' },
  gauge: { key: 'gauge', label: 'The gauge: its span, its last digit' },
  barometer: { key: 'barometer', label: 'Barometer and thermometer of the room' },
  scale: { key: 'scale', label: 'The scale of the syringe' },
  probe: { key: 'probe', label: 'The thermometer in the bath' },
  stick: { key: 'stick', label: 'Grease that held the plungers back' },
  real: { key: 'real', label: 'Gases that are not ideal' },
  level: { key: 'level', label: 'How high the water stood in the tube was left out' },
  air: { key: 'air', label: 'The air that was in the tube before was left in' },
  needle: { key: 'needle', label: 'Liquid that evaporated from the open needle' },
  stopper: { key: 'stopper', label: 'Weighed with the stopper once, and once without' },
  balance: { key: 'balance', label: 'The balance: its last digit, its drift' },
  settling: { key: 'settling', label: 'Weighed before the display had come to rest' },
  neck: { key: 'neck', label: 'The neck of the bulb, which is not in the bath' },
} as const satisfies Record<string, Cause>;

/** °C for K, as the factor that it puts on a temperature. */
export const celsiusForKelvin = (celsius: number): number => celsius / (celsius + KELVIN_AT_ZERO);
