/** What comes of an act. */

/** An act that the bench could not do: the sentence that the student reads. */
export interface Refusal {
  refusal: string;
}
/** An act that was done, with a sentence if something is worth saying (a splash, a warning). */
export interface Done<Bench> {
  bench: Bench;
  note?: string;
}
export type Outcome<Bench> = Done<Bench> | Refusal;

export const isRefusal = <Bench>(outcome: Outcome<Bench>): outcome is Refusal => 'refusal' in outcome;
