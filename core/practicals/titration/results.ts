import { derivative } from '../../analysis/derivative';
import { crossing } from '../../analysis/crossing';
import { fitLine, type Point } from '../../analysis/line-fit';
import { countingTrials, standingIn } from '../standing';
import { CLEAN_FLASK, type Bench, type KeptReading } from './bench';
import { beyond, indicatorEndMl, neededMl, protonsAt, undissolvedMl, unmixedMl } from './end-point';
import type { Measured } from './kind';

/** What the recorded readings come to, and what they would have come to with a cause of error switched off. */

/**
 * The same reading in a bench that is the same but for one cause: the student's own error of reading is kept, and a
 * last reading is taken where the hands would have stopped, as far beyond the change of colour as they did.
 */
function asBefore(bench: Bench, now: KeptReading, was: { bench: Bench; reading: KeptReading }): number {
  const { off } = bench;
  const isWeighed = now.which === 'boat' || now.which === 'left';
  const readExactly = off.includes(isWeighed ? 'glassware' : now.which);
  const readError = readExactly ? 0 : was.reading.value - was.reading.shown;
  if (isWeighed || now.which === 'first') return now.shown + readError;
  const then = beyond(was.bench, was.reading.flask);
  const thenEnd = indicatorEndMl(was.bench, was.reading.flask, then.stage) ?? 0;
  const needed = neededMl(bench, now.flask)[then.stage] ?? 0;
  // Read when the flask was empty again: there is nothing to go by.
  if (!(needed > 0)) return now.shown + readError;
  const delivered = beyond(bench, now.flask);
  const beyondNow = delivered.beyondMl + (neededMl(bench, now.flask)[delivered.stage] as number) - needed;
  const endNow = indicatorEndMl(bench, now.flask, then.stage) ?? thenEnd;
  const itsOwn = off.includes('indicator') ? (indicatorEndMl(bench, now.flask, then.stage, false) ?? endNow) : 0;
  const stopped = stoppedBeyond(was, then, thenEnd);
  const kept = Object.entries(stopped).reduce((sum, [key, ml]) => sum + (off.includes(key) ? 0 : ml), 0);
  const shift = endNow - itsOwn + kept - beyondNow;
  return now.shown + readError + shift / (1 + bench.burette.piece.scaleError);
}

/** More than so much that is not mixed in is no last drop: the flask was not swirled, mL. */
const UNSWIRLED_ML = 0.2;

/** Why the hands stopped where they did, beyond where the indicator would have had them stop: mL, by cause. */
function stoppedBeyond(
  was: { bench: Bench; reading: KeptReading },
  then: { stage: number; beyondMl: number },
  endMl: number,
) {
  const { flask, trial } = was.reading;
  const undissolved = undissolvedMl(was.bench, flask, then.stage);
  const beyondMl = then.beyondMl + undissolved - endMl;
  const isBlind = Object.keys(flask.drops).length === 0 && !was.bench.logged.some((line) => line.trial === trial);
  const unmixed = unmixedMl(was.bench, flask);
  const unswirled = unmixed > UNSWIRLED_ML ? Math.min(unmixed, Math.max(beyondMl, 0)) : 0;
  return {
    blind: isBlind ? beyondMl : 0,
    swirl: isBlind ? 0 : unswirled,
    overshoot: isBlind ? 0 : beyondMl - unswirled,
    undissolved: -undissolved,
  };
}

/** Part of the highest peak of the derivative that another must have to be a step. */
const STEP_PART = 0.3;

/** The steepest place of a curve between two volumes: a parabola through the three highest points of the derivative. */
function steepest(slopes: readonly Point[], from: number, to: number): Point | undefined {
  const inside = slopes.filter(({ x }) => x > from && x < to);
  if (inside.length < 3) return undefined;
  const top = inside.reduce((best, point) => (Math.abs(point.y) > Math.abs(best.y) ? point : best));
  const at = slopes.indexOf(top);
  const [a, b, c] = [slopes[at - 1], top, slopes[at + 1]];
  if (!a || !c) return top;
  const [ya, yb, yc] = [Math.abs(a.y), Math.abs(b.y), Math.abs(c.y)];
  const [p, q] = [(yb - ya) / (b.x - a.x), (yc - yb) / (c.x - b.x)];
  const curvature = (q - p) / (c.x - a.x);
  if (curvature >= 0) return top;
  const x = (a.x + b.x) / 2 - p / (2 * curvature);
  return { x: Math.min(Math.max(x, a.x), c.x), y: top.y };
}

/** Value of a curve at x, on the straight line between its neighbours. */
function valueAt(points: readonly Point[], x: number): number | null {
  const after = points.findIndex((point) => point.x >= x);
  const [a, b] = [points[after - 1], points[after]];
  if (!b) return null;
  if (!a) return b.x === x ? b.y : null;
  return a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
}

type Curve = Pick<Measured, 'titreMl' | 'stage' | 'halfWayPh'>;

/** Where the two straight stretches of a conductivity curve cross, taken well away from the bend between them. */
function crossedAt(points: readonly Point[], neededMl: number): Curve | undefined {
  const between = (from: number, to: number) =>
    fitLine(points.filter(({ x }) => x >= from * neededMl && x <= to * neededMl));
  const [before, after] = [between(0.55, 0.92), between(1.08, 1.45)];
  const at = before && after && crossing(before, after);
  return at ? { titreMl: at.x, stage: 1, halfWayPh: null } : undefined;
}

