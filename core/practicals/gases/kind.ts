import type { KindOf } from '../kind';
import type { Cause } from '../contract';
import type { Bench } from './bench';
import type { Plan } from './plan';
import type { Row } from './rows';
import type { Sample } from './sample';

/** One practical of gases, on the bench that all of them share. */
export interface Kind<Setup> extends KindOf<Setup, Sample, Plan, Row, Bench> {
  /** What can have moved its results, of all that the bench has. */
  moves: readonly Cause[];
}
