import { withCommonActs } from '../with-common-acts';
import { acidByTemperature } from './kinds/by-temperature';
import { acidWithBase } from './kinds/neutral';
import { freezingPoint } from './kinds/freezing-point';
import { mixtureMelting } from './kinds/mixture';
import { molarMassByFreezing } from './kinds/molar-mass';
import { lampFuels } from './kinds/lamp';
import { pelletInOxygen } from './kinds/pellet';
import { metalByHeat } from './kinds/metal';
import { portions } from './kinds/portions';
import { saltByHeat } from './kinds/salt';
import { heat } from './practical';

/** The practicals of heat. */
export const HEATS = {
  portions: withCommonActs(heat(portions)),
  metal: withCommonActs(heat(metalByHeat)),
  neutral: withCommonActs(heat(acidWithBase)),
  byTemperature: withCommonActs(heat(acidByTemperature)),
  pellet: withCommonActs(heat(pelletInOxygen)),
  lamps: withCommonActs(heat(lampFuels)),
  freezing: withCommonActs(heat(freezingPoint)),
  mixture: withCommonActs(heat(mixtureMelting)),
  molarMass: withCommonActs(heat(molarMassByFreezing)),
  salt: withCommonActs(heat(saltByHeat)),
};
