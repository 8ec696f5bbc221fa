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

/** What is good to know over a burner. @param has whether there is a desiccator */
export const goodToKnow = (has: boolean): string[] => [
  'A hot crucible looks like a cold one. Take it with the tongs.',
  'Weigh it only when it is cold. Over a hot crucible warm air rises, and the balance shows too little.',
  'A yellow flame leaves soot, and soot has mass. Let in more air until the flame is blue.',
  'Soot burns off in a strong blue flame on the triangle.',
  'Too much air blows the flame out. A strong flame can crack cold porcelain.',
  'Some salts break down when they get too hot. Watch the colour.',
  has
    ? 'Air in the desiccator is dry. There the salt takes up no water while it cools.'
    : 'There is no desiccator. A dry salt takes up water from the air while it cools: keep the lid on.',
];

export const dryGPerMol = ({ dryFormula }: Hydrate): number => gramsPerMol(dryFormula);
export { hydrateOf, WATER_G_PER_MOL };
