import { outOfTurn } from '../notes';
import { fixed } from '../../analysis/quantity';
import type { Outcome } from '../contract';
import { done, refuse } from '../hands';
import { shownReading, withRecorded } from '../recordings';
import { isOwn, nameOf, vesselAt, withVessel, type About, type Bench, type Measured, type Poured } from './bench';
import { absorbanceShown, displayedAbsorbance, TOO_DARK } from './colorimeter-acts';
import type { TOOL_SLOTS } from './plan';
import { LEFT_SLOTS, VOLUME_SLOTS, type Slot } from './plan';
import { finerBy, isRising, shownBy, TOOL_NAMES } from './tool-acts';
import { trialFor } from './trials';

/** What is written into the notebook: what was poured, what a display shows, what a slip tells. */

function recorded(
  bench: Bench,
  { trial, which }: { trial: number; which: Slot },
  text: string,
  shown: number,
  about: About,
): Bench {
  return withRecorded(bench, { ...shownReading(bench, { trial, which }, text, shown), about });
}

/** A mixture that something is recorded of, as it stands there, is that trial. */
function asTrial(bench: Bench, number: number, trial: number): Bench {
  const vessel = bench.vessels[number - 1];
  return vessel && isOwn(vessel) && vessel.trial === null ? withVessel(bench, number, { trial }) : bench;
}

const isOther = (bench: Bench, vessel: number, trial: number): string | null => {
  const own = trialFor(bench, vessel);
  return own === trial ? null : `${nameOf(bench, vessel).replace(/^./, (c) => c.toUpperCase())} is trial ${own}.`;
};

/** Decimals that a volume measured so can have. */
const DECIMALS: Record<Measured | 'drops', number> = { pipette: 2, drops: 2, cylinder: 1, eye: 0 };

/** What was poured of a bottle into a vessel, by what it was measured with worst; null where none was, or through another mixture. */
function pouredOf(
  bench: Bench,
  vessel: number,
  bottle: number,
): { ml: number; trueMl: number; by: Measured | 'drops' } | null {
  const own = bench.vessels[vessel - 1]?.poured.filter(({ from }) => from === bottle) ?? [];
  if (own.length === 0) return null;
  const worst = (['eye', 'drops', 'cylinder', 'pipette'] as const).find((by) => own.some((one) => one.by === by));
  const sum = (of: (one: Poured) => number) => own.reduce((all, one) => all + of(one), 0);
  return { ml: sum(({ ml }) => ml), trueMl: sum(({ trueMl }) => trueMl), by: worst ?? 'eye' };
}

export function recordVolume(
  bench: Bench,
  { trial, vessel, which }: { trial: number; vessel: number; which: (typeof VOLUME_SLOTS)[number] },
): Outcome<Bench> {
  const bottle = VOLUME_SLOTS.indexOf(which) + 1;
  const there = vesselAt(bench, vessel);
  if (!there || !isOwn(there)) return refuse('Volumes are recorded of a vessel of your own.');
  if (!bench.sample.bottles[bottle - 1]) return refuse('There is no such bottle at this bench.');
  const wrong = isOther(bench, vessel, trial);
  if (wrong) return refuse(wrong);
  const poured = pouredOf(bench, vessel, bottle);
  if (!poured) return refuse(`Nothing came into it straight from ${nameOf(bench, bottle)}.`);
  const { trueMl: trueValue } = poured;
  const text = fixed(poured.ml, DECIMALS[poured.by]);
  const now = recorded(bench, { trial, which }, text, trueValue, { vessel, trueValue, by: poured.by });
  return done(asTrial(now, vessel, trial));
}

export function recordTool(
  bench: Bench,
  { trial, which }: { trial: number; which: (typeof TOOL_SLOTS)[number] },
): Outcome<Bench> {
  const tool = which === 'pH' ? 'probe' : which === 'K' ? 'cell' : 'thermometer';
  const { into } = bench.tools[tool];
  const text = shownBy(bench, tool);
  const vessel = into === null ? undefined : vesselAt(bench, into);
  if (into === null || text === null || !vessel)
    return refuse(`The ${TOOL_NAMES[tool]} is in no vessel: it shows nothing.`);
  if (which !== 'T0' && !isOwn(vessel))
    return refuse('It is in none of your mixtures. Dip it into a vessel of your own.');
  // The temperature before can be that of a bottle, for whichever trial comes next.
  if (which !== 'T0' || isOwn(vessel)) {
    const wrong = isOther(bench, into, trial);
    if (wrong) return refuse(wrong);
  } else {
    const early = outOfTurn(trial, trialFor(bench, 0));
    if (early) return refuse(early);
  }
  const about: About = { vessel: into, trueValue: finerBy(bench, tool), by: null };
  const note = isRising(bench, tool) ? 'The display had not come to rest when this was recorded.' : undefined;
  return done(asTrial(recorded(bench, { trial, which }, text, about.trueValue, about), into, trial), note);
}

export function recordAbsorbance(bench: Bench, { trial }: { trial: number }): Outcome<Bench> {
  const { vessel, trial: own } = bench.colorimeter;
  if (vessel === null) return refuse('Fill the cuvette with what is to be read first.');
  if (own === null) return refuse('The cuvette holds none of your mixtures.');
  if (own !== trial) return refuse(`What is in the cuvette is of trial ${own}.`);
  const text = displayedAbsorbance(bench);
  if (text === TOO_DARK)
    return refuse('Too little light comes through: it shows no number. Dilute it, or take another wavelength.');
  const about: About = { vessel, trueValue: absorbanceShown(bench), by: null };
  return done(recorded(bench, { trial, which: 'A' }, text, about.trueValue, about));
}

export function recordSlip(
  bench: Bench,
  { trial, slip: number, which }: { trial: number; slip: number; which: 'p' | (typeof LEFT_SLOTS)[number] },
): Outcome<Bench> {
  const slip = bench.slips[number - 1];
  if (!slip) return refuse('There is no such slip.');
  if (slip.readyAtS > bench.timeS) return refuse('This portion is still with the analysis.');
  if (slip.trial !== trial) return refuse(`This slip belongs to trial ${slip.trial}.`);
  if (which === 'p') {
    const about: About = { vessel: slip.vessel, trueValue: slip.ml, by: null };
    return done(recorded(bench, { trial, which }, fixed(slip.ml, 2), slip.ml, about));
  }
  const bottle = LEFT_SLOTS.indexOf(which);
  const found = slip.foundMmol[bottle];
  if (found === undefined) return refuse('There is no such bottle at this bench.');
  const about: About = { vessel: slip.vessel, trueValue: slip.trueMmol[bottle] ?? 0, by: null };
  return done(recorded(bench, { trial, which }, fixed(found, 4), about.trueValue, about));
}
