import { z } from 'zod';
import { CUP_IDS, heatVesselOf, type HeatVesselId } from '../../../databook/heat-vessels';
import { BALANCES, type Readability } from '../../../instruments/balance';
import { column, slotColumn, trialsTable } from '../../tables';
import type { Table } from '../../../notebook/document';
import { isByEye, slotsOf, type Plan } from '../plan';
import { WATER_J_PER_G_K } from '../matter';

/** Settings, sentences and tables that the practicals of heat share. */

export const thermometer = z.enum(['glass 0.2', 'digital 0.1', 'digital 0.01']).default('digital 0.1').meta({
  label: 'Thermometer',
  help: 'Glass with divisions of 0.2 °C is read by eye through the loupe; digital ones can be logged.',
});

/** Where all hangs on the log. */
export const digital = z.enum(['digital 0.1', 'digital 0.01']).default('digital 0.1').meta({ label: 'Thermometer' });

export const vessels = (those: HeatVesselId[]) =>
  z.array(z.enum(CUP_IDS)).min(1, 'Choose at least one vessel.').default(those).meta({ label: 'Vessels on the tray' });

export const readability = z
  .enum(Object.keys(BALANCES) as [Readability, ...Readability[]])
  .default('0.01')
  .meta({ label: 'Balance, reads to', unit: 'g' });

export const losses = z.boolean().default(true).meta({
  label: 'Heat is lost to the room',
  help: 'Off for a first lesson: then all heat stays between what is in the cup and the cup.',
});

export const NO_PLAN: Plan = {
  family: 'heat',
  vessels: ['foam-cup'],
  beaker: false,
  bottles: ['water'],
  measure: 'cylinder',
  points: false,
  bath: false,
  block: false,
  metal: null,
  salt: false,
  grain: 'fine',
  sealed: null,
  lamps: [],
  tube: null,
  thermometer: 'digital 0.1',
  thermometers: 1,
  balance: '0.01',
  losses: true,
  slots: [],
  either: [],
  carries: [],
  means: {},
  heads: {},
};

/** What every brief says of the ground on which results are worked out. */
export const CONVENTION = `Water takes up ${WATER_J_PER_G_K.toFixed(2)} J for each gram and kelvin. What is dissolved in it adds nothing.`;

/** What the vessels on the tray take up, in words. */
export function vesselWords(those: readonly HeatVesselId[]): string[] {
  const each = those.map((id) => `${heatVesselOf(id).name} ${heatVesselOf(id).jPerK} J/K`);
  return [
    'The vessel is warmed as well, with its stirrer and thermometer.',
    `It takes up: ${each.join(', ')} (data book, “${HEAT_TABLE}”).`,
  ];
}
const HEAT_TABLE = 'Vessels for heat';

export const lossWords = (isLossy: boolean): string[] =>
  isLossy
    ? [
        'Heat finds its way out. A lid, a stirrer and little time in the air keep that small.',
        'You can take the rest back: draw the temperatures before and after to the moment of mixing.',
      ]
    : ['In this laboratory no heat is lost to the room.'];

export const logTable = (plan: Plan): Table[] =>
  isByEye(plan)
    ? []
    : [
        {
          id: 'curve',
          name: 'Temperature curve',
          origin: 'logged',
          axes: { x: 't', y: 'T' },
          columns: [
            column('trial', { name: 'trial', symbol: 'trial', slot: 'trial' }),
            column('t', { name: 'time', symbol: 't', unit: 's', slot: 't' }),
            column('T', { name: 'temperature', symbol: 'T', unit: '°C', slot: 'T' }),
            ...(plan.thermometers > 1
              ? [column('U', { name: 'second thermometer', symbol: 'U', unit: '°C', slot: 'U' })]
              : []),
          ],
          rows: [],
        },
      ];

export function tablesFor(plan: Plan, computed: Parameters<typeof trialsTable>[3]): Table[] {
  const slots = slotsOf(plan);
  const recorded = plan.slots.map((slot) => slotColumn(slot, slots));
  return [trialsTable('rows', 'Measurements', recorded, computed), ...logTable(plan)];
}
