/** How uncertain results are that follow from readings by a function of them: the same for every family. */

type Results = Readonly<Record<string, number>>;

/** What readings come to and how uncertain that is, by quantity. */
export interface Found {
  results: Results;
  uncertainties: Results;
}

/**
 * Propagates independent uncertainties through a function, numerically: the function is asked once for each with that
 * one input moved by its standard uncertainty, and the changes are added in squares (GUM, JCGM 100:2008, 5.1.2).
 * @param moved one set of inputs for each uncertainty, that one moved
 * @returns standard uncertainties, by the keys of the results; left out where a result vanishes when an input is moved
 */
export function propagated<Inputs>(
  of: (inputs: Inputs) => Results,
  inputs: Inputs,
  moved: readonly Inputs[],
): Record<string, number> {
  const results = of(inputs);
  const squares: Record<string, number> = {};
  const all = moved.map(of);
  for (const [key, value] of Object.entries(results)) {
    const changes = all.map((there) => (there[key] ?? NaN) - value);
    const sum = changes.reduce((squared, change) => squared + change ** 2, 0);
    if (Number.isFinite(sum)) squares[key] = Math.sqrt(sum);
  }
  return squares;
}

/** Standard uncertainty of what an eye reads to a tenth of a division: anything within it either way is as likely. */
export const readByEye = (division: number): number => division / 10 / Math.sqrt(3);
