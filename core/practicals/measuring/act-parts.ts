import { vesselAt, type Bench, type Vessel } from './bench';

/** How long the hands take, s of the bench clock. */
export const TAKES_S = { pour: 4, drop: 0.5, pipette: 8, weigh: 2, put: 2, fish: 4, dry: 6, measure: 3 };

/** The vessel of a number, or the sentence that it is not there. */
export function find(bench: Bench, number: number): Vessel | { refusal: string } {
  return (
    vesselAt(bench, number) ?? {
      refusal: `Vessel ${number} is not on the bench. Take one from the tray first.`,
    }
  );
}

export const nameOf = (bench: Bench, lot: number): string =>
  lot === bench.sample.lots.length ? 'sinker' : (bench.plan.lots[lot] ?? '');
