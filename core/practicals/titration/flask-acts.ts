import { done, handError, isAmount, refuse } from '../hands';
import { counted } from '../../analysis/quantity';
import { EMPTY, mix, share, drawOff, water, type Solution } from '../../chemistry/solution';
import { INDICATORS } from '../../databook/indicators';
import { FLASK_250 } from '../../instruments/conical-flask';
import { type Outcome } from '../contract';
import { PIPETTE_ERROR_ML, TAKES_S } from './act-parts';
import { advance } from './advance';
import { addAmounts, type Bench, CLEAN_FLASK, FLASK_FILM_ML, flaskVolume, trialBegun } from './bench';

/** What is done with the flask: sample, indicator and water into it, swirling, emptying. */

export function drawSampleUp(bench: Bench): Outcome<Bench> {
  const { bottle, supplied, pipetteMl } = bench.plan;
  if (!bottle) return refuse('There is no bottle on this bench to fill the pipette from.');
  if (supplied) return refuse('The flask comes with its portion in it: take a flask.');
  if (bench.pipette.content.volumeMl > 0) return refuse('The pipette is full already. Let it run out into the flask.');
  const drawn = handError(bench, PIPETTE_ERROR_ML);
  const volume = pipetteMl + bench.pipette.errorMl + drawn.error;
  if (volume > bench.bottle.volumeMl)
    return refuse(`There is too little left in the ${bottle.name} to fill the pipette to its mark.`);
  const { taken, left } = drawOff(bench.bottle, volume);
  const next = {
    ...drawn.bench,
    bottle: left,
    pipette: { ...bench.pipette, content: taken, from: 'bottle' as const },
  };
  return done(advance(next, TAKES_S.pipette));
}

/** One more portion in the flask of this trial. */
function withPortion(bench: Bench, portion: Solution): { bench: Bench; note: string | undefined } {
  const before = bench.portions[bench.trial] ?? 0;
  // A second portion that was never taken: for who wants to know what it did.
  if (before > 0 && !bench.plan.warm && bench.off.includes('portions'))
    return { bench: { ...bench, waste: mix(bench.waste, portion) }, note: undefined };
  const next: Bench = {
    ...bench,
    flask: { ...bench.flask, mixed: mix(bench.flask.mixed, portion) },
    portions: { ...bench.portions, [bench.trial]: before + 1 },
  };
  return {
    bench: next,
    note: before > 0 ? 'There was such a portion in this flask already. It now holds both.' : undefined,
  };
}

export function drainPipette(bench: Bench): Outcome<Bench> {
  const { content } = bench.pipette;
  if (content.volumeMl === 0) return refuse('The pipette is empty. Fill it from its bottle first.');
  if (flaskVolume(bench) + content.volumeMl > FLASK_250.capacityMl)
    return refuse('The flask would run over. Empty it first.');
  const added = withPortion({ ...bench, pipette: { ...bench.pipette, content: EMPTY } }, asDiluted(bench));
  return done(advance(added.bench, TAKES_S.pipette), added.note);
}

/** What the pipette holds; diluted as the method has it, where that slip is switched off. */
function asDiluted({ plan, pipette, off }: Bench): Solution {
  const { content, from } = pipette;
  if (plan.diluteToMl === null || from !== 'bottle' || !off.includes('undiluted')) return content;
  const { amounts } = share(content, plan.pipetteMl / plan.diluteToMl);
  return { ...content, amounts };
}

/** The pipette runs into the volumetric flask instead: the sample is to be diluted. */
export function drainToVolumetric(bench: Bench): Outcome<Bench> {
  const { content } = bench.pipette;
  if (bench.plan.diluteToMl === null) return refuse(NO_VOLUMETRIC);
  if (content.volumeMl === 0) return refuse('The pipette is empty. Fill it from its bottle first.');
  const { volumetric } = bench;
  if (volumetric.madeUp)
    return refuse('The volumetric flask is made up already. Empty it before you put another portion in.');
  const filled = mix(volumetric.content, content);
  if (filled.volumeMl > bench.plan.diluteToMl) return refuse('The volumetric flask would be full above its mark.');
  const again = volumetric.content.volumeMl > 1;
  if (again && bench.off.includes('portions'))
    return done({
      ...bench,
      waste: mix(bench.waste, content),
      pipette: { ...bench.pipette, content: EMPTY },
    });
  const next: Bench = {
    ...bench,
    pipette: { ...bench.pipette, content: EMPTY },
    volumetric: { ...volumetric, content: filled },
  };
  const note = again ? 'The volumetric flask now holds more than one portion.' : undefined;
  return done(advance(next, TAKES_S.pipette), note);
}

/** Water to the mark, stoppered and turned over until it is all one. */
export function makeUp(bench: Bench): Outcome<Bench> {
  const { diluteToMl } = bench.plan;
  if (diluteToMl === null) return refuse(NO_VOLUMETRIC);
  const { volumetric } = bench;
  if (volumetric.content.volumeMl < 1)
    return refuse('There is nothing in the volumetric flask to be diluted. Let the pipette run into it first.');
  if (volumetric.madeUp) return refuse('It is made up to its mark already.');
  const drawn = handError(bench, MARK_ERROR_ML);
  const missing = diluteToMl + volumetric.errorMl + drawn.error - volumetric.content.volumeMl;
  const next: Bench = {
    ...drawn.bench,
    waterTakenMl: bench.waterTakenMl + missing,
    volumetric: { ...volumetric, content: mix(volumetric.content, water(missing)), madeUp: true },
  };
  return done(advance(next, TAKES_S.makeUp));
}

