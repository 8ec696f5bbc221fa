import { counted } from '../../../analysis/quantity';
import { apart, mixed, NOTHING, together, WATER_G_PER_ML, type Contents } from '../../../chemistry/contents';
import { solidGrams } from '../../../chemistry/weight';
import type { Outcome } from '../../contract';
import { done, handError, isAmount, refuse } from '../../hands';
import { humidity, isOwn, ripeNow, vesselAt, warmerNow, withVessel, type Bench, type Vessel } from '../bench';
import { advance, drawn } from '../flow';
import { between, received } from '../liquid-acts';
import { seenSolid, solidsIn } from '../look';
import { trialFor } from '../trials';
import { GLASS_LETS, RUNS_THROUGH } from '../vessels';
import { wetMl } from './drying';
import { dissolvedG, weighedG } from './left-behind';
import { ovenC, OVEN_C } from './oven';
import type { PAPER_PLACES } from './paper';
import type { PAPER_KINDS } from './paper-kinds';
import { airDampG, freshPaper, onPaper, PAPER_WAYS, type Paper } from './paper';
import { PAPER_NAMES } from './paper-kinds';
import { under } from './jar-acts';
import { commonTrial } from './solid-trials';
import { onPan } from './weighing';

/** Filtering through a weighed paper, washing, and where papers are put. */

const MOST_PAPERS = 6;
/** What stays in a vessel that is poured out: of its liquid, mL, and a part of its solid. */
const STAYS_ML = 0.3;
const CLINGS = 0.03;
/** What filtering and washing take, s, and what each millilitre takes besides. */
const TAKES_S = { filter: 60, wash: 20, ml: 1.5 } as const;
const WASH_ML = { least: 1, most: 50 } as const;
/** A gram of solid keeps so much liquid, mL. */
const SOLID_KEEPS_ML = 1;

const NO_PAPER = 'There are no papers at this bench.';
const NO_SUCH = 'There is no such paper on the bench.';

const paperAt = ({ papers }: Bench, number: number): Paper | undefined => {
  const paper = papers[number - 1];
  return paper && paper.at !== 'away' ? paper : undefined;
};

const withPaper = (bench: Bench, number: number, change: Partial<Paper>): Bench => ({
  ...bench,
  papers: bench.papers.map((paper, i) => (i === number - 1 ? { ...paper, ...change } : paper)),
});

export function takePaper(bench: Bench, { of }: { of: (typeof PAPER_KINDS)[number] }): Outcome<Bench> {
  if (!bench.plan.papers.includes(of)) return refuse(`There is no ${PAPER_NAMES[of]} on the tray today.`);
  if (bench.papers.filter(({ at }) => at !== 'away').length >= MOST_PAPERS)
    return refuse(`There is room for ${MOST_PAPERS} papers. Throw one away first.`);
  const number = bench.papers.length + 1;
  if (number > 24) return refuse('No more papers are given out in one run.');
  return done({ ...bench, papers: [...bench.papers, freshPaper(of, bench.seed, number, humidity(bench))] });
}

const FULL: Record<'pan' | 'funnel', string> = {
  pan: 'Something is on the balance. Take it off first.',
  funnel: 'A paper is in the funnel. Take it out first.',
};

export function placePaper(
  bench: Bench,
  { paper: number, at }: { paper: number; at: (typeof PAPER_PLACES)[number] },
): Outcome<Bench> {
  const paper = paperAt(bench, number);
  if (!paper) return refuse(bench.plan.papers.length === 0 ? NO_PAPER : NO_SUCH);
  if (paper.at === at) return refuse('It is there already.');
  if (at === 'pan' && !bench.balance) return refuse('There is no balance at this bench.');
  if (at === 'desiccator' && !bench.plan.desiccator) return refuse('There is no desiccator at this bench.');
  if (at === 'pan' && onPan(bench)) return refuse(FULL.pan);
  if (at === 'funnel' && bench.papers.some((one) => one.at === 'funnel')) return refuse(FULL.funnel);
  const isNewRound = at === 'oven' && paper.from !== null && (paper.rounds === 0 || paper.isWeighed);
  const now = withPaper(bench, number, {
    at,
    ...(isNewRound && { rounds: paper.rounds + 1, isWeighed: false }),
  });
  return done(advance(now, 4));
}

export function throwPaper(bench: Bench, { paper: number }: { paper: number }): Outcome<Bench> {
  const paper = paperAt(bench, number);
  if (!paper) return refuse(bench.plan.papers.length === 0 ? NO_PAPER : NO_SUCH);
  const gone = withPaper(bench, number, { at: 'away', held: NOTHING, waterG: 0, turned: 0 });
  return done({ ...gone, waste: together(bench.waste, paper.held) });
}

/** What comes on a paper out of a vessel or a wash bottle. */
interface OnIt {
  contents: Contents;
  ripe: number;
  warmerK: number;
  brought: readonly number[];
  from: number;
  by: 'filtered' | 'rinsed';
}

