import type { OpenPractical } from '../live-bench';
import { PRACTICALS } from '../registry';
import { runOf, type Start } from '../testing-run';
import type { OwnAct } from './acts';
import type { Bench } from './bench';
import type { Plan } from './plan';
import type { Sample } from './sample';
import type { Moving, View } from './view';

/** A run that is worked by hand, act by act. */
export const begun = (start: Start<Sample> = {}) =>
  runOf<OwnAct, Sample, Bench, View, Moving, Plan>(
    PRACTICALS['light-and-heavy'] as unknown as OpenPractical<View, Moving, Plan>,
    { seed: 'spheres', ...start },
  );
