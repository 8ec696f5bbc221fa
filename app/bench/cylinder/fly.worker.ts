import { countedOf } from '@core/practicals/cylinder/counting';
import { Flying, type Change } from '@core/practicals/cylinder/flying';
import { SLOT_IDS, STRIP_PS, LOOK_PS } from '@core/practicals/cylinder/plan';
import { counterTexts, uncertaintyTexts } from '@core/practicals/cylinder/texts';
import type { Filled } from '@core/physics/hard-spheres';
import { AT_IT, replaying, type Told } from '../flying/replay';
import { heardSince, type Shown } from './shown';

/** Lets the gas fly beside the page, as the server's bench does: from the filling and what was done to it. */

type Said = Told<Filled, Change>;

const answer = replaying<Filled, Change, Flying, Shown>(
  (filling) => Flying.filled(filling).listen(),
  (flying, ps) => {
    const places = new Float64Array(3 * flying.count);
    flying.places(places);
    const { heightNm, againstK, gPerMol } = flying;
    const counted = countedOf(flying);
    return {
      ps,
      places,
      heightNm,
      counters: counterTexts(counted, SLOT_IDS),
      uncertainties: uncertaintyTexts(counted, SLOT_IDS),
      hit: flying.impacts().last?.body ?? null,
      heard: heardSince(
        ps,
        flying.heard().map(({ ps: at, push }) => [at, push] as const),
      ),
      crowd: {
        means: counted.values,
        uncertainties: counted.uncertainties,
        looks: flying.looks().slice(-STRIP_PS / LOOK_PS),
        spread: flying.spread(),
        againstK,
        gPerMol,
      },
    };
  },
  () => self.postMessage(AT_IT),
);

self.addEventListener('message', ({ data }: MessageEvent<Said | { ps: number }>) => {
  const shown = answer(data);
  if (shown) self.postMessage(shown);
});
