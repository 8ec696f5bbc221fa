import { THERMOMETERS } from '../../instruments/thermometer';
import { TOLERANCE_DEVIATION } from '../../random';
import { weighingUncertaintyG } from '../../instruments/balance';
import { readByEye } from '../uncertainty';
import type { Bench } from './bench';

import { WAVERS_KPA } from './measured';
import {
  BAROMETER_TOLERANCE_KPA,
  BULB_ML,
  DIVISION_ML,
  NECK_ML,
  ROOM_TOLERANCE_C,
  SCALE_TOLERANCE,
  SPAN_TOLERANCE,
  TUBE_DIVISION_ML,
  TUBE_TOLERANCE,
} from './pieces';
import { CARRIED, isPressure, PRESSURE_UNITS, MASSES, SLOTS_OF, syringeOf, VOLUME_SLOTS, type Slot } from './plan';
import { shifted, valueOf, type Row } from './rows';

/** Standard uncertainties of readings at this bench, and of what a careful student cannot see. */

/** Of a step, anything within which is as likely. */
const ofStep = (step: number) => step / Math.sqrt(12);

function readingUncertainty({ plan }: Bench, slot: Slot): number {
  const { kPa, decimals } = PRESSURE_UNITS[plan.unit];
  const step = kPa / 10 ** decimals;
  if (MASSES.includes(slot)) return weighingUncertaintyG(Number(plan.balance ?? '0.01'));
  if (slot === 'bar') return ofStep(step);
  if (isPressure(slot)) return Math.hypot(ofStep(step), WAVERS_KPA);
  if (slot === 't') return Math.hypot(ofStep(0.1), THERMOMETERS['digital 0.1'].noiseC, UNSEEN_C);
  if (slot === 'h') return ofStep(1);
  return slot === 'room' ? ofStep(0.1) : readByEye(plan.gear === 'collected' ? TUBE_DIVISION_ML : DIVISION_ML);
}

/** What gas and bath still differ by when both seem at rest, K; what grease still holds when a plunger was turned, mL. */
const UNSEEN_C = 0.05;

/** What a gauge that was not read open is taken to show there, kPa. */
const NOWHERE_KPA = { absolute: 101, over: 0 } as const;
/** How the volumes of real gases depart from the line, 1/K: of nitrogen, air and helium less, of carbon dioxide more. */
const DEPARTS_PER_K = 2e-5;

/** How a vapour's volume at 100 °C departs from an ideal gas's, as a part; and what an open needle gives off between weighings, g. */
const VAPOUR_DEPARTS = 0.02;
const NEEDLE_G = 0.0006;
/** How far a ruler that is held to two levels may be off, mm. */
const HEIGHT_MM = 1;

/** The rows once for each source of uncertainty, moved by one standard deviation of it. */
export function movedRows(bench: Bench, rows: readonly Row[]): Row[][] {
  const { plan } = bench;
  const slots = SLOTS_OF[plan.gear];
  const all = (of: (row: Row) => Row): Row[] => rows.map(of);
  const scaled = (slot: Slot, part: number) => all((row) => shifted(row, slot, part * (valueOf(row, slot) ?? 0)));
  const moved: Row[][] = [];
  for (const slot of slots) {
    const u = readingUncertainty(bench, slot);
    // What is read once is the same in every row; the rest is read anew in each.
    if (CARRIED.includes(slot)) moved.push(all((row) => shifted(row, slot, u)));
    else
      rows.forEach((one, i) => {
        if (valueOf(one, slot) !== undefined) moved.push(rows.map((row, j) => (i === j ? shifted(row, slot, u) : row)));
      });
    if (syringeOf(slot) !== undefined)
      moved.push(scaled(slot, TOLERANCE_DEVIATION * (plan.gear === 'collected' ? TUBE_TOLERANCE : SCALE_TOLERANCE)));
  }
  moved.push(all((row) => shifted(row, 'bar', TOLERANCE_DEVIATION * BAROMETER_TOLERANCE_KPA)));
  moved.push(all((row) => shifted(row, 'room', TOLERANCE_DEVIATION * ROOM_TOLERANCE_C)));
  moved.push(all((row) => shifted(row, 't', TOLERANCE_DEVIATION * THERMOMETERS['digital 0.1'].toleranceC)));
  if (plan.gear === 'syringe' || plan.gear === 'bulb') {
    const span = TOLERANCE_DEVIATION * SPAN_TOLERANCE;
    const over = (row: Row, slot: 'p' | 'pj') =>
      (valueOf(row, slot) ?? 0) - (valueOf(row, 'open') ?? NOWHERE_KPA[plan.gauge]);
    moved.push(
      all((row) => (['p', 'pj'] as const).reduce((now, slot) => shifted(now, slot, span * over(row, slot)), row)),
    );
  }
  if (plan.gear === 'bulb')
    // The neck stays as warm as the room: warm, the gas in the bulb pushes some into it.
    moved.push(
      all((row) => {
        const hotter = (valueOf(row, 't') ?? 0) - (valueOf(row, 'room') ?? 20);
        return shifted(row, 'p', ((valueOf(row, 'p') ?? 0) * (NECK_ML / BULB_ML) * hotter) / 295);
      }),
    );
  if (plan.gear === 'collected') moved.push(all((row) => shifted(row, 'h', TOLERANCE_DEVIATION * HEIGHT_MM)));
  if (plan.gear === 'injected') {
    moved.push(all((row) => shifted(row, 'v1', VAPOUR_DEPARTS * (valueOf(row, 'v1') ?? 0))));
    moved.push(all((row) => shifted(row, 'm2', NEEDLE_G)));
  }
  if (plan.gear === 'syringes') {
    for (const slot of VOLUME_SLOTS)
      moved.push(
        all((row) => shifted(row, slot, DEPARTS_PER_K * ((valueOf(row, 't') ?? 50) - 50) * (valueOf(row, slot) ?? 0))),
      );
    moved.push(all((row) => ({ ...row, bendPart: 1 / Math.sqrt(12) })));
  }
  return moved;
}
