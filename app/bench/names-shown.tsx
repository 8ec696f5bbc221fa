import { useEffect, useState } from 'react';

/** The names of all things on a bench, over the picture: asked for by a key or a press, away by the same. */

interface Label {
  thing: string;
  x: number;
  y: number;
}

/** Breadth and height that a name takes, px. */
const LETTER = 6.4;
const HEIGHT = 18;
/** Where things move, names follow so often, ms. */
const LOOK_MS = 400;

/**
 * Puts names under one another where they would cover each other, at whole pixels: with parts of one, a sum less what
 * was added may fall short of a height, and a name would be put under the same one for ever. @param width of a name
 */
export function apart(labels: readonly Label[], width: (thing: string) => number): Label[] {
  const put: Label[] = [];
  for (const label of [...labels].sort((a, b) => a.y - b.y)) {
    let y = Math.round(label.y);
    const covers = (other: Label) =>
      Math.abs(other.y - y) < HEIGHT && Math.abs(other.x - label.x) < (width(other.thing) + width(label.thing)) / 2;
    for (let found = put.find(covers); found; found = put.find(covers)) y = found.y + HEIGHT;
    put.push({ ...label, y });
  }
  return put;
}

export function NamesShown({
  area,
  nameOf,
}: {
  area: React.RefObject<HTMLElement | null>;
  nameOf: (thing: string) => string;
}) {
  const [labels, setLabels] = useState<Label[]>([]);
  useEffect(() => {
    const look = () => {
      const room = area.current;
      if (!room) return;
      const { left, top, width } = room.getBoundingClientRect();
      // What lies on the tray has its name under it.
      const found = [...room.querySelectorAll('[data-testid=bench] [data-thing]')].map((element) => {
        const at = (element.querySelector(':scope > rect') ?? element).getBoundingClientRect();
        const x = at.left + at.width / 2 - left;
        return {
          thing: element.getAttribute('data-thing') ?? '',
          x: Math.min(Math.max(x, 40), width - 40),
          y: at.top - top + Math.min(at.height * 0.35, 60),
        };
      });
      setLabels(found);
    };
    look();
    const timer = setInterval(look, LOOK_MS);
    return () => clearInterval(timer);
  }, [area]);
  return (
    <div className="pointer-events-none absolute inset-0 z-20" aria-hidden data-testid="names">
      {apart(labels, (thing) => nameOf(thing).length * LETTER + 10).map(({ thing, x, y }) => (
        <span
          key={thing}
          className="border-line-strong bg-paper text-ink absolute -translate-x-1/2 border px-1 text-xs leading-4 whitespace-nowrap"
          style={{ left: x, top: y }}
        >
          {nameOf(thing)}
        </span>
      ))}
    </div>
  );
}
