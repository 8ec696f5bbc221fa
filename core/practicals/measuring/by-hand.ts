import { vesselOf } from '../../databook/vessels';
import { CALLIPER, RULER } from '../../instruments/length';
import { mmPerMl, parallaxMm } from '../../instruments/sight';
import type { HandsOf } from '../method';
import type { OwnAct } from './acts';
import { EDGES } from './edges';
import { EDGE_SLOTS, type MassSlot } from './plan';
import type { View } from './view';

/** What students do at the bench of measuring, whatever the practical. They see only views. */

export type Hands = HandsOf<OwnAct, View>;

/** Long enough for any display to come to rest, s. */
export const REST_S = 3;

/** The level that an eye reads on a scale, so far above the surface, as text to a tenth of a division. */
export function readLevel(view: View, number: number, eyeMm = 0): string {
  const vessel = view.vessels[number - 1] as View['vessels'][number];
  const division = vesselOf(vessel.type).divisionMl as number;
  const finest = division / 10;
  const { innerDiameterMm } = vesselOf(vessel.type);
  const shift = parallaxMm(eyeMm, innerDiameterMm) / mmPerMl(innerDiameterMm);
  const level = (view.levels[number - 1] as number) + shift;
  return (Math.round(level / finest) * finest).toFixed(finest >= 0.1 ? 1 : 2);
}

export async function looksLevel({ act }: Hands, vessel: number): Promise<void> {
  await act({ kind: 'look', at: 'vessel', n: vessel });
  await act({ kind: 'eye', mm: 0 });
}

/** Records what the balance shows, at rest. @returns that mass, g */
export async function recordsMass({ act, view }: Hands, which: MassSlot, trial: number): Promise<number> {
  await act({ kind: 'recordMass', trial, which }, REST_S);
  return Number(view().balance);
}

/** Weighs a piece alone. @returns its mass, g */
export async function weighsPiece(hands: Hands, lot: number, trial: number): Promise<number> {
  await hands.act({ kind: 'tare' });
  await hands.act({ kind: 'weighPieces', lot, count: 1 });
  const massG = await recordsMass(hands, 'm', trial);
  await hands.act({ kind: 'offPan' });
  return massG;
}

/** What is held in a tool, as an eye reads it: with the vernier, or to a tenth of a division. */
export function readTool(view: View, tool: 'calliper' | 'ruler'): string {
  const { fromMm, toMm } = view.held as NonNullable<View['held']>;
  const step = tool === 'calliper' ? CALLIPER.vernierMm : RULER.divisionMm / 10;
  return (Math.round((toMm - fromMm) / step) * step).toFixed(tool === 'calliper' ? 2 : 1);
}

/** Measures each edge that the volume needs. @returns the edges in the order of their shape, mm */
export async function measuresEdges(
  { act, view }: Hands,
  lot: number,
  tool: 'calliper' | 'ruler',
  trial: number,
): Promise<number[]> {
  const edges: number[] = [];
  for (const along of EDGES[(view().lots[lot - 1] as View['lots'][number]).shape]) {
    await act({ kind: 'measure', lot, tool, along });
    const text = readTool(view(), tool);
    await act({ kind: 'record', trial, which: EDGE_SLOTS[along], text });
    edges.push(Number(text));
  }
  return edges;
}

/** Fills a cylinder nearly half with water and sets the balance, with the cylinder on it, to zero. */
export async function fillsOnBalance({ act, view }: Hands, vessel: number): Promise<void> {
  const { capacityMl } = vesselOf((view().vessels[vessel - 1] as View['vessels'][number]).type);
  await act({ kind: 'tap', into: vessel, opening: 'stream' });
  await act({ kind: 'tap', into: vessel, opening: 'off' }, (0.45 * capacityMl) / 12);
  await act({ kind: 'weigh', vessel });
  await act({ kind: 'tare' }, REST_S);
}

export async function knocks({ act }: Hands, vessel: number): Promise<void> {
  for (let k = 0; k < 3; k++) await act({ kind: 'knock', vessel });
}

/** The temperature that the thermometer tells, °C. */
export async function readThermometer({ act, view }: Hands, trial: number): Promise<number> {
  await act({ kind: 'look', at: 'thermometer', n: 0 });
  const text = (view().thermometerC ?? 20).toFixed(1);
  await act({ kind: 'record', trial, which: 'T', text });
  return Number(text);
}

/** Weighs a vessel, empty or full. @returns what the balance shows, g */
export async function weighsVessel(hands: Hands, vessel: number, which: 'm1' | 'm2', trial: number): Promise<number> {
  await hands.act({ kind: 'weigh', vessel });
  const massG = await recordsMass(hands, which, trial);
  await hands.act({ kind: 'offPan' });
  return massG;
}

/** Fills a density bottle to the top, puts its stopper in and dries it. @returns the volume engraved on it, mL */
export async function fillsBottle({ act, view }: Hands, from: number, bottle: number, trial: number): Promise<number> {
  await act({ kind: 'pour', from, to: bottle, ml: 25.8 });
  await act({ kind: 'stopper', vessel: bottle, on: true });
  await act({ kind: 'dry', vessel: bottle });
  await act({ kind: 'look', at: 'vessel', n: bottle });
  const engraved = view().vessels[bottle - 1]?.engraved ?? '25.000';
  await act({ kind: 'record', trial, which: 'V', text: engraved });
  return Number(engraved);
}

/** Pours a whole bottle into a cylinder by hand. */
export async function poursAll({ act, view }: Hands, cylinder: number): Promise<void> {
  await act({ kind: 'tilt', from: 1, to: cylinder, degrees: 100 });
  for (let i = 0; i < 60 && !view().vessels[0]?.empty; i++) await act({ kind: 'wait' }, 1);
  await act({ kind: 'tilt', from: 1, to: cylinder, degrees: 0 });
}

/** Brings the surface in a cylinder to a mark, the last of it by drops. */
export async function bringsTo({ act, view }: Hands, cylinder: number, targetMl: number): Promise<void> {
  const over = (view().levels[cylinder - 1] as number) - targetMl;
  if (over > 0.5) await act({ kind: 'pour', from: cylinder, to: 1, ml: Math.max(over - 0.5, 0.1) });
  const away = () => (view().levels[cylinder - 1] as number) - targetMl;
  for (let i = 0; i < 60 && away() > 0.03; i++) await act({ kind: 'drops', from: cylinder, to: 1, drops: 1 });
  for (let i = 0; i < 60 && away() < -0.03; i++) await act({ kind: 'drops', from: 1, to: cylinder, drops: 1 });
}
