import { recordTyped } from '../recording-acts';
import { done, refuse } from '../hands';
import { meniscusMm, mmPerMl, parallaxMm } from '../../instruments/sight';
import { type Scale } from '../../instruments/scale';
import { scaleOf as thermometerScale } from '../../instruments/thermometer';
import { TOOL_SCALES } from '../../instruments/length';
import type { Outcome } from '../contract';
import { standingIn } from '../standing';
import { find } from './act-parts';
import { aboutVessel } from './about';
import { entryOf, levelOf, lotIn, vesselAt, type Bench, type Vessel } from './bench';
import { shownMassG } from './balance-acts';
import { NOTHING, NOT_TARED } from './parts';
import type { TYPED_SLOTS } from './plan';
import { EDGE_SLOTS, MASS_SLOTS, SLOTS, type Slot, type TypedSlot } from './plan';
import { ALONG, type Along } from './edges';

/** Where the eye is, and what it reads. */

const MOST_EYE_MM = 120;

export function look(bench: Bench, { at, n }: { at: 'vessel' | 'tool' | 'thermometer'; n: number }): Outcome<Bench> {
  if (at === 'vessel') {
    const vessel = find(bench, n);
    if ('refusal' in vessel) return vessel;
  }
  if (at === 'thermometer' && !bench.plan.thermometer) return refuse('There is no thermometer at this bench.');
  if (at === 'tool' && !bench.held) return refuse('Nothing is held in a tool. Measure something first.');
  // A new thing is looked at from where the head happens to be: a little too high, as people stand.
  const eyeMm = at === bench.look.at && n === bench.look.n ? bench.eyeMm : 30;
  return done({ ...bench, look: { at, n }, eyeMm });
}

export function eye(bench: Bench, { mm }: { mm: number }): Outcome<Bench> {
  if (!(Math.abs(mm) <= MOST_EYE_MM)) return refuse(`The eye can be ${MOST_EYE_MM} mm higher or lower at most.`);
  return done({ ...bench, eyeMm: mm });
}

/** The scale of a graduated vessel. */
function scaleOf(vessel: Vessel): Scale | undefined {
  const { divisionMl, capacityMl, name, lowestMl } = entryOf(vessel);
  if (divisionMl === null) return undefined;
  const finest = divisionMl / 10;
  return {
    instrument: name,
    min: Math.min(lowestMl, divisionMl),
    max: capacityMl,
    division: divisionMl,
    decimals: finest >= 1 ? 0 : finest >= 0.1 ? 1 : 2,
    unit: 'mL',
  };
}

/** What an eye at its height is shown by a scale: what stands there, and how far the parallax moves it. */
interface Seen {
  /** The vessel that it is seen on; null for a tool or the thermometer. */
  vessel?: number;
  scale: Scale;
  shown: number;
  parallax: number;
  lot: number | null;
}

/** The engraved volume of a density bottle, and how exactly it is known. */
const ENGRAVED: Scale = {
  instrument: 'density bottle',
  min: 20,
  max: 30,
  division: 0.001,
  finest: 0.001,
  decimals: 3,
  unit: 'mL',
};

/** What is engraved on a density bottle: the volume that it was adjusted to, mL. */
export const engravedMl = (vessel: Vessel): number =>
  Math.round(1000 * entryOf(vessel).capacityMl * (1 + vessel.adjusted)) / 1000;

