import { z } from 'zod';
import { contractOf } from './contract-suite';
import { PRACTICALS } from './registry';
import type { JsonSchema } from './testing';

/** Each practical as it comes, and with every switch of its settings turned the other way. */
const CASES = Object.values(PRACTICALS).flatMap((practical) => {
  const asItComes = practical.setup.parse({});
  const switches = Object.entries(asItComes as object).filter(([, value]) => typeof value === 'boolean');
  const turned = practical.setup.parse(Object.fromEntries(switches.map(([key, value]) => [key, !value])));
  // The last choice of each setting, one after the other, as far as they go together.
  const { properties = {} } = z.toJSONSchema(practical.setup, { io: 'input' }) as JsonSchema;
  const chosen = Object.entries(properties).reduce<object>((setup, [key, { enum: options }]) => {
    const next = practical.setup.safeParse({ ...setup, [key]: options?.at(-1) });
    return options && next.success ? (next.data as object) : setup;
  }, asItComes as object);
  return [
    { practical, setup: asItComes, name: `${practical.id} as it comes` },
    { practical, setup: chosen, name: `${practical.id} with other choices` },
    { practical, setup: turned, name: `${practical.id} with its switches turned` },
  ];
});

for (const { name, practical, setup } of CASES) contractOf(name, practical, setup);
