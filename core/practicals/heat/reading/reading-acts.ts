import { recordShown, recordTyped, type Beside } from '../../recording-acts';
import { outOfTurn } from '../../notes';
import type { THERMOMETER_PLACES, Thermometer } from '../bodies';
import { type Scale } from '../../../instruments/scale';
import { indicatedC, scaleOf, THERMOMETERS } from '../../../instruments/thermometer';
import type { Outcome } from '../../contract';
import { done, isAmount, refuse } from '../../hands';
import { shownReading, withRecorded } from '../../recordings';
import { aboutNow } from '../about';
import { NO_BEAKER, TAKES_S } from '../act-parts';
import type { Bench } from '../bench';
import { advance } from '../going-on/flow';
import { COVERS_ML, LOG_LINES, STEP_S } from '../going-on/rates';
import { displayText } from '../going-on/display';
import { type TEMP_SLOTS, isByEye, isVolume, SLOTS, VOLUME_SLOTS, type Slot, type VolumeSlot } from '../plan';
import { clungTo, isHeldFast } from '../freezing/tube-acts';
import { portionOf, trialNow } from './trials';

/** What is done with thermometers, and what is read on them. */

const NONE = 'There is no such thermometer at this bench.';

const lookedAt = (bench: Bench): Thermometer => bench.thermometers[bench.looking] as Thermometer;

export function thermometer(
  bench: Bench,
  { n, at }: { n: number; at: (typeof THERMOMETER_PLACES)[number] },
): Outcome<Bench> {
  const index = n - 1;
  const one = bench.thermometers[index];
  if (!one) return refuse(NONE);
  if (one.at === at) return refuse('The thermometer is there already.');
  if (at === 'beaker' && !bench.plan.beaker) return refuse(NO_BEAKER);
  if ((at === 'tube' || at === 'cold') && !bench.tube) return refuse('There is no test tube at this bench.');
  if (one.at === 'tube' && isHeldFast(bench)) return refuse('The thermometer is frozen in. Melt it first.');
  if ((at === 'bath' || at === 'block') && !bench.plan[at])
    return refuse(at === 'bath' ? 'There is no hot bath at this bench.' : 'There is no dry block at this bench.');
  const thermometers = bench.thermometers.map((other, i) => (i === index ? { ...other, at } : other));
  const vessel = at === 'cup' || at === 'beaker' ? bench.vessels[at] : null;
  const note =
    vessel && vessel.liquid.volumeMl < COVERS_ML
      ? 'Its tip is not covered: it tells the temperature of the air.'
      : undefined;
  const from = one.at === 'tube' ? clungTo(bench) : bench;
  return done(advance({ ...from, thermometers, looking: index }, TAKES_S.carry), note);
}

export function look(bench: Bench, { n }: { n: number }): Outcome<Bench> {
  return bench.thermometers[n - 1] ? done({ ...bench, looking: n - 1 }) : refuse(NONE);
}

/** A line every so many seconds; none ends it. */
export function log(bench: Bench, { everyS }: { everyS: number }): Outcome<Bench> {
  if (everyS === 0) return bench.log ? done({ ...bench, log: null }) : refuse('Nothing is being logged.');
  if (isByEye(bench.plan))
    return refuse('A glass thermometer cannot be logged. Read it by eye, and type what you read.');
  if (!Number.isInteger(everyS) || !isAmount(everyS, 1, 60)) return refuse('Log every 1 to 60 s, in whole seconds.');
  if (bench.thermometers.every(({ at }) => at === 'stand'))
    return refuse('Put a thermometer into something before you log.');
  if (bench.logged.length >= LOG_LINES) return refuse(`The log is full: it holds ${LOG_LINES} lines.`);
  const startS = Math.ceil(bench.timeS / STEP_S + 1e-9) * STEP_S;
  const logBegunS = bench.logBegunS ?? startS;
  return done({ ...bench, logBegunS, log: { everyS, startS: logBegunS, due: startS } });
}

/** What is wrong with recording a temperature here, or the thermometer that is read. */
function readable(bench: Bench, trial: number, which: Slot): { refusal: string } | Thermometer {
  if (!bench.plan.slots.includes(which)) return { refusal: `The ${SLOTS[which].label} is not read here.` };
  const early = outOfTurn(trial, trialNow(bench, which));
  if (early) return refuse(early);
  return lookedAt(bench);
}

/** What this bench keeps of a reading beside its number. */
const keptBeside = (bench: Bench, instrument: string): Beside<Bench> => ({
  instrument,
  cup: portionOf(bench),
  about: aboutNow(bench),
});

