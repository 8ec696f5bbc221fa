import { MEASURINGS } from './measuring';
import { TITRATIONS } from './titration';
import { openPractical } from './live-bench';
import { PARTICLES } from './particles';

/** Every practical that can be set. A new one is a folder beside this file, a bench drawing, and a line here. */
export const PRACTICALS = {
  'acid-concentration': openPractical(TITRATIONS.acid),
  'base-concentration': openPractical(TITRATIONS.base),
  'polyprotic-acid': openPractical(TITRATIONS.polyprotic),
  'percent-by-mass': openPractical(TITRATIONS.weighed),
  'standardised-base': openPractical(TITRATIONS.standardised),
  'unknown-acid': openPractical(TITRATIONS.unknown),
  'back-titration': openPractical(TITRATIONS.back),
  'unknown-in-burette': openPractical(TITRATIONS.inBurette),
  'reading-a-scale': openPractical(MEASURINGS.scale),
  'regular-solids': openPractical(MEASURINGS.regular),
  displacement: openPractical(MEASURINGS.displacement),
  'liquid-density': openPractical(MEASURINGS.liquids),
  'one-particle': openPractical(PARTICLES.one),
};

export type PracticalId = keyof typeof PRACTICALS;
export const PRACTICAL_IDS = Object.keys(PRACTICALS) as [PracticalId, ...PracticalId[]];

export type AnyPractical = (typeof PRACTICALS)[PracticalId];
export type AnyBench = ReturnType<AnyPractical['open']>;
export type AnyView = ReturnType<AnyBench['view']>;
export type AnyFrame = ReturnType<AnyBench['frame']>;
export type AnyLabels = ReturnType<AnyPractical['labels']>;
