import { THERMOMETERS } from '@core/instruments/thermometer';
import type { View } from '@core/practicals/heat/view';
import { ThermometerLoupe } from '../thermometer-loupe';

/** What the thermometer shows that is looked at: the top of its column, or what all displays say. */
export function Loupe({ view, unnumbered }: { view: View; unnumbered: boolean }) {
  const seen = view.thermometers[view.looking];
  if (seen && seen.columnC !== null)
    return (
      <ThermometerLoupe
        tempC={seen.columnC}
        divisionC={THERMOMETERS['glass 0.2'].reads.divisionC}
        unnumbered={unnumbered}
      />
    );
  return (
    <dl className="grid grid-cols-[auto_auto] gap-x-3 font-mono text-sm">
      {view.thermometers.map(({ text, at }, n) => (
        <div key={n} className="contents">
          <dt className="font-sans">
            thermometer {n + 1}, {at}
          </dt>
          <dd>{text} °C</dd>
        </div>
      ))}
    </dl>
  );
}