/** What a pipette or a cylinder has on its scale. */
const MEASURES: Record<Exclude<Bench['plan']['measure'], 'dispenser'>, Scale> = {
  pipette: {
    instrument: 'pipette',
    min: 0,
    max: 250,
    division: 0.1,
    decimals: 2,
    unit: 'mL',
  },
  cylinder: {
    instrument: 'cylinder',
    min: 0,
    max: 250,
    division: 1,
    decimals: 1,
    unit: 'mL',
  },
};

/** What was measured out into this cup of one of the bottles, as it was read. */
function recordVolume(bench: Bench, trial: number, which: VolumeSlot, text: string): Outcome<Bench> {
  if (!bench.plan.slots.includes(which)) return refuse(`The ${SLOTS[which].label} is not read here.`);
  if (bench.plan.measure === 'dispenser')
    return refuse('The volume from the dispenser is recorded by itself, with the temperature.');
  const ml = bench.measuredMl[VOLUME_SLOTS.indexOf(which)] ?? 0;
  if (ml === 0) return refuse('Nothing of it has been measured into this cup yet.');
  const scale = MEASURES[bench.plan.measure];
  return recordTyped(
    bench,
    { trial, which, text },
    { last: trialNow(bench, which), scale, shown: ml },
    keptBeside(bench, scale.instrument),
  );
}

/** Recorded while the tip had not come to what it stands in yet. */
const FOLLOWING_K = 0.3;

function noteOn(bench: Bench, { at, tipC }: Thermometer): string | undefined {
  if (at === 'stand') return 'The thermometer is on its stand: this is the temperature of the room.';
  const there =
    at === 'cup' || at === 'beaker'
      ? bench.vessels[at].liquidC
      : at === 'tube'
        ? (bench.tube?.tempC ?? tipC)
        : bench[at].tempC;
  return Math.abs(there - tipC) > FOLLOWING_K ? 'The thermometer was still following.' : undefined;
}

export function record(
  bench: Bench,
  {
    trial,
    which,
    text,
  }: { trial: number; which: (typeof VOLUME_SLOTS)[number] | (typeof TEMP_SLOTS)[number]; text: string },
): Outcome<Bench> {
  if (isVolume(which)) return recordVolume(bench, trial, which, text);
  if (!isByEye(bench.plan)) return refuse('A digital thermometer is recorded as it shows.');
  const one = readable(bench, trial, which);
  if ('refusal' in one) return one;
  const scale = scaleOf(bench.plan.thermometer);
  return recordTyped(
    bench,
    { trial, which, text },
    { last: trial, scale, shown: indicatedC(one.piece, one.tipC), note: noteOn(bench, one) },
    keptBeside(bench, scale.instrument),
  );
}

export function recordTemp(
  bench: Bench,
  { trial, which }: { trial: number; which: (typeof TEMP_SLOTS)[number] },
): Outcome<Bench> {
  if (isByEye(bench.plan)) return refuse('A glass thermometer is read by eye. Type what you read.');
  const one = readable(bench, trial, which);
  if ('refusal' in one) return one;
  const text = displayText(bench, one, bench.looking, bench.timeS);
  if (text === 'out of range') return refuse('The thermometer shows nothing: it is too hot or too cold for it.');
  return recordShown(
    bench,
    { trial, which },
    { last: trial, text, shown: one.tipC + one.piece.errorC, note: noteOn(bench, one) },
    keptBeside(bench, THERMOMETERS[bench.plan.thermometer].name),
  );
}

/** A point of a series: what the dispensers have given so far, and the temperature, in one. */
export function recordPoint(bench: Bench, { trial }: { trial: number }): Outcome<Bench> {
  if (!bench.plan.points) return refuse('Volume and temperature are recorded one by one here.');
  if ((bench.nominalMl[0] ?? 0) === 0) return refuse('Nothing has been measured into this cup yet.');
  const which = (bench.nominalMl[1] ?? 0) === 0 ? 'T1' : 'T2';
  const outcome = recordTemp(bench, { trial, which });
  if ('refusal' in outcome) return outcome;
  const volume = which === 'T1' ? 'VA' : 'VB';
  const index = VOLUME_SLOTS.indexOf(volume);
  const text = (bench.nominalMl[index] ?? 0).toFixed(2);
  const entry = {
    ...shownReading(bench, { trial, which: volume }, text, bench.measuredMl[index] ?? 0),
    ...keptBeside(bench, 'dispenser'),
  };
  return { ...outcome, bench: withRecorded(outcome.bench, entry) };
}
