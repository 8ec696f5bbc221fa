import { counted } from '../../analysis/quantity';
import { EMPTY, mix, take, water } from '../../chemistry/solution';
import { INDICATORS } from '../../databook/indicators';
import { FLASK_250 } from '../../instruments/conical-flask';
import { type Outcome } from '../contract';
import { done, isAmount, type Of, PIPETTE_ERROR_ML, refuse, TAKES_S } from './act-parts';
import { advance } from './advance';
import { type Bench, FLASK_FILM_ML, flaskVolume, handError } from './bench';

/** What is done with the flask: sample, indicator and water into it, swirling, emptying. */

export function drawSampleUp(bench: Bench): Outcome<Bench> {
  if (bench.pipette.content.volumeMl > 0)
    return refuse('The pipette is full already. Let it run out into the flask.');
  const drawn = handError(bench, PIPETTE_ERROR_ML);
  const volume = Number(bench.setup.pipetteMl) + bench.pipette.errorMl + drawn.errorMl;
  if (volume > bench.sampleBottle.volumeMl)
    return refuse('There is too little left in the sample bottle to fill the pipette to its mark.');
  const { taken, left } = take(bench.sampleBottle, volume);
  const next = { ...drawn.bench, sampleBottle: left, pipette: { ...bench.pipette, content: taken } };
  return done(advance(next, TAKES_S.pipette));
}

export function drainPipette(bench: Bench): Outcome<Bench> {
  const { content } = bench.pipette;
  if (content.volumeMl === 0) return refuse('The pipette is empty. Fill it from the sample bottle first.');
  if (flaskVolume(bench) + content.volumeMl > FLASK_250.capacityMl)
    return refuse('The flask would run over. Empty it first.');
  const again = bench.sampledTrials.includes(bench.trial);
  const next: Bench = {
    ...bench,
    pipette: { ...bench.pipette, content: EMPTY },
    flask: { ...bench.flask, mixed: mix(bench.flask.mixed, content) },
    sampledTrials: again ? bench.sampledTrials : [...bench.sampledTrials, bench.trial],
  };
  const note = again ? 'There was sample in this flask already. It now holds both portions.' : undefined;
  return done(advance(next, TAKES_S.pipette), note);
}

export function indicator(bench: Bench, act: Of<'indicator'>): Outcome<Bench> {
  const known = INDICATORS.find((entry) => entry.id === act.id);
  if (!known || !bench.setup.indicators.some((id) => id === act.id))
    return refuse('That indicator is not on the tray.');
  if (!Number.isInteger(act.drops) || !isAmount(act.drops, 1, 20))
    return refuse('Add between 1 and 20 whole drops of indicator at a time.');
  const volume = 0.05 * act.drops;
  if (flaskVolume(bench) + volume > FLASK_250.capacityMl)
    return refuse('The flask would run over. Empty it first.');
  const total = (bench.flask.drops[act.id] ?? 0) + act.drops;
  const next: Bench = {
    ...bench,
    indicatorMl: bench.indicatorMl + volume,
    flask: {
      ...bench.flask,
      mixed: mix(bench.flask.mixed, water(volume)),
      drops: { ...bench.flask.drops, [act.id]: total },
    },
  };
  const note =
    total > 10
      ? `That makes ${counted(total, 'drop')} of ${known.name}. Two or three are enough to see.`
      : undefined;
  return done(advance(next, TAKES_S.indicator), note);
}

export function addWater(bench: Bench, ml: number): Bench {
  return {
    ...bench,
    waterTakenMl: bench.waterTakenMl + ml,
    flask: { ...bench.flask, mixed: mix(bench.flask.mixed, water(ml)) },
  };
}

export function rinseWalls(bench: Bench, act: Of<'water'>): Outcome<Bench> {
  if (!isAmount(act.ml, 0.1, 100)) return refuse('Add between 0.1 and 100 mL of water at a time.');
  if (flaskVolume(bench) + act.ml > FLASK_250.capacityMl)
    return refuse('The flask would run over. Add less, or empty it first.');
  return done(advance(addWater(bench, act.ml), TAKES_S.water));
}

export function swirl(bench: Bench): Outcome<Bench> {
  return done({ ...bench, flask: { ...bench.flask, swirlUntilS: bench.timeS + 3 } });
}

export function emptyFlask(bench: Bench): Outcome<Bench> {
  if (bench.burette.tap !== 'closed')
    return refuse('The tap is open. Close it before you take the flask away.');
  const used =
    bench.sampledTrials.includes(bench.trial) || bench.readings.some((r) => r.trial === bench.trial);
  const { mixed, plume } = bench.flask;
  // Rinsed with 20 mL of water, so often that only water clings to it.
  const next: Bench = {
    ...bench,
    waste: mix(bench.waste, mix(mix(mixed, plume), water(20 - FLASK_FILM_ML))),
    waterTakenMl: bench.waterTakenMl + 20,
    flask: {
      ...bench.flask,
      mixed: water(FLASK_FILM_ML),
      plume: EMPTY,
      drops: {},
      swirlUntilS: 0,
      keepSwirling: false,
    },
    trial: used ? Math.min(bench.trial + 1, 50) : bench.trial,
  };
  return done(
    advance(next, TAKES_S.empty),
    used ? `The flask is clean: trial ${next.trial} can begin.` : undefined,
  );
}
