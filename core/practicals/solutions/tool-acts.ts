import { fixed } from '../../analysis/quantity';
import { molarOf, settledIn, together } from '../../chemistry/contents';
import { followed, indicatedC, shownText } from '../../instruments/thermometer';
import { conductivityIn } from '../../chemistry/conductivity';
import { CELL_NOISE, decimalsOf } from '../../instruments/conductivity-cell';
import { sensedAfter } from '../../instruments/lag';
import { chance } from '../../random';
import type { Outcome } from '../contract';
import { done, handError, isAmount, refuse } from '../hands';
import { FOUND_MMOL, SLIP_MMOL, SLIP_PART } from './analysis';
import type { DIPPED } from './bench';
import { nameOf, vesselAt, warmerNow, withVessel, type Bench, type Dipped, type Vessel } from './bench';
import { advance, drawn } from './flow';
import { trialOf } from './trials';
import { unreactedMol } from './unreacted';

/** Tools that are dipped in, paper, a nose, and the analysis that a portion is handed over for. */

/** Time constant of the electrode, s. */
const PROBE_S = 4;
/** Of the conductivity cell, s. */
const CELL_S = 0.4;
/** Standard deviation of what a meter wavers by. */
const PROBE_NOISE = 0.008;

const NONE = 'There is no such vessel on the bench.';
const EMPTY = 'It is empty: put something into it first.';

/** What a tool is in: the temperature there, and the pH; in the air what it had come to. */
function around(bench: Bench, tool: Dipped): number | null {
  const { into } = bench.tools[tool];
  const vessel = into === null ? undefined : vesselAt(bench, into);
  if (!vessel || vessel.contents.volumeMl <= 0) return { thermometer: bench.sample.roomC, probe: null, cell: 0 }[tool];
  if (tool === 'thermometer') return bench.sample.roomC + warmerNow(bench, vessel);
  return tool === 'probe' ? settledIn(vessel.contents).pH : conductivityIn(vessel.contents);
}

/** What a tool senses now. */
function sensed(bench: Bench, tool: Dipped): number {
  const { from, sinceS } = bench.tools[tool];
  const there = around(bench, tool);
  if (there === null) return from;
  const seconds = bench.timeS - sinceS;
  if (tool !== 'thermometer') return sensedAfter(from, there, seconds, tool === 'probe' ? PROBE_S : CELL_S);
  return followed(from, there, seconds, bench.thermometer.kind, true);
}

/** What its display says; null where it shows nothing. */
export function shownBy(bench: Bench, tool: Dipped): string | null {
  const { into, moves } = bench.tools[tool];
  if (into === null) return null;
  const isExact = bench.off.includes('wavering');
  // Anew every second, and the same again at the same moment.
  const look = 1000 * moves + Math.floor(bench.timeS);
  if (tool === 'thermometer')
    return shownText(bench.thermometer, sensed(bench, tool), isExact ? null : bench.seed, look);
  if (tool === 'cell') {
    const noise = isExact ? 0 : CELL_NOISE * chance(bench.seed, `cell ${look}`).normal();
    const shown = finerBy(bench, tool) * (1 + noise);
    return fixed(shown, decimalsOf(shown));
  }
  const noise = isExact ? 0 : PROBE_NOISE * chance(bench.seed, `pH ${look}`).normal();
  return fixed(sensed(bench, tool) + bench.probeError + noise, 2);
}

/** What its display would say if it could tell more digits. */
export function finerBy(bench: Bench, tool: Dipped): number {
  const there = sensed(bench, tool);
  if (tool === 'thermometer') return indicatedC(bench.thermometer, there);
  return tool === 'probe' ? there + bench.probeError : there * bench.cellFactor;
}

/** Whether its display still moves. */
export function isRising(bench: Bench, tool: Dipped): boolean {
  const there = around(bench, tool);
  if (there === null) return false;
  const close = { thermometer: 0.02, probe: 0.03, cell: 0.002 * there + 0.001 }[tool];
  return Math.abs(there - sensed(bench, tool)) > close;
}

/** A tool somewhere else, with what it had come to. */
const moved = (bench: Bench, tool: Dipped, into: number | null): Bench => ({
  ...bench,
  tools: {
    ...bench.tools,
    [tool]: { into, sinceS: bench.timeS, from: sensed(bench, tool), moves: bench.tools[tool].moves + 1 },
  },
});

export const TOOL_NAMES: Record<Dipped, string> = {
  thermometer: 'thermometer',
  probe: 'pH meter',
  cell: 'conductivity cell',
};

export function dip(bench: Bench, { tool, into }: { tool: (typeof DIPPED)[number]; into: number }): Outcome<Bench> {
  if (!bench.plan[tool]) return refuse(`There is no ${TOOL_NAMES[tool]} at this bench.`);
  const vessel = vesselAt(bench, into);
  if (!vessel) return refuse(NONE);
  if (vessel.type === 'well') return refuse('A well is too small for it: try it in a tube.');
  if (vessel.contents.volumeMl < 1) return refuse('There is too little in it to dip that in.');
  return done(moved(bench, tool, into));
}

