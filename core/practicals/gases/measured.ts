import { fixed } from '../../analysis/quantity';
import { indicatedC, shownText } from '../../instruments/thermometer';
import { chance } from '../../random';
import type { About, Bench } from './bench';
import { enclosedKPa } from './enclosed';
import { fizzes, gasMl, heightMm } from './collected';
import { turned } from './free';
import { balanceText, loadOf } from './injector';
import { DIVISION_ML, SYRINGE_ML, TUBE_DIVISION_ML, TUBE_ML } from './pieces';
import { PRESSURE_UNITS, syringeOf, type Slot } from './plan';
import type { Scale } from '../../instruments/scale';

/** What the instruments show, and what stands behind it. */

/** What the display of a gauge wavers by, kPa. */
export const WAVERS_KPA = 0.03;
/** It is looked at so often a second. */
const LOOKS_PER_S = 2;

const lookAt = ({ timeS }: Bench): number => Math.floor(timeS * LOOKS_PER_S);

/** What the gauge shows if its display went on, in kPa: off by its zero at the room's pressure, and by its span for what is over that. */
function gaugeKPa(bench: Bench): number {
  const { plan, sample, span, off } = bench;
  const over = enclosedKPa(bench) - sample.roomKPa;
  const zero = off.includes('zero') ? 0 : sample.zeroKPa;
  return (plan.gauge === 'over' ? 0 : sample.roomKPa) + over * (1 + span) + zero;
}

const inUnit = ({ plan }: Bench, kPa: number): string => {
  const { kPa: one, decimals } = PRESSURE_UNITS[plan.unit];
  return fixed(kPa / one, decimals);
};

export function gaugeText(bench: Bench): string {
  const source = chance(bench.seed, `look ${lookAt(bench)}`);
  const wavers = bench.off.includes('gauge') ? 0 : WAVERS_KPA * Math.max(-3, Math.min(3, source.normal()));
  return inUnit(bench, gaugeKPa(bench) + wavers);
}

const barometerKPa = ({ sample, barometerErrorKPa }: Bench): number => sample.roomKPa + barometerErrorKPa;
export const barometerText = (bench: Bench): string => inUnit(bench, barometerKPa(bench));
export const roomText = ({ sample, roomErrorC }: Bench): string => fixed(sample.roomC + roomErrorC, 1);

export const bathText = (bench: Bench): string =>
  shownText(bench.thermometer, bench.bath.sensedC, bench.off.includes('probe') ? null : bench.seed, lookAt(bench)) ??
  '';

/** What the scale of a syringe shows at its plunger, mL. @param place of the syringe, from 0 */
export function scaleMl(bench: Bench, place: number): number {
  const { plungerMl, scale, free, collected } = bench;
  if (collected) return gasMl(bench) / (1 + collected.scale);
  const one = free[place];
  const [there, error] = one ? [one.ml, one.scale] : [plungerMl, scale];
  return there / (1 + error);
}

const TUBE_SCALE: Scale = {
  instrument: 'gas tube',
  min: 0,
  max: TUBE_ML,
  division: TUBE_DIVISION_ML,
  decimals: 2,
  unit: 'mL',
};
/** Less than nothing where the water stands lower inside. */
const RULER_SCALE: Scale = {
  instrument: 'ruler',
  min: -300,
  max: 300,
  division: 1,
  finest: 1,
  decimals: 0,
  unit: 'mm',
};

const SYRINGE_SCALE: Scale = {
  instrument: 'syringe',
  min: 0,
  max: SYRINGE_ML,
  division: DIVISION_ML,
  decimals: 1,
  unit: 'mL',
};

/** The scale that a slot is read on by eye, and what it shows finer; null of what an instrument shows by itself. */
export function seenOn(bench: Bench, slot: Slot): { scale: Scale; shown: number } | null {
  if (slot === 'h') return { scale: RULER_SCALE, shown: heightMm(bench) };
  const place = syringeOf(slot);
  if (place === undefined) return null;
  return { scale: bench.collected ? TUBE_SCALE : SYRINGE_SCALE, shown: scaleMl(bench, place) };
}

/** What an instrument that shows its reading by itself shows, and what would stand there finer; null of what is read by eye. */
export function shownOf(bench: Bench, slot: Slot): { text: string; shown: number } | null {
  const perUnit = PRESSURE_UNITS[bench.plan.unit].kPa;
  switch (slot) {
    case 'bar':
      return { text: barometerText(bench), shown: barometerKPa(bench) / perUnit };
    case 'room':
      return { text: roomText(bench), shown: bench.sample.roomC + bench.roomErrorC };
    case 'h':
      return null;
    case 'm':
    case 'm1':
    case 'm2':
      return { text: balanceText(bench) ?? '', shown: loadOf(bench) - bench.pan.tareG };
    case 't': {
      const { thermometer, collected, sample, bath } = bench;
      if (!collected) return { text: bathText(bench), shown: indicatedC(thermometer, bath.sensedC) };
      const shown = indicatedC(thermometer, sample.waterC);
      return { text: fixed(shown, 1), shown };
    }
    default:
      return syringeOf(slot) === undefined ? { text: gaugeText(bench), shown: gaugeKPa(bench) / perUnit } : null;
  }
}

/** How far a plunger in a bath stands from where both sides push alike, mL: what its grease holds. */
function heldBackMl({ free, sample, off }: Bench, which: Slot): number {
  const one = free[syringeOf(which) ?? 0];
  return one ? Math.abs(one.ml - turned(one, sample.roomKPa, off).ml) : 0;
}

export const aboutNow = (bench: Bench, which: Slot): About => ({
  joint: bench.joint,
  at: bench.at,
  heldBackMl: heldBackMl(bench, which),
  fill: bench.fills,
  mol: bench.gasMol,
  gasC: bench.gasC,
  kPa: enclosedKPa(bench),
  bathC: bench.bath.tempC,
  overWater: bench.collected && {
    mm: heightMm(bench),
    airMl: (bench.collected.airMol * gasMl(bench)) / (bench.collected.airMol + bench.collected.hydrogenMol),
    isDissolved: bench.collected.hydrogenMol > 0 && !fizzes(bench.collected),
  },
  stopper: bench.injector && { on: bench.injector.isStoppered, g: bench.injector.stopperG },
});
