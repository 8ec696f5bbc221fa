import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { useKept } from '@app/ui/use-kept';
import { ReadingBox, type ReadingBoxProps } from './reading-box';

interface LoupeFrameProps {
  /** Whose loupe it is: where it was moved to is kept for each. */
  name: string;
  /** Where it stands when nothing is in its way: the parts of the bench's width and height at its middle. */
  wanted: { x: number; y: number };
  /** Broad and low, for a tool's scale. */
  isWide?: boolean;
  caption: string;
  /** Typing what is read, right under what is looked at; left out where nothing can be typed. */
  reading: ReadingBoxProps | null;
  onClose: () => void;
  /** A narrow control beside what is looked at: where the eye is. */
  aside?: React.ReactNode;
  children: React.ReactNode;
}

/** Windows so low have room for a strip alone, px: the same as the variant `short` of app.css. */
const SHORT_PX = 420;

interface Place {
  left: number;
  top: number;
}

const clamp = (value: number, most: number) => Math.max(0, Math.min(value, most));

/** How much of a frame, put somewhere, would cover the things on the bench: square pixels, a label counting as a thing. */
function covered(place: Place, width: number, height: number, things: readonly DOMRect[], area: DOMRect): number {
  const left = area.left + place.left;
  const top = area.top + place.top;
  return things.reduce((sum, thing) => {
    const across = Math.min(left + width, thing.right) - Math.max(left, thing.left);
    const down = Math.min(top + height, thing.bottom) - Math.max(top, thing.top);
    return across > 0 && down > 0 ? sum + across * down : sum;
  }, 0);
}

/** The place nearest to the one wanted at which the frame covers least. */
function freePlace(frame: HTMLElement, area: HTMLElement, wanted: LoupeFrameProps['wanted']): Place {
  const { width, height } = frame.getBoundingClientRect();
  const room = area.getBoundingClientRect();
  const [right, bottom] = [Math.max(room.width - width, 0), Math.max(room.height - height, 0)];
  const ideal = {
    left: clamp(wanted.x * room.width - width / 2, right),
    top: clamp(wanted.y * room.height - height / 2, bottom),
  };
  const things = [...area.querySelectorAll('[data-thing], [data-keep-clear]')].map((thing) =>
    thing.getBoundingClientRect(),
  );
  const steps = Array.from({ length: 9 }, (_, i) => i / 8);
  const places = [ideal, ...steps.flatMap((x) => steps.map((y) => ({ left: x * right, top: y * bottom })))];
  const cost = (place: Place) =>
    50 * covered(place, width, height, things, room) + 12 * Math.hypot(place.left - ideal.left, place.top - ideal.top);
  return places.reduce((best, place) => (cost(place) < cost(best) ? place : best));
}

/** A loupe over the bench: it finds a free place by itself, and stays where it is put by hand or with the arrow keys. */
export function LoupeFrame({
  name,
  wanted,
  isWide = false,
  caption,
  reading,
  onClose,
  aside,
  children,
}: LoupeFrameProps) {
  const frame = useRef<HTMLElement>(null);
  const [kept, keep] = useKept(`fen-loupe-${name}`, '', 'tab');
  const [place, setPlace] = useState<Place | null>(null);
  const grip = useRef<{ x: number; y: number; from: Place } | null>(null);
  const { x, y } = wanted;

  const settle = useCallback(() => {
    const self = frame.current;
    const area = self?.parentElement;
    if (!self || !area) return;
    const room = area.getBoundingClientRect();
    const own = self.getBoundingClientRect();
    // In a strip it lies along the lower edge, over the verbs.
    if (window.innerHeight <= SHORT_PX) return setPlace({ left: 0, top: Math.max(room.height - own.height, 0) });
    const [partX, partY] = kept.split(' ').map(Number);
    const next =
      kept !== '' && partX !== undefined && partY !== undefined
        ? { left: partX * room.width, top: partY * room.height }
        : freePlace(self, area, { x, y });
    setPlace({
      left: clamp(next.left, room.width - own.width),
      top: clamp(next.top, room.height - own.height),
    });
  }, [kept, x, y]);

  useLayoutEffect(settle, [settle, isWide]);
  useEffect(() => {
    const area = frame.current?.parentElement;
    if (!area) return;
    const watch = new ResizeObserver(settle);
    watch.observe(area);
    window.addEventListener('resize', settle);
    return () => {
      watch.disconnect();
      window.removeEventListener('resize', settle);
    };
  }, [settle]);

  const moveTo = (next: Place) => {
    const self = frame.current?.getBoundingClientRect();
    const room = frame.current?.parentElement?.getBoundingClientRect();
    if (!self || !room) return;
    const put = {
      left: clamp(next.left, room.width - self.width),
      top: clamp(next.top, room.height - self.height),
    };
    keep(`${(put.left / room.width).toFixed(4)} ${(put.top / room.height).toFixed(4)}`);
  };

  return (
    <figure
      ref={frame}
      className={`short:!w-full short:flex-row short:bg-paper/90 absolute z-[5] flex flex-col items-center ${isWide ? 'w-[min(70cqw,520px)]' : 'w-[max(150px,min(44cqw,48cqh,300px))]'}`}
      style={place ?? { left: `${100 * x}%`, top: 0, visibility: 'hidden' }}
      data-testid="loupe"
    >
      <div className={`flex w-full items-stretch gap-1 ${isWide ? 'short:w-[58%]' : 'short:w-[112px]'} short:shrink-0`}>
        {aside}
        <div className={`min-w-0 grow ${isWide ? 'aspect-[10/3]' : 'aspect-square'}`}>{children}</div>
      </div>
      <figcaption className="bg-paper/90 flex flex-wrap items-center justify-center gap-x-2 text-xs">
        <button
          type="button"
          className="text-ink-soft min-h-7 cursor-move touch-none px-1"
          aria-label={`Move the loupe: ${caption}. Drag it, or use the arrow keys; Home lets it find its own place.`}
          title="Drag to move"
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            if (place) grip.current = { x: event.clientX, y: event.clientY, from: place };
          }}
          onPointerMove={(event) => {
            const held = grip.current;
            if (held)
              moveTo({
                left: held.from.left + event.clientX - held.x,
                top: held.from.top + event.clientY - held.y,
              });
          }}
          onPointerUp={() => (grip.current = null)}
          onPointerCancel={() => (grip.current = null)}
          onKeyDown={(event) => {
            const step = { ArrowLeft: [-16, 0], ArrowRight: [16, 0], ArrowUp: [0, -16], ArrowDown: [0, 16] }[event.key];
            if (event.key === 'Home') keep('');
            if (!step || !place) return;
            event.preventDefault();
            event.stopPropagation();
            moveTo({ left: place.left + (step[0] ?? 0), top: place.top + (step[1] ?? 0) });
          }}
        >
          <span aria-hidden>✥ </span>
          {caption}
        </button>
        <button
          type="button"
          onClick={onClose}
          className="text-water min-h-7 min-w-7 px-1 underline"
          aria-label="Put the loupe away"
        >
          away
        </button>
        {reading && (
          <div className="flex basis-full justify-center">
            <ReadingBox {...reading} />
          </div>
        )}
      </figcaption>
    </figure>
  );
}
