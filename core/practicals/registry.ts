import { acidConcentration } from './acid-concentration';
import { openPractical } from './live-bench';

/** Every practical that can be set. A new one is a folder beside this file, a bench drawing, and a line here. */
export const PRACTICALS = { 'acid-concentration': openPractical(acidConcentration) };

export type PracticalId = keyof typeof PRACTICALS;
export const PRACTICAL_IDS = Object.keys(PRACTICALS) as [PracticalId, ...PracticalId[]];

export type AnyPractical = (typeof PRACTICALS)[PracticalId];
export type AnyBench = ReturnType<AnyPractical['open']>;
export type AnyView = ReturnType<AnyBench['view']>;
export type AnyFrame = ReturnType<AnyBench['frames']>[number];
export type AnyLabels = ReturnType<AnyPractical['labels']>;