function seenVolume(bench: Bench): Seen | { refusal: string } {
  const { at, n } = bench.look;
  const vessel = at === 'vessel' ? vesselAt(bench, n) : undefined;
  if (!vessel) return { refusal: 'Look at the vessel that you want to read: it is read through the loupe.' };
  const lot = lotIn(bench, n);
  if (vessel.type === 'density-bottle') {
    return { vessel: n, scale: ENGRAVED, shown: engravedMl(vessel), parallax: 0, lot };
  }
  const scale = scaleOf(vessel);
  if (!scale) return { refusal: 'This vessel has no scale to read. Pour it into one that has.' };
  if (vessel.liquid.volumeMl <= entryOf(vessel).filmMl)
    return { refusal: `The ${scale.instrument} is empty: there is nothing to read.` };
  const level = levelOf(bench, n);
  if (level > scale.max * 1.001 || level < scale.min)
    return { refusal: 'The surface is not on the scale, so there is nothing to read.' };
  const { innerDiameterMm } = entryOf(vessel);
  const perMm = 1 / mmPerMl(innerDiameterMm);
  const rim = bench.plan.appearance === 'opaque' ? meniscusMm(innerDiameterMm) * perMm : 0;
  return {
    vessel: n,
    scale,
    shown: level + rim,
    parallax: parallaxMm(bench.eyeMm, innerDiameterMm) * perMm,
    lot,
  };
}

const alongOf = (slot: TypedSlot): Along | undefined => ALONG.find((along) => EDGE_SLOTS[along] === slot);

function seenLength(bench: Bench, along: Along): Seen | { refusal: string } {
  const { held } = bench;
  const places = bench.plan.tools.map((tool) => (tool === 'ruler' ? 'along the ruler' : 'between the jaws'));
  if (!held) return { refusal: `Nothing is held in a tool. Put a piece ${places.join(' or ')} first.` };
  if (held.along !== along)
    return {
      refusal:
        held.along === 'zero'
          ? 'Nothing is between the jaws. Measure something first.'
          : `What you hold in the ${held.tool} is a ${held.along}, not a ${along}.`,
    };
  return { scale: TOOL_SCALES[held.tool], shown: held.toMm - held.fromMm, parallax: 0, lot: held.lot };
}

/** A calliper's zero can lie on either side of nothing. */
const ZERO_SCALE: Scale = { ...TOOL_SCALES.calliper, min: -1, max: 1 };

function seenZero({ held }: Bench): Seen | { refusal: string } {
  if (held?.along !== 'zero')
    return { refusal: 'Close the jaws of the calliper on nothing first: what it shows then is its zero.' };
  return { scale: ZERO_SCALE, shown: held.toMm, parallax: 0, lot: null };
}

/** The trial that the next reading of a slot belongs to; see `BenchSlot.due`. */
export function dueTrial(bench: Bench, which: Slot): number {
  const last = standingIn(bench, bench.trial, which);
  if (!last) return bench.trial;
  const isMass = MASS_SLOTS.some((mass) => mass === which);
  const seen = isMass ? undefined : seenBy(bench, which as TypedSlot);
  const shown = isMass ? shownMassG(bench) : seen && 'shown' in seen ? seen.shown : undefined;
  // What cannot be read just now, or stands as it stood, is no new measurement.
  return shown === undefined || Math.abs(shown - last.shown) < 1e-9 ? bench.trial : bench.trial + 1;
}

export const THERMOMETER: Scale = thermometerScale('glass 1');

function seenBy(bench: Bench, which: TypedSlot): Seen | { refusal: string } {
  const along = alongOf(which);
  if (which === 'Z') return seenZero(bench);
  if (along) return seenLength(bench, along);
  if (which !== 'T') return seenVolume(bench);
  if (!bench.plan.thermometer) return { refusal: 'There is no thermometer at this bench.' };
  return { scale: THERMOMETER, shown: bench.sample.tempC + bench.thermometerErrorC, parallax: 0, lot: null };
}

export function record(
  bench: Bench,
  act: { trial: number; which: (typeof TYPED_SLOTS)[number]; text: string },
): Outcome<Bench> {
  if (!bench.plan.slots.includes(act.which)) return refuse(`A ${SLOTS[act.which].label} is not read here.`);
  const seen = seenBy(bench, act.which);
  if ('refusal' in seen) return seen;
  return recordTyped(
    bench,
    act,
    { last: bench.trial + 1, scale: seen.scale, shown: seen.shown },
    {
      instrument: seen.scale.instrument,
      parallax: seen.parallax,
      lot: seen.lot,
      about: seen.vessel === undefined ? NOTHING : aboutVessel(bench, seen.vessel),
      tared: NOT_TARED,
    },
  );
}
