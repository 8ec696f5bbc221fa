import { z } from 'zod';
import { gramsPerMol } from '../../../chemistry/molar-mass';
import { HYDRATE_IDS, hydrateOf, WATER_G_PER_MOL, type Hydrate } from '../../../databook/hydrates';
import { bands, hypothesisFirst } from '../../settings-parts';
import { slotColumn, trialsTable } from '../../tables';
import type { Table } from '../../../notebook/document';
import { BALANCE_IDS, SLOT_IDS, SLOTS, type Plan } from '../plan';

/** Settings, sentences and tables that the practicals of hydrates share. */

export const common = {
  balance: z.enum(BALANCE_IDS).default('0.001').meta({ label: 'Balance, reads to', unit: 'g' }),
  damp: z
    .enum(['dry', 'usual', 'damp'])
    .default('usual')
    .meta({
      label: 'Air of the room',
      help: 'A salt that has been dried takes up water again, the faster the damper the air is.',
      options: { dry: 'dry', usual: 'as usual', damp: 'damp' },
    }),
  desiccator: z.boolean().default(true).meta({
    label: 'Desiccator on the bench',
    help: 'Without it the crucible cools in the air of the room.',
  }),
  hypothesis: hypothesisFirst(true),
};
export { bands };

export const hydrateIds = z.enum(HYDRATE_IDS);

interface Common {
  balance: Plan['balance'];
  damp: Plan['damp'];
  desiccator: boolean;
}
export const planFor = ({ balance, damp, desiccator }: Common, jar: string): Plan => ({
  family: 'hydrates',
  jar,
  balance,
  damp,
  desiccator,
});

export const tablesFor = (): Table[] => [
  trialsTable(
    'rows',
    'Masses',
    SLOT_IDS.map((slot) => slotColumn(slot, SLOTS)),
    [
      { name: 'salt', symbol: 'm_s', unit: 'g', formula: 'm_1 - m_0' },
      { name: 'lost, first', symbol: 'd_1', unit: 'g', formula: 'm_1 - h_1' },
      { name: 'lost since', symbol: 'd_2', unit: 'g', formula: 'h_1 - h_2' },
    ],
  ),
];

/** What every brief says of the way. */
export const WAY = [
  'A crucible out of its box is not dry. Heat it empty, let it cool, and weigh it, with its lid or without, but the same way each time.',
  'Put the salt in and weigh again. Set the crucible on the gauze or straight on the triangle; with its lid ajar water gets out and nothing jumps out. Gas and air make the flame: a yellow one leaves soot that weighs, a blue one does not, and too much air blows it out. From cold a strong flame can crack porcelain: begin gently.',
  'Take it with tongs: a hot crucible looks like a cold one. Weigh it cold; over a hot one the air rises, and it reads too light.',
  'Heat, cool and weigh again until the mass stays the same. Whether two masses are the same, the last digit of the balance tells. Too hot, and some salts break down: watch the colour.',
];
export const desiccatorWords = (has: boolean) =>
  has
    ? 'In the desiccator it cools without taking up water from the air.'
    : 'There is no desiccator: a dried salt takes up water while it cools. The lid helps.';

export const dryGPerMol = ({ dryFormula }: Hydrate): number => gramsPerMol(dryFormula);
export { hydrateOf, WATER_G_PER_MOL };
