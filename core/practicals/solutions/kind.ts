import type { KindOf } from '../kind';
import type { Method } from '../method';
import type { Bench } from './bench';
import type { Hands } from './by-hand';
import type { Plan } from './plan';
import type { Row } from './rows';
import type { Sample } from './sample';

/** One practical of solutions, on the bench that all of them share. */
export interface Kind<Setup> extends KindOf<Setup, Sample, Plan, Row, Bench> {
  method(plan: Plan): Method<Bench, Hands>;
  /** Why nothing can be handed in yet, where no number tells. */
  untried?(bench: Bench): string | undefined;
  /** Numbers of the sample that would give it away. */
  hidden?(sample: Sample): number[];
}
