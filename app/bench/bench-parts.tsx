import { createContext, useContext } from 'react';
import type { Carry } from './use-carry';

/** What the benches share around their drawings: the line of verbs, a place on the tray, what a hand carries. */

/** What the page has to say of the bench: it stands at the head of the verbs, where the hand has just pressed. */
export const BenchWords = createContext<React.ReactNode>(null);

/** One line above the tray: the verbs of what is selected. @param tall with room for several lines, so that nothing jumps */
export function VerbLine({
  name,
  tall = false,
  children,
}: {
  name: string;
  tall?: boolean;
  children: React.ReactNode;
}) {
  const words = useContext(BenchWords);
  return (
    <div className="relative order-1">
      <div
        className={`border-line bg-paper short:max-h-[86px] short:min-h-0 short:content-start short:overflow-y-auto flex flex-wrap content-center items-center gap-x-3 gap-y-1 border-t px-3 py-1 text-sm ${tall ? 'min-h-[118px]' : 'min-h-[76px]'}`}
        role="group"
        aria-label={`What can be done: ${name}`}
        data-testid="verbs"
      >
        {/* Its room is always there: nothing jumps when something is said, and no vessel is covered. */}
        <div className="min-h-6 basis-full pr-16">{words}</div>
        <strong className="font-serif first-letter:uppercase">{name}</strong>
        {children}
      </div>
    </div>
  );
}

interface TrayItemProps<Thing extends string> {
  thing: Thing;
  selected: boolean;
  className: string;
  onSelect: (thing: Thing) => void;
  lift: (thing: Thing) => (event: React.PointerEvent) => void;
  drawing: React.ReactNode;
  /** Its name with what it holds and shows. */
  heard: string;
  children: React.ReactNode;
}

/** A thing on the tray: its drawing and its name, to be taken by hand or by keyboard. */
export function TrayItem<Thing extends string>({
  thing,
  selected,
  className,
  onSelect,
  lift,
  drawing,
  heard,
  children,
}: TrayItemProps<Thing>) {
  return (
    <button
      type="button"
      data-thing={thing}
      aria-label={heard}
      aria-pressed={selected}
      tabIndex={selected ? 0 : -1}
      onFocus={() => onSelect(thing)}
      onPointerDown={lift(thing)}
      className={`flex min-h-11 min-w-11 touch-none flex-col items-center justify-end gap-1 rounded-[3px] border border-dashed px-1 py-1 text-xs select-none max-lg:touch-pan-x ${className} ${selected ? 'border-water' : 'border-transparent'}`}
    >
      {drawing}
      <span className="max-w-full leading-[14px] hyphens-manual">
        {typeof children === 'string' ? withBreaks(children) : children}
      </span>
    </button>
  );
}

/** Where the long names of dyes may be divided, as chemists divide them. */
const withBreaks = (name: string) => name.replace(/(bromo|chloro|phenol|thymol|cresol)(?=[a-z]{4})/gu, '$1\u00ad');

/** What is being carried, beside the hand, and what lies under it. */
export function CarryLabel<Thing extends string>({
  carry,
  nameOf,
}: {
  carry: Carry<Thing>;
  nameOf: (thing: Thing) => string;
}) {
  return (
    <div
      className="border-water bg-paper pointer-events-none fixed z-20 border px-2 py-1 text-sm"
      style={{ left: carry.x + 12, top: carry.y + 8 }}
    >
      {nameOf(carry.thing)}
      {carry.over && ` → ${nameOf(carry.over)}`}
    </div>
  );
}
