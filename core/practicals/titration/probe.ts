import { conductivity } from '../../chemistry/conductivity';
import { settle, type Solution } from '../../chemistry/solution';
import { CELL_NOISE, decimalsOf, STANDARD_MS } from '../../instruments/conductivity-cell';
import { fixed } from '../../analysis/quantity';
import { chance } from '../../random';
import { sensedAfter } from '../../instruments/lag';
import { meteredPh, NOISE_MV, potentialMv } from '../../instruments/ph-probe';
import { flaskVolume, levelOf, type Bench } from './bench';
import type { Place, LoggedPoint, Probe } from './probe-state';

/** The meter looks at the electrode so often, s: everything about the probe happens at these moments. */
export const LOOK_S = 0.25;

/** The tip of the electrode is covered from this volume on, mL. */
const COVERED_ML = 15;
/** A reading that moves less than this from look to look is steady. */
const STEADY = 0.02;
/** Looks for which the meter waits after a volume is in before it calls a reading steady: the drop has to mix first. */
const SETTLES = 6;
/** Rows that a run's log holds at most. */
export const LOG_ROWS = 2500;

export const bufferOf = (place: Place): number | undefined =>
  place.startsWith('buffer ') ? Number(place.slice('buffer '.length)) : undefined;

/** What there is to be sensed where the probe stands: pH or mS/cm; undefined where its tip is not covered. */
function thereIs(bench: Bench): number | undefined {
  const { place } = bench.probe;
  const buffer = bufferOf(place);
  if (buffer !== undefined) return buffer;
  if (place === 'standard') return STANDARD_MS;
  const { mixed } = bench.flask;
  if (place !== 'flask' || flaskVolume(bench) < COVERED_ML || mixed.volumeMl <= 0) return undefined;
  const { probe, activities } = bench.plan;
  const known = settled.get(mixed);
  if (known !== undefined) return known;
  const there =
    probe === 'conductivity' ? conductivity(mixed, activities) : settle(mixed, { tempC: 25, activities }).pH;
  settled.set(mixed, there);
  return there;
}

/** What there is to be sensed in a liquid: it is looked at again and again while nothing comes to it. A bench has one kind of probe. */
const settled = new WeakMap<Solution, number>();

/** Titrant delivered since the log was started, mL, as a counter at the tap shows it. */
const deliveredMl = (bench: Bench) => levelOf(bench) - (bench.probe.log?.startLevelMl ?? 0);

/** What the log counts: mL delivered or seconds passed since it was started. */
function counted(bench: Bench): number {
  const { log } = bench.probe;
  return log?.by === 's' ? bench.timeS - log.startS : deliveredMl(bench);
}

/** Seconds to the next look; infinite while the probe is on its stand. */
export const timeToLook = (bench: Bench) =>
  bench.probe.place === 'stand' ? Infinity : Math.max(bench.probe.nextLook * LOOK_S - bench.timeS, 0);

/** What the pH meter shows, to a hundredth. */
function shownByElectrode(probe: Probe, sensed: number, noise: number): number {
  const pH = meteredPh(potentialMv(probe.piece, sensed) + noise * NOISE_MV, probe.calibration);
  return Math.round(100 * Math.min(Math.max(pH, -1), 15)) / 100;
}

/** What the conductivity meter shows, mS/cm, to four digits. */
function shownByCell(probe: Probe, sensed: number, noise: number): number {
  const value = (sensed * probe.cell.factor * (1 + noise * CELL_NOISE)) / (probe.cellFactor ?? 1);
  return Number(Math.max(value, 0).toFixed(decimalsOf(value)));
}

/** The display of the meter as it is written there. */
export const displayText = (bench: Bench, shown: number) =>
  fixed(shown, bench.plan.probe === 'conductivity' ? decimalsOf(shown) : 2);

/** The meter looks: the probe has followed the liquid, the display and the log are brought up to date. */
export function look(bench: Bench): Bench {
  const { probe } = bench;
  const timeS = probe.nextLook * LOOK_S;
  const nextLook = probe.nextLook + 1;
  const target = thereIs(bench);
  if (target === undefined) return { ...bench, timeS, probe: { ...probe, nextLook, shown: null, settling: false } };
  const isCell = bench.plan.probe === 'conductivity';
  const { responseS } = isCell ? probe.cell : probe.piece;
  const sensed = sensedAfter(probe.sensed, target, LOOK_S, responseS);
  const noise = bench.off.includes('probe') ? 0 : chance(bench.seed, `look ${probe.nextLook}`).normal();
  const shown = isCell ? shownByCell(probe, sensed, noise) : shownByElectrode(probe, sensed, noise);
  const scale = isCell ? target : 1;
  const moved = Math.abs(shown - (probe.shown ?? Infinity)) / scale;
  const settling = Math.abs(sensed - target) > 0.004 * scale;
  const next: Bench = { ...bench, timeS, probe: { ...probe, sensed, nextLook, shown, settling } };
  return logged(next, moved <= STEADY);
}

/** Writes a line when the time or volume due has come; with a closed tap when the reading is steady too, or the next one due already. */
function logged(bench: Bench, isSteady: boolean): Bench {
  const { log, shown } = bench.probe;
  if (!log || shown === null || bench.logged.length >= LOG_ROWS) return bench;
  const count = counted(bench);
  if (count < log.due - 1e-9) return bench;
  const since = log.since + 1;
  // While titrant runs nothing can settle, and a line is written as its volume comes.
  const waits = log.by === 'mL' && bench.burette.tap === 'closed' && count < log.due + log.every;
  if (waits && !(isSteady && since >= SETTLES)) return { ...bench, probe: { ...bench.probe, log: { ...log, since } } };
  const line: LoggedPoint = {
    trial: bench.trial,
    deliveredMl: fixed(deliveredMl(bench), 2),
    timeS: fixed(bench.timeS - log.startS, 2),
    shown: displayText(bench, shown),
  };
  const due = (Math.floor(count / log.every + 1e-9) + 1) * log.every;
  return {
    ...bench,
    logged: [...bench.logged, line],
    curveFlasks: { ...bench.curveFlasks, [bench.trial]: bench.flask },
    probe: { ...bench.probe, log: { ...log, due, since: 0 } },
  };
}

/** Whether the display still moves, or a line of the log waits for it. */
export function probeBusy(bench: Bench): boolean {
  const { place, settling, log, shown } = bench.probe;
  if (place === 'stand') return false;
  const isLogging = log !== null && shown !== null && bench.logged.length < LOG_ROWS;
  const waits = isLogging && (log.by === 's' || counted(bench) >= log.due - 1e-9);
  return settling || waits;
}
