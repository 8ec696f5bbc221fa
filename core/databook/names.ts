import { FUSE_WIRES, LAMP_FUELS, SOLID_FUELS } from './combustion';
import { DISSOLVING, FREEZING } from './freezing';
import { GASES } from './gases';
import { DRY_SALTS, HYDRATES } from './hydrates';
import { INDICATORS } from './indicators';
import { LIQUIDS } from './liquids';
import { MATERIALS } from './materials';
import { SOLIDS } from './solids';
import { SOLUTES } from './solutes';
import { HEAT_VESSELS } from './heat-vessels';
import { RIBBONS } from './ribbons';
import { SALTS } from './salts';
import { METAL_HEATS } from './specific-heats';
import { VAPOURS } from './vapours';
import { VESSELS } from './vessels';

const NAMES: ReadonlyMap<string, string> = new Map(
  [
    ...VESSELS,
    ...HEAT_VESSELS,
    ...INDICATORS,
    ...SOLUTES,
    ...SOLIDS,
    ...SALTS,
    ...METAL_HEATS,
    ...MATERIALS,
    ...LIQUIDS,
    ...FREEZING,
    ...DISSOLVING,
    ...SOLID_FUELS,
    ...LAMP_FUELS,
    ...FUSE_WIRES,
    ...GASES,
    ...VAPOURS,
    ...RIBBONS,
    ...HYDRATES,
    ...DRY_SALTS,
  ].map(({ id, name }) => [id, name]),
);

/** What a substance, an indicator or a vessel is called, by its id; undefined when the data book has none of that id. */
export const nameById = (id: string): string | undefined => NAMES.get(id);
