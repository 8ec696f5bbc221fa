import { z } from 'zod';
import { METAL_HEATS } from '../../databook/specific-heats';
import { LAMP_FUEL_IDS, SOLID_FUEL_IDS } from '../../databook/combustion';
import { DISSOLVING_IDS, FREEZING_IDS } from '../../databook/freezing';
import { SALT_IDS } from '../../databook/salts';
import { boilingC } from '../../physics/vapour';
import { chance } from '../../random';

const METAL_IDS = METAL_HEATS.map(({ id }) => id) as [string, ...string[]];

export const sampleSchema = z.object({
  roomC: z.number(),
  /** Where water boils under the pressure of the day. */
  boilsC: z.number(),
  /** The metal, and the mass of each piece of it; null where there is none. */
  metal: z.object({ id: z.enum(METAL_IDS), piecesG: z.array(z.number().positive()) }).nullable(),
  saltId: z.enum(SALT_IDS).nullable(),
  /** The solid that pellets are pressed of beside the standard, and what burns in each lamp. */
  solidFuelId: z.enum(SOLID_FUEL_IDS).nullable().default(null),
  lampFuelIds: z.array(z.enum(LAMP_FUEL_IDS)).default([]),
  /** What is melted in the test tube, and what is dissolved in it. */
  freezingId: z.enum(FREEZING_IDS).nullable().default(null),
  dissolvingId: z.enum(DISSOLVING_IDS).nullable().default(null),
  /** What is in the second jar of what is melted; null where there is one jar. */
  otherFreezingId: z.enum(FREEZING_IDS).nullable().default(null),
  /** What is in each bottle: a liquid, with what is dissolved in a litre of it. */
  bottles: z.array(z.object({ liquidId: z.string(), molPerL: z.record(z.string(), z.number()) })),
  /** Own amounts of this student, in words; null where there are none. */
  task: z.string().nullable(),
  /** The heat capacity of the vessels as a part of what the data book says. */
  capacity: z.number().positive(),
});
export type Sample = z.infer<typeof sampleSchema>;

/** The room of a day: its temperature, and where water boils in it. */
export function roomOf(seed: string, index: number): Pick<Sample, 'roomC' | 'boilsC'> {
  const source = chance(seed, `room ${index}`);
  return {
    roomC: Math.round(10 * (19 + 4 * source.uniform())) / 10,
    boilsC: Math.round(100 * boilingC(97 + 6 * source.uniform())) / 100,
  };
}

/** What is drawn where a practical has no use for it. */
export const NOTHING = {
  metal: null,
  saltId: null,
  solidFuelId: null,
  lampFuelIds: [],
  freezingId: null,
  otherFreezingId: null,
  dissolvingId: null,
};

export const WATER = { liquidId: 'water', molPerL: {} };
