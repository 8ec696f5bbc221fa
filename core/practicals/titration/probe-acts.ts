import { STANDARD_MS } from '../../instruments/conductivity-cell';
import { chance } from '../../random';
import { NOISE_MV, potentialMv } from '../../instruments/ph-probe';
import type { Outcome } from '../contract';
import { shownReading } from '../recordings';
import { advance } from './advance';
import { levelOf, liquidAboveMark, type Bench } from './bench';
import { bufferOf, displayText, LOG_ROWS, LOOK_S } from './probe';
import type { Place } from './probe-state';

/** What is done with the pH probe. Rinsing it between two liquids is part of moving it. */

const MOVE_S = 4;
const CALIBRATE_S = 1;
const NONE = 'There is no probe on the tray.';

export function moveProbe(bench: Bench, place: Place): Outcome<Bench> {
  if (bench.plan.probe === 'none') return { refusal: NONE };
  const isCell = bench.plan.probe === 'conductivity';
  if (isCell && bufferOf(place) !== undefined)
    return { refusal: 'A conductivity cell is not calibrated in buffers. Put it into the standard.' };
  if (!isCell && place === 'standard')
    return { refusal: 'The standard is for a conductivity cell. Put the probe into a buffer.' };
  if (place === bench.probe.place) return { refusal: 'The probe is there already.' };
  // Rinsed and carried over, its glass has not met the next liquid yet.
  const moved = advance({ ...bench, probe: { ...bench.probe, place: 'stand', shown: null, settling: false } }, MOVE_S);
  const nextLook = Math.floor(moved.timeS / LOOK_S) + 1;
  return { bench: { ...moved, probe: { ...moved.probe, place, nextLook, settling: place !== 'stand' } } };
}

export function calibrate(bench: Bench): Outcome<Bench> {
  const { probe } = bench;
  if (bench.plan.probe === 'none') return { refusal: NONE };
  if (bench.plan.probe === 'conductivity') return calibrateCell(bench);
  const pH = bufferOf(probe.place);
  if (pH === undefined) return { refusal: 'The probe is calibrated in a buffer. Put it into one first.' };
  if (probe.shown === null) return { refusal: 'The meter shows nothing yet. Wait a moment.' };
  const noise = bench.off.includes('probe')
    ? 0
    : chance(bench.seed, `calibration ${probe.nextLook}`).normal() * NOISE_MV;
  const mV = potentialMv(probe.piece, probe.sensed) + noise;
  const calibration = [...probe.calibration.filter((point) => point.pH !== pH), { pH, mV }];
  const note = probe.settling
    ? 'The reading had not settled, and the calibration is as good as that.'
    : calibration.length === 1
      ? 'The offset is set. A second buffer sets the slope.'
      : undefined;
  // A moment later the display shows what the meter makes of it now.
  return { bench: advance({ ...bench, probe: { ...probe, calibration } }, CALIBRATE_S), note };
}

/** The meter takes what the cell gives in the standard for what the standard is. */
function calibrateCell(bench: Bench): Outcome<Bench> {
  const { probe } = bench;
  if (probe.place !== 'standard') return { refusal: 'The cell is calibrated in the standard. Put it into that first.' };
  if (probe.shown === null) return { refusal: 'The meter shows nothing yet. Wait a moment.' };
  const cellFactor = (probe.sensed * probe.cell.factor) / STANDARD_MS;
  const note = probe.settling ? 'The reading had not settled, and the calibration is as good as that.' : undefined;
  return { bench: advance({ ...bench, probe: { ...probe, cellFactor } }, CALIBRATE_S), note };
}

/** A digital instrument records what it shows. */
export function recordMeter(bench: Bench): Outcome<Bench> {
  const { shown } = bench.probe;
  if (bench.plan.probe === 'none') return { refusal: NONE };
  if (shown === null) return { refusal: 'The meter shows nothing: the tip of the probe is not in a liquid.' };
  const text = displayText(bench, shown);
  const which = bench.plan.probe === 'conductivity' ? ('kappa' as const) : ('pH' as const);
  const reading = {
    ...shownReading(bench, { trial: bench.trial, which }, text, shown),
    value: shown,
    flask: bench.flask,
    filledInMl: bench.burette.filledInMl,
  };
  const note = bench.probe.settling ? 'Recorded while the reading was still moving.' : undefined;
  return { bench: { ...bench, readings: [...bench.readings, reading] }, note };
}

/** Logging: a line each so many mL or seconds, beginning where the burette stands now; 0 ends it. */
export function setLog(bench: Bench, every: number, by: 'mL' | 's'): Outcome<Bench> {
  if (bench.plan.probe === 'none') return { refusal: NONE };
  if (every === 0) {
    if (!bench.probe.log) return { refusal: 'Nothing is being logged.' };
    return { bench: { ...bench, probe: { ...bench.probe, log: null } } };
  }
  const [least, most] = by === 'mL' ? [0.02, 10] : [0.5, 600];
  if (!Number.isFinite(every) || every < least || every > most)
    return { refusal: `Log every ${least} to ${most} ${by}.` };
  if (bench.probe.place === 'stand' || (by === 'mL' && bench.probe.place !== 'flask'))
    return { refusal: 'Put the probe into the flask before you log.' };
  if (by === 'mL' && (liquidAboveMark(bench) < 0 || levelOf(bench) < 0))
    return {
      refusal: 'The meniscus is not on the scale, so nothing can be counted from there. Fill the burette first.',
    };
  if (bench.logged.length >= LOG_ROWS) return { refusal: `The log is full: it holds ${LOG_ROWS} lines.` };
  const log = { every, by, startLevelMl: levelOf(bench), startS: bench.timeS, due: 0, since: 0 };
  return { bench: { ...bench, probe: { ...bench.probe, log, settling: true } } };
}
