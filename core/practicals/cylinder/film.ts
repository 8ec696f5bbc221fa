import { DRAWN_RADIUS_NM, pictureTimes, placesAsText, type Film, type Picture as Drawn } from '../film';
import type { Bench } from './bench';
import { countedOf } from './counting';
import type { Flying } from './flying';
import { DECIMALS, PS_PER_S, SLOTS_OF, STRIP_PS, type Plan } from './plan';
import { counterTexts, uncertaintyTexts, type Shown } from './texts';

/** What flies under the piston, as the bench sends it: nothing of it tells which gas it is. */
export interface Picture extends Drawn {
  heightNm: number;
  counters: Shown;
  uncertainties: Shown;
  /** Which of them hit the piston last, if one did since counting began. */
  hit: number | null;
}

/** Whether the gas is asked for by what can be worked out of how they fly: then browsers are sent pictures. */
export const isFilmed = ({ gear }: Plan): boolean => gear === 'impacts';

/** What is seen at a moment. @param flying the bench's own, or a copy that is further on its way */
function pictureOf(flying: Flying): Picture {
  const places = new Float64Array(3 * flying.count);
  flying.places(places);
  const { timePs: ps, heightNm, radiusNm } = flying;
  const counted = countedOf(flying);
  return {
    ps,
    places: placesAsText(places, (nm) => nm - radiusNm + DRAWN_RADIUS_NM),
    heightNm: Number(heightNm.toFixed(3)),
    counters: counterTexts(counted, SLOTS_OF.impacts),
    uncertainties: uncertaintyTexts(counted, SLOTS_OF.impacts),
    hit: flying.impacts().last?.body ?? null,
  };
}

function filmed(bench: Bench, flying: Flying, pictures: Picture[]): Film<Picture> {
  const sincePs = (pictures[0]?.ps ?? 0) - STRIP_PS;
  const heard = flying
    .heard()
    .filter(({ ps }) => ps >= sincePs)
    .map(({ ps, push }): [number, number] => [Number(ps.toFixed(2)), Number(push.toFixed(DECIMALS.q))]);
  return { pictures, heard, fills: bench.fills, changes: bench.changes.length };
}

/** The bench as it is now. */
export const stillOf = (bench: Bench): Film<Picture> => filmed(bench, bench.flying, [pictureOf(bench.flying)]);

/** Pictures from a bench time on, and the bench at the last of them. */
export function filmOf(bench: Bench, fromS: number): { film: Film<Picture>; bench: Bench } | undefined {
  if (!isFilmed(bench.plan)) return undefined;
  const flying = bench.flying.copy();
  const pictures = pictureTimes(bench.stretch, fromS, bench.pace, PS_PER_S).map((ps) => {
    flying.to(ps);
    return pictureOf(flying);
  });
  return { film: filmed(bench, flying, pictures), bench: { ...bench, flying } };
}
