import { DRAWN_RADIUS_NM, pictureTimes, placesAsText, type Film, type Picture as Drawn } from '../film';
import { particleRadiusNm } from '../../databook/particle-sizes';
import type { Bench } from './bench';
import { counterTexts, type Counters } from './counters';
import type { Flying } from './flying';
import { PS_PER_S } from './plan';

/** What flies of both gases, as the bench sends it: nothing of it tells which the other gas is. */
export interface Picture extends Drawn {
  counters: Counters | null;
}

/** What is seen at a moment. @param flying the bench's own, or a copy that is further on its way */
function pictureOf(bench: Bench, flying: Flying): Picture {
  const { edgeNm } = bench.plan;
  const places = new Float64Array(3 * flying.count);
  const { kind, isGone } = flying.places(places);
  // Middles come as near to a wall as they are large: those of the other gas as near as it is drawn.
  const own = particleRadiusNm(bench.sample.gasId);
  const stretched = (nm: number) =>
    DRAWN_RADIUS_NM + ((nm - own) * (edgeNm - 2 * DRAWN_RADIUS_NM)) / (edgeNm - 2 * own);
  const others = Float64Array.from(places, (nm, i) => (kind[Math.floor(i / 3)] === 1 ? stretched(nm) : nm));
  const at = { ...bench, nowPs: flying.timePs, tally: flying.tally };
  return { ps: flying.timePs, places: placesAsText(others, (nm) => nm, isGone), counters: counterTexts(at) };
}

const filmed = ({ fills, changes }: Bench, pictures: Picture[]): Film<Picture> => ({
  pictures,
  fills,
  changes: changes.length,
});

/** The bench as it is now. */
export const stillOf = (bench: Bench): Film<Picture> => filmed(bench, [pictureOf(bench, bench.flying)]);

/** Pictures from a bench time on, and the bench at the last of them. */
export function filmOf(bench: Bench, fromS: number): { film: Film<Picture>; bench: Bench } {
  const flying = bench.flying.copy();
  const pictures = pictureTimes(bench.run, fromS, bench.pace, PS_PER_S).map((ps) => {
    flying.to(ps);
    return pictureOf(bench, flying);
  });
  return { film: filmed(bench, pictures), bench: { ...bench, flying } };
}
