import type { Step } from '../contract';
import type { Bench } from './bench';
import { EDGE_SLOTS, slotName, type Plan, type Slot } from './plan';
import { pairOf } from './pairs';
import { rowsOf, type Row } from './rows';
import { EDGES } from './edges';

const VERBS: Record<Slot, string> = {
  Z: 'Close the jaws on nothing; read',
  V: 'Read',
  F: 'Bring it to the mark and read',
  V1: 'Read',
  V2: 'Put the pieces in; read',
  T: 'Read',
  m: 'Weigh; record',
  m1: 'Weigh; record',
  m2: 'Weigh again; record',
  l: 'Measure',
  w: 'Measure',
  h: 'Measure',
  d: 'Measure',
};

const AMOUNTS: Record<number, string> = { 6: 'six' };

/** How many unknowns there are to be measured. */
const unknownsOf = ({ lots, bottles }: Plan) => Math.max(lots.length || bottles.length, 1);

/** Whether every unknown has as many whole trials as the brief asks for, and none that counts is half recorded. */
function isEnough(bench: Bench, rows: readonly Row[]): boolean {
  const { plan } = bench;
  const wanted = Math.max(plan.amounts, 2);
  const isWhole = (row: Row) => pairOf(row) !== undefined;
  const own = (row: Row) => plan.slots.some((slot) => slot !== 'T' && slot !== 'Z' && row.readings[slot]);
  if (rows.some((row) => own(row) && !isWhole(row))) return false;
  return everyUnknown(plan, (lot) => rows.filter((row) => row.lot === lot && isWhole(row)).length >= wanted);
}

const everyUnknown = (plan: Plan, has: (lot: number) => boolean) =>
  Array.from({ length: unknownsOf(plan) }, (_, lot) => lot).every(has);

/** The method, each step done when the bench shows it or the student has ticked it; in no forced order. */
export function stepsOf(bench: Bench): Step[] {
  const { plan } = bench;
  const rows = rowsOf(bench);
  const edges: readonly Slot[] = Object.values(EDGE_SLOTS);
  const hasEdges = plan.slots.some((slot) => edges.includes(slot));
  const single = plan.slots.filter((slot) => !edges.includes(slot));
  // The room has one temperature and the calliper one zero; all else is read of every unknown.
  const isRead = (slot: Slot) =>
    slot === 'T' || slot === 'Z'
      ? rows.some((row) => row.readings[slot])
      : everyUnknown(plan, (lot) => rows.some((row) => row.lot === lot && row.readings[slot]));
  const hasAllEdges = (row: Row) =>
    row.shape !== null && EDGES[row.shape].every((along) => row.readings[EDGE_SLOTS[along]]);
  const steps: Step[] = single.map((slot) => ({
    key: slot,
    label: `${VERBS[slot]} the ${slotName(plan, slot)}${ofEach(plan, slot)}`,
    done: isRead(slot) || bench.ticked.includes(slot),
  }));
  if (hasEdges)
    steps.push({
      key: 'l',
      label: `Measure every edge or diameter that the volume needs${ofEach(plan, 'l')}`,
      done:
        everyUnknown(plan, (lot) => rows.some((row) => row.lot === lot && hasAllEdges(row))) ||
        bench.ticked.includes('l'),
    });
  if (!plan.slots.includes('F'))
    steps.push({
      key: 'again',
      label:
        plan.amounts > 1
          ? `At least ${AMOUNTS[plan.amounts] ?? plan.amounts} amounts${ofEach(plan, 'm')}, a trial for each, mass and volumes recorded`
          : `At least two whole trials${ofEach(plan, 'm')}: other amounts, or the same once more`,
      done: isEnough(bench, rows) || bench.ticked.includes('again'),
    });
  return steps;
}

/** ", of A, B and C" where there are several unknowns. */
function ofEach(plan: Plan, slot: Slot): string {
  const letters = plan.lots.length > 0 ? plan.lots : plan.bottles;
  if (letters.length < 2 || slot === 'T' || slot === 'Z') return '';
  return `, of ${letters.slice(0, -1).join(', ')} and ${letters.at(-1)}`;
}