/** Equivalence point and half-way pH of a logged curve: what a student finds who differentiates it. */
function curveOf(bench: Bench, trial: number): Curve | undefined {
  const lines = bench.logged.filter((line) => line.trial === trial);
  const flask = bench.curveFlasks[trial];
  if (lines.length < 12 || !flask) return undefined;
  const points = lines.map((line) => ({ x: Number(line.deliveredMl), y: Number(line.shown) }));
  const needed = neededMl(bench, flask);
  if (bench.plan.probe === 'conductivity') {
    // Each value counts as if the volume had stayed what it was at the start: only then are the stretches straight.
    const startMl = flask.mixed.volumeMl + flask.plume.volumeMl - (points.at(-1)?.x ?? 0);
    const undiluted = points.map(({ x, y }) => ({ x, y: (y * (startMl + x)) / startMl }));
    return crossedAt(undiluted, needed[0] as number);
  }
  const slopes = derivative(points, 1, 3);
  const first = needed[0] as number;
  const spacing = needed.length > 1 ? (needed[1] as number) - first : first;
  const peaks = needed.flatMap((volume, stage) => {
    const peak = steepest(slopes, volume - 0.35 * spacing, volume + 0.35 * spacing);
    return peak ? [{ ...peak, stage }] : [];
  });
  const highest = Math.max(...peaks.map((peak) => Math.abs(peak.y)));
  const last = peaks.findLast((peak) => Math.abs(peak.y) >= STEP_PART * highest);
  if (!last) return undefined;
  const stage = protonsAt(bench, flask, last.stage);
  const before = peaks.find((peak) => peak.stage === last.stage - 1);
  const sorted = [...points].sort((a, b) => a.x - b.x);
  const halfWay = last.stage === 0 ? last.x / 2 : before ? (before.x + last.x) / 2 : last.x * (1 - 0.5 / stage);
  return { titreMl: last.x, stage, halfWayPh: valueAt(sorted, halfWay) };
}

/** A last reading as it would be had nothing been brought into the burette, or let out elsewhere, since the first. */
function lastOf(bench: Bench, trial: number, value: number | undefined): number | undefined {
  const [first, last] = [standingIn(bench, trial, 'first'), standingIn(bench, trial, 'last')];
  if (value === undefined || !first || !last || !bench.off.includes('refilled')) return value;
  return value + (last.filledInMl - first.filledInMl) / (1 + bench.burette.piece.scaleError);
}

/** What a portion of the sample would have needed, mL, where there was none in the flask and that slip is switched off. */
function forAPortion(bench: Bench, trial: number): number | undefined {
  const { plan, stock, off } = bench;
  if (!off.includes('noSample') || (bench.portions[trial] ?? 0) > 0) return undefined;
  const diluted = plan.diluteToMl === null ? 1 : plan.pipetteMl / plan.diluteToMl;
  const amounts = Object.fromEntries(
    Object.entries(stock.bottle).map(([id, molPerL]) => [id, (molPerL * diluted * plan.pipetteMl) / 1000]),
  );
  return neededMl(bench, { ...CLEAN_FLASK, mixed: { volumeMl: plan.pipetteMl, amounts } })[0];
}

/** What was tipped in, less what was recorded of it, g: where that slip is switched off. */
function otherMass(bench: Bench, trial: number): number {
  const [boat, tips] = [standingIn(bench, trial, 'boat'), bench.tips[trial]];
  return boat && tips && bench.off.includes('tipped') ? tips.inG + tips.leftG - boat.shown : 0;
}

/**
 * What each trial that counts comes to.
 * @param was the bench as it was with all its errors, when `bench` is the same with causes switched off
 */
export function measuredIn(bench: Bench, was?: Bench): Measured[] {
  return countingTrials(bench).map((trial) => {
    const valueOf = (which: KeptReading['which']): number | undefined => {
      const now = standingIn(bench, trial, which);
      const then = was && standingIn(was, trial, which);
      if (!now || (was && !then)) return undefined;
      return was && then ? asBefore(bench, now, { bench: was, reading: then }) : now.value;
    };
    const [first, boat] = [valueOf('first'), valueOf('boat')];
    const last = lastOf(bench, trial, valueOf('last'));
    const massG = boat === undefined ? null : boat - (valueOf('left') ?? 0) + otherMass(bench, trial);
    const delivered = first !== undefined && last !== undefined && last > first ? last - first : null;
    const read = delivered === null ? null : (forAPortion(bench, trial) ?? delivered);
    const curve = curveOf(bench, trial);
    const end = standingIn(was ?? bench, trial, 'last');
    const stage = end ? protonsAt(was ?? bench, end.flask, beyond(was ?? bench, end.flask).stage) : 1;
    return {
      trial,
      ...(read === null || (curve && Object.keys(end?.flask.drops ?? {}).length === 0)
        ? { titreMl: curve?.titreMl ?? read, stage: curve?.stage ?? stage }
        : { titreMl: read, stage }),
      massG,
      portions: bench.portions[trial] ?? 0,
      halfWayPh: curve?.halfWayPh ?? null,
    };
  });
}
