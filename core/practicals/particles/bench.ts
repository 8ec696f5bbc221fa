import { gasOf } from '../../databook/gases';
import { atSpeed, flownTo, type Flight } from '../../physics/flight';
import { energyOf, kelvinOf, speedOf } from '../../physics/kinetic';
import { passed } from '../time-passes';
import { COMMON_AT_START, type CommonBench } from '../common-acts';
import type { KeptReading as Kept } from '../recordings';
import { psAt, roomOf, type Plan, type Slot } from './plan';
import type { Sample } from './sample';

interface KeptReading extends Kept {
  which: Slot;
}

export interface Bench extends CommonBench {
  plan: Plan;
  sample: Sample;
  seed: string;
  /** The particle from its last hit on; null before one is put in. */
  flight: Flight | null;
  /** How often one was put in: each comes from another place, in another direction. */
  puts: number;
  /** Energy that was brought in with it and given, less what was taken, zJ. */
  suppliedZj: number;
  readings: readonly KeptReading[];
}

export const begin = (plan: Plan, sample: Sample, seed: string): Bench => ({
  plan,
  sample,
  seed,
  ...COMMON_AT_START,
  flight: null,
  puts: 0,
  suppliedZj: 0,
});

const massOf = ({ sample }: Bench) => gasOf(sample.gasId).molarMassGPerMol;

/** What the gauges are set to follow; zero of an empty vessel. */
export function stateOf(bench: Bench): Record<Slot, number> {
  const speed = bench.flight?.speed ?? 0;
  const energy = energyOf(speed, massOf(bench));
  return { T: kelvinOf(energy), E: energy, v: 1000 * speed };
}

/** The particle with another energy from now on, zJ: it flies on where it was going. */
export function withEnergy(bench: Bench, flight: Flight, zJ: number): Bench {
  const before = bench.flight ? stateOf(bench).E : 0;
  const now = atSpeed(flight, psAt(bench.timeS), speedOf(zJ, massOf(bench)));
  const next = { ...bench, flight: now };
  return { ...next, suppliedZj: bench.suppliedZj + stateOf(next).E - before };
}

export const running = ({ flight }: Bench): boolean => flight !== null;

/** Time passes: the particle flies on. */
export const advance = (bench: Bench, seconds: number): Bench =>
  passed(bench, seconds, ({ flight, plan }, timeS) => ({
    flight: flight && flownTo(flight, psAt(timeS), roomOf(plan)),
  }));
