import type { Cause } from '../contract';
import { familyOf } from '../family-of';
import { accountsOf } from './account';
import { OWN_ACTS, type OwnAct } from './acts';
import type { Bench } from './bench';
import { begin } from './begin';
import { advance } from './going-on/flow';
import { running } from './going-on/running';
import type { Kind } from './kind';
import { metalJPerK } from './matter';
import { isByEye, isMass, isVolume, type Plan, SLOTS } from './plan';
import { besides, toldReading } from './record';
import { asDrawn, rowsOf } from './reading/rows';
import type { Row } from './reading/row';
import { sampleSchema, type Sample } from './sample';
import { movedRows } from './reading/uncertainty';
import { movingOf, viewOf, type Moving, type View } from './view';

/** Raised when the same acts give another bench than before. */
const MODEL = 1;

type Own = Pick<Kind<unknown>, 'isVesselTold' | 'unseen' | 'method'>;

const WEIGHING: readonly Cause[] = [
  { key: 'portion', label: 'Liquid that came or went after it was weighed' },
  { key: 'cup', label: 'Another cup weighed empty than used' },
  { key: 'balance', label: 'The balance: its last digit, its drift' },
  { key: 'settling', label: 'Weighed before the display had come to rest' },
  { key: 'warm', label: 'Weighed while it was warm' },
];

const BURNING: readonly Cause[] = [
  { key: 'burning', label: 'Too little oxygen: not all of the pellet burnt' },
  { key: 'pellet', label: 'Another pellet weighed than burnt' },
  { key: 'wire', label: 'Another length of wire recorded than burnt' },
];

const LINES: Cause = {
  key: 'lines',
  label: 'Where the lines cross: points that belong to neither, a bath too cold, no stirring, a log too coarse',
};

const FREEZING: readonly Cause[] = [
  { key: 'solute', label: 'Solute that was weighed and not put in, or put in and not weighed' },
];

const LAMPS: readonly Cause[] = [
  { key: 'distance', label: 'How far the flame was from the can, and whether a screen stood around it' },
  { key: 'flame', label: 'The draught: no two flames burn alike' },
  { key: 'soot', label: 'Fuel that went up as soot' },
  { key: 'wick', label: 'Fuel that dried off an open wick' },
];

/** What can be switched off by itself, in the order in which it is told. */
function causesOf(plan: Plan, { isVesselTold }: Own): Cause[] {
  const causes: (Cause | false)[] = [
    isByEye(plan) && { key: 'reading', label: 'Reading the thermometer by eye' },
    { key: 'probe', label: 'The thermometer: its error, its lag, its last digit' },
    plan.losses && { key: 'room', label: 'Heat that went to the room' },
    plan.losses && { key: 'stirring', label: 'Heat of stirring' },
    isVesselTold && { key: 'vessel', label: 'The vessel: its heat capacity is not quite what the data book says' },
    !plan.points && !plan.tube && { key: 'agree', label: 'Read before all in the cup was as warm' },
    plan.beaker && plan.losses && { key: 'pouring', label: 'Heat that was lost in pouring' },
    plan.metal !== null && { key: 'cold', label: 'The metal taken out before it was hot' },
    plan.metal !== null && plan.losses && { key: 'tongs', label: 'Time in the tongs' },
    plan.metal !== null &&
      plan.losses && { key: 'carried', label: 'Water on the metal: what it brought over, and what dried off' },
    plan.metal !== null && { key: 'pieces', label: 'Another piece of metal weighed than used' },
    plan.salt && { key: 'boat', label: 'Salt that was left on the boat' },
    plan.salt && { key: 'undissolved', label: 'Salt that had not dissolved' },
    plan.tube !== null && LINES,
    ...(plan.tube?.isSolution ? FREEZING : []),
    plan.tube !== null &&
      plan.thermometers > 1 && { key: 'swapped', label: 'Another thermometer in the second freezing' },
    ...(plan.sealed ? BURNING : []),
    ...(plan.lamps.length > 0 ? LAMPS : []),
    ...(plan.slots.some(isMass) ? WEIGHING : []),
    plan.slots.some(isVolume) && {
      key: 'glassware',
      label: 'What liquids were measured out with, within its tolerance',
    },
    { key: 'hands', label: 'How things were measured out by hand' },
  ];
  return causes.filter((cause) => cause !== false);
}

/** Numbers that would give the sample away, or what the apparatus is off by. */
function numbersHidden(sample: Sample, bench: Bench): number[] {
  const { cup, beaker } = bench.vessels;
  const own = [cup, beaker].flatMap((vessel) => [
    vessel.massG,
    vessel.wallJPerK,
    vessel.liquid.volumeMl,
    vessel.liquidC,
  ]);
  const metal = sample.metal?.piecesG.flatMap((grams, i) => [grams, metalJPerK(bench, i)]) ?? [];
  const errors = bench.thermometers.flatMap(({ piece, tipC }) => [piece.errorC, tipC]);
  const dissolved = sample.bottles.flatMap(({ molPerL }) => Object.values(molPerL));
  const fire = [
    bench.sealed?.jPerK ?? 0,
    bench.sealed?.tempC ?? 0,
    bench.pellet?.g ?? 0,
    bench.burnt?.g ?? 0,
    bench.tube?.massG ?? 0,
    bench.tube?.tempC ?? 0,
    bench.tube?.substanceG ?? 0,
    bench.tube?.otherG ?? 0,
    bench.tube?.soluteMol ?? 0,
    bench.tube?.until ?? 0,
    ...bench.lamps.flatMap(({ fuelG, bodyG }) => [fuelG, bodyG]),
  ];
  return [...own, ...fire, ...metal, ...errors, ...dissolved, sample.capacity, bench.boat.massG];
}

/** One practical of heat, on the bench that all of them share. */
export const heat = familyOf<Sample, Bench, OwnAct, View, Moving, Plan, Row, Own>({
  subject: 'heat',
  book: 'heats',
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
  drawnRows: (bench) => rowsOf(bench).map((row) => asDrawn(row) ?? row),
  movedRows: ({ plan }, rows, kind) => movedRows(plan, rows, kind),
  toldReading,
  besides,
  causes: causesOf,
  accounts: accountsOf,
  hidden: numbersHidden,
});
