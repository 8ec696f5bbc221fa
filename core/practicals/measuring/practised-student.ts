import { vesselOf } from '../../databook/vessels';
import { CALLIPER, PLACING_MM, RULER } from '../../instruments/length';
import { weighingUncertaintyG } from '../../instruments/balance';
import { mmPerMl, parallaxMm } from '../../instruments/sight';
import { TOLERANCE_DEVIATION } from '../../random';
import type { Act } from './acts';
import { EDGE_SLOTS, type Plan } from './plan';
import { EDGES } from './edges';
import type { View } from './view';

/** How a student works who knows the methods; used for demo classes, rehearsals and tests. Sees only views. */
export interface Hands {
  /** Does an act so many seconds of bench time after the last. */
  act(act: Act, afterS?: number): Promise<void> | void;
  view(): View;
}

/** A density as a student states it, with its standard uncertainty. */
export interface Stated {
  density: number;
  uncertainty: number;
}

/** Long enough for any display to come to rest, s. */
const REST_S = 3;

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
  { act, view }: Hands,
  plan: Plan,
  lot: number,
  tool: 'calliper' | 'ruler',
  row: number,
): Promise<Stated> {
  const seen = view().lots[lot - 1] as View['lots'][number];
  await act({ kind: 'tare' });
  await act({ kind: 'weighPieces', lot, count: 1 });
  await act({ kind: 'recordMass', trial: row, which: 'm' }, REST_S);
  const mass = Number(view().balance);
  await act({ kind: 'offPan' });
  const edges: number[] = [];
  const along = EDGES[seen.shape];
  for (const edge of along) {
    await act({ kind: 'measure', lot, tool, along: edge });
    const held = view().held as NonNullable<View['held']>;
    const step = tool === 'calliper' ? CALLIPER.vernierMm : RULER.divisionMm / 10;
    const text = (Math.round((held.toMm - held.fromMm) / step) * step).toFixed(tool === 'calliper' ? 2 : 1);
    await act({ kind: 'record', trial: row, which: EDGE_SLOTS[edge], text });
    edges.push(Number(text));
  }
  const powers = along.map((edge) => (edge !== 'diameter' ? 1 : seen.shape === 'sphere' ? 3 : 2));
  const shape = seen.shape === 'block' ? 1 : seen.shape === 'cylinder' ? Math.PI / 4 : Math.PI / 6;
  const volume = (shape * edges.reduce((product, edge, i) => product * edge ** (powers[i] as number), 1)) / 1000;
  const { each, shared } = lengthUncertainty(tool, seen.shape === 'sphere');
  const own = edges.map((edge, i) => ((powers[i] as number) * each) / edge);
  const common = edges.reduce((sum, edge, i) => sum + ((powers[i] as number) * shared) / edge, 0);
  const ofMass = weighingUncertainty(Number(plan.balance)) / mass;
  const density = mass / volume;
  return { density, uncertainty: density * Math.hypot(...own, common, ofMass) };
}

/** The level that an eye reads on a scale, so far above the surface, as text to a tenth of a division. */
function readLevel(view: View, number: number, eyeMm = 0): string {
  const vessel = view.vessels[number - 1] as View['vessels'][number];
  const division = vesselOf(vessel.type).divisionMl as number;
  const finest = division / 10;
  const { innerDiameterMm } = vesselOf(vessel.type);
  const shift = parallaxMm(eyeMm, innerDiameterMm) / mmPerMl(innerDiameterMm);
  const level = (view.levels[number - 1] as number) + shift;
  return (Math.round(level / finest) * finest).toFixed(finest >= 0.1 ? 1 : 2);
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
  const { capacityMl } = vesselOf((view().vessels[vessel - 1] as View['vessels'][number]).type);
  await act({ kind: 'tap', into: vessel, opening: 'stream' });
  await act({ kind: 'tap', into: vessel, opening: 'off' }, (0.45 * capacityMl) / 12);
  await act({ kind: 'weigh', vessel });
  await act({ kind: 'tare' }, REST_S);
  await act({ kind: 'look', at: 'vessel', n: vessel });
  await act({ kind: 'eye', mm: 0 });
  const before = readLevel(view(), vessel);
  const points: { volumeMl: number; massG: number }[] = [];
  for (const [i, count] of habits.amounts.entries()) {
    const trial = habits.row + i;
    await act({ kind: 'record', trial, which: 'V1', text: before });
    await act({ kind: 'put', lot, count, into: vessel, how });
    if (knocks) for (let k = 0; k < 3; k++) await act({ kind: 'knock', vessel });
    await act({ kind: 'recordMass', trial, which: 'm' }, REST_S);
    if (eyeMm !== 0) await act({ kind: 'eye', mm: eyeMm });
    const after = readLevel(view(), vessel, eyeMm);
    await act({ kind: 'record', trial, which: 'V2', text: after });
    points.push({ volumeMl: Number(after) - Number(before), massG: Number(view().balance) });
  }
  await act({ kind: 'offPan' });
  return points;
}

