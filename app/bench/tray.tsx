import { TrayItem } from './bench-parts';
import type { Hands } from './use-hands';

/** The shallow strip below a bench's edge, with what is taken from it. */

interface TrayProps<Thing extends string> {
  hands: Pick<Hands<Thing, string, never>, 'selected' | 'select' | 'carrying' | 'nameOf' | 'heard'>;
  things: readonly Thing[];
  drawing: (thing: Thing) => React.ReactNode;
  /** What is written under a thing, where it is not its name. */
  name?: (thing: Thing) => React.ReactNode;
  heard?: (thing: Thing) => string;
  className?: (thing: Thing) => string;
  /** What lies at the right-hand end. */
  atEnd?: readonly Thing[];
}

/** A drawing of lines for the tray. @param d its path, in a box of 40 by 46 */
export const TraySketch = ({ d }: { d: string | undefined }) => (
  <svg viewBox="0 0 40 46" width={36} height={42} className="stroke-ink" fill="none" strokeWidth={1.3} aria-hidden>
    <path d={d} />
  </svg>
);

const WIDE = () => 'min-w-[76px] shrink-0';

export function Tray<Thing extends string>({
  hands,
  things,
  drawing,
  name = hands.nameOf,
  heard = hands.heard,
  className = WIDE,
  atEnd = [],
}: TrayProps<Thing>) {
  if (things.length + atEnd.length === 0) return null;
  const item = (thing: Thing) => (
    <TrayItem
      key={thing}
      thing={thing}
      selected={hands.selected === thing}
      className={className(thing)}
      onSelect={hands.select}
      lift={hands.carrying.lift}
      drawing={drawing(thing)}
      heard={heard(thing)}
    >
      {name(thing)}
    </TrayItem>
  );
  return (
    <div
      className="border-line-strong bg-mist order-2 flex min-h-[86px] items-stretch gap-1 overflow-x-auto border-t-2 px-2 py-1"
      aria-label="Tray"
      role="group"
    >
      {things.map(item)}
      {atEnd.length > 0 && <span className="grow" />}
      {atEnd.map(item)}
    </div>
  );
}
