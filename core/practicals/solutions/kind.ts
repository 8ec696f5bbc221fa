import type { KindOf } from '../kind';
import type { Step } from '../contract';
import type { Bench } from './bench';
import type { Plan } from './plan';
import type { Row } from './rows';
import type { Sample } from './sample';

/** One practical of solutions, on the bench that all of them share. */
export interface Kind<Setup> extends KindOf<Setup, Sample, Plan, Row, Bench> {
  /** The method, each step done when the bench shows it. */
  steps(bench: Bench): Step[];
  /** Why nothing can be handed in yet, where no number tells. */
  untried?(bench: Bench): string | undefined;
  /** Numbers of the sample that would give it away. */
  hidden?(sample: Sample): number[];
}
