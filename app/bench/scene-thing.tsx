/** A thing in the drawing of a bench: it is taken by hand, chosen by keys, and has a name for who does not see it. */

/** What a scene needs of the hands. */
export interface SceneHands<Thing extends string> {
  /** Null on a bench that is only looked at. */
  selected: Thing | null;
  onSelect: (thing: Thing) => void;
  /** What a double press does; left out where nothing is carried. */
  onEnter?: (thing: Thing) => void;
  /** Begins to carry a thing; left out where nothing is carried. */
  lift?: (thing: Thing) => (event: React.PointerEvent) => void;
}

/** At a bench that stands still. */
export const NO_HANDS = { selected: null, onSelect: () => {} };

/** What makes a part of a drawing a thing. @param heard its name with what it holds and shows */
export const thingProps = <Thing extends string>(
  name: Thing,
  heard: string,
  { selected, onSelect, onEnter, lift }: SceneHands<Thing>,
) => ({
  'data-thing': name,
  role: 'button',
  'aria-label': heard,
  'aria-pressed': selected === name,
  tabIndex: selected === name ? 0 : -1,
  onFocus: () => onSelect(name),
  onPointerDown: lift ? lift(name) : () => onSelect(name),
  onDoubleClick: onEnter && (() => onEnter(name)),
});

/** Where a thing can be grasped, in the scene's own units. */
export interface Room {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** How a scene draws a thing: its name, where it can be grasped, and what it looks like. */
export type DrawThing<Thing extends string> = (name: Thing, room: Room, drawing: React.ReactNode) => React.ReactNode;

interface SceneThingProps<Thing extends string> {
  name: Thing;
  heard: string;
  room: Room;
  hands: SceneHands<Thing>;
  /** Where its own zero lies, where its room is told from there. */
  at?: { x: number; y: number };
  children?: React.ReactNode;
}

export function SceneThing<Thing extends string>({ name, heard, room, hands, at, children }: SceneThingProps<Thing>) {
  return (
    <g
      {...thingProps(name, heard, hands)}
      transform={at && `translate(${at.x} ${at.y})`}
      className="cursor-pointer touch-none outline-none select-none"
    >
      <rect
        {...room}
        fill="transparent"
        className={hands.selected === name ? 'stroke-water' : ''}
        strokeDasharray="4 4"
        strokeWidth={1.2}
        rx={3}
      />
      {children}
    </g>
  );
}