/** A density bottle filled, stoppered, dried and weighed. @returns the density, g/mL */
export async function byDensityBottle(
  { act, view }: Hands,
  plan: Plan,
  { bottle, from, row }: { bottle: number; from: number; row: number },
): Promise<Stated> {
  await act({ kind: 'tare' });
  await act({ kind: 'weigh', vessel: bottle });
  await act({ kind: 'recordMass', trial: row, which: 'm1' }, REST_S);
  const empty = Number(view().balance);
  await act({ kind: 'offPan' });
  await act({ kind: 'pour', from, to: bottle, ml: 25.8 });
  await act({ kind: 'stopper', vessel: bottle, on: true });
  await act({ kind: 'dry', vessel: bottle });
  await act({ kind: 'look', at: 'vessel', n: bottle });
  const engraved = view().vessels[bottle - 1]?.engraved ?? '25.000';
  await act({ kind: 'record', trial: row, which: 'V', text: engraved });
  await act({ kind: 'weigh', vessel: bottle });
  await act({ kind: 'recordMass', trial: row, which: 'm2' }, REST_S);
  const mass = Number(view().balance) - empty;
  await act({ kind: 'offPan' });
  const density = mass / Number(engraved);
  const ofMass = weighingUncertainty(Number(plan.balance)) / mass;
  const ofVolume = (TOLERANCE_DEVIATION * vesselOf('density-bottle').toleranceMl) / Number(engraved);
  return { density, uncertainty: density * Math.hypot(ofMass, ofVolume) };
}

/** The temperature that the thermometer tells, °C. */
export async function readThermometer({ act, view }: Hands, row: number): Promise<number> {
  await act({ kind: 'look', at: 'thermometer', n: 0 });
  const text = (view().thermometerC ?? 20).toFixed(1);
  await act({ kind: 'record', trial: row, which: 'T', text });
  return Number(text);
}

/** The amount of a bottle poured into a cylinder by hand, read, and brought to a mark by drops. */
export async function bringToMark({ act, view }: Hands, cylinder: number, targetMl: number): Promise<void> {
  await act({ kind: 'tilt', from: 1, to: cylinder, degrees: 100 });
  for (let i = 0; i < 60 && !view().vessels[0]?.empty; i++) await act({ kind: 'wait' }, 1);
  await act({ kind: 'tilt', from: 1, to: cylinder, degrees: 0 });
  await act({ kind: 'look', at: 'vessel', n: cylinder });
  await act({ kind: 'eye', mm: 0 });
  await act({ kind: 'record', trial: 1, which: 'V', text: readLevel(view(), cylinder) });
  const over = (view().levels[cylinder - 1] as number) - targetMl;
  if (over > 0.5) await act({ kind: 'pour', from: cylinder, to: 1, ml: Math.max(over - 0.5, 0.1) });
  const away = () => (view().levels[cylinder - 1] as number) - targetMl;
  for (let i = 0; i < 60 && away() > 0.03; i++) await act({ kind: 'drops', from: cylinder, to: 1, drops: 1 });
  for (let i = 0; i < 60 && away() < -0.03; i++) await act({ kind: 'drops', from: 1, to: cylinder, drops: 1 });
  await act({ kind: 'record', trial: 1, which: 'F', text: readLevel(view(), cylinder) });
}
