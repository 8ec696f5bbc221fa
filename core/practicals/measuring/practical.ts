import { water, type Solution } from '../../chemistry/solution';
import { massOf, volumesIn } from '../../physics/liquid';
import type { Accounts, Cause } from '../contract';
import { OWN_ACTS, type OwnAct } from './acts';
import { begin, type Bench } from './bench';
import { advance, running } from './flow';
import type { Kind } from './kind';
import { type Plan, type Slot, SLOTS } from './plan';
import { familyOf } from '../family-of';
import { besides, toldReading } from './record';
import { rowsOf, type Row } from './rows';
import { movedRows } from './uncertainty';
import { volumeOfShape } from './edges';
import { sampleSchema, type Sample } from './sample';
import { movingOf, viewOf, type Moving, type View } from './view';

/** Raised when the same acts give another bench than before. */
const MODEL = 1;

/** What can be switched off by itself, in the order in which it is told. */
function causesOf(plan: Plan): Cause[] {
  const has = (...slots: Slot[]) => slots.some((slot) => plan.slots.includes(slot));
  const displaces = has('V1', 'V2');
  const fills = has('m1', 'm2');
  const hasBottle = plan.vessels.includes('density-bottle');
  const causes: (Cause | false)[] = [
    { key: 'reading', label: 'Reading the scales' },
    has('V', 'F', 'V1', 'V2') && { key: 'parallax', label: 'The eye not level with the surface' },
    { key: 'glassware', label: 'Glassware, within its tolerance' },
    plan.balance !== null && { key: 'balance', label: 'The balance: its last digit, its drift' },
    plan.balance !== null && { key: 'settling', label: 'Weighed before the display had come to rest' },
    plan.balance !== null && { key: 'zero', label: 'The zero of the balance set for something else' },
    plan.tools.includes('calliper') && { key: 'calliper', label: 'The zero of the calliper' },
    { key: 'hands', label: 'How things were placed, poured or set' },
    displaces && { key: 'air', label: 'Air under the pieces' },
    displaces && { key: 'splash', label: 'What splashed out' },
    displaces && { key: 'floating', label: 'Pieces that floated' },
    displaces && { key: 'uncovered', label: 'Pieces that the water did not cover' },
    displaces && plan.sinker && { key: 'sinker', label: 'The sinker, in one reading and not in the other' },
    displaces && { key: 'between', label: 'Water that came or went between two readings' },
    plan.lots.length > 0 && { key: 'pieces', label: 'Mass and size of different pieces' },
    (plan.lots.length > 0 || hasBottle) && { key: 'wet', label: 'Weighing things that were wet' },
    fills && { key: 'film', label: 'What clung to the vessel from before' },
    fills && { key: 'portion', label: 'Mass and volume of different amounts' },
    fills && { key: 'vessel', label: 'The empty vessel and the full one not the same' },
    fills && hasBottle && { key: 'stopper', label: 'A density bottle weighed without its stopper' },
    fills && hasBottle && { key: 'underStopper', label: 'Air under the stopper of the density bottle' },
  ];
  return causes.filter((cause) => cause !== false);
}

/** Everything on the bench and everything that left it, by liquid; water from the tap counted against its source. */
function accounts(bench: Bench): Accounts {
  const liquids: Solution[] = [bench.waste, bench.pan.wet];
  for (const vessel of bench.vessels) liquids.push(vessel.liquid, vessel.outside);
  for (const lot of bench.pieces) for (const piece of lot) liquids.push(piece.film);
  const sum: Record<string, number> = { water: -bench.tapMl, g: -massOf(water(bench.tapMl), bench.sample.tempC) };
  for (const [id, ml] of Object.entries(volumesIn(bench.given))) sum[id] = (sum[id] ?? 0) - ml;
  sum['g'] = (sum['g'] ?? 0) - massOf(bench.given, bench.sample.tempC);
  for (const liquid of liquids) {
    for (const [id, ml] of Object.entries(volumesIn(liquid))) sum[id] = (sum[id] ?? 0) + ml;
    sum.g = (sum.g ?? 0) + massOf(liquid, bench.sample.tempC);
  }
  return sum;
}

/** Numbers that would give the sample away, or what the pieces of apparatus are off by. */
function numbersHidden(sample: Sample, bench: Bench): number[] {
  const sizes = sample.lots.flatMap(({ shape, volumesMl }) => [
    ...volumesMl,
    ...Object.values(shape).filter((value) => typeof value === 'number'),
    volumeOfShape(shape) ?? 0,
  ]);
  const own = bench.vessels.flatMap((vessel) => [vessel.scaleError, vessel.massG, vessel.liquid.volumeMl]);
  return [...sizes, ...own, bench.calliperErrorMm, bench.thermometerErrorC];
}

/** One practical of measuring, on the bench that all of them share. */
export const measuring = familyOf<Sample, Bench, OwnAct, View, Moving, Plan, Row, Pick<Kind<unknown>, 'method'>>({
  subject: 'measuring',
  book: 'densities',
  model: MODEL,
  sampleSchema,
  ...OWN_ACTS,
  begin,
  advance,
  running,
  method: (plan, { method }) => method(plan),
  view: viewOf,
  frame: movingOf,
  slots: SLOTS,
  rowsOf,
  movedRows: ({ plan }, rows, { causes }) => movedRows(plan, rows, causes?.includes('glassware') ?? true),
  toldReading,
  besides,
  causes: causesOf,
  accounts,
  hidden: numbersHidden,
});
