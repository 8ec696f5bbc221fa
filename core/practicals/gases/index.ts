import { withCommonActs } from '../with-common-acts';
import { gasOverWater } from './kinds/collected';
import { vapourMolarMass } from './kinds/molar-mass';
import { pressureTemperature } from './kinds/pressure-temperature';
import { pressureVolume } from './kinds/pressure-volume';
import { volumeTemperature } from './kinds/volume-temperature';
import { gases } from './practical';

/** The practicals of gases on apparatus. */
export const GAS_PRACTICALS = {
  pressureVolume: withCommonActs(gases(pressureVolume)),
  volumeTemperature: withCommonActs(gases(volumeTemperature)),
  overWater: withCommonActs(gases(gasOverWater)),
  molarMass: withCommonActs(gases(vapourMolarMass)),
  pressureTemperature: withCommonActs(gases(pressureTemperature)),
};
