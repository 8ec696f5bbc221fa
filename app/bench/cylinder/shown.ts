import type { Picture } from '@core/practicals/cylinder/film';
import { STRIP_PS } from '@core/practicals/cylinder/plan';
import type { Counted } from '@core/practicals/cylinder/counting';
import type { Seen as Look } from '@core/practicals/cylinder/flying';
import type { Shown as Texts } from '@core/practicals/cylinder/texts';
import type { Seen } from '../flying/film-hand';

/** What is drawn of the cylinder at a moment, whoever let it fly. */
export interface Shown {
  ps: number;
  /** Where all are, nm, three numbers for each; how high the room of their middles is. */
  places: Float64Array;
  heightNm: number;
  /** What has been counted since the last change, as the counters show it. */
  counters: Texts;
  uncertainties: Texts;
  /** Which of them hit the piston last. */
  hit: number | null;
  /** Impacts on the piston that the strip shows: how long ago, ps, and the push, yN·s. */
  heard: { ago: number; push: number }[];
  /** What is drawn beside it of all of them; nothing where the server lets them fly. */
  crowd?: {
    means: Counted['values'];
    uncertainties: Counted['uncertainties'];
    /** The last looks, the newest at the end. */
    looks: Look[];
    spread: { speeds: number[]; energies: number[] };
    againstK: number;
    gPerMol: number;
  };
}

/** Impacts that the strip still shows. */
export const heardSince = (ps: number, heard: readonly (readonly [at: number, push: number])[]): Shown['heard'] =>
  heard.flatMap(([at, push]) => (ps - at < STRIP_PS ? [{ ago: ps - at, push }] : []));

export const shownOf = ({ ps, places, picture, heard }: Seen<Picture>): Shown => ({
  ps,
  places,
  heightNm: picture.heightNm,
  counters: picture.counters,
  uncertainties: picture.uncertainties,
  hit: picture.hit,
  heard: heardSince(ps, heard),
});
