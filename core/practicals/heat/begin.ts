import { EMPTY } from '../../chemistry/solution';
import { HEAT_VESSEL_TOLERANCE, heatVesselOf, type HeatVesselId } from '../../databook/heat-vessels';
import { drawBalance } from '../../instruments/balance';
import { drawThermometer } from '../../instruments/thermometer';
import { BARE_PAN } from '../../instruments/weighing';
import { chance, withinTolerance } from '../../random';
import { COMMON_AT_START } from '../common-acts';
import { FIRST_GAP_MM, freshLamps } from './burning/lamps';
import { tipJPerK } from './matter';
import { usesFuel, type Plan } from './plan';
import type { Sample } from './sample';
import { freshTube } from './freezing/tube';
import { freshSealed } from './burning/sealed';
import type { Vessel, Warmer } from './bodies';
import type { Bench } from './bench';

/** A bench of heat as a student comes to it. */

/** A vessel fresh from the tray, with a mass of its own. */
export function freshVessel(
  type: HeatVesselId,
  number: number,
  bench: Pick<Bench, 'seed' | 'sample' | 'plan' | 'off'>,
): Vessel {
  const entry = heatVesselOf(type);
  const source = chance(bench.seed, `vessel ${number} ${type}`);
  const { roomC, capacity } = bench.sample;
  const part = bench.off.includes('vessel') ? 1 : capacity;
  return {
    type,
    at: 'bench',
    lid: false,
    stir: 'off',
    liquid: EMPTY,
    liquidC: roomC,
    wallC: roomC,
    // The data book counts the tip of a thermometer in, which is a body of its own here.
    wallJPerK: entry.jPerK * part - tipJPerK(bench),
    massG: entry.massG * (1 + 0.05 * (source.uniform() - 0.5)),
    lateJ: 0,
    lyingMol: 0,
  };
}

export function begin(plan: Plan, sample: Sample, seed: string, off: readonly string[] = []): Bench {
  const { roomC } = sample;
  const first = { seed, sample, plan, off };
  const lamps = freshLamps(sample.lampFuelIds.length, seed);
  const still: Warmer = { setC: roomC, tempC: roomC };
  return {
    plan,
    sample,
    seed,
    off,
    ...COMMON_AT_START,
    draws: 0,
    vessels: {
      cup: freshVessel(plan.vessels[0] as HeatVesselId, 1, first),
      beaker: freshVessel('glass-beaker', 0, first),
    },
    actedS: 0,
    steppedS: 0,
    cups: 1,
    pieces: (sample.metal?.piecesG ?? []).map(() => ({ at: 'dish', tempC: roomC, filmG: 0 })),
    bath: still,
    block: still,
    thermometers: Array.from({ length: plan.thermometers }, (_, n) => ({
      piece: drawThermometer(plan.thermometer, `${seed} ${n}`, off.includes('probe')),
      at: 'stand',
      tipC: roomC,
    })),
    looking: 0,
    // Water for a pail is heavier than what other balances bear.
    balance: drawBalance(plan.balance, seed, off.includes('balance'), usesFuel(plan)),
    pan: { ...BARE_PAN, on: null, piece: 0 },
    boat: { saltG: 0, clingsG: 0, massG: 2.4 + 0.4 * chance(seed, 'boat').uniform() },
    sealed: plan.sealed && freshSealed(roomC, off.includes('vessel') ? 1 : sample.capacity),
    pellet: null,
    burnt: null,
    burntIn: null,
    pressedG: 0,
    pelletGoneG: 0,
    tube: plan.tube && freshTube(roomC, seed, 1),
    cold: still,
    tubeInG: 0,
    tubeOutG: 0,
    soluteOutG: 0,
    lamps,
    gapMm: FIRST_GAP_MM,
    screen: false,
    lightings: 0,
    filledG: lamps.reduce((sum, { fuelG }) => sum + fuelG, 0),
    burntFuelG: 0,
    takenG: 0,
    thrownMol: 0,
    measureError: off.includes('glassware') ? 0 : withinTolerance(1, chance(seed, 'measure')),
    log: null,
    logBegunS: null,
    logged: [],
    measuredMl: sample.bottles.map(() => 0),
    pours: 0,
    nominalMl: sample.bottles.map(() => 0),
    mixedS: null,
    mixedAtS: {},
    goneJ: 0,
    given: EMPTY,
    waste: EMPTY,
    vapourG: 0,
  };
}

/** The heat capacity of a run's vessels as a part of what the data book says: one batch. */
export const drawnCapacity = (seed: string, index: number): number =>
  1 + HEAT_VESSEL_TOLERANCE * (2 * chance(seed, `capacity ${index}`).uniform() - 1);
