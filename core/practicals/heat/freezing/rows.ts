import type { Point } from '../../../analysis/line-fit';
import { meltFreezesC } from '../../../physics/melt';
import { aboutNow } from '../about';
import type { Bench } from '../bench';
import { frozenAt, type FrozenAt } from './frozen-at';
import { meltedAt, type MeltedAt } from './melted-at';
import { hasSamples, type Slot } from '../plan';
import type { Row, RowReading } from '../reading/row';
import { meltIn } from './tube';
import type { Frozen, Melted, Tube } from '../bodies';

/** What the freezings of a test tube come to, each a row: its temperature is where two lines through its log cross. */

type Log = Pick<Bench, 'logged' | 'logBegunS' | 'plan'>;
interface Known {
  frozen: Map<number, FrozenAt | undefined>;
  melted: Map<number, MeltedAt | undefined>;
}
const known = new WeakMap<Bench['logged'], Known>();

/** What a log comes to, worked out once for each. */
function knownOf({ logged }: Log): Known {
  const found = known.get(logged) ?? { frozen: new Map(), melted: new Map() };
  known.set(logged, found);
  return found;
}

/** The temperatures of one thermometer, from 0, against the time. */
const pointsOf = (lines: Bench['logged'], by: number): Point[] =>
  lines.map(({ t, T, U }) => {
    const text = by === 0 ? T : U;
    return { x: Number(t), y: text === '' ? NaN : Number(text.replace('\u2212', '-')) };
  });

/** What the log of one freezing comes to. */
export function freezingOfRun(log: Log, { melts, cup, atS, by }: Frozen): FrozenAt | undefined {
  const { frozen } = knownOf(log);
  if (!frozen.has(melts)) {
    const series = String(hasSamples(log.plan) ? cup : melts);
    const own = log.logged.filter((line) => line.trial === series);
    const isThere = log.logBegunS !== null && by !== null;
    frozen.set(melts, isThere ? frozenAt(pointsOf(own, by), atS - (log.logBegunS ?? 0)) : undefined);
  }
  return frozen.get(melts);
}

/** How long before and after the last crystal lines belong to a melting, s. */
const NEAR_S = 300;

/** The same of one melting. */
function meltingOfRun(log: Log, { melts, atS, by }: Melted): MeltedAt | undefined {
  const { melted } = knownOf(log);
  if (!melted.has(melts)) {
    const at = atS - (log.logBegunS ?? 0);
    const own = log.logged.filter(({ t }) => Math.abs(Number(t) - at) < NEAR_S);
    const isThere = log.logBegunS !== null && by !== null;
    melted.set(melts, isThere ? meltedAt(pointsOf(own, by), at) : undefined);
  }
  return melted.get(melts);
}

type Filled = Pick<Melted, 'solventG' | 'otherG'>;

/** What was in the tube then, all of it molten. */
const tubeThen = (bench: Bench, { solventG, otherG }: Filled, soluteMol: number): Tube => ({
  ...(bench.tube as Tube),
  substanceG: solventG,
  otherG,
  soluteMol,
  lyingG: 0,
  frozenG: 0,
  frozenMol: 0,
});

/** Where it begins to freeze by what was in it, °C. */
const beginsC = (bench: Bench, run: Filled, soluteMol: number): number =>
  meltFreezesC(meltIn(bench, tubeThen(bench, run, soluteMol)));

/** What has to be added to where the lines of a freezing cross, without one mistake. @param pure the freezing that it is held against */
function correctedC(bench: Bench, run: Frozen, crossC: number, pure?: Frozen): number {
  const { off, thermometers } = bench;
  const errorOf = ({ by }: Melted) => thermometers[by ?? 0]?.piece.errorC ?? 0;
  const isSwapped = off.includes('swapped') && pure && pure.by !== run.by;
  const swapped = isSwapped ? errorOf(pure) - errorOf(run) : 0;
  if (off.includes('lines')) return beginsC(bench, run, run.soluteMol) + errorOf(run) - crossC + swapped;
  if (!off.includes('undissolved') || run.lyingG === 0 || run.soluteMol === 0) return swapped;
  const dissolved = (run.soluteMol * run.soluteG) / (run.soluteG - run.lyingG);
  return swapped + beginsC(bench, run, dissolved) - beginsC(bench, run, run.soluteMol);
}

/** What has to be added to the masses: the solvent and the solute that were really there. */
function correctedG(
  bench: Bench,
  run: Frozen,
  { m1, m2, m, mb }: Partial<Record<Slot, RowReading>>,
): Partial<Record<Slot, number>> {
  const sum: Partial<Record<Slot, number>> = {};
  const inTube = ({ about }: RowReading) => about.tubeG + about.solventG + about.soluteG;
  if (bench.off.includes('portion') && m1 && m2) sum.m2 = run.solventG + run.otherG - (inTube(m2) - inTube(m1));
  if (bench.off.includes('solute') && m && mb) sum.m = run.soluteG - (m.about.boatG - mb.about.boatG);
  return sum;
}

