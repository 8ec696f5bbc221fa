import type { Plan } from '@core/practicals/hydrates/plan';
import type { View } from '@core/practicals/hydrates/view';
import { TrayItem } from '../bench-parts';
import { heard } from './tell';
import { onTray, thingName, type Thing } from './things';

interface TrayProps {
  view: View;
  labels: Plan;
  selected: Thing;
  /** Whether the tongs are in the hand. */
  isGripped: boolean;
  onSelect: (thing: Thing) => void;
  lift: (thing: Thing) => (event: React.PointerEvent) => void;
}

const DRAWINGS: Partial<Record<Thing, string>> = {
  tongs: 'M6 44 Q20 22 14 4 M30 44 Q16 22 22 4 M18 24 h1 M14 4 q4 -3 8 0',
  lighter: 'M4 40 H24 L30 30 V10 M30 10 q4 3 0 8 M6 40 V32 H22 V40 M34 6 l3 -3 M36 11 h4',
  jar: 'M4 14 V44 H36 V14 M2 6 H38 V14 H2 Z M4 30 Q16 22 36 28',
  fresh: 'M6 12 Q8 38 14 42 H26 Q32 38 34 12 Z M4 12 Q10 6 18 6 Q18 2 20 2 Q22 2 22 6 Q30 6 36 12',
};

/** The shallow strip below the bench's edge: tongs, lighter, the jar, fresh crucibles. */
export function Tray({ view, labels, selected, isGripped, onSelect, lift }: TrayProps) {
  return (
    <div
      className="border-line-strong bg-mist order-2 flex min-h-[86px] items-stretch gap-1 overflow-x-auto border-t-2 px-2 py-1"
      aria-label="Tray"
      role="group"
    >
      {onTray().map((thing) => (
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
          heard={thing === 'tongs' && isGripped ? 'tongs, in the hand' : heard(thing, view, labels)}
        >
          {thing === 'tongs' && isGripped ? 'tongs, in hand' : thingName(thing, view, labels)}
        </TrayItem>
      ))}
    </div>
  );
}
