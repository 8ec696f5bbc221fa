import type { View } from '@core/practicals/hydrates/view';
import { FromAbove } from './sketches';
import { colours } from './tell';

/** The crucible from above, as large as the loupe makes it. */
export function Loupe({ view }: { view: View; unnumbered: boolean }) {
  return (
    <svg
      viewBox="-66 -66 132 132"
      className="h-full w-full"
      role="img"
      aria-label={`From above: ${colours(view.crucible)}`}
    >
      <FromAbove seen={view.crucible} radius={50} />
    </svg>
  );
}
