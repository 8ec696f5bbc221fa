import type { KindOf } from '../kind';
import type { Bench } from './bench';
import type { Plan } from './plan';
import type { Row } from './rows';
import type { Sample } from './sample';

/** One practical of hydrates, on the bench that all of them share. */
export type Kind<Setup> = KindOf<Setup, Sample, Plan, Row, Bench>;
