import { BURETTE_SCALE } from '../../instruments/burette';
import { readScale } from '../../instruments/scale';
import { type Outcome } from '../contract';
import { done, type Of, refuse } from './act-parts';
import { type Bench, levelOf, liquidAboveMark } from './bench';
import { STEP_KEYS } from './steps';

/** What is done in the notebook's Readings: recording, striking out, leaving a trial out, ticking a step. */

export function record(bench: Bench, act: Of<'record'>): Outcome<Bench> {
  if (act.trial > bench.trial)
    return refuse(`Trial ${act.trial} has not begun. Empty the flask to begin the next trial.`);
  const above = liquidAboveMark(bench);
  const level = levelOf(bench);
  if (above < 0 || level < 0)
    return refuse(
      'The meniscus is not on the scale, so there is nothing to read. Bring it between 0 and 50 mL.',
    );
  const reading = readScale(act.text, BURETTE_SCALE);
  if (!reading.ok) return refuse(reading.sentence);
  const same = (r: Bench['readings'][number]) =>
    r.trial === act.trial && r.which === act.which && r.struck === null;
  const kept = bench.readings.map((r) => (same(r) ? { ...r, struck: 'read again' } : r));
  const entry = { trial: act.trial, which: act.which, text: reading.text, value: reading.value, digitsNote: reading.digitsNote, atS: bench.timeS, shown: level, flask: bench.flask, struck: null }; // prettier-ignore
  return done({ ...bench, readings: [...kept, entry] }, reading.digitsNote ?? undefined);
}

export function strike(bench: Bench, act: Of<'strike'>): Outcome<Bench> {
  const index = bench.readings.findLastIndex(
    (r) => r.trial === act.trial && r.which === act.which && r.struck === null,
  );
  if (index < 0) return refuse('There is no such reading to strike out.');
  const reason = act.reason.trim();
  if (reason === '')
    return refuse('Say in a few words why this reading is struck out. It stays in the notebook.');
  return done({
    ...bench,
    readings: bench.readings.map((r, i) => (i === index ? { ...r, struck: reason } : r)),
  });
}

export function count(bench: Bench, act: Of<'count'>): Outcome<Bench> {
  if (act.trial > bench.trial) return refuse(`Trial ${act.trial} has not begun.`);
  const { [act.trial]: _dropped, ...rest } = bench.leftOut;
  if (act.counts) return done({ ...bench, leftOut: rest });
  const reason = act.reason.trim();
  if (reason === '')
    return refuse('Say in a few words why this trial does not count. It stays in the notebook.');
  return done({ ...bench, leftOut: { ...rest, [act.trial]: reason } });
}

export function tick(bench: Bench, act: Of<'tick'>): Outcome<Bench> {
  if (!STEP_KEYS.some((key) => key === act.step)) return refuse('The method has no such step.');
  const others = bench.ticked.filter((key) => key !== act.step);
  return done({ ...bench, ticked: act.on ? [...others, act.step] : others });
}
