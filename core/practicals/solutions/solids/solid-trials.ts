import type { Bench, KeptReading } from '../bench';

/** Papers and the boat are weighed before the mixture that they are for: each goes on in its own count of trials, in step with the mixtures. */

const highest = ({ readings }: Bench, is: (r: KeptReading) => boolean): number =>
  readings.reduce((most, r) => (r.struck === null && is(r) ? Math.max(most, r.trial) : most), 0);

/** The trial that a paper is weighed for. */
export function paperTrial(bench: Bench, number: number): number {
  const own = bench.papers[number - 1]?.trial;
  if (own) return own;
  const used = Math.max(0, ...bench.papers.map(({ trial }) => trial ?? 0));
  return (
    Math.max(
      used,
      highest(bench, ({ which }) => which === 'mP'),
    ) + 1
  );
}

/** The trial that the boat is weighed for. */
export const boatTrial = (bench: Bench): number =>
  bench.boat.trial ?? highest(bench, ({ which }) => which === 'mB' || which === 'mE') + 1;

/** The trial that a mixture and what was weighed for it have in common: the mixture's own, else the other's where no other mixture has it. */
export function commonTrial(
  { vessels }: Pick<Bench, 'vessels'>,
  number: number,
  weighedFor: number | null,
): number | null {
  const own = vessels[number - 1]?.trial ?? null;
  if (own !== null || weighedFor === null) return own;
  return vessels.some(({ trial }, i) => i !== number - 1 && trial === weighedFor) ? null : weighedFor;
}
