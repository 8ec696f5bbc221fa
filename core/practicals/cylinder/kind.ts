import type { KindOf } from '../kind';
import type { Method } from '../method';
import type { Bench } from './bench';
import type { Hands } from './by-hand';
import type { Plan } from './plan';
import type { Row } from './rows';
import type { Sample } from './sample';

/** One practical with particles under a piston, on the bench that all of them share. */
export interface Kind<Setup> extends KindOf<Setup, Sample, Plan, Row, Bench> {
  /** What the card of a student says. */
  task(plan: Plan, sample: Sample): string;
  method(plan: Plan): Method<Bench, Hands>;
  /** Standard uncertainties of the results: means of few particles waver, and hang together. */
  uncertainties(setup: Setup, sample: Sample, rows: readonly Row[]): Readonly<Record<string, number>>;
}