export function emptyVolumetric(bench: Bench): Outcome<Bench> {
  if (bench.plan.diluteToMl === null) return refuse(NO_VOLUMETRIC);
  const volumetric = { ...bench.volumetric, content: EMPTY, madeUp: false };
  const next: Bench = { ...bench, waste: mix(bench.waste, bench.volumetric.content), volumetric };
  return done(advance(next, TAKES_S.empty));
}

/** The pipette filled from the volumetric flask. */
export function drawDiluted(bench: Bench): Outcome<Bench> {
  const { plan, volumetric, pipette } = bench;
  if (plan.diluteToMl === null) return refuse(NO_VOLUMETRIC);
  if (pipette.content.volumeMl > 0) return refuse('The pipette is full already. Let it run out first.');
  if (!volumetric.madeUp) return refuse('The volumetric flask is not made up to its mark yet.');
  const drawn = handError(bench, PIPETTE_ERROR_ML);
  const volume = plan.pipetteMl + pipette.errorMl + drawn.error;
  if (volume > volumetric.content.volumeMl)
    return refuse('There is too little left in the volumetric flask to fill the pipette to its mark.');
  const { taken, left } = drawOff(volumetric.content, volume);
  const next: Bench = {
    ...drawn.bench,
    volumetric: { ...volumetric, content: left },
    pipette: { ...pipette, content: taken, from: 'volumetric' },
  };
  return done(advance(next, TAKES_S.pipette));
}

const NO_VOLUMETRIC = 'There is no volumetric flask on this bench.';
/** Standard deviation of filling a narrow neck to its mark, mL. */
const MARK_ERROR_ML = 0.03;

/** A flask that was made ready: the portion stands in it, exact. */
export function takeFlask(bench: Bench): Outcome<Bench> {
  if (!bench.plan.supplied) return refuse('The flasks on this bench come empty.');
  if (flaskVolume(bench) > 1 || (bench.portions[bench.trial] ?? 0) > 0)
    return refuse('There is a flask on the tile already. Empty it first.');
  if (bench.plan.pipetteMl > bench.bottle.volumeMl) return refuse('All the flasks that were made ready are used up.');
  const { taken, left } = drawOff(bench.bottle, bench.plan.pipetteMl);
  const added = withPortion({ ...bench, bottle: left }, taken);
  return done(advance(added.bench, TAKES_S.tip));
}

export function indicator(bench: Bench, act: { id: string; drops: number }): Outcome<Bench> {
  const known = INDICATORS.find((entry) => entry.id === act.id);
  if (!known || !bench.plan.indicators.some(({ id }) => id === act.id))
    return refuse('That indicator is not on the tray.');
  if (!Number.isInteger(act.drops) || !isAmount(act.drops, 1, 20))
    return refuse('Add between 1 and 20 whole drops of indicator at a time.');
  const volume = 0.05 * act.drops;
  if (flaskVolume(bench) + volume > FLASK_250.capacityMl) return refuse('The flask would run over. Empty it first.');
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
    total > 10 ? `That makes ${counted(total, 'drop')} of ${known.name}. Two or three are enough to see.` : undefined;
  return done(advance(next, TAKES_S.indicator), note);
}

export function addWater(bench: Bench, ml: number): Bench {
  return {
    ...bench,
    waterTakenMl: bench.waterTakenMl + ml,
    // It takes with it what hangs on the wall.
    flask: { ...bench.flask, mixed: mix(mix(bench.flask.mixed, bench.flask.wall), water(ml)), wall: EMPTY },
  };
}

export function rinseWalls(bench: Bench, act: { ml: number }): Outcome<Bench> {
  if (!isAmount(act.ml, 0.1, 100)) return refuse('Add between 0.1 and 100 mL of water at a time.');
  if (flaskVolume(bench) + act.ml > FLASK_250.capacityMl)
    return refuse('The flask would run over. Add less, or empty it first.');
  return done(advance(addWater(bench, act.ml), TAKES_S.water));
}

export function swirl(bench: Bench): Outcome<Bench> {
  return done({ ...bench, flask: { ...bench.flask, swirlUntilS: bench.timeS + 3 } });
}

export function emptyFlask(bench: Bench): Outcome<Bench> {
  if (bench.burette.tap !== 'closed') return refuse('The tap is open. Close it before you take the flask away.');
  const used = trialBegun(bench);
  const { mixed, plume, wall, undissolved } = bench.flask;
  const thrown = mix(mix(mixed, plume), wall);
  // Rinsed with 20 mL of water, so often that only water clings to it.
  const next: Bench = {
    ...bench,
    waste: mix(bench.waste, {
      volumeMl: thrown.volumeMl + 20 - FLASK_FILM_ML,
      amounts: addAmounts(thrown.amounts, undissolved),
    }),
    waterTakenMl: bench.waterTakenMl + 20,
    flask: { ...CLEAN_FLASK, mixed: water(FLASK_FILM_ML) },
    trial: used ? Math.min(bench.trial + 1, 50) : bench.trial,
    // A curve by volume is that of one flask: another would begin in the middle of it.
    probe: bench.probe.log?.by === 'mL' ? { ...bench.probe, log: null } : bench.probe,
  };
  const clean = used ? `The flask is clean: trial ${next.trial} can begin.` : '';
  const ended = next.probe === bench.probe ? '' : 'The log by volume has ended. Begin it again for the next curve.';
  return done(advance(next, TAKES_S.empty), [clean, ended].filter(Boolean).join(' ') || undefined);
}
