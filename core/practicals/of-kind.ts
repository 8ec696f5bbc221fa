import { significant } from '../analysis/quantity';
import type { Support } from '../report/digits';
import type { KindOf } from './kind';
import { oncePerBench } from './once-per-bench';
import { propagated, type Found } from './uncertainty';

interface Ways<Setup, Row, Bench> {
  rowsOf(bench: Bench, was?: Bench): readonly Row[];
  /** The rows once for each source of uncertainty, moved by one standard deviation of it. */
  movedRows?(bench: Bench, rows: readonly Row[], setup: Setup): Row[][];
}

/** What of a practical follows from its kind, whichever bench it stands on: the same for every family that has kinds. */
export function partsOfKind<Setup, Sample, Plan, Row, Bench extends object>(
  kind: KindOf<Setup, Sample, Plan, Row, Bench>,
  { rowsOf, movedRows }: Ways<Setup, Row, Bench>,
) {
  const results = (setup: Setup, sample: Sample, bench: Bench, was?: Bench) =>
    kind.results(setup, sample, rowsOf(bench, was));
  const foundIn = oncePerBench((setup: Setup, sample: Sample, bench: Bench): Found => {
    const rows = rowsOf(bench);
    const of = (now: readonly Row[]) => kind.results(setup, sample, now);
    const own = kind.uncertainties?.(setup, sample, rows);
    return { results: of(rows), uncertainties: own ?? propagated(of, rows, movedRows?.(bench, rows, setup) ?? []) };
  });
  return {
    id: kind.id,
    title: kind.title,
    summary: kind.summary,
    setup: kind.setup,
    labels: (setup: Setup) => kind.plan(setup),
    sampleRoom: (setup: Setup) => kind.room(setup),
    sample: (setup: Setup, seed: string, index: number) => kind.draw(setup, seed, index),
    tables: (setup: Setup) => kind.tables(setup),
    asks: (setup: Setup) => kind.asks(setup),
    quantities: (setup: Setup) => kind.quantities(setup),
    truths: (setup: Setup, sample: Sample, bench: Bench) => kind.truths(setup, sample, bench),
    pool: kind.pool && ((setup: Setup, sample: Sample) => kind.pool?.(setup, sample) ?? {}),
    results,
    slips: (setup: Setup, sample: Sample, bench: Bench) => kind.slips?.(setup, sample, rowsOf(bench)) ?? [],
    support: (setup: Setup, sample: Sample, bench: Bench): Record<string, Support> => {
      const hints = kind.hints?.(setup, rowsOf(bench)) ?? {};
      const { uncertainties } = foundIn(setup, sample, bench);
      return Object.fromEntries(
        Object.entries(uncertainties).map(([key, uncertainty]) => [key, { uncertainty, hint: hints[key] ?? '' }]),
      );
    },
    leftOpen: (setup: Setup, sample: Sample, bench: Bench) =>
      kind.leftOpen?.(setup, sample, foundIn(setup, sample, bench), rowsOf(bench)) ?? {},
    objections: (setup: Setup) => kind.objections?.(setup) ?? [],
    unready: (setup: Setup, sample: Sample, bench: Bench) => {
      const found = Object.keys(results(setup, sample, bench));
      const isThere = kind.needs ? kind.needs.every((key) => found.includes(key)) : found.length > 0;
      if (isThere) return undefined;
      return typeof kind.nothingYet === 'string' ? kind.nothingYet : kind.nothingYet(setup);
    },
    /** The results of the trials in words, for the teacher. */
    resultTexts: (setup: Setup, sample: Sample, bench: Bench) =>
      Object.entries(results(setup, sample, bench)).map(([key, value]) => {
        const quantity = kind.quantities(setup).find((entry) => entry.key === key);
        const symbol = kind.symbols?.[key];
        const name = symbol ? `${symbol} =` : `${quantity?.label ?? key}:`;
        return `${name} ${significant(value, 4)} ${quantity?.kind === 'number' ? quantity.unit : ''}`.trim();
      }),
  };
}
