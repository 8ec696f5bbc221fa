import type { Plan } from '@core/practicals/cylinder/plan';
import type { View } from '@core/practicals/cylinder/view';
import { Bars } from './bars';
import type { Shown } from './fly.worker';
import { Pushes, Strip } from './strip';

/** What is drawn beside the cylinder while they fly: what the bench is for says what. */
export function Beside({ view, labels, shown }: { view: View; labels: Plan; shown: Shown | null }) {
  const { values, uncertainties } = shown?.counted ?? { values: null, uncertainties: null };
  const looks = shown?.looks ?? [];
  switch (labels.gear) {
    case 'laws':
      return (
        <Strip
          values={looks.map(({ P }) => P)}
          mean={values?.P ?? null}
          uncertainty={uncertainties?.P ?? null}
          name="pressure / kPa"
        />
      );
    case 'impacts':
      return <Pushes heard={shown?.heard ?? []} mean={values?.p ?? null} />;
    case 'many': {
      const spread = shown?.spread ?? { speeds: [], energies: [] };
      const of = { kelvin: shown?.againstK ?? 300, gPerMol: view.filling.kinds[0]?.gPerMol ?? 1 };
      return (
        <>
          <Strip
            values={looks.map(({ E }) => E)}
            mean={values?.E ?? null}
            uncertainty={uncertainties?.E ?? null}
            name="mean energy / zJ"
          />
          <Bars of="speed" counts={spread.speeds} {...of} />
          <Bars of="energy" counts={spread.energies} {...of} />
        </>
      );
    }
  }
}
