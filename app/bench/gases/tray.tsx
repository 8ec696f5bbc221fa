import type { Plan } from '@core/practicals/gases/plan';
import type { View } from '@core/practicals/gases/view';
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
  ice: 'M2 22 L7 44 H33 L38 22 Z M8 22 l3 -9 l9 3 l-3 6 M20 22 l2 -10 l9 2 l1 8 M13 13 l5 -6 l6 3 l-2 4',
  roll: 'M20 4 a16 16 0 1 0 0.1 0 M20 12 a8 8 0 1 0 0.1 0 M36 20 V40 h4',
  fresh: 'M14 44 V8 Q14 2 20 2 Q26 2 26 8 V44 M14 30 H26 M14 12 h4 M14 18 h4 M14 24 h4',
  bottle: 'M14 4 H26 V10 Q33 13 33 20 V44 H7 V20 Q7 13 14 10 Z M7 30 H33 M13 4 V1 H27 V4',
};

/** The shallow strip below the bench's edge; where all stands joined on the bench there is none. */
export function Tray({ view, labels, selected, onSelect, lift }: TrayProps) {
  const things = onTray(labels);
  if (things.length === 0) return null;
  return (
    <div
      className="border-line-strong bg-mist order-2 flex min-h-[86px] items-stretch gap-1 overflow-x-auto border-t-2 px-2 py-1"
      aria-label="Tray"
      role="group"
    >
      {things.map((thing) => (
        <TrayItem
          key={thing}
          thing={thing}
          selected={selected === thing}
          className="min-w-[76px] shrink-0"
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
          heard={heard(thing, view, labels)}
        >
          {thingName(thing, labels)}
        </TrayItem>
      ))}
    </div>
  );
}
