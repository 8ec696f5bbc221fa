import type { KindOf } from '../kind';
import type { Method } from '../method';
import type { Bench } from './bench';
import type { Hands } from './by-hand';
import type { Plan } from './plan';
import type { Row } from './reading/row';
import type { Sample } from './sample';

/** One practical of heat, on the bench that all of them share. */
export interface Kind<Setup> extends KindOf<Setup, Sample, Plan, Row, Bench> {
  /** Whether the heat capacity of the vessel is taken from the data book; otherwise it is what is asked for. */
  isVesselTold: boolean;
  /**
   * What heat that goes unseen leaves open of the temperature after, as one standard uncertainty: a part of its step, and K; of a
   * series at its last point. Counted where heat is lost at all; of each trial by itself where two are held against one another.
   */
  unseen: { part: number; kelvin: number; ofEach?: true };
  /** Raised by itself where the same acts give another bench than before at this practical alone. */
  model?: number;
  method(plan: Plan): Method<Bench, Hands>;
}