export const takeOut = (bench: Bench, { tool }: { tool: (typeof DIPPED)[number] }): Outcome<Bench> =>
  bench.tools[tool].into === null ? refuse('It is in no vessel.') : done(moved(bench, tool, null));

const SHADES: readonly [below: number, shade: string][] = [
  [2.5, 'red'],
  [4.5, 'orange'],
  [6, 'yellow'],
  [8, 'green'],
  [10, 'blue-green'],
  [12, 'blue'],
  [Infinity, 'violet'],
];
export const shadeAt = (pH: number): string => SHADES.find(([below]) => pH < below)?.[1] ?? 'violet';

export function paper(bench: Bench, { vessel: number }: { vessel: number }): Outcome<Bench> {
  if (!bench.plan.paper) return refuse('There is no indicator paper at this bench.');
  const vessel = vesselAt(bench, number);
  if (!vessel) return refuse(NONE);
  if (vessel.contents.volumeMl <= 0) return refuse(EMPTY);
  const shade = shadeAt(settledIn(vessel.contents).pH);
  return done(advance({ ...bench, paper: { vessel: number, shade } }, 3), `The paper turns ${shade}.`);
}

/** Free ammonia from so much on is smelt, mol/L. */
const SMELT_MOL_PER_L = 0.01;

const smellOf = ({ contents, bubbledMolPerL }: Vessel): string => {
  if (molarOf(contents, 'NH3') > SMELT_MOL_PER_L) return 'It smells sharp, and makes the eyes water.';
  if (molarOf(contents, 'I2') > 2e-4) return 'It smells a little like a swimming bath.';
  return bubbledMolPerL > 0 ? 'What bubbles off has no smell.' : 'It has no smell.';
};

export function smell(bench: Bench, { vessel: number }: { vessel: number }): Outcome<Bench> {
  const vessel = vesselAt(bench, number);
  if (!vessel) return refuse(NONE);
  if (vessel.contents.volumeMl <= 0) return refuse(EMPTY);
  return done(advance(bench, 3), smellOf(vessel));
}

/** Bench time that an analysis takes, s, and the most that can be under way. */
const ANALYSIS_S = 180;
const MOST_SLIPS = 40;
const LEAST_PORTION_ML = 0.5;

export function handOver(bench: Bench, { vessel: number, ml }: { vessel: number; ml: number }): Outcome<Bench> {
  if (!bench.plan.slip) return refuse('There is no analysis at this bench.');
  const vessel = vesselAt(bench, number);
  if (!vessel) return refuse(NONE);
  if (vessel.type === 'well' || vessel.type === 'water')
    return refuse('Hand over a portion out of a tube or a beaker.');
  if (!isAmount(ml, LEAST_PORTION_ML, 10))
    return refuse(`Hand over ${LEAST_PORTION_ML} to 10 mL: that is what the pipette takes.`);
  if (vessel.contents.volumeMl < ml) return refuse('There is less than that in it.');
  if (bench.slips.length >= MOST_SLIPS) return refuse(`No more than ${MOST_SLIPS} portions are analysed in one run.`);
  const { error, bench: drawnBench } = handError(bench, 0.012 + 0.001 * ml);
  const { taken, left } = drawn(bench, vessel, Math.max(ml * (1 + bench.pipetteError) + error, 0.01));
  const went = taken.volumeMl / vessel.contents.volumeMl;
  const brought = vessel.brought.map((mol) => mol * went);
  const trueMmol = unreactedMol(taken, brought, bench.sample).map((mol) => 1000 * mol);
  const source = chance(bench.seed, `slip ${bench.slips.length + 1}`);
  const foundMmol = trueMmol.map((mmol) => {
    const error = Math.hypot(SLIP_PART * mmol, SLIP_MMOL) * Math.max(-3, Math.min(3, source.normal()));
    const found = mmol + (bench.off.includes('analysis') ? 0 : error);
    return found < FOUND_MMOL ? 0 : found;
  });
  const { trial, bench: named } = trialOf(drawnBench, number);
  const bottles = bench.sample.bottles
    .map((_, i) => i + 1)
    .filter((bottle) => vessel.poured.some(({ from }) => from === bottle));
  const slip = { vessel: number, trial, ml, readyAtS: bench.timeS + ANALYSIS_S, bottles, foundMmol, trueMmol };
  const given = withVessel(named, number, { contents: left, brought: vessel.brought.map((mol) => mol * (1 - went)) });
  const after = { ...given, waste: together(bench.waste, taken), slips: [...bench.slips, slip] };
  return done(
    advance(after, 15),
    `A portion of ${nameOf(bench, number)} is with the analysis: its slip is there in three minutes.`,
  );
}
