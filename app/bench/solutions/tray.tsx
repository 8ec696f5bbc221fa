import type { Plan } from '@core/practicals/solutions/plan';
import type { View } from '@core/practicals/solutions/view';
import { TrayItem } from '../bench-parts';
import { heard } from './tell';
import { onTray, thingName, type Thing } from './things';

interface TrayProps {
  view: View;
  labels: Plan;
  selected: Thing;
  onSelect: (thing: Thing) => void;
  lift: (thing: Thing) => (event: React.PointerEvent) => void;
}

const DRAWINGS: Partial<Record<Thing, string>> = {
  tube: 'M14 4 H26 M16 4 V36 Q16 42 20 42 Q24 42 24 36 V4',
  beaker: 'M6 8 Q9 9 9 13 V40 H31 V9 h2',
  paper: 'M8 8 H32 V40 H8 Z M8 8 q12 -6 24 0 M14 14 V34 M20 14 V34 M26 14 V34',
  cellulose: 'M20 8 a16 16 0 1 0 0.1 0 M20 8 V40 M4 24 H36',
  glass: 'M20 8 a16 16 0 1 0 0.1 0 M10 18 l6 4 M22 14 l8 5 M14 30 l7 -4 M24 32 l6 -5',
  plate: 'M4 12 H36 V40 H4 Z M14 20 a4 4 0 1 0 0.1 0 M26 20 a4 4 0 1 0 0.1 0 M20 4 V10 M16 6 l4 5 l4 -5',
};

/** The shallow strip below the bench's edge: clean vessels, paper, water to rinse the plate. */
export function Tray({ view, labels, selected, onSelect, lift }: TrayProps) {
  return (
    <div
      className="border-line-strong bg-mist order-2 flex min-h-[86px] items-stretch gap-1 overflow-x-auto border-t-2 px-2 py-1"
      aria-label="Tray"
      role="group"
    >
      {onTray(labels).map((thing) => (
        <TrayItem
          key={thing}
          thing={thing}
          selected={selected === thing}
          className="min-w-[84px] shrink-0"
          onSelect={onSelect}
          lift={lift}
          drawing={
            <svg
              viewBox="0 0 40 46"
              width={36}
              height={42}
              className="stroke-ink"
              fill="none"
              strokeWidth={1.3}
              aria-hidden
            >
              <path d={DRAWINGS[thing]} />
            </svg>
          }
          heard={heard(thing, view)}
        >
          {thingName(thing, view)}
        </TrayItem>
      ))}
    </div>
  );
}
