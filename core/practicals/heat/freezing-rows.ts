import { meltFreezesC } from '../../physics/freezing';
import { aboutNow } from './about';
import type { Bench } from './bench';
import { frozenAt, type FrozenAt } from './frozen-at';
import type { Slot } from './plan';
import type { Row, RowReading } from './rows';
import { meltIn, type Frozen, type Tube } from './tube';

/** What the freezings of a test tube come to, each a row: its temperature is where two lines through its log cross. */

const known = new WeakMap<Bench['logged'], Map<number, FrozenAt | undefined>>();

/** What the log of one freezing comes to; worked out once for each log. */
export function freezingOfRun(
  { logged, logBegunS }: Pick<Bench, 'logged' | 'logBegunS'>,
  { melts, atS }: Frozen,
): FrozenAt | undefined {
  const found = known.get(logged) ?? new Map<number, FrozenAt | undefined>();
  known.set(logged, found);
  if (!found.has(melts)) {
    const own = logged
      .filter((line) => line.trial === String(melts))
      .map((line) => ({ x: Number(line.t), y: line.T === '' ? NaN : Number(line.T.replace('\u2212', '-')) }));
    found.set(melts, logBegunS === null ? undefined : frozenAt(own, atS - logBegunS));
  }
  return found.get(melts);
}

/** What has to be added to the temperature of a freezing, without one mistake. */
function correctedC(bench: Bench, run: Frozen): number {
  if (!bench.off.includes('undissolved') || run.lyingG === 0 || run.soluteMol === 0) return 0;
  const tube = { ...(bench.tube as Tube), substanceG: run.solventG, lyingG: 0, frozenG: 0 };
  const at = (soluteMol: number) => meltFreezesC(meltIn(bench, { ...tube, soluteMol }), 0);
  return at((run.soluteMol * run.soluteG) / (run.soluteG - run.lyingG)) - at(run.soluteMol);
}

/** What has to be added to the masses: the solvent and the solute that were really there. */
function correctedG(
  bench: Bench,
  run: Frozen,
  { m1, m2, m, mb }: Partial<Record<Slot, RowReading>>,
): Partial<Record<Slot, number>> {
  const sum: Partial<Record<Slot, number>> = {};
  const inTube = ({ about }: RowReading) => about.tubeG + about.solventG + about.soluteG;
  if (bench.off.includes('portion') && m1 && m2) sum.m2 = run.solventG - (inTube(m2) - inTube(m1));
  if (bench.off.includes('solute') && m && mb) sum.m = run.soluteG - (m.about.boatG - mb.about.boatG);
  return sum;
}

const shiftedBy = (reading: RowReading | undefined, by: number): RowReading | undefined =>
  reading && { ...reading, value: reading.value + by };

/** @param masses the rows of what was weighed */
export function freezingRows(bench: Bench, masses: readonly Row[]): Row[] {
  const { tube, plan } = bench;
  if (!tube || !plan.tube) return [];
  const about = { ...aboutNow(bench), thermometer: 0 };
  const read = (run: Frozen): RowReading | undefined => {
    const at = freezingOfRun(bench, run);
    return at && { value: at.tempC + correctedC(bench, run), text: '', index: 1000 + run.melts, about };
  };
  const found = tube.runs.flatMap((run) => {
    const reading = read(run);
    const frozen = freezingOfRun(bench, run);
    return reading && frozen ? [{ run, reading, frozen }] : [];
  });
  const bare = { vesselPart: 1, drawnK: undefined };
  if (!plan.tube.isSolution)
    return found.map(({ reading, frozen }, i) => ({ ...bare, trial: i + 1, readings: { Tf: reading }, frozen }));
  /** What was weighed of one tube, and where its solvent froze: that of an earlier tube where it was not frozen pure. */
  const weighedOf = (cup: number): Row['readings'] =>
    Object.fromEntries(
      masses.flatMap(({ readings }) => Object.entries(readings).filter(([, one]) => one.about.cup === cup)),
    );
  const pureOf = (cup: number) => found.findLast(({ run }) => run.soluteG === 0 && run.cup <= cup)?.reading;
  return found
    .filter(({ run }) => run.soluteG > 0)
    .map(({ run, reading, frozen }, i) => {
      const weighed = weighedOf(run.cup);
      const more = correctedG(bench, run, weighed);
      const of = (slot: Slot) => shiftedBy(weighed[slot], more[slot] ?? 0);
      const readings = { m1: of('m1'), m2: of('m2'), m: of('m'), mb: of('mb'), T0: pureOf(run.cup), Tf: reading };
      return {
        ...bare,
        frozen,
        trial: i + 1,
        readings: Object.fromEntries(
          Object.entries(readings).filter(([, one]) => one !== undefined),
        ) as Row['readings'],
      };
    });
}
