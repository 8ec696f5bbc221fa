import { vesselOf } from '../../databook/vessels';
import { CALLIPER, PLACING_MM } from '../../instruments/length';
import { weighingUncertaintyG } from '../../instruments/balance';
import { TOLERANCE_DEVIATION } from '../../random';
import {
  bringsTo,
  fillsBottle,
  fillsOnBalance,
  knocks as knocksAt,
  looksLevel,
  measuresEdges,
  poursAll,
  readLevel,
  recordsMass,
  weighsPiece,
  weighsVessel,
  type Hands,
} from './by-hand';
import { EDGES } from './edges';
import type { Plan } from './plan';
import type { View } from './view';

export { readThermometer, type Hands } from './by-hand';

/** Single results as students find them who know how, with what they state; used for demo classes, rehearsals and tests. */

/** A density as a student states it, with its standard uncertainty. */
export interface Stated {
  density: number;
  uncertainty: number;
}

/** What is known of the difference of two weighings half a minute apart, as one standard deviation, g. */
const weighingUncertainty = (readabilityG: number): number => Math.SQRT2 * weighingUncertaintyG(readabilityG);

/** Of one length: placing and the last digit; and what all lengths of a calliper share, its zero, mm. */
function lengthUncertainty(tool: 'calliper' | 'ruler', isBall: boolean) {
  if (tool === 'calliper')
    return {
      each: Math.hypot(PLACING_MM.calliper, CALLIPER.vernierMm / Math.sqrt(12)),
      shared: TOLERANCE_DEVIATION * CALLIPER.toleranceMm,
    };
  return { each: Math.hypot((0.05 * (isBall ? 2 : 1)) / Math.sqrt(12), 0.1 / Math.sqrt(12)), shared: 0 };
}

/** Weighs a piece and measures its edges. @returns its density, g/cm³ */
export async function measureSolid(
  hands: Hands,
  plan: Plan,
  lot: number,
  tool: 'calliper' | 'ruler',
  row: number,
): Promise<Stated> {
  const { shape: kind } = hands.view().lots[lot - 1] as View['lots'][number];
  const mass = await weighsPiece(hands, lot, row);
  const edges = await measuresEdges(hands, lot, tool, row);
  const powers = EDGES[kind].map((edge) => (edge !== 'diameter' ? 1 : kind === 'sphere' ? 3 : 2));
  const shape = kind === 'block' ? 1 : kind === 'cylinder' ? Math.PI / 4 : Math.PI / 6;
  const volume = (shape * edges.reduce((product, edge, i) => product * edge ** (powers[i] as number), 1)) / 1000;
  const { each, shared } = lengthUncertainty(tool, kind === 'sphere');
  const own = edges.map((edge, i) => ((powers[i] as number) * each) / edge);
  const common = edges.reduce((sum, edge, i) => sum + ((powers[i] as number) * shared) / edge, 0);
  const ofMass = weighingUncertainty(Number(plan.balance)) / mass;
  const density = mass / volume;
  return { density, uncertainty: density * Math.hypot(...own, common, ofMass) };
}

interface DisplacementHabits {
  vessel: number;
  /** Pieces added for each row. */
  amounts: readonly number[];
  lot: number;
  /** First row that is free. */
  row: number;
  knocks?: boolean;
  how?: 'lower' | 'drop';
  /** Height of the eye over the surface, mm, where a careless student leaves it after the first reading. */
  eyeMm?: number;
}

/** Mass against displaced volume for growing amounts, in a cylinder that stands tared on the balance. */
export async function displace(
  hands: Hands,
  habits: DisplacementHabits,
): Promise<{ volumeMl: number; massG: number }[]> {
  const { act, view } = hands;
  const { vessel, lot, eyeMm = 0, knocks = true, how = 'lower' } = habits;
  await fillsOnBalance(hands, vessel);
  await looksLevel(hands, vessel);
  const before = readLevel(view(), vessel);
  const points: { volumeMl: number; massG: number }[] = [];
  for (const [i, count] of habits.amounts.entries()) {
    const trial = habits.row + i;
    await act({ kind: 'record', trial, which: 'V1', text: before });
    await act({ kind: 'put', lot, count, into: vessel, how });
    if (knocks) await knocksAt(hands, vessel);
    const massG = await recordsMass(hands, 'm', trial);
    if (eyeMm !== 0) await act({ kind: 'eye', mm: eyeMm });
    const after = readLevel(view(), vessel, eyeMm);
    await act({ kind: 'record', trial, which: 'V2', text: after });
    points.push({ volumeMl: Number(after) - Number(before), massG });
  }
  await act({ kind: 'offPan' });
  return points;
}

/** A density bottle filled, stoppered, dried and weighed. @returns the density, g/mL */
export async function byDensityBottle(
  hands: Hands,
  plan: Plan,
  { bottle, from, row }: { bottle: number; from: number; row: number },
): Promise<Stated> {
  await hands.act({ kind: 'tare' });
  const empty = await weighsVessel(hands, bottle, 'm1', row);
  const engraved = await fillsBottle(hands, from, bottle, row);
  const mass = (await weighsVessel(hands, bottle, 'm2', row)) - empty;
  const density = mass / engraved;
  const ofMass = weighingUncertainty(Number(plan.balance)) / mass;
  const ofVolume = (TOLERANCE_DEVIATION * vesselOf('density-bottle').toleranceMl) / engraved;
  return { density, uncertainty: density * Math.hypot(ofMass, ofVolume) };
}

/** The amount of a bottle poured into a cylinder by hand, read, and brought to a mark by drops. */
export async function bringToMark(hands: Hands, cylinder: number, targetMl: number): Promise<void> {
  const { act, view } = hands;
  await poursAll(hands, cylinder);
  await looksLevel(hands, cylinder);
  await act({ kind: 'record', trial: 1, which: 'V', text: readLevel(view(), cylinder) });
  await bringsTo(hands, cylinder, targetMl);
  await act({ kind: 'record', trial: 1, which: 'F', text: readLevel(view(), cylinder) });
}
