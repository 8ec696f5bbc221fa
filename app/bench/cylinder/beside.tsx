import type { Plan } from '@core/practicals/cylinder/plan';
import { Bars } from './bars';
import type { Shown } from './shown';
import { Pushes, Strip } from './strip';

/** What is drawn beside the cylinder while they fly: what the bench is for says what. */
export function Beside({ labels, shown }: { labels: Plan; shown: Shown | null }) {
  const { means, uncertainties, looks = [], spread, againstK, gPerMol } = shown?.crowd ?? {};
  switch (labels.gear) {
    case 'laws':
      return (
        <Strip
          values={looks.map(({ P }) => P)}
          mean={means?.P ?? null}
          uncertainty={uncertainties?.P ?? null}
          name="pressure / kPa"
        />
      );
    case 'impacts':
      return (
        <Pushes heard={shown?.heard ?? []} mean={shown?.counters.p === undefined ? null : Number(shown.counters.p)} />
      );
    case 'many': {
      const of = { kelvin: againstK ?? 300, gPerMol: gPerMol ?? 1 };
      return (
        <>
          <Strip
            values={looks.map(({ E }) => E)}
            mean={means?.E ?? null}
            uncertainty={uncertainties?.E ?? null}
            name="mean energy / zJ"
          />
          <Bars of="speed" counts={spread?.speeds ?? []} {...of} />
          <Bars of="energy" counts={spread?.energies ?? []} {...of} />
        </>
      );
    }
  }
}
