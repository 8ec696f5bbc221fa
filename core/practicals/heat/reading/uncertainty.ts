import { HEAT_VESSEL_TOLERANCE } from '../../../databook/heat-vessels';
import { weighingUncertaintyG } from '../../../instruments/balance';
import { THERMOMETERS } from '../../../instruments/thermometer';
import { TOLERANCE_DEVIATION } from '../../../random';
import { readByEye } from '../../uncertainty';
import type { Kind } from '../kind';
import { MEASURED } from './measured';
import { isLength, isMass, isTemp, isVolume, type Plan, type Slot } from '../plan';
import { meanOf } from './rows';
import type { Row, RowReading } from './row';

/** Standard uncertainties of readings at the bench of heat: each one's own, and what all of one instrument share. */

/** Of one reading of a thermometer, K: what the eye or the last digit leaves open, and what the display wavers by. */
function readK({ thermometer }: Plan): number {
  const { reads, noiseC } = THERMOMETERS[thermometer];
  return 'divisionC' in reads ? readByEye(reads.divisionC) : Math.hypot(noiseC, reads.stepC / Math.sqrt(12));
}

/** Of a length read to the millimetre, cm. */
const RULE_CM = 0.1 / Math.sqrt(12);

type Shift = (slot: Slot, reading: RowReading) => number;

const shifted = (rows: readonly Row[], by: Shift): Row[] =>
  rows.map((row) => {
    const readings: Partial<Record<Slot, RowReading>> = {};
    for (const [slot, reading] of Object.entries(row.readings))
      readings[slot as Slot] = { ...reading, value: reading.value + by(slot as Slot, reading) };
    return { ...row, readings };
  });

/**
 * The rows once for each source of uncertainty, moved by one standard deviation of it.
 */
export function movedRows(
  plan: Plan,
  rows: readonly Row[],
  { isVesselTold, unseen }: Pick<Kind<never>, 'isVesselTold' | 'unseen'>,
): Row[][] {
  const slots = new Map<number, Slot>();
  for (const row of rows) for (const [slot, { index }] of Object.entries(row.readings)) slots.set(index, slot as Slot);
  const weighed = weighingUncertaintyG(Number(plan.balance));
  const measured = MEASURED[plan.measure];
  const own = (slot: Slot) =>
    isMass(slot) ? weighed : isLength(slot) ? RULE_CM : isTemp(slot) ? readK(plan) : measured.handMl;
  const each = [...slots].map(([index, slot]) =>
    shifted(rows, (_, reading) => (reading.index === index ? own(slot) : 0)),
  );
  const off = TOLERANCE_DEVIATION * THERMOMETERS[plan.thermometer].toleranceC;
  const shared = Array.from({ length: plan.thermometers }, (_, n) =>
    shifted(rows, (slot, { about }) => (isTemp(slot) && about.thermometer === n ? off : 0)),
  );
  // All that one piece measured out is off by the same part.
  const volumes = shifted(rows, (slot, { value }) =>
    isVolume(slot) ? TOLERANCE_DEVIATION * measured.tolerance * value : 0,
  );
  // One of a batch lies anywhere within its tolerance.
  const vessel = rows.map((row) => ({ ...row, vesselPart: 1 + HEAT_VESSEL_TOLERANCE / Math.sqrt(3) }));
  const stepOf = ({ readings: { T1, T2 } }: Row) => (T1 && T2 ? T2.value - T1.value : 0);
  const depressionOf = ({ readings: { T0, Tf } }: Row) => (T0 && Tf ? T0.value - Tf.value : 0);
  // Of a mixture: how much lower it freezes than the samples by themselves.
  const aloneC = meanOf(rows, ({ readings: { TA, TB } }) => (TA ?? TB)?.value);
  const fallOf = (mixtureC: number) => Math.max((aloneC ?? mixtureC) - mixtureC, 0);
  // Along a series it grows from point to point.
  const grown = (i: number) => (plan.points ? (i + 1) / rows.length : 1);
  const loses = (row: Row, i: number): Row =>
    shifted([row], (slot) =>
      slot === 'T2'
        ? unseen.part * grown(i) * stepOf(row) + unseen.kelvin
        : slot === 'Tf' && plan.tube
          ? unseen.part * depressionOf(row) + unseen.kelvin
          : slot === 'TM' && row.readings.TM
            ? unseen.part * fallOf(row.readings.TM.value) + unseen.kelvin
            : 0,
    )[0] as Row;
  const lost = unseen.ofEach
    ? rows.map((_, n) => rows.map((row, i) => (i === n ? loses(row, i) : row)))
    : [rows.map(loses)];
  return [...each, ...shared, volumes, ...(isVesselTold ? [vessel] : []), ...(plan.losses ? lost : [])];
}