/** What runs through the paper in the funnel into a vessel, and what stays on it. */
function onto(bench: Bench, number: number, to: number, came: OnIt): { bench: Bench; spiltMl: number } {
  const paper = bench.papers[number - 1] as Paper;
  const ways = PAPER_WAYS[paper.of];
  const was = paper.held.volumeMl > 0 ? { ...paper.held, volumeMl: wetMl(paper) } : NOTHING;
  // All at once: what is nearly dry is never looked at by itself.
  const { contents: all, gasMol } = mixed(NOTHING, together(was, came.contents));
  const solidsG = Object.values(solidGrams(all)).reduce((a, b) => a + b, 0);
  const cameG = Object.values(solidGrams(came.contents)).reduce((a, b) => a + b, 0);
  const form = solidsIn(all)[0]?.entry.form;
  const lets = form ? RUNS_THROUGH[form] * Math.exp(-came.ripe) * (paper.of === 'glass' ? GLASS_LETS : 1) : 0;
  const keepsMl = ways.keepsMl + SOLID_KEEPS_ML * solidsG;
  const liquid = Math.max(1 - keepsMl / all.volumeMl, 0);
  const { taken, left } = apart(all, liquid, solidsG > 0 ? lets * Math.min(cameG / solidsG, 1) * liquid : 0);
  const before = onPaper(paper).solidG;
  const kept = withPaper(bench, number, {
    held: left,
    waterG: left.volumeMl * WATER_G_PER_ML,
    dampG: airDampG(paper, humidity(bench)),
    turned: solidsG > 0 ? Math.min((paper.turned * before) / solidsG, 1) : 0,
    from: paper.from ?? (came.by === 'filtered' ? came.from : null),
  });
  return received({ ...kept, goneMol: kept.goneMol + gasMol }, to, {
    contents: taken,
    warmerK: came.warmerK,
    brought: came.brought.map((mol) => mol * liquid),
    // What has run through is as fine as what was not ripe.
    ripe: 0,
    poured: { from: came.from, ml: taken.volumeMl, trueMl: taken.volumeMl, by: came.by },
  });
}

const inFunnel = ({ papers }: Bench): number => papers.findIndex(({ at }) => at === 'funnel') + 1;

/** All that there is of the solid that is weighed, wherever it is among these, g. */
const solidAmong = (bench: Bench, vessels: readonly number[], paper: number): number =>
  vessels.reduce((sum, number) => sum + weighedG((bench.vessels[number - 1] as Vessel).contents, bench.sample), 0) +
  weighedG((bench.papers[paper - 1] as Paper).held, bench.sample);

/** Keeps the account of what is not on the paper. @param from the vessel that was poured out; null where the wash bottle was */
function accounted(before: Bench, after: Bench, number: number, to: number, from: number | null): Bench {
  const was = before.papers[number - 1] as Paper;
  const { missing } = was;
  const inside = (bench: Bench, vessel: number) =>
    weighedG((bench.vessels[vessel - 1] as Vessel).contents, bench.sample);
  const vessels = from === null ? [to] : [from, to];
  const isFirst = was.from === null && from !== null;
  const back = from !== null && was.from !== null && from !== was.from ? inside(before, from) - inside(after, from) : 0;
  const source = from !== null && (isFirst || from === was.from) ? from : null;
  return withPaper(after, number, {
    missing: {
      through: missing.through + inside(after, to) - inside(before, to) - back,
      clings: source === null ? missing.clings : inside(after, source),
      dissolved: isFirst ? dissolvedG(before, before.vessels[from - 1] as Vessel) : missing.dissolved,
      washed: missing.washed + solidAmong(before, vessels, number) - solidAmong(after, vessels, number),
    },
  });
}

/** A paper that a mixture was filtered through belongs to it. */
function joined(bench: Bench, number: number, from: number): { bench: Bench; note: string | undefined } {
  const own = bench.papers[number - 1]?.trial ?? null;
  const trial = commonTrial(bench, from, own) ?? trialFor(bench, from);
  const now = withVessel(withPaper(bench, number, { trial }), from, { trial });
  return {
    bench: now,
    note:
      own !== null && own !== trial
        ? `This paper was weighed for trial ${own}, and the mixture is trial ${trial}: move its mass there in the notebook.`
        : undefined,
  };
}

const NOTHING_UNDER = 'Nothing stands under the funnel: all would run over the bench. Put a beaker there first.';

const WITHOUT = 'There is no paper in the funnel: all would run through, the solid too. Put one in first.';
const CLOUDY = 'What runs through is cloudy: a part of the solid is too fine for this paper.';

const noted = (spiltMl: number, ...notes: (string | undefined)[]): string | undefined =>
  [spiltMl > 0.01 ? 'It ran over, and some was spilt.' : undefined, ...notes].find((note) => note !== undefined);

/** What has to be there before anything is poured into the funnel: the paper in it and the vessel under it by their numbers, or why not. */
function ready(bench: Bench): { number: number; to: number } | { refusal: string } {
  if (bench.plan.papers.length === 0) return refuse(NO_PAPER);
  const number = inFunnel(bench);
  if (number === 0) return refuse(WITHOUT);
  const to = under(bench);
  return to === 0 ? refuse(NOTHING_UNDER) : { number, to };
}

