import type { Filled } from '@core/physics/hard-spheres';
import type { Film } from '@core/practicals/film';
import type { Picture } from '@core/practicals/cylinder/film';
import type { Change } from '@core/practicals/cylinder/flying';
import { PS_PER_S } from '@core/practicals/cylinder/plan';
import type { View } from '@core/practicals/cylinder/view';
import { Lost } from '../flying/lost';
import { useFilm } from '../flying/use-film';
import { useReplayed } from '../flying/use-replayed';
import { shownOf, type Shown } from './shown';

interface FliesProps {
  view: View;
  /** The bench time that shows now. */
  atS: () => number;
  onShown: (shown: Shown) => void;
}

/** The gas flies beside the page. */
function Here({ view, filling, atS, onShown }: FliesProps & { filling: Filled }) {
  const isLost = useReplayed<Filled, Change, Shown>({
    told: { ...view, filling },
    stretch: view.stretch,
    psPerS: PS_PER_S,
    atS,
    make: () => new Worker(new URL('./fly.worker.ts', import.meta.url), { type: 'module' }),
    onShown,
    also: String(view.running),
  });
  return <Lost isLost={isLost} />;
}

/** The gas flies on the server, which sends what is seen of it. */
function There({ view, still, atS, onShown }: FliesProps & { still: Film<Picture> }) {
  const isLost = useFilm<Picture>({
    still,
    stretch: view.stretch,
    running: view.running,
    psPerS: PS_PER_S,
    atS,
    onShown: (seen) => onShown(shownOf(seen)),
  });
  return <Lost isLost={isLost} />;
}

/** Lets the gas fly where the bench says, and tells what is seen; draws nothing but that it cannot be seen just now. */
export function Flies(props: FliesProps) {
  const { filling, still } = props.view;
  if (filling) return <Here {...props} filling={filling} />;
  return still && <There {...props} still={still} />;
}