const shiftedBy = (reading: RowReading | undefined, by: number): RowReading | undefined =>
  reading && { ...reading, value: reading.value + by };

const BARE = { vesselPart: 1, drawnK: undefined };
const withoutGaps = (readings: Partial<Record<Slot, RowReading | undefined>>) =>
  Object.fromEntries(Object.entries(readings).filter(([, one]) => one !== undefined)) as Row['readings'];

/** Readings of the log come after those that were recorded: each has an index of its own. */
const FIRST_INDEX = 1000;

/** What is read where lines through the log cross. */
const readAt = (bench: Bench, tempC: number, { by }: Melted, index: number): RowReading => ({
  value: tempC,
  text: '',
  index: FIRST_INDEX + index,
  about: { ...aboutNow(bench), thermometer: by ?? 0 },
});

interface Read {
  run: Frozen;
  frozen: FrozenAt;
}

/** @param masses the rows of what was weighed */
export function freezingRows(bench: Bench, masses: readonly Row[]): Row[] {
  const { tube, plan } = bench;
  if (!tube || !plan.tube) return [];
  const found = tube.runs.flatMap((run): Read[] => {
    const frozen = freezingOfRun(bench, run);
    return frozen ? [{ run, frozen }] : [];
  });
  if (plan.tube.isSolution) return solutionRows(bench, masses, found);
  if (hasSamples(plan)) return mixtureRows(bench, tube, found);
  return found.map(({ run, frozen }, i) => {
    const value = frozen.tempC + correctedC(bench, run, frozen.tempC);
    return { ...BARE, trial: i + 1, readings: { Tf: readAt(bench, value, run, run.melts) }, frozen };
  });
}

function solutionRows(bench: Bench, masses: readonly Row[], found: readonly Read[]): Row[] {
  /** What was weighed of one tube, and where its solvent froze: that of an earlier tube where it was not frozen pure. */
  const weighedOf = (cup: number): Row['readings'] =>
    Object.fromEntries(
      masses.flatMap(({ readings }) => Object.entries(readings).filter(([, one]) => one.about.cup === cup)),
    );
  const jarOf = ({ otherG }: Frozen) => (otherG > 0 ? 2 : 1);
  const pureOf = (of: Frozen) =>
    found.findLast(({ run }) => run.soluteG === 0 && run.cup <= of.cup && jarOf(run) === jarOf(of));
  return found
    .filter(({ run }) => run.soluteG > 0)
    .map(({ run, frozen }, i) => {
      const weighed = weighedOf(run.cup);
      const more = correctedG(bench, run, weighed);
      const of = (slot: Slot) => shiftedBy(weighed[slot], more[slot] ?? 0);
      const pure = pureOf(run);
      const at = ({ run: one, frozen: its }: Read, held?: Frozen) =>
        readAt(bench, its.tempC + correctedC(bench, one, its.tempC, held), one, one.melts);
      const T0 = pure && at(pure);
      const Tf = at({ run, frozen }, pure?.run);
      const readings = withoutGaps({ m1: of('m1'), m2: of('m2'), m: of('m'), mb: of('mb'), T0, Tf });
      return { ...BARE, frozen, jar: jarOf(run), trial: i + 1, readings };
    });
}

/** What is in a tube of two samples: which slot its temperature has. */
const sampleSlot = ({ solventG, otherG }: Melted) => (otherG === 0 ? 'TA' : solventG === 0 ? 'TB' : 'TM');

/** Two samples and their mixture: where each melts, and where it freezes. */
function mixtureRows(bench: Bench, tube: Tube, found: readonly Read[]): Row[] {
  const rowOf = (run: Melted, value: number, index: number): Omit<Row, 'trial'> => ({
    ...BARE,
    mixed: { aG: run.solventG, bG: run.otherG },
    readings: { [sampleSlot(run)]: readAt(bench, value, run, index) },
  });
  const melted = tube.meltings.flatMap((run) => {
    const at = meltingOfRun(bench, run);
    if (!at) return [];
    const isOff = bench.off.includes('lines');
    const errorC = bench.thermometers[run.by ?? 0]?.piece.errorC ?? 0;
    return [rowOf(run, isOff ? beginsC(bench, run, 0) + errorC : at.tempC, 2 * run.melts)];
  });
  const frozen = found.map(({ run, frozen: its }) => ({
    ...rowOf(run, its.tempC + correctedC(bench, run, its.tempC), 2 * run.melts + 1),
    frozen: its,
  }));
  return [...melted, ...frozen].map((row, i) => ({ ...row, trial: i + 1 }));
}

/** Where the mixtures that were measured begin to freeze by what was in them, on average, °C; undefined where there is none. */
export function mixtureBeginsC(bench: Bench, rows: readonly Row[]): number | undefined {
  const all = rows.filter((row) => row.readings.TM && row.mixed);
  if (all.length === 0 || !bench.tube) return undefined;
  const each = all.map(({ mixed }) => beginsC(bench, { solventG: mixed?.aG ?? 0, otherG: mixed?.bG ?? 0 }, 0));
  return each.reduce((a, b) => a + b, 0) / each.length;
}
