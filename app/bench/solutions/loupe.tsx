import type { View } from '@core/practicals/solutions/view';
import { BeakerDrawing, BottleDrawing, TubeDrawing, WellDrawing } from './sketches';
import { heard } from './tell';
import { PaperDrawing } from './station-sketches';
import { sheetThing, vesselName, vesselThing } from './things';

/** What the loupe looks at where nothing is chosen: the vessel that something was put into last. */
const lastPoured = ({ vessels }: View): number => {
  const filled = vessels.flatMap(({ poured, isAway }, i) => (poured.length > 0 && !isAway ? [i + 1] : []));
  return filled.at(-1) ?? 1;
};

/** One vessel, as near as the loupe brings it. */
export function CloseLook({ view, number }: { view: View; number: number }) {
  const seen = view.vessels[number - 1];
  if (!seen) return null;
  const moving = view.moves[number];
  const name = vesselName(view, number);
  const fullMl = seen.type === 'water' ? 500 : seen.ml > 150 ? 400 : seen.ml > 20 ? 150 : 20;
  const box = {
    well: '-20 -20 40 40',
    tube: '-45 -86 90 90',
    beaker: '-42 -78 84 84',
    bottle: '-46 -86 92 92',
    water: '-46 -86 92 92',
  }[seen.type];
  return (
    <svg
      viewBox={box}
      className="border-line-strong h-full w-full rounded-full border bg-white [&_*]:[vector-effect:non-scaling-stroke]"
      role="img"
      aria-label={heard(vesselThing(number), view)}
    >
      {seen.type === 'well' && <WellDrawing seen={seen} moving={moving} />}
      {seen.type === 'tube' && <TubeDrawing seen={seen} moving={moving} name="loupe" />}
      {seen.type === 'beaker' && <BeakerDrawing seen={seen} moving={moving} name={name.replace('beaker ', '')} />}
      {(seen.type === 'bottle' || seen.type === 'water') && (
        <BottleDrawing
          seen={seen}
          name={name.slice(-1)}
          isWater={seen.type === 'water'}
          isLarge={seen.ml > 20}
          fullMl={fullMl}
        />
      )}
    </svg>
  );
}

/** One paper, as near as the loupe brings it. */
export function PaperLook({ view, number }: { view: View; number: number }) {
  const seen = view.papers[number - 1];
  if (!seen) return null;
  return (
    <svg
      viewBox={seen.at === 'funnel' ? '-30 -30 60 60' : '-22 -24 44 44'}
      className="border-line-strong h-full w-full rounded-full border bg-white [&_*]:[vector-effect:non-scaling-stroke]"
      role="img"
      aria-label={heard(sheetThing(number), view)}
    >
      <PaperDrawing seen={seen} number={number} />
    </svg>
  );
}

export const Loupe = ({ view }: { view: View; unnumbered: boolean }) => (
  <CloseLook view={view} number={lastPoured(view)} />
);