export function filter(bench: Bench, { from }: { from: number }): Outcome<Bench> {
  const there = ready(bench);
  if ('refusal' in there) return there;
  const { number, to } = there;
  const both = between(bench, from, to);
  if ('refusal' in both) return both;
  const { source } = both;
  if (!isOwn(source) || source.type === 'well') return refuse('Filter what is in a beaker or a tube of your own.');
  const volume = source.contents.volumeMl;
  if (volume <= 1.2 * STAYS_ML) return refuse('No more runs out of it: rinse it out with water instead.');
  const liquid = Math.max(1 - STAYS_ML / volume, 0);
  const { taken, left } = apart(source.contents, liquid, 1 - CLINGS);
  const given = withVessel(bench, from, { contents: left, brought: source.brought.map((mol) => mol * (1 - liquid)) });
  const { bench: after, spiltMl } = onto(given, number, to, {
    contents: taken,
    ripe: ripeNow(bench, source),
    warmerK: warmerNow(bench, source),
    brought: source.brought.map((mol) => mol * liquid),
    from,
    by: 'filtered',
  });
  const held = withPaper(after, number, { hotS: Math.max(source.hotS, bench.papers[number - 1]?.hotS ?? 0) });
  const { bench: named, note } = joined(accounted(bench, held, number, to, from), number, from);
  const isCloudy = seenSolid((after.vessels[to - 1] as Vessel).contents) !== null;
  return done(
    advance(named, TAKES_S.filter + TAKES_S.ml * taken.volumeMl),
    noted(spiltMl, isCloudy ? CLOUDY : undefined, note),
  );
}

const waterNumber = ({ vessels }: Bench): number => vessels.findIndex(({ type }) => type === 'water') + 1;

/** So much out of the wash bottle, or why not. */
function washed(bench: Bench, ml: number): { bench: Bench; water: Contents } | { refusal: string } {
  if (!isAmount(ml, WASH_ML.least, WASH_ML.most))
    return refuse(`The wash bottle gives ${WASH_ML.least} to ${WASH_ML.most} mL at a time.`);
  const number = waterNumber(bench);
  const { error, bench: drawnBench } = handError(bench, 0.05 * ml);
  const { taken, left } = drawn(drawnBench, bench.vessels[number - 1] as Vessel, Math.max(ml + error, 0.1));
  if (taken.volumeMl < 0.1) return refuse('There is no water left in the wash bottle.');
  return { bench: withVessel(drawnBench, number, { contents: left }), water: taken };
}

/** Rinses a vessel out through the paper. */
export function rinse(bench: Bench, { from, ml }: { from: number; ml: number }): Outcome<Bench> {
  const there = ready(bench);
  if ('refusal' in there) return there;
  const own = vesselAt(bench, from);
  if (!own || !isOwn(own) || own.type === 'well') return refuse('Rinse out a beaker or a tube of your own.');
  if (from === there.to) return refuse('It stands under the funnel: it cannot be rinsed out into itself.');
  const bottle = washed(bench, ml);
  if ('refusal' in bottle) return bottle;
  const { bench: wet, spiltMl } = received(bottle.bench, from, {
    contents: bottle.water,
    warmerK: 0,
    brought: [],
    ripe: 0,
    poured: { from: waterNumber(bench), ml, trueMl: bottle.water.volumeMl, by: 'rinsed' },
  });
  const outcome = filter(wet, { from });
  return 'refusal' in outcome || spiltMl <= 0.01 ? outcome : done(outcome.bench, noted(spiltMl));
}

/** Washes what lies on the paper. */
export function wash(bench: Bench, { ml }: { ml: number }): Outcome<Bench> {
  const there = ready(bench);
  if ('refusal' in there) return there;
  const { number, to } = there;
  const bottle = washed(bench, ml);
  if ('refusal' in bottle) return bottle;
  const { bench: after, spiltMl } = onto(bottle.bench, number, to, {
    contents: bottle.water,
    ripe: 0,
    warmerK: 0,
    brought: [],
    from: waterNumber(bench),
    by: 'rinsed',
  });
  const washedMl = (bench.papers[number - 1]?.washedMl ?? 0) + ml;
  const now = accounted(bottle.bench, withPaper(after, number, { washedMl }), number, to, null);
  return done(advance(now, TAKES_S.wash + TAKES_S.ml * ml), noted(spiltMl));
}

export function setOven(bench: Bench, { tempC }: { tempC: number }): Outcome<Bench> {
  if (bench.plan.papers.length === 0) return refuse('There is no oven at this bench.');
  if (!isAmount(tempC, OVEN_C.least, OVEN_C.most))
    return refuse(`The oven goes from ${OVEN_C.least} to ${OVEN_C.most} °C.`);
  const oven = { setC: tempC, fromC: ovenC(bench.oven, bench.timeS), sinceS: bench.timeS };
  const inside = bench.papers.filter(({ at }) => at === 'oven').length;
  return done({ ...bench, oven }, inside > 0 ? `${counted(inside, 'paper is', 'papers are')} in it.` : undefined);
}
